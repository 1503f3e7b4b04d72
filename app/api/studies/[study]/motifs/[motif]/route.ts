import { studyOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { changeMotif, removeMotif } from '@/server/studies/motifs';
import { motifChangeSchema } from '@/server/studies/schemas';

export const PATCH = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { version, ...fields } = await body(request, motifChangeSchema);
  return { version: await changeMotif(teacher.id, params.study, params.motif, version, fields) };
});

export const DELETE = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  await removeMotif(teacher.id, params.study, params.motif);
});
