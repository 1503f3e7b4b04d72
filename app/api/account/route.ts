import { changeOneself } from '@/server/accounts/oneself';
import { oneselfSchema } from '@/server/accounts/schemas';
import { body, handle } from '@/server/door/http';
import { accountGoing, removeAccount } from '@/server/removal/removal';
import { deletionSchema } from '@/server/studies/schemas';

/** What deleting the account would take along. */
export const GET = handle(({ teacher }) => accountGoing(teacher.id));

/** Changes name, e-mail or password. */
export const PATCH = handle(async ({ teacher, request }) => changeOneself(teacher, await body(request, oneselfSchema), request.headers));

/** Deletes the account and everything of it for good; the body holds its e-mail as typed. */
export const DELETE = handle(async ({ teacher, request }) => removeAccount(teacher.id, (await body(request, deletionSchema)).name));
