/** Knows which works a piece is held against: all of the study that are no foils, or those of the group chosen for it. */
import { message } from '../../core/message';
import { and, eq } from 'drizzle-orm';
import { logged } from '../edits/log';
import { conflict, notFound } from '../errors';
import { pieces, workGroups } from '../schema';
import { pieceOf, within } from '../accounts/ownership';

/** Holds a piece against one group of its study's works; null for all of them. */
export function holdAgainst(teacherId: string, pieceId: string, version: number, groupId: string | null): Promise<void> {
  return within(pieceOf, teacherId, pieceId, async (tx, piece) => {
    if (piece.version !== version) throw conflict('piece');
    const [group] =
      groupId === null
        ? [null]
        : await tx
            .select()
            .from(workGroups)
            .where(and(eq(workGroups.id, groupId), eq(workGroups.studyId, piece.studyId)));
    if (group === undefined) throw notFound('group');
    const about = {
      teacherId,
      studyId: piece.studyId,
      studentId: piece.studentId,
      subject: 'piece',
      subjectId: pieceId,
      label: message('edits.against'),
    };
    const where = eq(pieces.id, pieceId);
    await logged(tx, about, [{ table: pieces, where }], () =>
      tx
        .update(pieces)
        .set({ groupId, version: version + 1 })
        .where(where),
    );
  });
}
