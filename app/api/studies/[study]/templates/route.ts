import { readTemplateFile } from '@/core/formats/templateFile';
import { body, handle } from '@/server/door/http';
import { studyOf } from '@/server/accounts/ownership';
import { addTemplate, ownTemplatesOf } from '@/server/studies/ownTemplates';
import { newTemplateSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return ownTemplatesOf(teacher.id);
});

/** A new one, or one from a file. */
export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { template, file } = await body(request, newTemplateSchema);
  return { id: await addTemplate(teacher.id, params.study, file ? readTemplateFile(file) : template) };
});
