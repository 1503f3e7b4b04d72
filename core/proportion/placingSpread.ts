/** Knows how sure a measure is by how surely a person puts its points: what a second placing would bring. */
import { extentOf, Landmarks } from './align';
import { Frame, readAll, ReadMeasure } from './measures';
import type { Template } from './template';

/** Standard deviation with which a person puts a point, as a share of the extent of all of them: common practice, no source. */
export const PLACING = 0.004;
/** For how many coordinates placed twice the usual spread counts beside a person's own. */
const USUAL_COUNTS = 6;

/** Is a measure compared by its logarithm? Angles and offsets are compared as they stand. */
export const asRatio = ({ unit }: Pick<ReadMeasure, 'unit'>): boolean => unit !== 'degrees' && unit !== 'offset';

/** A measure on the scale it is compared on; null where it cannot be read, or has no logarithm. */
export const onScale = (m: Pick<ReadMeasure, 'unit' | 'value'>): number | null =>
  m.value === null ? null : !asRatio(m) ? m.value : m.value > 0 ? Math.log(m.value) : null;

/**
 * Standard deviation of one placing along each axis, as a share of the points' extent, from points that were placed twice without
 * looking at the first place: half of the mean square difference (the difference of two equal errors has twice their variance),
 * held together with what is usual.
 */
export function placingSpread(first: Landmarks, again: Landmarks): number {
  const twice = Object.keys(again).filter((name) => Object.hasOwn(first, name));
  const extent = extentOf(Object.values(first));
  if (!twice.length || !(extent > 0)) return PLACING;
  const squares = twice.reduce((s, n) => s + (again[n][0] - first[n][0]) ** 2 + (again[n][1] - first[n][1]) ** 2, 0);
  // Half of each coordinate's squared difference is one estimate of the variance.
  return Math.sqrt((squares / 2 / extent ** 2 + USUAL_COUNTS * PLACING ** 2) / (2 * twice.length + USUAL_COUNTS));
}

/** Variance that placing puts into each measure (of its logarithm for ratios), to first order by central differences. */
export function placingVariances(
  template: Template,
  points: Landmarks,
  frame: Frame | null = null,
  spread: number = PLACING,
): Map<string, number> {
  const step = spread * extentOf(Object.values(points));
  const out = new Map<string, number>();
  if (!(step > 0)) return out;
  for (const [name, [x, y]] of Object.entries(points))
    for (const [dx, dy] of [
      [step, 0],
      [0, step],
    ]) {
      const at = (sign: number): Landmarks => ({ ...points, [name]: [x + sign * dx, y + sign * dy] });
      const [up, down] = [readAll(template, at(1), frame), readAll(template, at(-1), frame)];
      up.forEach((p, i) => {
        const [a, b] = [onScale(p), onScale(down[i])];
        if (a === null || b === null) return;
        // One placing's deviation moves the measure by half of what the two sides differ by.
        out.set(p.name, (out.get(p.name) ?? 0) + ((a - b) / 2) ** 2);
      });
    }
  return out;
}
