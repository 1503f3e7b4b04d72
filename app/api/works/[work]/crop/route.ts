import { body, handle } from '@/server/door/http';
import { cropSchema } from '@/server/studies/schemas';
import { cropWork } from '@/server/studies/remaking';
import { workOf } from '@/server/accounts/ownership';

export const POST = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { version, ...crop } = await body(request, cropSchema);
  await cropWork(teacher.id, params.work, version, crop);
});
