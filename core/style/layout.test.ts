import { seededRandom } from '../raster/statistics';
import { RgbImage } from '../raster/image';
import { inventionOf } from './invention';
import { Layout, layoutOf, registerLayouts } from './layout';

type Blob = [x: number, y: number, r: number, dark: number];

/** Dark discs on a light sheet, everything worked where a disc lies. */
function scene(blobs: readonly Blob[], width = 480, height = 320): Layout {
  const data = new Uint8Array(width * height * 3).fill(235);
  const worked = { width, height, data: new Uint8Array(width * height) };
  for (const [bx, by, r, dark] of blobs)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        if (Math.hypot(x - bx * width, y - by * height) < r * width) {
          data.fill(dark, 3 * (y * width + x), 3 * (y * width + x) + 3);
          worked.data[y * width + x] = 1;
        }
  return layoutOf({ width, height, data } as RgbImage, worked);
}

const blobs = (seed: number): Blob[] => {
  const random = seededRandom(seed);
  return Array.from({ length: 7 }, () => [0.15 + 0.7 * random(), 0.15 + 0.7 * random(), 0.03 + 0.06 * random(), 40 + 80 * random()]);
};
const moved = (list: readonly Blob[], scale: number, sx: number, sy: number, mirror = false): Blob[] =>
  list.map(([x, y, r, d]) => [((mirror ? 1 - x : x) - 0.5) * scale + 0.5 + sx, (y - 0.5) * scale + 0.5 + sy, r * scale, d]);

test('a layout is small, keeps the sheet’s shape, and knows dark from light', () => {
  const l = scene([[0.25, 0.5, 0.1, 20]]);
  expect([l.width, l.height, l.weight.length]).toEqual([48, 32, 48 * 32]);
  const at = (x: number, y: number) => Math.floor(y * 32) * 48 + Math.floor(x * 48);
  expect(l.weight[at(0.25, 0.5)]).toBeGreaterThan(80);
  expect(l.weight[at(0.8, 0.5)]).toBeLessThan(10);
  expect([l.shape[at(0.25, 0.5)], l.shape[at(0.8, 0.5)]]).toEqual([100, 0]);
});

test.each([
  [1, 0, 0],
  [0.9, 0.08, -0.05],
  [1.15, -0.06, 0.04],
])('registration finds size %f and shift %f, %f', (scale, sx, sy) => {
  const source = blobs(4);
  const r = registerLayouts(scene(source), scene(moved(source, scale, sx, sy)), false);
  expect(Math.abs(r.scale - scale)).toBeLessThan(0.05);
  expect(Math.abs(r.shift[0] - sx)).toBeLessThan(0.02);
  expect(Math.abs(r.shift[1] - sy)).toBeLessThan(0.02);
  expect(r.correlation).toBeGreaterThan(0.85);
  expect(r.mirrored).toBe(false);
});

test('a mirrored copy is seen as one, unless mirroring is ruled out', () => {
  const source = blobs(5);
  const mirrored = scene(moved(source, 1, 0, 0, true));
  expect(registerLayouts(scene(source), mirrored)).toMatchObject({ mirrored: true });
  expect(registerLayouts(scene(source), mirrored).correlation).toBeGreaterThan(0.9);
  expect(registerLayouts(scene(source), mirrored, false).correlation).toBeLessThan(0.6);
});

test('copies of every kind invent little, own scenes much, and the nearest work is named', () => {
  const sources = [1, 2, 3].map((s) => scene(blobs(s)));
  const copies = [
    scene(blobs(2)),
    scene(moved(blobs(2), 1, 0, 0, true)),
    scene(moved(blobs(2), 1.1, 0.03, 0)),
    // All darks lighter by half: recoloured.
    scene(blobs(2).map(([x, y, r, d]): Blob => [x, y, r, 118 + d / 2])),
    scene(blobs(2).map(([x, y, r, d], i): Blob => [x + 0.006 * Math.sin(i), y + 0.006 * Math.cos(i), r * 1.03, d])),
  ];
  for (const copy of copies) {
    const told = inventionOf(sources, copy)!;
    expect(told.nearest).toBe(1);
    expect(told.score).toBeLessThan(20);
  }
  for (const seed of [21, 22, 23, 24]) expect(inventionOf(sources, scene(blobs(seed)))!.score).toBeGreaterThan(40);
  expect(inventionOf([], copies[0])).toBeNull();
});
