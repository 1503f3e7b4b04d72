/**
 * Knows the five ways in which proportions are carried over from a work to a sheet, each from the same points: a square grid, a folded
 * sheet, quadrants with a clear sheet, sighting with angles and lengths, and shape by shape. Each is drawn at true scale.
 */
import { CoreError } from '../errors';
import { amount, figure, Message, message, Typed, typed } from '../message';
import type { Point } from '../raster/image';
import type { BuildStep } from './buildUp';
import { placeLabels } from './labels';
import { BOLD, FINE, line, outlined, PaperMark, PaperSheet, PLAIN, rectangle, text } from './paper';
import { Order, ORDERS } from './shapeList';
import { slopeOf, Steps, stepsOf, stepsSign } from './spans';
import { Fit, placeOnSheet, Placing, transferPoint } from './transfer';

export const METHODS = ['grid', 'folds', 'quadrants', 'sighting', 'shapes'] as const;
type Method = (typeof METHODS)[number];
export const SHOWN = ['dots', 'both', 'outline'] as const;
type Shown = (typeof SHOWN)[number];
/** `own` is the work's own size, whatever the sheet's. */
export const FITS = ['fit', 'fill', 'stretch', 'own'] as const;
type CarryFit = (typeof FITS)[number];

interface CarryPoint {
  name: string;
  said: Message | Typed;
  /** In the picture proper, 0–1 across and down; outside it where a limb is cut off. */
  at: Point;
}

export interface CarryWishes {
  method: Method;
  /** Width and height of the sheet, mm. */
  sheet: readonly [number, number];
  margin: number;
  fit: CarryFit;
  /** Squares across a grid. */
  columns: number;
  /** Squares whose side is a whole number of mm: a student can rule them. */
  ruled: boolean;
  /** How often the sheet is folded each way: 1 makes quarters, 2 sixteenths. */
  folds: 1 | 2 | 3;
  shown: Shown;
  /** In which order shapes are drawn. */
  order: Order;
  /** A left hand works from the right: numbers and key stand on the other side. */
  leftHanded: boolean;
}

export interface CarrySource {
  /** Of the picture proper, in any unit. */
  ratio: readonly [number, number];
  /** The work's own width, mm; null where nobody knows it. */
  widthMm: number | null;
  points: readonly CarryPoint[];
  /** Names of points that are joined. */
  joined: readonly (readonly string[])[];
  /** Lines laid along edges of the work, in the picture proper. */
  lines: readonly { said: Message | Typed; ends: readonly [Point, Point] }[];
  /** Names of the ends of the work's own unit; null for none. */
  unit: readonly [string, string] | null;
  /** The steps of its build-up. */
  steps: readonly BuildStep[];
  title: Message | Typed;
}

export interface Carried {
  placing: Placing;
  /** How much of the source falls off the sheet on each side, mm; 0 where nothing does. */
  lost: { across: number; down: number };
  /** Side of a grid's squares, mm. */
  side: number | null;
  /** First the sheet to draw on, then the keys. */
  sheets: PaperSheet[];
}

/** The largest sheet that is drawn for: a roll of paper. */
const MOST_SHEET = 3000;
const MOST_COLUMNS = 40;
/** Height of the numbers beside points, mm. */
const NUMBER = 2.8;

/** Where the source lies on the sheet, by the wishes; what does not fit is told by its field. */
export function placingOf(
  { sheet, margin, fit }: Pick<CarryWishes, 'sheet' | 'margin' | 'fit'>,
  { ratio, widthMm }: Pick<CarrySource, 'ratio' | 'widthMm'>,
): Placing {
  if (!sheet.every((s) => s >= 20 && s <= MOST_SHEET)) throw new CoreError('carry.sheet', { low: 20, high: MOST_SHEET });
  if (!(margin >= 0) || 2 * margin >= Math.min(...sheet) - 10)
    throw new CoreError('carry.margin', { n: figure(margin), most: figure(Math.floor(Math.min(...sheet) / 2 - 5)) });
  if (fit !== 'own') return placeOnSheet(ratio, sheet, fit satisfies Fit, margin);
  if (widthMm === null) throw new CoreError('carry.own');
  const [width, height] = [widthMm, (widthMm * ratio[1]) / ratio[0]];
  return { left: (sheet[0] - width) / 2, top: (sheet[1] - height) / 2, width, height, sheet };
}

