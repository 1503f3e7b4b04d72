/** Knows how far apart strokes of one direction lie: single crossings counted along the normal, after averaging along the strokes. */
import { Plane, Point, Rect } from '../raster/image';
import { Strips, strips } from '../raster/kernels/kernels';
import { mean, median, quantile, standardDeviation } from '../raster/statistics';

export interface SpacingReading {
  /** Centre to centre across the strokes, px. */
  px: number;
  /** Standard deviation ÷ mean of single gaps. */
  variation: number;
  /** The single gaps counted, px. */
  gaps: number[];
}

/** Averaging length along the strokes, px: long enough to melt a crossing set, short enough for slight arcs. */
const ALONG = 22;
const LEAST = 5;
const ENOUGH_RUNS = 4;
/** Two strokes have a distance, not a spacing, however often they are crossed. */
const LEAST_STROKES = 3;

/** Sub-pixel places of the crests of a profile that stand out by at least `least` from the troughs on both sides. */
function crests(profile: Float64Array, least: number): number[] {
  const out: number[] = [];
  let trough = profile[0];
  let crest = -Infinity;
  let at = -1;
  let rising = true;
  for (let i = 1; i < profile.length; i++) {
    const v = profile[i];
    if (rising) {
      if (v > crest && v - trough >= least) {
        crest = v;
        at = i;
      } else if (at >= 0 && crest - v >= least) {
        const [a, b, c] = [profile[at - 1], profile[at], profile[at + 1]];
        const bend = a - 2 * b + c;
        out.push(at + (bend < 0 ? (0.5 * (a - c)) / bend : 0));
        rising = false;
        trough = v;
      } else if (at < 0 && v < trough) trough = v;
    } else if (v < trough) trough = v;
    else if (v - trough >= least) {
      rising = true;
      crest = v;
      at = i;
    }
  }
  return out;
}

/** An unbroken stretch of a profile across strokes, smoothed, one value a px. */
interface Run {
  values: Float64Array;
  /** Where it begins in the turned plane: column of its averaging length, and row. */
  at: readonly [u: number, v: number];
}

/** A run shorter than this says nothing of what repeats. */
const LEAST_RUN = 12;

/** Unbroken runs of the profiles across the strokes, each the mean of two strips of half of `ALONG` px side by side; broken where not the whole length lies inside. */
function runsOf({ sums, height }: Strips): Run[] {
  const runs: Run[] = [];
  const means = new Float64Array(height);
  for (let first = 0, u = 0; first + 2 * height <= sums.length; first += height, u += ALONG / 2) {
    for (let v = 0; v < height; v++) means[v] = (sums[first + v] + sums[first + height + v]) / ALONG;
    for (let start = 0; start < height; start++) {
      let n = 0;
      while (start + n < height && !Number.isNaN(means[start + n])) n++;
      if (n >= LEAST_RUN) runs.push({ values: smoothed(means, start, n), at: [u, start] });
      start += n;
    }
  }
  return runs;
}

/** n values from `start` on, each with a half of itself and a quarter of those beside it. */
function smoothed(values: Float64Array, start: number, n: number): Float64Array {
  const out = new Float64Array(n);
  let before = values[start];
  let here = before;
  for (let i = 0; i < n; i++) {
    const after = i + 1 < n ? values[start + i + 1] : here;
    out[i] = 0.25 * before + 0.5 * here + 0.25 * after;
    before = here;
    here = after;
  }
  return out;
}

/** Part of the profiles' own variance that strokes too close to be counted leave in their autocorrelation. */
const UNRESOLVED = 0.15;

/** Do the profiles repeat within fewer px than strokes can be counted at? Then what is counted is something coarser than the strokes. */
function tooFine(runs: readonly Run[]): boolean {
  const r = new Float64Array(LEAST + 2);
  for (const { values: run } of runs) {
    const high = new Float64Array(run.length - 8);
    let around = 0;
    for (let k = 0; k < 9; k++) around += run[k];
    for (let i = 0; i < high.length; i++) {
      high[i] = run[i + 4] - around / 9;
      around += run[i + 9] - run[i];
    }
    for (let lag = 0; lag < r.length; lag++) {
      let sum = 0;
      for (let i = 0, j = lag; j < high.length; i++, j++) sum += high[i] * high[j];
      r[lag] += sum;
    }
  }
  for (let lag = 2; lag < LEAST; lag++) if (r[lag] > r[lag - 1] && r[lag] >= r[lag + 1] && r[lag] > UNRESOLVED * r[0]) return true;
  return false;
}

