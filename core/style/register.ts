/** Knows how one layout lies over another: found coarsely over places, sizes and turns, then to a small part of a cell. */
import { gaussian } from '../raster/filters';
import { Plane } from '../raster/image';
import { reducePlane, sampleBilinear } from '../raster/resample';
import { descend } from '../raster/leastSquares';
import { Layout } from './layout';

/** How a source is laid over a piece. */
export interface Placing {
  mirrored: boolean;
  /** Size of the content against the source's, where 1 is the source at the largest that fits the piece's sheet. */
  scale: number;
  /** Degrees anticlockwise as seen. */
  turn: number;
  /** Width over height, against the source's own: 1 where nothing was stretched. */
  stretch: number;
  /** Shares of the piece's sheet, right and down. */
  shift: [number, number];
}

export interface Registration extends Placing {
  /** Correlation of what stands where, −1 to 1. */
  correlation: number;
}

type Sheet = Pick<Layout, 'width' | 'height' | 'tall'>;

const AS_IT_IS: Placing = { mirrored: false, scale: 1, turn: 0, stretch: 1, shift: [0, 0] };

/** Shares of the piece's sheet for the middle of a source's cell: across = a·x + b·y + c, down = d·x + e·y + f. */
interface Affine {
  a: number;
  b: number;
  c: number;
  d: number;
  e: number;
  f: number;
}

function affineOf({ mirrored, scale, turn, stretch, shift }: Placing, source: Sheet, piece: Sheet): Affine {
  // In widths of the piece's sheet; the source as large as fits.
  const fit = Math.min(1, piece.tall / source.tall) * scale;
  const t = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(t), Math.sin(t)];
  const wide = ((mirrored ? -fit : fit) * Math.sqrt(stretch)) / source.width;
  const high = ((fit / Math.sqrt(stretch)) * source.tall) / source.height;
  const [a, b, d, e] = [cos * wide, sin * high, (-sin * wide) / piece.tall, (cos * high) / piece.tall];
  const [x, y] = [0.5 - source.width / 2, 0.5 - source.height / 2];
  return { a, b, c: a * x + b * y + shift[0] + 0.5, d, e, f: d * x + e * y + shift[1] + 0.5 };
}

/** A function from the middle of a source's cell to where it comes to on the piece, in shares of its sheet. */
export function placer(placing: Placing, source: Sheet, piece: Sheet): (x: number, y: number) => [number, number] {
  const { a, b, c, d, e, f } = affineOf(placing, source, piece);
  return (x, y) => [a * x + b * y + c, d * x + e * y + f];
}

/** The layout between two softnesses, as shares of the long side. */
export function bandOf(l: Layout, fine: number, broad: number): Plane {
  const whole: Plane = { width: l.width, height: l.height, data: Float32Array.from(l.weight) };
  const long = Math.max(l.width, l.height);
  const kept = fine > 0 ? gaussian(whole, fine * long) : whole;
  const taken = gaussian(whole, broad * long);
  for (let i = 0; i < taken.data.length; i++) taken.data[i] = kept.data[i] - taken.data[i];
  return taken;
}

/** At least so much of the source has to lie on the piece. */
const LEAST_OVERLAP = 0.55;

interface Laid {
  a: Plane;
  b: Plane;
  source: Sheet;
  piece: Sheet;
}

/** Correlation from `n` pairs' sums, squares and products, of which `overlap` is the share of all; −1 where too few lie on the piece, 0 where either is even. */
function coefficient(overlap: number, n: number, sa: number, sb: number, saa: number, sbb: number, sab: number): number {
  if (overlap < LEAST_OVERLAP) return -1;
  const da = saa - (sa * sa) / n;
  const db = sbb - (sb * sb) / n;
  return da > 1e-6 && db > 1e-6 ? (sab - (sa * sb) / n) / Math.sqrt(da * db) : 0;
}

/** Correlation over the source's cells that fall on the piece, each looked up in the piece's nearest cell; −1 where too few do. */
function correlate({ a, b, source, piece }: Laid, placing: Placing): number {
  const t = affineOf(placing, { ...source, width: a.width, height: a.height }, piece);
  const [w, h] = [b.width, b.height];
  const [from, to] = [a.data, b.data];
  let n = 0;
  let sa = 0;
  let sb = 0;
  let saa = 0;
  let sbb = 0;
  let sab = 0;
  const [ux, vx] = [t.a * w, t.d * h];
  for (let y = 0, i = 0; y < a.height; y++) {
    let u = (t.b * y + t.c) * w;
    let v = (t.e * y + t.f) * h;
    for (let x = 0; x < a.width; x++, i++, u += ux, v += vx) {
      if (u < 0 || v < 0 || u >= w || v >= h) continue;
      const va = from[i];
      const vb = to[(v | 0) * w + (u | 0)];
      n++;
      sa += va;
      sb += vb;
      saa += va * va;
      sbb += vb * vb;
      sab += va * vb;
    }
  }
  return coefficient(n / from.length, n, sa, sb, saa, sbb, sab);
}

