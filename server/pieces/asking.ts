/** Knows how work on a piece is put on the queue. */
import { and, eq } from 'drizzle-orm';
import { database } from '../database/connection';
import { ask } from '../jobs/queue';
import { pieces } from '../schema';

interface Piece {
  id: string;
  studyId: string;
}

const askFor = (kind: 'process-piece' | 'compare-piece', teacherId: string, piece: Piece, priority: number) =>
  ask(database(), {
    teacherId,
    studyId: piece.studyId,
    kind,
    workKey: `${kind}:${piece.id}`,
    payload: { pieceId: piece.id },
    priority,
  });

export const askToProcess = (teacherId: string, piece: Piece, priority = 0): Promise<void> =>
  askFor('process-piece', teacherId, piece, priority);

export const askToCompare = (teacherId: string, piece: Piece): Promise<void> =>
  askFor('compare-piece', teacherId, piece, 3);

/** Every ready piece of a study is compared anew, after a work or its landmarks changed. */
export async function compareAgain(teacherId: string, studyId: string): Promise<void> {
  const rows = await database().select({ id: pieces.id }).from(pieces).where(and(eq(pieces.studyId, studyId), eq(pieces.state, 'ready'))); // prettier-ignore
  for (const { id } of rows) await askToCompare(teacherId, { id, studyId });
}
