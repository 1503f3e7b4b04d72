import { body, handle } from '@/server/door/http';
import { classSchema } from '@/server/classes/schemas';
import { createClass, listClasses } from '@/server/classes/classes';

export const GET = handle(({ teacher }) => listClasses(teacher.id));

export const POST = handle(async ({ teacher, request }) => {
  const { name, school, students } = await body(request, classSchema);
  return { id: await createClass(teacher.id, name, school, students) };
});
