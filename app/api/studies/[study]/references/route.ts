import { handle, upload } from '@/server/http';
import { addReference, listReferences } from '@/server/studies/references';
import { studyOf } from '@/server/studies/studies';

export const GET = handle(({ teacher, params }) => listReferences(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { bytes, name, fields } = await upload(request);
  const id = await addReference(teacher.id, params.study, bytes, name, {
    title: fields.title?.slice(0, 120),
    credit: fields.credit?.slice(0, 120),
    studentId: fields.studentId || null,
  });
  return { id };
});
