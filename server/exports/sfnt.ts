/** Knows how a font packed for the web (WOFF 1.0, W3C 2012) is unpacked once: read packed, each letter would unpack its table again. */
import { inflateSync } from 'node:zlib';

const SIGNATURE = 0x774f4646;
const [WOFF_HEAD, WOFF_ENTRY] = [44, 20];
const [SFNT_HEAD, SFNT_ENTRY] = [12, 16];
const to4 = (n: number) => (n + 3) & ~3;

/** The bytes of the same font, unpacked; a font that is no WOFF comes back as it is. */
export function unpacked(woff: Buffer): Buffer {
  if (woff.readUInt32BE(0) !== SIGNATURE) return woff;
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEAD + i * WOFF_ENTRY;
    const [offset, packed, length] = [4, 8, 12].map((k) => woff.readUInt32BE(at + k));
    const bytes = woff.subarray(offset, offset + packed);
    return { tag: woff.subarray(at, at + 4), sum: woff.readUInt32BE(at + 16), bytes: packed < length ? inflateSync(bytes) : bytes };
  });
  const out = Buffer.alloc(SFNT_HEAD + count * SFNT_ENTRY + tables.reduce((s, t) => s + to4(t.bytes.length), 0));
  // What a searching reader begins with: the largest power of two up to the number of tables.
  const power = Math.floor(Math.log2(count));
  woff.copy(out, 0, 4, 8);
  out.writeUInt16BE(count, 4);
  out.writeUInt16BE(2 ** power * SFNT_ENTRY, 6);
  out.writeUInt16BE(power, 8);
  out.writeUInt16BE(count * SFNT_ENTRY - 2 ** power * SFNT_ENTRY, 10);
  let to = SFNT_HEAD + count * SFNT_ENTRY;
  tables.forEach(({ tag, sum, bytes }, i) => {
    const at = SFNT_HEAD + i * SFNT_ENTRY;
    tag.copy(out, at);
    out.writeUInt32BE(sum, at + 4);
    out.writeUInt32BE(to, at + 8);
    out.writeUInt32BE(bytes.length, at + 12);
    bytes.copy(out, to);
    to += to4(bytes.length);
  });
  return out;
}
