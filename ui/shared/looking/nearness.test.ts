import fc from 'fast-check';
import { bounded, dragged, keyed, Nearness, nearerTo, swapped, WHOLE, zoomedAt } from './nearness';

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

test('in a frame wider than the picture the picture stays in the middle until it is as wide, and what is under the pointer stays under it', () => {
  const room = [2, 1] as const;
  expect(bounded({ zoom: 1.5, x: 0.1, y: 0.1 }, room)).toEqual({ zoom: 1.5, x: 0.5, y: expect.closeTo(1 / 3, 6) });
  const near = zoomedAt(WHOLE, 4, 0.4, 0.5, room);
  // The point at 0.4 of the frame was 0.3 of the picture, and still is.
  expect(near.x + ((0.4 - 0.5) * room[0]) / near.zoom).toBeCloseTo(0.3, 6);
});

test('a double click comes near and goes back; keys do as much, and arrows move only what is near', () => {
  const near = swapped(WHOLE, 0.5, 0.5);
  expect(near.zoom).toBeGreaterThan(2);
  expect(swapped(near, 0.2, 0.9)).toEqual(WHOLE);
  expect(keyed(WHOLE, 'ArrowLeft')).toBeNull();
  expect(keyed(near, 'ArrowLeft')!.x).toBeLessThan(near.x);
  expect(keyed(near, 'ArrowDown')!.y).toBeGreaterThan(near.y);
  expect(keyed(near, '0')).toEqual(WHOLE);
  expect(keyed(near, '+')!.zoom).toBeGreaterThan(near.zoom);
  expect(keyed(near, 'x')).toBeNull();
  expect(dragged(near, 0.2, 0).x).toBeCloseTo(near.x - 0.2 / near.zoom, 6);
});

test('what is hard to tell apart is shown far enough apart, round its place; what can be seen leaves the view as it is', () => {
  const at = { key: 'brow', at: [300, 150] as const, span: 6 };
  // The picture is 1000 × 500 px, 800 px wide on the screen: 6 px of it are 4.8 there.
  const near = nearerTo(at, WHOLE, 1000, 500, 800);
  expect(near).toEqual({ zoom: 42 / 4.8, x: 0.3, y: 0.3 });
  expect((6 * 800 * near.zoom) / 1000).toBeCloseTo(42, 9);
  expect(nearerTo({ ...at, span: 60 }, WHOLE, 1000, 500, 800)).toBe(WHOLE);
  // Near enough already: nothing moves.
  const close = { zoom: 4, x: 0.2, y: 0.2 };
  expect(nearerTo(at, close, 1000, 500, 800)).toBe(close);
});
