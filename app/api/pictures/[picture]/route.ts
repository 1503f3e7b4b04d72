import { handle } from '@/server/door/http';
import { readPicture } from '@/server/pictures/serve';

export const GET = handle(async ({ teacher, request, params }) => {
  const { bytes, mime, tag } = await readPicture(
    teacher.id,
    params.picture,
    new URL(request.url).searchParams.get('size'),
    request.headers.get('if-none-match'),
  );
  // Asked for again each time, so that a deleted picture is gone and another teacher at this browser sees nothing.
  const headers = { 'content-type': mime, etag: tag, 'cache-control': 'private, no-cache' };
  return bytes ? new Response(new Uint8Array(bytes), { headers }) : new Response(null, { status: 304, headers });
});
