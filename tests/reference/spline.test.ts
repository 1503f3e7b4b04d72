/** The thin-plate spline and its bending energy against the textbook system solved by an outside library. */
import { LU, Matrix } from 'ml-matrix';
import { bendingMatrix, thinPlate } from '../../core/proportion/thinPlate';
import { Point } from '../../core/raster/image';
import { seededRandom } from '../../core/raster/statistics';

// Bookstein, F. L. (1989), Principal Warps: thin-plate splines and the decomposition of deformations, IEEE PAMI 11(6):
// U(r) = r² log r², L = [K P; Pᵀ 0], coefficients from L⁻¹ [V; 0], bending energy from the upper left of L⁻¹.
const U = (a: Point, b: Point) => {
  const s = (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2;
  return s === 0 ? 0 : s * Math.log(s);
};
function bookstein(points: readonly Point[]): Matrix {
  const n = points.length;
  const L = Matrix.zeros(n + 3, n + 3);
  points.forEach((p, i) => {
    points.forEach((q, j) => L.set(i, j, U(p, q)));
    [1, p[0], p[1]].forEach((v, k) => {
      L.set(i, n + k, v);
      L.set(n + k, i, v);
    });
  });
  return L;
}
const points = (n: number, seed: number): Point[] => {
  const random = seededRandom(seed);
  return Array.from({ length: n }, (): Point => [random(), random()]);
};

test.each([4, 9, 23])('%i points carried as the textbook’s solution carries them', (n) => {
  const [from, to] = [points(n, n), points(n, n + 100)];
  const map = thinPlate(from, to);
  const lu = new LU(bookstein(from));
  const weights = [0, 1].map((k) => lu.solve(Matrix.columnVector([...to.map((p) => p[k]), 0, 0, 0])).to1DArray());
  for (const [x, y] of points(30, 7)) {
    const plain = weights.map((w) => from.reduce((s, p, i) => s + w[i] * U(p, [x, y]), w[n] + w[n + 1] * x + w[n + 2] * y));
    const [u, v] = map(x, y);
    expect(Math.abs(u - plain[0])).toBeLessThan(1e-4);
    expect(Math.abs(v - plain[1])).toBeLessThan(1e-4);
  }
});

test('bending energy is the upper left of the inverse: zero for affine moves, never negative', () => {
  const at = points(12, 3);
  const ours = bendingMatrix(at);
  const inverse = new LU(bookstein(at)).solve(Matrix.eye(15));
  const scale = Math.abs(inverse.get(0, 0));
  for (let i = 0; i < 12; i++) for (let j = 0; j < 12; j++) expect(Math.abs(ours[i][j] - inverse.get(i, j))).toBeLessThan(1e-3 * scale);
  const energy = (d: number[]) => d.reduce((s, a, i) => s + d.reduce((t, b, j) => t + a * b * ours[i][j], 0), 0);
  expect(Math.abs(energy(at.map(([x, y]) => 0.3 + 2 * x - 0.7 * y)))).toBeLessThan(1e-3);
  const random = seededRandom(8);
  for (let k = 0; k < 40; k++) expect(energy(at.map(() => random() - 0.5))).toBeGreaterThan(-1e-6);
});
