/** Basic shapes fitted to hand-drawn outlines of known kind. */
import fc from 'fast-check';
import { Point } from '../raster/image';
import { normal, seededRandom } from '../raster/statistics';
import { fitShapes, ShapeKind } from './shapes';

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
];

test.each(CASES)('a shaken %s is known at any turn, with an overlap of at least 0.93', (kind, corners) => {
  for (const [i, degrees] of [0, 25, 118].entries()) {
    const [best] = fitShapes(drawn(turned(corners, degrees), i + 1, corners.length > 10 ? 0.6 : 1.2));
    expect(best.kind).toBe(kind);
    expect(best.overlap).toBeGreaterThan(0.93);
    expect(best.outline.length).toBeGreaterThanOrEqual(3);
  }
});

test('all five shapes are given, none better than whole, a freer one first only for a gain of 0.02', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 3, max: 9 }), (seed, n) => {
      const r = seededRandom(seed);
      const outline = Array.from({ length: n }, (_, i): Point => {
        const t = (2 * Math.PI * (i + 0.6 * r())) / n;
        const radius = 40 + 80 * r();
        return [radius * Math.cos(t), radius * Math.sin(t)];
      });
      const shapes = fitShapes(outline);
      expect(shapes.map((s) => s.kind).sort()).toEqual(['egg', 'ellipse', 'rectangle', 'trapezoid', 'triangle']);
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
