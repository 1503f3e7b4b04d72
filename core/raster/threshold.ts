/** Knows where to cut a tone scale: Otsu for one cut, its multi-level form for several, Sauvola where light varies. */
import { CoreError } from '../errors';
import { box } from './filters';
import { Mask, mask, Plane, plane } from './image';

/** Counts of values in `bins` equal bins between low and high; values outside fall into the end bins. */
export function histogram(data: ArrayLike<number>, low: number, high: number, bins: number): Float64Array {
  const counts = new Float64Array(bins);
  const scale = bins / (high - low);
  for (let i = 0; i < data.length; i++) counts[Math.min(bins - 1, Math.max(0, Math.floor((data[i] - low) * scale)))]++;
  return counts;
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
  const gain = (from: number, to: number) => {
    const w = weight[to] - weight[from];
    return w > 0 ? (moment[to] - moment[from]) ** 2 / w : 0;
  };
  let best = Float64Array.from({ length: n + 1 }, (_, to) => gain(0, to));
  const cuts: Int32Array[] = [];
  for (let k = 1; k < classes; k++) {
    const next = new Float64Array(n + 1).fill(-1);
    const cut = new Int32Array(n + 1);
    for (let to = k + 1; to <= n; to++)
      for (let from = k; from < to; from++) {
        const total = best[from] + gain(from, to);
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

/**
 * Dark marks by Sauvola and Pietikäinen (2000): t = m (1 + k (s / R − 1)) over a square of (2·radius+1) px,
 * for a plane of lightness 0–100, R = half the scale. `floor` is a contrast below which nothing is a mark.
 */
export function sauvola(source: Plane, radius: number, k = 0.2, floor = 4): Mask {
  const squared = plane(source.width, source.height);
  const from = source.data;
  for (let i = 0, q = squared.data; i < q.length; i++) q[i] = from[i] * from[i];
  const m = box(source, radius).data;
  const m2 = box(squared, radius).data;
  const out = mask(source.width, source.height);
  const to = out.data;
  for (let i = 0; i < to.length; i++) {
    const mean = m[i];
    const s = Math.sqrt(Math.max(0, m2[i] - mean * mean));
    // The classical rule is for text; where contrast is low but real, half a deviation under the mean keeps the stroke.
    const t = Math.max(mean * (1 + k * (s / 50 - 1)), mean - 0.5 * s);
    to[i] = s > floor / 2 && from[i] < t && from[i] < mean - floor / 2 ? 1 : 0;
  }
  return out;
}
