import { studyOf } from '@/server/accounts/ownership';
import { handle } from '@/server/door/http';
import { dropStep } from '@/server/lessons/ownSteps';

export const DELETE = handle(async ({ teacher, params }) => {
  await studyOf(teacher.id, params.study);
  await dropStep(teacher.id, params.study, params.step);
});