/** A placing whose grid's squares have a side of whole mm, the middle kept. */
function ruledPlacing(p: Placing, columns: number): Placing {
  const side = Math.floor(p.width / columns);
  if (side < 4) throw new CoreError('carry.columns', { n: columns });
  const k = (side * columns) / p.width;
  return { ...p, left: p.left + (p.width * (1 - k)) / 2, top: p.top + (p.height * (1 - k)) / 2, width: p.width * k, height: p.height * k };
}

/** A column's letter: A … Z, then AA. */
export const letterOf = (n: number): string =>
  n < 26 ? String.fromCharCode(65 + n) : `${String.fromCharCode(64 + Math.floor(n / 26))}${String.fromCharCode(65 + (n % 26))}`;

/** The lines of a method over a rectangle, mm: the same on the sheet and, smaller, on the source. */
function linesOver(
  method: Method,
  p: Placing,
  at: { left: number; top: number; scale: number },
  w: CarryWishes,
  columns: number,
): PaperMark[] {
  const on = ([x, y]: Point): Point => [at.left + (x - p.left) * at.scale, at.top + (y - p.top) * at.scale];
  const [x0, y0, x1, y1] = [p.left, p.top, p.left + p.width, p.top + p.height];
  const frame = outlined([on([x0, y0]), on([x1, y0]), on([x1, y1]), on([x0, y1])]);
  const marks: PaperMark[] = [frame];
  if (method === 'grid') {
    const side = p.width / columns;
    for (let i = 1; i < columns; i++) marks.push(line([on([x0 + i * side, y0]), on([x0 + i * side, y1])], FINE, 'pale'));
    for (let y = y0 + side; y < y1 - 1e-6; y += side) marks.push(line([on([x0, y]), on([x1, y])], FINE, 'pale'));
  } else if (method === 'folds') {
    const n = 2 ** w.folds;
    for (let i = 1; i < n; i++) {
      const [x, y] = [(i * p.sheet[0]) / n, (i * p.sheet[1]) / n];
      if (x > x0 && x < x1) marks.push(line([on([x, y0]), on([x, y1])], FINE, 'plain', 3 * at.scale + 0.6));
      if (y > y0 && y < y1) marks.push(line([on([x0, y]), on([x1, y])], FINE, 'plain', 3 * at.scale + 0.6));
    }
  } else if (method === 'quadrants') {
    const [mx, my] = [p.sheet[0] / 2, p.sheet[1] / 2];
    marks.push(line([on([mx, y0]), on([mx, y1])], PLAIN), line([on([x0, my]), on([x1, my])], PLAIN));
    // A short stroke for each 10 mm of the sheet, a longer one for each 50.
    const ticks = (from: number, to: number, middle: number) =>
      Array.from({ length: Math.floor((to - from) / 10) + 1 }, (_, k) => Math.ceil((from - middle) / 10) * 10 + 10 * k).filter(
        (v) => v !== 0 && middle + v < to,
      );
    for (const v of ticks(x0, x1, mx)) {
      const long = v % 50 === 0 ? 2.4 : 1.2;
      marks.push(line([on([mx + v, my - long / at.scale / 2]), on([mx + v, my + long / at.scale / 2])], FINE));
    }
    for (const v of ticks(y0, y1, my)) {
      const long = v % 50 === 0 ? 2.4 : 1.2;
      marks.push(line([on([mx - long / at.scale / 2, my + v]), on([mx + long / at.scale / 2, my + v])], FINE));
    }
  }
  return marks;
}

/** Crosses with their numbers. */
function numbered(at: readonly Point[], nth: readonly number[]): PaperMark[] {
  const labels = placeLabels(at, [NUMBER * 1.5, NUMBER * 1.1]);
  return at.flatMap(([x, y], i): PaperMark[] => [
    line(
      [
        [x - 1.5, y],
        [x + 1.5, y],
      ],
      PLAIN,
      'strong',
    ),
    line(
      [
        [x, y - 1.5],
        [x, y + 1.5],
      ],
      PLAIN,
      'strong',
    ),
    ...(labels[i].led ? [line([[x, y], labels[i].at], 0.12, 'plain')] : []),
    text(labels[i].at, typed(String(nth[i])), { size: NUMBER, anchor: 'middle' }),
  ]);
}

