/** Knows a sheet worked in dry, wet and rubbed media: coverage is drawn as a stencil, then set down with the medium's tooth, rims and softness. */
import { byteFromLinear, encodedFromHex, linearFromEncoded, Triple } from '../core/colour/srgb';
import { gaussian } from '../core/raster/filters';
import { Plane, plane, RgbImage } from '../core/raster/image';
import { normal, Random, seededRandom } from '../core/raster/statistics';
import { P } from './sheet';

/** Band-limited noise of standard deviation 1; px. */
export function noiseField(width: number, height: number, sigma: number, r: Random): Plane {
  const raw = plane(width, height);
  for (let i = 0; i < raw.data.length; i++) raw.data[i] = normal(r);
  const soft = gaussian(raw, sigma);
  let sum = 0;
  for (let i = 0; i < soft.data.length; i++) sum += soft.data[i] ** 2;
  const k = 1 / Math.sqrt(sum / soft.data.length);
  for (let i = 0; i < soft.data.length; i++) soft.data[i] *= k;
  return soft;
}

/** Lays a line of round points over the plane, keeping the larger coverage; `widths` from its beginning to its end, px. */
export function layStroke(to: Plane, points: readonly P[], widths: readonly number[]): void {
  for (let k = 1; k < points.length; k++) {
    const [[ax, ay], [bx, by]] = [points[k - 1], points[k]];
    const [lx, ly] = [bx - ax, by - ay];
    const long = lx * lx + ly * ly || 1e-9;
    const [wa, wb] = [widths[k - 1], widths[k]];
    const reach = Math.max(wa, wb) / 2 + 1;
    for (let y = Math.max(0, Math.floor(Math.min(ay, by) - reach)); y <= Math.min(to.height - 1, Math.ceil(Math.max(ay, by) + reach)); y++)
      for (
        let x = Math.max(0, Math.floor(Math.min(ax, bx) - reach));
        x <= Math.min(to.width - 1, Math.ceil(Math.max(ax, bx) + reach));
        x++
      ) {
        const t = Math.min(1, Math.max(0, ((x - ax) * lx + (y - ay) * ly) / long));
        const w = wa + (wb - wa) * t;
        const cover = Math.min(1, w, Math.max(0, w / 2 + 0.5 - Math.sqrt((x - ax - t * lx) ** 2 + (y - ay - t * ly) ** 2)));
        const i = y * to.width + x;
        if (cover > to.data[i]) to.data[i] = cover;
      }
  }
}

/** Widths along a stroke: thin, swelling, thin again. */
export const swelling = (width: number, swell: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => width * (1 - swell / 2 + swell * Math.sin((Math.PI * i) / (count - 1))));

const linearFromHex = (hex: string): Triple => encodedFromHex(hex).map(linearFromEncoded) as Triple;

const SUBLINES = 4;

/** Fills a polygon (even-odd) into the plane, keeping the larger coverage; points in px, rims smoothed. */
function fillPolygon(to: Plane, points: readonly P[]): void {
  const row = new Float32Array(to.width + 1);
  const top = Math.max(0, Math.floor(Math.min(...points.map((p) => p[1]))));
  const bottom = Math.min(to.height - 1, Math.ceil(Math.max(...points.map((p) => p[1]))));
  for (let y = top; y <= bottom; y++) {
    row.fill(0);
    for (let s = 0; s < SUBLINES; s++) {
      const at = y + (s + 0.5) / SUBLINES;
      const cuts: number[] = [];
      for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
        const [a, b] = [points[j], points[i]];
        if (a[1] > at !== b[1] > at) cuts.push(a[0] + ((at - a[1]) / (b[1] - a[1])) * (b[0] - a[0]));
      }
      cuts.sort((a, b) => a - b);
      for (let k = 0; k + 1 < cuts.length; k += 2) {
        const [from, end] = [Math.max(0, cuts[k]), Math.min(to.width, cuts[k + 1])];
        for (let x = Math.floor(from); x < end; x++) row[x] += (Math.min(end, x + 1) - Math.max(from, x)) / SUBLINES;
      }
    }
    for (let x = 0; x < to.width; x++) to.data[y * to.width + x] = Math.max(to.data[y * to.width + x], row[x]);
  }
}

