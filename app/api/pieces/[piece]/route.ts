import { number, object, string } from 'yup';
import { body, handle } from '@/server/door/http';
import { holdAgainst } from '@/server/pieces/against';
import { answersOf, comparisonOf, removePiece } from '@/server/pieces/pieces';
import { pieceOf } from '@/server/accounts/ownership';

export const GET = handle(async ({ teacher, params }) => ({
  piece: await pieceOf(teacher.id, params.piece),
  ...(await comparisonOf(params.piece)),
  answers: await answersOf(params.piece),
}));

const change = object({ version: number().integer().required(), groupId: string().nullable().defined() });

export const PATCH = handle(async ({ teacher, request, params }) => {
  const { version, groupId } = await body(request, change);
  await holdAgainst(teacher.id, params.piece, version, groupId);
});

export const DELETE = handle(({ teacher, params }) => removePiece(teacher.id, params.piece));
