import { plane } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { nearestEdge } from './snapping';

/** A dark disc of a softness on light paper with grain. */
function disc(cx: number, cy: number, r: number, grain: number) {
  const random = seededRandom(3);
  const p = plane(80, 80);
  for (let y = 0; y < 80; y++)
    for (let x = 0; x < 80; x++) {
      const far = Math.hypot(x + 0.5 - cx, y + 0.5 - cy) - r;
      p.data[y * 80 + x] = 30 + 60 / (1 + Math.exp(-2 * far)) + grain * (random() - 0.5);
    }
  return p;
}

test('a point beside a disc snaps to its rim within a third of a pixel, from inside and outside, with grain', () => {
  const p = disc(40.3, 39.6, 18, 4);
  for (const [x, y] of [
    [61, 40],
    [40, 17],
    [26, 50],
    [52, 30],
  ] as const) {
    const at = nearestEdge(p, [x, y], 9)!;
    expect(Math.abs(Math.hypot(at[0] - 40.3, at[1] - 39.6) - 18)).toBeLessThan(0.34);
    // It is the near side of the rim, not another one.
    expect(Math.hypot(at[0] - x, at[1] - y)).toBeLessThan(Math.abs(Math.hypot(x - 40.3, y - 39.6) - 18) + 1);
  }
});

test('where nothing but grain is near there is no edge to snap to', () => {
  expect(nearestEdge(disc(40, 40, 18, 4), [40, 40], 8)).toBeNull();
  expect(nearestEdge(plane(20, 20), [10, 10], 8)).toBeNull();
});
