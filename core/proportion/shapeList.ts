/**
 * Knows the shapes a picture is built of: what basic shape each is, which lies in which, what stops at what, in which order they are
 * drawn, and where each stands on the sheet.
 */
import { CoreError } from '../errors';
import { isPoint } from '../formats/json';
import type { Carry } from '../raster/crop';
import { Bounds, boundsOf, Point } from '../raster/image';
import { leaves, namedIn } from './named';
import { centroid, convexHull, crossesItself, sharedArea, signedArea } from './polygon';
import { FittedShape, fitShapes, FULL_KINDS, SHAPE_KINDS, ShapeKind } from './shapes';

/** An outline drawn round a part of a picture, px of it. */
export interface DrawnShape {
  id: string;
  name: string;
  outline: [number, number][];
  /** The basic shape a person holds it to be; null for the one that fits best. */
  as: ShapeKind | null;
  /** What lies between the things, not a thing. */
  gap: boolean;
}

const MOST_SHAPES = 24;
const MOST_CORNERS = 400;
/** Less of a picture than this is a slip of the pointer. */
const LEAST_SHARE = 0.0002;

/** The shapes of a picture of this size as they were given, if every one of them can be used. */
export function checkedShapes(value: unknown, [w, h]: readonly [number, number]): DrawnShape[] {
  if (!Array.isArray(value) || value.length > MOST_SHAPES) throw new CoreError('shapes.list', { n: MOST_SHAPES });
  const ids = new Set<string>();
  return value.map((s: Partial<Record<keyof DrawnShape, unknown>> | null, i) => {
    const { id, name, called } = namedIn(s, i, ids, 'shapes');
    const { outline, as = null, gap } = s!;
    if (!Array.isArray(outline) || outline.length < 3 || outline.length > MOST_CORNERS || !outline.every(isPoint))
      throw new CoreError('shapes.outline', { ...called, n: MOST_CORNERS });
    if (leaves(outline, [w, h])) throw new CoreError('shapes.outside', called);
    if (crossesItself(outline)) throw new CoreError('shapes.crosses', called);
    if (Math.abs(signedArea(outline)) < LEAST_SHARE * w * h) throw new CoreError('shapes.small', called);
    if (as !== null && !SHAPE_KINDS.some((k) => k === as)) throw new CoreError('shapes.kind', called);
    return { id, name, outline: outline.map(([x, y]) => [x, y]), as: as as ShapeKind | null, gap: gap === true };
  });
}

/** The shapes where a picture made from theirs has them; of one that is not wholly there the part that is, if it still has an area. */
export const carryShapes = (shapes: readonly DrawnShape[], carry: Carry): DrawnShape[] =>
  shapes.flatMap((s) => {
    const outline = s.outline.map(carry).filter((p): p is [number, number] => p !== null);
    return outline.length >= 3 && !crossesItself(outline) && Math.abs(signedArea(outline)) > 1 ? [{ ...s, outline }] : [];
  });

/** A line drawn by hand with as many corners as are needed to stay within a tolerance of it (Douglas and Peucker 1973), px. */
export function simplified(line: readonly Point[], tolerance: number): Point[] {
  if (line.length < 4) return line.map(([x, y]) => [x, y]);
  const keep = new Uint8Array(line.length);
  // A closed line is cut at the point farthest from its beginning.
  const far = line.reduce(
    (best, p, i) =>
      Math.hypot(p[0] - line[0][0], p[1] - line[0][1]) > Math.hypot(line[best][0] - line[0][0], line[best][1] - line[0][1]) ? i : best,
    0,
  );
  keep[0] = keep[far] = 1;
  const stack: [number, number][] = [
    [0, far],
    [far, line.length],
  ];
  while (stack.length) {
    const [a, b] = stack.pop()!;
    const [p, q] = [line[a], line[b % line.length]];
    const long = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    let [most, at] = [tolerance, -1];
    for (let i = a + 1; i < b; i++) {
      const off = Math.abs((q[0] - p[0]) * (line[i][1] - p[1]) - (q[1] - p[1]) * (line[i][0] - p[0])) / long;
      if (off > most) [most, at] = [off, i];
    }
    if (at < 0) continue;
    keep[at] = 1;
    stack.push([a, at], [at, b]);
  }
  return line.filter((_, i) => keep[i]).map(([x, y]) => [x, y]);
}

