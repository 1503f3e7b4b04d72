import { body, handle } from '@/server/door/http';
import { studySchema } from '@/server/studies/schemas';
import { createStudy, listStudies } from '@/server/studies/studies';

export const GET = handle(({ teacher }) => listStudies(teacher.id));

export const POST = handle(async ({ teacher, request }) => ({
  id: await createStudy(teacher.id, await body(request, studySchema)),
}));
