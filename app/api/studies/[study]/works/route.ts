import { fieldNumber, handle, upload } from '@/server/http';
import { studyOf } from '@/server/studies/studies';
import { addWork, listWorks } from '@/server/studies/works';

export const GET = handle(({ teacher, params }) => listWorks(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { bytes, name, fields } = await upload(request);
  const id = await addWork(teacher.id, params.study, bytes, name, {
    title: fields.title?.slice(0, 120),
    widthMm: fieldNumber(fields, 'widthMm', 10, 5000),
    heightMm: fieldNumber(fields, 'heightMm', 10, 5000),
  });
  return { id };
});