/** How a colour is set down. */
export interface Medium {
  /** Most of the sheet it hides, 0–1. */
  opacity?: number;
  /** How far the paper's tooth breaks it: 0 fills every hollow, 1 touches only the tops. */
  tooth?: number;
  /** Softness of its rims in mm (standard deviation). */
  soft?: number;
  /** Pigment settling into grains, 0–1 of the opacity. */
  grain?: number;
}

export interface LaidColour {
  hex: string;
  /** Share of the sheet on which it is the last colour that hides at least half. */
  share: number;
}

/** Coverage 0–1 of the sheet, and the rows (from, up to) beyond which it is empty. */
export interface Stencil extends Plane {
  top: number;
  bottom: number;
}

export class Easel {
  readonly random: Random;
  readonly width: number;
  readonly height: number;
  private readonly light: [Float32Array, Float32Array, Float32Array];
  private readonly toothField: Plane;
  private readonly last: Uint8Array;
  private readonly colours: string[];

  /** An empty sheet of a size in mm at so many px per mm; `toothMm` is how coarse its grain is. */
  constructor(
    readonly widthMm: number,
    readonly heightMm: number,
    readonly pxPerMm: number,
    readonly ground: string,
    seed: number,
    toothMm = 0.3,
  ) {
    this.random = seededRandom(seed * 2246822519 + 11);
    this.width = Math.round(widthMm * pxPerMm);
    this.height = Math.round(heightMm * pxPerMm);
    const [r, g, b] = linearFromHex(ground);
    this.light = [r, g, b].map((v) => new Float32Array(this.width * this.height).fill(v)) as typeof this.light;
    this.toothField = noiseField(this.width, this.height, Math.max(0.7, toothMm * pxPerMm), seededRandom(seed + 977));
    this.last = new Uint8Array(this.width * this.height);
    this.colours = [ground];
  }

  stencil(): Stencil {
    return { ...plane(this.width, this.height), top: this.height, bottom: 0 };
  }

  /** Coverage of polygons given in mm. */
  field(points: readonly P[]): Stencil {
    const out = this.stencil();
    const px = points.map(([x, y]): P => [x * this.pxPerMm, y * this.pxPerMm]);
    fillPolygon(out, px);
    this.reach(out, px, 1);
    return out;
  }

  /** Adds a stroke in mm to a stencil. */
  stroke(to: Stencil, points: readonly P[], width: number, swell = 0): void {
    const k = this.pxPerMm;
    const px = points.map(([x, y]): P => [x * k, y * k]);
    layStroke(to, px, swelling(width * k, swell, points.length));
    this.reach(to, px, width * k + 2);
  }

  /** Sets a colour down through a stencil. */
  put(cover: Stencil, hex: string, { opacity = 1, tooth = 0, soft = 0, grain = 0 }: Medium = {}): void {
    const shape = this.softened(cover, soft);
    const colour = linearFromHex(hex);
    const label = this.labelOf(hex);
    const teeth = this.toothField.data;
    for (let i = shape.top * this.width; i < shape.bottom * this.width; i++) {
      if (shape.data[i] < 0.002) continue;
      const bite = tooth > 0 ? Math.min(1, Math.max(0, 0.5 + (2.2 - 3.4 * tooth - teeth[i]) / 0.9)) : 1;
      this.hide(i, Math.min(1, shape.data[i] * opacity * bite * Math.max(0, 1 + grain * teeth[i])), colour, label);
    }
  }

