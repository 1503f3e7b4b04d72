/** Knows what a teacher's own template is made of, and makes a template of it like any of the house. */
import {
  acrossFrame,
  backFrame,
  between,
  Box,
  boxLines,
  corner,
  downFrame,
  frameHeight,
  frameWidth,
  Measure,
  MeasureLine,
  over,
  Reading,
  shownBy,
  Template,
  tilt,
  unsigned,
  upFrame,
} from './template';
import type { Landmarks } from './align';

const START = 'own-';

/** What a set of points of a teacher's template has as its template. */
export const ownKey = (id: string): string => `${START}${id}`;

/** Of which one a set is, by its template; null for one of the house. */
export const ownId = (template: string): string | null => (template.startsWith(START) ? template.slice(START.length) : null);

export const OWN_KINDS = ['ratio', 'level', 'plumb', 'corner', 'under', 'levelWith', 'share', 'edge', 'middle'] as const;
export type OwnKind = (typeof OWN_KINDS)[number];
export const EDGES = ['left', 'top', 'right', 'bottom', 'nearest'] as const;
export const MIDDLES = ['across', 'down'] as const;

/** A measure put together from points by their names. */
export interface OwnMeasure {
  /** Names it in features and rules, whatever it is called. */
  id: string;
  name: string;
  kind: OwnKind;
  /** The two points it is read between; of `edge` and `middle` the one; of a corner the three, its middle one second. */
  points: readonly string[];
  /** What a ratio is held against: two points, or null for the template's unit. */
  against: readonly [string, string] | null;
  /** From which edge, or from which middle line. */
  from: (typeof EDGES)[number] | (typeof MIDDLES)[number] | null;
  /** Nature's proportion, where the teacher knows one. */
  canon: number | null;
}

export const SHAPES = ['line', 'box', 'oval', 'triangle'] as const;
/** A line through two or more points, a box or an oval between two corners, a triangle of three. */
export interface OwnShape {
  as: (typeof SHAPES)[number];
  points: readonly string[];
}

export interface OwnTemplate {
  name: string;
  /** In the order they are placed; where each usually stands, 0–1 of the whole. */
  points: readonly { name: string; at: readonly [number, number] }[];
  shapes: readonly OwnShape[];
  /** The two points whose distance is one; null where there is none yet. */
  unit: readonly [string, string] | null;
  measures: readonly OwnMeasure[];
}

/** How many points each kind of measure is read from, and how it is counted. */
export const NEEDS: Readonly<
  Record<OwnKind, { points: 1 | 2 | 3; unit: Measure['unit']; from: readonly string[] | null; byUnit: boolean }>
> = {
  ratio: { points: 2, unit: 'ratio', from: null, byUnit: true },
  level: { points: 2, unit: 'degrees', from: null, byUnit: false },
  plumb: { points: 2, unit: 'degrees', from: null, byUnit: false },
  corner: { points: 3, unit: 'degrees', from: null, byUnit: false },
  under: { points: 2, unit: 'offset', from: null, byUnit: true },
  levelWith: { points: 2, unit: 'offset', from: null, byUnit: true },
  share: { points: 2, unit: 'ratio', from: null, byUnit: false },
  edge: { points: 1, unit: 'ratio', from: EDGES, byUnit: false },
  middle: { points: 1, unit: 'offset', from: MIDDLES, byUnit: false },
};

const at = (points: Landmarks, name: string) => (Object.hasOwn(points, name) ? points[name] : null);

/** How far the first point stands to the right of the second, or above it, px; drawn along the sheet. */
const offset = (axis: 0 | 1, a: string, b: string): Reading =>
  shownBy(
    (points) => {
      const [p, q] = [at(points, a), at(points, b)];
      return p && q ? (axis ? q[1] - p[1] : p[0] - q[0]) : null;
    },
    (points) => {
      const [p, q] = [at(points, a), at(points, b)];
      if (!p || !q) return [];
      const foot: [number, number] = axis ? [p[0], q[1]] : [q[0], p[1]];
      return [
        { from: foot, to: p, as: 'length' },
        { from: q, to: foot, as: 'help' },
      ];
    },
  );

/** Signed distance from a middle line of the frame, to the right or upward, of the frame's width or height. */
const fromMiddle = (axis: 0 | 1, name: string): Reading => {
  const place = axis ? downFrame(name) : acrossFrame(name);
  return shownBy((points) => {
    const value = place(points);
    return value === null ? null : axis ? 0.5 - value : value - 0.5;
  }, place.lines);
};

