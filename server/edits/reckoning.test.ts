/** What an edit, its undo and its redo put on the queue: just what they have put out of date, and in the same transaction. */
import { ownId, ownKey } from '../../core/proportion/ownTemplate';
import { addTemplate, changeTemplate } from '../studies/ownTemplates';
import { message } from '../../core/message';
import { eq } from 'drizzle-orm';
import { leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { pieceOf, studyOf, workOf } from '../accounts/ownership';
import { database } from '../database/connection';
import { holdAgainst } from '../pieces/against';
import { inGroup } from '../studies/groups';
import { addPiece, noteFinding, placeCorners, removePiece } from '../pieces/pieces';
import { jobs, pieces } from '../schema';
import { placeLandmarks } from '../studies/landmarks';
import { addReference } from '../studies/references';
import { addRule } from '../studies/rules';
import { updateStudy } from '../studies/studies';
import { addFact } from '../studies/noted';
import { cropWork } from '../studies/remaking';
import { addWork, removeWork, updateWork } from '../studies/works';
import { step } from './log';

/** What an edit is called matters to none of these. */
const LABEL = message('edits.points');

afterAll(leave);

let teacher = '';
let study = '';
let work = '';
let piece = '';
beforeEach(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher);
  work = await addWork(teacher, study, await sheetBytes(61), 'w.png', { widthMm: 200 });
  piece = await addPiece(teacher, study, await sheetBytes(62), 'p.png', {
    studentId: null,
    kind: 'copy',
    attempt: null,
    title: '',
    paperWidthMm: 297,
    paperHeightMm: 210,
  });
  await database().update(pieces).set({ state: 'ready' }).where(eq(pieces.id, piece));
});

/** What `act` asks for, as kinds and whom about. */
async function asking(act: () => Promise<unknown>): Promise<string[]> {
  const db = database();
  await db.delete(jobs).where(eq(jobs.studyId, study));
  await act();
  const rows = await db.select().from(jobs).where(eq(jobs.studyId, study));
  return rows.map((j) => `${j.kind} ${j.pieceId === piece ? 'piece' : j.workId === work ? 'work' : 'other'}`).sort();
}
const undo = () => asking(() => step(teacher, study, 'undo'));
const redo = () => asking(() => step(teacher, study, 'redo'));
const change = async (fields: Parameters<typeof updateWork>[3]) => updateWork(teacher, work, (await workOf(teacher, work)).version, fields);
const MEASURE = ['measure-work work'];
const COMPARE = ['compare-piece piece'];

test('a work’s width and cropping ask for measuring; its words and facts ask for nothing', async () => {
  expect(await asking(() => change({ widthMm: 300 }))).toEqual(MEASURE);
  expect([await undo(), await redo()]).toEqual([MEASURE, MEASURE]);
  expect(await asking(() => change({ title: 'Ferry', dated: '1921', impressions: 'It leans.', group: 'early' }))).toEqual([]);
  expect([await undo(), await redo()]).toEqual([[], []]);
  expect(await asking(() => addFact(teacher, work, 'Drawn at night.', null))).toEqual([]);
  const crop = async () => cropWork(teacher, work, (await workOf(teacher, work)).version, { x: 0, y: 0, w: 200, h: 200, turn: 0 });
  expect(await asking(crop)).toEqual(MEASURE);
  expect(await undo()).toEqual(MEASURE);
});

test('a foil, a removed work and another aim ask for comparing; what is brought back is measured first', async () => {
  expect(await asking(() => change({ foil: true }))).toEqual(COMPARE);
  expect(await undo()).toEqual(COMPARE);
  expect(await asking(() => removeWork(teacher, work))).toEqual(COMPARE);
  expect(await undo()).toEqual(MEASURE);
  const aim = async () => updateStudy(teacher, study, (await studyOf(teacher, study)).version, { aim: 'replica' });
  expect(await asking(aim)).toEqual(COMPARE);
  expect(await undo()).toEqual(COMPARE);
  const led = async () => updateStudy(teacher, study, (await studyOf(teacher, study)).version, { led: true });
  expect(await asking(led)).toEqual(COMPARE);
  expect(await undo()).toEqual(COMPARE);
  const title = async () => updateStudy(teacher, study, (await studyOf(teacher, study)).version, { title: 'Renamed' });
  expect(await asking(title)).toEqual([]);
});

test('points on a work or the piece ask for comparing, points on a reference for nothing', async () => {
  const place = (subject: 'work' | 'piece' | 'reference', subjectId: string) => () =>
    placeLandmarks(teacher, { subject, subjectId, template: 'free' }, 0, { a: [1, 2] }, LABEL);
  for (const [subject, id] of [
    ['work', work],
    ['piece', piece],
  ] as const) {
    expect(await asking(place(subject, id))).toEqual(COMPARE);
    expect([await undo(), await redo()]).toEqual([COMPARE, COMPARE]);
  }
  const reference = await addReference(teacher, study, await sheetBytes(63), 'r.png', {});
  expect(await asking(place('reference', reference))).toEqual([]);
  // A teacher's own kind of points is compared like those of the house, and compared anew when the kind is changed.
  const points = [{ name: 'bow', at: [0, 0] }];
  const template = ownKey(await addTemplate(teacher, study, { name: 'Boat', points, shapes: [], unit: null, measures: [] }));
  const own = (version: number, x: number) => async () =>
    placeLandmarks(teacher, { subject: 'work', subjectId: work, template }, version, { bow: [x, 1] }, LABEL);
  expect(await asking(own(0, 1))).toEqual(COMPARE);
  expect(await asking(own(1, 2))).toEqual(COMPARE);
  const changed = { name: 'Boat', points: [...points, { name: 'stern', at: [1, 0] }], shapes: [], unit: null, measures: [] };
  expect(await asking(() => changeTemplate(teacher, study, ownId(template)!, 1, changed, {}))).toEqual(COMPARE);
  expect(await undo()).toEqual(COMPARE);
});

