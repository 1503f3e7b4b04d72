/** Knows how a picture is gone over: windows spread over it, each worked up once, and their tiles with what kind of marks each holds. */
import { evened, SheetTone } from '../colour/sheetTone';
import { cropImage, Mask, Point, Rect, RgbImage } from '../raster/image';
import { Evidence, evidenceWith, gatherEvidence, waysIn } from './evidence';
import { Belief, CROSSED, decideKind, HATCHED, isLikely, likeliest, MarkKind, ONE_WAY, SINGLE, STROKES, weighKinds } from './kinds';
import { Workup, workUp } from './workup';

const WINDOW = 384;
const TILE = 128;
const MOST_WINDOWS = 18;

export interface Window {
  rect: Rect;
  /** The part of it that belongs to no other window: where two lap over, each has half. */
  own: Rect;
}

/** Where `n` windows of one size begin that are spread evenly over a side. */
const spreadOver = (length: number, size: number, n: number): number[] =>
  Array.from({ length: n }, (_, i) => (n > 1 ? Math.round((i * (length - size)) / (n - 1)) : 0));

/** Begins of windows along one side, and where each one's own part begins and ends. */
function along(length: number): { at: number; own: [number, number] }[] {
  const n = Math.max(1, Math.ceil(length / WINDOW));
  const size = Math.min(length, WINDOW);
  const at = spreadOver(length, size, n);
  const border = (i: number) => Math.round((at[i - 1] + size + at[i]) / 2);
  return at.map((v, i) => ({ at: v, own: [i ? border(i) : 0, i + 1 < n ? border(i + 1) : length] }));
}

/** Windows that cover a mark-size picture, row by row, lying over each other so that what crosses a border is seen whole. */
export function coveringWindows(width: number, height: number): Window[] {
  const [w, h] = [Math.min(width, WINDOW), Math.min(height, WINDOW)];
  return along(height).flatMap((row) =>
    along(width).map((column): Window => ({
      rect: [column.at, row.at, w, h],
      own: [column.own[0], row.own[0], column.own[1] - column.own[0], row.own[1] - row.own[0]],
    })),
  );
}

/** Begins of windows of one size side by side along a side, at most a px over each other. */
function sideBySide(length: number): { size: number; at: number[] } {
  const n = Math.max(1, Math.round(length / WINDOW));
  const size = Math.ceil(length / n);
  return { size, at: spreadOver(length, size, n) };
}

/** Windows that cover the picture without lying over each other, so that no place counts twice; an even choice of them where it is large. */
export function chooseWindows(width: number, height: number): Rect[] {
  const [across, down] = [sideBySide(width), sideBySide(height)];
  const all = down.at.flatMap((y) => across.at.map((x): Rect => [x, y, across.size, down.size]));
  if (all.length <= MOST_WINDOWS) return all;
  // Golden-ratio steps through the list spread the choice over rows and columns alike.
  const step = Math.max(1, Math.round(all.length * 0.381966));
  const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a);
  let stride = step;
  while (gcd(stride, all.length) !== 1) stride++;
  return Array.from({ length: MOST_WINDOWS }, (_, k) => all[(k * stride) % all.length]);
}

/** One window of a mark-size picture, worked up on its own sheet. */
export function workWindow(image: RgbImage, rect: Rect, ground: readonly number[] | null, tone: SheetTone | null): Workup {
  const cut = cropImage(image, rect);
  return workUp(tone ? evened(cut, tone, rect, image.width, image.height) : cut, ground);
}

export interface TileReading {
  kind: MarkKind | null;
  confidence: number;
  belief: Belief;
  evidence: Evidence;
  /** Likelier in strokes than not; and those side by side, to be followed, crossing, or single. */
  stroked: boolean;
  hatched: boolean;
  oneWay: boolean;
  crossed: boolean;
  single: boolean;
  /** How much is done there: share under lines and fine texture. */
  detail: number;
  /** Worked area, px²: the whole tile unless it is bare. */
  area: number;
  centre: [number, number];
  /** Where it lies in the whole picture, px. */
  rect: Rect;
}

export const wholeOf = ({ width, height }: Workup): Rect => [0, 0, width, height];

