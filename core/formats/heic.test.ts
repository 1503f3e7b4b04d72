import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { isHeic, tiffFromHeic } from './heic';

/** Four fields in a wider gamut, made with an encoder of its own: near white, red (192, 32, 24), blue (24, 64, 176), green (16, 128, 48) in sRGB. */
const fields = readFileSync(join(__dirname, '../../tests/support/fields-p3.heic'));
const ftyp = (...brands: string[]) => {
  const size = 16 + 4 * (brands.length - 1);
  return Buffer.concat([
    Buffer.from([0, 0, 0, size]),
    Buffer.from(`ftyp${brands[0]}\0\0\0\0${brands.slice(1).join('')}`),
    Buffer.alloc(16),
  ]);
};

describe('pictures as phones make them', () => {
  test('are told by the brands of their first box, AVIF of the same family is not one of them', () => {
    expect(isHeic(fields)).toBe(true);
    expect(isHeic(ftyp('heic', 'mif1'))).toBe(true);
    expect(isHeic(ftyp('mif1', 'heix', 'miaf'))).toBe(true);
    expect(isHeic(ftyp('avif', 'mif1', 'miaf'))).toBe(false);
    expect(isHeic(ftyp('mif1', 'avif'))).toBe(false);
    expect(isHeic(ftyp('isom', 'mp42'))).toBe(false);
    expect(isHeic(Buffer.from('\x89PNG\r\n\x1a\n0000000000000000', 'latin1'))).toBe(false);
    expect(isHeic(Buffer.from('ftyp'))).toBe(false);
  });

  test('come out as a TIFF whose profile another library reads and turns into the same colours', async () => {
    const { icc } = await sharp(fields).metadata();
    expect(icc!.length).toBeGreaterThan(100);
    const tiff = Buffer.from((await tiffFromHeic(fields, icc!, 1e6))!);
    const meta = await sharp(tiff).metadata();
    expect([meta.format, meta.width, meta.height, meta.icc!.equals(icc!)]).toEqual(['tiff', 80, 60, true]);
    const rgb = await sharp(tiff).toColourspace('srgb').raw().toBuffer();
    const at = (x: number, y: number) => [...rgb.subarray(3 * (y * 80 + x), 3 * (y * 80 + x) + 3)];
    const near = (seen: number[], drawn: number[]) => seen.forEach((v, c) => expect(Math.abs(v - drawn[c])).toBeLessThanOrEqual(4));
    near(at(20, 15), [0xf2, 0xf2, 0xee]);
    near(at(60, 15), [0xc0, 0x20, 0x18]);
    near(at(20, 45), [0x18, 0x40, 0xb0]);
    near(at(60, 45), [0x10, 0x80, 0x30]);
    // Its own numbers differ: the profile is what brings them back.
    const own = await sharp(tiff, { ignoreIcc: true }).raw().toBuffer();
    expect(Math.abs(own[3 * (15 * 80 + 60)] - 0xc0)).toBeGreaterThan(8);
  });

  test('that are cut short or larger than allowed give nothing', async () => {
    expect(await tiffFromHeic(fields.subarray(0, 900), null, 1e6)).toBeNull();
    expect(await tiffFromHeic(fields, null, 80 * 60 - 1)).toBeNull();
  });
});
