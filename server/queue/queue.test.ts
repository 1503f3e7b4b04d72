import { message } from '../../core/message';
import { eq } from 'drizzle-orm';
import { leave, newStudy, newTeacher } from '../../tests/support/school';
import { changing, database } from '../database/connection';
import { jobs } from '../schema';
import { ask, cancelQueued, claim, finish, giveUp, handBack, Job, LEASE_MS, NewJob, progressOf, renew, tryAgain } from './queue';

const WHY = message('errors.measuring');

const db = () => database();
let teacherId = '';
let studyId = '';
let count = 0;

beforeEach(async () => {
  // The queue is one for all: what another test left waiting would be claimed here.
  await db().delete(jobs);
  teacherId = await newTeacher();
  studyId = await newStudy(teacherId);
});
afterAll(leave);

const want = (more: Partial<NewJob> = {}): Promise<void> =>
  changing((tx) =>
    ask(tx, [
      { teacherId, studyId, kind: 'measure-work', workKey: `work:${++count}`, workId: null, pieceId: null, core: 1, priority: 0, ...more },
    ]),
  );
const rowOf = async (id: string): Promise<Job> => (await db().select().from(jobs).where(eq(jobs.id, id)))[0];
const later = (ms: number) => new Date(Date.now() + ms);

test('four servers draining thirty jobs at once take each exactly once', async () => {
  for (let i = 0; i < 30; i++) await want();
  const drain = async (owner: string) => {
    const taken: string[] = [];
    // A null may only mean that others were faster this time.
    for (let misses = 0; misses < 3;) {
      const job = await claim(db(), owner);
      if (job) taken.push(job.id);
      else misses++;
    }
    return taken;
  };
  const taken = await Promise.all(['a', 'b', 'c', 'd'].map(drain));
  expect(new Set(taken.flat()).size).toBe(30);
  expect(taken.flat()).toHaveLength(30);
});

test('urgent work first, then the oldest', async () => {
  await want({ workKey: 'first' });
  await want({ workKey: 'second' });
  await want({ workKey: 'urgent', priority: 5 });
  const order = [];
  for (let i = 0; i < 3; i++) order.push((await claim(db(), 'me'))!.workKey);
  expect(order).toEqual(['urgent', 'first', 'second']);
  expect(await claim(db(), 'me')).toBeNull();
});

test('asking twice is one job while it waits; asked for while it runs, it runs once more, and only once', async () => {
  await want({ workKey: 'same' });
  await want({ workKey: 'same', priority: 4 });
  const job = (await claim(db(), 'me'))!;
  expect(job.priority).toBe(4);
  expect(await claim(db(), 'other')).toBeNull();
  // Twice while it runs: whoever asked cannot know whether the run has seen the change.
  await want({ workKey: 'same' });
  await want({ workKey: 'same' });
  expect(await claim(db(), 'other')).toBeNull();
  expect(await finish(db(), job, 'me')).toBe(true);
  const again = (await claim(db(), 'me'))!;
  expect([again.id, again.again]).toEqual([job.id, false]);
  expect(await finish(db(), again, 'me')).toBe(true);
  expect(await claim(db(), 'me')).toBeNull();
  await want({ workKey: 'same' });
  expect(await claim(db(), 'me')).toMatchObject({ id: job.id, priority: 0 });
});

test('what failed for good while it was asked for anew gets its new turn', async () => {
  await want({ workKey: 'moved' });
  const job = (await claim(db(), 'me'))!;
  await want({ workKey: 'moved' });
  await giveUp(db(), job, 'me', WHY, true);
  expect(await claim(db(), 'me')).toMatchObject({ id: job.id, attempts: 0, messages: [] });
});

test('work asked for in a transaction that fails is never on the queue', async () => {
  const failing = changing(async (tx) => {
    await ask(tx, [{ teacherId, studyId, kind: 'measure-work', workKey: 'never', workId: null, pieceId: null, core: 1, priority: 0 }]);
    throw new Error('the change itself did not succeed');
  });
  await expect(failing).rejects.toThrow(/did not succeed/);
  expect(await claim(db(), 'me')).toBeNull();
});

