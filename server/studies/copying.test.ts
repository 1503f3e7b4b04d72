/** A study begun again for another class: everything found out goes along, nobody's work does, and neither touches the other. */
import { leave, newClass, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { message } from '../../core/message';
import { studyOf } from '../accounts/ownership';
import { rosterOf } from '../classes/classes';
import { editState, step } from '../edits/log';
import { planOf, savePlan } from '../lessons/plans';
import { addPiece, listPieces } from '../pieces/pieces';
import { copyStudy } from './copying';
import { landmarksOf, placeLandmarks } from './landmarks';
import { addRule, changeRule, listRules } from './rules';
import { listStudies, updateStudy } from './studies';
import { addFact, addPin, factsOf, pinsOf } from './noted';
import { addWork, listWorks, removeWork, updateWork } from './works';

afterAll(leave);

const LABEL = message('edits.points');

test('works with groups, facts, patches and points, rules and plan go along; pieces and the log do not', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher, { classId: await newClass(teacher) });
  const work = await addWork(teacher, study, await sheetBytes(), 'ferry.png', { title: 'Ferry', widthMm: 300 });
  await updateWork(teacher, work, 1, { group: 'early', impressions: 'It leans.' });
  await addFact(teacher, work, 'Reed pen.', null);
  await addPin(teacher, work, [0, 0, 50, 50], { kind: null });
  await placeLandmarks(teacher, { subject: 'work', subjectId: work, template: 'free' }, 0, { a: [3, 4] }, LABEL);
  const rule = await addRule(teacher, study, { kind: 'never', feature: '', sentence: 'No hand is shown.', evidence: '' });
  const view = await planOf(await studyOf(teacher, study));
  await savePlan(teacher, study, 0, { ...view.plan, periods: 3 }, LABEL);
  const [{ id: ada }] = await rosterOf(study);
  await addPiece(teacher, study, await sheetBytes(18), 'a.png', {
    studentId: ada,
    kind: 'copy',
    attempt: null,
    title: '',
    paperWidthMm: 297,
    paperHeightMm: 210,
  });
  const copy = await copyStudy(teacher, study, { title: 'Again', classId: null });
  const [ferry] = await listWorks(copy);
  expect(ferry).toMatchObject({ title: 'Ferry', widthMm: 300, group: 'early', impressions: 'It leans.', version: 1 });
  expect(ferry.id).not.toBe(work);
  expect((await factsOf(copy)).get(ferry.id)).toMatchObject([{ text: 'Reed pen.' }]);
  expect((await pinsOf(copy)).get(ferry.id)).toMatchObject([{ patch: [0, 0, 50, 50] }]);
  expect(await landmarksOf(teacher, 'work', ferry.id)).toMatchObject([{ template: 'free', points: { a: [3, 4] } }]);
  const [copied] = await listRules(copy);
  expect(copied.sentence).toBe('No hand is shown.');
  expect((await planOf(await studyOf(teacher, copy))).plan.periods).toBe(3);
  expect(await listPieces(copy)).toEqual([]);
  expect(await editState(teacher, copy)).toEqual({ undo: null, redo: null });
  // What is changed or removed in one stays in the other.
  await changeRule(teacher, copy, copied.id, 1, { sentence: 'No hand is ever shown.' });
  await removeWork(teacher, ferry.id);
  expect((await listRules(study)).find((r) => r.id === rule)!.sentence).toBe('No hand is shown.');
  expect((await listWorks(study)).map((w) => w.title)).toEqual(['Ferry']);
});

test('only one’s own study, for one’s own class', async () => {
  const [teacher, stranger] = [await newTeacher(), await newTeacher()];
  const study = await newStudy(teacher);
  await expect(copyStudy(stranger, study, { title: 'Mine', classId: null })).rejects.toMatchObject({ status: 404 });
  await expect(copyStudy(teacher, study, { title: 'Mine', classId: await newClass(stranger) })).rejects.toMatchObject({ status: 404 });
  expect(await listStudies(teacher)).toHaveLength(1);
});

test('a study is put away and taken out, with another sheet and more media, each undone', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const version = await updateStudy(teacher, study, 1, { archived: true });
  await updateStudy(teacher, study, version, { paperWidthMm: 300, paperHeightMm: 212, otherMedia: ['charcoal', 'gouache'] });
  expect((await listStudies(teacher))[0]).toMatchObject({
    paperWidthMm: 300,
    otherMedia: ['charcoal', 'gouache'],
    archivedAt: expect.any(Date),
  });
  await step(teacher, study, 'undo');
  expect((await listStudies(teacher))[0]).toMatchObject({ paperWidthMm: 297, otherMedia: null });
  await step(teacher, study, 'undo');
  expect((await listStudies(teacher))[0].archivedAt).toBeNull();
});
