/** Small made-up pictures for tests. */
import sharp, { type Sharp } from 'sharp';
import type { RgbImage } from '../../core/raster/image';

/** Hatching on a pale sheet with one red field, as a sharp pipeline ready for any format. */
export function drawnPicture(width = 900, height = 640, spacing = 14): Sharp {
  const lines = Array.from(
    { length: Math.ceil((width + height) / spacing) },
    (_, i) => `<path d="M ${i * spacing} 60 l -300 520" stroke="#223" stroke-width="3"/>`,
  ).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><rect width="100%" height="100%" fill="#eee6d6"/><clipPath id="c"><rect x="60" y="60" width="${width - 120}" height="${height - 120}"/></clipPath><g clip-path="url(#c)">${lines}</g><rect x="120" y="120" width="150" height="110" fill="#b8322c"/></svg>`;
  return sharp(Buffer.from(svg));
}

/** The pixels of a pipeline. */
export async function rasterOf(picture: Sharp): Promise<RgbImage> {
  const { data, info } = await picture.removeAlpha().toColourspace('srgb').raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}

export const madePicture = (width = 900, height = 640, spacing = 14): Promise<Buffer> =>
  drawnPicture(width, height, spacing).png().toBuffer();

/** Four fields, clockwise from the top left: red, green, blue, white; each `side` px square. */
export function fourFields(side = 20): Sharp {
  const rows = [
    [
      [255, 0, 0],
      [0, 160, 0],
    ],
    [
      [255, 255, 255],
      [0, 0, 255],
    ],
  ];
  const data = Buffer.alloc(4 * side * side * 3);
  for (let y = 0; y < 2 * side; y++)
    for (let x = 0; x < 2 * side; x++) data.set(rows[y < side ? 0 : 1][x < side ? 0 : 1], 3 * (y * 2 * side + x));
  return sharp(data, { raw: { width: 2 * side, height: 2 * side, channels: 3 } });
}

function crc32(bytes: Buffer): number {
  let crc = ~0;
  for (const b of bytes) {
    crc ^= b;
    for (let k = 0; k < 8; k++) crc = (crc >>> 1) ^ (0xedb88320 & -(crc & 1));
  }
  return ~crc >>> 0;
}

/** A PNG of a few hundred bytes whose header claims `width` × `height` pixels. */
export async function pictureBomb(width: number, height: number): Promise<Buffer> {
  const png = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#888' } })
    .png()
    .toBuffer();
  png.writeUInt32BE(width, 16);
  png.writeUInt32BE(height, 20);
  // The header chunk: type and data from byte 12 on, its check sum after them.
  png.writeUInt32BE(crc32(png.subarray(12, 29)), 29);
  return png;
}
