import { body, handle } from '@/server/door/http';
import { editState, step } from '@/server/edits/log';
import { stepSchema } from '@/server/edits/schema';

/** Undo and redo of what no study owns: the cupboard and the classes. */
export const GET = handle(({ teacher }) => editState(teacher.id, null));

export const POST = handle(async ({ teacher, request }) => {
  const { direction } = await body(request, stepSchema);
  const stepped = await step(teacher.id, null, direction);
  return { ...stepped, ...(await editState(teacher.id, null)) };
});
