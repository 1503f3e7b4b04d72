/**
 * Knows decision trees grown by chance, and what they say together (extremely randomised trees, Geurts, Ernst and Wehenkel 2006): where clues count
 * otherwise beside one another than alone, a sum over them cannot follow.
 */
import { bytesOf } from '../base64';

/** From this on a byte begins a leaf; below, it is the number of the clue that a fork asks for. */
export const LEAF = 240;
/** Parts in which a leaf's shares are written. */
export const PARTS = 15;

export interface Trees {
  /**
   * One tree after another, each fork before its two branches: the clue's number and the first value that goes to the second branch. A leaf is
   * `LEAF` and the number of its shares, then each of them as a number (four bits) and how many of `PARTS`.
   */
  bytes: Uint8Array;
  /** Where each fork's second branch begins. */
  second: Int32Array;
  roots: readonly number[];
}

/** Trees from their bytes, base64. */
export function readTrees(text: string): Trees {
  const bytes = bytesOf(text);
  const second = new Int32Array(bytes.length);
  const pastEnd = (at: number): number => {
    if (bytes[at] >= LEAF) return at + 1 + bytes[at] - LEAF;
    second[at] = pastEnd(at + 2);
    return pastEnd(second[at]);
  };
  const roots: number[] = [];
  for (let at = 0; at < bytes.length; at = pastEnd(at)) roots.push(at);
  return { bytes, second, roots };
}

/** Mean of the shares that `values` (0–255) come to in each tree, for `count` numbers. */
export function sharesIn({ bytes, second, roots }: Trees, values: ArrayLike<number>, count: number): Float64Array {
  const sums = new Float64Array(count);
  for (const root of roots) {
    let at = root;
    while (bytes[at] < LEAF) at = values[bytes[at]] < bytes[at + 1] ? at + 2 : second[at];
    for (let k = 1; k <= bytes[at] - LEAF; k++) sums[bytes[at + k] >> 4] += (bytes[at + k] & 15) / PARTS;
  }
  for (let k = 0; k < count; k++) sums[k] /= roots.length;
  return sums;
}
