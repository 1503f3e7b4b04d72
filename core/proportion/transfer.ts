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
  /** Cell of the folded sheet, from 1 at the top left, and the share of the way across and down it; one off the sheet is in the cell at its edge. */
  fold: { column: number; row: number; across: number; down: number };
}

/** A source point (0–1 across and down) as it falls on the sheet; `columns` squares across the placed source, the sheet folded so often each way. */
export function transferPoint(p: Placing, [u, v]: Point, columns: number, folds = 2): Transferred {
  const left = p.left + u * p.width;
  const top = p.top + v * p.height;
  const side = p.width / columns;
  const cell = (along: number, size: number) => {
    const at = along / size;
    const n = Math.floor(at);
    return { n: n + 1, part: at - n };
  };
  const [c, r] = [cell(u * p.width, side), cell(v * p.height, side)];
  const fold = (along: number, whole: number) => {
    const at = (2 ** folds * along) / whole;
    const n = Math.min(2 ** folds - 1, Math.max(0, Math.floor(at)));
    return { n: n + 1, part: at - n };
  };
  const [fc, fr] = [fold(left, p.sheet[0]), fold(top, p.sheet[1])];
  return {
    left,
    top,
    right: p.sheet[0] - left,
    bottom: p.sheet[1] - top,
    fromMiddle: [left - p.sheet[0] / 2, top - p.sheet[1] / 2],
    square: { column: c.n, row: r.n, across: c.part, down: r.part },
    fold: { column: fc.n, row: fr.n, across: fc.part, down: fr.part },
  };
}
