import { filled, keptOf, maskOf } from './leftOut';
import { RgbImage } from './image';

const square = (x: number, y: number, side: number) =>
  [
    [x, y],
    [x + side, y],
    [x + side, y + side],
    [x, y + side],
  ] as [number, number][];

test('a pixel is left out when its middle lies in an outline; what sticks out of the picture is cut', () => {
  const m = maskOf([square(2, 3, 4), square(-5, -5, 6)], 10, 8);
  const marked = [...m.data].flatMap((v, i) => (v ? [[i % 10, Math.floor(i / 10)]] : []));
  expect(marked.filter(([x, y]) => x >= 2 && x < 6 && y >= 3 && y < 7)).toHaveLength(16);
  expect(marked).toHaveLength(17);
  // A triangle holds half its box.
  const triangle = maskOf(
    [
      [
        [0, 0],
        [100, 0],
        [0, 100],
      ],
    ],
    100,
    100,
  );
  expect(triangle.data.reduce((s, v) => s + v, 0) / 10000).toBeCloseTo(0.5, 1);
});

test('a place left out takes the colours round it, and nothing else changes', () => {
  const [w, h] = [64, 48];
  const data = new Uint8Array(w * h * 3);
  for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) data.set([x < 32 ? 60 : 200, 120, 40], 3 * (y * w + x));
  const spoilt: RgbImage = { width: w, height: h, data: new Uint8Array(data) };
  const places = maskOf([square(10, 10, 8), square(44, 20, 8)], w, h);
  places.data.forEach((v, i) => v && spoilt.data.set([255, 0, 255], 3 * i));
  const out = filled(spoilt, places).data;
  let [inside, outside] = [0, 0];
  for (let i = 0; i < out.length; i++) {
    const off = Math.abs(out[i] - data[i]);
    if (places.data[Math.floor(i / 3)]) inside = Math.max(inside, off);
    else outside = Math.max(outside, off);
  }
  expect(outside).toBe(0);
  expect(inside).toBeLessThan(3);
  expect(filled(spoilt, { ...places, data: new Uint8Array(w * h).fill(1) }).data[0]).toBe(128);
});

test('values kept are those not left out, in their order', () => {
  const places = { width: 4, height: 1, data: Uint8Array.from([0, 1, 0, 1]) };
  expect([...keptOf(Float32Array.from([5, 6, 7, 8]), places)]).toEqual([5, 7]);
  expect([...keptOf(Float32Array.from([5, 6]), null)]).toEqual([5, 6]);
});