/** The order of folding: each time in half, first upright, then level. */
function foldOrder(folds: number): { across: boolean; into: number }[] {
  return Array.from({ length: 2 * folds }, (_, k) => ({ across: k % 2 === 0, into: 2 ** (Math.floor(k / 2) + 1) }));
}

/** Small pictures of the sheet, a new fold in each. */
function foldPictures(sheet: readonly [number, number], folds: number, left: number, top: number, high: number): PaperMark[] {
  const k = high / Math.max(...sheet);
  const [w, h] = [sheet[0] * k, sheet[1] * k];
  const order = foldOrder(folds);
  const marks = order.flatMap(({ across, into }, i): PaperMark[] => {
    const x = left + i * (w + 6);
    const before = order.slice(0, i);
    const crease = (f: { across: boolean; into: number }, fresh: boolean): PaperMark[] =>
      Array.from({ length: f.into - 1 }, (_, j) => (j + 1) / f.into)
        .filter((s) => !fresh || (s * f.into) % 2 === 1)
        .map((s) =>
          f.across
            ? line(
                [
                  [x + s * w, top],
                  [x + s * w, top + h],
                ],
                fresh ? BOLD : FINE,
                fresh ? 'strong' : 'pale',
                fresh ? 1.2 : undefined,
              )
            : line(
                [
                  [x, top + s * h],
                  [x + w, top + s * h],
                ],
                fresh ? BOLD : FINE,
                fresh ? 'strong' : 'pale',
                fresh ? 1.2 : undefined,
              ),
        );
    return [
      rectangle(x, top, w, h),
      ...before.flatMap((f) => crease(f, false)),
      ...crease({ across, into }, true),
      text([x + w / 2, top + h + 3.4], typed(String(i + 1)), { anchor: 'middle', strong: true }),
    ];
  });
  return marks;
}

/** A part of a square or a fold cell as it is guessed: "½"; just at its beginning or end as that. */
const partSaid = (v: number): Typed => typed(stepsSign(stepsOf(v)!));

const mm = (v: number) => amount(Math.abs(v), 'mm');

/** What stands in the key for one point, by method. */
function keyOf(method: Method, p: Placing, point: CarryPoint, columns: number, folds: number, leftHanded: boolean): (Message | Typed)[] {
  const t = transferPoint(p, point.at, columns, folds);
  if (method === 'grid') {
    const column = leftHanded ? columns - t.square.column : t.square.column - 1;
    const square =
      column >= 0 && column < columns && t.square.row > 0 ? typed(`${letterOf(column)}${t.square.row}`) : message('carry.outside');
    return [square, message('carry.across', { part: partSaid(t.square.across) }), message('carry.down', { part: partSaid(t.square.down) })];
  }
  if (method === 'folds') {
    if (t.left < 0 || t.top < 0 || t.right < 0 || t.bottom < 0) return [message('carry.outside'), typed(''), typed('')];
    const { column, row, across, down } = t.fold;
    return [
      message('carry.cell', { column, row }),
      message('carry.across', { part: partSaid(across) }),
      message('carry.down', { part: partSaid(down) }),
    ];
  }
  const [x, y] = t.fromMiddle;
  return [
    message('carry.side', { mm: mm(x), side: x < 0 ? 'left' : 'right' }),
    message('carry.level', { mm: mm(y), side: y < 0 ? 'above' : 'below' }),
    message('carry.edge', { mm: mm(t.left) }),
  ];
}

const HEADS: Readonly<Record<Method, readonly string[]>> = {
  grid: ['square', 'acrossSquare', 'downSquare'],
  folds: ['cell', 'acrossCell', 'downCell'],
  quadrants: ['fromUpright', 'fromLevel', 'fromLeft'],
  sighting: ['besidePlumb', 'fromStart', 'direct'],
  shapes: [],
};

const ROW = 5;