/** A shape as it is read on a picture. */
export interface ReadShape {
  shape: DrawnShape;
  /** The basic shape it is drawn as, and all of them by how well they fit. */
  drawn: FittedShape;
  ranked: FittedShape[];
  /** Of the frame. */
  share: number;
  /** Of the drawn shape, in shares of the frame's width and height. */
  box: Bounds;
  middle: Point;
  /** Degrees of its long side against level, 0 to 180; null where it is about as high as wide in every direction. */
  lie: number | null;
  /** The smallest shape that holds it. */
  within: string | null;
}

/** Two shapes that lie over each other or touch, and which of them is whole there, the other stopping at it. */
export interface Meeting {
  front: string;
  back: string;
  /** Shared area, of the smaller one. */
  shared: number;
  /** Clear from how their basic shapes go on, or could be the other way round. */
  sure: boolean;
}

/** So much of a shape lies in another that holds it. */
const HELD = 0.9;
/** Nearer than this share of the frame's side two outlines touch. */
const TOUCH = 0.012;
/** How much farther one basic shape has to reach into the other outline than that one into its own. */
const CLEARLY = 1.6;

type Frame = readonly [x: number, y: number, w: number, h: number];

/** Sides in shares of the frame's width and height. */
const inFrame = ({ left, top, right, bottom }: Bounds, [x, y, w, h]: Frame): Bounds => ({
  left: (left - x) / w,
  top: (top - y) / h,
  right: (right - x) / w,
  bottom: (bottom - y) / h,
});

/** Every shape as it is read in the picture's frame; basic shapes are fitted where none are given. */
export function readShapes(shapes: readonly DrawnShape[], frame: Frame, fits?: ReadonlyMap<string, FittedShape[]>): ReadShape[] {
  const [x, y, w, h] = frame;
  const areas = shapes.map((s) => Math.abs(signedArea(s.outline)));
  return shapes.map((shape, i): ReadShape => {
    const ranked = fits?.get(shape.id) ?? fitShapes(shape.outline);
    const drawn = ranked.find((f) => f.kind === shape.as) ?? ranked[0];
    const middle = centroid(drawn.outline);
    const holders = shapes
      .map((_, k) => k)
      .filter((k) => k !== i && areas[k] > areas[i] && !shapes[k].gap && sharedArea(shape.outline, shapes[k].outline) >= HELD * areas[i])
      .sort((a, b) => areas[a] - areas[b]);
    return {
      shape,
      drawn,
      ranked,
      share: areas[i] / (w * h),
      box: inFrame(boundsOf(drawn.outline), frame),
      middle: [(middle[0] - x) / w, (middle[1] - y) / h],
      lie: lieOf(drawn.outline),
      within: holders.length ? shapes[holders[0]].id : null,
    };
  });
}

/** Longer than wide by less than this a shape has no direction to be told. */
const LONG = 1.25;

/** Direction of an outline's long axis by its second moments, degrees anticlockwise from level, 0 to 180; null where it has none. */
function lieOf(outline: readonly Point[]): number | null {
  const [cx, cy] = centroid(outline);
  // Moments of the area by its triangles about the centre.
  let [xx, xy, yy] = [0, 0, 0];
  outline.forEach(([bx, by], i) => {
    const [ax, ay] = outline[(i + outline.length - 1) % outline.length];
    const [px, py, qx, qy] = [ax - cx, ay - cy, bx - cx, by - cy];
    const area = (px * qy - qx * py) / 2;
    xx += (area * (px * px + px * qx + qx * qx)) / 6;
    yy += (area * (py * py + py * qy + qy * qy)) / 6;
    xy += (area * (2 * px * py + px * qy + qx * py + 2 * qx * qy)) / 12;
  });
  const half = Math.hypot((xx - yy) / 2, xy);
  const sum = Math.abs(xx + yy) / 2;
  const ratio = Math.sqrt((sum + half) / Math.max(sum - half, 1e-12));
  if (ratio < LONG) return null;
  const sign = Math.sign(xx + yy) || 1;
  const turn = (Math.atan2(sign * 2 * xy, sign * (xx - yy)) / 2) * (180 / Math.PI);
  return ((-turn % 180) + 180) % 180;
}

/** Biggest first, and a shape after the one that holds it: the order of drawing. */
export function bigToSmall(read: readonly ReadShape[]): ReadShape[] {
  return [...read].filter((r) => !r.shape.gap).sort((a, b) => b.share - a.share);
}

/** Least distance between the corners and sides of two outlines, px. */
function gapOf(a: readonly Point[], b: readonly Point[]): number {
  let least = Infinity;
  for (const [p, q] of [
    [a, b],
    [b, a],
  ])
    for (const [x, y] of p)
      q.forEach(([ux, uy], i) => {
        const [vx, vy] = q[(i + 1) % q.length];
        const [dx, dy] = [vx - ux, vy - uy];
        const t = Math.min(1, Math.max(0, ((x - ux) * dx + (y - uy) * dy) / (dx * dx + dy * dy || 1)));
        least = Math.min(least, Math.hypot(x - ux - t * dx, y - uy - t * dy));
      });
  return least;
}

