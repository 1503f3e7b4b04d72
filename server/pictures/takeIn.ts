/** Knows how an uploaded picture becomes the upright, lossless picture everything is measured from. */
import { database } from '../database/connection';
import { inThread } from '../jobs/threads';
import { checkPicture } from './decode';
import { putPicture } from './store';

/** Checks an upload, turns it upright, stores both, and gives the upright picture's id and size. */
export async function takeInPicture(
  teacherId: string,
  bytes: Buffer,
  name: string,
): Promise<{ uprightId: string; width: number; height: number }> {
  const checked = await checkPicture(bytes, name);
  const made = await inThread({ task: 'upright', bytes, name, crop: null });
  const db = database();
  const originalId = await putPicture(db, bytes, {
    teacherId,
    role: 'original',
    name,
    mime: checked.mime,
    width: checked.width,
    height: checked.height,
  });
  const size = { width: made.width, height: made.height };
  const uprightId = await putPicture(db, Buffer.from(made.png), {
    teacherId,
    role: 'upright',
    madeFrom: originalId,
    name,
    mime: 'image/png',
    ...size,
  });
  await putPicture(db, Buffer.from(made.preview), {
    teacherId,
    role: 'preview',
    madeFrom: uprightId,
    name,
    mime: 'image/jpeg',
    ...size,
  });
  return { uprightId, ...size };
}
