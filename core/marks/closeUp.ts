/** Knows one window at every softness the close readings share: its colours in Lab, from fine to broad. */
import { linearFromByte } from '../colour/srgb';
import { gaussianSoftening } from '../raster/filters';
import { RgbImage } from '../raster/image';
import { CloseUp } from '../raster/kernels/closeUp';

/** Softness (px of the picture as read) between which the sizes of detail lie. */
export const SOFTNESS = [0.6, 1.2, 2.5, 5, 10] as const;

const SOFTENINGS = SOFTNESS.map(gaussianSoftening);

export type { CloseUp };

export const closeUp = (image: RgbImage): CloseUp => ({
  width: image.width,
  height: image.height,
  image,
  linear: linearFromByte,
  softness: SOFTENINGS,
});
