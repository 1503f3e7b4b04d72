/** Knows the queue: asking for work, claiming it under a lease, finishing it once however many servers run. */
import { and, asc, desc, eq, inArray, lt, or, sql } from 'drizzle-orm';
import { Database, isDeadlock, newId } from '../database/connection';
import { jobs } from '../schema';

export type Job = typeof jobs.$inferSelect;
type JobKind = Job['kind'];

export const LEASE_MS = 60_000;
const MOST_ATTEMPTS = 3;

export interface NewJob {
  teacherId: string;
  studyId: string;
  kind: JobKind;
  /** What the work is about; asking again for the same key queues it anew. */
  workKey: string;
  payload: Record<string, string>;
  priority?: number;
}

/** Puts work on the queue; work already queued or running under the same key is left as it is. */
export async function ask(db: Database, job: NewJob): Promise<void> {
  const fresh = {
    state: 'queued' as const,
    attempts: 0,
    owner: '',
    told: '',
    leaseUntil: null,
    finishedAt: null,
    payload: job.payload,
    priority: job.priority ?? 0,
    createdAt: new Date(),
  };
  await db
    .insert(jobs)
    .values({ ...job, ...fresh, id: newId() })
    .onDuplicateKeyUpdate({ set: { workKey: sql`${jobs.workKey}` } });
  await db.update(jobs).set(fresh).where(and(eq(jobs.workKey, job.workKey), inArray(jobs.state, ['done', 'failed', 'cancelled']))); // prettier-ignore
}

/** A job that may be taken at this moment: queued, or running under a lease that has run out. */
const takeable = (now: Date) => or(eq(jobs.state, 'queued'), and(eq(jobs.state, 'running'), lt(jobs.leaseUntil, now)));

/** Takes the next job, or null. The claim is one conditional update, so that two servers never both hold it. */
export async function claim(db: Database, owner: string, now = new Date()): Promise<Job | null> {
  const candidates = await db
    .select({ id: jobs.id, attempts: jobs.attempts })
    .from(jobs)
    .where(takeable(now))
    .orderBy(desc(jobs.priority), asc(jobs.createdAt))
    .limit(8);
  for (const { id, attempts } of candidates) {
    if (attempts >= MOST_ATTEMPTS) {
      await db.update(jobs).set({ state: 'failed', finishedAt: now, told: 'This was tried three times and did not finish.' }).where(and(eq(jobs.id, id), takeable(now))); // prettier-ignore
      continue;
    }
    try {
      const [result] = await db
        .update(jobs)
        .set({ state: 'running', owner, leaseUntil: new Date(now.getTime() + LEASE_MS), attempts: attempts + 1 })
        .where(and(eq(jobs.id, id), eq(jobs.attempts, attempts), takeable(now)));
      if (result.affectedRows === 1) {
        const [job] = await db.select().from(jobs).where(eq(jobs.id, id));
        return job;
      }
    } catch (error) {
      // On a cluster the loser learns of it only at commit.
      if (!isDeadlock(error)) throw error;
    }
  }
  return null;
}

const mine = (job: Pick<Job, 'id' | 'attempts'>, owner: string) =>
  and(eq(jobs.id, job.id), eq(jobs.owner, owner), eq(jobs.attempts, job.attempts), eq(jobs.state, 'running'));

/** Holds on to a job while it is worked on; false when it was lost or cancelled. */
export async function renew(db: Database, job: Job, owner: string): Promise<boolean> {
  const [result] = await db.update(jobs).set({ leaseUntil: new Date(Date.now() + LEASE_MS) }).where(mine(job, owner)); // prettier-ignore
  return result.affectedRows === 1;
}

/** Marks a job done; false when another server has taken it meanwhile, whose result then stands. */
export async function finish(db: Database, job: Job, owner: string): Promise<boolean> {
  const [result] = await db.update(jobs).set({ state: 'done', finishedAt: new Date(), leaseUntil: null }).where(mine(job, owner)); // prettier-ignore
  return result.affectedRows === 1;
}

/** Gives a job back after an error: to the queue for another try, or failed with its reason when it cannot get better. */
export async function giveUp(db: Database, job: Job, owner: string, told: string, final: boolean): Promise<void> {
  const over = final || job.attempts >= MOST_ATTEMPTS;
  await db
    .update(jobs)
    .set(
      over
        ? { state: 'failed', told, finishedAt: new Date(), leaseUntil: null }
        : { state: 'queued', told, owner: '', leaseUntil: null },
    )
    .where(mine(job, owner));
}

export interface Progress {
  queued: number;
  running: number;
  done: number;
  failed: number;
}

/** Where a study's work stands. */
export async function progressOf(db: Database, teacherId: string, studyId: string): Promise<Progress> {
  const rows = await db
    .select({ state: jobs.state, n: sql<number>`count(*)` })
    .from(jobs)
    .where(and(eq(jobs.teacherId, teacherId), eq(jobs.studyId, studyId)))
    .groupBy(jobs.state);
  const of = (state: Job['state']) => Number(rows.find((r) => r.state === state)?.n ?? 0);
  return { queued: of('queued'), running: of('running'), done: of('done'), failed: of('failed') };
}

/** Takes a study's waiting work off the queue; what runs finishes. */
export async function cancelQueued(db: Database, teacherId: string, studyId: string): Promise<number> {
  const [result] = await db
    .update(jobs)
    .set({ state: 'cancelled', finishedAt: new Date() })
    .where(and(eq(jobs.teacherId, teacherId), eq(jobs.studyId, studyId), eq(jobs.state, 'queued')));
  return result.affectedRows;
}
