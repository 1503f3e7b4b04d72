/**
 * Knows the warm-ups that are printed at true scale from what was measured of a master's strokes: a card of the gap, boxes begun and left to
 * go on with, crossings, pressure, values, layers, an unbroken line, dabs and dots. Which tool takes which is common practice, no source.
 */
import { CoreError } from '../errors';
import { Amount, amount, message, Message, Typed } from '../message';
import { FINE, line, outlined, PaperMark, PaperSheet, PLAIN, rectangle, text } from '../proportion/paper';
import type { Point } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import type { LessonMedium } from './media';
import type { MeasuredStrokes } from './wishes';

export const WARM_UPS = ['gap', 'boxes', 'crossing', 'pressure', 'values', 'layers', 'unbroken', 'dabs', 'dots'] as const;
export type WarmUp = (typeof WARM_UPS)[number];

/** The strokes that are practised: mm and degrees from level, anticlockwise as seen. */
export interface WarmStrokes {
  gap: number;
  slant: number;
  /** Degrees between two sets; null where the master does not cross. */
  crossing: number | null;
  length: number;
  /** How wide the usual stroke is. */
  width: number;
}

/** What is practised where nothing was measured. */
export const USUAL_STROKES: WarmStrokes = { gap: 2, slant: 45, crossing: null, length: 12, width: 0.6 };

/** What was measured, in mm: of the work itself or, where its size is not known, on a sheet of so many mm across. */
export function warmStrokesOf({ gap, slant, crossing, length, width }: MeasuredStrokes, sheetWidth: number): WarmStrokes {
  const mm = (a: Amount | null, usual: number, least: number, most: number): number => {
    if (a === null) return usual;
    const is = a.unit === 'permille' ? (a.amount * sheetWidth) / 1000 : a.amount;
    return Math.min(most, Math.max(least, is));
  };
  return {
    gap: mm(gap, USUAL_STROKES.gap, 0.4, 20),
    slant: slant ?? USUAL_STROKES.slant,
    crossing,
    length: mm(length, USUAL_STROKES.length, 2, 60),
    width: mm(width, USUAL_STROKES.width, 0.15, 8),
  };
}

const DRY: readonly WarmUp[] = ['boxes', 'crossing', 'pressure', 'values', 'layers', 'unbroken'];
const BY_MEDIUM: Readonly<Record<LessonMedium, readonly WarmUp[]>> = {
  'pen-and-wash': ['gap', 'boxes', 'crossing', 'pressure', 'values', 'unbroken'],
  pen: ['gap', 'boxes', 'crossing', 'pressure', 'unbroken', 'dots'],
  'brush-ink': ['pressure', 'values', 'unbroken', 'dabs'],
  pencil: ['gap', ...DRY],
  'coloured-pencil': ['gap', 'boxes', 'crossing', 'layers', 'dabs'],
  charcoal: ['pressure', 'values', 'layers', 'unbroken'],
  pastel: ['pressure', 'values', 'layers', 'dabs'],
  'wax-crayon': ['boxes', 'pressure', 'unbroken', 'dabs'],
  'oil-pastel': ['boxes', 'pressure', 'layers', 'dabs'],
  'felt-pen': ['gap', 'boxes', 'crossing', 'unbroken', 'dots'],
  collage: ['unbroken'],
  stencil: ['unbroken', 'values'],
  gouache: ['values', 'unbroken', 'dabs'],
  watercolour: ['values', 'unbroken', 'dabs'],
  acrylic: ['values', 'unbroken', 'dabs'],
  digital: ['boxes', 'pressure', 'values', 'unbroken'],
  print: ['gap', 'boxes', 'pressure'],
};

/** The warm-ups that suit a medium; crossings only where the master crosses. */
export const warmUpsFor = (medium: LessonMedium, strokes: Pick<WarmStrokes, 'crossing'>): WarmUp[] =>
  BY_MEDIUM[medium].filter((w) => w !== 'crossing' || strokes.crossing !== null);

type Box = readonly [x: number, y: number, w: number, h: number];

/** The part of a line through a point that lies in a box; null where it misses it. */
function across([x, y, w, h]: Box, [px, py]: Point, [dx, dy]: Point): [Point, Point] | null {
  let [from, to] = [-Infinity, Infinity];
  for (const [p, d, low, high] of [
    [px, dx, x, x + w],
    [py, dy, y, y + h],
  ]) {
    if (Math.abs(d) < 1e-9) {
      if (p < low || p > high) return null;
      continue;
    }
    const [a, b] = [(low - p) / d, (high - p) / d];
    from = Math.max(from, Math.min(a, b));
    to = Math.min(to, Math.max(a, b));
  }
  return to - from > 0.3
    ? [
        [px + from * dx, py + from * dy],
        [px + to * dx, py + to * dy],
      ]
    : null;
}

