/** Knows how wide lines are: darkness integrated across the stroke at points of its centre line, which holds below a pixel. */
import { Mask, Plane } from '../raster/image';
import { numbersAt } from '../raster/kernels/kernels';
import { sampleBilinear } from '../raster/resample';
import { sortedQuantile } from '../raster/statistics';
import { Skeleton } from '../raster/thin';
import { OrientationField } from './orientation';

export interface WidthReading {
  px: number;
  thin: number;
  thick: number;
  /** Widths at single places, ascending. */
  each: number[];
}

const STEP = 0.5;
/** Half of the widest line, px. */
const WIDEST = 200;
/** How far to either side of its centre a line is looked at whose half is so wide, px. */
const farFor = (half: number): number => 2.2 * half + 2.5;
/** Points of the centre line measured at most, evenly chosen. */
const POINTS = 400;

/** How far px `i` lies from the nearest unset one, px; Infinity where none is unset. Asked of few px of thin lines, it is sooner found than for all. */
export function depthAt({ width: w, height: h, data }: Mask, i: number): number {
  const x = i % w;
  const y = (i - x) / w;
  let best = data[i] ? Infinity : 0;
  // Squares round it, one px farther each time, until none farther out can be nearer.
  for (let k = 1; k * k < best && k < Math.max(w, h); k++)
    for (let dy = -k; dy <= k; dy++) {
      const row = y + dy;
      if (row < 0 || row >= h) continue;
      for (let dx = -k, step = Math.abs(dy) === k ? 1 : 2 * k; dx <= k; dx += step) {
        const d = dx * dx + dy * dy;
        if (d < best && x + dx >= 0 && x + dx < w && !data[row * w + x + dx]) best = d;
      }
    }
  return Math.sqrt(best);
}

/** The lowest of the first `many` values to one side of the core: what rises again beyond it is a neighbour. */
function lowestBeside(profile: Float64Array, many: number, core: number, step: 1 | -1): number {
  let low = core;
  for (let j = core; j >= 0 && j < many; j += step) {
    if (profile[j] < profile[low]) low = j;
    else if (profile[j] > profile[low] + 0.25 * (profile[core] - profile[low]) && profile[low] < 0.7 * profile[core]) break;
  }
  return low;
}

/**
 * Widths in px of the lines whose centre line is given: `marks` is high on marks, `lines` is what of them is line,
 * `field` their direction. The darkest fifth of the centre line says how dark full ink is, so that a line too fine to
 * reach its own darkness is not read too broad. Null with fewer than 20 points.
 */
export function readWidths(marks: Plane, skeleton: Skeleton, lines: Mask, field: OrientationField): WidthReading | null {
  const { width: w, height: h } = marks;
  const at: number[] = [];
  const set = skeleton.data;
  for (const i of skeleton.places) {
    const x = i % w;
    const y = (i - x) / w;
    if (x < 2 || y < 2 || x >= w - 2 || y >= h - 2) continue;
    const beside = set[i - 1] + set[i + 1] + set[i - w - 1] + set[i - w] + set[i - w + 1] + set[i + w - 1] + set[i + w] + set[i + w + 1];
    if (beside === 2) at.push(i);
  }
  if (at.length < 20) return null;
  const every = Math.max(1, Math.floor(at.length / POINTS));
  const cores = new Float32Array(at.length);
  for (let k = 0; k < at.length; k++) cores[k] = marks.data[at[k]];
  const full = sortedQuantile(cores.sort(), 0.8);
  const widths: number[] = [];
  const profile = new Float64Array(Math.ceil((2 * farFor(WIDEST)) / STEP) + 2);
  const some: number[] = [];
  for (let k = 0; k < at.length; k += every) some.push(at[k]);
  const [angles, weights] = [numbersAt(field.angle, some), numbersAt(field.weight, some)];
  for (let k = 0; k < some.length; k++) {
    if (weights[k] <= 0) continue;
    const i = some[k];
    const x = i % w;
    const y = (i - x) / w;
    const t = (angles[k] * Math.PI) / 180;
    // Square to the stroke, in pixel axes.
    const [nx, ny] = [Math.sin(t), Math.cos(t)];
    const far = farFor(Math.min(WIDEST, depthAt(lines, i)));
    let many = 0;
    for (let d = -far; d <= far + 1e-9; d += STEP) profile[many++] = sampleBilinear(marks, x + d * nx, y + d * ny);
    const middle = many >> 1;
    let core = middle;
    for (let j = Math.max(0, middle - 3); j <= Math.min(many - 1, middle + 3); j++) if (profile[j] > profile[core]) core = j;
    const left = lowestBeside(profile, many, core, -1);
    const right = lowestBeside(profile, many, core, 1);
    // Each half is held against its own side: a line between a dark field and a pale one is as broad to both.
    const dark = Math.max(full, profile[core]);
    const [before, after] = [dark - profile[left], dark - profile[right]];
    if (profile[core] - Math.max(profile[left], profile[right]) < 4) continue;
    let sum = 0.5 * ((profile[core] - profile[left]) / before + (profile[core] - profile[right]) / after);
    for (let j = left; j < core; j++) sum += Math.max(0, profile[j] - profile[left]) / before;
    for (let j = core + 1; j <= right; j++) sum += Math.max(0, profile[j] - profile[right]) / after;
    widths.push(sum * STEP);
  }
  if (widths.length < 15) return null;
  const each = Float64Array.from(widths).sort();
  return { px: sortedQuantile(each, 0.5), thin: sortedQuantile(each, 0.1), thick: sortedQuantile(each, 0.9), each: Array.from(each) };
}
