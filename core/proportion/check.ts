/**
 * Knows where a drawing departs from its source, point by point and part by part, once the one is laid over the other: what has grown against the
 * whole, what sits too high or too far to a side, and which line has turned.
 */
import { Amount, amount, Message, message, Typed } from '../message';
import { align, Alignment, applyAlignment, extentOf, Landmarks } from './align';
import type { Template } from './template';

type Point = readonly [number, number];

/** How much may be off before it is told: a part of the whole's extent, and degrees. */
export interface Allowed {
  part: number;
  degrees: number;
}

/** A point that both have: where the source has it, laid over the drawing, and where the drawing has it; px of the drawing. */
interface Moved {
  name: string;
  from: Point;
  to: Point;
  far: number;
}

interface PartCheck {
  part: string;
  /** Size against the source's, beside that of the whole; null where the part has one point only. */
  size: number | null;
  /** How far its middle lies from where the source has it, px of the drawing, right and down. */
  shift: Point;
}

interface LineCheck {
  from: string;
  to: string;
  /** Degrees it is turned by against the source's, anticlockwise as seen positive, −90 to 90. */
  turned: number;
}

export interface Check {
  laid: Alignment;
  points: Moved[];
  parts: PartCheck[];
  lines: LineCheck[];
  /** What departs by more than is allowed, most first. */
  faults: Fault[];
  /** Extent of the drawing's points, px: what parts of the whole are of. */
  extent: number;
}

export type Fault = { times: number } & (
  | { kind: 'size'; part: string; size: number }
  | { kind: 'shift'; part: string; shift: Point }
  | { kind: 'turn'; from: string; to: string; turned: number }
);

/** A line shorter than this part of the whole is turned by the hand that places its points. */
const SHORTEST = 0.08;
/** Under so many shared points the one cannot be laid over the other and still differ. */
const FEWEST = 3;

/** The drawing's points held against the source's; null where they share fewer than three, or lie on each other. */
export function checkAgainst(
  { points: all, parts, joined }: Template,
  source: Landmarks,
  drawing: Landmarks,
  allowed: Allowed,
): Check | null {
  const shared = all.filter((p) => Object.hasOwn(source, p.name) && Object.hasOwn(drawing, p.name));
  const pick = (of: Landmarks, names: readonly { name: string }[]): Record<string, Point> =>
    Object.fromEntries(names.map(({ name }) => [name, of[name]]));
  const extent = shared.length ? extentOf(shared.map((p) => drawing[p.name])) : 0;
  if (shared.length < FEWEST || !(extent > 0) || !(extentOf(shared.map((p) => source[p.name])) > 0)) return null;
  const laid = align(pick(source, shared), pick(drawing, shared));
  if (!(laid.scale > 0)) return null;
  const points = shared.map(({ name }): Moved => {
    const from = applyAlignment(laid, source[name]);
    const to = drawing[name];
    return { name, from, to, far: Math.hypot(to[0] - from[0], to[1] - from[1]) };
  });
  const place = new Map(points.map((p) => [p.name, p]));
  const checked = parts.flatMap((part): PartCheck[] => {
    const here = shared.filter((p) => p.part === part);
    if (!here.length) return [];
    const mean = (k: 0 | 1) => here.reduce((s, p) => s + place.get(p.name)!.to[k] - place.get(p.name)!.from[k], 0) / here.length;
    const sized = here.length > 1 && here.length < shared.length && extentOf(here.map((p) => source[p.name])) > 0;
    const size = sized ? align(pick(source, here), pick(drawing, here)).scale / laid.scale : null;
    return [{ part, size: size !== null && size > 0 ? size : null, shift: [mean(0), mean(1)] }];
  });
  const lines = joined.flatMap((names) =>
    names.slice(1).flatMap((to, i): LineCheck[] => {
      const [a, b] = [place.get(names[i]), place.get(to)];
      if (!a || !b) return [];
      const [u, v] = [
        [b.from[0] - a.from[0], b.from[1] - a.from[1]],
        [b.to[0] - a.to[0], b.to[1] - a.to[1]],
      ];
      if (Math.hypot(u[0], u[1]) < SHORTEST * extent || Math.hypot(v[0], v[1]) < SHORTEST * extent) return [];
      const turned = (-Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]) * 180) / Math.PI;
      return [{ from: names[i], to, turned }];
    }),
  );
  const faults: Fault[] = [
    ...checked.flatMap(({ part, size }) =>
      size === null ? [] : [{ kind: 'size' as const, part, size, times: Math.abs(Math.log(size)) / Math.log(1 + allowed.part) }],
    ),
    ...checked.map(({ part, shift }) => ({
      kind: 'shift' as const,
      part,
      shift,
      times: Math.hypot(...shift) / (allowed.part * extent),
    })),
    ...lines.map(({ from, to, turned }) => ({ kind: 'turn' as const, from, to, turned, times: Math.abs(turned) / allowed.degrees })),
  ];
  return { laid, points, parts: checked, lines, faults: faults.filter((f) => f.times > 1).sort((a, b) => b.times - a.times), extent };
}

/** What names a point and a part; how long a length of the drawing is, in mm or as a part of the whole. */
interface Naming {
  point: (name: string) => Message | Typed;
  part: (name: string) => Message | Typed;
  length: (px: number) => Amount;
}

/** A fault in words: "head: 12 % larger against the whole." */
export function sayFault(fault: Fault, { point, part, length }: Naming): Message {
  if (fault.kind === 'size')
    return message('check.size', {
      part: part(fault.part),
      by: amount(Math.abs(fault.size - 1), 'share'),
      way: fault.size > 1 ? 'larger' : 'smaller',
    });
  if (fault.kind === 'turn')
    return message('check.turn', {
      from: point(fault.from),
      to: point(fault.to),
      by: amount(Math.abs(fault.turned), 'degrees'),
      way: fault.turned > 0 ? 'anticlockwise' : 'clockwise',
    });
  const [x, y] = fault.shift;
  const level = Math.abs(x) >= Math.abs(y);
  return message('check.shift', {
    part: part(fault.part),
    by: length(Math.hypot(x, y)),
    way: level ? (x > 0 ? 'right' : 'left') : y > 0 ? 'low' : 'high',
  });
}

/** The source's places in a drawing, its picture registered with the source's: where px 0, 0 and one px to the right and down of it come to lie. */
export const registeredInto = (
  points: Landmarks,
  [o, right, down]: readonly (readonly [number, number])[],
): Record<string, [number, number]> =>
  Object.fromEntries(
    Object.entries(points).map(([name, [x, y]]) => [
      name,
      [0, 1].map((k) => o[k] + x * (right[k] - o[k]) + y * (down[k] - o[k])) as [number, number],
    ]),
  );

/** The source's places in a drawing nobody has placed points in: the source's frame laid into the drawing's, as large as it goes. */
export function carriedInto(
  points: Landmarks,
  source: readonly [number, number],
  drawing: readonly [number, number],
): Record<string, [number, number]> {
  const k = Math.min(drawing[0] / source[0], drawing[1] / source[1]);
  const [dx, dy] = [(drawing[0] - k * source[0]) / 2, (drawing[1] - k * source[1]) / 2];
  return Object.fromEntries(Object.entries(points).map(([name, [x, y]]) => [name, [k * x + dx, k * y + dy]]));
}
