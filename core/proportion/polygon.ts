/** Knows polygons: area, hull, clipping by a convex one, and how far two overlap. */
import { Point } from '../raster/image';

/** Signed area by the shoelace formula; positive where points run clockwise as seen (y down). */
export function signedArea(p: readonly Point[]): number {
  let s = 0;
  for (let i = 0, j = p.length - 1; i < p.length; j = i++) s += p[j][0] * p[i][1] - p[i][0] * p[j][1];
  return s / 2;
}

/** Centre of mass of a polygon with area. */
export function centroid(p: readonly Point[]): Point {
  let a = 0;
  let x = 0;
  let y = 0;
  for (let i = 0, j = p.length - 1; i < p.length; j = i++) {
    const c = p[j][0] * p[i][1] - p[i][0] * p[j][1];
    a += c;
    x += (p[j][0] + p[i][0]) * c;
    y += (p[j][1] + p[i][1]) * c;
  }
  return [x / (3 * a), y / (3 * a)];
}

/** Convex hull by Andrew's monotone chain (1979), clockwise as seen. */
export function convexHull(points: readonly Point[]): Point[] {
  const sorted = points.slice().sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  if (sorted.length < 3) return sorted;
  const cross = (o: Point, a: Point, b: Point) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (list: readonly Point[]) => {
    const out: Point[] = [];
    for (const p of list) {
      while (out.length > 1 && cross(out[out.length - 2], out[out.length - 1], p) <= 0) out.pop();
      out.push(p);
    }
    out.pop();
    return out;
  };
  return [...half(sorted), ...half(sorted.slice().reverse())];
}

/** The part of `subject` inside the convex `clip` (Sutherland and Hodgman 1974); its area is right for any simple subject. */
export function clipConvex(subject: readonly Point[], clip: readonly Point[]): Point[] {
  const turn = signedArea(clip) >= 0 ? 1 : -1;
  let out = subject.slice();
  for (let i = 0, j = clip.length - 1; i < clip.length && out.length; j = i++) {
    const [a, b] = [clip[j], clip[i]];
    const side = (p: Point) => turn * ((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]));
    const next: Point[] = [];
    for (let k = 0, m = out.length - 1; k < out.length; m = k++) {
      const [p, q] = [out[m], out[k]];
      const [sp, sq] = [side(p), side(q)];
      if (sp >= 0 !== sq >= 0) {
        const t = sp / (sp - sq);
        next.push([p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1])]);
      }
      if (sq >= 0) next.push(q);
    }
    out = next;
  }
  return out;
}

/** Intersection over union of a simple polygon and a convex one, 0–1. */
export function overlapWithConvex(subject: readonly Point[], convex: readonly Point[]): number {
  const a = Math.abs(signedArea(subject));
  const b = Math.abs(signedArea(convex));
  const both = Math.abs(signedArea(clipConvex(subject, convex)));
  const union = a + b - both;
  return union > 0 ? both / union : 0;
}
