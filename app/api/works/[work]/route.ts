import { body, handle } from '@/server/door/http';
import { profileOf } from '@/server/pictures/readings';
import { workOf } from '@/server/accounts/ownership';
import { workChangeSchema } from '@/server/studies/schemas';
import { removeWork, updateWork } from '@/server/studies/works';

/** A work and its readings; `profile` is null until they have been taken. */
export const GET = handle(async ({ teacher, params }) => {
  const work = await workOf(teacher.id, params.work);
  return { work, profile: await profileOf(work) };
});

export const PATCH = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { version, ...fields } = await body(request, workChangeSchema);
  return { version: await updateWork(teacher.id, params.work, version, fields) };
});

export const DELETE = handle(({ teacher, params }) => removeWork(teacher.id, params.work));
