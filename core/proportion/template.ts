/** What a landmark template is made of, and the few lengths and angles its measures are put together from. */
import { Landmarks } from './align';

type Unit = 'ratio' | 'heads' | 'degrees' | 'offset' | 'count';
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
  /** Which words tell it, where another template's measure of the same name is another thing; else its name. */
  said?: string;
  unit: Unit;
  of: Reading;
  /** Nature's proportion by common practice, no source; null where there is none. */
  canon: number | null;
  /** Vitruvius, De architectura III.1, where he gives a figure for the same measure. */
  vitruvius?: number;
  /** What two equal sides would give, where it holds one side of a pair against the other. */
  even?: number;
}

/** What each is called stands in `words/`: `templates`, `points`, `parts` by template, `features.proportion` by what the measure is `said` as. */
export interface Template {
  /** Left and right are two sides of one thing: a point is expected where its twin is mirrored. */
  symmetric?: boolean;
  parts: readonly string[];
  /** In the order they are placed. */
  points: readonly TemplatePoint[];
  /** Points that are joined in the diagram and over a picture. */
  joined: readonly (readonly string[])[];
  /** What the points stand on in the diagram: SVG paths in hundredths of the figure's own box. */
  drawing: readonly string[];
  /** In the order they are told. */
  measures: readonly Measure[];
  /** What stands under or level with what in nature, by common practice, no source; `inner` of a pair lies toward the other one. */
  stands?: readonly Stand[];
  /** Ends of the unit that distances from plumb and level lines are told in: a head. */
  unit?: readonly [string, string];
}

export interface Stand {
  point: string;
  /** What it stands under, or level with. */
  of: string;
  as: 'under' | 'level';
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

/** The same without its sign: what leans to either side alike. */
export const unsigned = (of: Reading): Reading =>
  shownBy(
    (points) => {
      const value = of(points);
      return value === null ? null : Math.abs(value);
    },
    of.lines,
    of.end,
  );

/** So many times a reading. */
export const times = (k: number, of: Reading): Reading =>
  shownBy(
    (points) => {
      const value = of(points);
      return value === null ? null : k * value;
    },
    of.lines,
    of.end,
  );

/** Level, or plumb: how far two points lie apart along one axis of the sheet, drawn from the first, with a help to the second. */
const apartOn = (axis: 0 | 1, a: string, b: string): Reading => {
  const foot = (points: Landmarks): Point | null => {
    const [p, q] = [get(points, a), get(points, b)];
    return p && q ? (axis ? [p[0], q[1]] : [q[0], p[1]]) : null;
  };
  return shownBy(
    (points) => {
      const [p, q] = [get(points, a), get(points, b)];
      return p && q ? Math.abs(q[axis] - p[axis]) : null;
    },
    (points) => [...line(get(points, a), foot(points)), ...line(foot(points), get(points, b), 'help')],
    foot,
  );
};
export const level = (a: string, b: string): Reading => apartOn(0, a, b);
export const plumb = (a: string, b: string): Reading => apartOn(1, a, b);

/** Where a point stands between two others along the level, 0 at the first and 1 at the second. */
export const placeBetween = ([from, to]: readonly [string, string], name: string): Reading =>
  shownBy(
    (points) => {
      const [p, q, at] = [get(points, from), get(points, to), get(points, name)];
      return p && q && at && Math.abs(q[0] - p[0]) >= NOTHING ? (at[0] - p[0]) / (q[0] - p[0]) : null;
    },
    (points) => {
      const [p, q, at] = [get(points, from), get(points, to), get(points, name)];
      return p && q && at
        ? [
            ...line(p, [at[0], p[1]]),
            ...line(p, [q[0], p[1]], 'unit'),
            ...line([at[0], p[1]], at, 'help'),
            ...line([q[0], p[1]], q, 'help'),
          ]
        : [];
    },
  );

/** Angle at a point between the ways to two others, 0 to 180°. */
export const corner = (a: string, at: string, b: string): Reading =>
  shownBy(
    (points) => {
      const [p, m, q] = [get(points, a), get(points, at), get(points, b)];
      if (!p || !m || !q) return null;
      const [ux, uy, vx, vy] = [p[0] - m[0], p[1] - m[1], q[0] - m[0], q[1] - m[1]];
      return (ux || uy) && (vx || vy) ? (Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)) * 180) / Math.PI : null;
    },
    (points) => [...line(get(points, at), get(points, a)), ...line(get(points, at), get(points, b), 'unit')],
  );

/** The corners of the picture's frame among the points; no point of a template is so named. */
const [FRAME_START, FRAME_END] = ['frame-start', 'frame-end'];

/** The points with the corners of the frame they are read in, [x, y, w, h] px. */
export const framed = (points: Landmarks, frame: readonly [number, number, number, number] | null): Landmarks =>
  frame ? { ...points, [FRAME_START]: [frame[0], frame[1]], [FRAME_END]: [frame[0] + frame[2], frame[1] + frame[3]] } : points;

export const frameWidth = level(FRAME_START, FRAME_END);
export const frameHeight = plumb(FRAME_START, FRAME_END);

const fromFrame = (axis: 0 | 1, names: readonly string[], corner: string, size: Reading): Reading =>
  over(
    shownBy(
      (points) => {
        const [edge, at] = [get(points, corner), middleOf(names.map((n) => get(points, n)))];
        return edge && at && names.every((n) => get(points, n)) ? Math.abs(at[axis] - edge[axis]) : null;
      },
      (points) => {
        const [edge, at] = [get(points, corner), middleOf(names.map((n) => get(points, n)))];
        return edge && at ? line(axis ? [at[0], edge[1]] : [edge[0], at[1]], at) : [];
      },
    ),
    size,
  );
/** How far down the frame, or across it, the middle of these points stands, 0 to 1; and how far up from its lower edge, or back from its right one. */
export const downFrame = (...names: string[]): Reading => fromFrame(1, names, FRAME_START, frameHeight);
export const acrossFrame = (...names: string[]): Reading => fromFrame(0, names, FRAME_START, frameWidth);
export const upFrame = (...names: string[]): Reading => fromFrame(1, names, FRAME_END, frameHeight);
export const backFrame = (...names: string[]): Reading => fromFrame(0, names, FRAME_END, frameWidth);

/** A box by the four points that end it, px: left, top, right, bottom; null where one is missing. */
export type Box = readonly [left: number, top: number, right: number, bottom: number];
export const boxOf = (points: Landmarks, name: string): Box | null => {
  const [l, t, r, b] = ['left', 'top', 'right', 'bottom'].map((side) => get(points, `${name}-${side}`));
  return l && t && r && b ? [Math.min(l[0], r[0]), Math.min(t[1], b[1]), Math.max(l[0], r[0]), Math.max(t[1], b[1])] : null;
};
export const boxLines = ([l, t, r, b]: Box, as: MeasureLine['as'] = 'length'): MeasureLine[] => [
  ...line([l, t], [r, t], as),
  ...line([r, t], [r, b], as),
  ...line([r, b], [l, b], as),
  ...line([l, b], [l, t], as),
];
