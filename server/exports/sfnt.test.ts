import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import PDFDocument from 'pdfkit';
import { installRoot } from '../root';
import { unpacked } from './sfnt';

const require_ = createRequire(join(installRoot(), 'package.json'));
const woff = readFileSync(
  join(dirname(require_.resolve('@fontsource/source-sans-3/package.json')), 'files', 'source-sans-3-latin-400-normal.woff'),
);

/** Sum of a table's big-endian words, as the OpenType specification reckons it ("Calculating checksums"). */
function sumOf(bytes: Buffer): number {
  const padded = Buffer.concat([bytes, Buffer.alloc((4 - (bytes.length % 4)) % 4)]);
  let sum = 0;
  for (let i = 0; i < padded.length; i += 4) sum = (sum + padded.readUInt32BE(i)) >>> 0;
  return sum;
}

test('every table of the unpacked font has the check sum its directory gives', () => {
  const font = unpacked(woff);
  const count = font.readUInt16BE(4);
  expect(count).toBe(woff.readUInt16BE(12));
  for (let i = 0; i < count; i++) {
    const at = 12 + 16 * i;
    const [sum, offset, length] = [4, 8, 12].map((k) => font.readUInt32BE(at + k));
    const table = Buffer.from(font.subarray(offset, offset + length));
    // The head's own adjustment does not count in its sum.
    if (font.toString('latin1', at, at + 4) === 'head') table.writeUInt32BE(0, 8);
    expect(sumOf(table)).toBe(sum);
  }
});

test('packed and unpacked it sets the same words equally wide; what is no packed font comes back as it is', () => {
  const widthIn = (font: Buffer) =>
    new PDFDocument({ font: font as unknown as string }).fontSize(12).widthOfString('Skerrowby harbour, 1,6 mm');
  expect(widthIn(unpacked(woff))).toBeCloseTo(widthIn(woff), 6);
  expect(unpacked(unpacked(woff))).toEqual(unpacked(woff));
});