test('corners ask for squaring up, first of all; a removed piece for nothing, and brought back for what it lacks', async () => {
  const stateOf = async () => (await database().select({ state: pieces.state }).from(pieces).where(eq(pieces.id, piece)))[0]?.state;
  const corners: [number, number][] = [
    [0, 0],
    [400, 0],
    [400, 300],
    [0, 300],
  ];
  expect(await asking(() => placeCorners(teacher, piece, 1, corners))).toEqual(['process-piece piece']);
  expect(await stateOf()).toBe('waiting');
  const [job] = await database().select().from(jobs).where(eq(jobs.pieceId, piece));
  expect(job.priority).toBeGreaterThan(5);
  expect(await undo()).toEqual(['process-piece piece']);
  await database().update(pieces).set({ state: 'ready' }).where(eq(pieces.id, piece));
  expect(await asking(() => removePiece(teacher, piece))).toEqual([]);
  expect([await undo(), await redo()]).toEqual([COMPARE, []]);
});

test('a frame and places left out ask for measuring, and a frame outside the picture is refused', async () => {
  expect(await asking(() => change({ frame: [10, 10, 300, 200] }))).toEqual(MEASURE);
  expect((await workOf(teacher, work)).place).not.toBe('');
  const left: [number, number][] = [
    [20, 20],
    [60, 20],
    [60, 60],
  ];
  expect(await asking(() => change({ leftOut: [left] }))).toEqual(MEASURE);
  expect(await undo()).toEqual(MEASURE);
  expect(await workOf(teacher, work)).toMatchObject({ frame: [10, 10, 300, 200], leftOut: null });
  await expect(change({ frame: [400, 10, 300, 200] })).rejects.toMatchObject({ status: 400, field: 'frame' });
  // By one px too: the core would not read it.
  await expect(change({ frame: [10, 10, 471, 200] })).rejects.toMatchObject({ status: 400, field: 'frame' });
  // As it was, it is read as it was.
  expect(await asking(() => change({ frame: null }))).toEqual(MEASURE);
  expect((await workOf(teacher, work)).place).toBe('');
});

test('a piece held against one group of works is compared again when that is chosen, or the group changes; other groups leave it alone', async () => {
  await change({ group: 'early' });
  const { groupId } = await workOf(teacher, work);
  const version = async () => (await pieceOf(teacher, piece)).version;
  expect(await asking(async () => holdAgainst(teacher, piece, await version(), groupId))).toEqual(COMPARE);
  expect((await pieceOf(teacher, piece)).groupId).toBe(groupId);
  expect(await asking(() => change({ group: 'late' }))).toEqual(COMPARE);
  expect(await undo()).toEqual(COMPARE);
  await expect(holdAgainst(teacher, piece, await version(), 'elsewhere')).rejects.toMatchObject({ status: 404 });
  await expect(holdAgainst(teacher, piece, 99, null)).rejects.toMatchObject({ status: 409 });
  expect(await asking(async () => holdAgainst(teacher, piece, await version(), null))).toEqual(COMPARE);
  expect(await asking(() => change({ group: 'late' }))).toEqual([]);
});

test('without a choice a piece is held against all works; a group that has lost its works stands for all of them, too', () => {
  const list = [{ groupId: 'a' }, { groupId: null }, { groupId: 'b' }];
  expect(inGroup(list, null)).toEqual(list);
  expect(inGroup(list, 'b')).toEqual([{ groupId: 'b' }]);
  expect(inGroup(list, 'gone')).toEqual(list);
});

test('a rule about a reading is part of the comparison; its words are not', async () => {
  const rule = { kind: 'feature', feature: 'marks.spacing', sentence: 'X.', evidence: '' } as const;
  expect(await asking(() => addRule(teacher, study, rule))).toEqual(COMPARE);
  expect(await asking(() => addRule(teacher, study, { ...rule, sentence: 'Y.' }))).toEqual([]);
  expect([await undo(), await undo()]).toEqual([[], COMPARE]);
});

test('notes and sentences a person answers ask for nothing', async () => {
  expect(await asking(() => noteFinding(teacher, piece, { feature: 'marks.spacing', setAside: true, note: '', version: 0 }))).toEqual([]);
  expect(await asking(() => addRule(teacher, study, { kind: 'never', feature: '', sentence: 'X.', evidence: '' }))).toEqual([]);
  expect(await undo()).toEqual([]);
});
