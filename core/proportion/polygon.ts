/** Knows polygons: area, hull, clipping by a convex one, and how far two overlap. */
import { crossingsAt } from '../raster/crossings';
import { boundsOf, Point } from '../raster/image';

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
  const sorted = points.slice().sort(leftToRight);
  if (sorted.length < 3) return sorted;
  const upper = halfHull(sorted);
  return [...upper, ...halfHull(sorted.reverse())];
}

const leftToRight = (a: Point, b: Point): number => a[0] - b[0] || a[1] - b[1];

/** Twice the signed area of a triangle: to which side of the line from o to a the point b lies. */
const sideOf = (o: Point, a: Point, b: Point): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/** One half of the hull of points in order, without the last. */
function halfHull(list: readonly Point[]): Point[] {
  const out: Point[] = [];
  for (const p of list) {
    while (out.length > 1 && sideOf(out[out.length - 2], out[out.length - 1], p) <= 0) out.pop();
    out.push(p);
  }
  out.pop();
  return out;
}

let rooms = [new Float64Array(1024), new Float64Array(1024)];

/**
 * Area of the part of `subject` inside the convex `clip` (Sutherland and Hodgman 1974), right for any simple subject.
 * Flat working arrays, since shape fitting calls this tens of thousands of times.
 */
export function clippedArea(subject: readonly Point[], clip: readonly Point[]): number {
  const room = 4 * (subject.length + clip.length) + 16;
  if (rooms[0].length < room) rooms = [new Float64Array(room), new Float64Array(room)];
  let [from, to] = rooms;
  const turn = signedArea(clip) >= 0 ? 1 : -1;
  let n = subject.length;
  for (let i = 0; i < n; i++) {
    from[2 * i] = subject[i][0];
    from[2 * i + 1] = subject[i][1];
  }
  for (let i = 0, j = clip.length - 1; i < clip.length && n > 0; j = i++) {
    const ax = clip[j][0];
    const ay = clip[j][1];
    const dx = turn * (clip[i][0] - ax);
    const dy = turn * (clip[i][1] - ay);
    let m = 0;
    let px = from[2 * n - 2];
    let py = from[2 * n - 1];
    let sp = dx * (py - ay) - dy * (px - ax);
    for (let k = 0; k < n; k++) {
      const qx = from[2 * k];
      const qy = from[2 * k + 1];
      const sq = dx * (qy - ay) - dy * (qx - ax);
      if (sp >= 0 !== sq >= 0) {
        const t = sp / (sp - sq);
        to[m++] = px + t * (qx - px);
        to[m++] = py + t * (qy - py);
      }
      if (sq >= 0) {
        to[m++] = qx;
        to[m++] = qy;
      }
      px = qx;
      py = qy;
      sp = sq;
    }
    n = m / 2;
    [from, to] = [to, from];
  }
  let area = 0;
  for (let i = 0, j = n - 1; i < n; j = i++) area += from[2 * j] * from[2 * i + 1] - from[2 * i] * from[2 * j + 1];
  return Math.abs(area) / 2;
}

/** Intersection over union of a simple polygon and a convex one, 0–1. */
export function overlapWithConvex(subject: readonly Point[], convex: readonly Point[]): number {
  const both = clippedArea(subject, convex);
  const union = Math.abs(signedArea(subject)) + Math.abs(signedArea(convex)) - both;
  return union > 0 ? both / union : 0;
}

/** Area that two simple polygons of any form share, to about one part in `lines`: lengths shared on level lines, added up. */
export function sharedArea(a: readonly Point[], b: readonly Point[], lines = 400): number {
  const [p, q] = [boundsOf(a), boundsOf(b)];
  const [top, bottom] = [Math.max(p.top, q.top), Math.min(p.bottom, q.bottom)];
  // Boxes that do not meet share nothing.
  if (!(bottom > top) || Math.max(p.left, q.left) >= Math.min(p.right, q.right)) return 0;
  const step = (bottom - top) / lines;
  let sum = 0;
  for (let k = 0; k < lines; k++) {
    const y = top + (k + 0.5) * step;
    const [m, n] = [crossingsAt(a, y), crossingsAt(b, y)];
    for (let i = 0; i + 1 < m.length; i += 2)
      for (let j = 0; j + 1 < n.length; j += 2) sum += Math.max(0, Math.min(m[i + 1], n[j + 1]) - Math.max(m[i], n[j]));
  }
  return sum * step;
}

/** Intersection over union of two simple polygons of any form, 0–1. */
export function overlapOfBoth(a: readonly Point[], b: readonly Point[]): number {
  const both = sharedArea(a, b);
  const union = Math.abs(signedArea(a)) + Math.abs(signedArea(b)) - both;
  return union > 0 ? both / union : 0;
}

/** Does an outline cross itself? Sides that only meet at a corner do not count. */
export function crossesItself(p: readonly Point[]): boolean {
  const n = p.length;
  for (let i = 0; i < n; i++)
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [a, b, c, d] = [p[i], p[(i + 1) % n], p[j], p[(j + 1) % n]];
      if (sideOf(a, b, c) * sideOf(a, b, d) < 0 && sideOf(c, d, a) * sideOf(c, d, b) < 0) return true;
    }
  return false;
}
