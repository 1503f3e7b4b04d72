/**
 * Knows the points of a picture by which another print, turning or mirroring of the very same picture is found again: corners at several
 * sizes, each described by the slopes around it (after Harris and Stephens 1988 and Lowe 2004).
 */
import { bytesOf } from '../base64';
import { gaussian } from '../raster/filters';
import { Plane } from '../raster/image';
import { nearestForms } from '../raster/kernels/kernels';
import { reducePlane } from '../raster/resample';

/** Places are in widths of the picture, from its middle, down positive; turns in radians, clockwise as seen. */
export interface Keypoint {
  x: number;
  y: number;
  /** Size of what is described, in widths. */
  size: number;
  turn: number;
  /** 4 × 4 cells of 8 directions, 0–255, turned upright. */
  form: Uint8Array;
}

/** Points as they are kept with a picture's readings: place, size and turn of each, and their forms, base64. */
export interface PackedPoints {
  places: number[];
  forms: string;
}

export const NO_POINTS: PackedPoints = { places: [], forms: '' };

const LONG_SIDE = 320;
const LEVELS = 4;
const SHRINK = 0.72;
const MOST_AT_LEVEL = 45;
/** Half the side of what is described, px of its level. */
const REACH = 12;
const CELLS = 4;
const WAYS = 8;

interface Slopes {
  dx: Float32Array;
  dy: Float32Array;
  size: Float32Array;
  way: Float32Array;
  width: number;
  height: number;
}

function slopesOf(level: Plane): Slopes {
  const { width: w, height: h, data } = gaussian(level, 0.8);
  const [dx, dy, size, way] = Array.from({ length: 4 }, () => new Float32Array(w * h));
  for (let y = 1; y < h - 1; y++)
    for (let i = y * w + 1, end = y * w + w - 1; i < end; i++) {
      dx[i] = data[i + 1] - data[i - 1];
      dy[i] = data[i + w] - data[i - w];
      size[i] = Math.sqrt(dx[i] * dx[i] + dy[i] * dy[i]);
      way[i] = Math.atan2(dy[i], dx[i]);
    }
  return { dx, dy, size, way, width: w, height: h };
}

function softProduct(p: Float32Array, q: Float32Array, width: number, height: number): Float32Array {
  const data = new Float32Array(width * height);
  for (let i = 0; i < data.length; i++) data[i] = p[i] * q[i];
  return gaussian({ width, height, data }, 2).data;
}

interface Corner {
  at: [x: number, y: number];
  strength: number;
}

const stronger = (p: Corner, q: Corner): number => q.strength - p.strength;

/** Strongest corners of a level, kept apart. */
function cornersOf({ dx, dy, width: w, height: h }: Slopes): Corner[] {
  const [xx, yy, xy] = [softProduct(dx, dx, w, h), softProduct(dy, dy, w, h), softProduct(dx, dy, w, h)];
  const strength = xx;
  for (let i = 0; i < strength.length; i++) strength[i] = xx[i] * yy[i] - xy[i] * xy[i] - 0.05 * (xx[i] + yy[i]) ** 2;
  const margin = REACH + 3;
  const found: Corner[] = [];
  for (let y = margin; y < h - margin; y++)
    for (let x = margin; x < w - margin; x++) {
      const i = y * w + x;
      const s = strength[i];
      if (s <= 1) continue;
      let most = true;
      for (let dy = -3; dy <= 3 && most; dy++) for (let dx = -3; dx <= 3 && most; dx++) if (strength[i + dy * w + dx] > s) most = false;
      if (most) found.push({ at: [x, y], strength: s });
    }
  return found.sort(stronger).slice(0, MOST_AT_LEVEL);
}

/** The way most slopes around a place go. */
function turnAt({ size, way, width: w }: Slopes, x: number, y: number): number {
  const bins = new Float64Array(36);
  for (let dy = -8; dy <= 8; dy++)
    for (let dx = -8; dx <= 8; dx++) {
      const i = (y + dy) * w + x + dx;
      const at = Math.floor(((way[i] + Math.PI) / (2 * Math.PI)) * 36) % 36;
      bins[at] += size[i] * Math.exp(-(dx * dx + dy * dy) / 40);
    }
  let best = 0;
  const soft = new Float64Array(36);
  for (let k = 0; k < 36; k++) soft[k] = bins[(k + 35) % 36] + 2 * bins[k] + bins[(k + 1) % 36];
  for (let k = 1; k < 36; k++) if (soft[k] > soft[best]) best = k;
  const [l, m, r] = [soft[(best + 35) % 36], soft[best], soft[(best + 1) % 36]];
  const off = l + r - 2 * m < 0 ? (0.5 * (l - r)) / (l - 2 * m + r) : 0;
  return ((best + 0.5 + off) / 36) * 2 * Math.PI - Math.PI;
}

