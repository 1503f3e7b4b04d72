/** Knows one window at every softness the close readings share: its colours in Lab, from fine to broad, computed once. */
import { labPlanes } from '../colour/lab';
import { gaussian } from '../raster/filters';
import { Plane, RgbImage } from '../raster/image';

/** Softness (px of the picture as read) between which the sizes of detail lie. */
export const SOFTNESS = [0.6, 1.2, 2.5, 5, 10] as const;

export interface CloseUp {
  width: number;
  height: number;
  /** L*, a* and b* at each softness; the finest of a* and b* are left as they are, since nothing that fine is told by them. */
  L: Plane[];
  a: Plane[];
  b: Plane[];
}

export function closeUp(image: RgbImage): CloseUp {
  const lab = labPlanes(image);
  const colour = (p: Plane) => SOFTNESS.map((sigma, k) => (k ? gaussian(p, sigma) : p));
  return { width: image.width, height: image.height, L: SOFTNESS.map((s) => gaussian(lab.L, s)), a: colour(lab.a), b: colour(lab.b) };
}
