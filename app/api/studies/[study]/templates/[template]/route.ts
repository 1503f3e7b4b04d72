import { templateAsJson } from '@/core/formats/templateFile';
import { studyOf } from '@/server/accounts/ownership';
import { body, fileAnswer, handle } from '@/server/door/http';
import { changeTemplate, ownTemplateOf, removeTemplate } from '@/server/studies/ownTemplates';
import { templateChangeSchema } from '@/server/studies/schemas';

/** Its file. */
export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  const { template } = await ownTemplateOf(teacher.id, params.template);
  return fileAnswer(templateAsJson(template), 'application/json', `${template.name}.json`);
});

export const PATCH = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  await ownTemplateOf(teacher.id, params.template);
  const { version, template, renamed } = await body(request, templateChangeSchema);
  return { version: await changeTemplate(teacher.id, params.study, params.template, version, template, renamed) };
});

export const DELETE = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  await removeTemplate(teacher.id, params.study, params.template);
});
