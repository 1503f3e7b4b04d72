import { handle } from '@/server/door/http';
import { takingIn } from '@/server/door/uploads';
import { studyOf } from '@/server/accounts/ownership';
import { addReference, listReferences } from '@/server/studies/references';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return listReferences(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return takingIn(request, async ({ bytes, name, fields }) => {
    const id = await addReference(teacher.id, params.study, bytes, name, {
      title: fields.title?.slice(0, 120),
      credit: fields.credit?.slice(0, 120),
      studentId: fields.studentId || null,
      workId: fields.workId || null,
    });
    return { id };
  });
});
