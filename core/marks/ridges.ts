/**
 * Knows drawn lines by their ridges in lightness, dark or light, thin or broad, whatever they lie on: on bare sheet, on paint, on black ground.
 * Ridges after Steger (1998): crests of the second derivative, linked from the clear ones along the faint (hysteresis after Canny 1986).
 */
import { axialMean } from './orientation';
import { Rect } from '../raster/image';
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
  return sumsOf(close)
    .ridges(sizes, LIMITS)
    .flatMap((chains, n) => chains.map((chain) => measured(chain, sizes[n].size, close.width)));
}

/** Steps over which a ridge's course is read, px, and px averaged at each: a staircase turns at every px. */
const STRIDE = 8;
const AVERAGED = 2;

function measured({ points, height }: Chain, size: number, w: number): Ridge {
  const at = (k: number): [number, number] => {
    let [x, y, n] = [0, 0, 0];
    for (let j = Math.max(0, k - AVERAGED); j <= Math.min(points.length - 1, k + AVERAGED); j++, n++) {
      x += points[j] % w;
      y += Math.floor(points[j] / w);
    }
    return [x / n, y / n];
  };
  let [length, turned] = [0, 0];
  let before: [number, number] | null = null;
  const angles: number[] = [];
  const steps: number[] = [];
  for (let k = 0; k + STRIDE < points.length; k += STRIDE) {
    const [[x0, y0], [x1, y1]] = [at(k), at(k + STRIDE)];
    const step: [number, number] = [x1 - x0, y1 - y0];
    const long = Math.hypot(...step);
    length += long;
    angles.push((Math.atan2(-step[1], step[0]) * 180) / Math.PI);
    steps.push(long);
    if (before) turned += Math.abs(Math.atan2(before[0] * step[1] - before[1] * step[0], before[0] * step[0] + before[1] * step[1]));
    before = step;
  }
  const last = Math.floor((points.length - 1) / STRIDE) * STRIDE;
  const [[ax, ay], [bx, by]] = [at(0), at(last)];
  let [left, top, right, bottom] = [Infinity, Infinity, 0, 0];
  for (const p of points) {
    const x = p % w;
    const y = (p - x) / w;
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return {
    points,
    box: [left, top, right, bottom],
    dark: height > 0,
    size,
    height: Math.abs(height),
    straightness: length > 0 ? Math.min(1, Math.hypot(bx - ax, by - ay) / length) : 1,
    curl: length > 0 ? turned / length : 0,
    angle: axialMean(angles, steps).angle,
  };
}

export interface RidgeReading {
  /** Length along dark and along light ridges, px a px of the piece, thin and broad. */
  dark: [number, number];
  light: [number, number];
  /** Of the clearer of the two (by length): share in ridges of at least 30 px, mean height, straightness and turning, how far all run one way, and how far neighbours do. */
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

/** What of a window's ridges lies inside `rect`, and where `only` marks it. */
export function readRidges(ridges: readonly Ridge[], [x0, y0, w, h]: Rect, width: number, only: Uint8Array | null): RidgeReading {
  const sums = { dark: [0, 0] as [number, number], light: [0, 0] as [number, number] };
  const inside: { r: Ridge; n: number }[] = [];
  for (const r of ridges) {
    const [left, top, right, bottom] = r.box;
    if (right < x0 || bottom < y0 || left >= x0 + w || top >= y0 + h) continue;
    const whole = left >= x0 && top >= y0 && right < x0 + w && bottom < y0 + h;
    let n = whole && !only ? r.points.length : 0;
    if (!n)
      for (const p of r.points) {
        if (only && !only[p]) continue;
        const x = p % width;
        const y = (p - x) / width;
        if (x >= x0 && y >= y0 && x < x0 + w && y < y0 + h) n++;
      }
    if (!n) continue;
    sums[r.dark ? 'dark' : 'light'][r.size] += n;
    inside.push({ r, n });
  }
  const isDark = sums.dark[0] + sums.dark[1] >= sums.light[0] + sums.light[1];
  const own = inside.filter(({ r }) => r.dark === isDark);
  const total = own.reduce((s, { n }) => s + n, 0);
  const over = (of: (r: Ridge) => number) => (total ? own.reduce((s, { r, n }) => s + n * of(r), 0) / total : 0);
  const cells = Array.from({ length: CELLS * CELLS }, () => [0, 0, 0]);
  let [c, s] = [0, 0];
  for (const { r, n } of own) {
    const t = (r.angle * Math.PI) / 90;
    c += n * Math.cos(t);
    s += n * Math.sin(t);
    const middle = r.points[r.points.length >> 1];
    const [i, j] = [((middle % width) - x0) / w, (Math.floor(middle / width) - y0) / h].map((v) =>
      Math.min(CELLS - 1, Math.max(0, Math.floor(v * CELLS))),
    );
    const cell = cells[j * CELLS + i];
    cell[0] += n * Math.cos(t);
    cell[1] += n * Math.sin(t);
    cell[2] += n;
  }
  let area = w * h;
  if (only) {
    area = 1;
    for (let y = y0; y < y0 + h; y++) for (let i = y * width + x0, end = i + w; i < end; i++) area += only[i];
  }
  return {
    dark: [sums.dark[0] / area, sums.dark[1] / area],
    light: [sums.light[0] / area, sums.light[1] / area],
    long: over((r) => (r.points.length >= 30 ? 1 : 0)),
    height: over((r) => r.height),
    straightness: total ? over((r) => r.straightness) : 1,
    curl: over((r) => r.curl),
    coherence: total ? Math.hypot(c, s) / total : 0,
    neighbours: total ? cells.reduce((sum, [p, q]) => sum + Math.hypot(p, q), 0) / total : 0,
    count: total ? (1000 * own.length) / total : 0,
  };
}
