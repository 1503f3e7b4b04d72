/**
 * Knows how a bare sheet's tone changes over a picture (light that falls off, paper gone yellow toward one side): a second-order surface through
 * what is seen of it, and the picture with that change taken out, so that bare is bare everywhere.
 */
import { Rect, RgbImage } from '../raster/image';
import { relit } from '../raster/kernels/kernels';
import { fitSurface, shownAllOver, surfaceAt, SurfacePoint, surfaceTerms } from '../raster/secondOrder';
import { median } from '../raster/statistics';
import { ONE_SHEET } from './ground';
import { labFromLinear, linearFromLab } from './lab';
import { Palette } from './palette';
import { encodeTable, linearFromByte, Triple } from './srgb';

export interface SheetTone {
  /** Weights of `surfaceTerms` for the logarithm of each channel's linear light. */
  surface: [number[], number[], number[]];
  /** Least and most of those logarithms where the sheet is seen. */
  bounds: [Triple, Triple];
  /** Linear light of the sheet as it is told of. */
  sheet: Triple;
  /** Largest difference of the sheet's tone between two places where it is seen, Lab units. */
  range: number;
}

const CELLS = 12;
/** Every third px along both axes says enough. */
const STEP = 3;
/** Cells in which fewer samples are of the sheet say nothing of it. */
const LEAST_SAMPLES = 0.06;
/** The sheet is seen in so many cells, all over; else its change cannot be told from paint. */
const LEAST_CELLS = 16;
/** A smaller change (Lab units) is none: blur, noise and saving do as much. */
const LEAST_CHANGE = 3;
/** A cell that lies so far (natural logarithm of the light) off the surface is of something else. */
const OFF = 0.06;
/** The surface holds where the cells do: of those no more than this part may lie off it. */
const MOST_OFF = 0.25;

interface Cell {
  t: number[];
  y: Triple;
  u: number;
  v: number;
}

function cellsOf(form: RgbImage, { entries, labels }: Palette, ground: number): Cell[] {
  const sheet = Uint8Array.from({ length: 256 }, (_, k) =>
    entries[k] && Math.hypot(...entries[k].lab.map((c, i) => c - entries[ground].lab[i])) < ONE_SHEET ? 1 : 0,
  );
  const { width: w, height: h, data } = form;
  const out: Cell[] = [];
  for (let j = 0; j < CELLS; j++)
    for (let i = 0; i < CELLS; i++) {
      const found: [number[], number[], number[]] = [[], [], []];
      let all = 0;
      for (let y = Math.floor((j * h) / CELLS); y < Math.floor(((j + 1) * h) / CELLS); y += STEP)
        for (let x = Math.floor((i * w) / CELLS); x < Math.floor(((i + 1) * w) / CELLS); x += STEP) {
          all++;
          const at = y * w + x;
          if (sheet[labels[at]]) for (let c = 0; c < 3; c++) found[c].push(data[3 * at + c]);
        }
      if (found[0].length < Math.max(4, LEAST_SAMPLES * all)) continue;
      const [u, v] = [(i + 0.5) / CELLS, (j + 0.5) / CELLS];
      out.push({ t: surfaceTerms(u, v), y: [logLight(found[0]), logLight(found[1]), logLight(found[2])], u, v });
    }
  return out;
}

/** Largest distance between two of some colours. */
function farthestApart(labs: readonly Triple[]): number {
  let most = 0;
  for (const p of labs) for (const q of labs) most = Math.max(most, Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]));
  return most;
}

/** Natural logarithm of the linear light that bytes have in the middle. */
const logLight = (bytes: readonly number[]): number => Math.log(Math.max(1e-4, linearFromByte[Math.round(median(bytes))]));

/** How far a cell lies off a surface, at most of its channels. */
function offSurface(cell: Cell, surface: readonly number[][]): number {
  let off = 0;
  for (let c = 0; c < 3; c++) off = Math.max(off, Math.abs(cell.y[c] - surfaceAt(surface[c], cell.t)));
  return off;
}

/** The surfaces of the three channels through cells that count by their weights; null where one cannot be told. */
function surfacesThrough(cells: readonly Cell[], weights: Float64Array): number[][] | null {
  const out: number[][] = [];
  for (let c = 0; c < 3; c++) {
    const points: SurfacePoint[] = [];
    for (let k = 0; k < cells.length; k++) points.push({ t: cells[k].t, y: cells[k].y[c], w: weights[k] });
    const fit = fitSurface(points);
    if (!fit) return null;
    out.push(fit);
  }
  return out;
}

const shown = (cells: readonly Cell[]): boolean => cells.length >= LEAST_CELLS && shownAllOver(cells);

/** How the ground's tone changes over a form-size picture; null where it does not, or where too little of it is seen. */
export function sheetToneOf(form: RgbImage, palette: Palette): SheetTone | null {
  if (palette.ground === null) return null;
  const cells = cellsOf(form, palette, palette.ground);
  if (!shown(cells)) return null;
  const weights = new Float64Array(cells.length).fill(1);
  let surface: number[][] = [];
  for (let round = 0; round < 8; round++) {
    const through = surfacesThrough(cells, weights);
    if (!through) return null;
    surface = through;
    for (let k = 0; k < cells.length; k++) weights[k] = Math.exp(-((offSurface(cells[k], surface) / OFF) ** 2)) + 1e-4;
  }
  const held = cells.filter((c) => offSurface(c, surface) < OFF);
  if (held.length < (1 - MOST_OFF) * cells.length || !shown(held)) return null;
  const told = held.map(({ t }) => surface.map((f) => surfaceAt(f, t)) as Triple);
  const labs = told.map((y) => labFromLinear(Math.exp(y[0]), Math.exp(y[1]), Math.exp(y[2])));
  const range = farthestApart(labs);
  if (range < LEAST_CHANGE) return null;
  const bound = (pick: (...v: number[]) => number) => [0, 1, 2].map((c) => pick(...told.map((y) => y[c]))) as Triple;
  return {
    surface: surface as SheetTone['surface'],
    bounds: [bound(Math.min), bound(Math.max)],
    sheet: linearFromLab(palette.entries[palette.ground].lab) as Triple,
    range,
  };
}

/** Between these px of a row the change is taken as straight. */
const KNOTS = 32;

/**
 * A part of a picture `width` × `height` px large, at `rect` of it, with the change of the sheet's tone divided out: there bare sheet is of one colour.
 * Beyond where the sheet is seen it is taken to change no farther.
 */
export function evened(part: RgbImage, tone: SheetTone, [x0, y0, w, h]: Rect, width: number, height: number): RgbImage {
  const knots = Math.ceil(w / KNOTS) + 1;
  const values = new Float64Array(3 * knots * h);
  for (let y = 0, at = 0; y < h; y++)
    for (let k = 0; k < knots; k++) {
      const t = surfaceTerms((x0 + k * KNOTS) / width, (y0 + y) / height);
      for (let c = 0; c < 3; c++) {
        const light = Math.min(tone.bounds[1][c], Math.max(tone.bounds[0][c], surfaceAt(tone.surface[c], t)));
        values[at++] = tone.sheet[c] / Math.exp(light);
      }
    }
  return relit(part, { every: KNOTS, knots, values }, linearFromByte, encodeTable);
}
