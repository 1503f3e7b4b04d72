/** Knows the thin-plate spline: the smoothest map of the plane that carries given points to given points (Bookstein 1989). */
import { CoreError } from '../errors';
import { Point } from '../raster/image';
import { solve } from '../raster/solve';

/** r² log r² as a function of the squared distance; zero at zero. */
const kernel = (squared: number) => (squared > 0 ? squared * Math.log(squared) : 0);
const squared = (a: Point, b: Point) => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2;

/** The (n + 3) × (n + 3) system of n points; `stiffness` on the diagonal lets the map miss points for smoothness. */
function system(points: readonly Point[], stiffness: number): Float64Array[] {
  const n = points.length;
  const a = Array.from({ length: n + 3 }, () => new Float64Array(n + 3));
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) a[i][j] = kernel(squared(points[i], points[j]));
    a[i][i] += stiffness;
    a[i][n] = a[n][i] = 1;
    a[i][n + 1] = a[n + 1][i] = points[i][0];
    a[i][n + 2] = a[n + 2][i] = points[i][1];
  }
  return a;
}

/** Keeps points that lie on each other from making the system singular; unit coordinates. */
const TINY = 1e-7;

/**
 * The n × n matrix whose quadratic form is the bending energy of moving the points by a displacement, x and y apart;
 * zero for affine moves. Points in units of their own size; three or more, not all on a line.
 */
export function bendingMatrix(points: readonly Point[]): Float64Array[] {
  const n = points.length;
  const out = Array.from({ length: n }, () => new Float64Array(n));
  for (let j = 0; j < n; j++) {
    const unit = new Float64Array(n + 3);
    unit[j] = 1;
    const x = solve(system(points, TINY), unit);
    for (let i = 0; i < n; i++) out[i][j] = Number.isFinite(x[i]) ? x[i] : 0;
  }
  return out;
}

export type PlaneMap = (x: number, y: number) => [number, number];

/** The map that carries each `from` to its `to`; throws CoreError where fewer than three points differ or all lie on a line. */
export function thinPlate(from: readonly Point[], to: readonly Point[]): PlaneMap {
  if (from.length !== to.length) throw new CoreError('pairs.length');
  const n = from.length;
  if (n < 3) throw new CoreError('pairs.few');
  const size = Math.max(...from.flatMap((p) => [Math.abs(p[0] - from[0][0]), Math.abs(p[1] - from[0][1])])) || 1;
  const unit = from.map((p): Point => [(p[0] - from[0][0]) / size, (p[1] - from[0][1]) / size]);
  const weights = [0, 1].map((k) => {
    const right = new Float64Array(n + 3);
    for (let i = 0; i < n; i++) right[i] = to[i][k];
    return solve(system(unit, TINY), right);
  });
  if (!weights.every((w) => w.every(Number.isFinite))) throw new CoreError('pairs.line');
  return (x, y) => {
    const [u, v] = [(x - from[0][0]) / size, (y - from[0][1]) / size];
    const out: [number, number] = [0, 0];
    for (let k = 0; k < 2; k++) {
      const w = weights[k];
      let sum = w[n] + w[n + 1] * u + w[n + 2] * v;
      for (let i = 0; i < n; i++) {
        const dx = u - unit[i][0];
        const dy = v - unit[i][1];
        sum += w[i] * kernel(dx * dx + dy * dy);
      }
      out[k] = sum;
    }
    return out;
  };
}
