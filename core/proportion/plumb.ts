/** Knows what stands under and level with what: distances from plumb and level lines in the unit of the work, as a pencil held upright tells them. */
import { extentOf, Landmarks } from './align';
import { twinOf } from './guessing';
import type { Stand, Template } from './template';

type Point = readonly [number, number];

/** Where a point stands against the plumb or level line through another. */
export interface Stands extends Stand {
  /** In the unit; to the right of the plumb line or below the level line positive, as seen on the page. */
  off: number;
  /** Toward the middle between the two sides of a pair, or away from it; null where there is no other side. */
  toward: 'inside' | 'outside' | null;
}

export interface UnitLength {
  px: number;
  /** Is it the template's own unit, or for want of that the whole's extent? */
  own: boolean;
}

/** The unit that distances are told in, px; null where all points lie on one place. */
export function unitOf({ unit }: Pick<Template, 'unit'>, points: Landmarks): UnitLength | null {
  const ends = unit?.every((name) => Object.hasOwn(points, name)) ? unit.map((name) => points[name]) : null;
  const own = ends ? Math.hypot(ends[1][0] - ends[0][0], ends[1][1] - ends[0][1]) : 0;
  if (own > 0) return { px: own, own: true };
  const all = Object.values(points);
  const px = all.length ? extentOf(all) : 0;
  return px > 0 ? { px, own: false } : null;
}

function towardOf(template: Template, points: Landmarks, { point, of, as }: Stand, off: number): Stands['toward'] {
  const other = as === 'under' ? twinOf(template, of) : null;
  if (other === null || off === 0 || twinOf(template, point) === null || !Object.hasOwn(points, other)) return null;
  const inward = Math.sign(points[other][0] - points[of][0]);
  return inward === 0 ? null : Math.sign(off) === inward ? 'inside' : 'outside';
}

const offOf = (from: Point, to: Point, as: Stand['as']) => (as === 'under' ? to[0] - from[0] : to[1] - from[1]);

/** What nature has under or level with each other, as it stands here; what is not placed is left out. */
export function standsOf(template: Template, points: Landmarks): Stands[] {
  const unit = unitOf(template, points);
  if (!unit) return [];
  return (template.stands ?? []).flatMap((stand): Stands[] => {
    if (!Object.hasOwn(points, stand.point) || !Object.hasOwn(points, stand.of)) return [];
    const off = offOf(points[stand.of], points[stand.point], stand.as) / unit.px;
    return [{ ...stand, off, toward: towardOf(template, points, stand, off) }];
  });
}

/** Farther off than this part of the unit nobody looks along a plumb line for it. */
const NEAR = 0.25;

/** What stands nearest to the plumb and to the level line through a point, nearest first. */
export function nearLines(template: Template, points: Landmarks, of: string, most = 3): Record<Stand['as'], Stands[]> {
  const unit = unitOf(template, points);
  const found = (as: Stand['as']) =>
    !unit || !Object.hasOwn(points, of)
      ? []
      : Object.keys(points)
          .filter((point) => point !== of)
          .map((point): Stands => {
            const off = offOf(points[of], points[point], as) / unit.px;
            return { point, of, as, off, toward: towardOf(template, points, { point, of, as }, off) };
          })
          .filter((s) => Math.abs(s.off) <= NEAR)
          .sort((a, b) => Math.abs(a.off) - Math.abs(b.off))
          .slice(0, most);
  return { under: found('under'), level: found('level') };
}
