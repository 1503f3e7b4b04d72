/** Knows how to open a picture file into upright sRGB pixels, and to write one; the image library is loaded only when needed. */
import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { isHeic, tiffFromHeic } from '../core/formats/heic';
import { RgbImage } from '../core/raster/image';
import { typed } from '../core/message';
import { Unusable } from './unusable';

const MOST_BYTES = 40 * 1024 * 1024;
const MOST_PIXELS = 40e6;

export interface OpenedPicture {
  image: RgbImage;
  sha256: string;
}

async function library() {
  const { default: sharp } = await import('sharp');
  sharp.concurrency(1);
  sharp.cache(false);
  return sharp;
}

/** Reads, checks by content, turns upright and converts to 8-bit sRGB; transparency is laid on white. */
export async function openPicture(path: string): Promise<OpenedPicture> {
  let bytes: Buffer;
  try {
    bytes = await readFile(path);
  } catch {
    throw new Unusable('noPictureFile', { path: typed(path) });
  }
  return { image: await decodePicture(bytes, path), sha256: createHash('sha256').update(bytes).digest('hex') };
}

async function decodePicture(bytes: Buffer, name: string): Promise<RgbImage> {
  if (bytes.length === 0) throw new Unusable('empty', { path: typed(name) });
  if (bytes.length > MOST_BYTES) throw new Unusable('large', { path: typed(name) });
  const sharp = await library();
  let meta;
  try {
    meta = await sharp(bytes, { failOn: 'error' }).metadata();
  } catch {
    throw new Unusable('noPicture', { path: typed(name) });
  }
  if (!meta.width || !meta.height || !['jpeg', 'png', 'webp', 'tiff', 'gif', 'avif', 'heif'].includes(meta.format ?? ''))
    throw new Unusable('noPicture', { path: typed(name) });
  if (meta.width * meta.height > MOST_PIXELS) throw new Unusable('manyPixels', { path: typed(name) });
  try {
    const source = isHeic(bytes) ? await tiffFromHeic(bytes, meta.icc ?? null, MOST_PIXELS) : bytes;
    if (!source) throw new Unusable('damaged', { path: typed(name) });
    const { data, info } = await sharp(source, { failOn: 'error', limitInputPixels: MOST_PIXELS })
      .autoOrient()
      .flatten({ background: '#ffffff' })
      .toColourspace('srgb')
      .removeAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
    return {
      width: info.width,
      height: info.height,
      data: info.channels === 3 ? data : spreadGrey(data, info.width * info.height, info.channels),
    };
  } catch {
    throw new Unusable('damaged', { path: typed(name) });
  }
}

function spreadGrey(data: Buffer, pixels: number, channels: number): Uint8Array {
  const out = new Uint8Array(pixels * 3);
  for (let i = 0; i < pixels; i++) out.fill(data[i * channels], i * 3, i * 3 + 3);
  return out;
}

/** Writes a picture; the format follows the file's ending, PNG by default. */
export async function savePicture(image: RgbImage, path: string, pxPerMm: number): Promise<void> {
  const sharp = await library();
  const raw = sharp(Buffer.from(image.data.buffer, image.data.byteOffset, image.data.byteLength), {
    raw: { width: image.width, height: image.height, channels: 3 },
  });
  try {
    await raw.withMetadata({ density: pxPerMm * 25.4 }).toFile(path);
  } catch {
    throw new Unusable('cannotWrite', { path: typed(path) });
  }
}
