/** Knows how a picture comes in: checked by its content, put upright, then stored in the transaction that gives it its use. */
import type { Transaction } from '../database/connection';
import { inThread } from '../threads/threads';
import type { MadePicture } from '../threads/tasks';
import { checkPicture } from './decode';
import { NewPicture, putPicture } from './store';

/** Stores a picture made from another, and its preview. */
export async function putMade(
  tx: Transaction,
  teacherId: string,
  role: 'upright' | 'rectified',
  madeFrom: string,
  name: string,
  made: MadePicture,
): Promise<string> {
  const size = { width: made.width, height: made.height };
  const id = await putPicture(tx, Buffer.from(made.png), { teacherId, role, madeFrom, name, mime: 'image/png', ...size });
  await putPicture(tx, Buffer.from(made.preview), { teacherId, role: 'preview', madeFrom: id, name, mime: 'image/jpeg', ...size });
  return id;
}

/** An upload that has been looked at and is ready to be stored. */
interface TakenIn {
  original: Pick<NewPicture, 'mime' | 'width' | 'height'>;
  /** Stores the upload with its upright picture; gives the upright one's id. */
  store: (tx: Transaction) => Promise<string>;
}

/** Checks an upload and makes its upright picture, before any transaction is begun. */
export async function takeInPicture(teacherId: string, bytes: Buffer, name: string): Promise<TakenIn> {
  const original = await checkPicture(bytes, name);
  const made = await inThread({ task: 'upright', bytes, name, crop: null, flat: null });
  const store = async (tx: Transaction) => {
    const originalId = await putPicture(tx, bytes, { teacherId, role: 'original', name, ...original });
    return putMade(tx, teacherId, 'upright', originalId, name, made);
  };
  return { original, store };
}
