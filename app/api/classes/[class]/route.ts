import { body, handle } from '@/server/door/http';
import { removeClass, classGoing } from '@/server/removal/removal';
import { classOf } from '@/server/accounts/ownership';
import { deletionSchema } from '@/server/studies/schemas';

/** What deleting this class would take along. */
export const GET = handle(({ teacher, params }) => classGoing(teacher.id, params.class));

/** Deletes the class for good; the body holds the name as typed. */
export const DELETE = handle(async ({ teacher, request, params }) => {
  await classOf(teacher.id, params.class);
  await removeClass(teacher.id, params.class, (await body(request, deletionSchema)).name);
});