test('a job whose server died is taken over when its lease is out; the dead one’s late result does not count', async () => {
  await want();
  const first = (await claim(db(), 'dead'))!;
  expect(await claim(db(), 'heir')).toBeNull();
  const second = (await claim(db(), 'heir', later(LEASE_MS + 1000)))!;
  expect([second.id, second.claims, second.lost, second.attempts]).toEqual([first.id, 2, 1, 0]);
  expect(await finish(db(), first, 'dead')).toBe(false);
  expect(await renew(db(), first, 'dead')).toBe(false);
  await giveUp(db(), first, 'dead', WHY, true);
  expect((await rowOf(first.id)).state).toBe('running');
  expect(await finish(db(), second, 'heir')).toBe(true);
});

test('a renewed lease keeps others off', async () => {
  await want();
  const job = (await claim(db(), 'me', later(-LEASE_MS - 1000)))!;
  expect(await renew(db(), job, 'me')).toBe(true);
  expect(await claim(db(), 'other')).toBeNull();
});

test('an error puts a job back, the third one ends it; what cannot get better ends at once, with its reason', async () => {
  await want();
  for (let attempt = 1; attempt <= 3; attempt++) {
    const job = (await claim(db(), 'me'))!;
    expect(job.attempts).toBe(attempt - 1);
    await giveUp(db(), job, 'me', WHY, false);
  }
  expect(await claim(db(), 'me')).toBeNull();
  await want();
  const hopeless = (await claim(db(), 'me'))!;
  await giveUp(db(), hopeless, 'me', WHY, true);
  expect(await rowOf(hopeless.id)).toMatchObject({ state: 'failed', messages: [WHY], attempts: 1 });
  expect(await progressOf(db(), teacherId, studyId)).toEqual({ queued: 0, running: 0, done: 0, failed: 2, stopped: 0, left: 0 });
});

test('three servers that die under a job cost it nothing; one that kills every server ends at last', async () => {
  await want();
  const turn = (i: number) => later(i * (LEASE_MS + 1000));
  let id = '';
  for (let i = 0; i < 4; i++) id = (await claim(db(), `server ${i}`, turn(i)))!.id;
  expect(await rowOf(id)).toMatchObject({ state: 'running', lost: 3, attempts: 0 });
  for (let i = 4; i < 21; i++) await claim(db(), `server ${i}`, turn(i));
  expect(await claim(db(), 'the next', turn(21))).toBeNull();
  expect(await rowOf(id)).toMatchObject({ state: 'failed', messages: [message('errors.serverStopped', { n: 21 })] });
});

test('a server that stops hands its jobs back: others take them at once, and nothing counts as lost', async () => {
  await want();
  await want();
  const held = (await claim(db(), 'stopping'))!;
  const other = (await claim(db(), 'staying'))!;
  expect(await handBack(db(), 'stopping')).toBe(1);
  expect(await claim(db(), 'heir')).toMatchObject({ id: held.id, lost: 0, attempts: 0 });
  expect(await finish(db(), held, 'stopping')).toBe(false);
  expect((await rowOf(other.id)).owner).toBe('staying');
});

test('what was stopped or failed is put back when somebody asks for it, in this study alone', async () => {
  await want();
  await want();
  const failed = (await claim(db(), 'me'))!;
  await giveUp(db(), failed, 'me', WHY, true);
  await cancelQueued(db(), teacherId, studyId);
  expect(await progressOf(db(), teacherId, studyId)).toMatchObject({ failed: 1, stopped: 1, queued: 0 });
  expect(await tryAgain(db(), await newTeacher(), studyId, null)).toBe(0);
  expect(await tryAgain(db(), teacherId, await newStudy(teacherId), null)).toBe(0);
  expect(await tryAgain(db(), teacherId, studyId, null)).toBe(2);
  expect(await rowOf(failed.id)).toMatchObject({ state: 'queued', attempts: 0, messages: [] });
});

test('cancelling takes what waits and leaves what runs, for this study alone', async () => {
  const other = await newStudy(teacherId);
  for (let i = 0; i < 3; i++) await want();
  await want({ studyId: other });
  const running = (await claim(db(), 'me'))!;
  expect(await cancelQueued(db(), await newTeacher(), studyId)).toBe(0);
  expect(await cancelQueued(db(), teacherId, studyId)).toBe(2);
  expect((await rowOf(running.id)).state).toBe('running');
  expect(await progressOf(db(), teacherId, other)).toMatchObject({ queued: 1 });
});
