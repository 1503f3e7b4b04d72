import { workOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { straightenSchema } from '@/server/studies/schemas';
import { straightenWork } from '@/server/studies/remaking';

/** Lays a work flat by its four corners. */
export const POST = handle(async ({ teacher, request, params }) => {
  await workOf(teacher.id, params.work);
  const { version, corners } = await body(request, straightenSchema);
  await straightenWork(teacher.id, params.work, version, corners);
});
