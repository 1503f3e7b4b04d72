import { body, handle } from '@/server/door/http';
import { removeStudy, studyGoing } from '@/server/removal/removal';
import { studyOf } from '@/server/accounts/ownership';
import { deletionSchema, studyChangeSchema } from '@/server/studies/schemas';
import { benchOf, updateStudy } from '@/server/studies/studies';

/** The study and how far each step is; with `?going` what deleting it would take along. */
export const GET = handle(async ({ teacher, request, params }) => {
  if (new URL(request.url).searchParams.has('going')) return studyGoing(teacher.id, params.study);
  const { study, rail } = await benchOf(teacher.id, params.study);
  return { study, rail };
});

export const PATCH = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { version, ...fields } = await body(request, studyChangeSchema);
  return { version: await updateStudy(teacher.id, params.study, version, fields) };
});

/** Deletes the study for good; the body holds its name as typed. */
export const DELETE = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  await removeStudy(teacher.id, params.study, (await body(request, deletionSchema)).name);
});
