/** Knows where to cut a tone scale: Otsu for one cut, its multi-level form for several, Sauvola where light varies. */
import { CoreError } from '../errors';

export { sauvolaMask as sauvola } from './kernels/kernels';

/** What a class of the bins from one to before another adds to the between-class variance, from sums of weights and moments. */
function gain(weight: Float64Array, moment: Float64Array, from: number, to: number): number {
  const w = weight[to] - weight[from];
  return w > 0 ? (moment[to] - moment[from]) ** 2 / w : 0;
}

/**
 * Bin edges that part a histogram into `classes` with the largest between-class variance
 * (Otsu 1979; several levels by dynamic programming, exact). Returns classes − 1 rising bin indices;
 * a value belongs to the upper class from that bin on.
 */
export function multiOtsu(counts: ArrayLike<number>, classes: number): number[] {
  const n = counts.length;
  if (classes < 2 || classes > n) throw new CoreError('values', { most: n });
  const weight = new Float64Array(n + 1);
  const moment = new Float64Array(n + 1);
  for (let i = 0; i < n; i++) {
    weight[i + 1] = weight[i] + counts[i];
    moment[i + 1] = moment[i] + counts[i] * i;
  }
  let best = new Float64Array(n + 1);
  for (let to = 0; to <= n; to++) best[to] = gain(weight, moment, 0, to);
  const cuts: Int32Array[] = [];
  for (let k = 1; k < classes; k++) {
    const next = new Float64Array(n + 1).fill(-1);
    const cut = new Int32Array(n + 1);
    for (let to = k + 1; to <= n; to++)
      for (let from = k; from < to; from++) {
        const total = best[from] + gain(weight, moment, from, to);
        if (total > next[to]) {
          next[to] = total;
          cut[to] = from;
        }
      }
    best = next;
    cuts.push(cut);
  }
  const out: number[] = [];
  for (let k = classes - 2, to = n; k >= 0; k--) out.unshift((to = cuts[k][to]));
  return out;
}
