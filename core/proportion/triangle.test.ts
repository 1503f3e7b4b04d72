/** The smallest triangle round an outline against a search over all ways its three sides can face. */
import fc from 'fast-check';
import { Point } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { convexHull, signedArea } from './polygon';
import { enclosingTriangles } from './triangle';

const hullOf = (seed: number, n: number): Point[] => {
  const r = seededRandom(seed);
  return convexHull(Array.from({ length: n }, (): Point => [200 * r(), 140 * r()]));
};

/** The smallest triangle whose sides touch the outline and face three of many ways: so many round the circle, and those of its own sides. */
function bySearch(hull: readonly Point[], steps: number): number {
  const facing = [
    ...Array.from({ length: steps }, (_, i) => (2 * Math.PI * i) / steps),
    ...hull.map(([x, y], i) => {
      const [u, v] = hull[(i + 1) % hull.length];
      // Outward, whichever way the outline runs.
      return Math.atan2((x - u) * Math.sign(signedArea(hull)), (v - y) * Math.sign(signedArea(hull)));
    }),
  ]
    .map((t) => (t + 2 * Math.PI) % (2 * Math.PI))
    .sort((a, b) => a - b);
  const ways = facing.length;
  const normals = facing.map((t): Point => [Math.cos(t), Math.sin(t)]);
  const reach = normals.map(([x, y]) => Math.max(...hull.map((p) => p[0] * x + p[1] * y)));
  const corner = (i: number, j: number): Point => {
    const [[a, b], [c, d]] = [normals[i], normals[j]];
    const across = a * d - b * c;
    return [(reach[i] * d - b * reach[j]) / across, (a * reach[j] - reach[i] * c) / across];
  };
  let least = Infinity;
  // Three ways hold a triangle where each turn from one to the next is less than half a circle.
  for (let i = 0; i < ways; i++)
    for (let j = i + 1; j < ways && facing[j] - facing[i] < Math.PI - 1e-6; j++)
      for (let k = j + 1; k < ways && facing[k] - facing[j] < Math.PI - 1e-6; k++) {
        if (facing[k] - facing[i] <= Math.PI + 1e-6 || facing[j] === facing[i] || facing[k] === facing[j]) continue;
        least = Math.min(least, Math.abs(signedArea([corner(i, j), corner(j, k), corner(k, i)])));
      }
  return least;
}

test('no way of facing holds the outline in a smaller triangle, and a fine search comes as near as its steps let it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 4, max: 12 }), (seed, n) => {
      const hull = hullOf(seed, n);
      // Steps that are fine beside the outline: none as thin as a blade.
      fc.pre(hull.length >= 3 && Math.abs(signedArea(hull)) > 4000);
      const exact = Math.abs(signedArea(enclosingTriangles(hull)[0]));
      const searched = bySearch(hull, 90);
      expect(exact).toBeLessThanOrEqual(searched * (1 + 1e-9));
      expect(searched).toBeLessThan(exact * 1.05);
    }),
    { numRuns: 40 },
  );
});

test('a square is held by a triangle of twice its area, a triangle by itself', () => {
  const square: Point[] = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ];
  expect(Math.abs(signedArea(enclosingTriangles(square)[0]))).toBeCloseTo(200, 6);
  const own: Point[] = [
    [0, 0],
    [40, 5],
    [12, 30],
  ];
  expect(Math.abs(signedArea(enclosingTriangles(own)[0]))).toBeCloseTo(Math.abs(signedArea(own)), 6);
});