/** Rows under a head, broken over pages of this size; the first begins at `top`. */
function table(
  rows: readonly (readonly (Message | Typed)[])[],
  heads: readonly (Message | Typed)[],
  page: readonly [number, number],
  first: { top: number; left: number; wide: number },
  more: number,
): PaperMark[][] {
  const out: PaperMark[][] = [];
  let at = 0;
  for (let n = 0; at < rows.length || n === 0; n++) {
    const { top, left, wide } = n === 0 ? first : { top: more, left: 15, wide: page[0] - 30 };
    const share = [0.07, 0.37, ...heads.slice(2).map(() => 0.56 / Math.max(1, heads.length - 2))];
    const xs = share.map((_, i) => left + wide * share.slice(0, i).reduce((a, b) => a + b, 0));
    const marks: PaperMark[] = heads.map((h, i) =>
      text([xs[i], top], h, { size: 2.6, ink: 'plain', strong: true, width: wide * share[i] - 1 }),
    );
    let y = top + ROW + 2;
    for (; at < rows.length && y < page[1] - 20; at++, y += ROW) {
      marks.push(
        line(
          [
            [left, y - ROW / 2],
            [left + wide, y - ROW / 2],
          ],
          0.1,
          'pale',
        ),
      );
      rows[at].forEach((cell, i) => marks.push(text([xs[i], y], cell, { strong: i === 0, width: wide * share[i] - 1 })));
    }
    out.push(marks);
  }
  return out;
}

/** So many units, as a pencil steps them off. */
const unitsSaid = (steps: Steps): Message => {
  const { whole, part, as } = steps;
  if (!whole && !part) return message('carry.hardly');
  return message('carry.units', { n: typed(stepsSign(steps)), many: whole + (part && whole ? 1 : 0) || 1, as });
};

/** Every point from the beginning of the unit: so many units to a side of its plumb line, so many above or below its level. */
function offsets({ points, unit }: CarrySource, places: readonly Point[]): (Message | Typed)[][] {
  const [a, b] = (unit ?? []).map((name) => points.findIndex((p) => p.name === name));
  if (!((a ?? -1) >= 0 && b >= 0)) return [];
  const [start, end] = [places[a], places[b]];
  const one = Math.hypot(end[0] - start[0], end[1] - start[1]);
  if (!(one > 0)) return [];
  return points.flatMap((p, i): (Message | Typed)[][] => {
    if (i === a) return [];
    const [dx, dy] = [places[i][0] - start[0], places[i][1] - start[1]].map((v) => v / one);
    const away = (v: number, ways: readonly [string, string]) =>
      message('carry.away', { units: unitsSaid(stepsOf(Math.abs(v))!), way: Math.abs(v) < 0.02 ? 'on' : v < 0 ? ways[0] : ways[1] });
    return [
      [
        typed(String(i + 1)),
        p.said,
        away(dx, ['left', 'right']),
        away(dy, ['above', 'below']),
        message('carry.direct', { units: unitsSaid(stepsOf(Math.hypot(dx, dy))!) }),
      ],
    ];
  });
}

/** A line as it lies on the sheet, mm, that is carried over by its lean. */
interface Sighted {
  said: Message | Typed;
  ends: readonly [Point, Point];
  slope: { level: number; plumb: number };
}

/** Every joined line and every one kept along an edge. */
function sighted({ points, joined, lines }: CarrySource, places: readonly Point[], p: Placing): Sighted[] {
  const nth = new Map(points.map((q, i) => [q.name, i]));
  const between = joined
    .flatMap((names) => names.slice(1).map((to, i) => [nth.get(names[i]), nth.get(to)]))
    .flatMap(([a, b]) =>
      a === undefined || b === undefined
        ? []
        : [{ said: message('carry.line', { from: points[a].said, to: points[b].said }), ends: [places[a], places[b]] as const }],
    );
  const kept = lines.map(({ said, ends: [a, b] }) => ({ said, ends: [placeOf(a, p), placeOf(b, p)] as const }));
  return [...between, ...kept].flatMap((l) => {
    const slope = slopeOf(...l.ends);
    return slope ? [{ ...l, slope }] : [];
  });
}

const placeOf = ([u, v]: Point, p: Placing): Point => [p.left + u * p.width, p.top + v * p.height];

