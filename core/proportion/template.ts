/** What a landmark template is made of, and the few lengths and angles its measures are put together from. */
import { Landmarks } from './align';

type Unit = 'ratio' | 'heads' | 'degrees' | 'offset';
/** A length in px, a ratio or an angle in degrees; null where a point it needs is missing. */
type Maybe = number | null;
type Point = readonly [number, number];

/** A line on the picture, and what it is to a measure: the length itself, what that is held against, or a help from a point to its axis. */
export interface MeasureLine {
  from: Point;
  to: Point;
  as: 'length' | 'unit' | 'help';
}

/** What is read from the points that are placed. */
export interface Reading {
  (points: Landmarks): Maybe;
  /** Where on the picture it is read; nothing where a point it needs is missing. */
  lines: (points: Landmarks) => MeasureLine[];
  /** Where a length ends that is counted from the axis' beginning. */
  end: (points: Landmarks) => Point | null;
}

const nowhere = () => null;

/** A reading of its own, shown by these lines. */
export const shownBy = (of: (points: Landmarks) => Maybe, lines: Reading['lines'], end: Reading['end'] = nowhere): Reading =>
  Object.assign((points: Landmarks) => of(points), { lines, end });

export interface TemplatePoint {
  name: string;
  /** Where the point usually stands, 0–1 of the figure's own box, for a first guess. */
  at: readonly [number, number];
  /** What it moves with when a part follows the manner more or less than the rest. */
  part: string;
}

export interface Measure {
  name: string;
  unit: Unit;
  of: Reading;
  /** Nature's proportion by common practice, no source; null where there is none. */
  canon: number | null;
  /** Vitruvius, De architectura III.1, where he gives a figure for the same measure. */
  vitruvius?: number;
}

/** What each is called stands in `words/`: `templates`, `points`, `parts` by template, `features.proportion` by measure. */
export interface Template {
  parts: readonly string[];
  /** In the order they are placed. */
  points: readonly TemplatePoint[];
  /** In the order they are told. */
  measures: readonly Measure[];
}

const get = (points: Landmarks, name: string): Point | null => (Object.hasOwn(points, name) ? points[name] : null);

/** Points of a template in placing order, each with its part. */
export const pointsOf = (...rows: readonly (readonly [name: string, part: string, x: number, y: number])[]): TemplatePoint[] =>
  rows.map(([name, part, x, y]) => ({ name, part, at: [x, y] }));

const line = (from: Point | null, to: Point | null, as: MeasureLine['as'] = 'length'): MeasureLine[] =>
  from && to ? [{ from, to, as }] : [];

/** Straight from one point to another. */
export const between = (a: string, b: string): Reading =>
  shownBy(
    (points) => {
      const [p, q] = [get(points, a), get(points, b)];
      return p && q ? Math.hypot(q[0] - p[0], q[1] - p[1]) : null;
    },
    (points) => line(get(points, a), get(points, b)),
    (points) => get(points, b),
  );

/** How far a point lies along the way from one point toward another. */
export const along = ([from, to]: readonly [string, string], name: string): Reading => {
  const read = (points: Landmarks): Maybe => {
    const [p, q, at] = [get(points, from), get(points, to), get(points, name)];
    const length = between(from, to)(points);
    return p && q && at && length ? ((at[0] - p[0]) * (q[0] - p[0]) + (at[1] - p[1]) * (q[1] - p[1])) / length : null;
  };
  /** Where on the axis the point stands. */
  const foot = (points: Landmarks): Point | null => {
    const [p, q, far, length] = [get(points, from), get(points, to), read(points), between(from, to)(points)];
    return p && q && far !== null && length ? [p[0] + (far / length) * (q[0] - p[0]), p[1] + (far / length) * (q[1] - p[1])] : null;
  };
  return shownBy(read, (points) => [...line(get(points, from), foot(points)), ...line(foot(points), get(points, name), 'help')], foot);
};

/** Angle of a line against level, −90 to 90°, anticlockwise positive as seen. */
export const tilt = (a: string, b: string): Reading =>
  shownBy(
    (points) => {
      const [p, q] = [get(points, a), get(points, b)];
      if (!p || !q || (p[0] === q[0] && p[1] === q[1])) return null;
      let t = (Math.atan2(p[1] - q[1], q[0] - p[0]) * 180) / Math.PI;
      if (t > 90) t -= 180;
      if (t <= -90) t += 180;
      return t;
    },
    (points) => {
      const [p, q] = [get(points, a), get(points, b)];
      return p && q ? [...line(p, q), ...line(p, [q[0], p[1]], 'unit')] : [];
    },
  );

const both = (a: Reading, b: Reading, of: (a: number, b: number) => Maybe, lines: Reading['lines'], end?: Reading['end']): Reading =>
  shownBy(
    (points) => {
      const [x, y] = [a(points), b(points)];
      return x === null || y === null ? null : of(x, y);
    },
    lines,
    end,
  );

/** Lengths under a millionth of a pixel are points that lie on each other, not a unit to measure by. */
const NOTHING = 1e-6;
export const over = (a: Reading, b: Reading): Reading =>
  both(
    a,
    b,
    (x, y) => (Math.abs(y) < NOTHING ? null : x / y),
    (points) => [...a.lines(points), ...b.lines(points).map((l): MeasureLine => (l.as === 'length' ? { ...l, as: 'unit' } : l))],
  );
export const sum = (a: Reading, b: Reading): Reading =>
  both(
    a,
    b,
    (x, y) => x + y,
    (points) => [...a.lines(points), ...b.lines(points)],
  );
/** From the first to the second. */
export const span = (from: Reading, to: Reading): Reading =>
  both(
    from,
    to,
    (x, y) => y - x,
    (points) => [...line(from.end(points), to.end(points)), ...[...from.lines(points), ...to.lines(points)].filter((l) => l.as === 'help')],
  );

const meanOf = (values: readonly number[]): Maybe => (values.length ? values.reduce((a, b) => a + b, 0) / values.length : null);

const middleOf = (ends: readonly (Point | null)[]): Point | null => {
  const known = ends.filter((p): p is Point => p !== null);
  const [x, y] = [0, 1].map((k) => meanOf(known.map((p) => p[k])));
  return x === null || y === null ? null : [x, y];
};

const mean = (of: readonly Reading[], values: (points: Landmarks) => Maybe): Reading =>
  shownBy(
    values,
    (points) => of.flatMap((r) => r.lines(points)),
    (points) => middleOf(of.map((r) => r.end(points))),
  );

/** Mean of those that can be read: of a pair, one side may be hidden. */
export const meanOfKnown = (...of: readonly Reading[]): Reading =>
  mean(of, (points) => meanOf(of.map((f) => f(points)).filter((v): v is number => v !== null)));

/** Mean where every one can be read. */
export const meanOfAll = (...of: readonly Reading[]): Reading =>
  mean(of, (points) => {
    const values = of.map((f) => f(points));
    return values.every((v): v is number => v !== null) ? meanOf(values) : null;
  });

/** The first of these that can be read. */
export const either = (...of: readonly Reading[]): Reading => {
  const first = (points: Landmarks) => of.find((f) => f(points) !== null);
  return shownBy(
    (points) => first(points)?.(points) ?? null,
    (points) => first(points)?.lines(points) ?? [],
    (points) => first(points)?.end(points) ?? null,
  );
};
