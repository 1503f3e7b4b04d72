import { workOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { drawShapes, shapesOf } from '@/server/studies/shapes';
import { shapesSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => {
  await workOf(teacher.id, params.work);
  return shapesOf(params.work);
});

export const PUT = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { version, shapes, lines, label } = await body(request, shapesSchema);
  return { version: await drawShapes(teacher.id, params.work, version, { shapes, lines }, label) };
});
