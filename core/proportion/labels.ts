/** Knows where numbers stand beside points on a sheet, so that no number lies on another or on a point. */
import { Point } from '../raster/image';

export interface Label {
  /** Where its middle stands. */
  at: Point;
  /** So far from its point that a line has to lead there. */
  led: boolean;
}

const RINGS = [1, 1.7, 2.6, 3.6, 4.8, 6.2, 8];
const WAYS = 16;

/** A place for each point's label, all of one size (same unit as the points): the nearest that is free, to the upper right first. */
export function placeLabels(points: readonly Point[], [w, h]: Point): Label[] {
  const taken: Point[] = [];
  const apart = ([ax, ay]: Point, [bx, by]: Point, x: number, y: number) => Math.abs(ax - bx) >= x || Math.abs(ay - by) >= y;
  return points.map((p) => {
    for (const ring of RINGS)
      for (let k = 0; k < WAYS; k++) {
        // From the upper right to both sides alike.
        const turn = (((k % 2 ? -1 : 1) * Math.ceil(k / 2) * 2) / WAYS + 0.25) * Math.PI;
        const at: Point = [p[0] + Math.cos(turn) * w * ring, p[1] - Math.sin(turn) * h * ring];
        if (!taken.every((t) => apart(at, t, w, h)) || !points.every((o) => apart(at, o, 0.75 * w, 0.75 * h))) continue;
        taken.push(at);
        return { at, led: ring > RINGS[1] };
      }
    // Points that all lie on each other: there is no free place near them.
    return { at: [p[0] + w, p[1] - h], led: false };
  });
}
