import fc from 'fast-check';
import { CoreError } from '../errors';
import type { Point, RgbImage } from '../raster/image';
import { flatOf, flattened, FourCorners, ratioOfRectangle } from './flatten';
import { applyHomography, fitHomography, invertHomography, rectangleCorners } from './homography';

/** A w × h rectangle before a pinhole camera of focal length f, turned about both axes and moved aside. */
function seen(w: number, h: number, f: number, tilt: number, turn: number, far: number): FourCorners {
  const corner = (x: number, y: number): Point => {
    const [ct, st, cu, su] = [Math.cos(tilt), Math.sin(tilt), Math.cos(turn), Math.sin(turn)];
    const [y1, z1] = [y * ct, y * st];
    const [x2, z2] = [x * cu + z1 * su, -x * su + z1 * cu];
    const z = far + z2;
    return [1000 + (f * x2) / z, 750 + (f * y1) / z];
  };
  return [corner(-w / 2, -h / 2), corner(w / 2, -h / 2), corner(w / 2, h / 2), corner(-w / 2, h / 2)];
}

test('the shape of a rectangle seen at a slant is found, whatever the camera', () => {
  const slant = fc.oneof(fc.double({ min: 0.15, max: 0.6, noNaN: true }), fc.double({ min: -0.6, max: -0.15, noNaN: true }));
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      fc.double({ min: 1200, max: 3000, noNaN: true }),
      slant,
      slant,
      (ratio, f, tilt, turn) => {
        const corners = seen(ratio, 1, f, tilt, turn, 3.2);
        // Hardly any slant tells nothing of the camera; a usual one is then taken.
        const [tl, tr, br, bl] = corners;
        const long = (p: Point, q: Point) => Math.hypot(p[0] - q[0], p[1] - q[1]);
        fc.pre(Math.abs(long(tl, tr) / long(bl, br) - 1) > 0.025 && Math.abs(long(tl, bl) / long(tr, br) - 1) > 0.025);
        expect(ratioOfRectangle(corners, 2000, 1500) / ratio).toBeCloseTo(1, 6);
      },
    ),
  );
});

test('turned about one axis, the shape is right for a usual camera', () => {
  for (const turn of [-0.5, 0.3, 0.6]) expect(ratioOfRectangle(seen(0.7, 1, 1600, 0, turn, 3), 2000, 1500)).toBeCloseTo(0.7, 2);
});

test('seen square on, the sides themselves count', () => {
  expect(ratioOfRectangle(seen(1.4, 1, 1500, 0, 0, 3), 2000, 1500)).toBeCloseTo(1.4, 5);
});

test('a striped card photographed at a slant comes out straight, its stripes where they were', () => {
  const [w, h] = [240, 160];
  const card = (x: number): number => (Math.floor(x / 24) % 2 ? 40 : 210);
  const corners: Point[] = [
    [60, 40],
    [330, 70],
    [310, 260],
    [40, 220],
  ];
  const toCard = invertHomography(fitHomography(rectangleCorners(w, h), corners));
  const photo: RgbImage = { width: 400, height: 300, data: new Uint8Array(400 * 300 * 3) };
  for (let y = 0; y < 300; y++)
    for (let x = 0; x < 400; x++) {
      const [u, v] = applyHomography(toCard, [x + 0.5, y + 0.5]);
      const inside = u >= 0 && v >= 0 && u < w && v < h;
      photo.data.fill(inside ? card(u) : 120, (y * 400 + x) * 3, (y * 400 + x) * 3 + 3);
    }
  const flat = flattened(photo, corners, w / h);
  expect(flat.width / flat.height).toBeCloseTo(w / h, 1);
  for (let stripe = 0; stripe < 10; stripe++)
    for (const v of [0.2, 0.5, 0.8]) {
      const at = (Math.round(v * flat.height) * flat.width + Math.round(((stripe + 0.5) / 10) * flat.width)) * 3;
      expect(Math.abs(flat.data[at] - card(24 * (stripe + 0.5)))).toBeLessThan(12);
    }
  const { place, width, height } = flatOf(corners, 400, 300, w / h);
  corners.forEach((c, i) => place(c).forEach((v, k) => expect(v).toBeCloseTo(rectangleCorners(width, height)[i][k], 3)));
});

test('corners outside, crossed or in a heap are refused', () => {
  const refused = (corners: Point[]) => expect(() => flatOf(corners, 400, 300, null)).toThrow(CoreError);
  refused([
    [0, 0],
    [100, 0],
    [100, 100],
  ]);
  refused([
    [0, 0],
    [500, 0],
    [100, 100],
    [0, 100],
  ]);
  refused([
    [0, 0],
    [100, 100],
    [100, 0],
    [0, 100],
  ]);
  refused([
    [0, 0],
    [3, 0],
    [3, 3],
    [0, 3],
  ]);
  refused([
    [0, 100],
    [100, 100],
    [100, 0],
    [0, 0],
  ]);
});
