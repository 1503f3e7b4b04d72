import { object, string } from 'yup';
import { changing, database } from '@/server/database/connection';
import { body, handle } from '@/server/door/http';
import { progressStream } from '@/server/jobs/stream';
import { cancelQueued, progressOf, tryAgain } from '@/server/queue/queue';
import { studyOf } from '@/server/accounts/ownership';

/** How far the background work of a study is: one answer, or a stream of server-sent events where that is asked for. */
export const GET = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  if (!request.headers.get('accept')?.includes('text/event-stream')) return progressOf(database(), teacher.id, params.study);
  return progressStream(teacher.id, params.study, request.signal);
});

const schema = object({ subjectId: string().max(36).nullable().defined().default(null) });

/** Puts what failed or was stopped back on the queue: all of it, or that of one piece or work. */
export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { subjectId } = await body(request, schema);
  return { queued: await changing((tx) => tryAgain(tx, teacher.id, params.study, subjectId)) };
});

/** Takes what is still waiting off the queue. */
export const DELETE = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return { stopped: await changing((tx) => cancelQueued(tx, teacher.id, params.study)) };
});
