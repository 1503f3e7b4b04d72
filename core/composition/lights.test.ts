import { signedArea } from '../proportion/polygon';
import { Mask } from '../raster/image';
import { BareLight, bareLights } from './lights';

const SIDE = 400;
const maskOf = (inside: (x: number, y: number) => boolean): Mask => ({
  width: SIDE,
  height: SIDE,
  data: Uint8Array.from({ length: SIDE * SIDE }, (_, i) => (inside((i % SIDE) + 0.5, Math.floor(i / SIDE) + 0.5) ? 1 : 0)),
});
/** Area inside an odd number of rims, where none crosses another: holes run the other way. */
const areaOf = (rims: BareLight['rims']) => Math.abs(rims.reduce((sum, rim) => sum + signedArea(rim), 0));
const ring = (x: number, y: number) => {
  const r = Math.hypot(x - 200, y - 200);
  return r > 60 && r < 120;
};

test('a ring of paint shuts in a round light and leaves one open to the edge, each with its true area', () => {
  const [around, inner] = bareLights(maskOf(ring));
  expect(around).toMatchObject({ within: false });
  expect(inner).toMatchObject({ within: true });
  expect(inner.share * SIDE ** 2).toBeCloseTo(Math.PI * 60 ** 2, -2);
  expect(around.share).toBeCloseTo(1 - (Math.PI * 120 ** 2) / SIDE ** 2, 2);
  // The open one has the ring as its inner rim.
  expect([around.rims.length, inner.rims.length]).toEqual([2, 1]);
  for (const light of [around, inner]) expect(areaOf(light.rims)).toBeCloseTo(light.share, 2);
  for (const [x, y] of inner.rims[0]) expect(Math.hypot(x * SIDE - 200, y * SIDE - 200)).toBeCloseTo(60, -0.3);
});

test('what is left out is no light, gaps between marks are none, and a picture that is worked all over has none', () => {
  const left = maskOf((x) => x < 100);
  expect(bareLights(maskOf(ring), left)[0].share).toBeCloseTo(1 - (Math.PI * 120 ** 2) / SIDE ** 2 - 0.25 + 0.003, 1);
  expect(bareLights(maskOf((x, y) => !(Math.abs(x - 50) < 4 && Math.abs(y - 50) < 4)))).toEqual([]);
  expect(bareLights(maskOf(() => true))).toEqual([]);
});
