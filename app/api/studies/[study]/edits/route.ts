import { object, string } from 'yup';
import { body, handle } from '@/server/door/http';
import { editState, step } from '@/server/edits/log';
import { studyOf } from '@/server/accounts/ownership';

const schema = object({
  direction: string()
    .oneOf(['undo', 'redo'] as const)
    .required(),
});

export const GET = handle(({ teacher, params }) => editState(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { direction } = await body(request, schema);
  const stepped = await step(teacher.id, params.study, direction);
  return { ...stepped, ...(await editState(teacher.id, params.study)) };
});
