/** Knows the queue: asking for work, claiming it under a lease, finishing it once however many servers run. */
import { and, asc, desc, eq, inArray, lt, or, sql } from 'drizzle-orm';
import type { Message } from '../../core/message';
import { Querying, newId, Transaction } from '../database/connection';
import { isDeadlock } from '../database/failures';
import { sentence } from '../errors';
import { jobs, pieces } from '../schema';

export type Job = typeof jobs.$inferSelect;

/** Jobs that wait or are being done. */
export const underWay = inArray(jobs.state, ['queued', 'running']);

export const LEASE_MS = 60_000;
/** Errors a job may throw before it is given up. */
const MOST_ATTEMPTS = 3;
/** Servers that may die under it: enough for any bad day, and an end for a picture that kills every server. */
const MOST_LOST = 20;

export interface NewJob {
  teacherId: string;
  studyId: string;
  kind: Job['kind'];
  /** What the work is about; asking again for the same key queues it anew. */
  workKey: string;
  workId: string | null;
  pieceId: string | null;
  /** Version of the readings it is asked for. */
  core: number;
  priority: number;
}

/**
 * Puts work on the queue, within the transaction that makes it necessary. Work already waiting under the same key is left
 * as it is; work that is running is marked and runs once more, since nobody knows whether it has seen the change.
 */
export async function ask(tx: Transaction, wanted: readonly NewJob[]): Promise<void> {
  if (!wanted.length) return;
  const createdAt = new Date();
  const keys = wanted.map((j) => j.workKey);
  // The first statement also locks the rows that are there, so that none changes its state before the second.
  await tx
    .insert(jobs)
    .values(wanted.map((j) => ({ ...j, id: newId(), messages: [], createdAt })))
    .onDuplicateKeyUpdate({
      set: {
        priority: sql`if(${jobs.state} in ('queued', 'running'), greatest(${jobs.priority}, values(${jobs.priority})), values(${jobs.priority}))`,
        core: sql`values(${jobs.core})`,
      },
    });
  await tx
    .update(jobs)
    .set({ again: true })
    .where(and(inArray(jobs.workKey, keys), eq(jobs.state, 'running')));
  const fresh = {
    state: 'queued',
    attempts: 0,
    lost: 0,
    again: false,
    owner: '',
    messages: [] as Message[],
    leaseUntil: null,
    finishedAt: null,
    createdAt,
  } as const;
  await tx
    .update(jobs)
    .set(fresh)
    .where(and(inArray(jobs.workKey, keys), inArray(jobs.state, ['done', 'failed', 'cancelled'])));
}

/** A job that may be taken at this moment: queued, or running under a lease that has run out. */
const takeable = (now: Date) => or(eq(jobs.state, 'queued'), and(eq(jobs.state, 'running'), lt(jobs.leaseUntil, now)));

/** Takes the next job, or null. The claim is one conditional update, so that two servers never both hold it. */
export async function claim(db: Querying, owner: string, now = new Date()): Promise<Job | null> {
  const candidates = await db
    .select({ id: jobs.id, claims: jobs.claims, lost: jobs.lost, state: jobs.state })
    .from(jobs)
    .where(takeable(now))
    .orderBy(desc(jobs.priority), asc(jobs.createdAt))
    .limit(8);
  for (const { id, claims, lost, state } of candidates) {
    const died = lost + (state === 'running' ? 1 : 0);
    const still = and(eq(jobs.id, id), eq(jobs.claims, claims), takeable(now));
    if (died > MOST_LOST) {
      await db
        .update(jobs)
        .set({ state: 'failed', finishedAt: now, messages: [sentence('serverStopped', { n: died })] })
        .where(still);
      continue;
    }
    try {
      const [result] = await db
        .update(jobs)
        .set({
          state: 'running',
          owner,
          leaseUntil: new Date(now.getTime() + LEASE_MS),
          claims: claims + 1,
          lost: died,
        })
        .where(still);
      if (result.affectedRows === 1) {
        const [job] = await db.select().from(jobs).where(eq(jobs.id, id));
        return job ?? null;
      }
    } catch (error) {
      // On a cluster the loser learns of it only at commit.
      if (!isDeadlock(error)) throw error;
    }
  }
  return null;
}

const mine = (job: Pick<Job, 'id' | 'claims'>, owner: string) =>
  and(eq(jobs.id, job.id), eq(jobs.owner, owner), eq(jobs.claims, job.claims), eq(jobs.state, 'running'));

/** Holds on to a job while it is worked on; false when it was lost or cancelled. */
export async function renew(db: Querying, job: Job, owner: string): Promise<boolean> {
  const [result] = await db
    .update(jobs)
    .set({ leaseUntil: new Date(Date.now() + LEASE_MS) })
    .where(mine(job, owner));
  return result.affectedRows === 1;
}

