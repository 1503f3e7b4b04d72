/** Deleting means rows, waiting work, the log's memory and bytes: nothing of it is left, and nothing else is gone. */
import { english } from '../../tests/support/english';
import { message } from '../../core/message';
import { eq, sql } from 'drizzle-orm';
import { unzipSync } from 'fflate';
import { drawnPicture } from '../../tests/support/pictures';
import { everything } from '../../tests/support/counting';
import { emptySchool, leave, newClass, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { changing, connectedFor, database } from '../database/connection';
import { forgetOld, KEPT_DAYS, step } from '../edits/log';
import { studentArchive } from '../exports/student';
import { planOf, savePlan } from '../lessons/plans';
import { addPiece, answerRule, noteFinding, placeCorners, removePiece } from '../pieces/pieces';
import { comparePiece, processPiece } from '../pieces/processing';
import { sweepPictures } from '../pictures/dropping';
import { ensureProfile } from '../pictures/readings';
import { readPicture } from '../pictures/serve';
import { putPicture } from '../pictures/store';
import { blobs, edits, jobs, pictures, pieces, profiles, session } from '../schema';
import { rosterOf } from '../classes/classes';
import { placeLandmarks } from '../studies/landmarks';
import { pieceOf, studyOf, workOf } from '../accounts/ownership';
import { addReference, tickRule } from '../studies/references';
import { addRule } from '../studies/rules';
import { addFact, addPin } from '../studies/noted';
import { cropWork } from '../studies/remaking';
import { addWork } from '../studies/works';
import { accountGoing, classGoing, removeAccount, removeClass, removeStudent, removeStudy, studentGoing, studyGoing } from './removal';
import { sweep } from './sweep';

/** What an edit is called matters to none of these. */
const LABEL = message('edits.points');

beforeAll(emptySchool);
afterAll(leave);
beforeEach(async () => {
  // Work left waiting by other tests would be counted with what is made here.
  await database().delete(jobs);
});

const SHEET = { paperWidthMm: 297, paperHeightMm: 210 };
const CORNERS: [number, number][] = [
  [0, 0],
  [480, 0],
  [480, 340],
  [0, 340],
];

/** Everything that can hang on a student's piece and reference, and one piece removed but not yet forgotten. */
async function handIn(teacher: string, study: string, studentId: string | null, spacing: number): Promise<string> {
  const rule = await addRule(teacher, study, {
    kind: 'never',
    feature: '',
    sentence: 'Hands are shown.',
    evidence: '',
  });
  const about = { studentId, kind: 'original' as const, attempt: null, title: '', ...SHEET };
  const id = await addPiece(teacher, study, await sheetBytes(spacing), 'photo.png', about);
  await placeCorners(teacher, id, 1, CORNERS);
  await connectedFor('background', () => processPiece(teacher, id));
  await placeLandmarks(teacher, { subject: 'piece', subjectId: id, template: 'free' }, 0, { a: [3, 4] }, LABEL);
  await comparePiece(teacher, id);
  await noteFinding(teacher, id, { feature: 'marks.spacing', setAside: true, note: 'Seen by Ada.', version: 0 });
  await answerRule(teacher, id, rule, true);
  const reference = await addReference(teacher, study, await sheetBytes(spacing + 1), 'own.png', { studentId });
  await placeLandmarks(teacher, { subject: 'reference', subjectId: reference, template: 'free' }, 0, { b: [1, 2] }, LABEL);
  await tickRule(teacher, reference, rule, true);
  const removed = await addPiece(teacher, study, await sheetBytes(spacing + 2), 'removed.png', about);
  await removePiece(teacher, removed);
  return id;
}

async function wholeStudy(teacher: string, classId: string | null, spacing: number): Promise<{ study: string; work: string }> {
  const study = await newStudy(teacher, { classId });
  const work = await addWork(teacher, study, await sheetBytes(spacing), 'work.png', { widthMm: 297, group: 'early' });
  await addFact(teacher, work, 'Drawn at night.', null);
  await addPin(teacher, work, [10, 10, 100, 80], { kind: 'line' });
  await placeLandmarks(teacher, { subject: 'work', subjectId: work, template: 'free' }, 0, { mast: [50, 60] }, LABEL);
  await cropWork(teacher, work, (await workOf(teacher, work)).version, { x: 0, y: 0, w: 470, h: 330, turn: 0 });
  const { pictureId, widthMm } = await workOf(teacher, work);
  await ensureProfile(teacher, { pictureId, widthMm });
  const { plan } = await planOf(await studyOf(teacher, study));
  await savePlan(teacher, study, 0, plan, LABEL);
  return { study, work };
}

test('a study goes with every photograph, reading, job and edit; what another study shares stays', async () => {
  const teacher = await newTeacher();
  const classId = await newClass(teacher);
  const kept = await newStudy(teacher, { title: 'Kept' });
  // The same picture is in both studies.
  const shared = await addWork(teacher, kept, await sheetBytes(40), 'shared.png', {});
  await ensureProfile(teacher, await workOf(teacher, shared));
  const before = await everything();
  const { study } = await wholeStudy(teacher, classId, 31);
  await addWork(teacher, study, await sheetBytes(40), 'shared.png', {});
  const [student] = await rosterOf(study);
  const piece = await handIn(teacher, study, student.id, 33);
  const { photoId } = await pieceOf(teacher, piece);
  expect(await studyGoing(teacher, study)).toMatchObject({ name: 'A study', works: 2, pieces: 1 });
  await expect(removeStudy(teacher, study, 'Another study')).rejects.toMatchObject({
    status: 400,
    field: 'name',
    message: expect.stringMatching(/Nothing was deleted/),
  });
  expect((await readPicture(teacher, photoId, null, null)).bytes).not.toBeNull();
  await removeStudy(teacher, study, 'A study');
  // The shared picture was read at the scale of the comparison as well; what is left are readings of it alone.
  const { pictureId } = await workOf(teacher, shared);
  const left = await database().select({ of: profiles.pictureId }).from(profiles);
  expect(left.filter((p) => p.of !== pictureId)).toHaveLength(before.profiles - 1);
  expect({ ...(await everything()), profiles: before.profiles }).toEqual(before);
  await expect(readPicture(teacher, photoId, null, null)).rejects.toMatchObject({ status: 404 });
  expect((await readPicture(teacher, pictureId, null, null)).bytes).not.toBeNull();
});

test('a student goes from every study, and out of the log of edits; the others keep theirs', async () => {
  const teacher = await newTeacher();
  const classId = await newClass(teacher);
  const { study } = await wholeStudy(teacher, classId, 51);
  const other = (await wholeStudy(teacher, classId, 51)).study;
  const [ada, bo] = await rosterOf(study);
  const bos = await handIn(teacher, study, bo.id, 53);
  // The rules these pieces answer to belong to the study and stay.
  for (const id of [study, other]) await addRule(teacher, id, { kind: 'never', feature: '', sentence: 'X.', evidence: '' });
  const before = await everything();
  await handIn(teacher, study, ada.id, 57);
  await handIn(teacher, other, ada.id, 60);
  expect(await studentGoing(teacher, ada.id)).toMatchObject({ name: 'Ada M', pieces: 2 });
  await expect(removeStudent(await newTeacherGone(), ada.id, 'Ada M')).rejects.toMatchObject({ status: 404 });
  await removeStudent(teacher, ada.id, ' ada m');
  const after = await everything();
  // The student, two rules made on the way with their edits, and the points the rules' edits left.
  const { students, rules, edits: log, ...rest } = after;
  const { students: s, rules: r, edits: e, ...was } = before;
  expect(rest).toEqual(was);
  // The making of their class held their name: it is forgotten with them.
  expect([students, rules - r, log - e]).toEqual([s - 1, 2, 1]);
  expect((await readPicture(teacher, (await pieceOf(teacher, bos)).photoId, null, null)).bytes).not.toBeNull();
  // What remains of the log can still be walked back to its beginning.
  for (let i = 0; i < 4; i++) expect((await step(teacher, study, 'undo')).label).not.toBe('');
});

/** A teacher whose row does not disturb the counting. */
async function newTeacherGone(): Promise<string> {
  const id = await newTeacher();
  await removeAccount(id, `${id}@fennick.example`);
  return id;
}

test('a class goes with its students and their pieces; the study stays with its works', async () => {
  const teacher = await newTeacher();
  const alone = await newStudy(teacher);
  const before = await everything();
  const classId = await newClass(teacher);
  const study = await newStudy(teacher, { classId });
  const filled = await everything();
  const [ada] = await rosterOf(study);
  await addPiece(teacher, study, await sheetBytes(71), 'a.png', { studentId: ada.id, kind: 'copy', attempt: null, title: '', ...SHEET });
  expect(await classGoing(teacher, classId)).toMatchObject({ name: '7A', studies: 1, students: 3, pieces: 1 });
  await removeClass(teacher, classId, '7a');
  // With the class goes the edit that made it.
  expect(await everything()).toEqual({ ...filled, classes: before.classes, students: before.students, edits: filled.edits - 1 });
  expect((await studyOf(teacher, study)).classId).toBeNull();
  await removeStudy(teacher, study, 'A study');
  expect(await everything()).toEqual(before);
  expect((await studyOf(teacher, alone)).title).toBe('A study');
});

test('an account goes with everything in it, and takes nothing of anybody else’s along', async () => {
  const other = await newTeacher();
  const theirs = await addWork(other, await newStudy(other), await sheetBytes(81), 'a.png', {});
  const before = await everything();
  const teacher = await newTeacher();
  const now = new Date();
  await database()
    .insert(session)
    .values({ id: teacher, userId: teacher, token: teacher, expiresAt: new Date(Date.now() + 1e6), createdAt: now, updatedAt: now });
  const { study } = await wholeStudy(teacher, await newClass(teacher), 81);
  await handIn(teacher, study, null, 83);
  expect(await accountGoing(teacher)).toMatchObject({ studies: 1, works: 1, pieces: 1, students: 3 });
  await expect(removeAccount(teacher, 'somebody@fennick.example')).rejects.toMatchObject({ status: 400 });
  await removeAccount(teacher, `${teacher}@FENNICK.example`);
  expect(await everything()).toEqual(before);
  expect((await readPicture(other, (await workOf(other, theirs)).pictureId, null, null)).bytes).not.toBeNull();
});

test('a removed piece keeps its photograph until its undo has passed: thirty days, or two hundred later edits', async () => {
  const teacher = await newTeacher();
  const study = await newStudy(teacher);
  const { bytes } = await everything();
  const about = { studentId: null, kind: 'copy' as const, attempt: null, title: '', ...SHEET };
  const first = await addPiece(teacher, study, await sheetBytes(91), 'a.png', about);
  await removePiece(teacher, first);
  await sweepPictures(new Date(Date.now() + 7_200_000));
  expect((await everything()).bytes).toBeGreaterThan(bytes);
  expect((await step(teacher, study, 'undo')).problem).toBeNull();
  expect((await pieceOf(teacher, first)).attempt).toBe(1);
  await removePiece(teacher, first);
  const soon = new Date(Date.now() + (KEPT_DAYS - 1) * 86_400_000);
  await sweep(soon);
  expect((await everything()).bytes).toBeGreaterThan(bytes);
  await sweep(new Date(soon.getTime() + 2 * 86_400_000));
  expect((await everything()).bytes).toBe(bytes);
  await expect(step(teacher, study, 'undo')).rejects.toMatchObject({ message: 'There is nothing to undo.' });
  // And by later edits, whatever they are.
  const second = await addPiece(teacher, study, await sheetBytes(92), 'b.png', about);
  await removePiece(teacher, second);
  const log = () => database().select({ id: edits.id }).from(edits).where(eq(edits.studyId, study));
  const one = () => ({
    teacherId: teacher,
    studyId: study,
    subject: 'rule',
    subjectId: 'x',
    label: [message('edits.plan')],
    changes: [],
    at: new Date(),
  });
  await database()
    .insert(edits)
    .values(Array.from({ length: 199 }, one));
  await addRule(teacher, study, { kind: 'never', feature: '', sentence: 'One more.', evidence: '' });
  expect(await log()).toHaveLength(200);
  expect((await everything()).bytes).toBe(bytes);
  expect(await changing((tx) => forgetOld(tx, { teacherId: teacher, studyId: study }))).toBe(0);
});

test('bytes sent again while they are being swept away survive', async () => {
  const teacher = await newTeacher();
  const db = database();
  const shared = await drawnPicture(900, 700, 17).png().toBuffer();
  const about = {
    teacherId: teacher,
    role: 'original' as const,
    name: 'a.png',
    mime: 'image/png',
    width: 900,
    height: 700,
  };
  for (let round = 0; round < 6; round++) {
    const first = await changing((tx) => putPicture(tx, shared, about));
    await db
      .update(pictures)
      .set({ createdAt: new Date(0) })
      .where(eq(pictures.id, first));
    // An upload gives its picture a use within the transaction that stores it.
    const study = await newStudy(teacher);
    const upload = addPiece(teacher, study, shared, 'a.png', { studentId: null, kind: 'copy', attempt: null, title: '', ...SHEET });
    const [id] = await Promise.all([upload, sweepPictures(), sweepPictures()]);
    const { photoId } = await pieceOf(teacher, id);
    expect((await readPicture(teacher, photoId, null, null)).bytes?.equals(shared)).toBe(true);
    await db.delete(pieces).where(eq(pieces.id, id));
  }
  await sweepPictures(new Date(Date.now() + 3_700_000));
});

test('a sweep deletes pictures without a use after an hour, and bytes without a picture; not what has just come in', async () => {
  const teacher = await newTeacher();
  const db = database();
  const before = await everything();
  const bytes = await sheetBytes(95);
  const about = {
    teacherId: teacher,
    role: 'original' as const,
    name: 'a.png',
    mime: 'image/png',
    width: 480,
    height: 340,
  };
  const id = await changing((tx) => putPicture(tx, bytes, about));
  await changing((tx) => putPicture(tx, Buffer.concat([bytes, bytes]), { ...about, role: 'preview', madeFrom: id }));
  await db.insert(blobs).values({ sha256: 'f'.repeat(64), bytes: 3, complete: 0 });
  await sweepPictures();
  expect((await everything()).pictures).toBe(before.pictures + 2);
  expect(
    (
      await db
        .select({ n: sql<number>`count(*)` })
        .from(blobs)
        .where(eq(blobs.sha256, 'f'.repeat(64)))
    )[0].n,
  ).toBe(0);
  await sweepPictures(new Date(Date.now() + 3_700_000));
  expect(await everything()).toEqual(before);
});

test('everything about one student comes as one archive: pieces, readings, notes, what can still be undone, and no one else', async () => {
  const teacher = await newTeacher();
  const classId = await newClass(teacher);
  const { study } = await wholeStudy(teacher, classId, 101);
  const [ada, bo] = await rosterOf(study);
  await handIn(teacher, study, ada.id, 103);
  await handIn(teacher, study, bo.id, 107);
  const { stream, name } = await studentArchive(teacher, ada.id, english);
  expect(name).toBe('Ada-M.zip');
  const parts: Uint8Array[] = [];
  for await (const part of stream as unknown as AsyncIterable<Uint8Array>) parts.push(part);
  const files = unzipSync(new Uint8Array(Buffer.concat(parts)));
  const told = JSON.parse(Buffer.from(files['student.json']).toString()) as Record<string, never> & {
    pieces: {
      photograph: string;
      squaredUp: string;
      notes: { note: string }[];
      comparison: unknown;
      readings: unknown[];
      points: unknown[];
      rules: unknown[];
    }[];
    references: { picture: string; points: unknown[]; rules: unknown[] }[];
    edits: { label: string }[];
    otherPictures: string[];
  };
  expect(told.student).toEqual({ firstName: 'Ada', initial: 'M', class: '7A', leftHanded: false, needs: '', seat: '', table: '' });
  expect(told.pieces).toHaveLength(1);
  const [piece] = told.pieces;
  expect(piece.notes).toMatchObject([{ note: 'Seen by Ada.' }]);
  expect([piece.readings.length, piece.points.length, piece.rules.length, piece.comparison !== null]).toEqual([1, 1, 1, true]);
  expect(told.references).toMatchObject([{ rules: [{ done: true }], points: [{ template: 'free' }] }]);
  expect(told.edits.map((e) => e.label)).toContain('removing original 2');
  // Photograph, squared-up sheet, reference, and the removed piece's photograph, each as it was sent.
  const wanted = [piece.photograph, piece.squaredUp, told.references[0].picture, ...told.otherPictures];
  for (const path of wanted) expect(Object.keys(files)).toContain(path);
  expect(Buffer.from(files[piece.photograph]).equals(await sheetBytes(103))).toBe(true);
  expect(Object.keys(files)).toHaveLength(1 + new Set(wanted).size);
  await expect(studentArchive(await newTeacher(), ada.id, english)).rejects.toMatchObject({ status: 404 });
});
