/** Knows where the picture proper lies in its file: without a mount, scan border or table round it, never without its own bare margin. */
import { labPlanes, LabPlanes } from '../colour/lab';
import { Plane, Rect, RgbImage } from '../raster/image';
import { reduceToLongSide } from '../raster/resample';
import { median, quantile } from '../raster/statistics';

const LOOKED_AT = 640;
/** Borders within one another: a mount on a table in a scan. */
const MOST_BORDERS = 3;
/** Part of the short side that is looked at first, from the edge. */
const RING = 0.012;
/** A border's pixels lie within so many of its own spreads of its colour, and no spread is taken for less than this (Lab units). */
const [WITHIN, LEAST_SPREAD] = [3.5, 1.6];
/** A ring less even than this is no border but picture. */
const MOST_SPREAD = 9;
/** Share of a line across that belongs to the border while it is border, and while it is picture. */
const [BORDER, PICTURE] = [0.97, 0.55];
/** The side between them is straight: it falls within this part of the long side. */
const STEP = 0.012;
/** Where more of what lies inside is of the border's colour, the border is the picture's own bare sheet. */
const MET_INSIDE = 0.03;
/** Lines that two borders share. */
const MIXED = 2;
/** A frame that leaves less than this of either side is none. */
const LEAST_LEFT = 0.3;

type Side = 'top' | 'right' | 'bottom' | 'left';
const SIDES: readonly Side[] = ['top', 'right', 'bottom', 'left'];

interface Border {
  lab: readonly [number, number, number];
  spread: readonly [number, number, number];
}