/** How much each px of what is described counts: less toward its rim. */
const NEARER = Float64Array.from({ length: (2 * REACH) ** 2 }, (_, i) => {
  const [u, v] = [(i % (2 * REACH)) + 0.5 - REACH, Math.floor(i / (2 * REACH)) + 0.5 - REACH];
  return Math.exp(-(u * u + v * v) / (2 * REACH * REACH * 0.5));
});

/** What is described is shared among the nearest cells, so that a small slip changes little: of each px, four cells and its shares of them. */
const [SHARED_CELL, SHARE] = [new Uint8Array(4 * (2 * REACH) ** 2), new Float64Array(4 * (2 * REACH) ** 2)];
for (let v = 0, i = 0; v < 2 * REACH; v++)
  for (let u = 0; u < 2 * REACH; u++)
    for (let k = 0; k < 4; k++, i++) {
      const [gx, gy] = [u, v].map((p) => ((p + 0.5) / (2 * REACH)) * CELLS - 0.5);
      const [cx, cy] = [Math.floor(gx) + (k & 1), Math.floor(gy) + (k >> 1)];
      // What would go to a cell beyond the rim goes nowhere.
      if (cx < 0 || cy < 0 || cx >= CELLS || cy >= CELLS) continue;
      SHARED_CELL[i] = cy * CELLS + cx;
      SHARE[i] = (1 - Math.abs(gx - cx)) * (1 - Math.abs(gy - cy));
    }

function formAt({ size, way, width: w, height: h }: Slopes, x: number, y: number, turn: number): Uint8Array {
  const bins = new Float64Array(CELLS * CELLS * WAYS);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  for (let v = -REACH + 0.5, n = 0; v < REACH; v++)
    for (let u = -REACH + 0.5; u < REACH; u++, n++) {
      const px = Math.round(x + c * u - s * v);
      const py = Math.round(y + s * u + c * v);
      if (px < 0 || py < 0 || px >= w || py >= h) continue;
      const i = py * w + px;
      const weight = size[i] * NEARER[n];
      // And among the nearest directions.
      const a = (((((way[i] - turn) / (2 * Math.PI)) * WAYS) % WAYS) + WAYS) % WAYS;
      const a0 = Math.floor(a);
      const later = weight * (a - a0);
      const sooner = weight - later;
      const [first, second] = [a0 % WAYS, (a0 + 1) % WAYS];
      for (let k = 4 * n; k < 4 * n + 4; k++) {
        const cell = SHARED_CELL[k] * WAYS;
        bins[cell + first] += sooner * SHARE[k];
        bins[cell + second] += later * SHARE[k];
      }
    }
  const first = lengthOf(bins);
  for (let k = 0; k < bins.length; k++) bins[k] = Math.min(0.2, bins[k] / first);
  const second = lengthOf(bins);
  const form = new Uint8Array(bins.length);
  for (let k = 0; k < bins.length; k++) form[k] = Math.min(255, Math.round((400 * bins[k]) / second));
  return form;
}

/** Length of a vector; 1 of nothing. */
function lengthOf(values: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < values.length; k++) sum += values[k] * values[k];
  return Math.sqrt(sum) || 1;
}

const rounded = (v: number) => Math.round(v * 1e4) / 1e4;

export function packed(points: readonly Keypoint[]): PackedPoints {
  let bytes = '';
  for (const p of points) bytes += String.fromCharCode(...p.form);
  return { places: points.flatMap((p) => [p.x, p.y, p.size, p.turn].map(rounded)), forms: btoa(bytes) };
}

export function unpacked({ places, forms }: PackedPoints): Keypoint[] {
  const bytes = bytesOf(forms);
  const n = CELLS * CELLS * WAYS;
  return Array.from({ length: places.length / 4 }, (_, i) => {
    const [x, y, size, turn] = places.slice(4 * i, 4 * i + 4);
    return { x, y, size, turn, form: bytes.subarray(n * i, n * (i + 1)) };
  });
}