/**
 * Strokes side by side in a box, so far apart and so slanted (mm, degrees from level, anticlockwise as seen), in the order they are drawn:
 * from the left, or for a left hand from the right.
 */
export function hatched(box: Box, gap: number, slant: number, leftHanded = false): [Point, Point][] {
  const t = (slant * Math.PI) / 180;
  const d: Point = [Math.cos(t), -Math.sin(t)];
  // Across the strokes, toward the right or, where they are upright enough to have no left and right, downward.
  const n: Point = Math.abs(d[1]) > 1e-6 ? [Math.abs(d[1]), -d[0] * Math.sign(d[1])] : [0, 1];
  const [x, y, w, h] = box;
  const corners: Point[] = [
    [x, y],
    [x + w, y],
    [x, y + h],
    [x + w, y + h],
  ];
  const along = corners.map(([cx, cy]) => cx * n[0] + cy * n[1]);
  const [low, high] = [Math.min(...along), Math.max(...along)];
  const out: [Point, Point][] = [];
  for (let k = 0.5; low + k * gap < high; k++) {
    const at = low + k * gap;
    const cut = across(box, [at * n[0], at * n[1]], d);
    if (cut) out.push(cut);
  }
  return leftHanded ? out.reverse() : out;
}

const [LEFT, TOP, FOOT] = [15, 30, 18];

interface Page {
  page: readonly [number, number];
  strokes: WarmStrokes;
  leftHanded: boolean;
}

/** Boxes over a page in rows, each with room for words under it. */
function boxesOver([w, h]: readonly [number, number], columns: number, high: number, rows: number, under = 7): Box[] {
  const wide = (w - 2 * LEFT - 5 * (columns - 1)) / columns;
  const fit = Math.max(1, Math.min(rows, Math.floor((h - TOP - FOOT) / (high + under))));
  return Array.from({ length: columns * fit }, (_, i): Box => [
    LEFT + (i % columns) * (wide + 5),
    TOP + Math.floor(i / columns) * (high + under),
    wide,
    high,
  ]);
}

const drawn = (list: readonly [Point, Point][], ink: 'strong' | 'plain' | 'pale', width: number): PaperMark[] =>
  list.map((l) => line(l, width, ink));
const framed = ([x, y, w, h]: Box) => rectangle(x, y, w, h, FINE, 'pale');
const under = ([x, y, , h]: Box, said: Message | Typed): PaperMark => text([x, y + h + 3.4], said, { size: 2.6 });

/** A card to lay beside the drawing: the gap, its half and its double, true to the tenth of a millimetre. */
function gapCard({ page, strokes: { gap, slant, width } }: Page): PaperMark[] {
  return boxesOver(page, 2, 52, 3, 9).flatMap((box, i): PaperMark[] => {
    const times = [1, 1, 0.5, 0.5, 2, 2][i];
    const angle = i % 2 ? 0 : slant;
    return [
      framed(box),
      ...drawn(hatched(box, gap * times, angle), 'strong', Math.min(width, (gap * times) / 2)),
      under(
        box,
        message(i % 2 ? 'warmUps.gapLevel' : 'warmUps.gapSlant', { gap: amount(gap * times, 'mm'), slant: amount(slant, 'degrees') }),
      ),
    ];
  });
}

/** How much of a row of boxes is given, from all to nothing. */
const GIVEN = [1, 0.5, 0.25, 0.08, 0] as const;

function boxesBegun({ page, strokes: { gap, slant, width }, leftHanded }: Page, second: number | null): PaperMark[] {
  const angles = second === null ? [slant] : [slant, slant + second];
  const rows = boxesOver(page, 3, 36, 5);
  return rows.flatMap((box, i): PaperMark[] => {
    const given = GIVEN[Math.min(GIVEN.length - 1, Math.floor(i / 3))];
    const first = hatched(box, gap, angles[0], leftHanded);
    const marks: PaperMark[] = [framed(box)];
    if (second === null) {
      // All of it is drawn over, a part of it gone on with.
      marks.push(...drawn(first.slice(0, Math.ceil(given * first.length)), given === 1 ? 'pale' : 'strong', width));
    } else {
      const crossed = hatched(box, gap, angles[1], leftHanded);
      marks.push(
        ...drawn(first, 'plain', width),
        ...drawn(crossed.slice(0, Math.ceil(given * crossed.length)), given === 1 ? 'pale' : 'strong', width),
      );
    }
    const how = given === 1 ? 'over' : given === 0 ? 'alone' : 'on';
    return [...marks, ...(i % 3 === 0 ? [under(box, message(`warmUps.begun.${how}`))] : [])];
  });
}

