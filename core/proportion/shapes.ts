/** Knows which basic shape an outline is nearest to: ellipse, triangle, rectangle, trapezoid, egg or bent oval. */
import { CoreError } from '../errors';
import { Point } from '../raster/image';
import { enclosingTriangles } from './triangle';
import { fitEllipse } from './ellipse';
import { minimise } from './nelderMead';
import { centroid, clippedArea, convexHull, overlapWithConvex, signedArea } from './polygon';
import { minimumRectangle } from './rectangle';

export const SHAPE_KINDS = ['ellipse', 'triangle', 'rectangle', 'trapezoid', 'egg', 'bent-oval'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];
/** The kinds that a hull, which has no hollow, can be. */
export const FULL_KINDS = ['ellipse', 'triangle', 'rectangle', 'trapezoid', 'egg'] as const satisfies readonly ShapeKind[];

export interface FittedShape {
  kind: ShapeKind;
  /** Intersection over union with the outline, 0–1. */
  overlap: number;
  parameters: Record<string, number | [number, number]>;
  outline: [number, number][];
}

const RAD = Math.PI / 180;
/** What a shape with more freedom must gain over the plainer one. */
const FREER = 0.02;
const ROUND = 48;
/** Into so many pieces across, each convex, a bent oval is cut. */
const PIECES = 16;
/** A bent oval's axis may turn by so many degrees at most; beyond, its ends would meet. */
const MOST_BEND = 270;

/** Places local (u along the angle as seen, v to its right hand) at a centre. */
function place(cx: number, cy: number, angle: number, local: readonly Point[]): Point[] {
  const [c, s] = [Math.cos(angle * RAD), -Math.sin(angle * RAD)];
  const out: Point[] = [];
  for (let i = 0; i < local.length; i++) out.push([cx + local[i][0] * c - local[i][1] * s, cy + local[i][0] * s + local[i][1] * c]);
  return out;
}

/** Cosine and sine of so many angles round. */
const AROUND = Array.from({ length: ROUND }, (_, i): Point => [Math.cos((2 * Math.PI * i) / ROUND), Math.sin((2 * Math.PI * i) / ROUND)]);

/** An oval about the middle: half as long and half as broad as this, broader toward one end by `skew`. */
function oval(along: number, across: number, skew: number): Point[] {
  const out: Point[] = [];
  for (let i = 0; i < ROUND; i++) out.push([along * AROUND[i][0], across * AROUND[i][1] * (1 + skew * AROUND[i][0])]);
  return out;
}

const outlines = {
  ellipse: ([cx, cy, rx, ry, angle]: readonly number[]) => place(cx, cy, angle, oval(rx, ry, 0)),
  rectangle: ([cx, cy, w, h, angle]: readonly number[]) =>
    place(cx, cy, angle, [
      [-w / 2, -h / 2],
      [w / 2, -h / 2],
      [w / 2, h / 2],
      [-w / 2, h / 2],
    ]),
  triangle: (p: readonly number[]): Point[] => [
    [p[0], p[1]],
    [p[2], p[3]],
    [p[4], p[5]],
  ],
  /** Two parallel sides of length top and bottom, `height` apart, the top slid by `slide`. */
  trapezoid: ([cx, cy, top, bottom, height, slide, angle]: readonly number[]) =>
    place(cx, cy, angle, [
      [slide - top / 2, -height / 2],
      [slide + top / 2, -height / 2],
      [bottom / 2, height / 2],
      [-bottom / 2, height / 2],
    ]),
  /** An ellipse whose width grows by `skew` toward one end of its length; convex for |skew| ≤ 0.5. */
  egg: ([cx, cy, length, width, skew, angle]: readonly number[]) => place(cx, cy, angle, oval(length / 2, width / 2, skew)),
};

/**
 * Cross sections of an ellipse whose long axis is an arc that turns by `bend` degrees, from its one end to the other: the two rim points
 * of each. A bend over 0 hollows the side of smaller v.
 */
function bentSections([cx, cy, length, width, bend, angle]: readonly number[], count: number): [Point, Point][] {
  const turn = bend * RAD;
  return Array.from({ length: count + 1 }, (_, i) => {
    const t = Math.PI * (1 - i / count);
    const [u, half] = [(length / 2) * Math.cos(t), (width / 2) * Math.sin(t)];
    const a = (turn * u) / length;
    // A point of the arc and its normal; straight where there is hardly any turn.
    const [x, y] = Math.abs(turn) < 1e-4 ? [u, 0] : [(length / turn) * Math.sin(a), (-length / turn) * (1 - Math.cos(a))];
    const normal: Point = [Math.sin(a), Math.cos(a)];
    const [p, q] = place(cx, cy, angle, [
      [x - half * normal[0], y - half * normal[1]],
      [x + half * normal[0], y + half * normal[1]],
    ]);
    return [p, q];
  });
}