  /**
   * A wash: transparent colour that filters what lies below (Beer and Lambert), pooled in a darker rim `rimMm` wide and
   * settled in grains. `hex` is the colour it gives over white at strength 1.
   */
  wash(cover: Stencil, hex: string, strength: number, { rimMm = 0.6, rim = 0.7, grain = 0.08 } = {}): void {
    const inner = this.softened(cover, rimMm);
    const colour = linearFromHex(hex).map((v) => -Math.log(Math.max(0.004, v)));
    const label = this.labelOf(hex);
    const teeth = this.toothField.data;
    for (let i = cover.top * this.width; i < cover.bottom * this.width; i++) {
      const c = cover.data[i];
      if (c < 0.002) continue;
      // Water carries pigment to where it dries last: just inside a hard rim.
      const pooled = 2 * Math.max(0, 1 - inner.data[i]) * c;
      const depth = c * strength * (1 + rim * pooled) * Math.max(0, 1 + grain * teeth[i]);
      for (let k = 0; k < 3; k++) this.light[k][i] *= Math.exp(-colour[k] * depth);
      if (depth > 0.25) this.last[i] = label;
    }
  }

  /** Rubs what lies under the stencil with a soft cloth or finger of this breadth in mm. */
  smudge(cover: Stencil, mm: number): void {
    const soft = this.softened(cover, 1.5);
    for (let k = 0; k < 3; k++) {
      const blurred = gaussian({ width: this.width, height: this.height, data: this.light[k] }, mm * this.pxPerMm);
      for (let i = 0; i < soft.data.length; i++) this.light[k][i] += soft.data[i] * (blurred.data[i] - this.light[k][i]);
    }
  }

  /** Lifts part of the dust with a rubber: back toward the sheet by `amount`, 0–1. */
  lift(cover: Stencil, amount: number, soft: number): void {
    this.put(cover, this.ground, { opacity: amount, soft });
  }

  /** The sheet as it dries: paper fibre of `fibre` counts, and how much of it shows which colour. */
  finish(fibre = 2): { image: RgbImage; colours: LaidColour[] } {
    const n = this.width * this.height;
    const paper = noiseField(this.width, this.height, 0.9, this.random);
    const data = new Uint8Array(3 * n);
    const counts = this.colours.map(() => 0);
    for (let i = 0; i < n; i++) {
      counts[this.last[i]]++;
      const shade = fibre * paper.data[i];
      for (let c = 0; c < 3; c++) data[3 * i + c] = Math.min(255, Math.max(0, Math.round(byteFromLinear(this.light[c][i]) + shade)));
    }
    const colours = this.colours.map((hex, k) => ({ hex, share: counts[k] / n })).filter((c) => c.share > 0);
    return { image: { width: this.width, height: this.height, data }, colours };
  }

  private reach(to: Stencil, points: readonly P[], margin: number): void {
    for (const [, y] of points) {
      to.top = Math.max(0, Math.min(to.top, Math.floor(y - margin)));
      to.bottom = Math.min(this.height, Math.max(to.bottom, Math.ceil(y + margin) + 1));
    }
  }

  /** The stencil with rims softened by so many mm; only its own rows are worked on. */
  private softened(cover: Stencil, mm: number): Stencil {
    if (!(mm > 0)) return cover;
    const margin = Math.ceil(4 * mm * this.pxPerMm);
    const top = Math.max(0, cover.top - margin);
    const bottom = Math.min(this.height, cover.bottom + margin);
    const out = { ...this.stencil(), top, bottom };
    if (bottom <= top) return out;
    const rows = { width: this.width, height: bottom - top, data: cover.data.subarray(top * this.width, bottom * this.width) };
    out.data.set(gaussian(rows, mm * this.pxPerMm).data, top * this.width);
    return out;
  }

  private labelOf(hex: string): number {
    const at = this.colours.indexOf(hex);
    if (at >= 0) return at;
    this.colours.push(hex);
    return this.colours.length - 1;
  }

  private hide(i: number, alpha: number, colour: Triple, label: number): void {
    for (let k = 0; k < 3; k++) this.light[k][i] += alpha * (colour[k] - this.light[k][i]);
    if (alpha > 0.5) this.last[i] = label;
  }
}
