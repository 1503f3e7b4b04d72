import { studyOf } from '@/server/accounts/ownership';
import { handle } from '@/server/door/http';
import { handOfStudy } from '@/server/studies/hand';

/** What makes the hand of a study's works; asked again until every reading it needs has been taken. */
export const GET = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  const asked = new URL(request.url).searchParams;
  return handOfStudy(teacher.id, params.study, asked.get('group') || null, asked.get('beside') || null);
});
