/** Knows by its own points when a head that is measured as a front one has turned: its middle lies off, and the far side is narrower. */
import { Landmarks } from './align';
import type { LandmarkSet } from './measures';
import { Point } from '../raster/image';

/** The side of the picture the far half lies on, and how much narrower it is than the near one (near ÷ far, over 1). */
export interface Turned {
  far: 'left' | 'right';
  narrower: number;
}

const MIDDLE = ['nose-base', 'mouth-centre', 'chin'] as const;
/** Drawn by eye, halves of a front face differ by up to about a fifth, eyes by a tenth: common practice, no source. */
const [HALVES, EYES] = [1.25, 1.1];

const at = (points: Landmarks, name: string): Point | null => (Object.hasOwn(points, name) ? points[name] : null);

/** Share of the way from a to b at which p stands, along the line through them. */
function along(a: Point, b: Point, p: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const square = dx * dx + dy * dy;
  return square > 0 ? ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / square : 0.5;
}

const apart = (a: Point | null, b: Point | null): number | null => (a && b ? Math.hypot(a[0] - b[0], a[1] - b[1]) : null);

/**
 * How far a head has turned; null where it faces front, or too few points say. The halves are those of the face at its widest, parted by
 * the middle points along the line of its sides; where both eyes are placed the far one has to be narrower, too.
 */
export function turnedHead({ template, points }: Pick<LandmarkSet, 'template' | 'points'>): Turned | null {
  if (template !== 'face-front') return null;
  const [left, right] = [at(points, 'face-left'), at(points, 'face-right')];
  const middles = MIDDLE.flatMap((name) => {
    const p = at(points, name);
    return p && left && right ? [along(left, right, p)] : [];
  });
  if (!left || !right || !middles.length) return null;
  const share = Math.min(0.98, Math.max(0.02, middles.reduce((a, b) => a + b, 0) / middles.length));
  const halves = share / (1 - share);
  const narrower = Math.max(halves, 1 / halves);
  if (narrower < HALVES) return null;
  const far = halves > 1 ? 'right' : 'left';
  const eyes = (['left', 'right'] as const).map((side) => apart(at(points, `eye-${side}-outer`), at(points, `eye-${side}-inner`)));
  if (eyes[0] && eyes[1]) {
    const nearOverFar = far === 'left' ? eyes[1] / eyes[0] : eyes[0] / eyes[1];
    // A middle drawn off in a face whose eyes are alike is a fault of drawing, not a turned head.
    if (nearOverFar < EYES) return null;
  }
  return { far, narrower };
}
