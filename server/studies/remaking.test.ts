/** Works remade: turned by a degree, cut into parts at the scale of the whole, put in order, with what stood model for them beside. */
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { workOf } from '../accounts/ownership';
import { editState, step } from '../edits/log';
import { copyStudy } from './copying';
import { landmarksOf, placeLandmarks } from './landmarks';
import { addReference, listReferences, modelsOf } from './references';
import { addPart, cropWork, orderWorks, straightenWork } from './remaking';
import { drawShapes, shapesOf } from './shapes';
import { addWork, listWorks, removeWork, updateWork, worksWithReadings } from './works';

afterAll(leave);

let teacher = '';
let study = '';
let crowd = '';
beforeEach(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher);
  crowd = await addWork(teacher, study, await sheetBytes(15, 480, 320), 'crowd.png', { title: 'The crowd', widthMm: 240, heightMm: 160 });
});
const PART = { x: 120, y: 80, w: 96, h: 120, turn: 0 } as const;
const titles = async () => (await listWorks(study)).map((w) => w.title);

test('a part lies beside its work at the scale of the whole, follows its size, and one undo takes it away', async () => {
  await addWork(teacher, study, await sheetBytes(16), 'later.png', { title: 'Later' });
  const part = await addPart(teacher, crowd, PART, 'The child');
  expect(await titles()).toEqual(['The crowd', 'The child', 'Later']);
  const [, cut] = await listWorks(study);
  expect(cut).toMatchObject({ partOf: crowd, pictureWidth: 96, pictureHeight: 120, widthMm: 48, heightMm: 60, foil: false });
  expect(cut.partAt).toEqual([0.25, 0.25, 0.2, 0.375]);
  await updateWork(teacher, crowd, 1, { widthMm: 480 });
  expect(await workOf(teacher, part)).toMatchObject({ widthMm: 96, heightMm: 120 });
  const { version } = await workOf(teacher, part);
  await expect(updateWork(teacher, part, version, { widthMm: 10 })).rejects.toMatchObject({ status: 400, field: 'widthMm' });
  await expect(cropWork(teacher, part, version, { ...PART, x: 0, y: 0 })).rejects.toMatchObject({ said: { key: 'errors.part.remade' } });
  await expect(addPart(teacher, part, PART, 'Hand')).rejects.toMatchObject({ said: { key: 'errors.part.ofPart' } });
  await expect(addPart(teacher, crowd, { ...PART, x: 460 }, 'Edge')).rejects.toMatchObject({ field: 'crop' });
  expect((await worksWithReadings(study)).map((w) => [w.title, w.part])).toEqual([
    ['The crowd', false],
    ['The child', true],
    ['Later', false],
  ]);
  await step(teacher, study, 'undo');
  expect(await workOf(teacher, part)).toMatchObject({ widthMm: 48 });
  await step(teacher, study, 'undo');
  expect(await titles()).toEqual(['The crowd', 'Later']);
  await step(teacher, study, 'redo');
  expect(await titles()).toEqual(['The crowd', 'The child', 'Later']);
});

test('a part keeps its place when the whole is cropped round it, and says that it lost it when it is cut away', async () => {
  const part = await addPart(teacher, crowd, PART, 'The child');
  const crop = async (x: number, y: number, w: number, h: number) =>
    cropWork(teacher, crowd, (await workOf(teacher, crowd)).version, { x, y, w, h, turn: 0 });
  await crop(100, 60, 240, 200);
  const { partAt } = await workOf(teacher, part);
  [20 / 240, 20 / 200, 96 / 240, 120 / 200].forEach((v, i) => expect(partAt![i]).toBeCloseTo(v, 9));
  await crop(60, 0, 100, 100);
  expect((await workOf(teacher, part)).partAt).toBeNull();
  await step(teacher, study, 'undo');
  expect((await workOf(teacher, part)).partAt).not.toBeNull();
  // With the whole its part goes, and comes back.
  await removeWork(teacher, crowd);
  expect(await titles()).toEqual([]);
  await step(teacher, study, 'undo');
  expect(await titles()).toEqual(['The crowd', 'The child']);
});

test('turned by three degrees a work keeps what lies inside, and places left out go along with their reasons', async () => {
  const inside: [number, number][] = [
    [200, 140],
    [240, 140],
    [240, 170],
  ];
  const beyond: [number, number][] = [
    [0, 0],
    [8, 0],
    [0, 8],
  ];
  await updateWork(teacher, crowd, 1, { leftOut: [inside, beyond], leftOutAs: ['glare', 'label'] });
  await cropWork(teacher, crowd, 2, { x: 40, y: 40, w: 400, h: 240, turn: 0, lean: 3 });
  const [work] = await listWorks(study);
  expect([work.pictureWidth, work.pictureHeight]).toEqual([400, 240]);
  expect(work.leftOutAs).toEqual(['glare']);
  // Turned clockwise about the frame's middle (240, 160), which becomes (200, 120).
  const [cos, sin] = [Math.cos((3 * Math.PI) / 180), Math.sin((3 * Math.PI) / 180)];
  inside.forEach(([x, y], i) => {
    const [dx, dy] = [x - 240, y - 160];
    expect(work.leftOut![0][i][0]).toBeCloseTo(200 + dx * cos - dy * sin, 2);
    expect(work.leftOut![0][i][1]).toBeCloseTo(120 + dx * sin + dy * cos, 2);
  });
  await expect(updateWork(teacher, crowd, 3, { leftOut: [inside], leftOutAs: null })).resolves.toBe(4);
});

