/** Knows which way strokes run: structure tensor, axial statistics on doubled angles, and the peaks of the angle density. */
import { box } from '../raster/filters';
import { gaussianGradient } from '../raster/gradient';
import { Plane, plane } from '../raster/image';
import { axialDifference } from '../raster/statistics';

export interface Direction {
  /** Degrees anticlockwise from the horizontal as seen, [0, 180), along the strokes. */
  angle: number;
  weight: number;
}

export interface OrientationField {
  /** Angle along the strokes, degrees [0, 180) as seen. */
  angle: Float32Array;
  /** Weight of each pixel: gradient energy times squared local coherence, 0 under the noise. */
  weight: Float32Array;
  width: number;
  height: number;
}

/** Orientation at every pixel by the structure tensor (Bigün and Granlund 1987), derivative sigma in px, window sigma 1.6 px. */
export function orientationField(tone: Plane, noise: number, derivative = 1): OrientationField {
  const { dx, dy } = gaussianGradient(tone, derivative);
  const n = dx.data.length;
  const xx = plane(tone.width, tone.height);
  const yy = plane(tone.width, tone.height);
  const xy = plane(tone.width, tone.height);
  for (let i = 0, gx = dx.data, gy = dy.data, a = xx.data, b = yy.data, c = xy.data; i < n; i++) {
    a[i] = gx[i] * gx[i];
    b[i] = gy[i] * gy[i];
    c[i] = gx[i] * gy[i];
  }
  // Running means of 5 and 3 px make a window of sigma 1.6 at a third of the cost of the Gaussian.
  const smooth = (p: Plane) => box(box(p, 2), 1).data;
  const a = smooth(xx);
  const b = smooth(yy);
  const c = smooth(xy);
  const angle = new Float32Array(n);
  const weight = new Float32Array(n);
  // Variance of a Gaussian derivative of white noise is noise² / (8 π σ⁴); twice that for both axes, with a margin.
  const floor = (4 * 2 * noise * noise) / (8 * Math.PI * derivative ** 4) + 0.05;
  for (let i = 0; i < n; i++) {
    const energy = a[i] + b[i];
    if (energy <= floor) continue;
    const difference = a[i] - b[i];
    const coherence = Math.sqrt(difference * difference + 4 * c[i] * c[i]) / energy;
    weight[i] = (energy - floor) * coherence * coherence;
    // Gradient angle with y down; the stroke runs square to it, and the viewer's angle turns the other way.
    const gradient = 0.5 * Math.atan2(2 * c[i], difference);
    let seen = 90 - (gradient * 180) / Math.PI;
    seen %= 180;
    angle[i] = seen < 0 ? seen + 180 : seen;
  }
  return { angle, weight, width: tone.width, height: tone.height };
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
  const angle = (Math.atan2(s, c) * 90) / Math.PI;
  return { angle: angle < 0 ? angle + 180 : angle, resultant: total > 0 ? Math.hypot(c, s) / total : 0 };
}

/** Weighted density of a field's angles in 180 bins of 1°, smoothed by a Gaussian of `sigma` degrees. */
export function angleDensity(field: OrientationField, sigma = 3): Float64Array {
  const raw = new Float64Array(180);
  // Square roots keep a few very dark outlines from outvoting many paler hatches.
  for (let i = 0; i < field.angle.length; i++) if (field.weight[i] > 0) raw[Math.floor(field.angle[i]) % 180] += Math.sqrt(field.weight[i]);
  const out = new Float64Array(180);
  for (let k = -12; k <= 12; k++) {
    const g = Math.exp((-k * k) / (2 * sigma * sigma));
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
        const nearest = peaks.reduce((best, p) => (Math.abs(axialDifference(p, at)) < Math.abs(axialDifference(best, at)) ? p : best), peak);
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
  /** Spread in degrees of the cells' axial means. */
  turn: number;
  /** Mean resultant length inside the cells: near 1 where every cell holds one direction, low where sets cross. */
  order: number;
}

export function directionTurn(field: OrientationField): Turning {
  const cells = 4;
  const angles: number[] = [];
  const weights: number[] = [];
  let order = 0;
  let all = 0;
  for (let cy = 0; cy < cells; cy++)
    for (let cx = 0; cx < cells; cx++) {
      let c = 0;
      let s = 0;
      let total = 0;
      for (let y = Math.floor((cy * field.height) / cells); y < Math.floor(((cy + 1) * field.height) / cells); y++)
        for (let x = Math.floor((cx * field.width) / cells); x < Math.floor(((cx + 1) * field.width) / cells); x++) {
          const w = Math.sqrt(field.weight[y * field.width + x]);
          if (!w) continue;
          const t = (field.angle[y * field.width + x] * Math.PI) / 90;
          c += w * Math.cos(t);
          s += w * Math.sin(t);
          total += w;
        }
      if (!(total > 0)) continue;
      const strength = Math.hypot(c, s);
      order += strength;
      all += total;
      if (strength / total < 0.6) continue;
      angles.push(((Math.atan2(s, c) * 90) / Math.PI + 180) % 180);
      weights.push(total);
    }
  const sum = weights.reduce((a, b) => a + b, 0);
  if (angles.length < 5) return { turn: 0, order: all > 0 ? order / all : 0 };
  const { angle } = axialMean(angles, weights);
  const variance = angles.reduce((s, a, i) => s + weights[i] * axialDifference(angle, a) ** 2, 0) / sum;
  return { turn: Math.sqrt(variance), order: order / all };
}
