import { handle } from '@/server/http';
import { readPicture } from '@/server/pictures/serve';

export const GET = handle(async ({ teacher, request, params }) => {
  const { bytes, mime, tag } = await readPicture(
    teacher.id,
    params.picture,
    new URL(request.url).searchParams.get('size'),
    request.headers.get('if-none-match'),
  );
  const headers = { 'content-type': mime, etag: tag, 'cache-control': 'private, max-age=31536000, immutable' };
  return bytes ? new Response(new Uint8Array(bytes), { headers }) : new Response(null, { status: 304, headers });
});
