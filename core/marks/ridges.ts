/**
 * Knows drawn lines by their ridges in lightness, dark or light, thin or broad, whatever they lie on: on bare sheet, on paint, on black ground.
 * Ridges after Steger (1998): crests of the second derivative, linked from the clear ones along the faint (hysteresis after Canny 1986).
 */
import { axialMean } from './orientation';
import { Point, Rect } from '../raster/image';
import { Chain, sumsOf } from '../raster/kernels/closeUp';
import { CloseUp, SOFTNESS } from './closeUp';

/** One linked ridge. */
export interface Ridge {
  /** Px numbers along it, from one end to the other, and the box they lie in: left, top, right, bottom. */
  points: Int32Array;
  box: [number, number, number, number];
  dark: boolean;
  /** Size it was found at, a number of `RIDGE_SIZES`. */
  size: number;
  /** Mean height over what lies beside it, L*. */
  height: number;
  /** End to end over length along it, 0–1; and turning, radians a px, over some 16 px at a time. */
  straightness: number;
  curl: number;
  /** Axial direction, degrees as seen. */
  angle: number;
}

/** Softnesses (numbers of `SOFTNESS`) at which ridges are looked for: lines of about 2 to 4, and 4 to 9 px. */
const RIDGE_SIZES = [1, 2] as const;
/** Height over the sides (L*) from which a ridge is clear, and down to which it is followed. */
const LIMITS = { clear: 7, faint: 3, least: 8 };

/** Ridges of a window, each counted at the size at which it stands out most. */
export function ridgesOf(close: CloseUp): Ridge[] {
  // Broad ones first: on their flanks and in their middle finer ones may be found that are only texture.
  const sizes = RIDGE_SIZES.map((k, size) => {
    const step = Math.max(1, Math.round(SOFTNESS[k]));
    return { k, size, step, margin: 2 * step };
  }).reverse();
  const ridges: Ridge[] = [];
  for (const [n, chains] of sumsOf(close).ridges(sizes, LIMITS).entries())
    for (const chain of chains) ridges.push(measured(chain, sizes[n].size, close.width));
  return ridges;
}

/** Steps over which a ridge's course is read, px, and px averaged at each: a staircase turns at every px. */
const STRIDE = 8;
const AVERAGED = 2;

/** Where a ridge runs near its k-th px: the mean of the px round it, in a raster of width w. */
function courseAt(points: Int32Array, k: number, w: number): Point {
  let x = 0;
  let y = 0;
  let n = 0;
  for (let j = Math.max(0, k - AVERAGED); j <= Math.min(points.length - 1, k + AVERAGED); j++, n++) {
    x += points[j] % w;
    y += Math.floor(points[j] / w);
  }
  return [x / n, y / n];
}

function measured({ points, height }: Chain, size: number, w: number): Ridge {
  let length = 0;
  let turned = 0;
  const angles: number[] = [];
  const steps: number[] = [];
  const begin = courseAt(points, 0, w);
  let here = begin;
  let dx = 0;
  let dy = 0;
  for (let k = STRIDE; k < points.length; k += STRIDE) {
    const next = courseAt(points, k, w);
    const sx = next[0] - here[0];
    const sy = next[1] - here[1];
    const long = Math.hypot(sx, sy);
    length += long;
    angles.push((Math.atan2(-sy, sx) * 180) / Math.PI);
    steps.push(long);
    if (k > STRIDE) turned += Math.abs(Math.atan2(dx * sy - dy * sx, dx * sx + dy * sy));
    here = next;
    dx = sx;
    dy = sy;
  }
  let left = w;
  let right = 0;
  let first = points[0];
  let last = points[0];
  for (let j = 0; j < points.length; j++) {
    const x = points[j] % w;
    left = Math.min(left, x);
    right = Math.max(right, x);
    first = Math.min(first, points[j]);
    last = Math.max(last, points[j]);
  }
  return {
    points,
    box: [left, Math.floor(first / w), right, Math.floor(last / w)],
    dark: height > 0,
    size,
    height: Math.abs(height),
    straightness: length > 0 ? Math.min(1, Math.hypot(here[0] - begin[0], here[1] - begin[1]) / length) : 1,
    curl: length > 0 ? turned / length : 0,
    angle: axialMean(angles, steps).angle,
  };
}

