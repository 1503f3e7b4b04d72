/** Knows how a picture is built up from its shapes, one a step: what each is and where it stands, in words a class can follow with a sheet and its hands. */
import { amount, Message, message, Several, several, typed } from '../message';
import type { BodyRulers } from './bodyRulers';
import { laidOff } from './bodyRulers';
import { stepsSign } from './spans';
import { drawn, Meeting, Order, ReadShape } from './shapeList';
import type { Point } from '../raster/image';
import type { Placing } from './transfer';

/** Shares of a sheet that are found by folding and by eye. */
const SHARES: readonly (readonly [share: number, sign: string])[] = [
  [1 / 8, '⅛'],
  [1 / 6, '⅙'],
  [1 / 5, '⅕'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [2 / 5, '⅖'],
  [1 / 2, '½'],
  [3 / 5, '⅗'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [4 / 5, '⅘'],
  [7 / 8, '⅞'],
];
const [LEAST_SHARE, WHOLE_SHARE] = [0.1, 0.94];

/** A share of a sheet as it is folded or guessed: "⅓", "less than ⅛", "the whole". */
export function simpleShare(v: number): Message {
  if (v < LEAST_SHARE) return message('build.share.less', { share: typed('⅛') });
  if (v > WHOLE_SHARE) return message('build.share.whole');
  const [, sign] = SHARES.reduce((a, b) => (Math.abs(b[0] - v) < Math.abs(a[0] - v) ? b : a));
  return message('build.share.about', { share: typed(sign) });
}

/** A length laid off with the body: "2 ½ fingers". */
function sayLaid(mm: number, rulers: BodyRulers): Message | null {
  const laid = laidOff(mm, rulers);
  return (
    laid &&
    message('build.laid', {
      n: typed(stepsSign(laid.steps)),
      many: laid.steps.whole + (laid.steps.part ? 1 : 0),
      ruler: laid.ruler,
      as: laid.steps.as,
    })
  );
}

export interface BuildStep {
  read: ReadShape;
  /** The drawn shape, in shares of the picture proper. */
  outline: Point[];
  said: Message[];
}

/** Where a rim lies nearer than this to a fold it lies on it. */
const ON_FOLD = 0.02;
const FOLDS = [0.25, 0.5, 0.75] as const;
/** A direction nearer than this to level or plumb is told as that. */
const STRAIGHT = 8;

/** A step's sentences: what it is, how large, where its middle lies by quarters, which folds it meets, how far it stays from the nearest edge. */
function saysOf(
  read: ReadShape,
  { width, height, left, top, sheet }: Placing,
  rulers: BodyRulers,
  names: ReadonlyMap<string, string>,
  meetings: readonly Meeting[],
): Message[] {
  const { drawn, lie, box, shape } = read;
  // On the sheet, the source being placed on it.
  const on = {
    left: (left + box.left * width) / sheet[0],
    right: (left + box.right * width) / sheet[0],
    top: (top + box.top * height) / sheet[1],
    bottom: (top + box.bottom * height) / sheet[1],
  };
  const off = lie === null ? null : Math.min(lie, 180 - lie);
  const way = off === null ? 'round' : off < STRAIGHT ? 'level' : off > 90 - STRAIGHT ? 'upright' : lie! < 90 ? 'right' : 'left';
  const said = [
    message('build.is', {
      name: typed(shape.name),
      kind: drawn.kind,
      way,
      lean: amount(90 - (off ?? 0), 'degrees'),
      wide: simpleShare(on.right - on.left),
      high: simpleShare(on.bottom - on.top),
    }),
  ];
  const quarter = (v: number) => Math.min(4, Math.max(1, Math.floor(4 * v) + 1));
  const folds: Message[] = (['top', 'bottom', 'left', 'right'] as const).flatMap((side) =>
    FOLDS.filter((f) => Math.abs(on[side] - f) < ON_FOLD).map((f) =>
      message('build.onFold', { side, fold: f === 0.5 ? 'middle' : f < 0.5 ? 'first' : 'last' }),
    ),
  );
  said.push(
    message('build.middle', { column: quarter((on.left + on.right) / 2), row: quarter((on.top + on.bottom) / 2) }),
    ...(folds.length ? [message('build.folds', { folds: several(folds) as Several })] : []),
  );
  const gaps = { left: on.left * sheet[0], right: (1 - on.right) * sheet[0], top: on.top * sheet[1], bottom: (1 - on.bottom) * sheet[1] };
  const [side, gap] = (Object.entries(gaps) as [keyof typeof gaps, number][]).reduce((a, b) => (b[1] < a[1] ? b : a));
  const reached = (Object.keys(gaps) as (keyof typeof gaps)[]).filter((s) => gaps[s] < rulers.finger / 2);
  const laid = reached.length ? null : sayLaid(gap, rulers);
  said.push(
    laid
      ? message('build.gap', { laid, side, mm: amount(gap, 'mm') })
      : message('build.atEdge', { sides: several(reached.map((s) => message(`shapes.side.${s}`))), n: reached.length }),
  );
  if (read.within) said.push(message('build.within', { name: typed(names.get(read.within) ?? '') }));
  for (const m of meetings.filter((m) => m.back === shape.id))
    said.push(message(m.sure ? 'build.stops' : 'build.mayStop', { name: typed(names.get(m.front) ?? '') }));
  return said;
}

/** The steps of a build-up, in the order they are drawn, each with its sentences for a sheet the source is placed on. */
export function buildUp(
  read: readonly ReadShape[],
  [x, y, w, h]: readonly [number, number, number, number],
  placing: Placing,
  rulers: BodyRulers,
  meetings: readonly Meeting[],
  order: Order = 'size',
): BuildStep[] {
  const names = new Map(read.map((r) => [r.shape.id, r.shape.name]));
  return drawn(read, meetings, order).map((r) => ({
    read: r,
    outline: r.drawn.outline.map(([px, py]): Point => [(px - x) / w, (py - y) / h]),
    said: saysOf(r, placing, rulers, names, meetings),
  }));
}
