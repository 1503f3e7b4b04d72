/** Knows how work on a piece is put on the queue. */
import { and, eq } from 'drizzle-orm';
import { database } from '../database/connection';
import { ask } from '../jobs/queue';
import { pieces } from '../schema';

interface Piece {
  id: string;
  studyId: string;
}

export async function askToProcess(teacherId: string, piece: Piece, priority = 0): Promise<void> {
  await ask(database(), {
    teacherId,
    studyId: piece.studyId,
    kind: 'process-piece',
    workKey: `process-piece:${piece.id}`,
    payload: { pieceId: piece.id },
    priority,
  });
}

export async function askToCompare(teacherId: string, piece: Piece): Promise<void> {
  await ask(database(), {
    teacherId,
    studyId: piece.studyId,
    kind: 'compare-piece',
    workKey: `compare-piece:${piece.id}`,
    payload: { pieceId: piece.id },
    priority: 3,
  });
}

/** Every ready piece of a study is compared anew, after a work or its landmarks changed. */
export async function compareAgain(teacherId: string, studyId: string): Promise<void> {
  const rows = await database().select({ id: pieces.id }).from(pieces).where(and(eq(pieces.studyId, studyId), eq(pieces.state, 'ready'))); // prettier-ignore
  for (const { id } of rows) await askToCompare(teacherId, { id, studyId });
}
