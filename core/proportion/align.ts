/** Knows how one set of landmarks lies over another: the least-squares similarity without reflection (Umeyama 1991). */
import { CoreError } from '../errors';
import { boundsOf, Point } from '../raster/image';

export type Landmarks = Readonly<Record<string, readonly [number, number]>>;

/** Diagonal of the box round some points. */
export const extentOf = (points: readonly Point[]): number => {
  const { left, top, right, bottom } = boundsOf(points);
  return Math.hypot(right - left, bottom - top);
};

export interface Alignment {
  scale: number;
  /** Degrees anticlockwise as seen, (−180, 180]. */
  rotation: number;
  shift: [number, number];
  /** B minus the moved A, for every shared name. */
  residuals: Record<string, [number, number]>;
  rms: number;
}

/** Applies an alignment to a point of A. */
export function applyAlignment(
  { scale, rotation, shift }: Pick<Alignment, 'scale' | 'rotation' | 'shift'>,
  [x, y]: readonly [number, number],
): [number, number] {
  const t = (-rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(t) * scale, Math.sin(t) * scale];
  return [c * x - s * y + shift[0], s * x + c * y + shift[1]];
}

/** B ≈ scale · R · A + shift over the names both have; throws with fewer than two distinct shared points. */
export function align(a: Landmarks, b: Landmarks): Alignment {
  const names = Object.keys(a).filter((name) => Object.hasOwn(b, name));
  const distinct = new Set(names.map((n) => `${a[n][0]},${a[n][1]}`));
  if (distinct.size < 2) throw new CoreError('landmarks.shared');
  const middle = (set: Landmarks) => [0, 1].map((k) => names.reduce((s, n) => s + set[n][k], 0) / names.length);
  const [ma, mb] = [middle(a), middle(b)];
  let along = 0;
  let across = 0;
  let size = 0;
  for (const n of names) {
    const [ax, ay] = [a[n][0] - ma[0], a[n][1] - ma[1]];
    const [bx, by] = [b[n][0] - mb[0], b[n][1] - mb[1]];
    along += ax * bx + ay * by;
    across += ax * by - ay * bx;
    size += ax * ax + ay * ay;
  }
  const norm = Math.hypot(along, across);
  const scale = norm / size;
  // In two dimensions the optimal rotation has this closed form; pixel axes have y down, so the seen angle is its negative.
  const [c, s] = norm > 0 ? [along / norm, across / norm] : [1, 0];
  const degrees = (-Math.atan2(s, c) * 180) / Math.PI;
  const rotation = degrees <= -180 ? 180 : degrees === 0 ? 0 : degrees;
  const shift: [number, number] = [mb[0] - scale * (c * ma[0] - s * ma[1]), mb[1] - scale * (s * ma[0] + c * ma[1])];
  const residuals: Record<string, [number, number]> = {};
  let sum = 0;
  for (const n of names) {
    const dx = b[n][0] - (scale * (c * a[n][0] - s * a[n][1]) + shift[0]);
    const dy = b[n][1] - (scale * (s * a[n][0] + c * a[n][1]) + shift[1]);
    residuals[n] = [dx, dy];
    sum += dx * dx + dy * dy;
  }
  return { scale, rotation, shift, residuals, rms: Math.sqrt(sum / names.length) };
}
