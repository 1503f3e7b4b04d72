/** Knows how to lay a second-order surface through numbers over a sheet. */
import { solve } from './solve';

/** At (u, v), 0–1 across and down: constant, slopes, bends. */
export const surfaceTerms = (u: number, v: number) => [1, u, v, u * u, u * v, v * v];

export interface SurfacePoint {
  /** `surfaceTerms` of its place. */
  t: readonly number[];
  y: number;
  w: number;
}

/** Weights of the terms by weighted least squares; null where the points do not settle them. */
export function fitSurface(points: readonly SurfacePoint[]): number[] | null {
  const n = 6;
  const a = Array.from({ length: n }, () => new Float64Array(n));
  const b = new Float64Array(n);
  for (const { t, y, w } of points)
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) a[i][j] += w * t[i] * t[j];
      b[i] += w * t[i] * y;
    }
  // A breath of ridge on the bends keeps points along one edge from bending the rest of the sheet.
  for (let c = 0; c < n; c++) a[c][c] += c > 2 ? 0.4 : 1e-9;
  const fit = Array.from(solve(a, b));
  return fit.every(Number.isFinite) ? fit : null;
}

export const surfaceAt = (fit: readonly number[], t: readonly number[]): number => t.reduce((s, v, k) => s + v * fit[k], 0);

const LEAST_REACH = 0.7;

/** Whether points (0–1 across and down) show a sheet all over: in its four quarters, and over most of both sides. */
export function shownAllOver(points: readonly { u: number; v: number }[]): boolean {
  const quarters = new Set(points.map((p) => (p.u < 0.5 ? 0 : 1) + (p.v < 0.5 ? 0 : 2)));
  const reach = (key: 'u' | 'v') => Math.max(...points.map((p) => p[key])) - Math.min(...points.map((p) => p[key]));
  return quarters.size === 4 && reach('u') > LEAST_REACH && reach('v') > LEAST_REACH;
}
