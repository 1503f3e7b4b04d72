/** Knows one window at every softness the close readings share: its colours in Lab, from fine to broad. */
import { linearFromByte } from '../colour/srgb';
import { gaussianSoftening } from '../raster/filters';
import { RgbImage } from '../raster/image';
import { CloseUp, everyAt } from '../raster/kernels/closeUp';

/** Softness (px of the picture as read) between which the sizes of detail lie. */
export const SOFTNESS = [0.6, 1.2, 2.5, 5, 10] as const;

const [FINEST, FINE, RIDGED] = SOFTNESS.map(gaussianSoftening);
/** From each to the next, of which half as many px are kept. */
const BROAD = SOFTNESS.slice(2).map((s, n) => gaussianSoftening(Math.sqrt(s ** 2 - SOFTNESS[n + 1] ** 2) / everyAt(n + 2)));

export type { CloseUp };

export const closeUp = (image: RgbImage): CloseUp => ({
  width: image.width,
  height: image.height,
  image,
  linear: linearFromByte,
  fine: [FINEST, FINE, RIDGED],
  broad: BROAD,
});
