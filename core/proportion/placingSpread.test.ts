import { seededRandom } from '../raster/statistics';
import { readAll } from './measures';
import { extentOf } from './align';
import { onScale, PLACING, placingSpread, placingVariances } from './placingSpread';
import { TEMPLATES } from './templates';

const face = TEMPLATES['face-front'];
const points = Object.fromEntries(face.points.map((p): [string, [number, number]] => [p.name, [400 * p.at[0], 600 * p.at[1]]]));

const random = seededRandom(7);
/** One draw of a normal distribution (Box and Muller 1958). */
const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
const jogged = (sd: number) =>
  Object.fromEntries(Object.entries(points).map(([n, [x, y]]): [string, [number, number]] => [n, [x + sd * normal(), y + sd * normal()]]));

describe('how surely points are placed', () => {
  test('what is told of a measure is what many placings scatter it by', () => {
    const spread = 0.004;
    const sd = spread * extentOf(Object.values(points));
    const told = placingVariances(face, points, null, spread);
    const draws = Array.from({ length: 1500 }, () => readAll(face, jogged(sd), null));
    for (const name of ['eye-line', 'eye-gap', 'mouth-width', 'eye-tilt', 'neck-width']) {
      const k = face.measures.findIndex((m) => m.name === name);
      const values = draws.map((d) => onScale(d[k])!);
      const mean = values.reduce((a, b) => a + b, 0) / values.length;
      const scatter = Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / (values.length - 1));
      expect(Math.sqrt(told.get(name)!) / scatter).toBeGreaterThan(0.9);
      expect(Math.sqrt(told.get(name)!) / scatter).toBeLessThan(1.1);
    }
  });

  test('points placed twice tell the hand that placed them; a few of them lean on what is usual', () => {
    const extent = extentOf(Object.values(points));
    const careless = Array.from({ length: 30 }, () => placingSpread(jogged(0.02 * extent), jogged(0.02 * extent)));
    const mean = careless.reduce((a, b) => a + b, 0) / careless.length;
    expect(mean).toBeGreaterThan(0.017);
    expect(mean).toBeLessThan(0.021);
    expect(placingSpread(points, points)).toBeLessThan(PLACING / 2);
    expect(placingSpread(points, {})).toBe(PLACING);
    const one = placingSpread(points, { crown: [points.crown[0] + 0.04 * extent, points.crown[1]] });
    expect(one).toBeGreaterThan(PLACING);
    expect(one).toBeLessThan(0.02);
  });
});
