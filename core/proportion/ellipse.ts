/** Knows the ellipse that fits points best in the algebraic sense (Fitzgibbon, Pilu and Fisher 1999, in Halíř and Flusser's stable form 1998). */
import { Point } from '../raster/image';

export interface Ellipse {
  cx: number;
  cy: number;
  rx: number;
  ry: number;
  /** Degrees anticlockwise as seen of the longer axis, [0, 180). */
  angle: number;
}

type M3 = number[][];

const det3 = (m: M3) =>
  m[0][0] * (m[1][1] * m[2][2] - m[1][2] * m[2][1]) -
  m[0][1] * (m[1][0] * m[2][2] - m[1][2] * m[2][0]) +
  m[0][2] * (m[1][0] * m[2][1] - m[1][1] * m[2][0]);

function inverse3(m: M3): M3 | null {
  const d = det3(m);
  if (Math.abs(d) < 1e-14) return null;
  const c = (i: number, j: number) => {
    const r = [0, 1, 2].filter((k) => k !== j);
    const s = [0, 1, 2].filter((k) => k !== i);
    return ((i + j) % 2 ? -1 : 1) * (m[r[0]][s[0]] * m[r[1]][s[1]] - m[r[0]][s[1]] * m[r[1]][s[0]]);
  };
  return [0, 1, 2].map((i) => [0, 1, 2].map((j) => c(i, j) / d));
}

const times = (a: M3, b: M3): M3 => a.map((row) => [0, 1, 2].map((j) => row.reduce((s, v, k) => s + v * b[k][j], 0)));

/** Real roots of a monic cubic x³ + px² + qx + r. */
function cubicRoots(p: number, q: number, r: number): number[] {
  const a = q - (p * p) / 3;
  const b = (2 * p ** 3) / 27 - (p * q) / 3 + r;
  const d = (b * b) / 4 + a ** 3 / 27;
  if (d > 0) {
    const s = Math.sqrt(d);
    return [Math.cbrt(-b / 2 + s) + Math.cbrt(-b / 2 - s) - p / 3];
  }
  const m = 2 * Math.sqrt(-a / 3);
  const t = Math.acos(Math.min(1, Math.max(-1, (3 * b) / (a * m || 1)))) / 3;
  return [0, 1, 2].map((k) => m * Math.cos(t - (2 * Math.PI * k) / 3) - p / 3);
}

/** Least-squares ellipse of at least six points, or null where they fit none. */
export function fitEllipse(points: readonly Point[]): Ellipse | null {
  if (points.length < 6) return null;
  const mx = points.reduce((s, p) => s + p[0], 0) / points.length;
  const my = points.reduce((s, p) => s + p[1], 0) / points.length;
  const size = Math.sqrt(points.reduce((s, p) => s + (p[0] - mx) ** 2 + (p[1] - my) ** 2, 0) / points.length) || 1;
  const zero = (): M3 => [0, 1, 2].map(() => [0, 0, 0]);
  const [s1, s2, s3] = [zero(), zero(), zero()];
  for (const [px, py] of points) {
    const x = (px - mx) / size;
    const y = (py - my) / size;
    const q = [x * x, x * y, y * y];
    const l = [x, y, 1];
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) {
        s1[i][j] += q[i] * q[j];
        s2[i][j] += q[i] * l[j];
        s3[i][j] += l[i] * l[j];
      }
  }
  const inv = inverse3(s3);
  if (!inv) return null;
  const transposed = [0, 1, 2].map((i) => [0, 1, 2].map((j) => s2[j][i]));
  const T = times(inv, transposed).map((row) => row.map((v) => -v));
  const M = s1.map((row, i) => row.map((v, j) => v + times(s2, T)[i][j]));
  const R = [M[2].map((v) => v / 2), M[1].map((v) => -v), M[0].map((v) => v / 2)];
  const trace = R[0][0] + R[1][1] + R[2][2];
  const minors = R[0][0] * R[1][1] - R[0][1] * R[1][0] + R[0][0] * R[2][2] - R[0][2] * R[2][0] + R[1][1] * R[2][2] - R[1][2] * R[2][1];
  for (const root of cubicRoots(-trace, minors, -det3(R))) {
    const N = R.map((row, i) => row.map((v, j) => v - (i === j ? root : 0)));
    // A null vector is the longest cross product of two rows.
    const crosses = [
      [0, 1],
      [0, 2],
      [1, 2],
    ].map(([i, j]) => [
      N[i][1] * N[j][2] - N[i][2] * N[j][1],
      N[i][2] * N[j][0] - N[i][0] * N[j][2],
      N[i][0] * N[j][1] - N[i][1] * N[j][0],
    ]);
    const v = crosses.sort((a, b) => Math.hypot(...b) - Math.hypot(...a))[0];
    if (4 * v[0] * v[2] - v[1] * v[1] <= 0) continue;
    const rest = T.map((row) => row.reduce((s, t, k) => s + t * v[k], 0));
    const found = fromConic([...v, ...rest]);
    if (found) return { ...found, cx: found.cx * size + mx, cy: found.cy * size + my, rx: found.rx * size, ry: found.ry * size };
  }
  return null;
}

function fromConic([A, B, C, D, E, F]: number[]): Ellipse | null {
  const den = B * B - 4 * A * C;
  const cx = (2 * C * D - B * E) / den;
  const cy = (2 * A * E - B * D) / den;
  const f0 = A * cx * cx + B * cx * cy + C * cy * cy + D * cx + E * cy + F;
  const half = (A + C) / 2;
  const root = Math.hypot((A - C) / 2, B / 2);
  const [l1, l2] = [half + root, half - root].map((l) => -f0 / l);
  if (!(l1 > 0 && l2 > 0)) return null;
  // The eigenvector of the smaller eigenvalue is the longer axis; which is smaller depends on the conic's sign.
  const theta = 0.5 * Math.atan2(B, A - C);
  const [r1, r2] = [Math.sqrt(l1), Math.sqrt(l2)];
  const axis = r1 >= r2 ? theta : theta + Math.PI / 2;
  const seen = ((((-axis * 180) / Math.PI) % 180) + 180) % 180;
  return { cx, cy, rx: Math.max(r1, r2), ry: Math.min(r1, r2), angle: seen };
}
