/** Knows the perspective map between a flat sheet and its photograph (direct linear transform, normalised: Hartley 1997). */
import { CoreError } from '../errors';
import { Point } from '../raster/image';

/** Row-major 3 × 3, last entry 1 where possible. */
export type Homography = readonly number[];

export function applyHomography(h: Homography, [x, y]: Point): [number, number] {
  const w = h[6] * x + h[7] * y + h[8];
  return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w];
}

function multiply(a: readonly number[], b: readonly number[]): number[] {
  return Array.from({ length: 9 }, (_, i) => {
    const [r, c] = [Math.floor(i / 3), i % 3];
    return a[r * 3] * b[c] + a[r * 3 + 1] * b[3 + c] + a[r * 3 + 2] * b[6 + c];
  });
}

export function invertHomography(h: Homography): Homography {
  const [a, b, c, d, e, f, g, i, j] = h;
  const inv = [
    e * j - f * i,
    c * i - b * j,
    b * f - c * e,
    f * g - d * j,
    a * j - c * g,
    c * d - a * f,
    d * i - e * g,
    b * g - a * i,
    a * e - b * d,
  ];
  const scale = inv[8] || 1;
  return inv.map((v) => v / scale);
}

/** Moves the centroid to the origin and the mean distance to √2. */
function normaliser(points: readonly Point[]): number[] {
  const mx = points.reduce((s, p) => s + p[0], 0) / points.length;
  const my = points.reduce((s, p) => s + p[1], 0) / points.length;
  const mean = points.reduce((s, p) => s + Math.hypot(p[0] - mx, p[1] - my), 0) / points.length;
  const k = Math.SQRT2 / (mean || 1);
  return [k, 0, -k * mx, 0, k, -k * my, 0, 0, 1];
}

/** Eigenvector of the least eigenvalue of a symmetric matrix (cyclic Jacobi rotations). */
function leastEigenvector(m: number[][]): number[] {
  const n = m.length;
  const a = m.map((r) => r.slice());
  const v: number[][] = m.map((_, i) => m.map((__, j) => (i === j ? 1 : 0)));
  for (let sweep = 0; sweep < 60; sweep++) {
    let off = 0;
    for (let i = 0; i < n; i++) for (let j = i + 1; j < n; j++) off += a[i][j] ** 2;
    if (off < 1e-28) break;
    for (let p = 0; p < n; p++)
      for (let q = p + 1; q < n; q++) {
        if (Math.abs(a[p][q]) < 1e-300) continue;
        const theta = (a[q][q] - a[p][p]) / (2 * a[p][q]);
        const t = Math.sign(theta || 1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
        const c = 1 / Math.sqrt(t * t + 1);
        const s = t * c;
        for (let k = 0; k < n; k++) {
          const [x, y] = [a[k][p], a[k][q]];
          a[k][p] = c * x - s * y;
          a[k][q] = s * x + c * y;
        }
        for (let k = 0; k < n; k++) {
          const [x, y] = [a[p][k], a[q][k]];
          a[p][k] = c * x - s * y;
          a[q][k] = s * x + c * y;
          const [u, w] = [v[k][p], v[k][q]];
          v[k][p] = c * u - s * w;
          v[k][q] = s * u + c * w;
        }
      }
  }
  let least = 0;
  for (let i = 1; i < n; i++) if (a[i][i] < a[least][least]) least = i;
  return v.map((row) => row[least]);
}

/** Homography that carries `from` to `to` in the least-squares algebraic sense; four or more pairs, no three of four in line. */
export function fitHomography(from: readonly Point[], to: readonly Point[]): Homography {
  if (from.length < 4 || from.length !== to.length) throw new CoreError('pairs.four');
  const [nf, nt] = [normaliser(from), normaliser(to)];
  const ata = Array.from({ length: 9 }, () => new Array<number>(9).fill(0));
  from.forEach((p, i) => {
    const [x, y] = applyHomography(nf, p);
    const [u, v] = applyHomography(nt, to[i]);
    for (const row of [
      [-x, -y, -1, 0, 0, 0, u * x, u * y, u],
      [0, 0, 0, -x, -y, -1, v * x, v * y, v],
    ])
      for (let r = 0; r < 9; r++) for (let c = 0; c < 9; c++) ata[r][c] += row[r] * row[c];
  });
  const h = multiply(multiply(invertHomography(nt), leastEigenvector(ata)), nf);
  if (!h.every(Number.isFinite) || Math.abs(h[8]) < 1e-12) throw new CoreError('corners.line');
  return h.map((v) => v / h[8]);
}

/** The four corners of a w × h rectangle, clockwise from the top left. */
export const rectangleCorners = (w: number, h: number): Point[] => [
  [0, 0],
  [w, 0],
  [w, h],
  [0, h],
];
