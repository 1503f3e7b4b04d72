import { toldBy } from '../../tests/support/english';
import { carryPatch, carryPoint, carryPoints, Crop, cropAndTurn, wholeCrop } from './crop';

const crop = (turn: Crop['turn'], more: Partial<Crop> = {}): Crop => ({ x: 10, y: 20, w: 100, h: 60, turn, ...more });

test('the corners of the kept part become the corners of the new picture, clockwise as the turn says', () => {
  // The frame's top left corner, then where it stands after each quarter turn of a 100 × 60 picture.
  expect(carryPoint([10, 20], crop(0))).toEqual([0, 0]);
  expect(carryPoint([10, 20], crop(90))).toEqual([60, 0]);
  expect(carryPoint([10, 20], crop(180))).toEqual([100, 60]);
  expect(carryPoint([10, 20], crop(270))).toEqual([0, 100]);
});

test('four quarter turns bring every point back', () => {
  let p: [number, number] | null = [37.5, 11.25];
  let [w, h] = [100, 60];
  for (let i = 0; i < 4; i++) {
    p = carryPoint(p!, { x: 0, y: 0, w, h, turn: 90 });
    [w, h] = [h, w];
  }
  expect(p).toEqual([37.5, 11.25]);
});

test('what was cropped away is left out; a patch must survive whole', () => {
  expect(carryPoint([9, 40], crop(0))).toBeNull();
  expect(carryPoints({ crown: [50, 30], sole: [50, 90] }, (at) => carryPoint(at, crop(0)))).toEqual({ crown: [40, 10] });
  expect(carryPatch([20, 30, 30, 20], (at) => carryPoint(at, crop(90)))).toEqual([30, 10, 20, 30]);
  expect(carryPatch([90, 30, 30, 20], (at) => carryPoint(at, crop(0)))).toBeNull();
});

test.each([0, 90, 180, 270] as const)('turned by %i°, every pixel stands where its middle is carried', (turn) => {
  const [width, height] = [40, 30];
  const data = Uint8Array.from({ length: width * height * 3 }, (_, i) => (i * 89) % 251);
  const frame: Crop = { x: 3, y: 5, w: 31, h: 22, turn };
  const out = cropAndTurn({ width, height, data }, frame);
  expect([out.width, out.height]).toEqual(turn % 180 ? [22, 31] : [31, 22]);
  for (let y = 5; y < 27; y++)
    for (let x = 3; x < 34; x++) {
      const [u, v] = carryPoint([x + 0.5, y + 0.5], frame)!;
      const [from, to] = [3 * (y * width + x), 3 * (Math.floor(v) * out.width + Math.floor(u))];
      expect([...out.data.subarray(to, to + 3)]).toEqual([...data.subarray(from, from + 3)]);
    }
});

test('a frame drawn a hair outside is brought inside in whole pixels; one too small is refused', () => {
  expect(wholeCrop({ x: -0.4, y: 2.6, w: 40.9, h: 30, turn: 90 }, 40, 30)).toEqual({ x: 0, y: 3, w: 40, h: 27, turn: 90 });
  const image = { width: 40, height: 30, data: new Uint8Array(3600) };
  expect(toldBy(() => cropAndTurn(image, { x: 0, y: 0, w: 15, h: 30, turn: 0 }))).toMatch(/crop.*16 px/);
});