/** Strokes that swell from thin to thick and back, in outline, to be drawn in one pull. */
function pressure({ page, strokes: { width }, leftHanded }: Page): PaperMark[] {
  const wide = page[0] - 2 * LEFT;
  const rows = Math.floor((page[1] - TOP - FOOT) / 20);
  return Array.from({ length: rows }, (_, r): PaperMark[] => {
    const y = TOP + 8 + 20 * r;
    const most = Math.max(2, 6 * width) * (1 + (r % 3) * 0.6);
    const n = 24;
    // Swelling in the middle, at the end, in waves.
    const swell = (t: number) => (r % 3 === 0 ? Math.sin(Math.PI * t) : r % 3 === 1 ? t : Math.abs(Math.sin(3 * Math.PI * t)));
    const share = r < 3 ? 1 : 0.35;
    const at = (k: number): number => {
      const x = LEFT + (share * wide * k) / n;
      return leftHanded ? page[0] - x : x;
    };
    const upper = Array.from({ length: n + 1 }, (_, k): Point => [at(k), y - Math.max(0.1, (most * swell(k / n)) / 2)]);
    const lower = Array.from({ length: n + 1 }, (_, k): Point => [at(n - k), y + Math.max(0.1, (most * swell(1 - k / n)) / 2)]);
    const base: Point[] = [
      [LEFT, y + 7],
      [page[0] - LEFT, y + 7],
    ];
    return [outlined([...upper, ...lower], FINE, 'plain'), line(base, FINE, 'pale', 1.5)];
  }).flat();
}

/** Steps of value with a printed one above each to match: full print, so that it can be matched by squinting. */
function values({ page, leftHanded }: Page): PaperMark[] {
  const steps = 6;
  const boxes = boxesOver(page, steps, 26, 6, 12);
  return boxes.flatMap((box, i): PaperMark[] => {
    const nth = i % steps;
    const at = leftHanded ? steps - 1 - nth : nth;
    const row = Math.floor(i / steps);
    // Even steps of lightness from paper to the darkest a printer gives.
    const lightness = 96 - (at * (96 - 16)) / (steps - 1);
    const small: Box = [box[0] + box[2] / 2 - 4, box[1] - 4.5, 8, 4];
    return [
      framed(box),
      ...(row === 0
        ? [{ ...rectangle(...box, FINE, 'pale'), fill: lightness }]
        : [{ ...rectangle(...small, 0.1, 'pale'), fill: lightness }]),
      ...(row < 2 ? [under(box, message('warmUps.step', { n: at + 1 }))] : []),
    ];
  });
}

/** Strips for one, two, three, four layers of the same pressure over each other. */
function layers({ page, leftHanded }: Page): PaperMark[] {
  return boxesOver(page, 1, 34, 5, 10).flatMap((box): PaperMark[] => {
    const [x, y, w, h] = box;
    const marks: PaperMark[] = [framed(box)];
    for (let k = 1; k < 4; k++) {
      const at = leftHanded ? x + w - (k * w) / 4 : x + (k * w) / 4;
      marks.push(
        line(
          [
            [at, y],
            [at, y + h],
          ],
          FINE,
          'pale',
          1.5,
        ),
      );
    }
    return [...marks, under(box, message('warmUps.layers'))];
  });
}

/** One line through the whole sheet, to be gone over without lifting, then drawn beside it. */
function unbroken({ page, leftHanded }: Page): PaperMark[] {
  const [w, h] = [page[0] - 2 * LEFT, page[1] - TOP - FOOT];
  const loops = 7;
  const path = (top: number, high: number): Point[] =>
    Array.from({ length: 241 }, (_, k): Point => {
      const t = k / 240;
      const turn = 2 * Math.PI * loops * t;
      // Circles rolled along, growing: a coil of large and small turns.
      const r = high * (0.18 + 0.22 * Math.sin(Math.PI * t));
      const x = LEFT + r + (w - 2 * r) * t + r * Math.cos(turn - Math.PI);
      return [leftHanded ? page[0] - x : x, top + high / 2 + r * Math.sin(turn)];
    });
  return [
    line(path(TOP, h * 0.3), PLAIN, 'pale'),
    text([LEFT, TOP + h * 0.3 + 4], message('warmUps.unbrokenOver'), { size: 2.6 }),
    rectangle(LEFT, TOP + h * 0.36, w, h * 0.29, FINE, 'pale'),
    rectangle(LEFT, TOP + h * 0.68, w, h * 0.29, FINE, 'pale'),
    text([LEFT, TOP + h * 0.97 + 3.4], message('warmUps.unbrokenOwn'), { size: 2.6 }),
  ];
}

const TRIES = 5;

