import { body, handle } from '@/server/door/http';
import { referenceOf } from '@/server/accounts/ownership';
import { changeReference, removeReference, tickRule } from '@/server/studies/references';
import { referenceChangeSchema, referenceTickSchema } from '@/server/studies/schemas';

export const PATCH = handle(async ({ teacher, request, params }) => {
  await referenceOf(teacher.id, params.reference);
  const { version, ...fields } = await body(request, referenceChangeSchema);
  return { version: await changeReference(teacher.id, params.reference, version, fields) };
});

/** A rule ticked off, or open again. */
export const POST = handle(async ({ teacher, request, params }) => {
  await referenceOf(teacher.id, params.reference);
  const { ruleId, done } = await body(request, referenceTickSchema);
  await tickRule(teacher.id, params.reference, ruleId, done);
});

export const DELETE = handle(({ teacher, params }) => removeReference(teacher.id, params.reference));
