/** Knows how a picture is handed to a page: whole, for the screen, or small. */
import sharp from 'sharp';
import { database } from '../database/connection';
import { derivedPicture, getBlob, pictureOf } from './store';

/** A teacher's picture; `small` is at most 400 px, `screen` the stored preview, else the whole. Bytes are null where the tag is already known. */
export async function readPicture(
  teacherId: string,
  id: string,
  size: string | null,
  known: string | null,
): Promise<{ bytes: Buffer | null; mime: string; tag: string }> {
  const db = database();
  const picture = await pictureOf(db, teacherId, id);
  const shown = size === 'small' || size === 'screen' ? ((await derivedPicture(db, picture.id, 'preview')) ?? picture) : picture;
  const small = size === 'small';
  const tag = `"${shown.sha256.slice(0, 32)}${small ? '-s' : ''}"`;
  const mime = small ? 'image/jpeg' : shown.mime;
  if (known === tag) return { bytes: null, mime, tag };
  const whole = await getBlob(db, shown.sha256);
  return {
    bytes: small ? await sharp(whole).autoOrient().resize(400, 400, { fit: 'inside' }).jpeg({ quality: 82 }).toBuffer() : whole,
    mime,
    tag,
  };
}
