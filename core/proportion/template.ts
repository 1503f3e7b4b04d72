/** What a landmark template is made of, and the few lengths and angles its measures are put together from. */
import { Landmarks } from './align';

type Unit = 'ratio' | 'heads' | 'degrees' | 'offset';
/** A length in px, a ratio or an angle in degrees; null where a point it needs is missing. */
type Maybe = number | null;
/** What is read from the points that are placed. */
export type Reading = (points: Landmarks) => Maybe;

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

type Point = readonly [number, number];
const get = (points: Landmarks, name: string): Point | null => (Object.hasOwn(points, name) ? points[name] : null);

/** Points of a template in placing order, each with its part. */
export const pointsOf = (...rows: readonly (readonly [name: string, part: string, x: number, y: number])[]): TemplatePoint[] =>
  rows.map(([name, part, x, y]) => ({ name, part, at: [x, y] }));

/** Straight from one point to another. */
export const between =
  (a: string, b: string): Reading =>
  (points) => {
    const [p, q] = [get(points, a), get(points, b)];
    return p && q ? Math.hypot(q[0] - p[0], q[1] - p[1]) : null;
  };

/** How far a point lies along the way from one point toward another. */
export const along =
  ([from, to]: readonly [string, string], name: string): Reading =>
  (points) => {
    const [p, q, at] = [get(points, from), get(points, to), get(points, name)];
    const length = between(from, to)(points);
    return p && q && at && length ? ((at[0] - p[0]) * (q[0] - p[0]) + (at[1] - p[1]) * (q[1] - p[1])) / length : null;
  };

/** Angle of a line against level, −90 to 90°, anticlockwise positive as seen. */
export const tilt =
  (a: string, b: string): Reading =>
  (points) => {
    const [p, q] = [get(points, a), get(points, b)];
    if (!p || !q || (p[0] === q[0] && p[1] === q[1])) return null;
    let t = (Math.atan2(p[1] - q[1], q[0] - p[0]) * 180) / Math.PI;
    if (t > 90) t -= 180;
    if (t <= -90) t += 180;
    return t;
  };

const both =
  (a: Reading, b: Reading, of: (a: number, b: number) => Maybe): Reading =>
  (points) => {
    const [x, y] = [a(points), b(points)];
    return x === null || y === null ? null : of(x, y);
  };

/** Lengths under a millionth of a pixel are points that lie on each other, not a unit to measure by. */
const NOTHING = 1e-6;
export const over = (a: Reading, b: Reading): Reading => both(a, b, (x, y) => (Math.abs(y) < NOTHING ? null : x / y));
export const sum = (a: Reading, b: Reading): Reading => both(a, b, (x, y) => x + y);
/** From the first to the second. */
export const span = (from: Reading, to: Reading): Reading => both(from, to, (x, y) => y - x);

const meanOf = (values: readonly number[]): Maybe => (values.length ? values.reduce((a, b) => a + b, 0) / values.length : null);

/** Mean of those that can be read: of a pair, one side may be hidden. */
export const meanOfKnown =
  (...of: readonly Reading[]): Reading =>
  (points) =>
    meanOf(of.map((f) => f(points)).filter((v): v is number => v !== null));

/** Mean where every one can be read. */
export const meanOfAll =
  (...of: readonly Reading[]): Reading =>
  (points) => {
    const values = of.map((f) => f(points));
    return values.every((v): v is number => v !== null) ? meanOf(values) : null;
  };

/** The first of these that can be read. */
export const either =
  (...of: readonly Reading[]): Reading =>
  (points) => {
    for (const f of of) {
      const v = f(points);
      if (v !== null) return v;
    }
    return null;
  };