/** A profile across strokes with the places at which it crosses one. */
interface Crossed extends Run {
  /** Px from the beginning, sub-pixel. */
  crests: number[];
}

/** Profiles across what runs along `angle` inside `rect`, with their crossings, and the turned plane's size; null where finer strokes repeat than can be counted. */
function crossed(marks: Plane, rect: Rect, angle: number): { runs: Crossed[]; width: number; height: number } | null {
  const turned = strips(marks, rect, angle, ALONG / 2);
  const runs = runsOf(turned);
  // Half of many say how they are.
  const every = runs.length < 2 * ENOUGH_RUNS ? 1 : 2;
  const some: Run[] = [];
  for (let k = every - 1; k < runs.length; k += every) some.push(runs[k]);
  if (!runs.length || tooFine(some)) return null;
  const swings: number[] = [];
  for (const { values } of some) swings.push(quantile(values, 0.9) - quantile(values, 0.1));
  const swing = quantile(swings, 0.75);
  const least = Math.max(2.5, 0.22 * swing);
  const { width, height } = turned;
  const all: Crossed[] = [];
  for (const { values, at } of runs) all.push({ values, at, crests: crests(values, least) });
  return { runs: all, width, height };
}

/**
 * Spacing of the strokes that run along `angle` (degrees as seen) inside `rect` of a plane where marks are high.
 * Null under 5 px, where finer strokes than that repeat, or with fewer than `needed` gaps. Gaps of about twice the usual one, where a stroke is missing, do not count.
 */
export function readSpacing(marks: Plane, rect: Rect, angle: number, needed = 12): SpacingReading | null {
  const across = crossed(marks, rect, angle);
  if (!across) return null;
  const gaps: number[] = [];
  let most = 0;
  for (const { crests: places } of across.runs) {
    most = Math.max(most, places.length);
    for (let i = 1; i < places.length; i++) gaps.push(places[i] - places[i - 1]);
  }
  if (gaps.length < needed || most < LEAST_STROKES) return null;
  let centre = median(gaps);
  let kept = gaps;
  for (let round = 0; round < 3; round++) {
    kept = [];
    for (const g of gaps) if (g > 0.4 * centre && g < 1.65 * centre) kept.push(g);
    centre = mean(kept);
  }
  if (kept.length < needed || kept.length < 0.45 * gaps.length || centre < LEAST) return null;
  return { px: centre, variation: standardDeviation(kept) / centre, gaps: kept };
}

/** One way across the strokes: how dark it is at every px of it, which strokes it crosses, and where it lies in the plane. */
export interface Across {
  values: number[];
  /** Px from `from`, sub-pixel. */
  crests: number[];
  from: Point;
  to: Point;
}

/** The way across strokes that run along `angle` that crosses most of them; null as for their spacing. */
export function wayAcross(marks: Plane, rect: Rect, angle: number): Across | null {
  const across = crossed(marks, rect, angle);
  const best = across?.runs.reduce((most, r) => (r.crests.length > most.crests.length ? r : most));
  if (!across || !best || best.crests.length < LEAST_STROKES) return null;
  const t = (angle * Math.PI) / 180;
  const [c, s] = [Math.cos(t), -Math.sin(t)];
  // Rows of the turned plane run along the strokes, about the rectangle's middle.
  const place = (v: number): Point => {
    const [du, dv] = [best.at[0] + (ALONG - across.width) / 2, v - (across.height - 1) / 2];
    return [rect[0] + (rect[2] - 1) / 2 + du * c - dv * s, rect[1] + (rect[3] - 1) / 2 + du * s + dv * c];
  };
  return {
    values: Array.from(best.values),
    crests: best.crests,
    from: place(best.at[1]),
    to: place(best.at[1] + best.values.length - 1),
  };
}
