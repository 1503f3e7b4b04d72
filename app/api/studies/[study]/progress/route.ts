import { database } from '@/server/database/connection';
import { handle } from '@/server/http';
import { cancelQueued, progressOf } from '@/server/jobs/queue';
import { progressStream } from '@/server/jobs/stream';
import { studyOf } from '@/server/studies/studies';

/** How far the background work of a study is: one answer, or a stream of server-sent events where that is asked for. */
export const GET = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  if (!request.headers.get('accept')?.includes('text/event-stream'))
    return progressOf(database(), teacher.id, params.study);
  return progressStream(teacher.id, params.study, request.signal);
});

/** Takes what is still waiting off the queue. */
export const DELETE = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return { cancelled: await cancelQueued(database(), teacher.id, params.study) };
});
