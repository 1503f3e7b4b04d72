import { Mask, RgbImage } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { closeUp } from './closeUp';
import { textureOf, textureSums } from './texture';

const SIDE = 96;
const all: Mask = { width: SIDE, height: SIDE, data: new Uint8Array(SIDE * SIDE).fill(1) };
const picture = (colour: (x: number, y: number) => readonly number[]): RgbImage => {
  const data = new Uint8Array(SIDE * SIDE * 3);
  for (let y = 0; y < SIDE; y++) for (let x = 0; x < SIDE; x++) data.set(colour(x, y), 3 * (y * SIDE + x));
  return { width: SIDE, height: SIDE, data };
};
const read = (image: RgbImage) => textureOf([textureSums(closeUp(image), all)])!.value;

test('thin dark lines on light are dark marks, light lines on dark are light ones', () => {
  const lines = (line: number, between: number) => picture((x) => Array(3).fill(x % 12 < 2 ? line : between));
  expect(read(lines(40, 220)).smallDark).toBeGreaterThan(0.3);
  expect(read(lines(220, 40)).smallDark).toBeLessThan(-0.3);
  expect(Math.abs(read(picture((x) => Array(3).fill(x % 12 < 6 ? 60 : 200))).smallDark)).toBeLessThan(0.1);
});

test('stripes that differ in colour alone are detail in colour, stripes of greys are none', () => {
  // Two colours of about one lightness (L* 55).
  const coloured = read(picture((x) => (x % 10 < 5 ? [190, 104, 104] : [80, 140, 160])));
  const grey = read(picture((x) => Array(3).fill(x % 10 < 5 ? 90 : 160)));
  expect(coloured.smallColour).toBeGreaterThan(3);
  expect(grey.smallColour).toBeLessThan(0.05);
});

test('detail is told by its size, and stronger contrast is more of it', () => {
  const stripes = (period: number, contrast: number) =>
    read(picture((x) => Array(3).fill(128 + (x % period < period / 2 ? contrast : -contrast))));
  expect(stripes(4, 40).fineDetail / stripes(4, 40).broadDetail).toBeGreaterThan(5);
  expect(stripes(24, 40).broadDetail).toBeGreaterThan(3 * stripes(4, 40).broadDetail);
  expect(stripes(24, 40).broadDetail / stripes(24, 20).broadDetail).toBeCloseTo(2, 0);
});

test('one colour is even, noise is not; half and half is half', () => {
  const r = seededRandom(3);
  expect(read(picture(() => [120, 160, 90])).even).toBe(1);
  expect(read(picture(() => Array(3).fill(60 + 130 * r()))).even).toBeLessThan(0.2);
  expect(read(picture((x) => Array(3).fill(x < SIDE / 2 ? 140 : 60 + 130 * r()))).even).toBeCloseTo(0.56, 1);
});

test('of what is not worked nothing is read, and of too little of it nothing is said', () => {
  const left: Mask = { ...all, data: Uint8Array.from({ length: SIDE * SIDE }, (_, i) => (i % SIDE < SIDE / 2 - 12 ? 1 : 0)) };
  const half = picture((x) => Array(3).fill(x < SIDE / 2 ? 140 : x % 4 < 2 ? 0 : 255));
  expect(textureOf([textureSums(closeUp(half), left)])!.value).toMatchObject({ even: 1, fineDetail: expect.closeTo(0, 3) });
  expect(textureOf([textureSums(closeUp(half), { ...all, data: new Uint8Array(SIDE * SIDE) })])).toBeNull();
  expect(textureOf([])).toBeNull();
});
