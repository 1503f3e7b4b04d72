import { saying } from '@/server/validation';
import { array, number, object } from 'yup';
import { body, handle } from '@/server/door/http';
import { placeCorners } from '@/server/pieces/pieces';
import { pieceOf } from '@/server/accounts/ownership';

const schema = object({
  version: number().integer().required(),
  corners: array(array(number().required()).length(2).required()).length(4, saying('corners')).required(),
});

export const PUT = handle(async ({ teacher, request, params }) => {
  await pieceOf(teacher.id, params.piece);
  const { version, corners } = await body(request, schema);
  await placeCorners(teacher.id, params.piece, version, corners as [number, number][]);
});
