import { body, handle } from '@/server/http';
import { addRule, listRules } from '@/server/studies/rules';
import { ruleSchema } from '@/server/studies/schemas';
import { studyOf } from '@/server/studies/studies';

export const GET = handle(({ teacher, params }) => listRules(teacher.id, params.study));

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return { id: await addRule(teacher.id, params.study, await body(request, ruleSchema)) };
});
