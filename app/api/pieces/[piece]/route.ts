import { handle } from '@/server/http';
import { comparisonOf, pieceOf, removePiece } from '@/server/pieces/pieces';

export const GET = handle(async ({ teacher, params }) => ({
  piece: await pieceOf(teacher.id, params.piece),
  ...(await comparisonOf(teacher.id, params.piece)),
}));

export const DELETE = handle(({ teacher, params }) => removePiece(teacher.id, params.piece));
