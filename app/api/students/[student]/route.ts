import { body, handle } from '@/server/door/http';
import { removeStudent, studentGoing } from '@/server/removal/removal';
import { studentOf } from '@/server/accounts/ownership';
import { changeStudent } from '@/server/classes/classes';
import { studentChangeSchema } from '@/server/classes/schemas';
import { deletionSchema } from '@/server/studies/schemas';

/** What deleting this student would take along. */
export const GET = handle(({ teacher, params }) => studentGoing(teacher.id, params.student));

export const PATCH = handle(async ({ teacher, request, params }) => {
  await studentOf(teacher.id, params.student);
  const { version, ...fields } = await body(request, studentChangeSchema);
  await changeStudent(teacher.id, params.student, version, fields);
});

/** Deletes the student for good; the body holds the name as typed. */
export const DELETE = handle(async ({ teacher, request, params }) => {
  await studentOf(teacher.id, params.student);
  await removeStudent(teacher.id, params.student, (await body(request, deletionSchema)).name);
});
