import { studyOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { orderWorks } from '@/server/studies/remaking';
import { workOrderSchema } from '@/server/studies/schemas';

export const PUT = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { ids } = await body(request, workOrderSchema);
  await orderWorks(teacher.id, params.study, ids);
});
