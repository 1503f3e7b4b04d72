import { studyOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { keepRound, roundsOf } from '@/server/studies/drills';
import { roundSchema } from '@/server/studies/schemas';

export const GET = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  return roundsOf(params.study);
});

export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const { who, studentId, drill, answers } = await body(request, roundSchema);
  return { id: await keepRound(teacher.id, params.study, { who, studentId, drill, answers }) };
});
