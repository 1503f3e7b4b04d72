/** Knows the small statistics that readings share: quantiles, means, spreads, and a seeded random stream. */
import { histogram } from './kernels/kernels';

/** Linear-interpolated quantile (type 7 of Hyndman and Fan 1996) of numbers already sorted upward; NaN when empty. */
export function sortedQuantile(sorted: ArrayLike<number>, q: number): number {
  const n = sorted.length;
  if (n === 0) return NaN;
  const at = (n - 1) * q;
  const low = Math.floor(at);
  const high = Math.min(n - 1, low + 1);
  return sorted[low] + (at - low) * (sorted[high] - sorted[low]);
}

/** Orders `a` so far that its k-th value stands at k, none larger before it and none smaller after (Hoare 1961). */
function select(a: Float64Array, k: number): void {
  let [left, right] = [0, a.length - 1];
  while (left < right) {
    const pivot = a[(left + right) >> 1];
    let [i, j] = [left, right];
    while (i <= j) {
      while (a[i] < pivot) i++;
      while (a[j] > pivot) j--;
      if (i > j) break;
      const kept = a[i];
      a[i++] = a[j];
      a[j--] = kept;
    }
    if (k <= j) right = j;
    else if (k >= i) left = i;
    else return;
  }
}

/** Linear-interpolated quantile (type 7 of Hyndman and Fan 1996) of numbers in any order, none of them NaN; NaN when empty. */
export function quantile(values: ArrayLike<number>, q: number): number {
  const a = new Float64Array(values);
  const low = Math.floor((a.length - 1) * q);
  if (a.length < 32 || low >= a.length - 1) return sortedQuantile(a.sort(), q);
  select(a, low);
  let next = Infinity;
  for (let i = low + 1; i < a.length; i++) if (a[i] < next) next = a[i];
  return a[low] + ((a.length - 1) * q - low) * (next - a[low]);
}

export function median(values: ArrayLike<number>): number {
  return quantile(values, 0.5);
}

export function mean(values: readonly number[]): number {
  let s = 0;
  for (const v of values) s += v;
  return s / values.length;
}

/** Sum of the many numbers of a plane. */
export function sumOf(data: Float32Array): number {
  let s = 0;
  for (let i = 0; i < data.length; i++) s += data[i];
  return s;
}

/** Sample standard deviation (n − 1); 0 for fewer than two values. */
export function standardDeviation(values: readonly number[]): number {
  if (values.length < 2) return 0;
  const m = mean(values);
  let s = 0;
  for (const v of values) s += (v - m) ** 2;
  return Math.sqrt(s / (values.length - 1));
}

/**
 * Standard error of a median, whatever the values' distribution (Woodruff 1952): half the distance between the quantiles that lie one
 * standard error of a share to both sides of it. Null with fewer than five values.
 */
export function medianError(values: readonly number[]): number | null {
  if (values.length < 5) return null;
  const beside = 0.5 / Math.sqrt(values.length);
  return (quantile(values, 0.5 + beside) - quantile(values, 0.5 - beside)) / 2;
}

/** Weighted quantile of unsorted values; weights ≥ 0, NaN when all are 0. */
export function weightedQuantile(values: readonly number[], weights: readonly number[], q: number): number {
  const order = values.map((_, i) => i).sort((a, b) => values[a] - values[b]);
  const total = weights.reduce((a, b) => a + b, 0);
  if (!(total > 0)) return NaN;
  let seen = 0;
  for (const i of order) {
    seen += weights[i];
    if (seen >= q * total) return values[i];
  }
  return values[order[order.length - 1]];
}

/** Quantile of a plane from a 1024-bin histogram between `low` and `high`. */
export function histogramQuantiles(data: Float32Array, low: number, high: number, wanted: readonly number[]): number[] {
  const scale = 1024 / (high - low);
  const bins = histogram(data, low, high, 1024);
  return wanted.map((q) => {
    const target = q * data.length;
    let seen = 0;
    for (let b = 0; b < 1024; b++) {
      if (seen + bins[b] >= target && bins[b] > 0) return low + (b + (target - seen) / bins[b]) / scale;
      seen += bins[b];
    }
    return high;
  });
}

export type Random = () => number;

/** Mulberry32: a small deterministic stream of numbers in [0, 1) from a 32-bit seed. */
export function seededRandom(seed: number): Random {
  let a = seed >>> 0;
  return () => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = a;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One standard normal deviate (Box and Muller 1958). */
export function normal(random: Random): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

export function clamp(value: number, low: number, high: number): number {
  return value < low ? low : value > high ? high : value;
}

/** Difference b − a of two axial directions in degrees, the short way round, in [−90, 90). */
export function axialDifference(a: number, b: number): number {
  return ((((b - a + 90) % 180) + 180) % 180) - 90;
}
