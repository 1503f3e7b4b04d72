import { carryPatch, carryPoint, carryPoints, Crop } from './crop';

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
  expect(carryPoints({ crown: [50, 30], sole: [50, 90] }, crop(0))).toEqual({ crown: [40, 10] });
  expect(carryPatch([20, 30, 30, 20], crop(90))).toEqual([30, 10, 20, 30]);
  expect(carryPatch([90, 30, 30, 20], crop(0))).toBeNull();
});
