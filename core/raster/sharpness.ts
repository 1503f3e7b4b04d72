/** Knows how much of a picture's pixel count is real: an enlarged or blurred picture holds less than its pixels say. */
import { lightnessPlane } from '../colour/lab';
import { cropImage, Rect, RgbImage } from './image';
import { Taps, weighed } from './kernels/kernels';
import { quantile } from './statistics';

const TILE = 128;
const MOST_TILES = 8;
/** Factors by which a picture may have been enlarged, in steps of about a fifth. */
const FACTORS = [1.3, 1.5, 1.8, 2.15, 2.6, 3.1, 3.7, 4.5, 5.4, 6.5, 8];
/**
 * A picture made smaller by as much as it had been enlarged, and large again, loses so much of its strongest contrasts.
 * Sharp drawings, prints and paintings by many hands lose it by 1.25; enlarged by 1.5, 2 and 3 (linear, cubic, Lanczos;
 * JPEG 80) they lost it at 1.55 to 1.87, 1.92 to 2.08 and 2.8 to 3.3.
 */
const LOST = 0.22;
/** Contrasts under this, in L*, tell nothing. */
const LEAST_CONTRAST = 6;

/** The cubic of Catmull and Rom (1974). */
function cubic(t: number): number {
  const a = Math.abs(t);
  if (a < 1) return 1.5 * a ** 3 - 2.5 * a ** 2 + 1;
  return a < 2 ? -0.5 * a ** 3 + 2.5 * a ** 2 - 4 * a + 2 : 0;
}

/** Weights of the samples near each of `count` places, under a cubic `reach` samples wide. */
function tapsAt(count: number, at: (i: number) => number, reach: number): Taps {
  const width = Math.ceil(4 * reach) + 1;
  const first = new Int32Array(count);
  const weights = new Float32Array(count * width);
  for (let i = 0; i < count; i++) {
    const centre = at(i);
    first[i] = Math.ceil(centre - 2 * reach);
    let sum = 0;
    for (let k = 0; k < width; k++) sum += weights[i * width + k] = cubic((first[i] + k - centre) / reach);
    for (let k = 0; k < width; k++) weights[i * width + k] /= sum;
  }
  return { first, weights, count: width };
}

/** From `n` samples to a lattice `factor` times coarser, and back. */
function roundTrip(n: number, factor: number): [Taps, Taps] {
  const ratio = n / Math.max(4, Math.round(n / factor));
  return [tapsAt(n / ratio, (i) => (i + 0.5) * ratio - 0.5, ratio), tapsAt(n, (i) => (i + 0.5) / ratio - 0.5, 1)];
}

/** What a square tile loses when it is made smaller and large again: absolute differences, along rows or along columns. */
function lossOf(tile: Float32Array, size: number, [down, up]: [Taps, Taps]): Float32Array {
  const [columns, rows] = [tile, turned(tile, size)].map((lines) => weighed(weighed(lines, size, down), size, up));
  const lost = new Float32Array(size * size);
  for (let y = 0, i = 0; y < size; y++)
    for (let x = 0; x < size; x++, i++) lost[i] = Math.max(Math.abs(tile[i] - columns[i]), Math.abs(tile[i] - rows[x * size + y]));
  return lost;
}

/** A square's columns as rows. */
function turned(square: Float32Array, size: number): Float32Array {
  const out = new Float32Array(size * size);
  for (let y = 0, i = 0; y < size; y++) for (let x = 0; x < size; x++, i++) out[x * size + y] = square[i];
  return out;
}

/** Tiles with the strongest contrasts, well spread. */
function tilesOf(image: RgbImage, [x0, y0, w, h]: Rect): Rect[] {
  const side = Math.min(TILE, w, h);
  const nx = Math.max(1, Math.min(10, Math.floor(w / side)));
  const ny = Math.max(1, Math.min(10, Math.floor(h / side)));
  const all: { rect: Rect; steepest: number }[] = [];
  for (let j = 0; j < ny; j++)
    for (let i = 0; i < nx; i++) {
      const x = x0 + (nx > 1 ? Math.round((i * (w - side)) / (nx - 1)) : (w - side) >> 1);
      const y = y0 + (ny > 1 ? Math.round((j * (h - side)) / (ny - 1)) : (h - side) >> 1);
      let steepest = 0;
      const { data, width } = image;
      // Green says enough of where the contrasts are.
      for (let v = y; v < y + side; v += 2)
        for (let u = x, k = (v * width + x) * 3 + 1; u < x + side - 4; u += 2, k += 6) steepest += Math.abs(data[k] - data[k + 12]);
      all.push({ rect: [x, y, side, side], steepest });
    }
  return all
    .sort((a, b) => b.steepest - a.steepest || a.rect[1] - b.rect[1] || a.rect[0] - b.rect[0])
    .slice(0, MOST_TILES)
    .map((t) => t.rect);
}

/**
 * Share of the pixels along a side that carry detail, (0, 1]: 1 for a picture as sharp as its pixels allow, ⅓ for one
 * enlarged three times. Judged where contrasts are strongest, by how much of them is lost when the picture is made smaller
 * and large again; 1 where there is too little contrast to tell. Only `within` (px; the picture proper) is looked at.
 */
export function sharpnessOf(image: RgbImage, within: Rect = [0, 0, image.width, image.height]): number {
  const rects = tilesOf(image, within);
  const size = rects[0][2];
  const tiles = rects.map((rect) => lightnessPlane(cropImage(image, rect)).data);
  const lossAt = (factor: number) => {
    const trip = roundTrip(size, factor);
    return tiles.map((tile) => quantile(lossOf(tile, size, trip), 0.995));
  };
  const contrasts = lossAt(12);
  const contrast = Math.max(...contrasts);
  if (!(contrast >= LEAST_CONTRAST)) return 1;
  let before: readonly [factor: number, lost: number] = [1, 0];
  for (const factor of FACTORS) {
    const losses = lossAt(factor).filter((_, k) => contrasts[k] >= 0.5 * contrast);
    const lost = quantile(losses, 0.75) / contrast;
    if (lost > LOST) {
      // Less than the first step is no more than softness.
      if (before[1] === 0) return 1;
      const part = (LOST - before[1]) / (lost - before[1]);
      return 1 / (before[0] * (factor / before[0]) ** part);
    }
    before = [factor, lost];
  }
  return 1 / before[0];
}
