/** Knows the smallest triangle round a convex outline. */
import type { Point } from '../raster/image';
import { signedArea } from './polygon';

type Line = readonly [Point, Point];
export type Triangle = [Point, Point, Point];

/** Where two lines meet; null for parallel ones. */
function meet([a0, a1]: Line, [b0, b1]: Line): Point | null {
  const [dx, dy] = [a1[0] - a0[0], a1[1] - a0[1]];
  const [ex, ey] = [b1[0] - b0[0], b1[1] - b0[1]];
  const across = dx * ey - dy * ex;
  if (Math.abs(across) < 1e-9 * Math.hypot(dx, dy) * Math.hypot(ex, ey)) return null;
  const t = ((b0[0] - a0[0]) * ey - (b0[1] - a0[1]) * ex) / across;
  return [a0[0] + t * dx, a0[1] + t * dy];
}

/** Does a triangle hold all points, but for a hair? */
function holds(triangle: Triangle, points: readonly Point[], slack: number): boolean {
  const turn = Math.sign(signedArea(triangle));
  for (let k = 0; k < 3; k++) {
    const [p, q] = [triangle[k], triangle[(k + 1) % 3]];
    const [ex, ey] = [q[0] - p[0], q[1] - p[1]];
    const long = Math.hypot(ex, ey);
    for (const o of points) if ((turn * (ex * (o[1] - p[1]) - ey * (o[0] - p[0]))) / long < -slack) return false;
  }
  return true;
}

/** The third side through a corner of the outline that halves it, between two sides; it leaves the least area on its corner's side. */
function halvedAt(v: Point, at: Point, a: Line, b: Line): Triangle {
  const [ax, ay] = [a[1][0] - a[0][0], a[1][1] - a[0][1]];
  const [bx, by] = [b[1][0] - b[0][0], b[1][1] - b[0][1]];
  const across = ax * by - ay * bx;
  const [x, y] = [v[0] - at[0], v[1] - at[1]];
  const [s, t] = [(x * by - y * bx) / across, (ax * y - ay * x) / across];
  return [at, [at[0] + 2 * s * ax, at[1] + 2 * s * ay], [at[0] + 2 * t * bx, at[1] + 2 * t * by]];
}

interface Found {
  area: number;
  triangle: Triangle;
}

/** Adds a triangle that holds all points. */
function addHolding(to: Found[], triangle: Triangle, points: readonly Point[], slack: number): void {
  const area = Math.abs(signedArea(triangle));
  if (area > 0 && holds(triangle, points, slack)) to.push({ area, triangle });
}

const smaller = (p: Found, q: Found): number => p.area - q.area;

/**
 * Triangles round a convex outline, any unit, smallest first: two sides lie flush with sides of the outline, the third does too or is
 * halved by the corner that it touches. The smallest of all is one of them (Klee and Laskowski 1985; O'Rourke et al. 1986). Time grows
 * with the fourth power of the corners: meant for a few dozen.
 */
export function enclosingTriangles(hull: readonly Point[]): Triangle[] {
  const n = hull.length;
  const sides = hull.map((p, i): Line => [p, hull[(i + 1) % n]]);
  const slack = 1e-7 * Math.max(...hull.map(([x, y]) => Math.hypot(x - hull[0][0], y - hull[0][1])));
  const found: Found[] = [];
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const at = meet(sides[i], sides[j]);
      if (!at) continue;
      for (const v of hull) addHolding(found, halvedAt(v, at, sides[i], sides[j]), hull, slack);
      for (let k = j + 1; k < n; k++) {
        const [b, c] = [meet(sides[j], sides[k]), meet(sides[k], sides[i])];
        if (b && c) addHolding(found, [at, b, c], hull, slack);
      }
    }
  return found.sort(smaller).map((f) => f.triangle);
}
