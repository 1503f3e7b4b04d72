/** Knows which way strokes run: structure tensor, axial statistics on doubled angles, and the peaks of the angle density. */
import { derivativeKernels } from '../raster/gradient';
import { Plane, Rect } from '../raster/image';
import { tensor } from '../raster/kernels/kernels';
import { axialDifference } from '../raster/statistics';

export interface Direction {
  /** Degrees anticlockwise from the horizontal as seen, [0, 180), along the strokes. */
  angle: number;
  weight: number;
}

export interface OrientationField {
  width: number;
  height: number;
  /** Angle along the strokes, degrees [0, 180) as seen. */
  angle: Float32Array;
  /**
   * Say of each pixel: the root of gradient energy times squared local coherence, 0 under the noise.
   * The root keeps a few very dark outlines from outvoting many paler hatches.
   */
  weight: Float32Array;
  /** Weight times cosine and sine of the doubled angle. */
  cos: Float32Array;
  sin: Float32Array;
}

/** Orientation at every pixel by the structure tensor (Bigün and Granlund 1987), derivative sigma in px, window sigma 1.6 px. */
export function orientationField(tone: Plane, noise: number, derivative = 1): OrientationField {
  const { derive, soften } = derivativeKernels(derivative);
  // Variance of a Gaussian derivative of white noise is noise² / (8 π σ⁴); twice that for both axes, with a margin.
  const floor = (4 * 2 * noise * noise) / (8 * Math.PI * derivative ** 4) + 0.05;
  return { width: tone.width, height: tone.height, ...tensor(tone, derive, soften, floor) };
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
export function angleDensity(field: OrientationField, [x0, y0, w, h]: Rect): Float64Array {
  const raw = new Float64Array(180);
  const { angle, weight } = field;
  for (let y = y0; y < y0 + h; y++)
    for (let i = y * field.width + x0, end = i + w; i < end; i++) if (weight[i] > 0) raw[angle[i] | 0] += weight[i];
  const out = new Float64Array(180);
  for (let k = -12; k <= 12; k++) {
    const g = Math.exp((-k * k) / 18);
    for (let i = 0; i < 180; i++) out[(i + k + 180) % 180] += g * raw[i];
  }
  return out;
}

/** Up to four peaks of an angle density, strongest first; weights sum to at most 1. Peaks closer than 14° are one. */
export function principalDirections(density: Float64Array): Direction[] {
  const total = density.reduce((a, b) => a + b, 0);
  if (!(total > 0)) return [];
  const peaks: number[] = [];
  const order = Array.from(density.keys()).sort((a, b) => density[b] - density[a]);
  for (const i of order) {
    const [before, after] = [density[(i + 179) % 180], density[(i + 1) % 180]];
    if (density[i] < before || density[i] < after) continue;
    if (density[i] < 0.12 * density[order[0]] || density[i] < (1.25 * total) / 180) break;
    if (peaks.some((p) => Math.abs(axialDifference(p, i)) < 14)) continue;
    peaks.push(i);
    if (peaks.length === 4) break;
  }
  // The foot of the density is what strokes of no set direction leave; it belongs to no peak.
  const foot = Float64Array.from(density).sort()[18];
  return peaks
    .map((peak) => {
      let sum = 0;
      let lean = 0;
      let mass = 0;
      for (let k = -22; k <= 22; k++) {
        const at = (peak + k + 180) % 180;
        const nearest = peaks.reduce(
          (best, p) => (Math.abs(axialDifference(p, at)) < Math.abs(axialDifference(best, at)) ? p : best),
          peak,
        );
        if (nearest !== peak) continue;
        const v = Math.max(0, density[at] - foot);
        mass += v;
        if (Math.abs(k) <= 9) {
          sum += v;
          lean += v * k;
        }
      }
      const angle = (peak + 0.5 + (sum > 0 ? lean / sum : 0) + 180) % 180;
      return { angle, weight: mass / total };
    })
    .filter((d) => d.weight > 0.03)
    .sort((a, b) => b.weight - a.weight);
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

export function directionTurn(field: OrientationField, [x0, y0, w, h]: Rect): Turning {
  const { weight, cos, sin } = field;
  const angles: number[] = [];
  const weights: number[] = [];
  let order = 0;
  let all = 0;
  let sumC = 0;
  let sumS = 0;
  for (let cy = 0; cy < CELLS; cy++)
    for (let cx = 0; cx < CELLS; cx++) {
      let c = 0;
      let s = 0;
      let total = 0;
      const left = x0 + Math.floor((cx * w) / CELLS);
      const right = x0 + Math.floor(((cx + 1) * w) / CELLS);
      for (let y = y0 + Math.floor((cy * h) / CELLS); y < y0 + Math.floor(((cy + 1) * h) / CELLS); y++)
        for (let i = y * field.width + left, end = y * field.width + right; i < end; i++) {
          c += cos[i];
          s += sin[i];
          total += weight[i];
        }
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
