/** Knows whether there is room left for pictures where this machine keeps its database. */
import { statfs } from 'node:fs/promises';
import { sentence, UserError } from '../errors';

const LEAST_MB = 300;

export const noRoom = (): UserError => new UserError(507, sentence('diskFull'), 'picture');

/** Refuses an upload while space is short. A database elsewhere looks after its own disk and says so itself. */
export async function checkRoom(bytes = 0): Promise<void> {
  const dir = process.env.OLDHAND_DATA;
  if (!dir) return;
  const least = (Number(process.env.OLDHAND_LEAST_FREE_MB) || LEAST_MB) * 1024 * 1024;
  // A picture is stored as sent and once more lossless: a few times its size.
  const { bavail, bsize } = await statfs(dir);
  if (bavail * bsize < least + 6 * bytes) throw noRoom();
}
