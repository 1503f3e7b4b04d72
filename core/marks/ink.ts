/** Knows where on a sheet there is a mark: how far each pixel departs from the bare ground, and which pixels count as marked. */
import { LabPlanes } from '../colour/lab';
import { gaussianSoftening } from '../raster/filters';
import { Plane } from '../raster/image';
import { CloseUp, sumsOf } from '../raster/kernels/closeUp';
import { distancesFrom } from '../raster/kernels/kernels';
import { Marking } from '../raster/kernels/layers';
import { histogramQuantiles } from '../raster/statistics';

/** Departure from the ground (Lab units) under which a pixel is taken for bare. */
export const BARE = 7;

/** Distance in Lab from the ground colour of every pixel, 0 or more. */
export const departure = ({ L, a, b }: LabPlanes, ground: readonly number[]): Plane => distancesFrom([L, a, b], ground);

/** The same of a close-up; where no ground is known, how much darker than the lightest part (98th percentile) each pixel is, in L*. */
export function departureIn(close: CloseUp, ground: readonly number[] | null): Plane {
  const sums = sumsOf(close);
  return ground ? sums.apart(ground) : sums.darker((lightness) => histogramQuantiles(lightness, 0, 100, [0.98])[0]);
}

/**
 * Marked pixels of a departure plane: near half (0.45, since Lab falls off faster than coverage) of the strongest departure near by (so that a line's width is kept
 * under blur), or wholly surrounded by departure (so that a pale wash with a dark line in it stays marked).
 */
export const MARKING: Marking = { soft: gaussianSoftening(0.7), softer: gaussianSoftening(1.2), bare: BARE, part: 0.45, reach: 4 };

const NOISE_BINS = 4096;
const NOISE_STEP = 0.05;
/** Px from one that is looked at to the next: some ten thousand say what the noise is; a prime walks through all columns. */
const NOISE_EVERY = 7;

/** Standard deviation of pixel noise in a plane: the median of the absolute diagonal second difference (after Immerkær 1996), to 0.01. */
export function noiseOf(source: Plane): number {
  const { width: w, height: h, data } = source;
  const bins = new Int32Array(NOISE_BINS);
  let n = 0;
  for (let i = w + 1; i < w * (h - 1) - 1; i += NOISE_EVERY, n++) {
    const v =
      4 * data[i] -
      2 * (data[i - 1] + data[i + 1] + data[i - w] + data[i + w]) +
      data[i - w - 1] +
      data[i - w + 1] +
      data[i + w - 1] +
      data[i + w + 1];
    const at = Math.abs(v) / NOISE_STEP;
    bins[at < NOISE_BINS ? at | 0 : NOISE_BINS - 1]++;
  }
  if (!n) return 0;
  let below = 0;
  let bin = 0;
  while (below + bins[bin] <= n / 2) below += bins[bin++];
  return ((bin + (n / 2 - below) / bins[bin]) * NOISE_STEP) / (0.6745 * 6);
}
