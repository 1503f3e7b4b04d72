/** Knows how a flat work is found in the photograph of it: a postcard on a table, a page, a poster on a wall, also within the thin border of a scan. */
import { cropImage, RgbImage } from '../raster/image';
import { FoundSheet, findSheet } from './findSheet';

/** Corners within this share of a side of the picture's own are those of the picture, or of a border that the file has all round. */
const HUGGING = 0.02;

const hugs = ({ corners }: FoundSheet, { width, height }: RgbImage): boolean => {
  const near = (v: number, side: number) => v < HUGGING * side || v > (1 - HUGGING) * side;
  return corners.every(([x, y]) => near(x, width) && near(y, height));
};

/**
 * Corners of the work in px of the photograph; null where none is seen that differs from the picture itself. A scan's border of a few px is the
 * strongest edge there is: where the finder takes that, the picture is looked at once more without its rim.
 */
export function findWork(photo: RgbImage): FoundSheet | null {
  const found = findSheet(photo, null);
  if (!found || !hugs(found, photo)) return found;
  const [x, y] = [Math.ceil(HUGGING * photo.width), Math.ceil(HUGGING * photo.height)];
  const inner = cropImage(photo, [x, y, photo.width - 2 * x, photo.height - 2 * y]);
  const again = findSheet(inner, null);
  return again && !hugs(again, inner) ? { ...again, corners: again.corners.map(([cx, cy]) => [cx + x, cy + y] as const) } : null;
}
