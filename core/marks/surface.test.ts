/** Texture bands, slack and finish, each told on the hand that has it and on one that has not. */
import { Easel } from '../../atelier/easel';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { furtherWork } from '../../atelier/hands/sample';
import { measurePicture } from '../style/profile';
import { plane } from '../raster/image';
import { normal, seededRandom } from '../raster/statistics';
import { gaussian } from '../raster/filters';
import { besideLines } from '../raster/kernels/kernels';
import { finishByRegion } from './finish';
import { ASIDE, surfaceEnergy, surfaceOf } from './surface';

const bandsOf = (sigma: number, amount: number, noise: number) => {
  const r = seededRandom(7);
  const raw = plane(200, 200);
  for (let i = 0; i < raw.data.length; i++) raw.data[i] = normal(r);
  const soft = sigma > 0 ? gaussian(raw, sigma) : raw;
  const sd = Math.sqrt(soft.data.reduce((s, v) => s + v * v, 0) / soft.data.length);
  for (let i = 0; i < soft.data.length; i++) soft.data[i] = (soft.data[i] * amount) / sd + noise * normal(r);
  const planes = [0.6, 1.2, 2.5, 4].map((s) => gaussian(soft, s));
  const lines = { width: 200, height: 200, data: new Uint8Array(40000) };
  return surfaceOf([surfaceEnergy(besideLines(lines, planes, ASIDE), noise)])!;
};

test('each band answers to texture of its own size, and camera noise is taken off', () => {
  const [fine, middle, coarse] = [0.9, 1.8, 3.2].map((s) => bandsOf(s, 4, 0));
  expect(fine.grain).toBeGreaterThan(coarse.grain * 2);
  expect(coarse.speckle / coarse.grain).toBeGreaterThan((4 * fine.speckle) / fine.grain);
  expect(middle.tooth).toBeGreaterThan(Math.max(middle.grain, 1));
  // Of noise of 3 not a fifth is taken for grain.
  expect(bandsOf(0, 0, 3).grain).toBeLessThan(0.6);
  expect(surfaceOf([])).toBeNull();
});

test('the finish by region names where most and least is done, and nothing where all is alike', () => {
  const places = Array.from({ length: 36 }, (_, i) => ({
    x: ((i % 6) + 0.5) / 6,
    y: (Math.floor(i / 6) + 0.5) / 6,
    detail: i % 6 < 2 && i < 12 ? 0.6 : i % 6 > 3 && i > 23 ? 0.05 : 0.3,
  }));
  expect(finishByRegion(places)).toMatchObject({ most: 0, least: 8 });
  expect(finishByRegion(places.map((p) => ({ ...p, detail: 0.3 })))).toMatchObject({ most: null, least: null });
  expect(finishByRegion([]).fields).toEqual(new Array(9).fill(null));
});

const featuresOf = async (key: string) => {
  const hand = SAMPLE_HANDS.find((h) => h.key === key)!;
  const { image } = await hand.draw(furtherWork(hand, 3), 4);
  return measurePicture(image, { widthMm: 0.25 * image.width }).profile.features;
};

test('glazed tiles are smooth, pastel shows its tooth; colour nearer to its line than can be seen has no slack to tell of', async () => {
  const [tiles, pastel, pen] = await Promise.all(['oostvik', 'skarn', 'ansgrave'].map(featuresOf));
  expect(pastel['marks.tooth'].value!).toBeGreaterThan(1.4 * tiles['marks.tooth'].value!);
  // Read at some 3.4 px a mm: the tiles keep to their lines, and the pen's washes wander by a standard deviation of 0.5 to 0.9 mm.
  expect(tiles['marks.colourSlack'].value).toBeNull();
  const slack = pen['marks.colourSlack'].value;
  expect(slack === null || (slack * 0.297 > 0.8 && slack * 0.297 < 1.6)).toBe(true);
  // Nothing is outlined in pastel, so there is no line to stray from.
  expect(pastel['marks.colourSlack'].value).toBeNull();
}, 60_000);

test('a wash that misses its line by 2 mm reads so in the profile, in thousandths of the width', () => {
  const easel = new Easel(240, 180, 4, '#f2ecdd', 4);
  for (const [x, y] of [
    [60, 60],
    [160, 60],
    [60, 130],
    [160, 130],
  ] as const) {
    const oval = (grow: number) =>
      Array.from({ length: 60 }, (_, i): [number, number] => [
        x + (34 + grow) * Math.cos(i / 9.549),
        y + (24 + grow) * Math.sin(i / 9.549),
      ]);
    easel.wash(easel.field(oval(2)), '#6c86b4', 0.8);
    const line = easel.stencil();
    easel.stroke(line, [...oval(0), oval(0)[0]], 0.7);
    easel.put(line, '#20242c');
  }
  const { image } = easel.finish(2);
  const { features } = measurePicture(image, { widthMm: 0.25 * image.width }).profile;
  expect(Math.abs(features['marks.colourSlack'].value! * 0.24 - 2)).toBeLessThan(0.7);
});