/** Places of `n` marks in a box, none in rows: each new one is the farthest of several from those that are there (Mitchell 1991). */
function scattered([x, y, w, h]: Box, n: number, rim: number, seed: number): Point[] {
  const r = seededRandom(seed);
  const out: Point[] = [];
  for (let k = 0; k < n; k++) {
    let [best, most]: [Point, number] = [[x, y], -1];
    for (let i = 0; i < TRIES; i++) {
      const [a, b]: Point = [x + rim + r() * (w - 2 * rim), y + rim + r() * (h - 2 * rim)];
      let room = Infinity;
      for (const [c, d] of out) room = Math.min(room, (a - c) ** 2 + (b - d) ** 2);
      if (room > most) [best, most] = [[a, b], room];
    }
    out.push(best);
  }
  return out;
}

/** Dabs as long and as wide as the master's strokes, in outline, closer from box to box; the last rows are left to be filled. */
function dabs({ page, strokes: { length, width, slant } }: Page): PaperMark[] {
  const boxes = boxesOver(page, 3, 42, 5, 8);
  const [long, wide] = [Math.min(30, Math.max(3, length)) / 2, Math.min(9, Math.max(1, 2 * width)) / 2];
  const t = (-slant * Math.PI) / 180;
  return boxes.flatMap((box, i): PaperMark[] => {
    const rim = Math.min(long + 1, box[2] / 3, box[3] / 3);
    const many = i < 3 ? [6, 14, 26][i] : i < 6 ? 2 : 0;
    const ring = ([cx, cy]: Point): PaperMark =>
      outlined(
        Array.from({ length: 20 }, (_, k): Point => {
          const a = (2 * Math.PI * k) / 20;
          const [u, v] = [long * Math.cos(a), wide * Math.sin(a)];
          return [cx + u * Math.cos(t) - v * Math.sin(t), cy + u * Math.sin(t) + v * Math.cos(t)];
        }),
        FINE,
        'plain',
      );
    return [
      framed(box),
      ...scattered(box, many, rim, 7 + i).map(ring),
      ...(i % 3 === 0 ? [under(box, message(`warmUps.dabs.${i < 3 ? 'over' : i < 6 ? 'on' : 'alone'}`))] : []),
    ];
  });
}

/** Dots, closer where it is darker, never in rows. */
function dots({ page, strokes: { width } }: Page): PaperMark[] {
  const boxes = boxesOver(page, 4, 40, 5, 8);
  const r = Math.min(0.8, Math.max(0.5, width / 2));
  return boxes.flatMap((box, i): PaperMark[] => {
    const share = [0.04, 0.1, 0.18, 0.3][i % 4];
    const row = Math.floor(i / 4);
    const whole = Math.min(900, Math.round((share * box[2] * box[3]) / (Math.PI * r * r)));
    // First all of them, then half of the box, then none.
    const half: Box = [box[0], box[1], box[2] / 2, box[3]];
    const at = row === 0 ? scattered(box, whole, 1, 3 + i) : row === 1 ? scattered(half, Math.round(whole / 2), 1, 3 + i) : [];
    return [
      framed(box),
      ...at.map(([x, y]): PaperMark => ({
        ...outlined(
          Array.from({ length: 8 }, (_, k): Point => [x + r * Math.cos((Math.PI * k) / 4), y + r * Math.sin((Math.PI * k) / 4)]),
          0.05,
          'strong',
        ),
        fill: 0,
      })),
      ...(row < 3 ? [under(box, message('warmUps.dark', { part: amount(share, 'share') }))] : []),
    ];
  });
}

const DRAW: Readonly<Record<WarmUp, (p: Page) => PaperMark[]>> = {
  gap: gapCard,
  boxes: (p) => boxesBegun(p, null),
  crossing: (p) => boxesBegun(p, p.strokes.crossing ?? 90),
  pressure,
  values,
  layers,
  unbroken,
  dabs,
  dots,
};

/** The sheets of the warm-ups that are wanted, each a page in mm at true scale. */
export function warmUpSheets(
  wanted: readonly WarmUp[],
  strokes: WarmStrokes,
  page: readonly [number, number],
  leftHanded = false,
): PaperSheet[] {
  if (!wanted.length) throw new CoreError('warmUps.none');
  if (!(strokes.gap >= 0.2 && strokes.gap <= 40)) throw new CoreError('warmUps.gap', { low: 0.2, high: 40 });
  return wanted.map((w) => ({
    size: page,
    title: message(`warmUps.sheet.${w}`),
    marks: [
      text([LEFT, 20], message(`warmUps.how.${w}`), { size: 3, width: page[0] - 2 * LEFT }),
      ...DRAW[w]({ page, strokes, leftHanded }),
    ],
  }));
}
