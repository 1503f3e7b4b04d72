/** Knows how work on a work or a piece is put on the queue, within the transaction that made it necessary. */
import { and, eq } from 'drizzle-orm';
import { PROFILE_VERSION } from '../../core/style/profile';
import type { Transaction } from '../database/connection';
import { pieces } from '../schema';
import { ask, NewJob } from './queue';

interface Thing {
  id: string;
  studyId: string;
}

const job = (kind: NewJob['kind'], teacherId: string, { id, studyId }: Thing, priority: number): NewJob => ({
  teacherId,
  studyId,
  kind,
  workKey: `${kind}:${id}`,
  workId: kind === 'measure-work' ? id : null,
  pieceId: kind === 'measure-work' ? null : id,
  core: PROFILE_VERSION,
  priority,
});

export const askToMeasure = (tx: Transaction, teacherId: string, work: Thing): Promise<void> =>
  ask(tx, [job('measure-work', teacherId, work, 5)]);

/** What a teacher waits for before the screen comes first: corners just placed before photographs just handed in. */
export const askToProcess = (tx: Transaction, teacherId: string, piece: Thing, priority = 1): Promise<void> =>
  ask(tx, [job('process-piece', teacherId, piece, priority)]);

export const askToCompare = (tx: Transaction, teacherId: string, ...list: readonly Thing[]): Promise<void> =>
  ask(
    tx,
    list.map((piece) => job('compare-piece', teacherId, piece, 3)),
  );

/** Every ready piece of a study is compared anew, after a work or its landmarks changed. */
export async function compareAgain(tx: Transaction, teacherId: string, studyId: string): Promise<void> {
  const rows = await tx
    .select({ id: pieces.id, studyId: pieces.studyId })
    .from(pieces)
    .where(and(eq(pieces.studyId, studyId), eq(pieces.state, 'ready')));
  await askToCompare(tx, teacherId, ...rows);
}
