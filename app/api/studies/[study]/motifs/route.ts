import { studyOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { addMotif, motifsOf } from '@/server/studies/motifs';
import { motifSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return motifsOf(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { name } = await body(request, motifSchema);
  return { id: await addMotif(teacher.id, params.study, name) };
});
