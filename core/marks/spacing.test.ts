import { Plane, plane } from '../raster/image';
import { normal, seededRandom } from '../raster/statistics';
import { readSpacing } from './spacing';

/** Bands of unit height, `width` px broad, at the given places across, running at `angle` degrees as seen. */
function bands(places: readonly number[], angle: number, width = 2, side = 200): Plane {
  const t = (angle * Math.PI) / 180;
  const out = plane(side, side);
  for (let y = 0; y < side; y++)
    for (let x = 0; x < side; x++) {
      const across = (x - side / 2) * Math.sin(t) + (y - side / 2) * Math.cos(t);
      for (const p of places) {
        const cover = Math.min(1, Math.max(0, width / 2 + 0.5 - Math.abs(across - p)));
        if (cover > 0) out.data[y * side + x] = Math.max(out.data[y * side + x], 40 * cover);
      }
    }
  return out;
}
const every = (gap: number, jitter = 0, seed = 1) => {
  const r = seededRandom(seed);
  const out: number[] = [];
  for (let p = -160; p < 160; p += gap * (1 + jitter * normal(r))) out.push(p);
  return out;
};

const spacingOf = (marks: Plane, angle: number) => readSpacing(marks, [0, 0, marks.width, marks.height], angle);

test.each([
  [7, 0],
  [11.3, 30],
  [16, 90],
  [24, 137],
])('a gap of %f px at %f° comes back to a hundredth, even', (gap, angle) => {
  const read = spacingOf(bands(every(gap), angle), angle)!;
  expect(Math.abs(read.px / gap - 1)).toBeLessThan(0.01);
  expect(read.variation).toBeLessThan(0.06);
});

test('uneven gaps keep their mean, and their unevenness is told; a missing stroke is no wide gap', () => {
  const places = every(12, 0.2, 5);
  const read = spacingOf(bands(places, 20), 20)!;
  expect(Math.abs(read.px / 12 - 1)).toBeLessThan(0.08);
  expect(read.variation).toBeGreaterThan(0.12);
  expect(read.variation).toBeLessThan(0.3);
  const missing = every(12).filter((_, i) => i % 5 !== 2);
  expect(spacingOf(bands(missing, 0), 0)!.px).toBeCloseTo(12, 0);
});

test('under 5 px, of too few strokes, of nothing at all: null', () => {
  expect(spacingOf(bands(every(3.6), 40, 1.4), 40)).toBeNull();
  expect(spacingOf(bands([-40, 40], 0), 0)).toBeNull();
  expect(spacingOf(plane(120, 120), 0)).toBeNull();
});
