import { departure } from '../marks/ink';
import { RgbImage } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { labPlanes } from './lab';
import { readPalette } from './palette';
import { evened, sheetToneOf } from './sheetTone';
import { byteFromLinear, linearFromByte } from './srgb';

const [W, H] = [360, 270];

/** A grainy buff sheet with dark strokes, a red field where `painted`, under light that falls off by `falloff` to the right and below. */
function sheet(falloff: number, painted = false, seed = 3): RgbImage {
  const random = seededRandom(seed);
  const data = new Uint8Array(3 * W * H);
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const [u, v] = [x / W, y / H];
      const stroke = (x + 2 * y) % 19 < 3 && u > 0.2 && v > 0.2 && v < 0.8;
      const field = painted && u > 0.55 && u < 0.95 && v > 0.3 && v < 0.7;
      const colour = stroke ? [50, 44, 40] : field ? [190, 60, 50] : [226, 214, 186];
      const light = 1 - falloff * (0.6 * u + 0.4 * v * v);
      const grain = 6 * (random() - 0.5);
      colour.forEach((c, k) => {
        const lit = byteFromLinear(linearFromByte[c] * light) + grain;
        data[3 * (y * W + x) + k] = Math.min(255, Math.max(0, lit));
      });
    }
  return { width: W, height: H, data };
}
const paletteOf = (image: RgbImage) => readPalette(image, labPlanes(image).L, 6);
const toneOf = (image: RgbImage) => sheetToneOf(image, paletteOf(image));

test('an evenly lit sheet has no change of tone, grainy and drawn on as it is', () => {
  expect(toneOf(sheet(0))).toBeNull();
  expect(toneOf(sheet(0, true))).toBeNull();
});

test.each([
  [0.2, false],
  [0.3, true],
])('light that falls off by %f is taken out: bare is bare in every corner, paint stays paint', (falloff, painted) => {
  const image = sheet(falloff, painted);
  const palette = paletteOf(image);
  const tone = sheetToneOf(image, palette)!;
  expect(tone.range).toBeGreaterThan(30 * falloff * 0.5);
  const ground = palette.entries[palette.ground!].lab;
  const flat = evened(image, tone, [0, 0, W, H], W, H);
  const [as, was] = [departure(labPlanes(flat), ground), departure(labPlanes(image), ground)];
  const corner = (plane: typeof as, x0: number, y0: number) => {
    let sum = 0;
    for (let y = y0; y < y0 + 20; y++) for (let x = x0; x < x0 + 20; x++) sum += plane.data[y * W + x] / 400;
    return sum;
  };
  const corners = [
    [8, 8],
    [W - 28, 8],
    [8, H - 28],
    [W - 28, H - 28],
  ];
  const most = (plane: typeof as) => Math.max(...corners.map(([x, y]) => corner(plane, x, y)));
  expect(most(as)).toBeLessThan(3.5);
  expect(most(was)).toBeGreaterThan(most(as) + 1.5);
  if (painted) expect(corner(as, 250, 120)).toBeGreaterThan(40);
});

test('a part is evened as the whole is', () => {
  const image = sheet(0.25);
  const tone = toneOf(image)!;
  const whole = evened(image, tone, [0, 0, W, H], W, H);
  const data = new Uint8Array(3 * 64 * 40);
  for (let y = 0; y < 40; y++) data.set(image.data.subarray(3 * ((y + 100) * W + 160), 3 * ((y + 100) * W + 224)), 3 * 64 * y);
  const part = evened({ width: 64, height: 40, data }, tone, [160, 100, 64, 40], W, H);
  for (let y = 0; y < 40; y++)
    for (let k = 0; k < 192; k++)
      expect(Math.abs(part.data[192 * y + k] - whole.data[3 * ((y + 100) * W + 160) + k])).toBeLessThanOrEqual(1);
});

test('where bare sheet is seen on one side only, its change cannot be told from paint', () => {
  const image = sheet(0.3);
  for (let y = 0; y < H; y++) for (let x = 170; x < W; x++) image.data.set([40, 70, 120], 3 * (y * W + x));
  expect(toneOf(image)).toBeNull();
});
