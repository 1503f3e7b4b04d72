import { workOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { addPart } from '@/server/studies/remaking';
import { partSchema } from '@/server/studies/schemas';

/** A part of a work becomes a work of its own. */
export const POST = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { title, ...rect } = await body(request, partSchema);
  return { id: await addPart(teacher.id, params.work, { ...rect, turn: 0 }, title) };
});
