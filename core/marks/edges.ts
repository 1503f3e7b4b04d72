/** Knows how the borders between tones are handled: outlined, sharp, soft or lost. */
import { lightnessFromLuminance } from '../colour/lab';
import { linearFromByte } from '../colour/srgb';
import { stepIndices, ValueStep } from '../colour/values';
import { gaussianSoftening } from '../raster/filters';
import { filtered, softening, spreading } from '../raster/kernels/kernels';
import { everyThirdFrom, Mask, Plane, Point, RgbImage } from '../raster/image';

export interface EdgeShares {
  outlined: number;
  sharp: number;
  soft: number;
  lost: number;
}

type EdgeHandling = keyof EdgeShares;
export const EDGE_HANDLINGS = ['outlined', 'sharp', 'soft', 'lost'] as const satisfies readonly EdgeHandling[];

export interface BoundaryPoint {
  /** Form-size pixels. */
  at: Point;
  handling: EdgeHandling;
}

const LOST_CONTRAST = 4;
/** Softness of the form where thin dark lines are closed over. */
const CLOSED = gaussianSoftening(1.6);
const RIDGE = 7;
/** Rise from a tenth to nine tenths within this many mark-size px is sharp. */
const SHARP_PX = 5;
/** A border's two sides are looked at up to one px less than this, px of the form: beyond that another form may begin. */
const MARGIN = 8;

function lightnessAt(image: RgbImage, x: number, y: number): number {
  const xi = x < 0 ? 0 : Math.min(image.width - 1, (x + 0.5) | 0);
  const yi = y < 0 ? 0 : Math.min(image.height - 1, (y + 0.5) | 0);
  const i = (yi * image.width + xi) * 3;
  const d = image.data;
  return lightnessFromLuminance(
    0.2126390059 * linearFromByte[d[i]] + 0.7151686788 * linearFromByte[d[i + 1]] + 0.0721923154 * linearFromByte[d[i + 2]],
  );
}

/** Fills a profile with the L* of the mark-size picture, `factor` times as large, across a border at px `i` of the form; false where the form is too even to say which way that is. */
function readAcross(profile: Float64Array, { width: w, data }: Plane, i: number, mark: RgbImage, factor: number, reach: number): boolean {
  const x = i % w;
  const y = (i - x) / w;
  const gx = data[i + 2] - data[i - 2];
  const gy = data[i + 2 * w] - data[i - 2 * w];
  const n = Math.sqrt(gx * gx + gy * gy);
  if (n < 0.4) return false;
  const [px, py, ux, uy] = [(x + 0.5) * factor - 0.5, (y + 0.5) * factor - 0.5, gx / n, gy / n];
  for (let k = 0; k < profile.length; k++) {
    const t = -reach + (2 * reach * k) / (profile.length - 1);
    profile[k] = lightnessAt(mark, px + t * ux, py + t * uy);
  }
  return true;
}

/** Middle of a stretch of numbers; they are set in order in `room`. */
function middleOf(numbers: Float64Array, from: number, to: number, room: Float64Array): number {
  for (let i = from; i < to; i++) {
    let k = i - from;
    for (; k > 0 && room[k - 1] > numbers[i]; k--) room[k] = room[k - 1];
    room[k] = numbers[i];
  }
  return room[(to - from) >> 1];
}

function handlingOf(profile: Float64Array, reach: number, room: Float64Array): EdgeHandling {
  const n = profile.length;
  const third = Math.floor(n / 4);
  const left = middleOf(profile, 0, third, room);
  const right = middleOf(profile, n - third, n, room);
  let low = Infinity;
  for (let i = third; i < n - third; i++) low = Math.min(low, profile[i]);
  if (low < Math.min(left, right) - RIDGE) return 'outlined';
  const contrast = Math.abs(right - left);
  if (contrast < LOST_CONTRAST) return 'lost';
  // From the dark side to the light one.
  const [start, step] = right > left ? [0, 1] : [n - 1, -1];
  const [dark, light] = [Math.min(left, right), Math.max(left, right)];
  let first = 0;
  while (first < n - 1 && profile[start + step * first] < dark + 0.1 * contrast) first++;
  let last = n - 1;
  while (last > 0 && profile[start + step * last] > light - 0.1 * contrast) last--;
  const width = Math.max(0, last - first + 1) * ((2 * reach) / (n - 1));
  return width <= SHARP_PX ? 'sharp' : 'soft';
}

/** Where a px is of another step than the one beside or below it; one in three says enough. */
function borderPlaces(step: Uint8Array, w: number, h: number): number[] {
  const out: number[] = [];
  for (let y = MARGIN; y < h - MARGIN; y++)
    for (let x = everyThirdFrom(MARGIN, y), i = y * w + x; x < w - MARGIN; x += 3, i += 3)
      if (step[i] !== step[i + 1] || step[i] !== step[i + w]) out.push(i);
  return out;
}

/**
 * Boundaries between value steps of the form-size lightness (thin dark lines closed over first), each judged on the
 * mark-size picture along its normal. Shares are of boundary length; all 0 where there is no boundary.
 */
export function readEdges(
  form: Plane,
  mark: RgbImage,
  steps: readonly ValueStep[],
  leftOut: Mask | null = null,
): { shares: EdgeShares; points: BoundaryPoint[] } {
  const closed = filtered(form, spreading(3, false), spreading(3, true), softening(CLOSED));
  const { width: w, height: h, data } = closed;
  const factor = mark.width / form.width;
  const points: BoundaryPoint[] = [];
  const count: EdgeShares = { outlined: 0, sharp: 0, soft: 0, lost: 0 };
  const reach = (MARGIN - 1) * factor;
  const samples = Math.max(15, Math.min(57, Math.round(2 * reach) | 1));
  const [profile, room] = [new Float64Array(samples), new Float64Array(samples)];
  for (const i of borderPlaces(stepIndices(data, steps), w, h)) {
    if (leftOut?.data[i] || !readAcross(profile, closed, i, mark, factor, reach)) continue;
    const handling = handlingOf(profile, reach, room);
    count[handling]++;
    points.push({ at: [i % w, Math.floor(i / w)], handling });
  }
  const total = points.length;
  const share = (v: number) => (total > 0 ? v / total : 0);
  return {
    shares: {
      outlined: share(count.outlined),
      sharp: share(count.sharp),
      soft: share(count.soft),
      lost: share(count.lost),
    },
    points,
  };
}