const tiltSaid = (level: number): Message =>
  message('carry.tilt', { by: amount(Math.abs(level), 'degrees'), way: Math.abs(level) < 0.5 ? 'level' : level > 0 ? 'up' : 'down' });

const leanSaid = (plumb: number): Message =>
  message('carry.lean', {
    by: amount(Math.abs(plumb), 'degrees'),
    way: Math.abs(plumb) < 0.5 ? 'plumb' : plumb > 0 ? 'right' : 'left',
  });

/** Every line as a length in the work's own unit and its lean, as a pencil tells them. */
function sightings(lines: readonly Sighted[], { points, unit }: CarrySource, places: readonly Point[]): (Message | Typed)[][] {
  const [a, b] = (unit ?? []).map((name) => places[points.findIndex((q) => q.name === name)]);
  const one = a && b ? Math.hypot(b[0] - a[0], b[1] - a[1]) : 0;
  return lines.map(({ said, ends: [p, q], slope }) => {
    const steps = one > 0 ? stepsOf(Math.hypot(q[0] - p[0], q[1] - p[1]) / one) : null;
    return [said, steps ? unitsSaid(steps) : message('carry.noUnit'), leanSaid(slope.plumb), tiltSaid(slope.level)];
  });
}

/** A card of angles: cells across a page, the height of each, and the length of the line drawn in it, mm. */
const CARD = { across: 3, high: 52, line: 34, arc: 9 };

/**
 * Every line's lean drawn at its true angle over level and plumb: the card is laid on the sheet, its level kept level, slid to the place
 * and drawn along. Pages of cells in reading order.
 */
function angleCards(lines: readonly Sighted[], page: readonly [number, number], top: number): PaperMark[][] {
  const wide = (page[0] - 30) / CARD.across;
  const rows = Math.max(1, Math.floor((page[1] - top - 20) / CARD.high));
  const perPage = rows * CARD.across;
  return Array.from({ length: Math.ceil(lines.length / perPage) }, (_, n) =>
    lines.slice(n * perPage, (n + 1) * perPage).flatMap(({ said, slope: { level, plumb } }, i): PaperMark[] => {
      const [x, y] = [15 + (i % CARD.across) * wide, top + Math.floor(i / CARD.across) * CARD.high];
      const [cx, cy] = [x + wide / 2, y + 20];
      const at = (degrees: number, far: number): Point => [
        cx + far * Math.cos((degrees * Math.PI) / 180),
        cy - far * Math.sin((degrees * Math.PI) / 180),
      ];
      const [half, reach] = [CARD.line / 2, Math.min(wide / 2 - 3, 19)];
      const turns = Math.max(2, Math.ceil(Math.abs(level) / 6));
      return [
        { ...rectangle(x + 1, y, wide - 2, CARD.high - 3, 0.1, 'pale'), dash: 2 },
        line([at(180, reach), at(0, reach)], FINE, 'plain', 1.5),
        line([at(90, half), at(-90, half)], FINE, 'pale', 1.5),
        line(
          Array.from({ length: turns + 1 }, (_, k) => at((level * k) / turns, CARD.arc)),
          FINE,
        ),
        line([at(level + 180, half), at(level, half)], BOLD, 'strong'),
        text([x + 3.5, y + 3.5], typed(String(n * perPage + i + 1)), { size: NUMBER, strong: true }),
        // A steep line is told from plumb, a flat one from level: by the smaller angle.
        text([cx, y + 40.5], Math.abs(plumb) < Math.abs(level) ? leanSaid(plumb) : tiltSaid(level), { size: NUMBER, anchor: 'middle' }),
        text([x + 3, y + 44.5], said, { size: 2.4, width: wide - 6 }),
      ];
    }),
  );
}

