/** Knows the bare lights: the shapes that the sheet keeps where nothing is drawn or painted. */
import { contours } from 'd3-contour';
import { components } from '../raster/components';
import { gaussian } from '../raster/filters';
import { Mask, mask, plane, Point } from '../raster/image';

export interface BareLight {
  /** Its share of the picture. */
  share: number;
  /** Shut in by what is worked; else it runs out to the picture's edge. */
  within: boolean;
  /** Its rims, 0–1 of the picture: the outer one, and those of what is worked inside it. */
  rims: Point[][];
}

/** Smaller shapes, as a share of the picture, are gaps between marks. */
const LEAST_SHARE = 0.001;
/** What the rims are softened by, px of form size, so that they follow shapes and not px. */
const SOFT = 1.5;

/** The bare shapes of a worked area less what is left out, largest first; none where nothing is bare. */
export function bareLights(worked: Mask, leftOut: Mask | null = null): BareLight[] {
  const { width, height } = worked;
  const bare = mask(width, height);
  for (let i = 0; i < bare.data.length; i++) bare.data[i] = worked.data[i] || leftOut?.data[i] ? 0 : 1;
  const { labels, list } = components(bare);
  return list
    .filter((c) => c.area >= LEAST_SHARE * width * height)
    .sort((a, b) => b.area - a.area)
    .map(({ label, area, box: [left, top, right, bottom], touchesEdge }): BareLight => {
      // With a rim of px that are not of it, so that every line closes.
      const pad = Math.ceil(3 * SOFT);
      const [x0, y0] = [left - pad, top - pad];
      const own = plane(right - left + 1 + 2 * pad, bottom - top + 1 + 2 * pad);
      for (let y = top; y <= bottom; y++)
        for (let x = left; x <= right; x++) if (labels[y * width + x] === label) own.data[(y - y0) * own.width + x - x0] = 1;
      const soft = gaussian(own, SOFT);
      const [{ coordinates }] = contours().size([own.width, own.height]).thresholds([0.5])(Array.from(soft.data));
      const inside = (v: number) => Math.min(1, Math.max(0, v));
      const rims = coordinates.flat().map((ring) => ring.map(([x, y]): Point => [inside((x0 + x) / width), inside((y0 + y) / height)]));
      return { share: area / (width * height), within: !touchesEdge, rims };
    });
}
