/** Knows the smallest rectangle round a set of points: one side lies on the hull (Freeman and Shapira 1975). */
import { Point } from '../raster/image';
import { convexHull } from './polygon';

export interface Rectangle {
  cx: number;
  cy: number;
  w: number;
  h: number;
  /** Degrees anticlockwise as seen of the side w. */
  angle: number;
}

/** Minimum-area rectangle by trying every hull side. */
export function minimumRectangle(points: readonly Point[]): Rectangle {
  const hull = convexHull(points);
  let best: Rectangle = { cx: hull[0]?.[0] ?? 0, cy: hull[0]?.[1] ?? 0, w: 0, h: 0, angle: 0 };
  let least = Infinity;
  for (let i = 0, j = hull.length - 1; i < hull.length; j = i++) {
    const t = Math.atan2(hull[i][1] - hull[j][1], hull[i][0] - hull[j][0]);
    const [c, s] = [Math.cos(t), Math.sin(t)];
    let [u0, u1, v0, v1] = [Infinity, -Infinity, Infinity, -Infinity];
    for (const [x, y] of hull) {
      const u = x * c + y * s;
      const v = -x * s + y * c;
      u0 = Math.min(u0, u);
      u1 = Math.max(u1, u);
      v0 = Math.min(v0, v);
      v1 = Math.max(v1, v);
    }
    const area = (u1 - u0) * (v1 - v0);
    if (area < least) {
      least = area;
      const [u, v] = [(u0 + u1) / 2, (v0 + v1) / 2];
      best = {
        cx: u * c - v * s,
        cy: u * s + v * c,
        w: u1 - u0,
        h: v1 - v0,
        angle: ((((-t * 180) / Math.PI) % 180) + 180) % 180,
      };
    }
  }
  return best;
}