/** A sheet's picture with the method's lines over it, as large as a box of the page lets it be. */
function keyPicture(
  method: Method,
  p: Placing,
  source: CarrySource,
  w: CarryWishes,
  columns: number,
  room: readonly [x: number, y: number, wide: number, high: number],
): { marks: PaperMark[]; box: [number, number, number, number] } {
  const scale = Math.min(room[2] / p.width, room[3] / p.height);
  const [wide, high] = [p.width * scale, p.height * scale];
  const at = { left: room[0], top: room[1], scale };
  const on = (u: Point): Point => [room[0] + u[0] * wide, room[1] + u[1] * high];
  const nth = source.points.map((_, i) => i + 1);
  return {
    box: [room[0], room[1], wide, high],
    marks: [
      { kind: 'picture', of: 'source', box: [room[0], room[1], wide, high], pale: true },
      ...linesOver(method, p, at, w, columns),
      ...(method === 'grid' ? gridNames(p, columns, at, w.leftHanded) : []),
      ...numbered(
        source.points.map((q) => on(q.at)),
        nth,
      ),
    ],
  };
}

/** Letters over a grid's columns and numbers beside its rows, from the side of the hand. */
function gridNames(p: Placing, columns: number, at: { left: number; top: number; scale: number }, leftHanded: boolean): PaperMark[] {
  const side = (p.width / columns) * at.scale;
  const rows = Math.ceil((p.height * at.scale) / side - 1e-6);
  const size = Math.min(3, Math.max(1.8, side * 0.35));
  return [
    ...Array.from({ length: columns }, (_, i) =>
      text([at.left + (i + 0.5) * side, at.top - 0.7 * size - 0.4], typed(letterOf(leftHanded ? columns - 1 - i : i)), {
        size,
        anchor: 'middle',
      }),
    ),
    ...Array.from({ length: rows }, (_, i) =>
      text([leftHanded ? at.left + p.width * at.scale + 1.4 : at.left - 1.4, at.top + (i + 0.5) * side], typed(String(i + 1)), {
        size,
        anchor: leftHanded ? 'start' : 'end',
      }),
    ),
  ];
}

/** All sheets of a way of carrying over; `page` is what the keys are printed on, mm. */
export function carryOver(source: CarrySource, w: CarryWishes, page: readonly [number, number]): Carried {
  if (!Number.isInteger(w.columns) || w.columns < 2 || w.columns > MOST_COLUMNS)
    throw new CoreError('carry.columnsRange', { low: 2, high: MOST_COLUMNS });
  const first = placingOf(w, source);
  const p = w.method === 'grid' && w.ruled ? ruledPlacing(first, w.columns) : first;
  const columns = w.columns;
  const clip = [0, 0, ...p.sheet] as const;
  const outline: PaperMark[] = w.shown === 'dots' ? [] : [{ kind: 'picture', of: 'lines', box: [p.left, p.top, p.width, p.height], clip }];
  const places = source.points.map((q) => placeOf(q.at, p));
  const inside = places.map(([x, y]) => x >= 0 && y >= 0 && x <= p.sheet[0] && y <= p.sheet[1]);
  const nth = source.points.map((_, i) => i + 1).filter((_, i) => inside[i]);
  const dots =
    w.shown === 'outline' || !['grid', 'folds', 'quadrants'].includes(w.method)
      ? []
      : numbered(
          places.filter((_, i) => inside[i]),
          nth,
        );
  const over = { left: p.left, top: p.top, scale: 1 };
  const head = message(`carry.sheet.${w.method}`, { work: source.title });
  const marks: PaperMark[] = [
    ...outline,
    ...linesOver(w.method, p, over, w, columns),
    ...(w.method === 'grid' ? gridNames(p, columns, over, w.leftHanded) : []),
    ...dots,
  ];
  if (w.method === 'sighting') marks.push(...sightingStart(source, places, p));
  if (w.method === 'shapes')
    // Only where the quarters are: the shapes are found by their places in words.
    for (const f of [0.25, 0.5, 0.75])
      for (const end of [0, 1]) {
        const [x, y] = [f * p.sheet[0], f * p.sheet[1]];
        const long = f === 0.5 ? 4 : 2.5;
        marks.push(
          line(
            [
              [x, end * p.sheet[1]],
              [x, end * p.sheet[1] + (end ? -long : long)],
            ],
            PLAIN,
          ),
          line(
            [
              [end * p.sheet[0], y],
              [end * p.sheet[0] + (end ? -long : long), y],
            ],
            PLAIN,
          ),
        );
      }
  const sheets: PaperSheet[] = [{ size: p.sheet, marks, title: head }, ...keys(source, places, w, p, columns, page, head)];
  return {
    placing: p,
    lost: { across: Math.max(0, -p.left), down: Math.max(0, -p.top) },
    side: w.method === 'grid' ? p.width / columns : null,
    sheets,
  };
}

