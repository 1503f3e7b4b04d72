import { body, handle } from '@/server/door/http';
import { removeStudent, studentGoing } from '@/server/removal/removal';
import { studentOf } from '@/server/accounts/ownership';
import { deletionSchema } from '@/server/studies/schemas';

/** What deleting this student would take along. */
export const GET = handle(({ teacher, params }) => studentGoing(teacher.id, params.student));

/** Deletes the student for good; the body holds the name as typed. */
export const DELETE = handle(async ({ teacher, request, params }) => {
  await studentOf(teacher.id, params.student);
  await removeStudent(teacher.id, params.student, (await body(request, deletionSchema)).name);
});
