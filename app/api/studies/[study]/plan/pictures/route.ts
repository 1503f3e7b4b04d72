import { studyOf } from '@/server/accounts/ownership';
import { changing } from '@/server/database/connection';
import { handle } from '@/server/door/http';
import { takingIn } from '@/server/door/uploads';
import { takeInPicture } from '@/server/pictures/takeIn';

/** A picture for a step: a stage of the exemplar, a photograph. It stays once a step of the plan has it. */
export const POST = handle(async ({ teacher, request, params }) => {
  await studyOf(teacher.id, params.study);
  return takingIn(request, async ({ bytes, name }) => {
    const taken = await takeInPicture(teacher.id, bytes, name);
    return { pictureId: await changing((tx) => taken.store(tx)) };
  });
});
