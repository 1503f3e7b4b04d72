/** Knows where a picture's darks and forms lie, small enough to lay one layout over another and see how alike they are. */
import { lightnessPlane } from '../colour/lab';
import { gaussian } from '../raster/filters';
import { Mask, Plane, Rect, RgbImage } from '../raster/image';
import { reducePlane, sampleBilinear } from '../raster/resample';

const SIDE = 48;

export interface Layout {
  width: number;
  height: number;
  /** Darkness there (100 − L*), softened; row-major, rounded to 0.1. */
  weight: number[];
  /** Worked or bare, 0–100. */
  shape: number[];
}

/** Layout of a form-size picture on a lattice of at most 48 cells. */
export function layoutOf(form: RgbImage, worked: Mask): Layout {
  const lattice = {
    w: Math.max(8, Math.round((SIDE * form.width) / Math.max(form.width, form.height))),
    h: Math.max(8, Math.round((SIDE * form.height) / Math.max(form.width, form.height))),
  };
  const w = Math.min(form.width, lattice.w);
  const h = Math.min(form.height, lattice.h);
  const dark = lightnessPlane(form);
  for (let i = 0; i < dark.data.length; i++) dark.data[i] = 100 - dark.data[i];
  const round = (p: Plane, f: number) => Array.from({ length: p.data.length }, (_, i) => Math.round(p.data[i] * f * 10) / 10);
  const bits: Plane = { width: form.width, height: form.height, data: Float32Array.from(worked.data) };
  return {
    width: w,
    height: h,
    weight: round(gaussian(reducePlane(dark, w, h), 0.8), 1),
    shape: round(reducePlane(bits, w, h), 100),
  };
}

/** How one layout was laid over another. */
export interface Registration {
  /** Correlation of what stands where, −1 to 1, at the best placing. */
  correlation: number;
  mirrored: boolean;
  /** Size of the piece's content against the source's, and its shift in shares of the sheet. */
  scale: number;
  shift: [number, number];
}

/** How a source is laid over a piece. */
export type Placing = Omit<Registration, 'correlation'>;

/** Where the middle of a source's cell comes to on the piece, in shares of it. */
export function placed(
  { mirrored, scale, shift }: Placing,
  source: Pick<Plane, 'width' | 'height'>,
  x: number,
  y: number,
): [number, number] {
  const u = (x + 0.5) / source.width - 0.5;
  const v = (y + 0.5) / source.height - 0.5;
  return [(mirrored ? -u : u) * scale + shift[0] + 0.5, v * scale + shift[1] + 0.5];
}

/** The piece's value under a source's cell; null where that falls beside the piece. */
function valueUnder(placing: Placing, a: Plane, b: Plane, x: number, y: number): number | null {
  const [u, v] = placed(placing, a, x, y);
  const [bx, by] = [u * b.width - 0.5, v * b.height - 0.5];
  if (bx < -0.5 || by < -0.5 || bx > b.width - 0.5 || by > b.height - 0.5) return null;
  return sampleBilinear(b, bx, by);
}

function correlate(a: Plane, b: Plane, placing: Placing): number {
  // Pixels of a (source) are looked up in b (piece); what falls outside b is left out, but at least half must overlap.
  let n = 0;
  let [sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0];
  for (let y = 0; y < a.height; y++)
    for (let x = 0; x < a.width; x++) {
      const vb = valueUnder(placing, a, b, x, y);
      if (vb === null) continue;
      const va = a.data[y * a.width + x];
      n++;
      sa += va;
      sb += vb;
      saa += va * va;
      sbb += vb * vb;
      sab += va * vb;
    }
  if (n < 0.55 * a.width * a.height) return -1;
  const da = saa - (sa * sa) / n;
  const db = sbb - (sb * sb) / n;
  return da > 1e-6 && db > 1e-6 ? (sab - (sa * sb) / n) / Math.sqrt(da * db) : 0;
}

/**
 * The layout between two softnesses, as shares of the long side: without its broad tones, since what a third of the
 * picture holds in common (a sky, a sea) belongs to the subject, and what stands out from it is the picture's own.
 */
function bandOf(l: Layout, fine: number, broad: number): Plane {
  const whole: Plane = { width: l.width, height: l.height, data: Float32Array.from(l.weight) };
  const long = Math.max(l.width, l.height);
  const kept = fine > 0 ? gaussian(whole, fine * long) : whole;
  const taken = gaussian(whole, broad * long);
  for (let i = 0; i < taken.data.length; i++) taken.data[i] = kept.data[i] - taken.data[i];
  return taken;
}

