import { body, handle } from '@/server/door/http';
import { studyOf } from '@/server/accounts/ownership';
import { addRule, listRules } from '@/server/studies/rules';
import { ruleSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return listRules(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return { id: await addRule(teacher.id, params.study, await body(request, ruleSchema)) };
});
