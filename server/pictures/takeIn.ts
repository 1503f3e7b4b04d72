/** Knows how an uploaded picture becomes the upright, lossless picture everything is measured from. */
import { database } from '../database/connection';
import { inThread } from '../jobs/threads';
import type { MadePicture } from '../jobs/workThread';
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
  const uprightId = await putMade(teacherId, 'upright', originalId, name, made);
  return { uprightId, width: made.width, height: made.height };
}

/** Stores a picture made from another, with the preview that screens show. Gives its id. */
export async function putMade(
  teacherId: string,
  role: 'upright' | 'rectified',
  madeFrom: string,
  name: string,
  made: MadePicture,
): Promise<string> {
  const db = database();
  const about = { teacherId, name, width: made.width, height: made.height };
  const id = await putPicture(db, Buffer.from(made.png), { ...about, role, madeFrom, mime: 'image/png' });
  await putPicture(db, Buffer.from(made.preview), { ...about, role: 'preview', madeFrom: id, mime: 'image/jpeg' });
  return id;
}