interface Within {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

/** Indices of a line of pixels `depth` px inside one side. */
function lineOf({ x0, y0, x1, y1 }: Within, width: number, side: Side, depth: number): Line {
  switch (side) {
    case 'top':
      return [(y0 + depth) * width + x0, 1, x1 - x0];
    case 'bottom':
      return [(y1 - 1 - depth) * width + x0, 1, x1 - x0];
    case 'left':
      return [y0 * width + x0 + depth, width, y1 - y0];
    case 'right':
      return [y0 * width + x1 - 1 - depth, width, y1 - y0];
  }
}

/** Colour of the outermost ring on the given sides; null where it is no one even colour. */
function ringOf({ L, a, b }: LabPlanes, within: Within, sides: readonly Side[]): Border | null {
  const deep = Math.max(2, Math.round(RING * Math.min(within.x1 - within.x0, within.y1 - within.y0)));
  const lines = sides.flatMap((side) => Array.from({ length: deep }, (_, d) => lineOf(within, L.width, side, d)));
  const [l, m, n] = [evenness(L, lines), evenness(a, lines), evenness(b, lines)];
  return Math.max(l.spread, m.spread, n.spread) > MOST_SPREAD
    ? null
    : { lab: [l.middle, m.middle, n.middle], spread: [l.spread, m.spread, n.spread] };
}

type Line = readonly [first: number, step: number, count: number];

/** Middle and spread of every second px of some lines; the spread is that of the quartiles: a corner or a hair in the ring does not widen it. */
function evenness({ data }: Plane, lines: readonly Line[]): { middle: number; spread: number } {
  let many = 0;
  for (const line of lines) many += Math.ceil(line[2] / 2);
  const own = new Float64Array(many);
  let n = 0;
  for (const [first, step, count] of lines) for (let k = 0, i = first; k < count; k += 2, i += 2 * step) own[n++] = data[i];
  return { middle: median(own), spread: Math.max(LEAST_SPREAD, (quantile(own, 0.75) - quantile(own, 0.25)) / 1.349) };
}

function belongs({ lab, spread }: Border, { L, a, b }: LabPlanes, i: number): boolean {
  const [l, m, n] = [(L.data[i] - lab[0]) / spread[0], (a.data[i] - lab[1]) / spread[1], (b.data[i] - lab[2]) / spread[2]];
  return l * l + m * m + n * n <= WITHIN * WITHIN;
}

function shareOf(border: Border, lab: LabPlanes, [first, step, count]: Line): number {
  let n = 0;
  for (let k = 0, i = first; k < count; k++, i += step) if (belongs(border, lab, i)) n++;
  return n / count;
}

/** Depth of the border on one side, px; 0 for none, null where it ends in anything but a straight side. */
function depthOf(border: Border, lab: LabPlanes, within: Within, side: Side): number | null {
  const across = side === 'top' || side === 'bottom' ? within.y1 - within.y0 : within.x1 - within.x0;
  const most = Math.floor(across * (1 - LEAST_LEFT));
  const step = Math.max(2, Math.round(STEP * Math.max(lab.L.width, lab.L.height)));
  let depth = 0;
  while (depth < most && shareOf(border, lab, lineOf(within, lab.L.width, side, depth)) >= BORDER) depth++;
  if (depth === 0 || depth >= most) return depth === 0 ? 0 : null;
  for (let d = depth; d <= depth + step; d++) if (shareOf(border, lab, lineOf(within, lab.L.width, side, d)) <= PICTURE) return d;
  return null;
}

function allBelong(border: Border, lab: LabPlanes, i: number, offsets: readonly number[]): boolean {
  for (const o of offsets) if (!belongs(border, lab, i + o)) return false;
  return true;
}

/** Share of what lies inside that is evenly of the border's colour: a grey between strokes is not, a bare sheet is. */
function metInside(border: Border, lab: LabPlanes, { x0, y0, x1, y1 }: Within): number {
  const w = lab.L.width;
  const round = [0, -2, 2, -2 * w, 2 * w, -2 * w - 2, -2 * w + 2, 2 * w - 2, 2 * w + 2];
  let met = 0;
  for (let y = y0 + 2; y < y1 - 2; y++)
    for (let i = y * w + x0 + 2, end = y * w + x1 - 2; i < end; i++) if (allBelong(border, lab, i, round)) met++;
  return met / ((x1 - x0) * (y1 - y0));
}

const isScanner = ([L, a, b]: readonly [number, number, number]): boolean => (L > 95 || L < 8) && Math.hypot(a, b) < 5;

const inset = ({ x0, y0, x1, y1 }: Within, by: number): Within => ({ x0: x0 + by, y0: y0 + by, x1: x1 - by, y1: y1 - by });

/** What is left inside one border; null where there is none. */
function inside(lab: LabPlanes, within: Within): Within | null {
  const round = (sides: readonly Side[]): Within | null => {
    const border = ringOf(lab, within, sides);
    if (!border) return null;
    if (sides.length < 4 && !isScanner(border.lab)) return null;
    const depths = sides.map((side) => depthOf(border, lab, within, side));
    if (depths.some((d) => !d)) return null;
    const by = (side: Side): number => depths[sides.indexOf(side)] ?? 0;
    const left = { x0: within.x0 + by('left'), y0: within.y0 + by('top'), x1: within.x1 - by('right'), y1: within.y1 - by('bottom') };
    if (left.x1 - left.x0 < LEAST_LEFT * (within.x1 - within.x0) || left.y1 - left.y0 < LEAST_LEFT * (within.y1 - within.y0)) return null;
    return metInside(border, lab, left) > MET_INSIDE ? null : left;
  };
  // A mount goes all round; a sheet in a scanner's corner has a border of pure white or black on two sides or three.
  const some: Side[][] = [[...SIDES], ...SIDES.map((s) => SIDES.filter((o) => o !== s)), ...SIDES.map((s, i) => [s, SIDES[(i + 1) % 4]])];
  for (const sides of some) {
    const left = round(sides);
    if (left) return left;
  }
  return null;
}

/**
 * The picture proper as a rectangle of the file's own px: all of it less an even border (mount, scan border, plain table)
 * that ends in a straight side and whose colour is hardly met inside. A drawing's own bare margin is of the sheet's colour,
 * which is met inside, and stays. The whole file where nothing is sure. `reduced` is the same picture, made smaller already.
 */
export function frameOf(image: RgbImage, reduced: RgbImage = image): Rect {
  const small = reduceToLongSide(reduced, LOOKED_AT);
  const lab = labPlanes(small);
  let within: Within = { x0: 0, y0: 0, x1: small.width, y1: small.height };
  for (let k = 0; k < MOST_BORDERS; k++) {
    // Where one border ends the next begins with a mixed line or two.
    const left = inside(lab, k ? inset(within, MIXED) : within);
    if (!left) break;
    within = left;
  }
  const [fx, fy] = [image.width / small.width, image.height / small.height];
  // A pixel more where a border was: its side may run through the middle of a small pixel.
  const x0 = within.x0 ? Math.min(image.width - 2, Math.ceil((within.x0 + 0.5) * fx)) : 0;
  const y0 = within.y0 ? Math.min(image.height - 2, Math.ceil((within.y0 + 0.5) * fy)) : 0;
  const x1 = within.x1 < small.width ? Math.max(x0 + 1, Math.floor((within.x1 - 0.5) * fx)) : image.width;
  const y1 = within.y1 < small.height ? Math.max(y0 + 1, Math.floor((within.y1 - 0.5) * fy)) : image.height;
  return [x0, y0, x1 - x0, y1 - y0];
}
