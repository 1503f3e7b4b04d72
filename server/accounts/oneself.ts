/** Knows how a teacher changes who they are here: name, e-mail and password; the last two only with the password there is. */
import { and, eq, ne } from 'drizzle-orm';
import { typed } from '../../core/message';
import { changing, database } from '../database/connection';
import { unlessTaken } from '../database/failures';
import { sentence, UserError } from '../errors';
import { account, session, user } from '../schema';
import { auth } from './auth';
import { DEMO_EMAIL } from './demoAccount';
import { checkTries } from './limits';

interface Oneself {
  name?: string;
  email?: string;
  newPassword?: string;
  /** The password there is. */
  password?: string;
}

async function checkPassword(teacher: { id: string; email: string }, password: string, headers: Headers): Promise<void> {
  // As many tries as at the door.
  await checkTries('sign-in', teacher.email, headers);
  const [own] = await database()
    .select({ hash: account.password })
    .from(account)
    .where(and(eq(account.userId, teacher.id), eq(account.providerId, 'credential')));
  const { password: keeper } = await auth().$context;
  if (!own?.hash || !(await keeper.verify({ hash: own.hash, password })))
    throw new UserError(400, sentence('oneself.password'), 'password');
}

/** A new password ends every other session. */
export async function changeOneself(teacher: { id: string; email: string }, fields: Oneself, headers: Headers): Promise<void> {
  const { name, email, newPassword, password = '' } = fields;
  if (email !== undefined || newPassword !== undefined) {
    // Its button knows the way in.
    if (teacher.email === DEMO_EMAIL) throw new UserError(403, sentence('oneself.demo'));
    await checkPassword(teacher, password, headers);
  }
  const set = { ...(name !== undefined && { name }), ...(email !== undefined && { email: email.toLowerCase() }), updatedAt: new Date() };
  const hash = newPassword === undefined ? null : await (await auth().$context).password.hash(newPassword);
  const current = hash === null ? null : await auth().api.getSession({ headers });
  const store = () =>
    changing(async (tx) => {
      await tx.update(user).set(set).where(eq(user.id, teacher.id));
      if (hash === null) return;
      await tx
        .update(account)
        .set({ password: hash, updatedAt: new Date() })
        .where(and(eq(account.userId, teacher.id), eq(account.providerId, 'credential')));
      await tx.delete(session).where(and(eq(session.userId, teacher.id), ne(session.token, current?.session.token ?? '')));
    });
  await unlessTaken(store, () => new UserError(409, sentence('oneself.taken', { email: typed(email ?? '') }), 'email'));
}
