import { body, handle } from '@/server/door/http';
import { accountGoing, removeAccount } from '@/server/removal/removal';
import { deletionSchema } from '@/server/studies/schemas';

/** What deleting the account would take along. */
export const GET = handle(({ teacher }) => accountGoing(teacher.id));

/** Deletes the account and everything of it for good; the body holds its e-mail as typed. */
export const DELETE = handle(async ({ teacher, request }) => removeAccount(teacher.id, (await body(request, deletionSchema)).name));
