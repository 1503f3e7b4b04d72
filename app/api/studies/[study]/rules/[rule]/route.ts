import { body, handle } from '@/server/door/http';
import { changeRule, removeRule } from '@/server/studies/rules';
import { ruleChangeSchema } from '@/server/studies/schemas';
import { studyOf } from '@/server/accounts/ownership';

export const PATCH = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { version, ...fields } = await body(request, ruleChangeSchema);
  await changeRule(teacher.id, params.study, params.rule, version, fields);
});

export const DELETE = handle(({ teacher, params }) => removeRule(teacher.id, params.study, params.rule));
