import { studyOf } from '@/server/accounts/ownership';
import { body, handle } from '@/server/door/http';
import { copyStudy } from '@/server/studies/copying';
import { studyCopySchema } from '@/server/studies/schemas';

/** The study begun again for another class. */
export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return { id: await copyStudy(teacher.id, params.study, await body(request, studyCopySchema)) };
});
