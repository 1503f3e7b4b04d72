/** The compiled loops against plain ones, on memory that still holds what earlier work left there. */
import { Mask, Plane } from '../image';
import { seededRandom } from '../statistics';
import { box, dilateMax, distance, erodeMin, separable, tensor } from './kernels';

const SIZES = [
  [384, 384],
  [131, 77],
  [64, 5],
  [5, 9],
  [1, 40],
] as const;

function noise(width: number, height: number, seed = 3): Plane {
  const random = seededRandom(seed);
  return { width, height, data: Float32Array.from({ length: width * height }, () => 100 * random()) };
}

/** Fills more of the module's memory than the next call will use. */
const dirty = (value: number) => box({ width: 700, height: 700, data: new Float32Array(490_000).fill(value) }, 2);

/** Everything a result holds, as bytes. */
const bytesOf = (result: object): Buffer =>
  Buffer.concat(Object.values(result).map((v) => (v instanceof Float32Array ? Buffer.from(v.buffer) : Buffer.alloc(0))));

/** The same work on memory full of nothing, of no-numbers and of huge ones must give the same. */
function steady<T extends object>(work: () => T): T {
  dirty(0);
  const first = work();
  for (const value of [NaN, 1e30, -7]) {
    dirty(value);
    expect(Buffer.compare(bytesOf(work()), bytesOf(first))).toBe(0);
  }
  return first;
}

const clampIndex = (i: number, n: number) => Math.min(n - 1, Math.max(0, i));

function plainSeparable({ width, height, data }: Plane, kx: readonly number[], ky: readonly number[]): Float64Array {
  const rows = new Float64Array(width * height);
  const out = new Float64Array(width * height);
  const [rx, ry] = [kx.length >> 1, ky.length >> 1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) kx.forEach((k, i) => (rows[y * width + x] += k * data[y * width + clampIndex(x + i - rx, width)]));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) ky.forEach((k, i) => (out[y * width + x] += k * rows[clampIndex(y + i - ry, height) * width + x]));
  return out;
}

const worst = (a: ArrayLike<number>, b: ArrayLike<number>): number => {
  let most = 0;
  for (let i = 0; i < a.length; i++) most = Math.max(most, Math.abs(a[i] - b[i]));
  return most;
};

test.each(SIZES)('convolution and running means of %i × %i', (w, h) => {
  const p = noise(w, h);
  const [kx, ky] = [
    [0.1, 0.2, 0.4, 0.2, 0.1],
    [-0.5, 0, 0.5],
  ];
  const out = steady(() => separable(p, Float32Array.from(kx), Float32Array.from(ky)));
  expect(worst(out.data, plainSeparable(p, kx, ky))).toBeLessThan(1e-4);
  const even = Array.from({ length: 9 }, () => 1 / 9);
  expect(worst(steady(() => box(p, 4)).data, plainSeparable(p, even, even))).toBeLessThan(1e-3);
});

test.each(SIZES)('largest and smallest near each pixel of %i × %i', (w, h) => {
  const p = noise(w, h);
  const near = (x: number, y: number, pick: (...v: number[]) => number) => {
    let best = p.data[y * w + x];
    for (let j = -3; j <= 3; j++) for (let i = -3; i <= 3; i++) best = pick(best, p.data[clampIndex(y + j, h) * w + clampIndex(x + i, w)]);
    return best;
  };
  const [high, low] = [steady(() => dilateMax(p, 3)), steady(() => erodeMin(p, 3))];
  for (let k = 0; k < 200; k++) {
    const [x, y] = [(k * 37) % w, (k * 91) % h];
    expect(high.data[y * w + x]).toBe(near(x, y, Math.max));
    expect(low.data[y * w + x]).toBe(near(x, y, Math.min));
  }
});

test.each(SIZES)('distance to the nearest unset pixel of %i × %i', (w, h) => {
  const random = seededRandom(5);
  const mask: Mask = { width: w, height: h, data: Uint8Array.from({ length: w * h }, () => (random() < 0.97 ? 1 : 0)) };
  mask.data[0] = 0;
  const holes = [...mask.data.keys()].filter((i) => !mask.data[i]);
  const out = steady(() => distance(mask));
  for (let k = 0; k < 60; k++) {
    const [x, y] = [(k * 53) % w, (k * 29) % h];
    const plain = Math.min(...holes.map((i) => Math.hypot((i % w) - x, Math.floor(i / w) - y)));
    expect(out.data[y * w + x]).toBeCloseTo(plain, 3);
  }
});

test.each([
  [384, 384],
  [131, 77],
  [5, 9],
] as const)('structure tensor of %i × %i', (w, h) => {
  // Stripes that climb to the right at 30°, as the viewer sees it.
  const [c, s] = [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6)];
  const data = Float32Array.from({ length: w * h }, (_, i) => 50 + 40 * Math.sin(((i % w) * s + Math.floor(i / w) * c) / 1.6));
  const derive = Float32Array.from([-0.1, -0.25, 0, 0.25, 0.1]);
  const soften = Float32Array.from([0.06, 0.24, 0.4, 0.24, 0.06]);
  const t = steady(() => tensor({ width: w, height: h, data }, derive, soften, 0.5));
  // The middle of the plane has whole windows round it.
  const at = Math.floor(h / 2) * w + Math.floor(w / 2);
  if (w > 9) expect(t.angle[at]).toBeCloseTo(30, 0);
  expect(t.weight[at]).toBeGreaterThan(1);
  expect(Math.hypot(t.cos[at], t.sin[at])).toBeCloseTo(t.weight[at], 2);
  // The window's weights sum to one: the energy of a plain slope is its squared steepness.
  if (w < 100) return;
  const slope = { width: w, height: h, data: Float32Array.from({ length: w * h }, (_, i) => 3 * (i % w)) };
  const steep = 3 * (2 * 0.1 * 2 + 2 * 0.25);
  expect(steady(() => tensor(slope, derive, soften, 0)).weight[at]).toBeCloseTo(steep, 2);
  expect(tensor(slope, derive, soften, 0).angle[at]).toBeCloseTo(90, 2);
});
