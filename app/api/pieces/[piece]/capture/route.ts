import { pieceOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { changeCapture } from '@/server/pieces/pieces';
import { captureSchema } from '@/server/studies/schemas';

/** How a piece came, where that was said wrongly when it was handed in; it is measured anew. */
export const PUT = handle(async ({ teacher, request, params }) => {
  await pieceOf(teacher.id, params.piece);
  const { version, ...coming } = await body(request, captureSchema);
  await changeCapture(teacher.id, params.piece, version, coming);
});
