/** Knows strokes as they are handed over to be shown: centre lines in typed arrays. */
import { Point } from '../raster/image';
import { Stroke } from './strokes';

/** Centre lines of strokes. */
export interface Traced {
  /** x and y by turns. */
  points: Float32Array;
  /** Which pair each stroke begins with; one more than there are strokes. */
  starts: Uint32Array;
}

/** Strokes packed into typed arrays, each place moved by `at` and then made `factor` times as large. */
export function packStrokes(strokes: readonly Stroke[], [dx, dy]: Point, factor: number): Traced {
  const starts = new Uint32Array(strokes.length + 1);
  strokes.forEach((s, k) => (starts[k + 1] = starts[k] + s.points.length));
  const points = new Float32Array(2 * starts[strokes.length]);
  let to = 0;
  for (const s of strokes)
    for (const [x, y] of s.points) {
      // A px has its middle at a half.
      points[to++] = (x + 0.5 + dx) * factor;
      points[to++] = (y + 0.5 + dy) * factor;
    }
  return { points, starts };
}
