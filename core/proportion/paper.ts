/** Knows what is drawn on a sheet of paper before it is drawn on any: lines, crosses, words and pictures at their places in mm. */
import type { Message, Typed } from '../message';
import type { Point } from '../raster/image';

export type Ink = 'strong' | 'plain' | 'pale';

/** A closed line can be filled with a grey of a lightness, L* 0–100. */
export type PaperMark =
  | { kind: 'line'; points: readonly Point[]; width: number; ink: Ink; dash?: number; closed?: boolean; fill?: number }
  /** Words whose first line has its middle height at `at`; broken at `width`. */
  | {
      kind: 'text';
      at: Point;
      said: Message | Typed;
      size: number;
      ink?: Ink;
      anchor?: 'start' | 'middle' | 'end';
      strong?: boolean;
      width?: number;
    }
  /** A picture by its name (the source, what it was cleaned to, a part), laid into a box; drawn paler where it is drawn over. */
  | {
      kind: 'picture';
      of: string;
      box: readonly [x: number, y: number, w: number, h: number];
      pale?: boolean;
      clip?: readonly [x: number, y: number, w: number, h: number];
    };

type Line = Extract<PaperMark, { kind: 'line' }>;
type Words = Extract<PaperMark, { kind: 'text' }>;

/** Widths of lines and the usual height of words, mm. */
export const [FINE, PLAIN, BOLD] = [0.15, 0.25, 0.5];
const WORDS = 3;

export const line = (points: readonly Point[], width = PLAIN, ink: Ink = 'plain', dash?: number): Line => ({
  kind: 'line',
  points,
  width,
  ink,
  dash,
});
/** A line back to its beginning. */
export const outlined = (points: readonly Point[], width = PLAIN, ink: Ink = 'plain'): Line => ({
  ...line(points, width, ink),
  closed: true,
});

export const rectangle = (x: number, y: number, w: number, h: number, width = PLAIN, ink: Ink = 'plain'): Line =>
  outlined(
    [
      [x, y],
      [x + w, y],
      [x + w, y + h],
      [x, y + h],
    ],
    width,
    ink,
  );

export const text = (at: Point, said: Message | Typed, more: Partial<Omit<Words, 'kind' | 'at' | 'said'>> = {}): Words => ({
  kind: 'text',
  at,
  said,
  size: WORDS,
  ...more,
});

/** A sheet at true scale, mm. */
export interface PaperSheet {
  size: readonly [number, number];
  marks: readonly PaperMark[];
  /** What it is, over its head; none for a sheet that is drawn on to its edges. */
  title: Message;
}

/** Printers leave so much of a page's rim white, and where sheets are joined they lie over each other by so much; mm. */
export const [RIM, OVERLAP] = [8, 12];
/** Room at a tile's foot for its name and the bar that shows the scale. */
const FOOT = 11;

export interface Tile {
  column: number;
  row: number;
  /** The part of the sheet that is printed here, mm of the sheet. */
  part: readonly [x: number, y: number, w: number, h: number];
}

/** The pages of a printer that a sheet is put together from; one with the whole sheet where it fits. `page` in mm. */
export function tilesOf(
  sheet: readonly [number, number],
  page: readonly [number, number],
): { columns: number; rows: number; tiles: Tile[]; turned: boolean } {
  const fits = ([w, h]: readonly [number, number]) => sheet[0] <= w + 0.5 && sheet[1] <= h + 0.5;
  const other: [number, number] = [page[1], page[0]];
  if (fits(page) || fits(other))
    return { columns: 1, rows: 1, tiles: [{ column: 0, row: 0, part: [0, 0, sheet[0], sheet[1]] }], turned: !fits(page) };
  const cut = ([w, h]: readonly [number, number]) => {
    const [wide, high] = [w - 2 * RIM, h - 2 * RIM - FOOT];
    const number = (whole: number, part: number) => Math.max(1, Math.ceil((whole - OVERLAP) / (part - OVERLAP) - 1e-9));
    return { wide, high, columns: number(sheet[0], wide), rows: number(sheet[1], high) };
  };
  const [straight, turned] = [cut(page), cut(other)];
  const use = turned.columns * turned.rows < straight.columns * straight.rows ? turned : straight;
  const tiles = Array.from({ length: use.rows * use.columns }, (_, k): Tile => {
    const [column, row] = [k % use.columns, Math.floor(k / use.columns)];
    const [x, y] = [column * (use.wide - OVERLAP), row * (use.high - OVERLAP)];
    return { column, row, part: [x, y, Math.min(use.wide, sheet[0] - x), Math.min(use.high, sheet[1] - y)] };
  });
  return { columns: use.columns, rows: use.rows, tiles, turned: use === turned };
}
