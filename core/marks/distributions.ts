/** Knows what single strokes a reading of marks was put together from: how their ways, lengths, widths and gaps are spread. */
import { Point } from '../raster/image';
import { sortedQuantile } from '../raster/statistics';
import type { Across } from './spacing';
import type { Stroke } from './strokes';

/** How many lie in each step from 0 on; the last step holds what lies beyond, too. */
export interface Histogram {
  step: number;
  counts: number[];
}

export interface MarkDistributions {
  /** Share of all marks in each 5° of direction, from 0° to 180°; null where none run any way. */
  directions: number[] | null;
  /** Px of the picture: whole strokes, and in the same steps those that run off, which are at least so long. */
  lengths: (Histogram & { cut: number[] }) | null;
  widths: Histogram | null;
  gaps: Histogram | null;
  /** One way across the strokes, in px of the picture. */
  across: Across | null;
}

const BINS = 24;
/** Numbers fewer than these are shown as what they are: too few. */
const LEAST = 5;

/** Histogram of positive numbers in 24 equal steps from 0 to just over their 98th percentile; null of fewer than five. */
export function histogramOf(values: readonly number[]): Histogram | null {
  if (values.length < LEAST) return null;
  const sorted = Float64Array.from(values).sort();
  const step = (1.05 * sortedQuantile(sorted, 0.98)) / BINS;
  if (!(step > 0)) return null;
  return { step, counts: counted(values, step) };
}

function counted(values: readonly number[], step: number): number[] {
  const counts = new Array<number>(BINS).fill(0);
  for (const v of values) counts[Math.min(BINS - 1, Math.floor(v / step))]++;
  return counts;
}

/** Shares in 36 steps of 5° of a density over 180 steps of 1°. */
export function directionShares(density: Float64Array): number[] | null {
  const total = density.reduce((s, v) => s + v, 0);
  if (!(total > 0)) return null;
  return Array.from({ length: 36 }, (_, k) => density.subarray(5 * k, 5 * k + 5).reduce((s, v) => s + v, 0) / total);
}

export interface Gathered {
  density: Float64Array;
  strokes: readonly Pick<Stroke, 'length' | 'cut'>[];
  widths: readonly number[];
  gaps: readonly number[];
  across: Across | null;
}

function times(values: readonly number[], factor: number): number[] {
  const out: number[] = [];
  for (const v of values) out.push(v * factor);
  return out;
}

/** Distributions from what was gathered in worked px: each `factor` px of the picture, `at` its place in it. */
export function distributionsOf({ density, strokes, widths, gaps, across }: Gathered, factor: number, at: Point): MarkDistributions {
  const place = ([x, y]: Point): Point => [(x + 0.5 + at[0]) * factor, (y + 0.5 + at[1]) * factor];
  const [all, whole, cut]: [number[], number[], number[]] = [[], [], []];
  for (const s of strokes) {
    all.push(s.length * factor);
    (s.cut ? cut : whole).push(s.length * factor);
  }
  const lengths = histogramOf(all);
  return {
    directions: directionShares(density),
    lengths: lengths && { ...lengths, counts: counted(whole, lengths.step), cut: counted(cut, lengths.step) },
    widths: histogramOf(times(widths, factor)),
    gaps: histogramOf(times(gaps, factor)),
    across: across && {
      values: across.values.map((v) => Math.round(v * 10) / 10),
      crests: across.crests.map((v) => Math.round(v * 100) / 100),
      from: place(across.from),
      to: place(across.to),
    },
  };
}