const bentOutline = (x: readonly number[]): Point[] => {
  const sections = bentSections(x, ROUND / 2);
  return [
    ...sections.map(([p]) => p),
    ...sections
      .slice(1, -1)
      .map(([, q]) => q)
      .reverse(),
  ];
};

/** Intersection over union with a bent oval, by its convex pieces. */
function overlapWithBent(polygon: readonly Point[], x: readonly number[]): number {
  const sections = bentSections(x, PIECES);
  let both = 0;
  let own = 0;
  for (let i = 0; i < PIECES; i++) {
    const [[a, d], [b, c]] = [sections[i], sections[i + 1]];
    const piece = [a, b, c, d];
    own += Math.abs(signedArea(piece));
    both += clippedArea(polygon, piece);
  }
  const union = Math.abs(signedArea(polygon)) + own - both;
  return union > 0 ? both / union : 0;
}

const outlineOf = (kind: ShapeKind, x: readonly number[]): Point[] => (kind === 'bent-oval' ? bentOutline(x) : outlines[kind](x));

const overlapOf = (kind: ShapeKind, polygon: readonly Point[], x: readonly number[]): number =>
  kind === 'bent-oval' ? overlapWithBent(polygon, x) : overlapWithConvex(polygon, outlines[kind](x));

const POSITIVE: Record<ShapeKind, readonly number[]> = {
  ellipse: [2, 3],
  rectangle: [2, 3],
  triangle: [],
  trapezoid: [2, 3, 4],
  egg: [2, 3],
  'bent-oval': [2, 3],
};

/** What a shape is fitted to, and its size. */
interface Fit {
  kind: ShapeKind;
  polygon: readonly Point[];
  size: number;
}

/** How much a shape misses of an outline, 0–1; 2 for one that cannot be. */
function missed(x: readonly number[], { kind, polygon, size }: Fit): number {
  for (const i of POSITIVE[kind]) if (x[i] <= 0.02 * size) return 2;
  if (kind === 'egg' && Math.abs(x[4]) > 0.5) return 2;
  // The inner rim of a bend tighter than half its width would fold over itself.
  if (kind === 'bent-oval' && (Math.abs(x[4]) > MOST_BEND || Math.abs(x[4]) * RAD * x[3] > 2 * x[2])) return 2;
  return 1 - overlapOf(kind, polygon, x);
}

function refine(fit: Fit, starts: readonly number[][]): { x: number[]; overlap: number } {
  const { kind, size } = fit;
  const scale = (x: readonly number[]) =>
    x.map((_, i) => {
      if (kind !== 'triangle' && i === x.length - 1) return 8;
      if (kind === 'egg' && i === 4) return 0.15;
      if (kind === 'bent-oval' && i === 4) return 25;
      return 0.08 * size;
    });
  let best = { x: starts[0], f: Infinity };
  for (const start of starts) {
    let x = minimise(missed, fit, start, scale(start));
    // A second simplex from where the first settled escapes most false floors.
    x = minimise(
      missed,
      fit,
      x,
      scale(x).map((s) => s * -0.4),
      160,
    );
    const f = missed(x, fit);
    if (f < best.f) best = { x, f };
  }
  return { x: best.x, overlap: 1 - best.f };
}

/** The largest triangle on the hull's corners, and the smallest ones round it. */
function triangleStarts(hull: readonly Point[]): number[][] {
  const step = Math.max(1, Math.ceil(hull.length / 22));
  const h = hull.filter((_, i) => i % step === 0);
  const n = h.length;
  let inscribed = { area: 0, x: [...h[0], ...h[Math.floor(n / 3)], ...h[Math.floor((2 * n) / 3)]] };
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++)
      for (let k = j + 1; k < n; k++) {
        const inner = Math.abs(signedArea([h[i], h[j], h[k]]));
        if (inner > inscribed.area) inscribed = { area: inner, x: [...h[i], ...h[j], ...h[k]] };
      }
  const round = enclosingTriangles(h).slice(0, 2);
  return [inscribed.x, ...round.map(([a, b, c]) => [...a, ...b, ...c])];
}

/** The arc's turn without its sign, and the way along the axis on which it turns anticlockwise as seen. */
const bent = (bend: number, turned: number) => ({ bend: Math.abs(bend), angle: (((bend < 0 ? turned + 180 : turned) % 360) + 360) % 360 });