test('works stand in the order they are put in, those not named behind', async () => {
  const b = await addWork(teacher, study, await sheetBytes(16), 'b.png', { title: 'B' });
  const c = await addWork(teacher, study, await sheetBytes(17), 'c.png', { title: 'C' });
  await orderWorks(teacher, study, [c, crowd]);
  expect(await titles()).toEqual(['C', 'The crowd', 'B']);
  expect((await editState(teacher, study)).undo).toMatchObject({ key: 'edits.worksOrder' });
  await orderWorks(teacher, study, [b, 'of another study']);
  expect(await titles()).toEqual(['B', 'C', 'The crowd']);
  await step(teacher, study, 'undo');
  expect(await titles()).toEqual(['C', 'The crowd', 'B']);
});

test('what stood model hangs on its work, is nothing students draw from, and goes along into a copy with its points', async () => {
  const part = await addPart(teacher, crowd, PART, 'The child');
  const model = await addReference(teacher, study, await sheetBytes(20), 'photograph.png', { workId: crowd, credit: 'Estate' });
  await addReference(teacher, study, await sheetBytes(21), 'harbour.png', {});
  const points = { crown: [10, 10], chin: [10, 60] } as Record<string, [number, number]>;
  await placeLandmarks(teacher, { subject: 'reference', subjectId: model, template: 'face-front' }, 0, points, null);
  expect((await modelsOf(study)).get(crowd)).toMatchObject([{ id: model, title: 'photograph', credit: 'Estate' }]);
  expect((await listReferences(study)).map((r) => r.title)).toEqual(['harbour']);
  const other = await newStudy(teacher);
  await expect(addReference(teacher, other, await sheetBytes(22), 'x.png', { workId: crowd })).rejects.toMatchObject({ status: 404 });
  const copy = await copyStudy(teacher, study, { title: 'Again', classId: null });
  const [whole, cut] = await listWorks(copy);
  expect([whole.title, cut.title, cut.partOf]).toEqual(['The crowd', 'The child', whole.id]);
  expect(whole.id).not.toBe(crowd);
  const [stood] = (await modelsOf(copy)).get(whole.id)!;
  expect(await landmarksOf(teacher, 'reference', stood.id)).toMatchObject([{ template: 'face-front', points }]);
  expect(await listReferences(copy)).toEqual([]);
  // Nothing of a part is laid flat by itself.
  const { version } = await workOf(teacher, part);
  const corners: [number, number][] = [
    [0, 0],
    [90, 0],
    [90, 90],
    [0, 90],
  ];
  await expect(straightenWork(teacher, part, version, corners)).rejects.toMatchObject({ status: 400 });
});

test('shapes, kept lines and second places lie in the picture that is made as they lay in the old one; undo brings them back', async () => {
  const square: [number, number][] = [
    [200, 120],
    [260, 120],
    [260, 180],
    [200, 180],
  ];
  const shape = { id: 'hull', name: 'hull', outline: square, as: null, gap: false };
  const line = { id: 'yard', name: 'yard', ends: [square[0], square[2]] };
  await drawShapes(teacher, crowd, 0, { shapes: [shape], lines: [line] }, { key: 'edits.shapes' });
  const points = { a: [220, 130] as [number, number] };
  await placeLandmarks(teacher, { subject: 'work', subjectId: crowd, template: 'free' }, 0, points, null, { again: { a: [222, 131] } });
  await cropWork(teacher, crowd, (await workOf(teacher, crowd)).version, { x: 100, y: 60, w: 240, h: 200, turn: 0 });
  const moved = await shapesOf(crowd);
  expect(moved.shapes[0].outline).toEqual(square.map(([x, y]) => [x - 100, y - 60]));
  expect(moved.lines[0].ends).toEqual([
    [100, 60],
    [160, 120],
  ]);
  expect((await listWorks(study))[0].sets[0]).toMatchObject({ points: { a: [120, 70] }, again: { a: [122, 71] } });
  await step(teacher, study, 'undo');
  expect((await shapesOf(crowd)).shapes[0].outline).toEqual(square);
  // Cut away they are gone, as points are.
  await cropWork(teacher, crowd, (await workOf(teacher, crowd)).version, { x: 0, y: 0, w: 100, h: 100, turn: 0 });
  expect(await shapesOf(crowd)).toMatchObject({ shapes: [], lines: [] });
});
