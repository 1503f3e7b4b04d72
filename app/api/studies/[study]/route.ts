import { body, handle } from '@/server/http';
import { studyChangeSchema } from '@/server/studies/schemas';
import { railOf, removeStudy, studyOf, updateStudy } from '@/server/studies/studies';

export const GET = handle(async ({ teacher, params }) => ({
  study: await studyOf(teacher.id, params.study),
  rail: await railOf(teacher.id, params.study),
}));

export const PATCH = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  await updateStudy(teacher.id, params.study, await body(request, studyChangeSchema));
});

export const DELETE = handle(async ({ teacher, params }) => removeStudy(teacher.id, params.study));
