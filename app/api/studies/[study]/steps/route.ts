import { readStepFile, stepsAsJson } from '@/core/formats/stepFile';
import { studyOf } from '@/server/accounts/ownership';
import { body, fileAnswer, handle } from '@/server/door/http';
import { keepSteps, ownStepsOf } from '@/server/lessons/ownSteps';
import { ownStepSchema } from '@/server/studies/schemas';

/** All of them; `as=file` as one file. */
export const GET = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const own = await ownStepsOf(teacher.id);
  if (new URL(request.url).searchParams.get('as') !== 'file') return own;
  return fileAnswer(stepsAsJson(own.map((o) => o.step)), 'application/json', 'steps.json');
});

/** Keeps one, or those of a file. */
export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { step, file } = await body(request, ownStepSchema);
  await keepSteps(teacher.id, params.study, file === undefined ? [step] : readStepFile(file));
  return ownStepsOf(teacher.id);
});
