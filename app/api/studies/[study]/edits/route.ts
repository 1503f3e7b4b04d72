import { body, handle } from '@/server/door/http';
import { editState, step } from '@/server/edits/log';
import { stepSchema } from '@/server/edits/schema';
import { studyOf } from '@/server/accounts/ownership';

export const GET = handle(({ teacher, params }) => editState(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { direction } = await body(request, stepSchema);
  const stepped = await step(teacher.id, params.study, direction);
  return { ...stepped, ...(await editState(teacher.id, params.study)) };
});
