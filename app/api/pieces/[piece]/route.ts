import { handle } from '@/server/door/http';
import { answersOf, comparisonOf, removePiece } from '@/server/pieces/pieces';
import { pieceOf } from '@/server/accounts/ownership';

export const GET = handle(async ({ teacher, params }) => ({
  piece: await pieceOf(teacher.id, params.piece),
  ...(await comparisonOf(params.piece)),
  answers: await answersOf(params.piece),
}));

export const DELETE = handle(({ teacher, params }) => removePiece(teacher.id, params.piece));