/** The piece under each of the source's cells, between its own cells; NaN beside it. */
function sampled({ a, b, source, piece }: Laid, placing: Placing): Float32Array {
  const t = affineOf(placing, { ...source, width: a.width, height: a.height }, piece);
  const out = new Float32Array(a.data.length);
  for (let y = 0, i = 0; y < a.height; y++)
    for (let x = 0; x < a.width; x++, i++) {
      const u = t.a * x + t.b * y + t.c;
      const v = t.d * x + t.e * y + t.f;
      out[i] = u < 0 || v < 0 || u > 1 || v > 1 ? NaN : sampleBilinear(b, u * b.width - 0.5, v * b.height - 0.5);
    }
  return out;
}

/** Correlation of the source with what `sampled` found under it. */
function correlation({ data }: Plane, under: Float32Array): number {
  let [n, sa, sb, saa, sbb, sab] = [0, 0, 0, 0, 0, 0];
  for (let i = 0; i < under.length; i++) {
    const vb = under[i];
    if (vb !== vb) continue;
    const va = data[i];
    n++;
    sa += va;
    sb += vb;
    saa += va * va;
    sbb += vb * vb;
    sab += va * vb;
  }
  return coefficient(n / under.length, n, sa, sb, saa, sbb, sab);
}

const halved = (laid: Laid): Laid => {
  const half = (p: Plane) => reducePlane(p, Math.max(4, p.width >> 1), Math.max(4, p.height >> 1));
  return { ...laid, a: half(laid.a), b: half(laid.b) };
};

const SIZES = [0.74, 0.86, 1, 1.16, 1.34];
/** Leans tried around each coarse place, degrees: steadier than a copy by eye is laid down. */
const LEANS = [-5, 0, 5];

/** What the content may have undergone: nothing but size, place and lean (a copy), or also mirroring and quarter turns. */
export type Freedom = 'copy' | 'any';

/** The best of the placings as a whole number of steps; `small` is laid at half the cells. */
function coarse(small: Laid, freedom: Freedom): Placing[] {
  const { source, piece } = small;
  const found: { placing: Placing; correlation: number }[] = [];
  for (const mirrored of freedom === 'any' ? [false, true] : [false])
    for (const turn of freedom === 'any' ? [0, 90, 180, 270] : [0]) {
      let best = { placing: AS_IT_IS, correlation: -2 };
      // Lying, the source fits the sheet another way.
      const base = turn % 180 ? Math.min(1 / source.tall, piece.tall) / Math.min(1, piece.tall / source.tall) : 1;
      // Whoever turns or mirrors a copy moves it little.
      const [sizes, steps] = turn || mirrored ? [SIZES.slice(1, 4), 2] : [SIZES, 4];
      for (const scale of sizes)
        for (let i = -steps; i <= steps; i++)
          for (let j = -steps; j <= steps; j++) {
            const placing: Placing = { ...AS_IT_IS, mirrored, turn, scale: scale * base, shift: [i * 0.06, j * 0.06] };
            const here = correlate(small, placing);
            if (here > best.correlation) best = { placing, correlation: here };
          }
      found.push(best);
    }
  // The upright one is always looked at closer, and whichever comes nearest.
  const [upright, ...others] = found;
  const nearest = others.sort((p, q) => q.correlation - p.correlation)[0];
  return nearest && nearest.correlation > upright.correlation - 0.1 ? [upright.placing, nearest.placing] : [upright.placing];
}

function finer(small: Laid, start: Placing): Registration {
  let best: Registration = { ...start, correlation: -2 };
  for (const size of [0.95, 1, 1.05])
    for (const lean of LEANS)
      for (let i = -1; i <= 1; i++)
        for (let j = -1; j <= 1; j++) {
          const shift: [number, number] = [start.shift[0] + i * 0.03, start.shift[1] + j * 0.03];
          const placing: Placing = { ...start, scale: start.scale * size, turn: start.turn + lean, shift };
          const here = correlate(small, placing);
          if (here > best.correlation) best = { ...placing, correlation: here };
        }
  return best;
}