/** Share of the frame that the box between two corners takes up. */
const boxShare = (a: string, b: string): Reading => {
  const box = (points: Landmarks): Box | null => {
    const [p, q] = [at(points, a), at(points, b)];
    return p && q && [Math.min(p[0], q[0]), Math.min(p[1], q[1]), Math.max(p[0], q[0]), Math.max(p[1], q[1])];
  };
  return shownBy(
    (points) => {
      const [there, w, h] = [box(points), frameWidth(points), frameHeight(points)];
      return there && w && h ? ((there[2] - there[0]) * (there[3] - there[1])) / (w * h) : null;
    },
    (points): MeasureLine[] => {
      const there = box(points);
      return there ? boxLines(there) : [];
    },
  );
};

/** How far a point lies from the nearest edge of the frame, of its short side. */
const fromNearest = (name: string): Reading => {
  const sides: [Reading, Reading][] = [
    [acrossFrame(name), frameWidth],
    [downFrame(name), frameHeight],
    [backFrame(name), frameWidth],
    [upFrame(name), frameHeight],
  ];
  const px = (points: Landmarks) =>
    sides.map(([part, size]) => {
      const [p, s] = [part(points), size(points)];
      return p === null || s === null ? Infinity : p * s;
    });
  return shownBy(
    (points) => {
      const [least, w, h] = [Math.min(...px(points)), frameWidth(points), frameHeight(points)];
      return Number.isFinite(least) && w && h ? least / Math.min(w, h) : null;
    },
    (points) => {
      const all = px(points);
      return sides[all.indexOf(Math.min(...all))][0].lines(points);
    },
  );
};

/** How far a point lies from each edge of the frame. */
const FROM_EDGE = { left: acrossFrame, top: downFrame, right: backFrame, bottom: upFrame, nearest: fromNearest };

function readingOf({ kind, points: [a, b = a, c = b], against, from }: OwnMeasure, unit: OwnTemplate['unit']): Reading | null {
  const by = against ?? unit;
  switch (kind) {
    case 'ratio':
      return by && over(between(a, b), between(...by));
    case 'level':
      return tilt(a, b);
    case 'plumb': {
      const slope = unsigned(tilt(a, b));
      return shownBy((points) => {
        const value = slope(points);
        return value === null ? null : 90 - value;
      }, slope.lines);
    }
    case 'corner':
      return corner(a, b, c);
    case 'under':
      return by && over(offset(0, a, b), between(...by));
    case 'levelWith':
      return by && over(offset(1, a, b), between(...by));
    case 'share':
      return boxShare(a, b);
    case 'edge':
      return from && from in FROM_EDGE ? FROM_EDGE[from as keyof typeof FROM_EDGE](a) : null;
    case 'middle':
      return fromMiddle(from === 'down' ? 1 : 0, a);
  }
}

const joined = ({ as, points }: OwnShape): string[] => (as === 'triangle' ? [...points, points[0]] : as === 'line' ? [...points] : []);

/** A shape as an SVG path through its points' places; nothing while one of them is missing. */
export function shapePath({ as, points }: OwnShape, places: Landmarks): string {
  const list = points.flatMap((n) => (at(places, n) ? [at(places, n)!] : []));
  if (list.length < points.length || list.length < 2) return '';
  const [[x, y], [u, v]] = list;
  if (as === 'box') return `M${x} ${y}L${u} ${y}L${u} ${v}L${x} ${v}Z`;
  if (as === 'oval') {
    const [rx, ry] = [Math.abs(u - x) / 2, Math.abs(v - y) / 2];
    const [cx, cy] = [(x + u) / 2, (y + v) / 2];
    return `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z`;
  }
  return list.map(([px, py], i) => `${i ? 'L' : 'M'}${px} ${py}`).join('') + (as === 'triangle' ? 'Z' : '');
}

/** The template; a measure that lacks its unit is left out. */
export function templateFrom({ points, shapes, unit, measures }: OwnTemplate): Template {
  const usual: Landmarks = Object.fromEntries(points.map((p) => [p.name, [100 * p.at[0], 100 * p.at[1]] as const]));
  return {
    parts: ['all'],
    ...(unit && { unit }),
    points: points.map(({ name, at: place }) => ({ name, at: place, part: 'all' })),
    joined: shapes.map(joined).filter((names) => names.length > 1),
    drawing: shapes.map((s) => shapePath(s, usual)).filter(Boolean),
    measures: measures.flatMap((m): Measure[] => {
      const of = readingOf(m, unit);
      return of ? [{ name: m.id, unit: NEEDS[m.kind].unit, of, canon: m.kind === 'ratio' ? m.canon : null }] : [];
    }),
  };
}
