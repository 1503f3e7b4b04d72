import { studyOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { keepRun, runsOf } from '@/server/lessons/runs';
import { lessonRunSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return runsOf(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return { id: await keepRun(teacher.id, params.study, await body(request, lessonRunSchema)) };
});
