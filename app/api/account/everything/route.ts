import { fileAnswer, handle } from '@/server/door/http';
import { everythingOf } from '@/server/exports/everything';

/** Everything that is the teacher's, a ZIP. */
export const GET = handle(async ({ teacher }) => fileAnswer(await everythingOf(teacher.id), 'application/zip', 'old-hand.zip'));
