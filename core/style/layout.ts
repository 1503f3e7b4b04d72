/** Knows where a picture's darks and forms lie, small enough to lay one layout over another and see how alike they are. */
import { lightnessPlane } from '../colour/lab';
import { gaussian } from '../raster/filters';
import { Mask, Plane, RgbImage } from '../raster/image';
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
  const lattice = { w: Math.max(8, Math.round((SIDE * form.width) / Math.max(form.width, form.height))), h: Math.max(8, Math.round((SIDE * form.height) / Math.max(form.width, form.height))) }; // prettier-ignore
  const w = Math.min(form.width, lattice.w);
  const h = Math.min(form.height, lattice.h);
  const dark = lightnessPlane(form);
  for (let i = 0; i < dark.data.length; i++) dark.data[i] = 100 - dark.data[i];
  const round = (p: Plane, f: number) =>
    Array.from({ length: p.data.length }, (_, i) => Math.round(p.data[i] * f * 10) / 10);
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

function correlate(
  a: Plane,
  b: Plane,
  scaleX: number,
  scaleY: number,
  shiftX: number,
  shiftY: number,
  mirrored: boolean,
): number {
  // Pixels of a (source) are looked up in b (piece); what falls outside b is left out, but at least half must overlap.
  let n = 0;
  let [sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0];
  for (let y = 0; y < a.height; y++)
    for (let x = 0; x < a.width; x++) {
      const u = (x + 0.5) / a.width - 0.5;
      const v = (y + 0.5) / a.height - 0.5;
      const bx = ((mirrored ? -u : u) * scaleX + shiftX + 0.5) * b.width - 0.5;
      const by = (v * scaleY + shiftY + 0.5) * b.height - 0.5;
      if (bx < -0.5 || by < -0.5 || bx > b.width - 0.5 || by > b.height - 0.5) continue;
      const va = a.data[y * a.width + x];
      const vb = sampleBilinear(b, bx, by);
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
 * The layout without its broad tones: what a third of the picture holds in common (a sky, a sea) belongs to the subject,
 * what stands out from it within a sixth of the sheet is the picture's own.
 */
function planeOf(l: Layout): Plane {
  const whole: Plane = { width: l.width, height: l.height, data: Float32Array.from(l.weight) };
  const broad = gaussian(whole, Math.max(l.width, l.height) / 12);
  for (let i = 0; i < broad.data.length; i++) whole.data[i] -= broad.data[i];
  return whole;
}

/** Best placing of a source's layout in a piece's: shifts to a quarter, sizes 0.7 to 1.35, mirrored or not; coarse then fine. */
export function registerLayouts(source: Layout, piece: Layout, allowMirror = true): Registration {
  const fineA = planeOf(source);
  const fineB = planeOf(piece);
  const half = (p: Plane) => reducePlane(p, Math.max(4, p.width >> 1), Math.max(4, p.height >> 1));
  const [a, b] = [half(fineA), half(fineB)];
  let best = { correlation: -2, mirrored: false, scale: 1, shift: [0, 0] as [number, number] };
  const consider = (p: Plane, q: Plane, scale: number, sx: number, sy: number, mirrored: boolean) => {
    const correlation = correlate(p, q, scale, scale, sx, sy, mirrored);
    if (correlation > best.correlation) best = { correlation, mirrored, scale, shift: [sx, sy] };
  };
  for (const mirrored of allowMirror ? [false, true] : [false])
    for (const scale of [0.74, 0.86, 1, 1.16, 1.34])
      for (let i = -4; i <= 4; i++) for (let j = -4; j <= 4; j++) consider(a, b, scale, i * 0.06, j * 0.06, mirrored);
  const coarse = best;
  best = { ...coarse, correlation: -2 };
  for (const scale of [0.95, 1, 1.05]) for (let i = -2; i <= 2; i++) for (let j = -2; j <= 2; j++) consider(fineA, fineB, coarse.scale * scale, coarse.shift[0] + i * 0.02, coarse.shift[1] + j * 0.02, coarse.mirrored); // prettier-ignore
  return best;
}
