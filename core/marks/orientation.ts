/** Knows which way strokes run: structure tensor, axial statistics on doubled angles, and the peaks of the angle density. */
import { derivativeKernels } from '../raster/gradient';
import { Plane, Rect } from '../raster/image';
import { densityIn, Tensor, tensor, turnsIn } from '../raster/kernels/kernels';
import { axialDifference } from '../raster/statistics';

export interface Direction {
  /** Degrees anticlockwise from the horizontal as seen, [0, 180), along the strokes. */
  angle: number;
  weight: number;
}

/**
 * Angle along the strokes at each pixel, degrees [0, 180) as seen; its say: the root of gradient energy times squared local coherence, 0 under
 * the noise (the root keeps a few very dark outlines from outvoting many paler hatches); and that times cosine and sine of the doubled angle.
 */
export type OrientationField = Tensor;

/** Orientation at every pixel by the structure tensor (Bigün and Granlund 1987), derivative sigma in px, window sigma 1.6 px. */
export function orientationField(tone: Plane, noise: number, derivative = 1): OrientationField {
  const { derive, soften } = derivativeKernels(derivative);
  // Variance of a Gaussian derivative of white noise is noise² / (8 π σ⁴); twice that for both axes, with a margin.
  const floor = (4 * 2 * noise * noise) / (8 * Math.PI * derivative ** 4) + 0.05;
  return tensor(tone, derive, soften, floor);
}

/** Axial mean and resultant length of weighted angles (Mardia and Jupp 2000, ch. 9): degrees [0, 180), 0–1. */
export function axialMean(angles: ArrayLike<number>, weights: ArrayLike<number>): { angle: number; resultant: number } {
  let c = 0;
  let s = 0;
  let total = 0;
  for (let i = 0; i < angles.length; i++) {
    const t = (angles[i] * Math.PI) / 90;
    c += weights[i] * Math.cos(t);
    s += weights[i] * Math.sin(t);
    total += weights[i];
  }
  return { angle: halved(c, s), resultant: total > 0 ? Math.hypot(c, s) / total : 0 };
}

/** Degrees [0, 180) of a vector in doubled angles. */
function halved(c: number, s: number): number {
  const angle = (Math.atan2(s, c) * 90) / Math.PI;
  return angle < 0 ? angle + 180 : angle;
}

/** Weighted density of a field's angles inside `rect` in 180 bins of 1°, smoothed by a Gaussian of 3°. */
export function angleDensity(field: OrientationField, rect: Rect): Float64Array {
  const raw = densityIn(field, rect);
  const out = new Float64Array(180);
  for (let k = -12; k <= 12; k++) {
    const g = Math.exp((-k * k) / 18);
    for (let i = 0; i < 180; i++) out[(i + k + 180) % 180] += g * raw[i];
  }
  return out;
}

/** Up to four peaks of an angle density, strongest first; weights sum to at most 1. Peaks closer than 14° are one. */
export function principalDirections(density: Float64Array): Direction[] {
  const peaks: number[] = [];
  const crests: number[] = [];
  let most = 0;
  let total = 0;
  for (let i = 0; i < 180; i++) {
    const v = density[i];
    total += v;
    most = Math.max(most, v);
    if (v >= density[(i + 179) % 180] && v >= density[(i + 1) % 180]) crests.push(i);
  }
  if (!(total > 0)) return [];
  while (crests.length && peaks.length < 4) {
    const i = takeHighest(crests, density);
    if (density[i] < 0.12 * most || density[i] < (1.25 * total) / 180) break;
    // Square to it is as far off as anything can be.
    if (Math.abs(axialDifference(nearestOf(peaks, i, i + 90), i)) >= 14) peaks.push(i);
  }
  // The foot of the density is what strokes of no set direction leave; it belongs to no peak.
  const foot = Float64Array.from(density).sort()[18];
  const directions: Direction[] = [];
  for (const peak of peaks) {
    let sum = 0;
    let lean = 0;
    let mass = 0;
    for (let k = -22; k <= 22; k++) {
      const at = (peak + k + 180) % 180;
      if (nearestOf(peaks, at, peak) !== peak) continue;
      const v = Math.max(0, density[at] - foot);
      mass += v;
      if (Math.abs(k) <= 9) {
        sum += v;
        lean += v * k;
      }
    }
    const weight = mass / total;
    if (weight > 0.03) directions.push({ angle: (peak + 0.5 + (sum > 0 ? lean / sum : 0) + 180) % 180, weight });
  }
  return directions.sort(stronger);
}

const stronger = (a: Direction, b: Direction): number => b.weight - a.weight;

/** The peak nearest to a degree; of two equally near ones, and where there is none, the one that is had. */
function nearestOf(peaks: readonly number[], at: number, had: number): number {
  let best = had;
  for (const p of peaks) if (Math.abs(axialDifference(p, at)) < Math.abs(axialDifference(best, at))) best = p;
  return best;
}

/** Takes out of a list of degrees the one where the density is highest, the first of equals. */
function takeHighest(list: number[], density: Float64Array): number {
  let best = 0;
  for (let k = 1; k < list.length; k++) if (density[list[k]] > density[list[best]]) best = k;
  return list.splice(best, 1)[0];
}

/** How direction varies over a patch, from a 4 × 4 lattice of cells. */
export interface Turning {
  /** Resultant length over the whole patch, 0–1. */
  coherence: number;
  /** Axial mean over the whole patch, degrees [0, 180). */
  meanAngle: number;
  /** Spread in degrees of the cells' axial means. */
  turn: number;
  /** Mean resultant length inside the cells: near 1 where every cell holds one direction, low where sets cross. */
  order: number;
}

const CELLS = 4;

export function directionTurn(field: OrientationField, rect: Rect): Turning {
  const cells = turnsIn(field, rect, CELLS);
  const angles: number[] = [];
  const weights: number[] = [];
  let order = 0;
  let all = 0;
  let sumC = 0;
  let sumS = 0;
  for (let k = 0; k < cells.length; k += 3) {
    const [c, s, total] = cells.subarray(k, k + 3);
    if (!(total > 0)) continue;
    const strength = Math.hypot(c, s);
    sumC += c;
    sumS += s;
    order += strength;
    all += total;
    if (strength / total < 0.6) continue;
    angles.push(halved(c, s));
    weights.push(total);
  }
  const whole = {
    coherence: all > 0 ? Math.hypot(sumC, sumS) / all : 0,
    meanAngle: halved(sumC, sumS),
    order: all > 0 ? order / all : 0,
  };
  if (angles.length < 5) return { ...whole, turn: 0 };
  const sum = weights.reduce((a, b) => a + b, 0);
  const { angle } = axialMean(angles, weights);
  const variance = angles.reduce((s, a, i) => s + weights[i] * axialDifference(angle, a) ** 2, 0) / sum;
  return { ...whole, turn: Math.sqrt(variance) };
}