/** At most 180 points of a form-size picture, given by its L*, strongest of each size first. */
export function keypointsOf(form: Plane): Keypoint[] {
  const out: Keypoint[] = [];
  for (let l = 0; l < LEVELS; l++) {
    const long = LONG_SIDE * SHRINK ** l;
    const factor = Math.min(1, long / Math.max(form.width, form.height));
    const [w, h] = [Math.round(form.width * factor), Math.round(form.height * factor)];
    if (Math.min(w, h) < 2 * REACH + 10) break;
    const slopes = slopesOf(reducePlane(form, w, h));
    for (const { at } of cornersOf(slopes)) {
      const [x, y] = at;
      const turn = turnAt(slopes, x, y);
      out.push({ x: (x + 0.5) / w - 0.5, y: (y + 0.5 - h / 2) / w, size: REACH / w, turn, form: formAt(slopes, x, y, turn) });
    }
  }
  return out;
}

/** What a point looks like in a mirror: rows and directions the other way round. */
function mirroredForm(form: Uint8Array): Uint8Array {
  const out = new Uint8Array(form.length);
  for (let y = 0; y < CELLS; y++)
    for (let x = 0; x < CELLS; x++)
      for (let k = 0; k < WAYS; k++) out[((CELLS - 1 - y) * CELLS + x) * WAYS + ((WAYS - k) % WAYS)] = form[(y * CELLS + x) * WAYS + k];
  return out;
}

export interface SamePlaces {
  mirrored: boolean;
  /** Degrees anticlockwise, and size of the piece's content in its widths against the source's. */
  turn: number;
  scale: number;
  /** Where the source's middle comes to, in widths of the piece from its middle. */
  middle: [number, number];
  /** Points found again in that one placing. */
  count: number;
}

/** A point is found again where its form is clearly nearer than any other point's. */
const CLEARLY = 0.82;
/** Within so much of a width points count as in one placing; turns and sizes may miss by so much. */
const [NEAR, LEAN, SIZE] = [0.03, 0.35, 0.35];

interface Pair {
  a: Keypoint;
  b: Keypoint;
}

function pairsOf(source: readonly Keypoint[], piece: readonly Keypoint[], mirrored: boolean): Pair[] {
  const forms = source.map((a) => (mirrored ? mirroredForm(a.form) : a.form));
  // The same corner at the next size is no rival.
  return nearestForms(forms, piece, NEAR).flatMap(({ found, best, second }, k) =>
    found >= 0 && best < CLEARLY ** 2 * second ? [{ a: source[k], b: piece[found] }] : [],
  );
}

/** The placing most pairs agree in, each pair proposing one (Fischler and Bolles 1981); null for fewer than three. */
function agreed(pairs: readonly Pair[], mirrored: boolean): SamePlaces | null {
  let best: SamePlaces | null = null;
  const hand = mirrored ? -1 : 1;
  for (const { a, b } of pairs) {
    const scale = b.size / a.size;
    // A mirrored slope at angle t stands at π − t.
    const turn = mirrored ? b.turn - (Math.PI - a.turn) : b.turn - a.turn;
    const [c, s] = [Math.cos(turn) * scale, Math.sin(turn) * scale];
    const placed = (p: Keypoint): [number, number] => [c * hand * p.x - s * p.y, s * hand * p.x + c * p.y];
    const [mx, my] = [b.x - placed(a)[0], b.y - placed(a)[1]];
    let count = 0;
    for (const o of pairs) {
      const [px, py] = placed(o.a);
      if (Math.hypot(px + mx - o.b.x, py + my - o.b.y) > NEAR) continue;
      const lean = (mirrored ? o.b.turn - (Math.PI - o.a.turn) : o.b.turn - o.a.turn) - turn;
      if (Math.abs(Math.atan2(Math.sin(lean), Math.cos(lean))) > LEAN || Math.abs(Math.log(o.b.size / o.a.size / scale)) > SIZE) continue;
      count++;
    }
    if (!best || count > best.count) best = { mirrored, turn: (-turn * 180) / Math.PI, scale, middle: [mx, my], count };
  }
  return best && best.count > 2 ? best : null;
}

/** Where a source's points are found again in a piece, whatever it was turned, mirrored or cut; null where they are not. */
export function foundAgain(source: readonly Keypoint[], piece: readonly Keypoint[]): SamePlaces | null {
  const [plain, mirrored] = [false, true].map((m) => agreed(pairsOf(source, piece, m), m));
  return plain && mirrored ? (mirrored.count > plain.count ? mirrored : plain) : (plain ?? mirrored);
}