/** A tile of which more than this is left out is not read. */
const MOST_LEFT_OUT = 0.2;

function shareIn({ width, data }: Mask, [x0, y0, w, h]: Rect): number {
  let n = 0;
  for (let y = y0; y < y0 + h; y++) for (let i = y * width + x0, end = i + w; i < end; i++) n += data[i];
  return n / (w * h);
}

/** What a tile's belief says of it. */
function told(
  belief: Belief,
): Pick<TileReading, 'kind' | 'confidence' | 'belief' | 'stroked' | 'hatched' | 'oneWay' | 'crossed' | 'single'> {
  return {
    ...decideKind(belief),
    belief,
    stroked: isLikely(belief, STROKES),
    hatched: isLikely(belief, HATCHED),
    oneWay: isLikely(belief, ONE_WAY),
    crossed: isLikely(belief, CROSSED),
    single: isLikely(belief, SINGLE),
  };
}

export function tilesOf(work: Workup, [ox, oy]: Rect, width: number, height: number, leftOut: Mask | null): TileReading[] {
  const [nx, ny] = [work.width, work.height].map((v) => Math.max(1, Math.round(v / TILE)));
  const rects: Rect[] = [];
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const x = Math.floor((i * work.width) / nx);
      const y = Math.floor((j * work.height) / ny);
      const rect: Rect = [x, y, Math.floor(((i + 1) * work.width) / nx) - x, Math.floor(((j + 1) * work.height) / ny) - y];
      if (!leftOut || shareIn(leftOut, [ox + x, oy + y, rect[2], rect[3]]) <= MOST_LEFT_OUT) rects.push(rect);
    }
  return gatherEvidence(work, rects).map((evidence, k): TileReading => {
    const [x, y, w, h] = rects[k];
    const belief = weighKinds(evidence);
    return {
      ...told(belief),
      evidence,
      detail: evidence.lineCoverage + evidence.grain / 20,
      area: likeliest(belief) === 'blank' ? 0 : w * h,
      rect: [ox + x, oy + y, w, h],
      centre: [(ox + x + w / 2) / width, (oy + y + h / 2) / height],
    };
  });
}

/** Strokes wider apart than this part of a tile are too few in it to be seen as hatching. */
const WIDE = 0.15;

/** Hatching too wide for a tile, where it looks like single lines, is read over the whole window. */
export function widened(work: Workup, tiles: TileReading[]): TileReading[] {
  const lines = tiles.filter((t) => t.single).length;
  if (lines < 0.4 * tiles.filter((t) => t.area).length || !lines) return tiles;
  const ways = waysIn(work, wholeOf(work));
  if (!ways.spacing || ways.spacing.px < WIDE * TILE) return tiles;
  const whole = evidenceWith(work, wholeOf(work), ways);
  const wide = told(weighKinds(whole));
  if (!wide.hatched || !whole.spacing) return tiles;
  return tiles.map((t) => (t.single ? { ...t, ...wide, evidence: { ...t.evidence, spacing: whole.spacing } } : t));
}

/** Where a window's tiles lie, for finding which of them a point of it lies in. */
export interface TilePlaces<T = TileReading> {
  tiles: readonly T[];
  /** Their centres, px of the window, one after another; and the picture's size, squared. */
  centres: Float64Array;
  wide: number;
  high: number;
}

export const tilePlaces = <T extends Pick<TileReading, 'centre'>>(
  tiles: readonly T[],
  [ox, oy]: Rect,
  width: number,
  height: number,
): TilePlaces<T> => ({
  tiles,
  centres: Float64Array.from(tiles.flatMap(({ centre: [u, v] }) => [u * width - ox, v * height - oy])),
  wide: width ** 2,
  high: height ** 2,
});

/** The tile a point of the window lies in, or is nearest to. */
export function tileAt<T>({ tiles, centres, wide, high }: TilePlaces<T>, at: Point): T {
  let near = 0;
  let least = Infinity;
  for (let k = 0; k < tiles.length; k++) {
    const du = centres[2 * k] - at[0];
    const dv = centres[2 * k + 1] - at[1];
    const far = (du * du) / wide + (dv * dv) / high;
    if (far >= least) continue;
    least = far;
    near = k;
  }
  return tiles[near];
}
