/** Knows who is signed in: teachers by e-mail and password, kept in this database alone. */
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { database } from '../database/connection';
import { Settings, SETTINGS, settingsIn } from './settings';
import { configuredOrigin, ownOrigins } from '../origin';
import { account, rateLimit, session, user, verification } from '../schema';

function makeAuth() {
  const origin = configuredOrigin();
  return betterAuth({
    appName: 'Old Hand',
    baseURL: origin,
    secret: process.env.BETTER_AUTH_SECRET,
    trustedOrigins: ownOrigins(),
    database: drizzleAdapter(database(), {
      provider: 'mysql',
      schema: { user, session, account, verification, rateLimit },
    }),
    emailAndPassword: { enabled: true, minPasswordLength: 10, maxPasswordLength: 128, autoSignIn: true },
    // Held with the account and handed out with the session; changed in Settings alone.
    user: {
      additionalFields: Object.fromEntries(SETTINGS.map((name) => [name, { type: 'string', required: false, input: false } as const])),
    },
    session: { expiresIn: 60 * 60 * 24 * 7, updateAge: 60 * 60 * 24 },
    // Tries are counted by limits.ts, which does not believe an address that anybody may write.
    rateLimit: { enabled: false },
    advanced: {
      useSecureCookies: origin.startsWith('https:'),
      ipAddress: { disableIpTracking: true },
      database: { generateId: () => crypto.randomUUID() },
    },
    telemetry: { enabled: false },
  });
}

const holder = globalThis as { __oldhandAuth?: ReturnType<typeof makeAuth> };

export function auth(): ReturnType<typeof makeAuth> {
  return (holder.__oldhandAuth ??= makeAuth());
}

export interface Teacher {
  id: string;
  name: string;
  email: string;
  settings: Settings;
}

/** The teacher whose session the request's cookies carry, or null. */
export async function teacherOf(headers: Headers): Promise<Teacher | null> {
  const found = await auth().api.getSession({ headers });
  if (!found) return null;
  const { id, name, email } = found.user;
  return { id, name, email, settings: settingsIn(found.user as unknown as Settings) };
}