/** What a sighting begins with: the unit at its place and true length, and the plumb and level lines through its first end. */
function sightingStart({ points, unit }: CarrySource, places: readonly Point[], p: Placing): PaperMark[] {
  const at = (name: string) => places[points.findIndex((q) => q.name === name)];
  const ends = unit?.map(at).filter((q): q is Point => q !== undefined) ?? [];
  const start = ends[0] ?? places[0];
  if (!start) return [];
  const marks: PaperMark[] = [
    line(
      [
        [start[0], p.top],
        [start[0], p.top + p.height],
      ],
      FINE,
      'pale',
      4,
    ),
    line(
      [
        [p.left, start[1]],
        [p.left + p.width, start[1]],
      ],
      FINE,
      'pale',
      4,
    ),
  ];
  if (ends.length === 2)
    marks.push(
      line(ends, BOLD, 'strong'),
      text([ends[0][0] + 2, (ends[0][1] + ends[1][1]) / 2], message('carry.oneUnit'), { size: NUMBER }),
    );
  return marks;
}

function keys(
  source: CarrySource,
  places: readonly Point[],
  w: CarryWishes,
  p: Placing,
  columns: number,
  page: readonly [number, number],
  head: Message,
): PaperSheet[] {
  const [wide, high] = [page[0] - 30, page[1] - 40];
  const sheet = (marks: readonly PaperMark[], title: Message = head): PaperSheet => ({ size: page, marks, title });
  if (w.method === 'shapes') {
    // Two small pictures beside their words in a row; each picture shows what is drawn so far.
    const cell = Math.min(62, (wide - 6) / 2.4);
    const tall = (cell * p.sheet[1]) / p.sheet[0];
    const row = Math.max(tall, 34) + 8;
    const perPage = Math.max(1, Math.floor((high - 4) / row));
    return Array.from({ length: Math.ceil(source.steps.length / perPage) }, (_, n) =>
      sheet(
        source.steps.slice(n * perPage, (n + 1) * perPage).flatMap((s, i): PaperMark[] => {
          const k = n * perPage + i;
          const y = 22 + i * row;
          const left = w.leftHanded ? page[0] - 15 - cell : 15;
          const words = w.leftHanded ? 15 : 15 + cell + 6;
          return [
            ...stepPicture(source.steps, k, p, [left, y], cell),
            text([words, y + 2.5], message('carry.step', { n: k + 1 }), { strong: true, size: 3.6 }),
            ...s.said.map((said, j) => text([words, y + 9 + j * 7.6], said, { size: 3, width: wide - cell - 6 })),
          ];
        }),
      ),
    );
  }
  const lines = w.method === 'sighting' ? sighted(source, places, p) : [];
  const cards = () =>
    angleCards(lines, page, 40).map((marks) =>
      sheet([text([15, 25], message('carry.cardHow'), { width: wide }), ...marks], message('carry.sheet.angles', { work: source.title })),
    );
  if (!source.points.length) return cards();
  const rows: (readonly (Message | Typed)[])[] =
    w.method === 'sighting'
      ? offsets(source, places)
      : source.points.map((q, i) => [typed(String(i + 1)), q.said, ...keyOf(w.method, p, q, columns, w.folds, w.leftHanded)]);
  const heads = (first: string, more: readonly string[]) => [
    typed(''),
    message(`carry.heads.${first}`),
    ...more.map((h) => message(`carry.heads.${h}`)),
  ];
  // A short key leaves the picture more of the page.
  const taken = ROW * (rows.length + 4) + (w.method === 'folds' ? 34 : 0);
  const room = Math.max(0.42 * high, high - taken - 14);
  const pictured = keyPicture(w.method, p, source, w, columns, [w.leftHanded ? 15 : 18, 24, wide - 6, room]);
  const marks: PaperMark[] = [...pictured.marks];
  let top = 24 + pictured.box[3] + 9;
  if (w.method === 'folds') {
    const small = foldPictures(p.sheet, w.folds, 15, top + 3, 20);
    marks.push(text([15, top - 2], message('carry.foldOrder'), { strong: true }), ...small);
    top += 34;
  }
  const [firstRows, ...rest] = table(rows, heads('point', HEADS[w.method]), page, { top, left: 15, wide }, 26);
  const out = [sheet([...marks, ...firstRows]), ...rest.map((r) => sheet(r))];
  if (w.method === 'sighting') {
    const said = sightings(lines, source, places).map((r, i) => [typed(String(i + 1)), ...r]);
    if (said.length)
      out.push(...table(said, heads('line', ['length', 'plumb', 'level']), page, { top: 26, left: 15, wide }, 26).map((r) => sheet(r)));
    out.push(...cards());
  }
  // The clear sheet is laid over the source as it is printed on the key.
  if (w.method === 'quadrants') {
    const [x, y, bw, bh] = pictured.box;
    out.push(
      sheet(
        [
          ...linesOver('quadrants', p, { left: x, top: y, scale: bw / p.width }, w, columns),
          text([15, y + bh + 8], message('carry.clear'), { width: wide }),
        ],
        message('carry.sheet.clear', { work: source.title }),
      ),
    );
  }
  return out;
}

