/** Knows how to bring marks down to centre lines one pixel wide. */
import { Mask } from './image';

/**
 * By its eight neighbours, clockwise from the one above as bits 0 to 7: whether a pixel can go without parting or joining
 * anything (its 8-connectivity number is one: Yokoi, Toriwaki and Fukumura 1975) and is not the end of a line.
 */
const SPARE = Uint8Array.from({ length: 256 }, (_, bits) => {
  const bare = (k: number) => 1 - ((bits >> (k & 7)) & 1);
  let parts = 0;
  let set = 0;
  for (let k = 0; k < 8; k++) set += 1 - bare(k);
  for (let k = 0; k < 8; k += 2) parts += bare(k) - bare(k) * bare(k + 1) * bare(k + 2);
  return parts === 1 && set > 1 ? 1 : 0;
});

/**
 * The skeleton of a mask, by peeling one side after another: all spare pixels that are bare above, then below, to the
 * right, to the left, until nothing goes (Rosenfeld 1975 shows that each such step keeps what is connected connected).
 * The better-known two-pass method of Zhang and Suen (1984) takes both sides of a slanting line two pixels wide at once,
 * and the line with them; fine pen strokes are just so wide.
 */
export function thin(source: Mask): Mask {
  const { width: w, height: h } = source;
  const data = source.data.slice();
  const alive = new Int32Array(w * h);
  let count = 0;
  for (let y = 1; y < h - 1; y++) for (let i = y * w + 1, end = y * w + w - 1; i < end; i++) if (data[i]) alive[count++] = i;
  // A frame of unset pixels spares every bounds check below.
  for (let x = 0; x < w; x++) data[x] = data[(h - 1) * w + x] = 0;
  for (let y = 0; y < h; y++) data[y * w] = data[y * w + w - 1] = 0;
  const drop = new Int32Array(count);
  const sides = [-w, w, 1, -1];
  for (let idle = 0, side = 0; idle < 4; side = (side + 1) & 3) {
    const beyond = sides[side];
    let dropped = 0;
    for (let k = 0; k < count; k++) {
      const i = alive[k];
      if (data[i + beyond]) continue;
      const bits =
        data[i - w] |
        (data[i - w + 1] << 1) |
        (data[i + 1] << 2) |
        (data[i + w + 1] << 3) |
        (data[i + w] << 4) |
        (data[i + w - 1] << 5) |
        (data[i - 1] << 6) |
        (data[i - w - 1] << 7);
      if (SPARE[bits]) drop[dropped++] = i;
    }
    idle = dropped ? 0 : idle + 1;
    if (!dropped) continue;
    for (let k = 0; k < dropped; k++) data[drop[k]] = 0;
    let kept = 0;
    for (let k = 0; k < count; k++) if (data[alive[k]]) alive[kept++] = alive[k];
    count = kept;
  }
  return { width: w, height: h, data };
}
