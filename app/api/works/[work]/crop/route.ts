import { body, handle } from '@/server/http';
import { cropSchema } from '@/server/studies/schemas';
import { cropWork, workOf } from '@/server/studies/works';

export const POST = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { version, ...crop } = await body(request, cropSchema);
  await cropWork(teacher.id, params.work, version, crop);
});
