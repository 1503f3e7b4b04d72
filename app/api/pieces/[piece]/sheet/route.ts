import { pieceOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { changeSheet } from '@/server/pieces/pieces';
import { sheetSchema } from '@/server/studies/schemas';

/** The sheet a piece was made on; it is squared up to it anew. */
export const PUT = handle(async ({ teacher, request, params }) => {
  await pieceOf(teacher.id, params.piece);
  const { version, ...sheet } = await body(request, sheetSchema);
  await changeSheet(teacher.id, params.piece, version, sheet);
});
