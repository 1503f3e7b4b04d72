import fc from 'fast-check';
import { bounded, Nearness, WHOLE, zoomedAt } from './ZoomBox';

const view = fc.record({
  zoom: fc.double({ min: 0.1, max: 40, noNaN: true }),
  x: fc.double({ min: -1, max: 2, noNaN: true }),
  y: fc.double({ min: -1, max: 2, noNaN: true }),
});
/** The part of the picture that fills the frame, left to right. */
const shown = ({ zoom, x }: Nearness) => [x - 0.5 / zoom, x + 0.5 / zoom];

test('whatever is asked for, no edge of the picture comes inside the frame', () => {
  fc.assert(
    fc.property(view, (v) => {
      const b = bounded(v);
      expect(b.zoom).toBeGreaterThanOrEqual(1);
      expect(b.zoom).toBeLessThanOrEqual(12);
      const [left, right] = shown(b);
      expect(left).toBeGreaterThanOrEqual(-1e-9);
      expect(right).toBeLessThanOrEqual(1 + 1e-9);
    }),
    { seed: 11 },
  );
  expect(bounded({ zoom: 0.2, x: 9, y: -9 })).toEqual(WHOLE);
});

test('drawn nearer, the point under the pointer stays under it', () => {
  const before = bounded({ zoom: 2, x: 0.5, y: 0.5 });
  const [u, v] = [0.3, 0.8];
  const under = (w: Nearness) => [w.x + (u - 0.5) / w.zoom, w.y + (v - 0.5) / w.zoom];
  const after = zoomedAt(before, 1.7, u, v);
  expect(after.zoom).toBeCloseTo(3.4, 9);
  expect(under(after)[0]).toBeCloseTo(under(before)[0], 9);
  expect(under(after)[1]).toBeCloseTo(under(before)[1], 9);
});

test('near and far again comes back to the whole picture', () => {
  const near = zoomedAt(WHOLE, 4, 0.1, 0.9);
  expect(near).not.toEqual(WHOLE);
  expect(zoomedAt(near, 1 / 4, 0.1, 0.9)).toEqual({ zoom: 1, x: expect.closeTo(0.5, 9), y: expect.closeTo(0.5, 9) });
});
