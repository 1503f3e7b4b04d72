import { body, handle } from '@/server/door/http';
import { sentence, UserError } from '@/server/errors';
import type { LandmarkSubject } from '@/server/studies/landmarkRows';
import { landmarksOf, placeLandmarks, renameSet } from '@/server/studies/landmarks';
import { landmarksSchema, setNameSchema } from '@/server/studies/schemas';

function subjectOf(text: string): LandmarkSubject {
  if (text !== 'work' && text !== 'piece' && text !== 'reference') throw new UserError(404, sentence('placeOn'));
  return text;
}

export const GET = handle(({ teacher, params }) => landmarksOf(teacher.id, subjectOf(params.subject), params.id));

export const PUT = handle(async ({ teacher, request, params }) => {
  const subject = subjectOf(params.subject);
  await landmarksOf(teacher.id, subject, params.id);
  const { template, name, version, points, hidden, again, label } = await body(request, landmarksSchema);
  return {
    version: await placeLandmarks(teacher.id, { subject, subjectId: params.id, template, name }, version, points, label, {
      hidden,
      again,
    }),
  };
});

export const PATCH = handle(async ({ teacher, request, params }) => {
  const subject = subjectOf(params.subject);
  await landmarksOf(teacher.id, subject, params.id);
  const { template, name, to } = await body(request, setNameSchema);
  await renameSet(teacher.id, { subject, subjectId: params.id, template, name }, to);
});
