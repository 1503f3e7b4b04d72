import { pieceOf, workOf } from '@/server/accounts/ownership';
import { handle } from '@/server/door/http';
import { registerPiece } from '@/server/pieces/registering';

/** Where a work's picture comes to lie on the piece: its px at 0, 0 and one px to the right and down of it; null where they do not agree. */
export const GET = handle(async ({ teacher, request, params }) => {
  await pieceOf(teacher.id, params.piece);
  const work = new URL(request.url).searchParams.get('work') ?? '';
  await workOf(teacher.id, work);
  return { laid: await registerPiece(teacher.id, params.piece, work) };
});
