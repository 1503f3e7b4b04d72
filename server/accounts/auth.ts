/** Knows who is signed in: teachers by e-mail and password, kept in this database alone. */
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { database } from '../database/connection';
import { account, rateLimit, session, user, verification } from '../schema';

function makeAuth() {
  const origin = process.env.OLDHAND_ORIGIN ?? 'http://127.0.0.1:4170';
  return betterAuth({
    appName: 'Old Hand',
    baseURL: origin,
    secret: process.env.BETTER_AUTH_SECRET,
    trustedOrigins: [origin, origin.replace('127.0.0.1', 'localhost')],
    database: drizzleAdapter(database(), {
      provider: 'mysql',
      schema: { user, session, account, verification, rateLimit },
    }),
    emailAndPassword: { enabled: true, minPasswordLength: 10, maxPasswordLength: 128, autoSignIn: true },
    session: { expiresIn: 60 * 60 * 24 * 7, updateAge: 60 * 60 * 24 },
    rateLimit: {
      enabled: process.env.OLDHAND_RATE_LIMIT !== 'off',
      storage: 'database',
      window: 60,
      max: 120,
      customRules: { '/sign-in/email': { window: 60, max: 8 }, '/sign-up/email': { window: 600, max: 5 } },
    },
    advanced: { useSecureCookies: false, database: { generateId: () => crypto.randomUUID() } },
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
}

/** The teacher whose session the request's cookies carry, or null. */
export async function teacherOf(headers: Headers): Promise<Teacher | null> {
  const found = await auth().api.getSession({ headers });
  return found ? { id: found.user.id, name: found.user.name, email: found.user.email } : null;
}
