/** Basic shapes fitted to hand-drawn outlines of known kind. */
import fc from 'fast-check';
import { Point } from '../raster/image';
import { normal, seededRandom } from '../raster/statistics';
import { fitShapes, FULL_KINDS, ShapeKind } from './shapes';

/** Points along a polygon's sides, shaken. */
function drawn(corners: readonly Point[], seed: number, shake = 1.2): Point[] {
  const r = seededRandom(seed);
  return corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length];
    return Array.from({ length: 14 }, (_, k): Point => [
      a[0] + ((b[0] - a[0]) * k) / 14 + shake * normal(r),
      a[1] + ((b[1] - a[1]) * k) / 14 + shake * normal(r),
    ]);
  });
}

const turned = (points: readonly Point[], degrees: number): Point[] => {
  const t = (degrees * Math.PI) / 180;
  return points.map(([x, y]) => [300 + x * Math.cos(t) - y * Math.sin(t), 300 + x * Math.sin(t) + y * Math.cos(t)]);
};
const ring = (f: (t: number) => Point): Point[] => Array.from({ length: 60 }, (_, i) => f((2 * Math.PI * i) / 60));

/** Rim of an ellipse whose long axis is an arc that turns by so many degrees, anticlockwise as it goes to the right. */
const bean = (length: number, width: number, bend: number): Point[] => {
  const radius = (length * 180) / (Math.PI * bend);
  return ring((t) => {
    const along = ((length / 2) * Math.cos(t)) / radius;
    const far = radius + (width / 2) * Math.sin(t);
    return [far * Math.sin(along), far * Math.cos(along) - radius];
  });
};

const CASES: [ShapeKind, Point[]][] = [
  ['ellipse', ring((t) => [120 * Math.cos(t), 70 * Math.sin(t)])],
  [
    'rectangle',
    [
      [-110, -60],
      [110, -60],
      [110, 60],
      [-110, 60],
    ],
  ],
  [
    'triangle',
    [
      [-100, 80],
      [110, 80],
      [20, -90],
    ],
  ],
  [
    'trapezoid',
    [
      [-50, -60],
      [50, -60],
      [120, 70],
      [-120, 70],
    ],
  ],
  ['egg', ring((t) => [120 * Math.cos(t), 70 * Math.sin(t) * (1 + 0.4 * Math.cos(t))])],
  ['bent-oval', bean(240, 80, 110)],
];

test.each(CASES)('a shaken %s is known at any turn, with an overlap of at least 0.93', (kind, corners) => {
  for (const [i, degrees] of [0, 25, 118].entries()) {
    const [best] = fitShapes(drawn(turned(corners, degrees), i + 1, corners.length > 10 ? 0.6 : 1.2));
    expect(best.kind).toBe(kind);
    expect(best.overlap).toBeGreaterThan(0.93);
    expect(best.outline.length).toBeGreaterThanOrEqual(3);
  }
});

test('all six shapes are given, none better than whole, a freer one first only for a gain of 0.02', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 3, max: 9 }), (seed, n) => {
      const r = seededRandom(seed);
      const outline = Array.from({ length: n }, (_, i): Point => {
        const t = (2 * Math.PI * (i + 0.6 * r())) / n;
        const radius = 40 + 80 * r();
        return [radius * Math.cos(t), radius * Math.sin(t)];
      });
      const shapes = fitShapes(outline);
      expect(shapes.map((s) => s.kind).sort()).toEqual(['bent-oval', 'egg', 'ellipse', 'rectangle', 'trapezoid', 'triangle']);
      for (const s of shapes) expect(s.overlap).toBeLessThanOrEqual(1 + 1e-9);
      const of = (k: ShapeKind) => shapes.findIndex((s) => s.kind === k);
      if (of('trapezoid') < of('rectangle'))
        expect(shapes[of('trapezoid')].overlap).toBeGreaterThanOrEqual(shapes[of('rectangle')].overlap + 0.02 - 1e-12);
    }),
    { numRuns: 6, seed: 5 },
  );
});

test('an outline without area is refused by name', () => {
  expect(() =>
    fitShapes([
      [0, 0],
      [10, 10],
    ]),
  ).toThrow(/polygon/);
  expect(() =>
    fitShapes([
      [0, 0],
      [10, 10],
      [20, 20],
    ]),
  ).toThrow(/polygon/);
});

test('a bent oval is told by its length, width, turn and axis, at any turn and to either side', () => {
  for (const [degrees, side] of [
    [0, 1],
    [70, 1],
    [0, -1],
    [200, 1],
  ]) {
    const outline = turned(
      bean(240, 80, 110).map(([x, y]): Point => [x, side * y]),
      degrees,
    );
    const [best] = fitShapes(outline);
    expect(best.kind).toBe('bent-oval');
    expect(best.overlap).toBeGreaterThan(0.97);
    const { cx, cy, length, width, bend, angle } = best.parameters as Record<string, number>;
    expect(Math.abs(length - 240)).toBeLessThan(10);
    expect(Math.abs(width - 80)).toBeLessThan(6);
    expect(Math.abs(bend - 110)).toBeLessThan(10);
    // Mirrored upside down it turns anticlockwise the other way along its axis.
    const off = (((angle + degrees + (side < 0 ? 180 : 0)) % 360) + 360) % 360;
    expect(Math.min(off, 360 - off)).toBeLessThan(4);
    expect(Math.hypot(cx - 300, cy - 300)).toBeLessThan(8);
  }
});

test('only the kinds asked for are fitted', () => {
  expect(
    fitShapes(turned(bean(240, 80, 110), 0), FULL_KINDS)
      .map((s) => s.kind)
      .sort(),
  ).toEqual([...FULL_KINDS].sort());
});
