/** Knows the edge of a form that lies nearest to a place: where lightness changes fastest, to a part of a pixel. */
import { gaussianGradient } from '../raster/gradient';
import { Plane, plane, Point } from '../raster/image';
import { sampleBilinear } from '../raster/resample';

/** Softness that grain is taken out with, px. */
const SIGMA = 1.2;
/** An edge rises by more than this many L* a px; weaker ones are grain or a slow shade. */
const LEAST = 1.5;
/** Of the steepest nearby, so much is an edge of its own beside it. */
const PART = 0.4;

/** The nearest point of an edge within `radius` px of `at` in a plane of L*; null where there is none. */
export function nearestEdge(lightness: Plane, [x, y]: Point, radius: number): [number, number] | null {
  const { width: w, height: h } = lightness;
  const { dx: across, dy: down } = gaussianGradient(lightness, SIGMA);
  const rise = plane(w, h);
  for (let i = 0; i < rise.data.length; i++) rise.data[i] = Math.hypot(across.data[i], down.data[i]);
  const [x0, x1] = [Math.max(1, Math.floor(x - radius)), Math.min(w - 2, Math.ceil(x + radius))];
  const [y0, y1] = [Math.max(1, Math.floor(y - radius)), Math.min(h - 2, Math.ceil(y + radius))];
  let steepest = 0;
  for (let v = y0; v <= y1; v++) for (let u = x0; u <= x1; u++) steepest = Math.max(steepest, rise.data[v * w + u]);
  if (steepest < LEAST) return null;
  let best: [number, number] | null = null;
  let nearest = radius;
  for (let v = y0; v <= y1; v++)
    for (let u = x0; u <= x1; u++) {
      const i = v * w + u;
      const here = rise.data[i];
      if (here < Math.max(LEAST, PART * steepest)) continue;
      const [dx, dy] = [across.data[i] / here, down.data[i] / here];
      const at = (s: number) => sampleBilinear(rise, u + s * dx, v + s * dy);
      const [before, after] = [at(-1), at(1)];
      if (before > here || after >= here) continue;
      // The top of the parabola through the three.
      const s = Math.min(0.5, Math.max(-0.5, (before - after) / (2 * (before - 2 * here + after) || -1)));
      // Pixels are known at their middles.
      const found: [number, number] = [u + s * dx + 0.5, v + s * dy + 0.5];
      const far = Math.hypot(found[0] - x, found[1] - y);
      if (far < nearest) [nearest, best] = [far, found];
    }
  return best;
}
