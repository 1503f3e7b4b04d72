/** Knows who may make an account here: everybody, whoever has the installation's code, or nobody; the first teacher always. */
import { ne } from 'drizzle-orm';
import { timingSafeEqual } from 'node:crypto';
import { database } from '../database/connection';
import { DEMO_EMAIL } from './demoAccount';
import { sentence, UserError } from '../errors';
import { user } from '../schema';

export type SignUp = 'open' | 'code' | 'closed';

/** OLDHAND_SIGN_UP: `open`, `closed`, or `code:` and the code. */
function policy(): { kind: SignUp; code: string } {
  const set = process.env.OLDHAND_SIGN_UP?.trim() || 'open';
  if (set === 'open' || set === 'closed') return { kind: set, code: '' };
  const code = /^code:(.{4,})$/.exec(set)?.[1];
  if (code === undefined) throw new UserError(503, sentence('signUpSetting'));
  return { kind: 'code', code };
}

/** Whether any teacher but the demo's has an account. */
async function isFirst(): Promise<boolean> {
  const rows = await database().select({ id: user.id }).from(user).where(ne(user.email, DEMO_EMAIL)).limit(1);
  return rows.length === 0;
}

export async function signUpKind(): Promise<SignUp> {
  const { kind } = policy();
  return kind !== 'open' && (await isFirst()) ? 'open' : kind;
}

export async function checkSignUp(code: string): Promise<void> {
  const kind = await signUpKind();
  if (kind === 'open') return;
  if (kind === 'closed') throw new UserError(403, sentence('signUpClosed'));
  const [given, wanted] = [Buffer.from(code.trim()), Buffer.from(policy().code)];
  if (given.length !== wanted.length || !timingSafeEqual(given, wanted)) throw new UserError(403, sentence('signUpCode'), 'code');
}
