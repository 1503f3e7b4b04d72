import { eq } from 'drizzle-orm';
import { leave, newStudy, newTeacher } from '../../tests/support/school';
import { database } from '../database/connection';
import { jobs } from '../schema';
import { ask, cancelQueued, claim, finish, giveUp, Job, LEASE_MS, NewJob, progressOf, renew } from './queue';

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
  ask(db(), { teacherId, studyId, kind: 'measure-work', workKey: `work:${++count}`, payload: {}, ...more });
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

test('asking twice is one job while it waits or runs, and a new turn once it is over', async () => {
  await want({ workKey: 'same', payload: { a: '1' } });
  await want({ workKey: 'same', payload: { a: '2' } });
  const job = (await claim(db(), 'me'))!;
  expect(job.payload).toEqual({ a: '1' });
  await want({ workKey: 'same' });
  expect(await claim(db(), 'other')).toBeNull();
  expect(await finish(db(), job, 'me')).toBe(true);
  await want({ workKey: 'same', payload: { a: '3' } });
  const again = (await claim(db(), 'me'))!;
  expect([again.id, again.attempts, again.payload]).toEqual([job.id, 1, { a: '3' }]);
});

test('a job whose server died is taken over when its lease is out; the dead one’s late result does not count', async () => {
  await want();
  const first = (await claim(db(), 'dead'))!;
  expect(await claim(db(), 'heir')).toBeNull();
  const second = (await claim(db(), 'heir', later(LEASE_MS + 1000)))!;
  expect([second.id, second.attempts]).toEqual([first.id, 2]);
  expect(await finish(db(), first, 'dead')).toBe(false);
  expect(await renew(db(), first, 'dead')).toBe(false);
  await giveUp(db(), first, 'dead', 'late', true);
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
    expect(job.attempts).toBe(attempt);
    await giveUp(db(), job, 'me', `try ${attempt}`, false);
  }
  expect(await claim(db(), 'me')).toBeNull();
  await want();
  const hopeless = (await claim(db(), 'me'))!;
  await giveUp(db(), hopeless, 'me', 'The picture is damaged.', true);
  expect(await rowOf(hopeless.id)).toMatchObject({ state: 'failed', told: 'The picture is damaged.', attempts: 1 });
  expect(await progressOf(db(), teacherId, studyId)).toEqual({ queued: 0, running: 0, done: 0, failed: 2 });
});

test('a job that killed three servers is not tried on a fourth', async () => {
  await want();
  let id = '';
  for (let i = 0; i < 3; i++) id = (await claim(db(), `server ${i}`, later(i * (LEASE_MS + 1000))))!.id;
  expect(await claim(db(), 'server 3', later(3 * (LEASE_MS + 1000)))).toBeNull();
  expect(await rowOf(id)).toMatchObject({ state: 'failed', told: expect.stringMatching(/tried three times/) });
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