function shapeOf(kind: ShapeKind, x: number[], overlap: number): FittedShape {
  const outline = outlineOf(kind, x).map((p) => [p[0], p[1]] as [number, number]);
  const angle = (a: number, period = 180) => ((a % period) + period) % period;
  const parameters: FittedShape['parameters'] =
    kind === 'ellipse'
      ? x[2] >= x[3]
        ? { cx: x[0], cy: x[1], rx: x[2], ry: x[3], angle: angle(x[4]) }
        : { cx: x[0], cy: x[1], rx: x[3], ry: x[2], angle: angle(x[4] + 90) }
      : kind === 'rectangle'
        ? { cx: x[0], cy: x[1], w: x[2], h: x[3], angle: angle(x[4]) }
        : kind === 'egg'
          ? { cx: x[0], cy: x[1], length: x[2], width: x[3], skew: x[4], angle: angle(x[5], 360) }
          : kind === 'bent-oval'
            ? { cx: x[0], cy: x[1], length: x[2], width: x[3], ...bent(x[4], x[5]) }
            : Object.fromEntries(outline.map((p, i) => ['abcd'[i], p]));
  return { kind, overlap, parameters, outline };
}

/**
 * All six shapes (or those asked for) refined to the largest intersection over union with a simple outline (three or more points, in any
 * unit), best first. A trapezoid stands before a rectangle, an egg or a bent oval before an ellipse, only if it gains 0.02.
 */
export function fitShapes(points: readonly Point[], kinds: readonly ShapeKind[] = SHAPE_KINDS): FittedShape[] {
  const polygon = points.map((p) => [p[0], p[1]] as Point);
  if (polygon.length < 3 || Math.abs(signedArea(polygon)) < 1e-9) throw new CoreError('polygon');
  const hull = convexHull(polygon);
  const rect = minimumRectangle(polygon);
  const size = Math.sqrt(Math.abs(signedArea(polygon)));
  const [mx, my] = centroid(polygon);
  const around = resample(polygon, 90);
  const ellipse = fitEllipse(around) ?? { cx: mx, cy: my, rx: rect.w / 2, ry: rect.h / 2, angle: rect.angle };
  const long = rect.w >= rect.h ? { l: rect.w, s: rect.h, a: rect.angle } : { l: rect.h, s: rect.w, a: rect.angle + 90 };
  const starts: Record<ShapeKind, number[][]> = {
    ellipse: [[ellipse.cx, ellipse.cy, ellipse.rx, ellipse.ry, ellipse.angle]],
    rectangle: [
      [rect.cx, rect.cy, rect.w * 0.97, rect.h * 0.97, rect.angle],
      [mx, my, long.l * 0.85, long.s * 0.85, ellipse.angle],
    ],
    triangle: triangleStarts(hull),
    trapezoid: [0, 90, 180, 270].map((turn) => {
      const [w, h] = turn % 180 === 0 ? [rect.w, rect.h] : [rect.h, rect.w];
      return [rect.cx, rect.cy, w * 0.65, w * 0.97, h * 0.97, 0, rect.angle + turn];
    }),
    egg: [0, 180].map((turn) => [mx, my, 2 * ellipse.rx, 2 * ellipse.ry, 0.12, ellipse.angle + turn]),
    'bent-oval': [60, -60, 150, -150].map((bend) => [mx, my, long.l * (1 + Math.abs(bend) / 500), long.s * 0.7, bend, long.a]),
  };
  const fitted = kinds.map((kind) => {
    const { x, overlap } = refine({ kind, polygon, size }, starts[kind]);
    return shapeOf(kind, x, overlap);
  });
  fitted.sort((a, b) => b.overlap - a.overlap);
  for (const [freer, plain] of [
    ['trapezoid', 'triangle'],
    ['trapezoid', 'rectangle'],
    ['egg', 'ellipse'],
    ['bent-oval', 'ellipse'],
  ] as const) {
    const i = fitted.findIndex((f) => f.kind === freer);
    const j = fitted.findIndex((f) => f.kind === plain);
    if (i >= 0 && i < j && fitted[i].overlap < fitted[j].overlap + FREER) {
      const [moved] = fitted.splice(i, 1);
      fitted.splice(j, 0, moved);
    }
  }
  return fitted;
}

/** Points evenly along a closed outline. */
function resample(p: readonly Point[], count: number): Point[] {
  const lengths = p.map((a, i) => Math.hypot(p[(i + 1) % p.length][0] - a[0], p[(i + 1) % p.length][1] - a[1]));
  const total = lengths.reduce((a, b) => a + b, 0);
  const out: Point[] = [];
  let side = 0;
  let passed = 0;
  for (let k = 0; k < count; k++) {
    const want = (k * total) / count;
    while (side < p.length - 1 && passed + lengths[side] < want) passed += lengths[side++];
    const t = lengths[side] > 0 ? (want - passed) / lengths[side] : 0;
    const q = p[(side + 1) % p.length];
    out.push([p[side][0] + t * (q[0] - p[side][0]), p[side][1] + t * (q[1] - p[side][1])]);
  }
  return out;
}
