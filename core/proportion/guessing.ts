/** Knows about where a point is to be expected: over the axis of a figure from its twin, or where the figure's other points put it. */
import { align, applyAlignment, Landmarks } from './align';
import type { Template } from './template';
import type { Point } from '../raster/image';

export interface Expected {
  at: [number, number];
  /** A twin is mirrored over the figure's own axis; else the whole figure is laid over the points that are there. */
  by: 'twin' | 'figure';
}

const SIDES = ['left', 'right'] as const;

/** The name of the same point on the other side; null for one that has none. */
export function twinOf(template: Template, name: string): string | null {
  const parts = name.split('-');
  const i = parts.findIndex((p) => p === 'left' || p === 'right');
  if (i < 0) return null;
  parts[i] = SIDES[parts[i] === 'left' ? 1 : 0];
  const twin = parts.join('-');
  return template.points.some((p) => p.name === twin) ? twin : null;
}

/** A line by a point on it and its unit normal. */
interface Axis {
  on: Point;
  normal: Point;
}

const MIDDLE = 0.02;

/** The axis of a figure: across its pairs that are placed and through its middle points; plumb where nothing says how it leans. */
function axisOf(template: Template, points: Landmarks): Axis | null {
  const names = template.points.filter((p) => Object.hasOwn(points, p.name));
  const middles: Point[] = names.filter((p) => Math.abs(p.at[0] - 0.5) < MIDDLE).map((p) => points[p.name]);
  let [across, down] = [0, 0];
  for (const { name } of names) {
    const twin = twinOf(template, name);
    if (!twin || !name.includes('left') || !Object.hasOwn(points, twin)) continue;
    const [a, b] = [points[name], points[twin]];
    across += b[0] - a[0];
    down += b[1] - a[1];
    middles.push([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
  }
  if (!middles.length) return null;
  const [mx, my] = [0, 1].map((k) => middles.reduce((s, p) => s + p[k], 0) / middles.length);
  if (across || down) {
    const long = Math.hypot(across, down);
    return { on: [mx, my], normal: [across / long, down / long] };
  }
  // Middle points alone: the way they spread most (principal axis of two dimensions).
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of middles) {
    xx += (x - mx) ** 2;
    xy += (x - mx) * (y - my);
    yy += (y - my) ** 2;
  }
  const turn = xx + yy > 0 ? 0.5 * Math.atan2(2 * xy, xx - yy) : Math.PI / 2;
  return { on: [mx, my], normal: [-Math.sin(turn), Math.cos(turn)] };
}

/** Where a point not yet placed is to be expected, px of the picture; null where too little is placed to say. */
export function expectedPlace(template: Template, name: string, points: Landmarks): Expected | null {
  const twin = template.symmetric ? twinOf(template, name) : null;
  if (twin && Object.hasOwn(points, twin)) {
    const axis = axisOf(template, points);
    if (axis) {
      const [x, y] = points[twin];
      const off = 2 * ((x - axis.on[0]) * axis.normal[0] + (y - axis.on[1]) * axis.normal[1]);
      return { at: [x - off * axis.normal[0], y - off * axis.normal[1]], by: 'twin' };
    }
  }
  const usual = Object.fromEntries(template.points.map((p) => [p.name, p.at]));
  const there = Object.entries(points).filter(([n]) => Object.hasOwn(usual, n));
  if (there.length < 3 || !Object.hasOwn(usual, name) || new Set(there.map(([, p]) => p.join())).size < 2) return null;
  return { at: applyAlignment(align(usual, Object.fromEntries(there)), usual[name]), by: 'figure' };
}
