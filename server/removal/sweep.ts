/** Knows what ends by itself: edits too old to be undone, pictures and bytes without a use, sessions that have run out. */
import { lt } from 'drizzle-orm';
import { changing } from '../database/connection';
import { forgetOld, logsToForget } from '../edits/log';
import { log } from '../log';
import { sweepPictures } from '../pictures/dropping';
import { rateLimit, session, verification } from '../schema';

const DAY = 86_400_000;

/** Done at a server's start and every hour; any number of servers may do it at once. */
export async function sweep(now = new Date()): Promise<void> {
  for (const log of await logsToForget(now)) await changing((tx) => forgetOld(tx, log, now));
  const gone = await sweepPictures(now);
  if (gone.pictures || gone.blobs) log.info(gone, 'pictures without a use deleted');
  await changing(async (tx) => {
    await tx.delete(session).where(lt(session.expiresAt, now));
    await tx.delete(verification).where(lt(verification.expiresAt, now));
    await tx.delete(rateLimit).where(lt(rateLimit.lastRequest, now.getTime() - DAY));
  });
}
