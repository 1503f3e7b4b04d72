/** Knows how to bring marks down to centre lines one pixel wide. */
import { Mask } from './image';
import { peeled } from './kernels/kernels';

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

/** Centre lines one pixel wide; `places` are the numbers of their pixels, in scan order. */
export interface Skeleton extends Mask {
  places: Int32Array;
}

/**
 * The skeleton of a mask, by peeling one side after another: all spare pixels that are bare above, then below, to the
 * right, to the left, until nothing goes (Rosenfeld 1975 shows that each such step keeps what is connected connected).
 * The better-known two-pass method of Zhang and Suen (1984) takes both sides of a slanting line two pixels wide at once,
 * and the line with them; fine pen strokes are just so wide.
 */
export function thin(source: Mask): Skeleton {
  return { width: source.width, height: source.height, ...peeled(source, SPARE) };
}
