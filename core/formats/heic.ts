/** Knows the picture files that phones make (HEIC): how they are told from others, and how they become pixels with their own colour profile. */
import type { RgbImage } from '../raster/image';

const text = (bytes: Uint8Array, from: number, length: number): string => String.fromCharCode(...bytes.subarray(from, from + length));

/** Brands of the family that are coded with HEVC (ISO/IEC 23008-12, annex B). */
const HEVC = new Set(['heic', 'heix', 'heim', 'heis', 'hevc', 'hevx']);

/** Whether the file's first box says that it is of the HEIF family and coded with HEVC; AVIF is another coding of that family. */
export function isHeic(bytes: Uint8Array): boolean {
  if (bytes.length < 16 || text(bytes, 4, 4) !== 'ftyp') return false;
  const end = Math.min(bytes.length, ((bytes[0] << 24) | (bytes[1] << 16) | (bytes[2] << 8) | bytes[3]) >>> 0, 256);
  const brands = [text(bytes, 8, 4)];
  for (let at = 16; at + 4 <= end; at += 4) brands.push(text(bytes, at, 4));
  return brands.some((b) => HEVC.has(b)) && !brands.some((b) => b === 'avif' || b === 'avis');
}

/** The library tells on standard output what it could not read; there the headless commands write their answers. */
function quietly<T>(work: () => T): T {
  const { log } = console;
  console.log = () => undefined;
  try {
    return work();
  } finally {
    console.log = log;
  }
}

/**
 * The picture of the file as it stands upright, in the numbers of its own colour profile; transparency is laid on white. Null where it is
 * damaged or has more pixels than that.
 */
async function decodeHeic(bytes: Uint8Array, mostPixels: number): Promise<RgbImage | null> {
  const { default: libheif } = await import('libheif-js/wasm-bundle.js');
  const found = quietly(() => new libheif.HeifDecoder().decode(bytes));
  try {
    const picture = found.find((p) => p.is_primary()) ?? found[0];
    if (!picture) return null;
    const [width, height] = [picture.get_width(), picture.get_height()];
    if (width * height > mostPixels) return null;
    const rgba = new Uint8ClampedArray(width * height * 4);
    const shown = await new Promise<{ data: Uint8ClampedArray } | null>((done) => picture.display({ data: rgba, width, height }, done));
    if (!shown) return null;
    const data = new Uint8Array(width * height * 3);
    for (let i = 0, o = 0; o < data.length; i += 4) {
      const clear = 255 - shown.data[i + 3];
      for (let c = 0; c < 3; c++) data[o++] = clear ? (shown.data[i + c] * shown.data[i + 3] + 255 * clear) / 255 : shown.data[i + c];
    }
    return { width, height, data };
  } finally {
    for (const p of found) p.free();
  }
}

/** An entry of a TIFF directory: its tag, its type (3 for 16 bits, 4 for 32, 7 for bytes), how many, and the value or where it stands. */
type Entry = [tag: number, type: 3 | 4 | 7, count: number, value: number];

/** The picture as an uncompressed TIFF that carries the colour profile its numbers are in (TIFF 6.0, baseline RGB; profile in tag 34675). */
function tiffOf({ width, height, data }: RgbImage, profile: Uint8Array | null): Uint8Array {
  const count = profile ? 11 : 10;
  const [bits, pixels] = [8, 16];
  const icc = pixels + data.length;
  const directory = icc + (profile?.length ?? 0) + (((profile?.length ?? 0) + data.length) & 1);
  const entries: Entry[] = [
    [256, 4, 1, width],
    [257, 4, 1, height],
    [258, 3, 3, bits],
    [259, 3, 1, 1],
    [262, 3, 1, 2],
    [273, 4, 1, pixels],
    [277, 3, 1, 3],
    [278, 4, 1, height],
    [279, 4, 1, data.length],
    [284, 3, 1, 1],
    ...(profile ? ([[34675, 7, profile.length, icc]] as Entry[]) : []),
  ];
  const out = new Uint8Array(directory + 2 + 12 * count + 4);
  const view = new DataView(out.buffer);
  out.set([0x49, 0x49, 42, 0]);
  view.setUint32(4, directory, true);
  for (let c = 0; c < 3; c++) view.setUint16(bits + 2 * c, 8, true);
  out.set(data, pixels);
  if (profile) out.set(profile, icc);
  view.setUint16(directory, count, true);
  entries.forEach(([tag, type, n, value], k) => {
    const at = directory + 2 + 12 * k;
    view.setUint16(at, tag, true);
    view.setUint16(at + 2, type, true);
    view.setUint32(at + 4, n, true);
    view.setUint32(at + 8, value, true);
  });
  return out;
}

/** A HEIC as a TIFF in the same colour profile, which every image library reads; null where it is damaged or has more pixels than that. */
export async function tiffFromHeic(bytes: Uint8Array, profile: Uint8Array | null, mostPixels: number): Promise<Uint8Array | null> {
  const image = await decodeHeic(bytes, mostPixels);
  return image && tiffOf(image, profile);
}
