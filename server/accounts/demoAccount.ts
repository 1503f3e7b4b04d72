/** The demo teacher's sign-in: public on purpose, since it opens made-up data on this machine alone. */
import { eq } from 'drizzle-orm';
import { database } from '../database/connection';
import { user } from '../schema';

export const DEMO_EMAIL = 'demo@oldhand.example';
export const DEMO_PASSWORD = 'skerrowby-harbour';
export const DEMO_NAME = 'Demo teacher';

/** What to sign in with, where the demo is in this database. */
export async function demoSignIn(): Promise<{ email: string; password: string } | null> {
  const [row] = await database().select({ id: user.id }).from(user).where(eq(user.email, DEMO_EMAIL));
  return row ? { email: DEMO_EMAIL, password: DEMO_PASSWORD } : null;
}