const WAITING = { state: 'queued', again: false, owner: '', leaseUntil: null } as const;

/** Marks a job done, or waiting once more where it was asked for meanwhile; false when another server has taken it. */
export async function finish(db: Querying, job: Job, owner: string): Promise<boolean> {
  const [done] = await db
    .update(jobs)
    .set({ state: 'done', finishedAt: new Date(), leaseUntil: null })
    .where(and(mine(job, owner), eq(jobs.again, false)));
  if (done.affectedRows === 1) return true;
  const [again] = await db
    .update(jobs)
    .set({ ...WAITING, attempts: 0, lost: 0 })
    .where(mine(job, owner));
  return again.affectedRows === 1;
}

/** Gives a job back after an error: to the queue for another try, or failed with its reason when it cannot get better. */
export async function giveUp(db: Querying, job: Job, owner: string, said: Message, final: boolean): Promise<void> {
  const attempts = job.attempts + 1;
  if (final || attempts >= MOST_ATTEMPTS) {
    const [over] = await db
      .update(jobs)
      .set({ state: 'failed', messages: [said], attempts, finishedAt: new Date(), leaseUntil: null })
      .where(and(mine(job, owner), eq(jobs.again, false)));
    if (over.affectedRows === 1) return;
    // Asked for anew meanwhile: what failed may be mended by what was changed.
    await db
      .update(jobs)
      .set({ ...WAITING, attempts: 0, lost: 0 })
      .where(mine(job, owner));
    return;
  }
  await db
    .update(jobs)
    .set({ ...WAITING, messages: [said], attempts })
    .where(mine(job, owner));
}

/** Hands back what this server holds, at a clean stop: another takes it at once, and nothing counts as tried. */
export async function handBack(db: Querying, owner: string): Promise<number> {
  const [result] = await db
    .update(jobs)
    .set(WAITING)
    .where(and(eq(jobs.owner, owner), eq(jobs.state, 'running')));
  return result.affectedRows;
}

export interface Progress {
  queued: number;
  running: number;
  done: number;
  failed: number;
  stopped: number;
  /** Works and pieces that are still to be done. */
  left: number;
}

/** Where a study's work stands. */
export async function progressOf(db: Querying, teacherId: string, studyId: string): Promise<Progress> {
  const all = await db
    .select({ state: jobs.state, workId: jobs.workId, pieceId: jobs.pieceId })
    .from(jobs)
    .where(ofStudy(teacherId, studyId));
  const of = (state: Job['state']) => all.filter((job) => job.state === state).length;
  const open = all.filter(({ state }) => state === 'queued' || state === 'running');
  return {
    queued: of('queued'),
    running: of('running'),
    done: of('done'),
    failed: of('failed'),
    stopped: of('cancelled'),
    left: await thingsLeft(db, studyId, open),
  };
}

/** Works and pieces that are still to be done, each once, however many turns it takes: a work that is measured brings every ready piece a comparison. */
async function thingsLeft(db: Querying, studyId: string, open: readonly Pick<Job, 'workId' | 'pieceId'>[]): Promise<number> {
  const things = new Set(open.map((job) => job.pieceId ?? job.workId ?? ''));
  if (open.some((job) => job.workId !== null)) {
    const ready = await db
      .select({ id: pieces.id })
      .from(pieces)
      .where(and(eq(pieces.studyId, studyId), eq(pieces.state, 'ready')));
    for (const { id } of ready) things.add(id);
  }
  return things.size;
}

const ofStudy = (teacherId: string, studyId: string) => and(eq(jobs.teacherId, teacherId), eq(jobs.studyId, studyId));

/** Takes a study's waiting work off the queue; what runs finishes. */
export async function cancelQueued(db: Querying, teacherId: string, studyId: string): Promise<number> {
  const [result] = await db
    .update(jobs)
    .set({ state: 'cancelled', finishedAt: new Date() })
    .where(and(ofStudy(teacherId, studyId), eq(jobs.state, 'queued')));
  return result.affectedRows;
}

/** Puts what failed or was stopped back on the queue, all of a study's or one piece's or work's. */
export async function tryAgain(db: Querying, teacherId: string, studyId: string, subjectId: string | null): Promise<number> {
  const [result] = await db
    .update(jobs)
    .set({ ...WAITING, attempts: 0, lost: 0, messages: [], finishedAt: null, createdAt: new Date() })
    .where(
      and(
        ofStudy(teacherId, studyId),
        inArray(jobs.state, ['failed', 'cancelled']),
        subjectId === null ? undefined : or(eq(jobs.pieceId, subjectId), eq(jobs.workId, subjectId)),
      ),
    );
  return result.affectedRows;
}
