import { handle } from '@/server/door/http';
import { fieldNumber, takingIn } from '@/server/door/uploads';
import { studyOf } from '@/server/accounts/ownership';
import { addWork, listWorks } from '@/server/studies/works';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return listWorks(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return takingIn(request, async ({ bytes, name, fields }) => {
    const id = await addWork(teacher.id, params.study, bytes, name, {
      title: fields.title?.slice(0, 120),
      widthMm: fieldNumber(fields, 'widthMm', 10, 5000),
      heightMm: fieldNumber(fields, 'heightMm', 10, 5000),
    });
    return { id };
  });
});
