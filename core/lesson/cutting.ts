/** Knows how sheets are cut from a larger one on a guillotine: every cut goes straight across what is cut. */
import { CoreError } from '../errors';
import { typed } from '../message';

type Rect = [x: number, y: number, w: number, h: number];

/** A straight cut, from side to side of what it parts; mm from the parent's top left corner. */
interface Cut {
  from: [number, number];
  to: [number, number];
}

export interface CuttingPlan {
  pieces: Rect[];
  /** In an order in which they can be made. */
  cuts: Cut[];
  /** Share of the parent that is left over. */
  waste: number;
}

/** Tenths of a mm: nobody cuts finer, and sums of them are exact. */
const FINE = 10;
const LEAST_MM = 10;

/**
 * The most pieces of a × b mm, either way round, that guillotine cuts give from a parent sheet, with the cuts. Exact: dynamic programming over
 * the sums of sides (Herz 1972; Christofides and Whitlock 1977).
 */
export function cutFrom(parent: readonly [number, number], piece: readonly [number, number]): CuttingPlan {
  for (const [name, v] of [
    ['parent', parent],
    ['piece', piece],
  ] as const)
    if (!(v[0] >= LEAST_MM && v[1] >= LEAST_MM && Math.max(...v) <= 1e5)) throw new CoreError('sides', { name: typed(name) });
  // A parent's rounded inches may want a hair of a piece's; a piece is never smaller than asked for.
  const [W, H] = parent.map((v) => Math.floor(v * FINE + 0.5));
  const [a, b] = piece.map((v) => Math.floor(v * FINE + 0.5));
  const sums = (length: number): number[] => {
    const found = new Set<number>([0]);
    for (let i = 0; i * a <= length; i++) for (let j = 0; i * a + j * b <= length; j++) found.add(i * a + j * b);
    return [...found].sort((p, q) => p - q);
  };
  const [xs, ys] = [sums(W), sums(H)];
  // Every length counts for no more than the largest sum of sides in it.
  const floorIn = (list: number[], v: number): number => {
    let [low, high] = [0, list.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (list[middle] <= v) low = middle;
      else high = middle - 1;
    }
    return low;
  };
  /** By width and height (numbers of their sums): how many, and where it is cut: over 0 across x, under 0 across y, 0 not. */
  const count = new Int32Array(xs.length * ys.length).fill(-1);
  const cut = new Int32Array(xs.length * ys.length);
  const best = (i: number, j: number): number => {
    const at = i * ys.length + j;
    if (count[at] >= 0) return count[at];
    const [w, h] = [xs[i], ys[j]];
    let most = (w >= a && h >= b) || (w >= b && h >= a) ? 1 : 0;
    const bound = Math.floor((w * h) / (a * b));
    for (let k = 1; k < i && 2 * xs[k] <= w && most < bound; k++) {
      const n = best(k, j) + best(floorIn(xs, w - xs[k]), j);
      if (n > most) [most, cut[at]] = [n, k];
    }
    for (let k = 1; k < j && 2 * ys[k] <= h && most < bound; k++) {
      const n = best(i, k) + best(i, floorIn(ys, h - ys[k]));
      if (n > most) [most, cut[at]] = [n, -k];
    }
    return (count[at] = most);
  };
  const pieces: Rect[] = [];
  const cuts: Cut[] = [];
  const mm = (v: number) => v / FINE;
  const along = (x0: number, y0: number, x1: number, y1: number) => cuts.push({ from: [mm(x0), mm(y0)], to: [mm(x1), mm(y1)] });
  const lay = (x: number, y: number, w: number, h: number): void => {
    const [i, j] = [floorIn(xs, w), floorIn(ys, h)];
    if (best(i, j) === 0) return;
    const k = cut[i * ys.length + j];
    if (k > 0) {
      along(x + xs[k], y, x + xs[k], y + h);
      lay(x, y, xs[k], h);
      lay(x + xs[k], y, w - xs[k], h);
    } else if (k < 0) {
      along(x, y + ys[-k], x + w, y + ys[-k]);
      lay(x, y, w, ys[-k]);
      lay(x, y + ys[-k], w, h - ys[-k]);
    } else {
      const [pw, ph] = w >= a && h >= b ? [a, b] : [b, a];
      if (w > pw) along(x + pw, y, x + pw, y + h);
      if (h > ph) along(x, y + ph, x + pw, y + ph);
      pieces.push([mm(x), mm(y), mm(pw), mm(ph)]);
    }
  };
  lay(0, 0, W, H);
  return { pieces, cuts, waste: 1 - (pieces.length * a * b) / (W * H) };
}

/** One more for every five, at least one: common practice, no source. */
export const sparesFor = (count: number): number => Math.max(1, Math.ceil(count / 5));

export interface Shopping {
  /** Sheets to be drawn on, spares among them. */
  needed: number;
  spare: number;
  /** Out of one parent, and parents to be had; null where a sheet is larger than the parent. */
  each: number;
  parents: number | null;
}

/** Parent sheets for a class, with spares. */
export function parentsFor(students: number, each: number, sheetsEach = 1): Shopping {
  const spare = sparesFor(students);
  const needed = students * sheetsEach + spare;
  return { needed, spare, each, parents: each ? Math.ceil(needed / each) : null };
}
