import { cropImage, RgbImage } from '../raster/image';
import { seededRandom } from '../raster/statistics';
import { lightnessPlane } from '../colour/lab';
import { foundAgain, keypointsOf, NO_POINTS, packed, unpacked } from './keypoints';

/** A sheet full of little discs and bars of many greys. */
function clutter(seed: number, width = 420, height = 300): RgbImage {
  const r = seededRandom(seed);
  const data = new Uint8Array(3 * width * height).fill(228);
  for (let k = 0; k < 70; k++) {
    const [cx, cy, a, long, wide] = [width * r(), height * r(), Math.PI * r(), 8 + 30 * r(), 4 + 12 * r()];
    const grey = Math.floor(20 + 200 * r());
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const u = (x - cx) * Math.cos(a) + (y - cy) * Math.sin(a);
        const v = (y - cy) * Math.cos(a) - (x - cx) * Math.sin(a);
        if (k % 2 ? Math.abs(u) < long && Math.abs(v) < wide : u * u + v * v < wide * wide)
          data.fill(grey, 3 * (y * width + x), 3 * (y * width + x) + 3);
      }
  }
  return { width, height, data };
}

/** The picture under a change of places: `from` gives where each px of the new one lies in the old. */
function changed(image: RgbImage, width: number, height: number, from: (x: number, y: number) => [number, number]): RgbImage {
  const data = new Uint8Array(3 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = from(x, y).map(Math.round);
      const inside = u >= 0 && v >= 0 && u < image.width && v < image.height;
      for (let c = 0; c < 3; c++) data[3 * (y * width + x) + c] = inside ? image.data[3 * (v * image.width + u) + c] : 255;
    }
  return { width, height, data };
}

const source = clutter(3);
const known = keypointsOf(lightnessPlane(source));
const [w, h] = [source.width, source.height];
const again = (image: RgbImage) => foundAgain(known, keypointsOf(lightnessPlane(image)));

test('a picture finds itself again in place; another of the same making is not it', () => {
  expect(known.length).toBeGreaterThan(80);
  const same = again(source)!;
  expect(same.count).toBeGreaterThan(0.7 * known.length);
  expect(same).toMatchObject({ mirrored: false, turn: expect.closeTo(0, 3), scale: expect.closeTo(1, 3) });
  for (const seed of [11, 12, 13]) expect(again(clutter(seed))?.count ?? 0).toBeLessThan(8);
});

test('it is found again upside down, lying, mirrored, leaning and cut, and how is told', () => {
  const upsideDown = again(changed(source, w, h, (x, y) => [w - 1 - x, h - 1 - y]))!;
  expect(upsideDown.count).toBeGreaterThan(0.6 * known.length);
  expect(Math.abs(Math.abs(upsideDown.turn) - 180)).toBeLessThan(2);
  const mirrored = again(changed(source, w, h, (x, y) => [w - 1 - x, y]))!;
  expect(mirrored.mirrored).toBe(true);
  expect(mirrored.count).toBeGreaterThan(0.6 * known.length);
  // A quarter turn anticlockwise: the old right side comes to the top.
  const lying = again(changed(source, h, w, (x, y) => [w - 1 - y, x]))!;
  expect(lying.count).toBeGreaterThan(0.6 * known.length);
  expect(lying.turn).toBeCloseTo(90, 0);
  const [c, s] = [Math.cos(0.35), Math.sin(0.35)];
  const leaning = again(
    changed(source, w, h, (x, y) => [w / 2 + c * (x - w / 2) - s * (y - h / 2), h / 2 + s * (x - w / 2) + c * (y - h / 2)]),
  )!;
  expect(leaning.count).toBeGreaterThan(20);
  expect(Math.abs(leaning.turn - (0.35 * 180) / Math.PI)).toBeLessThan(3);
  const cut = again(cropImage(source, [100, 60, 240, 200]))!;
  expect(cut.count).toBeGreaterThan(12);
  expect(cut.mirrored).toBe(false);
});

test('points are kept in a few kilobytes and come back as they were', () => {
  const kept = packed(known);
  expect(JSON.stringify(kept).length).toBeLessThan(45_000);
  const back = unpacked(JSON.parse(JSON.stringify(kept)) as typeof kept);
  expect(back).toHaveLength(known.length);
  expect(back[7].x).toBeCloseTo(known[7].x, 4);
  expect(Buffer.from(back[7].form).equals(Buffer.from(known[7].form))).toBe(true);
  expect(unpacked(NO_POINTS)).toEqual([]);
  expect(foundAgain([], known)).toBeNull();
});
