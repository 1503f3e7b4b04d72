/** Knows how proportions are carried from a source to a sheet: one placing, and the same point told in mm, by grid and by folds. */
import { CoreError } from '../errors';
import { Point } from '../raster/image';

export interface Placing {
  /** Where the source's rectangle falls on the sheet, mm from its top left. */
  left: number;
  top: number;
  width: number;
  height: number;
  sheet: readonly [number, number];
}

export type Fit = 'fit' | 'fill' | 'stretch';

/** Places a source of any unit on a sheet in mm with a margin on all sides; throws where the margin eats the sheet. */
export function placeOnSheet(source: readonly [number, number], sheet: readonly [number, number], fit: Fit, margin: number): Placing {
  const [w, h] = [sheet[0] - 2 * margin, sheet[1] - 2 * margin];
  if (!(w > 0 && h > 0)) throw new CoreError('margin');
  if (fit === 'stretch') return { left: margin, top: margin, width: w, height: h, sheet };
  const scale = (fit === 'fit' ? Math.min : Math.max)(w / source[0], h / source[1]);
  const [width, height] = [source[0] * scale, source[1] * scale];
  return { left: (sheet[0] - width) / 2, top: (sheet[1] - height) / 2, width, height, sheet };
}

export interface Transferred {
  /** mm from the sheet's left, top, right and bottom edge. */
  left: number;
  top: number;
  right: number;
  bottom: number;
  /** mm from the upright and the level middle line; right and down are positive. */
  fromMiddle: Point;
  /** Square of the grid, counted from 1 at the top left of the placed source, and the share of the way across and down it. */
  square: { column: number; row: number; across: number; down: number };
  /** Cell of the sheet folded twice each way, from 1 at the top left. */
  fold: { column: number; row: number };
}

/** A source point (0–1 across and down) as it falls on the sheet; `columns` squares across the placed source. */
export function transferPoint(p: Placing, [u, v]: Point, columns: number): Transferred {
  const left = p.left + u * p.width;
  const top = p.top + v * p.height;
  const side = p.width / columns;
  const cell = (along: number, size: number) => {
    const at = along / size;
    const n = Math.floor(at);
    return { n: n + 1, part: at - n };
  };
  const [c, r] = [cell(u * p.width, side), cell(v * p.height, side)];
  const fold = (along: number, whole: number) => Math.min(4, Math.max(1, Math.floor((4 * along) / whole) + 1));
  return {
    left,
    top,
    right: p.sheet[0] - left,
    bottom: p.sheet[1] - top,
    fromMiddle: [left - p.sheet[0] / 2, top - p.sheet[1] / 2],
    square: { column: c.n, row: r.n, across: c.part, down: r.part },
    fold: { column: fold(left, p.sheet[0]), row: fold(top, p.sheet[1]) },
  };
}
