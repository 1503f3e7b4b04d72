/** Knows where a level line crosses the rim of a polygon. */
import type { Point } from './image';

/** Where a level line at height y enters and leaves a polygon (even-odd): x from left to right, an even number of them. */
export function crossingsAt(polygon: readonly Point[], y: number): number[] {
  const xs: number[] = [];
  polygon.forEach(([x1, y1], i) => {
    const [x0, y0] = polygon[(i + polygon.length - 1) % polygon.length];
    if (y0 <= y !== y1 <= y) xs.push(x0 + ((y - y0) / (y1 - y0)) * (x1 - x0));
  });
  return xs.sort((a, b) => a - b);
}
