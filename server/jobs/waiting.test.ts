/** Nothing waits unasked, and no comparison stays that was made from something else. */
import { message } from '../../core/message';
import { eq } from 'drizzle-orm';
import { PROFILE_VERSION } from '../../core/style/profile';
import { emptySchool, leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { pieceOf, workOf } from '../accounts/ownership';
import { connectedFor, database } from '../database/connection';
import { addPiece, placeCorners } from '../pieces/pieces';
import { comparePiece, processPiece } from '../pieces/processing';
import { ensureProfile } from '../pictures/readings';
import { claim, finish, Job } from '../queue/queue';
import { comparisons, jobs, works } from '../schema';
import { placeLandmarks } from '../studies/landmarks';
import { addWork, updateWork } from '../studies/works';
import { askForStale, askForWhatWaits } from './waiting';

/** What an edit is called matters to none of these. */
const LABEL = message('edits.points');

afterAll(leave);

const db = () => database();
const CORNERS: [number, number][] = [
  [0, 0],
  [480, 0],
  [480, 340],
  [0, 340],
];
let teacher = '';
let study = '';
beforeEach(async () => {
  await emptySchool();
  teacher = await newTeacher();
  study = await newStudy(teacher);
});
const asked = async (): Promise<Job[]> => db().select().from(jobs).where(eq(jobs.studyId, study));
const clear = () => db().delete(jobs);
const handIn = async (spacing: number) =>
  addPiece(teacher, study, await sheetBytes(spacing), 'a.png', {
    studentId: null,
    kind: 'original',
    attempt: null,
    title: '',
    paperWidthMm: 297,
    paperHeightMm: 210,
  });

async function compared(): Promise<{ work: string; piece: string }> {
  const work = await addWork(teacher, study, await sheetBytes(16), 'w.png', { widthMm: 297 });
  const { pictureId } = await workOf(teacher, work);
  await ensureProfile(teacher, { pictureId, widthMm: 297 });
  const piece = await handIn(20);
  await placeCorners(teacher, piece, 1, CORNERS);
  await connectedFor('background', () => processPiece(teacher, piece));
  await comparePiece(teacher, piece);
  return { work, piece };
}

test('a photograph or a work that nobody asked about is asked for; what failed under this version waits for a person', async () => {
  const piece = await handIn(21);
  const work = await addWork(teacher, study, await sheetBytes(22), 'w.png', {});
  await clear();
  expect(await askForWhatWaits()).toMatchObject({ pieces: 1, works: 1 });
  expect((await asked()).map((j) => j.kind).sort()).toEqual(['measure-work', 'process-piece']);
  // On its way already: asking again adds and changes nothing.
  expect(await askForWhatWaits()).toMatchObject({ pieces: 0, works: 0 });
  await db().update(jobs).set({ state: 'failed' }).where(eq(jobs.studyId, study));
  expect(await askForWhatWaits()).toMatchObject({ pieces: 0, works: 0 });
  // A newer core may read what an older one could not.
  await db()
    .update(jobs)
    .set({ core: PROFILE_VERSION - 1 })
    .where(eq(jobs.studyId, study));
  expect(await askForWhatWaits()).toMatchObject({ pieces: 1, works: 1 });
  expect((await asked()).map((j) => [j.state, j.workId ?? j.pieceId]).sort()).toEqual(
    [
      ['queued', work],
      ['queued', piece],
    ].sort(),
  );
});

test('a comparison made from what is there now is left alone; one from anything else, or none, is asked for', async () => {
  const { work, piece } = await compared();
  const stale = async () => {
    await clear();
    await askForStale();
    return (await asked()).map((j) => j.pieceId);
  };
  expect(await stale()).toEqual([]);
  // Changed behind the edits' back, as by another version or a hand in the database.
  await db().update(works).set({ widthMm: 310 }).where(eq(works.id, work));
  expect(await stale()).toEqual([piece]);
  await db().update(works).set({ widthMm: 297 }).where(eq(works.id, work));
  expect(await stale()).toEqual([]);
  await db().update(comparisons).set({ stamp: 'older' }).where(eq(comparisons.pieceId, piece));
  expect(await stale()).toEqual([piece]);
  await db().delete(comparisons).where(eq(comparisons.pieceId, piece));
  expect(await stale()).toEqual([piece]);
  await comparePiece(teacher, piece);
  expect(await stale()).toEqual([]);
});

test('corners moved while the sheet is being squared up reach the reading, and the piece does not stay waiting', async () => {
  const piece = await handIn(23);
  await placeCorners(teacher, piece, 1, [
    [20, 20],
    [460, 20],
    [460, 320],
    [20, 320],
  ]);
  const job = (await claim(db(), 'me'))!;
  const running = connectedFor('background', () => processPiece(teacher, piece));
  await placeCorners(teacher, piece, 2, CORNERS);
  await running;
  // What was found of the old corners was not stored over the new ones.
  expect(await pieceOf(teacher, piece)).toMatchObject({ state: 'waiting', corners: CORNERS, rectifiedId: null });
  await finish(db(), job, 'me');
  const again = (await claim(db(), 'me'))!;
  expect(again.id).toBe(job.id);
  await connectedFor('background', () => processPiece(teacher, piece));
  await finish(db(), again, 'me');
  expect(await pieceOf(teacher, piece)).toMatchObject({ state: 'ready', corners: CORNERS });
});

test('a width changed while measuring, and points placed while comparing, are taken up once more', async () => {
  const { work, piece } = await compared();
  await clear();
  await updateWork(teacher, work, (await workOf(teacher, work)).version, { widthMm: 280 });
  const measuring = (await claim(db(), 'me'))!;
  await updateWork(teacher, work, (await workOf(teacher, work)).version, { widthMm: 260 });
  await finish(db(), measuring, 'me');
  expect(await claim(db(), 'me')).toMatchObject({ id: measuring.id });
  await clear();
  await placeLandmarks(teacher, { subject: 'piece', subjectId: piece, template: 'free' }, 0, { a: [1, 2] }, LABEL);
  const comparing = (await claim(db(), 'me'))!;
  expect(comparing).toMatchObject({ kind: 'compare-piece', pieceId: piece });
  await placeLandmarks(teacher, { subject: 'piece', subjectId: piece, template: 'free' }, 1, { a: [3, 4] }, LABEL);
  await finish(db(), comparing, 'me');
  expect(await claim(db(), 'me')).toMatchObject({ id: comparing.id });
});
