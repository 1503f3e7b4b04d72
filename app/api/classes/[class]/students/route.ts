import { classOf } from '@/server/accounts/ownership';
import { addStudents, orderStudents } from '@/server/classes/classes';
import { rosterSchema } from '@/server/classes/schemas';
import { body, handle } from '@/server/door/http';

/** More students, or another order. */
export const POST = handle(async ({ teacher, request, params }) => {
  await classOf(teacher.id, params.class);
  const { students, order } = await body(request, rosterSchema);
  if (students?.length) await addStudents(teacher.id, params.class, students);
  if (order?.length) await orderStudents(teacher.id, params.class, order);
});
