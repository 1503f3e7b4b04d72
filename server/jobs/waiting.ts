/** Knows what waits for work though nobody has it on the queue, and asks for it: at a server's start and now and then. */
import { and, eq, inArray, isNull, ne, notExists, or, sql } from 'drizzle-orm';
import { PROFILE_VERSION } from '../../core/style/profile';
import { changing, database } from '../database/connection';
import { outdatedComparisons } from '../pieces/stamps';
import { askToCompare, askToMeasure, askToProcess } from '../queue/asking';
import { underWay } from '../queue/queue';
import { jobs, pieces, profiles, studies, works } from '../schema';

/** A job that is on its way, or that ended by failing or being stopped under this version of the readings: a person's turn. */
const settled = or(underWay, and(inArray(jobs.state, ['failed', 'cancelled']), eq(jobs.core, PROFILE_VERSION)));
/** How many are asked for in one transaction. */
const BATCH = 50;

async function inBatches<T>(list: readonly T[], work: (batch: T[]) => Promise<void>): Promise<void> {
  for (let i = 0; i < list.length; i += BATCH) await work(list.slice(i, i + BATCH));
}

/** Works and photographs that wait unasked. Gives how many of each. */
export async function askForWhatWaits(): Promise<{ works: number; pieces: number }> {
  const db = database();
  const jobOn = (
    column: typeof jobs.workId | typeof jobs.pieceId,
    id: typeof works.id | typeof pieces.id,
    kind: 'measure-work' | 'process-piece',
  ) =>
    db
      .select({ one: sql`1` })
      .from(jobs)
      .where(and(eq(column, id), eq(jobs.kind, kind), settled));
  const unread = await db
    .select({ id: works.id, studyId: works.studyId, teacherId: studies.teacherId })
    .from(works)
    .innerJoin(studies, eq(studies.id, works.studyId))
    .leftJoin(
      profiles,
      and(
        eq(profiles.pictureId, works.pictureId),
        eq(profiles.profileVersion, PROFILE_VERSION),
        eq(profiles.widthMm, sql`coalesce(${works.widthMm}, 0)`),
        eq(profiles.place, works.place),
        eq(profiles.rung, ''),
      ),
    )
    .where(and(isNull(profiles.id), notExists(jobOn(jobs.workId, works.id, 'measure-work'))));
  await inBatches(unread, (batch) =>
    changing(async (tx) => {
      for (const { teacherId, ...work } of batch) await askToMeasure(tx, teacherId, work);
    }),
  );
  const waiting = await db
    .select({ id: pieces.id, studyId: pieces.studyId, teacherId: studies.teacherId })
    .from(pieces)
    .innerJoin(studies, eq(studies.id, pieces.studyId))
    .where(and(eq(pieces.state, 'waiting'), notExists(jobOn(jobs.pieceId, pieces.id, 'process-piece'))));
  await inBatches(waiting, (batch) =>
    changing(async (tx) => {
      for (const { teacherId, ...piece } of batch) await askToProcess(tx, teacherId, piece, 0);
    }),
  );
  return { works: unread.length, pieces: waiting.length };
}

/** Comparisons that are missing, or were made from something else than is there now. Gives how many. */
export async function askForStale(): Promise<number> {
  const db = database();
  const open = await db
    .select({ pieceId: jobs.pieceId })
    .from(jobs)
    .where(and(eq(jobs.kind, 'compare-piece'), settled, ne(jobs.state, 'done')));
  const busy = new Set(open.map((j) => j.pieceId));
  const stale = (await outdatedComparisons()).filter((p) => !busy.has(p.id));
  await inBatches(stale, (batch) =>
    changing(async (tx) => {
      for (const { teacherId, ...piece } of batch) await askToCompare(tx, teacherId, piece);
    }),
  );
  return stale.length;
}