export interface RidgeReading {
  /** Length along dark and along light ridges, px a px of the piece, thin and broad. */
  dark: [number, number];
  light: [number, number];
  /** Of the clearer of the two (by length): share in long ridges, mean height, straightness and turning, how far all run one way, and how far neighbours do. */
  long: number;
  height: number;
  straightness: number;
  curl: number;
  coherence: number;
  neighbours: number;
  /** Ridges a thousand px of their length. */
  count: number;
}

const CELLS = 4;
/** A long ridge has at least so many px. */
const LONG = 30;

const cellAt = (part: number): number => Math.min(CELLS - 1, Math.max(0, Math.floor(part * CELLS)));

/** How many px of a ridge lie inside a rectangle, and where `only` marks it. */
function countIn({ box, points }: Ridge, x0: number, y0: number, w: number, h: number, width: number, only: Uint8Array | null): number {
  if (box[2] < x0 || box[3] < y0 || box[0] >= x0 + w || box[1] >= y0 + h) return 0;
  if (!only && box[0] >= x0 && box[1] >= y0 && box[2] < x0 + w && box[3] < y0 + h) return points.length;
  let n = 0;
  for (let k = 0; k < points.length; k++) {
    const p = points[k];
    if (only && !only[p]) continue;
    const x = p % width;
    const y = (p - x) / width;
    if (x >= x0 && y >= y0 && x < x0 + w && y < y0 + h) n++;
  }
  return n;
}

/** What of a window's ridges lies inside `rect`, and where `only` marks it, `area` px in all. */
export function readRidges(
  ridges: readonly Ridge[],
  [x0, y0, w, h]: Rect,
  width: number,
  only: Uint8Array | null,
  area: number,
): RidgeReading {
  const dark: [number, number] = [0, 0];
  const light: [number, number] = [0, 0];
  /** How many px of each ridge lie inside. */
  const counts = new Int32Array(ridges.length);
  for (let k = 0; k < ridges.length; k++) {
    const r = ridges[k];
    const n = countIn(r, x0, y0, w, h, width, only);
    counts[k] = n;
    (r.dark ? dark : light)[r.size] += n;
  }
  const isDark = dark[0] + dark[1] >= light[0] + light[1];
  const cells = new Float64Array(2 * CELLS * CELLS);
  let total = 0;
  let own = 0;
  let [c, s, long, height, straightness, curl] = [0, 0, 0, 0, 0, 0];
  for (let k = 0; k < ridges.length; k++) {
    const r = ridges[k];
    const n = counts[k];
    if (!n || r.dark !== isDark) continue;
    own++;
    total += n;
    if (r.points.length >= LONG) long += n;
    height += n * r.height;
    straightness += n * r.straightness;
    curl += n * r.curl;
    const t = (r.angle * Math.PI) / 90;
    const [along, aside] = [n * Math.cos(t), n * Math.sin(t)];
    c += along;
    s += aside;
    const middle = r.points[r.points.length >> 1];
    const cell = CELLS * cellAt((Math.floor(middle / width) - y0) / h) + cellAt(((middle % width) - x0) / w);
    cells[2 * cell] += along;
    cells[2 * cell + 1] += aside;
  }
  let neighbours = 0;
  for (let k = 0; k < cells.length; k += 2) neighbours += Math.hypot(cells[k], cells[k + 1]);
  return {
    dark: [dark[0] / area, dark[1] / area],
    light: [light[0] / area, light[1] / area],
    long: total ? long / total : 0,
    height: total ? height / total : 0,
    straightness: total ? straightness / total : 1,
    curl: total ? curl / total : 0,
    coherence: total ? Math.hypot(c, s) / total : 0,
    neighbours: total ? neighbours / total : 0,
    count: total ? (1000 * own) / total : 0,
  };
}
