import { body, handle } from '@/server/http';
import { planOf, savePlan } from '@/server/lessons/plans';
import { planSchema } from '@/server/studies/schemas';
import { studyOf } from '@/server/studies/studies';

export const GET = handle(({ teacher, params }) => planOf(teacher.id, params.study));

export const PUT = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { version, label, ...plan } = await body(request, planSchema);
  return { version: await savePlan(teacher.id, params.study, version, plan, label) };
});
