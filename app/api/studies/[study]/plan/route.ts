import { body, handle } from '@/server/door/http';
import { planOf, savePlan } from '@/server/lessons/plans';
import { studyOf } from '@/server/accounts/ownership';
import { planSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => planOf(await studyOf(teacher.id, params.study)));

export const PUT = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { version, label, ...plan } = await body(request, planSchema);
  return { version: await savePlan(teacher.id, params.study, version, plan, label) };
});
