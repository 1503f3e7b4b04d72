import { lightnessPlane } from '../colour/lab';
import { gaussian } from '../raster/filters';
import { plane, RgbImage } from '../raster/image';
import { reducePlane } from '../raster/resample';
import { readEdges } from './edges';

const [W, H] = [600, 400];

/** A dark field beside a light one; their border softened by `soft` px, and a line of so many px along it. */
function twoFields(dark: number, light: number, soft: number, line = 0): RgbImage {
  const step = plane(W, H);
  for (let y = 0; y < H; y++) for (let x = 0; x < W; x++) step.data[y * W + x] = x + 0.2 * y < 340 ? dark : light;
  const tone = soft ? gaussian(step, soft) : step;
  const data = new Uint8Array(3 * W * H);
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const inked = Math.abs(x + 0.2 * y - 340) < line / 2;
      data.fill(inked ? 12 : Math.round(tone.data[y * W + x]), 3 * (y * W + x), 3 * (y * W + x) + 3);
    }
  return { width: W, height: H, data };
}

function shares(image: RgbImage) {
  const whole = lightnessPlane(image);
  const form = reducePlane(whole, W / 2, H / 2);
  return readEdges(form, image, [
    { from: 0, to: 50, share: 0.5 },
    { from: 50, to: 100, share: 0.5 },
  ]).shares;
}

test('a hard border is sharp, a blurred one soft, one with a line round it outlined', () => {
  expect(shares(twoFields(70, 190, 0)).sharp).toBeGreaterThan(0.95);
  expect(shares(twoFields(70, 190, 6)).soft).toBeGreaterThan(0.95);
  expect(shares(twoFields(80, 190, 0, 5)).outlined).toBeGreaterThan(0.95);
});

test('a border of under 4 L* is lost, and all shares sum to 1; without a border all are 0', () => {
  // 112 and 121 of 255 are L* 47 and 51.
  const lost = shares(twoFields(113, 119, 0));
  expect(lost.lost).toBeGreaterThan(0.9);
  for (const s of [lost, shares(twoFields(70, 190, 3))]) expect(Object.values(s).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  expect(Object.values(shares(twoFields(90, 90, 0)))).toEqual([0, 0, 0, 0]);
});

test('the steps a picture is parted into decide where its borders are', () => {
  const image = twoFields(70, 190, 0);
  const form = reducePlane(lightnessPlane(image), W / 2, H / 2);
  const { points } = readEdges(form, image, [{ from: 0, to: 100, share: 1 }]);
  expect(points).toEqual([]);
});
