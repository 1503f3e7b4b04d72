import { classOf } from '@/server/accounts/ownership';
import { nextYear } from '@/server/classes/classes';
import { nextYearSchema } from '@/server/classes/schemas';
import { body, handle } from '@/server/door/http';

/** Next year's class from this one, which is put away. */
export const POST = handle(async ({ teacher, request, params }) => {
  await classOf(teacher.id, params.class);
  return { id: await nextYear(teacher.id, params.class, (await body(request, nextYearSchema)).name) };
});
