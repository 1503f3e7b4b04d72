import { object, string } from 'yup';
import { body, handle } from '@/server/http';
import { editState, step } from '@/server/studies/edits';
// Each of these registers what it can undo.
import '@/server/lessons/plans';
import '@/server/pieces/pieces';
import '@/server/studies/landmarks';
import '@/server/studies/references';
import '@/server/studies/rules';
import '@/server/studies/works';
import { studyOf } from '@/server/studies/studies';

const schema = object({ direction: string().oneOf(['undo', 'redo'] as const).required() }); // prettier-ignore

export const GET = handle(({ teacher, params }) => editState(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { direction } = await body(request, schema);
  const label = await step(teacher.id, params.study, direction);
  return { label, ...(await editState(teacher.id, params.study)) };
});
