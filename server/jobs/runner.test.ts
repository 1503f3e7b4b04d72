/** A server working through the queue, told how far it is, and stopped cleanly. */
import { message, typed } from '../../core/message';
import { eq } from 'drizzle-orm';
import { emptySchool, leave, newStudy, newTeacher, sheetBytes } from '../../tests/support/school';
import { workOf } from '../accounts/ownership';
import { database } from '../database/connection';
import { counted, isEnding } from '../ending';
import { addPiece, listPieces, placeCorners } from '../pieces/pieces';
import { profileOf } from '../pictures/readings';
import { Job } from '../queue/queue';
import { blobChunks, comparisons, jobs, pictures } from '../schema';
import { addWork } from '../studies/works';
import { endCleanly } from './ending';
import { startRunner } from './runner';
import { progressStream } from './stream';

jest.mock('../log', () => ({ log: { error: jest.fn(), warn: jest.fn(), info: jest.fn() } }));

const held = globalThis as { __oldhandRunner?: unknown; __oldhandEnding?: { ending: boolean; underWay: number } };
let teacher = '';
let study = '';
beforeEach(async () => {
  await emptySchool();
  teacher = await newTeacher();
  study = await newStudy(teacher);
});
afterEach(() => {
  delete held.__oldhandRunner;
  delete held.__oldhandEnding;
  jest.restoreAllMocks();
});
afterAll(leave);

const own = (): Promise<Job[]> => database().select().from(jobs).where(eq(jobs.studyId, study));
async function until(what: () => Promise<boolean>): Promise<void> {
  for (let i = 0; i < 600 && !(await what()); i++) await new Promise((done) => setTimeout(done, 100));
  expect(await what()).toBe(true);
}
/** The way a server ends, without ending the tests. */
async function end(): Promise<void> {
  const exit = jest.spyOn(process, 'exit').mockImplementation((() => undefined) as never);
  await endCleanly();
  expect(exit).toHaveBeenCalledWith(0);
}
const ABOUT = { studentId: null, kind: 'original' as const, attempt: null, title: '', paperWidthMm: 297, paperHeightMm: 210 };
const CORNERS: [number, number][] = [
  [0, 0],
  [480, 0],
  [480, 340],
  [0, 340],
];

test('a work and a photograph come to a comparison by themselves; one that is damaged says so on its piece, after one try', async () => {
  const work = await addWork(teacher, study, await sheetBytes(81), 'w.png', { widthMm: 297 });
  const piece = await addPiece(teacher, study, await sheetBytes(82), 'p.png', ABOUT);
  await placeCorners(teacher, piece, 1, CORNERS);
  const broken = await addPiece(teacher, study, await sheetBytes(83), 'broken.png', ABOUT);
  // Its bytes are spoiled where they lie: the photograph can no longer be read.
  const [{ photoId }] = (await listPieces(study)).filter((p) => p.id === broken);
  const [{ sha256 }] = await database().select().from(pictures).where(eq(pictures.id, photoId));
  await database()
    .update(blobChunks)
    .set({ data: Buffer.from('spoiled') })
    .where(eq(blobChunks.sha256, sha256));
  startRunner(1);
  startRunner(1);
  await until(async () => (await own()).every((j) => j.state === 'done' || j.state === 'failed'));
  const { pictureId, widthMm } = await workOf(teacher, work);
  expect(await profileOf({ pictureId, widthMm })).not.toBeNull();
  expect(await database().select().from(comparisons).where(eq(comparisons.pieceId, piece))).toHaveLength(1);
  expect((await own()).find((j) => j.pieceId === broken)).toMatchObject({
    state: 'failed',
    attempts: 1,
    lost: 0,
    messages: [message('errors.picture.damaged', { name: typed('broken.png') })],
  });
  expect((await listPieces(study)).find((p) => p.id === broken)).toMatchObject({ state: 'failed', halted: { state: 'failed' } });
  await end();
});

test('a clean stop hands back what is in hand and waits for requests under way', async () => {
  for (let i = 0; i < 3; i++) await addWork(teacher, study, await sheetBytes(84 + i, 900, 700), 'w.png', { widthMm: 297 });
  startRunner(2);
  await until(async () => (await own()).some((j) => j.state === 'running'));
  let answered = false;
  const request = counted(async () => {
    await new Promise((done) => setTimeout(done, 400));
    answered = true;
  });
  await end();
  expect([answered, isEnding()]).toEqual([true, true]);
  await request;
  const after = await own();
  expect(after.every((j) => j.state !== 'running' && j.attempts === 0 && j.lost === 0)).toBe(true);
  expect(after.filter((j) => j.state === 'queued').length).toBeGreaterThan(0);
});

test('progress is told when it changes, and the line is closed when the server ends', async () => {
  const reader = progressStream(teacher, study, new AbortController().signal).body!.getReader();
  const next = async () => {
    const { value, done } = await reader.read();
    return done ? 'closed' : (JSON.parse(new TextDecoder().decode(value).replace(/^data: /, '')) as object);
  };
  expect(await next()).toEqual({ queued: 0, running: 0, done: 0, failed: 0, stopped: 0, left: 0 });
  await addWork(teacher, study, await sheetBytes(88), 'w.png', {});
  expect(await next()).toMatchObject({ queued: 1 });
  await end();
  expect(await next()).toBe('closed');
});
