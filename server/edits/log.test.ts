/** The log of edits over everything that can be placed or changed. */
import { stepOf } from '../../core/lesson/wishes';
import { english } from '../../tests/support/english';
import { message } from '../../core/message';
import { leave, newClass, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { desc, eq } from 'drizzle-orm';
import { getTableConfig, type MySqlTable } from 'drizzle-orm/mysql-core';
import { TABLES } from '../../tests/support/counting';
import { planOf as planFor, savePlan, StoredPlan } from '../lessons/plans';
import {
  addPiece,
  answerRule,
  answersOf,
  changeSheet,
  comparisonOf,
  listPieces,
  noteFinding,
  placeCorners,
  removePiece,
} from '../pieces/pieces';
import { database, newId } from '../database/connection';
import { edits, facts, findingNotes, landmarkSets, pieces, pins, plans, referencePictures, ruleAnswers, rules, works } from '../schema';
import { createClass, rosterOf } from '../classes/classes';
import { landmarksOf, placeLandmarks } from '../studies/landmarks';
import { referenceOf, studyOf, workOf } from '../accounts/ownership';
import { addReference, changeReference, listReferences, removeReference, tickRule } from '../studies/references';
import { addRule, changeRule, listRules, removeRule } from '../studies/rules';
import { addFact, addPin, factsOf, pinsOf, removeFact } from '../studies/noted';
import { cropWork } from '../studies/remaking';
import { addWork, listWorks as worksIn, removeWork, updateWork } from '../studies/works';
import { updateStudy } from '../studies/studies';
import { editState, step } from './log';
import { partsOf } from './rows';

/** What an edit is called matters to none of these. */
const LABEL = message('edits.points');

afterAll(leave);

let teacher = '';
let study = '';
beforeEach(async () => {
  teacher = await newTeacher();
  study = await newStudy(teacher);
});
const undo = async () => english((await step(teacher, study, 'undo')).label);
const redo = async () => english((await step(teacher, study, 'redo')).label);
const planOf = async (by: string, id: string) => planFor(await studyOf(by, id));
const listWorks = async () => {
  const [facts, pins] = [await factsOf(study), await pinsOf(study)];
  return (await worksIn(study)).map((w) => ({ ...w, facts: facts.get(w.id) ?? [], pins: pins.get(w.id) ?? [] }));
};
const sentences = async () => (await listRules(study)).map((r) => r.sentence);
const never = (sentence: string) => addRule(teacher, study, { kind: 'never', feature: '', sentence, evidence: '' });
const conflict = { status: 409, message: expect.stringMatching(/changed in another window/) };

test('rules: added, changed and removed, back to nothing and forth again', async () => {
  const id = await never('Hands are never shown.');
  const [{ version }] = await listRules(study);
  await changeRule(teacher, study, id, version, { sentence: 'No hand is ever shown.' });
  await removeRule(teacher, study, id);
  const states = [['No hand is ever shown.'], ['Hands are never shown.'], []];
  for (const state of states) {
    await undo();
    expect(await sentences()).toEqual(state);
  }
  await expect(undo()).rejects.toMatchObject({ status: 400, message: 'There is nothing to undo.' });
  for (const state of [['Hands are never shown.'], ['No hand is ever shown.'], []]) {
    await redo();
    expect(await sentences()).toEqual(state);
  }
  await expect(redo()).rejects.toMatchObject({ message: 'There is nothing to redo.' });
});

test('a new edit ends what could have been redone; the bar says what comes next', async () => {
  await never('One.');
  await never('Two.');
  expect(await undo()).toMatch(/Two/);
  const { undo: taken, redo: again } = await editState(teacher, study);
  expect([english(taken!), english(again!)]).toEqual([expect.stringMatching(/One/), expect.stringMatching(/Two/)]);
  await never('Three.');
  expect((await editState(teacher, study)).redo).toBeNull();
  await expect(step(await newTeacher(), study, 'undo')).rejects.toMatchObject({ status: 404 });
});

test('an older window is refused, and a window that slept through an undo too', async () => {
  const id = await never('One.');
  const [{ version }] = await listRules(study);
  await changeRule(teacher, study, id, version, { sentence: 'Two.' });
  await expect(changeRule(teacher, study, id, version, { sentence: 'Three.' })).rejects.toMatchObject(conflict);
  const [{ version: second }] = await listRules(study);
  await undo();
  await expect(changeRule(teacher, study, id, second, { sentence: 'Four.' })).rejects.toMatchObject(conflict);
  expect(await sentences()).toEqual(['One.']);
});

test('a feature has one rule; sixty rules are enough', async () => {
  const rule = { kind: 'feature' as const, feature: 'marks.spacing', evidence: '' };
  const id = await addRule(teacher, study, { ...rule, sentence: 'Lines 2 mm apart.' });
  expect(await addRule(teacher, study, { ...rule, sentence: 'Lines 1.6 mm apart.' })).toBe(id);
  expect(await sentences()).toEqual(['Lines 1.6 mm apart.']);
  for (let i = 1; i < 60; i++) await never(`Rule ${i}.`);
  await expect(never('One too many.')).rejects.toMatchObject({ status: 400, message: expect.stringMatching(/at most 60/) });
});

test('points: placed, moved, undone; the wrong template and too many points are named', async () => {
  const work = await addWork(teacher, study, await sheetBytes(), 'a.png', {});
  const key = { subject: 'work' as const, subjectId: work, template: 'figure-standing' };
  const first = await placeLandmarks(teacher, key, 0, { crown: [10, 10] }, LABEL);
  const second = await placeLandmarks(teacher, key, first, { crown: [10, 10], chin: [10, 40] }, LABEL);
  await expect(placeLandmarks(teacher, key, first, { crown: [0, 0] }, LABEL)).rejects.toMatchObject(conflict);
  await undo();
  const [now] = await landmarksOf(teacher, 'work', work);
  expect(now.points).toEqual({ crown: [10, 10] });
  expect(now.version).toBeGreaterThan(second);
  await undo();
  expect(await landmarksOf(teacher, 'work', work)).toEqual([]);
  await expect(placeLandmarks(teacher, { ...key, template: 'dog' }, 0, {}, LABEL)).rejects.toMatchObject({ field: 'template' });
  const many = Object.fromEntries(Array.from({ length: 81 }, (_, i) => [`p${i}`, [i, i] as [number, number]]));
  await expect(placeLandmarks(teacher, { ...key, template: 'free' }, 0, many, LABEL)).rejects.toMatchObject({ field: 'points' });
  await expect(placeLandmarks(await newTeacher(), key, 0, {}, LABEL)).rejects.toMatchObject({ status: 404 });
  // What is placed without a label, as the demo's points are, stands in no log.
  await placeLandmarks(teacher, { ...key, template: 'free' }, 0, { a: [1, 2] }, null);
  expect((await editState(teacher, study)).undo).toBeNull();
});

test('a work: sizes, impressions, facts, patches and its removal all come back', async () => {
  const id = await addWork(teacher, study, await sheetBytes(), 'Ferry.png', { widthMm: 300 });
  await updateWork(teacher, id, (await workOf(teacher, id)).version, { widthMm: 420, group: 'late' });
  await updateWork(teacher, id, (await workOf(teacher, id)).version, { impressions: 'It leans.' });
  const fact = await addFact(teacher, id, 'Drawn at night.', null);
  await addPin(teacher, id, [10, 10, 100, 80], { kind: 'parallel-hatch' });
  await placeLandmarks(teacher, { subject: 'work', subjectId: id, template: 'free' }, 0, { mast: [50, 60] }, LABEL);
  await removeFact(teacher, id, fact);
  await removeWork(teacher, id);
  expect(await listWorks()).toEqual([]);
  await undo();
  const [back] = await listWorks();
  expect(back).toMatchObject({ title: 'Ferry', widthMm: 420, group: 'late', impressions: 'It leans.', facts: [] });
  expect(back.pins).toMatchObject([{ patch: [10, 10, 100, 80], reading: { kind: 'parallel-hatch' } }]);
  expect((await landmarksOf(teacher, 'work', id))[0].points).toEqual({ mast: [50, 60] });
  for (let i = 0; i < 5; i++) await undo();
  const [first] = await listWorks();
  expect(first).toMatchObject({ widthMm: 420, impressions: '', facts: [], pins: [] });
  await undo();
  expect((await listWorks())[0]).toMatchObject({ widthMm: 300, group: null });
});

test('cropping carries points and patches along and back; a stale window and a frame outside are refused', async () => {
  const id = await addWork(teacher, study, await sheetBytes(13, 400, 300), 'a.png', {});
  await placeLandmarks(teacher, { subject: 'work', subjectId: id, template: 'free' }, 0, { in: [120, 90], out: [10, 10] }, LABEL);
  await addPin(teacher, id, [110, 80, 60, 40], {});
  const { version, pictureId } = await workOf(teacher, id);
  const crop = { x: 100, y: 50, w: 200, h: 150, turn: 90 as const };
  await expect(cropWork(teacher, id, version, { ...crop, w: 900 })).rejects.toMatchObject({ field: 'crop' });
  await expect(cropWork(teacher, id, version, { ...crop, w: 4 })).rejects.toMatchObject({ field: 'crop' });
  await cropWork(teacher, id, version, crop);
  const [cut] = await listWorks();
  expect([cut.pictureWidth, cut.pictureHeight]).toEqual([150, 200]);
  expect(cut.pins[0].patch).toEqual([80, 10, 40, 60]);
  expect((await landmarksOf(teacher, 'work', id))[0].points).toEqual({ in: [110, 20] });
  await expect(cropWork(teacher, id, version, { ...crop, x: 0, y: 0, w: 100, h: 100 })).rejects.toMatchObject(conflict);
  await undo();
  const [whole] = await listWorks();
  expect(whole.pictureId).toBe(pictureId);
  expect(whole.pins[0].patch).toEqual([110, 80, 60, 40]);
  expect((await landmarksOf(teacher, 'work', id))[0].points).toEqual({ in: [120, 90], out: [10, 10] });
});

test('a plan is changed, refused when stale, and undone', async () => {
  const { plan, version } = await planOf(teacher, study);
  expect(version).toBe(0);
  const next: StoredPlan = { ...plan, minutesPerPeriod: 30 };
  const saved = await savePlan(teacher, study, 0, next, LABEL);
  await savePlan(teacher, study, saved, { ...next, classSize: 24 }, LABEL);
  await expect(savePlan(teacher, study, saved, next, LABEL)).rejects.toMatchObject(conflict);
  const unknown = { ...next, steps: [stepOf('levitation')] };
  await expect(savePlan(teacher, study, saved + 1, unknown, LABEL)).rejects.toMatchObject({ field: 'steps' });
  await undo();
  expect((await planOf(teacher, study)).plan).toMatchObject({ minutesPerPeriod: 30, classSize: 1 });
  await undo();
  expect((await planOf(teacher, study)).plan.minutesPerPeriod).toBe(50);
});

test('a reference: strength, ticks and removal', async () => {
  const rule = await never('Hands are never shown.');
  const id = await addReference(teacher, study, await sheetBytes(), 'Neighbour.png', {});
  await changeReference(teacher, id, (await referenceOf(teacher, id)).version, { strength: 0.4, parts: { head: 1 } });
  await expect(changeReference(teacher, id, 1, { strength: 0.1 })).rejects.toMatchObject(conflict);
  await tickRule(teacher, id, rule, true);
  await removeReference(teacher, id);
  expect(await listReferences(study)).toEqual([]);
  await undo();
  expect(await listReferences(study)).toMatchObject([{ title: 'Neighbour', strength: 0.4, parts: { head: 1 }, done: [rule] }]);
  await undo();
  await undo();
  expect(await listReferences(study)).toMatchObject([{ strength: 1, parts: {}, done: [] }]);
  const elsewhere = await newStudy(teacher);
  const foreign = await addRule(teacher, elsewhere, { kind: 'never', feature: '', sentence: 'X.', evidence: '' });
  await expect(tickRule(teacher, id, foreign, true)).rejects.toMatchObject({ status: 404 });
});

test('a piece: attempts are numbered, corners, notes and answers undone, a removed one brought back', async () => {
  const classId = await newClass(teacher);
  study = await newStudy(teacher, { classId });
  const [ada, bo] = await rosterOf(study);
  const rule = await never('Hands are never shown.');
  const photo = await sheetBytes(15);
  const about = { studentId: ada.id, kind: 'copy' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
  const id = await addPiece(teacher, study, photo, 'a.png', about);
  await addPiece(teacher, study, photo, 'b.png', about);
  await addPiece(teacher, study, photo, 'c.png', { ...about, studentId: bo.id });
  await addPiece(teacher, study, photo, 'd.png', { ...about, kind: 'original' });
  expect((await listPieces(study)).map((p) => [p.student, p.kind, p.attempt])).toEqual([
    ['Ada M', 'copy', 1],
    ['Ada M', 'copy', 2],
    ['Ada M', 'original', 1],
    ['Bo M', 'copy', 1],
  ]);
  await expect(addPiece(teacher, study, photo, 'e.png', { ...about, attempt: 2 })).rejects.toMatchObject({ status: 409, field: 'attempt' });
  const otherClass = await createClass(teacher, '8B', '', [{ firstName: 'Dov', initial: 'K' }]);
  const [stranger] = await rosterOf(await newStudy(teacher, { classId: otherClass }));
  await expect(addPiece(teacher, study, photo, 'f.png', { ...about, studentId: stranger.id })).rejects.toMatchObject({ status: 404 });
  const corners: [number, number][] = [
    [0, 0],
    [480, 0],
    [480, 340],
    [0, 340],
  ];
  await placeCorners(teacher, id, 1, corners);
  await expect(placeCorners(teacher, id, 1, corners)).rejects.toMatchObject(conflict);
  await noteFinding(teacher, id, { feature: 'marks.spacing', setAside: true, note: '', version: 0 });
  await noteFinding(teacher, id, { feature: 'marks.spacing', setAside: true, note: 'A new pen.', version: 1 });
  await answerRule(teacher, id, rule, true);
  await answerRule(teacher, id, rule, false);
  await removePiece(teacher, id);
  expect(await listPieces(study)).toHaveLength(3);
  await undo();
  const told = async () => {
    const { notes } = await comparisonOf(id);
    const answers = await answersOf(id);
    return [notes.map((n) => [n.setAside, n.note]), answers.map((a) => a.met)];
  };
  expect(await told()).toEqual([[[true, 'A new pen.']], [false]]);
  await undo();
  expect(await told()).toEqual([[[true, 'A new pen.']], [true]]);
  await undo();
  await undo();
  expect(await told()).toEqual([[[true, '']], []]);
  await undo();
  expect(await told()).toEqual([[], []]);
  await undo();
  expect((await listPieces(study))[0]).toMatchObject({ corners: null, placedByHand: false });
});

test('undo meets what stands in its way: it says so, changes nothing, and lets the rest be undone', async () => {
  await never('One.');
  const about = { studentId: null, kind: 'warm-up' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
  const first = await addPiece(teacher, study, await sheetBytes(41), 'a.png', about);
  await removePiece(teacher, first);
  // The number is free again, and taken by the next.
  const second = await addPiece(teacher, study, await sheetBytes(42), 'b.png', about);
  const stepped = await step(teacher, study, 'undo');
  expect(english(stepped.problem!)).toMatch(/“removing warm-up 1” cannot be undone: something else stands in its place now/);
  expect((await listPieces(study)).map((p) => p.id)).toEqual([second]);
  expect(await undo()).toMatch(/One/);
  expect(await sentences()).toEqual([]);
  await expect(undo()).rejects.toMatchObject({ message: 'There is nothing to undo.' });
});

test('undo of a removed rule brings its answers and ticks back, save those whose piece is gone', async () => {
  const rule = await never('Hands are never shown.');
  const about = { studentId: null, kind: 'copy' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
  const [one, two] = [
    await addPiece(teacher, study, await sheetBytes(43), 'a.png', about),
    await addPiece(teacher, study, await sheetBytes(44), 'b.png', about),
  ];
  const reference = await addReference(teacher, study, await sheetBytes(45), 'r.png', {});
  await answerRule(teacher, one, rule, true);
  await answerRule(teacher, two, rule, false);
  await tickRule(teacher, reference, rule, true);
  await removeRule(teacher, study, rule);
  expect(await answersOf(one)).toEqual([]);
  await database().delete(pieces).where(eq(pieces.id, two));
  await undo();
  expect(await sentences()).toEqual(['Hands are never shown.']);
  expect(await answersOf(one)).toEqual([{ ruleId: rule, met: true }]);
  expect((await listReferences(study))[0].done).toEqual([rule]);
});

test('an undo takes back its own edit alone: the fact another window has added since stays', async () => {
  const work = await addWork(teacher, study, await sheetBytes(46), 'a.png', {});
  await addFact(teacher, work, 'From one window.', null);
  // Not in this log, as if written by another server in the same moment.
  await database().insert(facts).values({ id: newId(), workId: work, text: 'From another.', source: null });
  await undo();
  expect((await listWorks())[0].facts.map((f) => f.text)).toEqual(['From another.']);
});

test('the log holds changed rows only: a title changed beside two hundred patches is a short entry', async () => {
  const work = await addWork(teacher, study, await sheetBytes(47), 'a.png', {});
  const reading = { kind: 'line', words: 'x'.repeat(3000) };
  for (let i = 0; i < 20; i++) await addPin(teacher, work, [i, i, 50, 50], reading);
  await updateWork(teacher, work, (await workOf(teacher, work)).version, { title: 'Evening ferry' });
  const [last] = await database().select().from(edits).where(eq(edits.studyId, study)).orderBy(desc(edits.id)).limit(1);
  expect(last.changes).toEqual([{ table: 'works', key: { id: work }, before: { title: 'a' }, after: { title: 'Evening ferry' } }]);
});

test('a bundle holds every child: whatever the schema deletes along with a row is brought back with it', () => {
  // A part of a work hangs on a work: once round is enough.
  const names = (table: MySqlTable): string[] =>
    partsOf(table).flatMap((p) => [getTableConfig(p.table).name, ...(p.table === table ? [] : names(p.table))]);
  // Every table whose rows hang, by cascade, on what undo can bring back; a new one must be here, or be no part on purpose.
  const undoable = [works, pieces, referencePictures, rules, plans, landmarkSets, findingNotes, ruleAnswers, facts, pins];
  const covered = new Set(undoable.flatMap((t) => [getTableConfig(t).name, ...names(t)]));
  const noPart = new Set(['jobs', 'edits', 'edit_pictures']);
  for (const child of TABLES)
    for (const key of getTableConfig(child).foreignKeys) {
      const parent = getTableConfig(key.reference().foreignTable).name;
      const name = getTableConfig(child).name;
      if (covered.has(parent) && key.onDelete === 'cascade' && !noPart.has(name)) expect([name, covered.has(name)]).toEqual([name, true]);
      // What would be deleted without a cascade would make the removal itself fail.
      if (covered.has(parent)) expect([name, key.onDelete]).toEqual([name, expect.stringMatching(/cascade|set null/)]);
    }
  expect([...covered]).toEqual(expect.arrayContaining(['comparisons', 'reference_checks', 'plan_steps']));
});

describe('two windows at the same moment', () => {
  const both = <T>(one: () => Promise<T>, two: () => Promise<T>) => Promise.allSettled([one(), two()]);
  const outcome = (r: PromiseSettledResult<unknown>[]) =>
    r.map((s) => (s.status === 'fulfilled' ? 'saved' : (s.reason as { status?: number }).status)).sort();

  test('a study changed in both: one is saved, the other told', async () => {
    const set = (title: string) => () => updateStudy(teacher, study, 1, { title });
    expect(outcome(await both(set('One'), set('Two')))).toEqual([409, 'saved']);
    expect((await studyOf(teacher, study)).version).toBe(2);
    await undo();
    expect((await studyOf(teacher, study)).title).toBe('A study');
  });

  test('a note on a finding, and first points on a work', async () => {
    const about = { studentId: null, kind: 'copy' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
    const piece = await addPiece(teacher, study, await sheetBytes(48), 'a.png', about);
    const note = (text: string) => () => noteFinding(teacher, piece, { feature: 'marks.spacing', setAside: false, note: text, version: 0 });
    expect(outcome(await both(note('One.'), note('Two.')))).toEqual([409, 'saved']);
    const work = await addWork(teacher, study, await sheetBytes(49), 'a.png', {});
    const point = (x: number) => () =>
      placeLandmarks(teacher, { subject: 'work', subjectId: work, template: 'free' }, 0, { a: [x, 1] }, LABEL);
    expect(outcome(await both(point(1), point(2)))).toEqual([409, 'saved']);
    expect(await landmarksOf(teacher, 'work', work)).toHaveLength(1);
  });

  test('six equal rules are one; two photographs by one maker are two attempts', async () => {
    const rule = { kind: 'feature' as const, feature: 'marks.spacing', sentence: 'Lines 2 mm apart.', evidence: '' };
    const ids = await Promise.all(Array.from({ length: 6 }, () => addRule(teacher, study, rule)));
    expect(new Set(ids).size).toBe(1);
    expect(await sentences()).toHaveLength(1);
    const about = { studentId: null, kind: 'copy' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
    const photo = await sheetBytes(50);
    await Promise.all([1, 2, 3, 4].map(() => addPiece(teacher, study, photo, 'a.png', about)));
    expect((await listPieces(study)).map((p) => p.attempt)).toEqual([1, 2, 3, 4]);
  });
});

test('a piece made on another sheet waits to be squared up to it, and goes back with undo', async () => {
  const about = { studentId: null, kind: 'copy' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
  const id = await addPiece(teacher, study, await sheetBytes(33), 'a.png', about);
  await database().update(pieces).set({ state: 'ready' }).where(eq(pieces.id, id));
  const [{ version }] = await listPieces(study);
  await expect(changeSheet(teacher, id, version + 1, { paperWidthMm: 210, paperHeightMm: 297 })).rejects.toMatchObject(conflict);
  await changeSheet(teacher, id, version, { paperWidthMm: 210, paperHeightMm: 297 });
  expect((await listPieces(study))[0]).toMatchObject({ paperWidthMm: 210, paperHeightMm: 297, state: 'waiting' });
  expect(await undo()).toBe('the sheet of a piece');
  expect((await listPieces(study))[0]).toMatchObject({ paperWidthMm: 297, paperHeightMm: 210 });
});