/** The shapes up to a step on a small sheet, the newest strong. */
function stepPicture(steps: readonly BuildStep[], k: number, p: Placing, [x, y]: Point, wide: number): PaperMark[] {
  const scale = wide / p.sheet[0];
  return [
    rectangle(x, y, wide, p.sheet[1] * scale),
    ...[0.25, 0.5, 0.75].flatMap((f) => [
      line(
        [
          [x + f * wide, y],
          [x + f * wide, y + p.sheet[1] * scale],
        ],
        0.1,
        'pale',
        1,
      ),
      line(
        [
          [x, y + f * p.sheet[1] * scale],
          [x + wide, y + f * p.sheet[1] * scale],
        ],
        0.1,
        'pale',
        1,
      ),
    ]),
    ...steps.slice(0, k + 1).map(({ outline }, i) =>
      outlined(
        outline.map(([u, v]): Point => [x + (p.left + u * p.width) * scale, y + (p.top + v * p.height) * scale]),
        i === k ? 0.7 : PLAIN,
        i === k ? 'strong' : 'plain',
      ),
    ),
  ];
}

type Params = Readonly<Record<string, string | undefined>>;

const oneOf = <T extends string>(known: readonly T[], value: string | undefined, usual: T): T => known.find((k) => k === value) ?? usual;
const numberIn = (value: string | undefined, usual: number): number => {
  const n = value === undefined || value.trim() === '' ? NaN : Number(value.replace(',', '.'));
  return Number.isFinite(n) ? n : usual;
};

/** Wishes as they stand in an address; what is missing or none is as usual. */
export function wishesFrom(params: Params, usual: { sheet: readonly [number, number]; leftHanded: boolean }): CarryWishes {
  const size = params.sheet?.split('x').map(Number);
  const folds = numberIn(params.folds, 2);
  return {
    method: oneOf(METHODS, params.method, 'grid'),
    sheet: size?.length === 2 && size.every((v) => v > 0 && Number.isFinite(v)) ? [size[0], size[1]] : usual.sheet,
    margin: numberIn(params.margin, 15),
    fit: oneOf(FITS, params.fit, 'fit'),
    columns: Math.round(numberIn(params.columns, 8)),
    ruled: params.ruled !== 'no',
    folds: folds === 1 || folds === 3 ? folds : 2,
    shown: oneOf(SHOWN, params.shown, 'dots'),
    order: oneOf(ORDERS, params.order, 'size'),
    leftHanded: params.left === undefined ? usual.leftHanded : params.left === 'yes',
  };
}

/** The same as they are put into an address. */
export const wishesAsParams = (w: CarryWishes): Record<string, string> => ({
  method: w.method,
  sheet: w.sheet.join('x'),
  margin: String(w.margin),
  fit: w.fit,
  columns: String(w.columns),
  ruled: w.ruled ? 'yes' : 'no',
  folds: String(w.folds),
  shown: w.shown,
  order: w.order,
  left: w.leftHanded ? 'yes' : 'no',
});