const planeOf = (l: Layout) => bandOf(l, 0, 1 / 12);

const BLOCKS = 4;
/** How far a block may have slipped in redrawing, in shares of the sheet. */
const SLIP = [-0.03, -0.015, 0, 0.015, 0.03];

/** Correlation of one block of a source with what lies under it, both about 0; and how much stands in it. Null where half falls beside. */
function correlateBlock(a: Plane, b: Plane, [x0, y0, w, h]: Rect, placing: Placing): { c: number; weight: number } | null {
  let [n, saa, sbb, sab] = [0, 0, 0, 0];
  for (let y = y0; y < y0 + h; y++)
    for (let x = x0; x < x0 + w; x++) {
      const vb = valueUnder(placing, a, b, x, y);
      if (vb === null) continue;
      const va = a.data[y * a.width + x];
      n++;
      saa += va * va;
      sbb += vb * vb;
      sab += va * vb;
    }
  if (n < 0.5 * w * h) return null;
  return { c: saa > 1e-6 && sbb > 1e-6 ? sab / Math.sqrt(saa * sbb) : 0, weight: Math.sqrt(saa / n) };
}

/**
 * How alike the smaller forms are, 0–1, when a source lies over a piece as registered: normalised correlation block by
 * block, each block let slip a little as a redrawn one would, weighted by how much stands in it.
 */
export function likenessOfForms(source: Layout, piece: Layout, placing: Placing): number {
  const a = bandOf(source, 0.008, 0.035);
  const b = bandOf(piece, 0.008, 0.035);
  const slips = SLIP.flatMap((x) => SLIP.map((y): Placing => ({ ...placing, shift: [placing.shift[0] + x, placing.shift[1] + y] })));
  let [sum, weights] = [0, 0];
  for (let j = 0; j < BLOCKS; j++)
    for (let i = 0; i < BLOCKS; i++) {
      const [x0, x1] = [i, i + 1].map((k) => Math.floor((k * a.width) / BLOCKS));
      const [y0, y1] = [j, j + 1].map((k) => Math.floor((k * a.height) / BLOCKS));
      const tried = slips.flatMap((slip) => correlateBlock(a, b, [x0, y0, x1 - x0, y1 - y0], slip) ?? []);
      if (!tried.length) continue;
      const best = tried.reduce((p, q) => (q.c > p.c ? q : p));
      sum += best.c * best.weight;
      weights += best.weight;
    }
  return weights > 0 ? Math.max(0, sum / weights) : 0;
}

/** Best placing of a source's layout in a piece's: shifts to a quarter, sizes 0.7 to 1.35, mirrored or not; coarse then fine. */
export function registerLayouts(source: Layout, piece: Layout, allowMirror = true): Registration {
  const fineA = planeOf(source);
  const fineB = planeOf(piece);
  const half = (p: Plane) => reducePlane(p, Math.max(4, p.width >> 1), Math.max(4, p.height >> 1));
  const [a, b] = [half(fineA), half(fineB)];
  let best = { correlation: -2, mirrored: false, scale: 1, shift: [0, 0] as [number, number] };
  const consider = (p: Plane, q: Plane, scale: number, sx: number, sy: number, mirrored: boolean) => {
    const correlation = correlate(p, q, { mirrored, scale, shift: [sx, sy] });
    if (correlation > best.correlation) best = { correlation, mirrored, scale, shift: [sx, sy] };
  };
  for (const mirrored of allowMirror ? [false, true] : [false])
    for (const scale of [0.74, 0.86, 1, 1.16, 1.34])
      for (let i = -4; i <= 4; i++) for (let j = -4; j <= 4; j++) consider(a, b, scale, i * 0.06, j * 0.06, mirrored);
  const coarse = best;
  best = { ...coarse, correlation: -2 };
  for (const scale of [0.95, 1, 1.05])
    for (let i = -2; i <= 2; i++)
      for (let j = -2; j <= 2; j++)
        consider(fineA, fineB, coarse.scale * scale, coarse.shift[0] + i * 0.02, coarse.shift[1] + j * 0.02, coarse.mirrored);
  return best;
}
