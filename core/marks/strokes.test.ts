import { seededRandom } from '../../tests/support/patches';
import { mask, Mask, plane, Plane } from '../raster/image';
import { censoredQuantile, traceStrokes } from './strokes';

const SIDE = 160;
type Way = (t: number) => readonly [number, number];

/** A sheet with ink along the ways, `half` px to each side: the mask, and how dark it is. */
function inked(
  ways: readonly Way[],
  half = 1.2,
  gaps: readonly (readonly [number, number, number, number])[] = [],
): { lines: Mask; depart: Plane } {
  const [lines, depart] = [mask(SIDE, SIDE), plane(SIDE, SIDE)];
  for (const way of ways)
    for (let t = 0; t <= 1; t += 0.0015) {
      const [x, y] = way(t);
      for (let j = -3; j <= 3; j++)
        for (let i = -3; i <= 3; i++) {
          const [px, py] = [Math.round(x) + i, Math.round(y) + j];
          if (px < 0 || py < 0 || px >= SIDE || py >= SIDE || Math.hypot(px - x, py - y) > half + 0.3) continue;
          lines.data[py * SIDE + px] = 1;
          depart.data[py * SIDE + px] = 50;
        }
    }
  // Where tooth has taken the ink: no line, and so much darkness left.
  for (const [x0, y0, size, left] of gaps)
    for (let y = y0; y < y0 + size; y++)
      for (let x = x0; x < x0 + size; x++) {
        lines.data[y * SIDE + x] = 0;
        depart.data[y * SIDE + x] = left;
      }
  return { lines, depart };
}
const trace = (...args: Parameters<typeof inked>) => {
  const { lines, depart } = inked(...args);
  return traceStrokes(lines, depart, 6).strokes;
};
const straight =
  (x0: number, y0: number, x1: number, y1: number): Way =>
  (t) => [x0 + (x1 - x0) * t, y0 + (y1 - y0) * t];

test('a straight stroke is one, as long as it was drawn, straight and not cut', () => {
  const [stroke, ...others] = trace([straight(20, 30, 120, 80)]);
  expect(others).toEqual([]);
  // Thinning takes about half a width from each end.
  expect(Math.abs(stroke.length - Math.hypot(100, 50))).toBeLessThan(4);
  expect(stroke.straightness).toBeGreaterThan(0.99);
  expect(stroke.winding).toBeLessThan(0.3);
  expect(stroke.cut).toBe(false);
  expect(trace([straight(-10, 30, 120, 80)])[0].cut).toBe(true);
});

test('an arc is as long as its arc and winds by its turn; a coil winds more than once round', () => {
  const arc: Way = (t) => [80 + 50 * Math.cos(t * 1.5), 80 + 50 * Math.sin(t * 1.5)];
  const [bent] = trace([arc]);
  expect(Math.abs(bent.length - 75)).toBeLessThan(4);
  expect(bent.straightness).toBeCloseTo((2 * Math.sin(0.75)) / 1.5, 1);
  // Read over 12 px at a time, it does not see the last of both ends.
  expect(bent.winding).toBeGreaterThan(0.9);
  expect(bent.winding).toBeLessThan(1.6);
  const coil: Way = (t) => [80 + (15 + 45 * t) * Math.cos(t * 14), 80 + (15 + 45 * t) * Math.sin(t * 14)];
  expect(Math.max(...trace([coil]).map((s) => s.winding))).toBeGreaterThan(2 * Math.PI);
});

test('two strokes that cross stay two, each carried on straight through', () => {
  const strokes = trace([straight(20, 80, 140, 80), straight(80, 20, 80, 140)]);
  expect(strokes).toHaveLength(2);
  for (const s of strokes) expect(Math.abs(s.length - 120)).toBeLessThan(5);
});

test('a hollow in which the stroke still shows is bridged; a bare gap, or one too wide, parts it', () => {
  const way = straight(20, 80, 140, 80);
  const at = (size: number, left: number) => trace([way], 1.2, [[78, 78, size, left]]).length;
  expect(at(4, 30)).toBe(1);
  expect(at(4, 0)).toBe(2);
  expect(trace([way], 1.2, [[70, 76, 16, 30]]).length).toBe(2);
});

test('the length of cut strokes is known to be at least what shows (Kaplan and Meier 1958)', () => {
  const free = (length: number) => ({ length, cut: false });
  const cut = (length: number) => ({ length, cut: true });
  // Nobody cut: the plain median.
  expect(censoredQuantile([1, 2, 3, 4, 5].map(free), 0.5)).toBe(3);
  // By hand: after 2 survival is 3/4 (the cut 1 has left), after 4 it is 3/4 · 1/2 = 3/8.
  expect(censoredQuantile([cut(1), free(2), cut(3), free(4), free(5)], 0.5)).toBe(4);
  // Cut strokes counted as whole would make it shorter.
  expect(censoredQuantile([free(10), cut(4), cut(4), cut(4), free(20)], 0.5)).toBeGreaterThanOrEqual(10);
  expect(censoredQuantile([], 0.5)).toBeNaN();
});

test('a patch meets long strokes oftener, but counts them where they begin (Miles 1974)', () => {
  // Strokes laid blindly over a field wider than the patches cut from it: six in ten are 24 px long, the others 130.
  const random = seededRandom(11);
  const met = Array.from({ length: 40 }, () =>
    trace(
      Array.from({ length: 10 }, (_, row) => {
        const long = random() < 0.4 ? 130 : 24;
        const x = -140 + random() * (SIDE + 140);
        return straight(x, 10 + 15 * row, x + long, 10 + 15 * row);
      }).filter((way) => way(1)[0] > 3),
    ),
  ).flat();
  const begun = met.filter((s) => s.begun);
  expect(Math.abs(censoredQuantile(begun, 0.5) - 24)).toBeLessThan(4);
  expect(Math.abs(censoredQuantile(begun, 0.9) - 130)).toBeLessThan(6);
  // All that were met, with those that came in from outside.
  expect(censoredQuantile(met, 0.5)).toBeGreaterThan(100);
});