/** Logarithm of size, turn in radians, shifts, logarithm of the stretch. */
const moved = (p: Placing, d: ArrayLike<number>): Placing => ({
  ...p,
  scale: p.scale * Math.exp(d[0]),
  turn: p.turn + (d[1] * 180) / Math.PI,
  shift: [p.shift[0] + d[2], p.shift[1] + d[3]],
  stretch: p.stretch * Math.exp(d[4]),
});

const FREE = [0, 1, 2, 3, 4];
const LEAST_GAIN = 1e-5;

/** Least squares of a ≈ (here + rises · step) · gain + offset, to first order with the gain near 1. */
function darknessEquations(
  { data }: Plane,
  here: Float32Array,
  rises: readonly Float32Array[],
): { normal: Float64Array[]; right: Float64Array } {
  const n = FREE.length + 2;
  const square = new Float64Array(n * n);
  const right = new Float64Array(n);
  const row = new Float64Array(n);
  row[n - 1] = 1;
  for (let i = 0; i < here.length; i++) {
    let sum = here[i];
    for (let k = 0; k < rises.length; k++) sum += row[k] = rises[k][i];
    // Beside the piece in one of them.
    if (sum !== sum) continue;
    row[n - 2] = here[i];
    const off = data[i] - here[i];
    for (let p = 0; p < n; p++) {
      const v = row[p];
      right[p] += v * off;
      for (let q = 0; q <= p; q++) square[p * n + q] += v * row[q];
    }
  }
  for (let p = 0; p < n; p++) for (let q = 0; q < p; q++) square[q * n + p] = square[p * n + q];
  return { normal: Array.from({ length: n }, (_, p) => square.subarray(p * n, (p + 1) * n)), right };
}

const ROUNDS = 20;
const NUDGE = 1e-3;
/** How far a stretch is believed in, against what redrawing does to single forms: its logarithm, one standard deviation. */
const STRETCHED = 0.05;

/**
 * Gauss and Newton's steps over size, turn, place and stretch (after Lucas and Kanade 1981), with gain and offset of the darkness
 * free, from a placing that is right to a cell or two.
 */
function refined(laid: Laid, start: Registration): Registration {
  const standing = (placing: Placing) => {
    const here = sampled(laid, placing);
    const reached = correlation(laid.a, here);
    return { placing: { ...placing, correlation: reached }, here, cost: -reached };
  };
  const { placing } = descend(standing(start), {
    system: ({ placing, here }) => {
      const rises = FREE.map((_, k) => {
        const [there, back] = [NUDGE, -NUDGE].map((by) =>
          sampled(
            laid,
            moved(
              placing,
              FREE.map((_, q) => (q === k ? by : 0)),
            ),
          ),
        );
        for (let i = 0; i < there.length; i++) there[i] = (there[i] - back[i]) / (2 * NUDGE);
        return there;
      });
      const { normal, right } = darknessEquations(laid.a, here, rises);
      // A stretch has to earn itself.
      const earn = (normal[6][6] ? (normal[5][5] / normal[6][6]) * 0.25 : 1) / STRETCHED ** 2;
      normal[4][4] += earn;
      right[4] -= earn * Math.log(placing.stretch);
      return { normal, right };
    },
    moved: ({ placing }, step) => standing(moved(placing, step)),
    rounds: ROUNDS,
    leastGain: LEAST_GAIN,
  });
  return { ...placing, turn: ((((placing.turn + 180) % 360) + 360) % 360) - 180 };
}

/** Softness (share of the long side) over which what stands out is laid over each other: what a third of a picture has in common, a sky, a sea, is its subject's. */
const BROAD = 1 / 12;

/** Best placing of a source's layout on a piece's sheet: places to a quarter of it, sizes 0.7 to 1.4, leans to 8°; to about 0.5 % and 0.3°. */
export function registerLayouts(source: Layout, piece: Layout, freedom: Freedom = 'any'): Registration {
  const laid: Laid = { a: bandOf(source, 0, BROAD), b: bandOf(piece, 0, BROAD), source, piece };
  const small = halved(laid);
  const best = coarse(small, freedom)
    .map((start) => refined(small, finer(small, start)))
    .reduce((p, q) => (q.correlation > p.correlation ? q : p));
  return refined(laid, best);
}
