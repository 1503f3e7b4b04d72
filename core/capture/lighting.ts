/** Knows how evenly a photographed sheet was lit: a second-order surface through the brightness of its bare ground. */
import { Plane } from '../raster/image';
import { quantile } from '../raster/statistics';

export interface LightSurface {
  /** Relative brightness at (u, v), 0–1 across and down the sheet; also usable a little outside. */
  at(u: number, v: number): number;
  /** 1 − darkest ÷ brightest over the sheet. */
  falloff: number;
  /** Share of the blocks that agreed with the surface. */
  agreement: number;
  /** Mean of the surface over the sheet. */
  mean: number;
}

const terms = (u: number, v: number) => [1, u, v, u * u, u * v, v * v];

function leastSquares(rows: { t: number[]; y: number; w: number }[]): number[] | null {
  const n = 6;
  const a = Array.from({ length: n }, () => new Float64Array(n + 1));
  for (const { t, y, w } of rows)
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) a[i][j] += w * t[i] * t[j];
      a[i][n] += w * t[i] * y;
    }
  for (let c = 0; c < n; c++) {
    a[c][c] += 1e-9;
    let p = c;
    for (let r = c + 1; r < n; r++) if (Math.abs(a[r][c]) > Math.abs(a[p][c])) p = r;
    [a[c], a[p]] = [a[p], a[c]];
    if (Math.abs(a[c][c]) < 1e-12) return null;
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const m = a[r][c] / a[c][c];
      for (let k = c; k <= n; k++) a[r][k] -= m * a[c][k];
    }
  }
  return a.map((row, i) => row[n] / row[i]);
}

const BLOCKS = 22;

/**
 * Fits the light over a squared-up sheet's luminance (linear, 0–1). Each block offers its 85th percentile as its
 * ground; blocks covered by drawing fall below the surface and are left out round by round. Null where fewer than a
 * quarter of the blocks agree.
 */
export function fitLight(luminance: Plane): LightSurface | null {
  const { width: w, height: h, data } = luminance;
  const rows: { t: number[]; y: number; w: number }[] = [];
  for (let j = 0; j < BLOCKS; j++)
    for (let i = 0; i < BLOCKS; i++) {
      const [x0, x1] = [Math.floor(((i + 0.08) * w) / BLOCKS), Math.floor(((i + 0.92) * w) / BLOCKS)];
      const [y0, y1] = [Math.floor(((j + 0.08) * h) / BLOCKS), Math.floor(((j + 0.92) * h) / BLOCKS)];
      const values: number[] = [];
      const step = Math.max(1, Math.floor((x1 - x0) / 12));
      for (let y = y0; y < y1; y += step) for (let x = x0; x < x1; x += step) values.push(data[y * w + x]);
      if (values.length)
        rows.push({
          t: terms((i + 0.5) / BLOCKS, (j + 0.5) / BLOCKS),
          y: Math.log(Math.max(1e-4, quantile(values, 0.85))),
          w: 1,
        });
    }
  let fit = leastSquares(rows);
  for (let round = 0; round < 14 && fit; round++) {
    const f: number[] = fit;
    // Drawing only darkens: what lies under the surface loses its say, what lies over it keeps it.
    for (const r of rows) {
      const off = r.y - r.t.reduce((s, t, k) => s + t * f[k], 0);
      r.w = off < 0 ? Math.exp(-((off / 0.035) ** 2)) + 1e-4 : off > 0.12 ? 0.3 : 1;
    }
    fit = leastSquares(rows);
  }
  if (!fit) return null;
  const f = fit;
  const at = (u: number, v: number) =>
    Math.exp(
      terms(Math.min(1.25, Math.max(-0.25, u)), Math.min(1.25, Math.max(-0.25, v))).reduce(
        (s, t, k) => s + t * f[k],
        0,
      ),
    );
  const agreement =
    rows.filter((r) => Math.abs(r.y - r.t.reduce((s, t, k) => s + t * f[k], 0)) < 0.06).length / rows.length;
  if (agreement < 0.25) return null;
  let [low, high, sum] = [Infinity, 0, 0];
  for (let j = 0; j <= 20; j++)
    for (let i = 0; i <= 20; i++) {
      const s = at(i / 20, j / 20);
      low = Math.min(low, s);
      high = Math.max(high, s);
      sum += s;
    }
  return { at, falloff: 1 - low / high, agreement, mean: sum / 441 };
}
