import { fileAnswer, handle } from '@/server/door/http';
import { sayHere } from '@/app/voice';
import { studentArchive } from '@/server/exports/student';

/** Everything kept about one student, a ZIP. */
export const GET = handle(async ({ teacher, params }) => {
  const { stream, name } = await studentArchive(teacher.id, params.student, await sayHere());
  return fileAnswer(stream, 'application/zip', name);
});
