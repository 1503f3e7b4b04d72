/** Knows how often somebody may try to sign in or sign up: by e-mail, by address where a proxy tells it, and in all. */
import { eq } from 'drizzle-orm';
import { changing, newId } from '../database/connection';
import { addressOf } from '../origin';
import { sentence, UserError } from '../errors';
import { rateLimit } from '../schema';

interface Limit {
  key: string;
  seconds: number;
  most: number;
}

/** Counts one try; throws when there were too many within the window. Counted in the database: servers share it. */
async function countTry({ key, seconds, most }: Limit, now = Date.now()): Promise<void> {
  const window = seconds * 1000;
  const wait = await changing(async (tx) => {
    await tx.insert(rateLimit).values({ id: newId(), key, count: 0, lastRequest: now }).onDuplicateKeyUpdate({ set: { key } });
    const [row] = await tx.select().from(rateLimit).where(eq(rateLimit.key, key)).for('update');
    const over = now - row.lastRequest >= window;
    if (!over && row.count >= most) return Math.ceil((row.lastRequest + window - now) / 1000);
    const set = over ? { count: 1, lastRequest: now } : { count: row.count + 1 };
    await tx.update(rateLimit).set(set).where(eq(rateLimit.key, key));
    return 0;
  });
  if (wait > 0) throw new UserError(429, sentence('tries', { seconds: wait }), null, wait);
}

/** Checks a try to come in. E-mails are cut and lowered, so that writing one differently is no way round. */
export async function checkTries(what: 'sign-in' | 'sign-up', email: string, headers: Headers): Promise<void> {
  if (process.env.OLDHAND_RATE_LIMIT === 'off') return;
  const address = addressOf(headers);
  const mail = email.trim().toLowerCase().slice(0, 120);
  const limits: Limit[] =
    what === 'sign-in'
      ? [
          { key: `in:mail:${mail}`, seconds: 60, most: 8 },
          { key: 'in:all', seconds: 60, most: 240 },
        ]
      : [{ key: 'up:all', seconds: 600, most: 40 }];
  if (address !== null)
    limits.unshift({ key: `${what}:from:${address}`, seconds: what === 'sign-in' ? 60 : 600, most: what === 'sign-in' ? 60 : 10 });
  for (const limit of limits) await countTry(limit);
}
