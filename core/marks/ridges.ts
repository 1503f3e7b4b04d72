/**
 * Knows drawn lines by their ridges in lightness, dark or light, thin or broad, whatever they lie on: on bare sheet, on paint, on black ground.
 * Ridges after Steger (1998): crests of the second derivative, linked from the clear ones along the faint (hysteresis after Canny 1986).
 */
import { axialMean } from './orientation';
import { Rect } from '../raster/image';
import { sumsOf } from '../raster/kernels/closeUp';
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
const [CLEAR, FAINT] = [7, 3];
const LEAST_POINTS = 8;

/** Ridges of a window, each counted at the size at which it stands out most. */
export function ridgesOf(close: CloseUp): Ridge[] {
  const { width: w, height: h } = close;
  const taken = new Uint8Array(w * h);
  const out: Ridge[] = [];
  // Broad ones first: on their flanks and in their middle finer ones may be found that are only texture.
  RIDGE_SIZES.map((_, n) => n)
    .reverse()
    .forEach((n) => out.push(...ridgesAt(close, n, taken)));
  return out;
}

function ridgesAt(close: CloseUp, n: number, taken: Uint8Array): Ridge[] {
  const { width: w, height: h } = close;
  const step = Math.max(1, Math.round(SOFTNESS[RIDGE_SIZES[n]]));
  const { strength, crest } = sumsOf(close).crests(RIDGE_SIZES[n], step, FAINT, taken);
  return linked(crest, strength, taken, n, w, h, 2 * step);
}

/** Steps to the eight neighbours, and how far each is, px. */
const DX = Int8Array.of(1, 1, 0, -1, -1, -1, 0, 1);
const DY = Int8Array.of(0, 1, 1, 1, 0, -1, -1, -1);
const FAR = Float64Array.from(DX, (dx, k) => Math.hypot(dx, DY[k]));

/** Chains of crest px of one sign, from a clear one both ways along the faint. */
function linked(crest: Uint8Array, strength: Float32Array, taken: Uint8Array, size: number, w: number, h: number, margin: number): Ridge[] {
  const around = Int32Array.from(DX, (dx, k) => DY[k] * w + dx);
  const out: Ridge[] = [];
  const chain: number[] = [];
  const walk = (from: number, sign: number): void => {
    let here = from;
    let [lx, ly] = [0, 0];
    for (let n = 0; ; n++) {
      let next = -1;
      let best = -Infinity;
      for (let k = 0; k < 8; k++) {
        const q = here + around[k];
        if (crest[q] === 0) continue;
        const high = strength[q] * sign;
        if (high <= 0) continue;
        const ahead = (DX[k] * lx + DY[k] * ly) / FAR[k];
        if (n > 2 && ahead < 0) continue;
        const worth = ahead * 6 + high;
        if (worth > best) {
          best = worth;
          next = k;
        }
      }
      if (next < 0) return;
      here += around[next];
      crest[here] = 0;
      lx = 0.7 * lx + 0.3 * DX[next];
      ly = 0.7 * ly + 0.3 * DY[next];
      chain.push(here);
    }
  };
  for (let i = 0; i < crest.length; i++) {
    if (crest[i] === 0 || Math.abs(strength[i]) < CLEAR) continue;
    const sign = Math.sign(strength[i]);
    crest[i] = 0;
    chain.length = 0;
    walk(i, sign);
    const forward = chain.length;
    walk(i, sign);
    // The way back turned round, then the first, then the way on.
    const points = new Int32Array(chain.length + 1);
    const back = chain.length - forward;
    for (let k = 0; k < back; k++) points[k] = chain[chain.length - 1 - k];
    points[back] = i;
    for (let k = 0; k < forward; k++) points[back + 1 + k] = chain[k];
    if (points.length < LEAST_POINTS) continue;
    const ridge = measured(points, strength, size, w);
    out.push(ridge);
    take(taken, points, w, h, margin);
  }
  return out;
}

/** Marks what lies within `margin` px of a chain: all round its first px, and of each next one the sides it moved toward. */
function take(taken: Uint8Array, points: Int32Array, w: number, h: number, margin: number): void {
  let [px, py] = [NaN, NaN];
  for (const p of points) {
    const x = p % w;
    const y = (p - x) / w;
    const [left, right] = [Math.max(0, x - margin), Math.min(w - 1, x + margin)];
    const [top, bottom] = [Math.max(0, y - margin), Math.min(h - 1, y + margin)];
    const near = Math.abs(x - px) <= 1 && Math.abs(y - py) <= 1;
    for (let j = top; j <= bottom; j++) {
      // Rows that the one before covered but for one px at a side.
      if (near && Math.abs(j - py) <= margin) {
        if (x !== px) taken[j * w + (x > px ? right : left)] = 1;
      } else for (let i = j * w + left; i <= j * w + right; i++) taken[i] = 1;
    }
    [px, py] = [x, y];
  }
}

/** Steps over which a ridge's course is read, px, and px averaged at each: a staircase turns at every px. */
const STRIDE = 8;
const AVERAGED = 2;

function measured(points: Int32Array, strength: Float32Array, size: number, w: number): Ridge {
  let height = 0;
  for (const p of points) height += Math.abs(strength[p]);
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
    dark: strength[points[0]] > 0,
    size,
    height: height / points.length,
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
