/** Knows how a picture is handed to a page: whole, for the screen, or small. */
import sharp from 'sharp';
import { database } from '../database/connection';
import { inThread } from '../threads/threads';
import { derivedPicture, getBlob, pictureOf } from './store';

/** What browsers show; a phone's own kind and TIFF are put upright for them. */
const SHOWN: ReadonlySet<string> = new Set(['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/avif']);

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
  const shownAsIs = SHOWN.has(shown.mime);
  const preview = size === 'screen' && !shownAsIs;
  const tag = `"${shown.sha256.slice(0, 32)}${small ? '-s' : preview ? '-p' : ''}"`;
  const mime = small || preview ? 'image/jpeg' : shownAsIs ? shown.mime : 'image/png';
  if (known === tag) return { bytes: null, mime, tag };
  const stored = await getBlob(db, shown.sha256);
  const made = shownAsIs ? null : await inThread({ task: 'upright', bytes: stored, name: shown.name, crop: null, flat: null });
  const whole = made ? Buffer.from(size === null ? made.png : made.preview) : stored;
  return {
    bytes: small ? await sharp(whole).autoOrient().resize(400, 400, { fit: 'inside' }).jpeg({ quality: 82 }).toBuffer() : whole,
    mime,
    tag,
  };
}
