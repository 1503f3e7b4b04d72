/** Knows how to check an uploaded picture by its content and make the lossless upright picture everything is measured from. */
import { typed } from '../../core/message';
import sharp, { type Metadata } from 'sharp';
import { isHeic, tiffFromHeic } from '../../core/formats/heic';
import { RgbImage } from '../../core/raster/image';
import { sentence, UserError } from '../errors';

export const MOST_BYTES = 40 * 1024 * 1024;
const MOST_PIXELS = 40e6;
const FORMATS: Record<string, string> = {
  jpeg: 'image/jpeg',
  png: 'image/png',
  webp: 'image/webp',
  tiff: 'image/tiff',
  gif: 'image/gif',
  heif: 'image/avif',
};

sharp.cache(false);

export interface Checked {
  mime: string;
  width: number;
  height: number;
}

/** Looks into the bytes; throws a told error when they are no picture, too large, or of a kind that cannot be used. */
export async function checkPicture(bytes: Buffer, name: string): Promise<Checked> {
  if (bytes.length === 0) throw new UserError(400, sentence('picture.empty', { name: typed(name) }), 'picture');
  let meta: Metadata;
  try {
    meta = await sharp(bytes, { failOn: 'error', limitInputPixels: false }).metadata();
  } catch {
    throw new UserError(415, sentence('picture.none', { name: typed(name) }), 'picture');
  }
  const mime = isHeic(bytes) ? 'image/heic' : FORMATS[meta.format ?? ''];
  if (!mime || !meta.width || !meta.height) throw new UserError(415, sentence('picture.kind', { name: typed(name) }), 'picture');
  if (meta.width * meta.height > MOST_PIXELS)
    throw new UserError(
      413,
      sentence('picture.pixels', { name: typed(name), megapixels: Math.round((meta.width * meta.height) / 1e6) }),
      'picture',
    );
  if (meta.space === 'cmyk' && !meta.icc) throw new UserError(415, sentence('picture.cmyk', { name: typed(name) }), 'picture');
  const turned = (meta.orientation ?? 1) >= 5;
  return { mime, width: turned ? meta.height : meta.width, height: turned ? meta.width : meta.height };
}

/** Bytes the image library can decode; of a phone's own kind of picture it reads but the header, and the colour profile there. */
async function decodable(bytes: Buffer): Promise<Uint8Array> {
  if (!isHeic(bytes)) return bytes;
  const { icc } = await sharp(bytes).metadata();
  const tiff = await tiffFromHeic(bytes, icc ?? null, MOST_PIXELS);
  if (!tiff) throw new Error('damaged');
  return tiff;
}

/** Upright, 8-bit sRGB, no transparency; throws a told error when the picture is damaged. */
export async function decodeUpright(bytes: Buffer, name: string): Promise<RgbImage> {
  try {
    const { data, info } = await sharp(await decodable(bytes), { failOn: 'error', limitInputPixels: MOST_PIXELS })
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb')
      .removeAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
    if (info.channels === 3) return { width: info.width, height: info.height, data };
    const rgb = new Uint8Array(info.width * info.height * 3);
    for (let i = 0; i < rgb.length; i++) rgb[i] = data[Math.floor(i / 3) * info.channels];
    return { width: info.width, height: info.height, data: rgb };
  } catch {
    throw new UserError(415, sentence('picture.damaged', { name: typed(name) }), 'picture');
  }
}

const raw = (image: RgbImage) =>
  sharp(Buffer.from(image.data.buffer, image.data.byteOffset, image.data.byteLength), {
    raw: { width: image.width, height: image.height, channels: 3 },
  });

/** For what is read again at once: pressing it harder takes longer than it saves. */
export const HARDLY_PRESSED = 1;

export async function encodePng(image: RgbImage, compressionLevel = 3): Promise<Buffer> {
  return raw(image).png({ compressionLevel }).toBuffer();
}

/** A JPEG for screens with its long side at most `side`. */
export async function encodePreview(image: RgbImage, side: number): Promise<Buffer> {
  return raw(image)
    .resize(side, side, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 88, chromaSubsampling: '4:4:4' })
    .toBuffer();
}

export async function encodeJpeg(image: RgbImage, quality: number): Promise<Buffer> {
  return raw(image).jpeg({ quality }).toBuffer();
}
