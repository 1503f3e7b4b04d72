/** Knows how evenly a photographed sheet was lit: a second-order surface through the brightness of its bare ground. */
import { fitSurface, shownAllOver, surfaceAt, surfaceTerms } from '../raster/secondOrder';

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

const BLOCKS = 22;
/** How far a block's chromaticity (log ratios to green) may lie from the ground's. */
const SAME_HUE = 0.09;

interface Block {
  u: number;
  v: number;
  t: number[];
  /** Log luminance of the block's lighter part. */
  y: number;
  /** Log ratios of red and blue to green there: light changes the first, never these. */
  red: number;
  blue: number;
  w: number;
}

function blocksOf(linear: Float32Array, w: number, h: number): Block[] {
  const out: Block[] = [];
  for (let j = 0; j < BLOCKS; j++)
    for (let i = 0; i < BLOCKS; i++) {
      const [x0, x1] = [Math.floor(((i + 0.08) * w) / BLOCKS), Math.floor(((i + 0.92) * w) / BLOCKS)];
      const [y0, y1] = [Math.floor(((j + 0.08) * h) / BLOCKS), Math.floor(((j + 0.92) * h) / BLOCKS)];
      const step = Math.max(1, Math.floor((x1 - x0) / 12));
      const samples: { Y: number; k: number }[] = [];
      for (let y = y0; y < y1; y += step)
        for (let x = x0; x < x1; x += step) {
          const k = (y * w + x) * 3;
          samples.push({ Y: 0.2126 * linear[k] + 0.7152 * linear[k + 1] + 0.0722 * linear[k + 2], k });
        }
      if (!samples.length) continue;
      samples.sort((p, q) => p.Y - q.Y);
      const light = samples.slice(Math.floor(0.75 * samples.length), Math.max(1, Math.ceil(0.95 * samples.length)));
      const sum = [0, 0, 0];
      for (const { k } of light) for (let c = 0; c < 3; c++) sum[c] += Math.max(1e-4, linear[k + c]);
      const [u, v] = [(i + 0.5) / BLOCKS, (j + 0.5) / BLOCKS];
      const mean = sum.map((s) => s / (light.length || 1));
      const Y = 0.2126 * mean[0] + 0.7152 * mean[1] + 0.0722 * mean[2];
      out.push({
        u,
        v,
        t: surfaceTerms(u, v),
        y: Math.log(Math.max(1e-4, Y)),
        red: Math.log(mean[0] / mean[1]),
        blue: Math.log(mean[2] / mean[1]),
        w: 1,
      });
    }
  return out;
}

/** The largest set of blocks of one hue, where that set shows in all four quarters of the sheet; else none. */
function groundBlocks(blocks: readonly Block[]): Block[] {
  let best: Block[] = [];
  let bestScore = 0;
  for (const seed of blocks) {
    const same = blocks.filter((b) => Math.hypot(b.red - seed.red, b.blue - seed.blue) < SAME_HUE);
    // Of two hues met equally often the lighter is the sheet.
    const score = same.length * (1 + 0.5 * Math.exp(seed.y));
    if (score > bestScore) {
      bestScore = score;
      best = same;
    }
  }
  return best.length >= 0.2 * blocks.length && shownAllOver(best) ? best : [];
}

/**
 * Fits the light over a squared-up sheet (linear RGB, 0–1, three values a pixel). Each block offers its lighter part;
 * blocks of another hue than the ground's are left out, and those that drawing has darkened fall below the surface and
 * lose their say round by round. Null where too little of one ground shows over the sheet to judge by.
 */
export function fitLight(linear: Float32Array, w: number, h: number): LightSurface | null {
  const all = blocksOf(linear, w, h);
  const rows = groundBlocks(all);
  if (!rows.length) return null;
  let fit = fitSurface(rows);
  for (let round = 0; round < 14 && fit; round++) {
    const f: number[] = fit;
    for (const r of rows) {
      const off = r.y - surfaceAt(f, r.t);
      r.w = off < 0 ? Math.exp(-((off / 0.035) ** 2)) + 1e-4 : off > 0.12 ? 0.3 : 1;
    }
    fit = fitSurface(rows);
  }
  if (!fit) return null;
  const f = fit;
  const at = (u: number, v: number) =>
    Math.exp(surfaceAt(f, surfaceTerms(Math.min(1.25, Math.max(-0.25, u)), Math.min(1.25, Math.max(-0.25, v)))));
  const agreement = rows.filter((r) => Math.abs(r.y - surfaceAt(f, r.t)) < 0.06).length / all.length;
  if (agreement < 0.12) return null;
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
