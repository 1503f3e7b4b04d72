import { rosterAsCsv } from '@/core/formats/rosterFile';
import { classOf } from '@/server/accounts/ownership';
import { changeClass, listClasses } from '@/server/classes/classes';
import { classChangeSchema } from '@/server/classes/schemas';
import { body, fileAnswer, handle } from '@/server/door/http';
import { classGoing, removeClass } from '@/server/removal/removal';
import { deletionSchema } from '@/server/studies/schemas';

/** What deleting this class would take along; with `as=csv` its list. */
export const GET = handle(async ({ teacher, request, params }) => {
  const { name } = await classOf(teacher.id, params.class);
  if (new URL(request.url).searchParams.get('as') !== 'csv') return classGoing(teacher.id, params.class);
  const students = (await listClasses(teacher.id)).find((c) => c.id === params.class)?.students ?? [];
  return fileAnswer(rosterAsCsv(students.filter((s) => !s.left)), 'text/csv; charset=utf-8', `${name}.csv`);
});

export const PATCH = handle(async ({ teacher, request, params }) => {
  await classOf(teacher.id, params.class);
  const { version, ...fields } = await body(request, classChangeSchema);
  return { version: await changeClass(teacher.id, params.class, version, fields) };
});

/** Deletes the class for good; the body holds the name as typed. */
export const DELETE = handle(async ({ teacher, request, params }) => {
  await classOf(teacher.id, params.class);
  await removeClass(teacher.id, params.class, (await body(request, deletionSchema)).name);
});
