/** Knows a sheet of parts to choose and combine from: parts of the works cleaned to line or value, each in a box with its name, and boxes for one's own. */
import { CoreError } from '../errors';
import { message, Message, Typed } from '../message';
import type { Point } from '../raster/image';
import { PaperMark, PaperSheet, rectangle, text } from './paper';

export interface PartChoice {
  /** Names its picture among those of the sheet. */
  key: string;
  said: Message | Typed;
  /** Width over height. */
  ratio: number;
}

export interface PartsWishes {
  columns: number;
  /** Empty boxes for drawings of one's own. */
  empty: number;
}

const MOST_PARTS = 60;
const [MARGIN, GAP, LABEL, TOP] = [15, 5, 6, 18];

/** Pages of boxes, in reading order; `page` in mm. */
export function partsSheet(
  parts: readonly PartChoice[],
  { columns, empty }: PartsWishes,
  page: readonly [number, number],
  title: Message,
): PaperSheet[] {
  if (!Number.isInteger(columns) || columns < 1 || columns > 6) throw new CoreError('parts.columns', { low: 1, high: 6 });
  if (!Number.isInteger(empty) || empty < 0 || empty > MOST_PARTS) throw new CoreError('parts.empty', { high: MOST_PARTS });
  if (!parts.length && !empty) throw new CoreError('parts.none');
  if (parts.length > MOST_PARTS) throw new CoreError('parts.many', { n: MOST_PARTS });
  const wide = (page[0] - 2 * MARGIN - GAP * (columns - 1)) / columns;
  const rows = Math.max(1, Math.floor((page[1] - TOP - MARGIN) / (wide + LABEL + GAP)));
  const high = Math.min(wide, (page[1] - TOP - MARGIN) / rows - LABEL - GAP);
  const all: (PartChoice | null)[] = [...parts, ...Array.from({ length: empty }, () => null)];
  const perPage = rows * columns;
  return Array.from({ length: Math.ceil(all.length / perPage) }, (_, n) => ({
    size: page,
    title,
    marks: all.slice(n * perPage, (n + 1) * perPage).flatMap((part, i): PaperMark[] => {
      const x = MARGIN + (i % columns) * (wide + GAP);
      const y = TOP + Math.floor(i / columns) * (high + LABEL + GAP);
      const frame = rectangle(x, y, wide, high, 0.2, 'pale');
      const middle: Point = [x + wide / 2, y + high + LABEL / 2];
      if (!part) return [{ ...frame, dash: 2 }, text(middle, message('partsSheet.own'), { size: 2.6, anchor: 'middle', ink: 'plain' })];
      const [w, h] = part.ratio > wide / high ? [wide - 4, (wide - 4) / part.ratio] : [(high - 4) * part.ratio, high - 4];
      return [
        { kind: 'picture', of: part.key, box: [x + (wide - w) / 2, y + (high - h) / 2, w, h] },
        frame,
        text(middle, part.said, { size: 2.8, anchor: 'middle' }),
      ];
    }),
  }));
}
