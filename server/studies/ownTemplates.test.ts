/** Sets of points by name, and kinds of points a teacher makes: kept, changed with their sets, undone, and refused where they cannot be. */
import { OwnTemplate, ownKey } from '../../core/proportion/ownTemplate';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { step } from '../edits/log';
import { landmarksOf, placeLandmarks, renameSet } from './landmarks';
import { addTemplate, changeTemplate, ownTemplateOf, ownTemplatesOf, removeTemplate } from './ownTemplates';
import { addWork, listWorks } from './works';

afterAll(leave);

let teacher = '';
let study = '';
let work = '';
beforeEach(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher);
  work = await addWork(teacher, study, await sheetBytes(21), 'quay.png', {});
});
const LABEL = { key: 'edits.points' };
const boat: OwnTemplate = {
  name: 'Lugger',
  points: [
    { name: 'bow', at: [0, 1] },
    { name: 'stern', at: [1, 1] },
  ],
  shapes: [],
  unit: ['bow', 'stern'],
  measures: [],
};
const standing = (name: string) => ({ subject: 'work' as const, subjectId: work, template: 'figure-standing', name });
const names = async () => (await landmarksOf(teacher, 'work', work)).map((s) => s.name);

test('several figures lie on one picture, each with its name; a name is there once, and renaming is undone', async () => {
  await placeLandmarks(teacher, standing(''), 0, { crown: [1, 1], sole: [1, 50] }, LABEL);
  await placeLandmarks(teacher, standing('child'), 0, { crown: [30, 20], sole: [30, 50] }, LABEL, { hidden: ['toe', 'crown'] });
  expect(await names()).toEqual(['', 'child']);
  const [{ sets }] = await listWorks(study);
  // What is placed is not hidden.
  expect(sets.find((s) => s.name === 'child')).toMatchObject({ hidden: ['toe'], points: { crown: [30, 20] } });
  await expect(renameSet(teacher, standing('child'), '')).rejects.toMatchObject({ status: 409, field: 'name' });
  await expect(renameSet(teacher, standing('nobody'), 'x')).rejects.toMatchObject({ status: 404 });
  await expect(renameSet(await newTeacher(), standing('child'), 'x')).rejects.toMatchObject({ status: 404 });
  await renameSet(teacher, standing('child'), 'girl');
  expect(await names()).toEqual(['', 'girl']);
  await step(teacher, study, 'undo');
  expect(await names()).toEqual(['', 'child']);
  // Points and hidden ones both gone, a set is none.
  const version = async () => (await landmarksOf(teacher, 'work', work)).find((s) => s.name === 'child')!.version;
  await placeLandmarks(teacher, standing('child'), await version(), {}, LABEL, { hidden: ['toe'] });
  expect(await names()).toEqual(['', 'child']);
  await placeLandmarks(teacher, standing('child'), await version(), {}, LABEL);
  expect(await names()).toEqual(['']);
  await expect(placeLandmarks(teacher, standing('x'), 0, {}, LABEL, { hidden: ['fin'] })).rejects.toMatchObject({ field: 'hidden' });
});

test('an own kind is placed like those of the house; its points follow a new name, leave with it, and come back by one undo', async () => {
  const id = await addTemplate(teacher, study, boat);
  const key = { subject: 'work' as const, subjectId: work, template: ownKey(id) };
  await expect(placeLandmarks(teacher, key, 0, { crown: [1, 1] }, LABEL)).rejects.toMatchObject({ field: 'points' });
  await placeLandmarks(teacher, key, 0, { bow: [10, 40] }, LABEL, { hidden: ['stern'] });
  const points = [
    { name: 'stem', at: [0, 1] },
    { name: 'keel', at: [0.5, 1] },
  ];
  const changed = { ...boat, points, unit: ['stem', 'keel'] };
  await expect(changeTemplate(teacher, study, id, 9, changed, {})).rejects.toMatchObject({ status: 409 });
  expect(await changeTemplate(teacher, study, id, 1, changed, { bow: 'stem' })).toBe(2);
  expect((await landmarksOf(teacher, 'work', work))[0]).toMatchObject({ points: { stem: [10, 40] }, hidden: null, version: 2 });
  await step(teacher, study, 'undo');
  expect((await landmarksOf(teacher, 'work', work))[0]).toMatchObject({ points: { bow: [10, 40] }, hidden: ['stern'] });
  expect((await ownTemplateOf(teacher, id)).template).toEqual(boat);
  await expect(removeTemplate(teacher, study, id)).rejects.toMatchObject({ said: { key: 'errors.templateInUse', values: { n: 1 } } });
  const [{ version }] = await landmarksOf(teacher, 'work', work);
  await placeLandmarks(teacher, key, version, {}, LABEL);
  await removeTemplate(teacher, study, id);
  expect(await ownTemplatesOf(teacher)).toEqual([]);
  await step(teacher, study, 'undo');
  expect((await ownTemplatesOf(teacher)).map((t) => t.template.name)).toEqual(['Lugger']);
});

test('a name of a kind is there once, a broken one is told, and nobody else’s is to be had', async () => {
  const id = await addTemplate(teacher, study, boat);
  await expect(addTemplate(teacher, study, boat)).rejects.toMatchObject({ status: 409, field: 'name' });
  await expect((async () => addTemplate(teacher, study, { ...boat, points: [] }))()).rejects.toMatchObject({
    said: { key: 'unusable.template.noPoint' },
  });
  const stranger = await newTeacher();
  await expect(ownTemplateOf(stranger, id)).rejects.toMatchObject({ status: 404 });
  await expect(changeTemplate(stranger, study, id, 1, boat, {})).rejects.toMatchObject({ status: 404 });
  const theirs = await addWork(stranger, await newStudy(stranger), await sheetBytes(22), 'a.png', {});
  await expect(
    placeLandmarks(stranger, { subject: 'work', subjectId: theirs, template: ownKey(id) }, 0, { bow: [1, 1] }, LABEL),
  ).rejects.toMatchObject({ status: 404 });
});

test('points placed a second time are kept beside the first, and go with a point that is taken away', async () => {
  const twice = { crown: [2, 1], sole: [1, 51], toe: [9, 9] } as Record<string, [number, number]>;
  const version = await placeLandmarks(teacher, standing(''), 0, { crown: [1, 1], sole: [1, 50] }, LABEL, { again: twice });
  expect((await landmarksOf(teacher, 'work', work))[0].again).toEqual({ crown: [2, 1], sole: [1, 51] });
  await placeLandmarks(teacher, standing(''), version, { sole: [1, 50] }, LABEL, { again: twice });
  expect((await landmarksOf(teacher, 'work', work))[0].again).toEqual({ sole: [1, 51] });
  await expect(placeLandmarks(teacher, standing('x'), 0, {}, LABEL, { again: { fin: [1, 1] } })).rejects.toMatchObject({ field: 'again' });
});
