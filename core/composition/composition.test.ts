import { Mask, plane } from '../raster/image';
import { readComposition, workedArea } from './composition';

/** A mask of all pixels for which `inside` holds, in shares of the sheet. */
const mask = (width: number, height: number, inside: (x: number, y: number) => boolean): Mask => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height }, (_, i) =>
    inside(((i % width) + 0.5) / width, (Math.floor(i / width) + 0.5) / height) ? 1 : 0,
  ),
});

test('centre, coverage and margin of a rectangle are those of the rectangle', () => {
  const c = readComposition(mask(400, 200, (x, y) => x > 0.1 && x < 0.6 && y > 0.2 && y < 0.9));
  expect(c.centre[0]).toBeCloseTo(0.35, 2);
  expect(c.centre[1]).toBeCloseTo(0.55, 2);
  expect(c.coverage).toBeCloseTo(0.35, 2);
  // The nearest edge is the lower one: a tenth of the short side.
  expect(c.margin).toBeCloseTo(0.1, 2);
  expect(c.envelope.kind).toBe('rectangle');
  expect(c.envelope.fit).toBeGreaterThan(0.98);
});

test('a triangle, an ellipse and a scatter of specks each show their own envelope', () => {
  expect(readComposition(mask(300, 300, (x, y) => y > 0.2 && y < 0.9 && Math.abs(x - 0.5) < (y - 0.2) / 2)).envelope.kind).toBe('triangle');
  expect(readComposition(mask(300, 300, (x, y) => ((x - 0.5) / 0.4) ** 2 + ((y - 0.5) / 0.25) ** 2 < 1)).envelope.kind).toBe('ellipse');
});

test('an empty sheet and a full one are said as they are', () => {
  expect(readComposition(mask(50, 40, () => false))).toMatchObject({ centre: [0.5, 0.5], coverage: 0, margin: 0.5 });
  const full = readComposition(mask(50, 40, () => true));
  expect(full).toMatchObject({ coverage: 1, margin: 0 });
  expect(full.envelope.fit).toBeCloseTo(1, 2);
});

test('the white between hatches counts as worked, a lone speck does not, and without a ground all does', () => {
  const depart = plane(500, 300);
  for (let y = 60; y < 240; y++) for (let x = 100; x < 400; x++) if ((x + y) % 9 < 2) depart.data[y * 500 + x] = 60;
  depart.data[20 * 500 + 470] = 80;
  const worked = workedArea(depart, 500, 300);
  const share = worked.data.reduce((s, v) => s + v, 0) / (500 * 300);
  expect(share).toBeGreaterThan(0.97 * ((180 * 300) / 150_000));
  expect(share).toBeLessThan(1.15 * ((180 * 300) / 150_000));
  expect(worked.data[20 * 500 + 470]).toBe(0);
  expect(workedArea(null, 20, 10).data.every((v) => v === 1)).toBe(true);
});