/**
 * Which of two shapes that meet is whole: the basic shape of the one behind goes on under the one in front, so it reaches into the other's
 * outline where its own outline stops. What lies within another and touches its rim nowhere is simply on it.
 */
export function meetingsOf(read: readonly ReadShape[], [, , w, h]: Frame): Meeting[] {
  const things = read.filter((r) => !r.shape.gap);
  const byId = new Map(read.map((r) => [r.shape.id, r]));
  /** In it, or in something that is. */
  const liesIn = (inner: ReadShape, outer: ReadShape): boolean => {
    const holder = inner.within === null ? undefined : byId.get(inner.within);
    return holder !== undefined && (holder === outer || liesIn(holder, outer));
  };
  return things.flatMap((a, i) =>
    things.slice(i + 1).flatMap((b): Meeting[] => {
      if (liesIn(a, b) || liesIn(b, a)) return [];
      const [p, q] = [a.shape.outline, b.shape.outline];
      const smaller = Math.min(Math.abs(signedArea(p)), Math.abs(signedArea(q)));
      const shared = sharedArea(p, q) / smaller;
      if (shared < 0.005 && gapOf(p, q) > TOUCH * Math.max(w, h)) return [];
      const [under, over] = [sharedArea(a.drawn.outline, q), sharedArea(b.drawn.outline, p)];
      const [front, back] = under >= over ? [b, a] : [a, b];
      const sure = Math.max(under, over) > CLEARLY * Math.max(Math.min(under, over), 0.01 * smaller);
      return [{ front: front.shape.id, back: back.shape.id, shared, sure }];
    }),
  );
}

/** In which order shapes are drawn: by size, or from one to the next that hangs from it. */
export const ORDERS = ['size', 'relations'] as const;
export type Order = (typeof ORDERS)[number];

/** From the biggest on always the biggest that lies in, or meets, something that is drawn already; where nothing does, the biggest that is left. */
function byRelations(read: readonly ReadShape[], meetings: readonly Meeting[]): ReadShape[] {
  const left = bigToSmall(read);
  const out: ReadShape[] = [];
  const hangs = ({ shape: { id }, within }: ReadShape) =>
    out.some(
      (o) =>
        o.shape.id === within ||
        o.within === id ||
        meetings.some((m) => [m.front, m.back].includes(id) && [m.front, m.back].includes(o.shape.id)),
    );
  while (left.length) out.push(...left.splice(Math.max(0, left.findIndex(hangs)), 1));
  return out;
}

/** The shapes in the order they are drawn; gaps are not drawn. */
export const drawn = (read: readonly ReadShape[], meetings: readonly Meeting[], order: Order): ReadShape[] =>
  order === 'size' ? bigToSmall(read) : byRelations(read, meetings);

/** What the whole composition does on the sheet, from the outlines of its things. */
export interface Whole {
  /** The basic shape that the hull of everything fills best. */
  shape: FittedShape;
  /** Free sheet at each side, of the frame's width or height. */
  free: Bounds;
  /** Edges that something reaches. */
  touched: readonly ('left' | 'top' | 'right' | 'bottom')[];
  /** Middle of all, in thirds from the upper left. */
  third: { column: number; row: number };
}

const SIDES = ['left', 'top', 'right', 'bottom'] as const;

/** Null where there is no shape yet. */
export function wholeOf(read: readonly ReadShape[], frame: Frame): Whole | null {
  const things = read.filter((r) => !r.shape.gap);
  if (!things.length) return null;
  const [x, y, w, h] = frame;
  const hull = convexHull(things.flatMap((r) => r.shape.outline));
  const box = inFrame(boundsOf(hull), frame);
  const free = {
    left: Math.max(0, box.left),
    top: Math.max(0, box.top),
    right: Math.max(0, 1 - box.right),
    bottom: Math.max(0, 1 - box.bottom),
  };
  const [cx, cy] = centroid(hull);
  const third = (v: number) => Math.min(2, Math.max(0, Math.floor(3 * v)));
  return {
    shape: fitShapes(hull, FULL_KINDS)[0],
    free,
    touched: SIDES.filter((side) => free[side] < TOUCH),
    third: { column: third((cx - x) / w), row: third((cy - y) / h) },
  };
}
