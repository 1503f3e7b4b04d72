/** The raster tools against brute force and known answers. */
import { toldBy } from '../../tests/support/english';
import fc from 'fast-check';
import { blankPatch, drawLine } from '../../tests/support/patches';
import { components } from './components';
import { box, dilateMax, erodeMin, gaussian, separable } from './filters';
import { gaussianGradient } from './gradient';
import { cropImage, Mask, Plane, rectInside } from './image';
import { reduceImage, reducePlane, reduceToLongSide, sampleBilinear } from './resample';
import {
  axialDifference,
  clamp,
  histogramQuantiles,
  mean,
  median,
  medianError,
  normal,
  quantile,
  seededRandom,
  standardDeviation,
  weightedQuantile,
} from './statistics';
import { thin } from './thin';
import { multiOtsu, sauvola } from './threshold';

function noisePlane(w: number, h: number, seed: number): Plane {
  const r = seededRandom(seed);
  return { width: w, height: h, data: Float32Array.from({ length: w * h }, () => 100 * r()) };
}

const at = (p: Plane, x: number, y: number) =>
  p.data[Math.min(p.height - 1, Math.max(0, y)) * p.width + Math.min(p.width - 1, Math.max(0, x))];

const around = (p: Plane, x: number, y: number, r: number): number[] => {
  const out: number[] = [];
  for (let dy = -r; dy <= r; dy++) for (let dx = -r; dx <= r; dx++) out.push(at(p, x + dx, y + dy));
  return out;
};

test.each([1, 3, 6])('running mean, largest and smallest equal brute force, edges repeated (radius %i)', (r) => {
  const p = noisePlane(23, 17, r);
  const [mean, high, low] = [box(p, r), dilateMax(p, r), erodeMin(p, r)];
  for (let y = 0; y < 17; y++)
    for (let x = 0; x < 23; x++) {
      const near = around(p, x, y, r);
      expect(at(mean, x, y)).toBeCloseTo(near.reduce((a, b) => a + b, 0) / near.length, 3);
      expect(at(high, x, y)).toBe(Math.max(...near));
      expect(at(low, x, y)).toBe(Math.min(...near));
    }
});

test('convolution equals its definition, and a Gaussian keeps a constant and its own variance', () => {
  const p = noisePlane(19, 13, 5);
  const [kx, ky] = [Float32Array.of(0.2, 0.5, 0.3), Float32Array.of(0.1, 0.2, 0.4, 0.2, 0.1)];
  const out = separable(p, kx, ky);
  for (let y = 0; y < 13; y++)
    for (let x = 0; x < 19; x++) {
      let s = 0;
      for (let j = -2; j <= 2; j++) for (let i = -1; i <= 1; i++) s += kx[i + 1] * ky[j + 2] * at(p, x + i, y + j);
      expect(at(out, x, y)).toBeCloseTo(s, 3);
    }
  for (const sigma of [0.8, 2, 4, 9]) {
    const dot: Plane = { width: 121, height: 121, data: new Float32Array(121 * 121) };
    dot.data[60 * 121 + 60] = 1;
    const blurred = gaussian(dot, sigma);
    let [sum, variance] = [0, 0];
    for (let y = 0; y < 121; y++)
      for (let x = 0; x < 121; x++) {
        sum += at(blurred, x, y);
        variance += at(blurred, x, y) * (x - 60) ** 2;
      }
    expect(sum).toBeCloseTo(1, 2);
    expect(Math.sqrt(variance) / sigma).toBeCloseTo(1, 1);
  }
});

test('a Gaussian derivative reads a ramp’s slope and leans fine lines by less than half a degree', () => {
  const ramp: Plane = {
    width: 40,
    height: 40,
    data: Float32Array.from({ length: 1600 }, (_, i) => 3 * (i % 40) - 2 * Math.floor(i / 40)),
  };
  const { dx, dy } = gaussianGradient(ramp, 1);
  expect(at(dx, 20, 20)).toBeCloseTo(3, 3);
  expect(at(dy, 20, 20)).toBeCloseTo(-2, 3);
});

test('area means keep the light of a picture, whatever its size', () => {
  const image = blankPatch(64, 48, [255, 255, 255]);
  for (let i = 0; i < 64 * 48; i++) if ((i + Math.floor(i / 64)) % 2) image.data.fill(0, i * 3, i * 3 + 3);
  const half = reduceImage(image, 16, 12);
  // Half the light is 188 in sRGB (IEC 61966-2-1).
  for (const v of half.data) expect(Math.abs(v - 188)).toBeLessThanOrEqual(1);
  expect(reduceToLongSide(image, 32)).toMatchObject({ width: 32, height: 24 });
  expect(reduceToLongSide(image, 640)).toBe(image);
  expect(toldBy(() => reduceImage(image, 65, 48))).toMatch(/larger/);
  const p = noisePlane(30, 20, 9);
  const small = reducePlane(p, 7, 3);
  expect(small.data.reduce((a, b) => a + b, 0) / 21).toBeCloseTo(p.data.reduce((a, b) => a + b, 0) / 600, 2);
  expect(sampleBilinear(p, 4.5, 6)).toBeCloseTo((at(p, 4, 6) + at(p, 5, 6)) / 2, 3);
  expect(sampleBilinear(p, -9, 400)).toBe(at(p, 0, 19));
});

test('thinning leaves one connected line of one pixel for every connected mark, and never adds a pixel', () => {
  const image = blankPatch(90, 70, [255, 255, 255]);
  drawLine(
    image,
    [
      [10, 12],
      [70, 50],
    ],
    7,
    [0, 0, 0],
  );
  drawLine(
    image,
    [
      [12, 60],
      [40, 58],
    ],
    5,
    [0, 0, 0],
  );
  const marks: Mask = {
    width: 90,
    height: 70,
    data: Uint8Array.from({ length: 6300 }, (_, i) => (image.data[i * 3] < 120 ? 1 : 0)),
  };
  const lines = thin(marks);
  expect(components(marks).list).toHaveLength(2);
  expect(components(lines).list).toHaveLength(2);
  let area = 0;
  for (let i = 0; i < 6300; i++) {
    area += lines.data[i];
    if (lines.data[i]) expect(marks.data[i]).toBe(1);
  }
  // As many pixels as the longer way of each line, less half a width at each end.
  expect(area).toBeGreaterThan(60 + 28 - 14);
  expect(area).toBeLessThan(60 + 28 + 6);
});

test.each([1, 1.6, 2, 2.4, 3.5, 6])('thinning keeps a line %f px wide whole and single at every slant', (width) => {
  for (let angle = 0; angle < 180; angle += 7.5) {
    const [dx, dy] = [40 * Math.cos((angle * Math.PI) / 180), -40 * Math.sin((angle * Math.PI) / 180)];
    const image = blankPatch(120, 120, [255, 255, 255]);
    drawLine(
      image,
      [
        [60.3 - dx, 60.4 - dy],
        [60.3 + dx, 60.4 + dy],
      ],
      width,
      [0, 0, 0],
    );
    const marks: Mask = { width: 120, height: 120, data: Uint8Array.from({ length: 14_400 }, (_, i) => (image.data[i * 3] < 150 ? 1 : 0)) };
    const line = thin(marks);
    const pixels = line.data.reduce((s, v) => s + v, 0);
    const whole = 2 * Math.max(Math.abs(dx), Math.abs(dy));
    expect([angle, components(line).list.length]).toEqual([angle, components(marks).list.length]);
    expect(Math.abs(pixels - whole)).toBeLessThan(4 + 1.2 * width);
    // No pixel of a single line has more than two neighbours, so nothing looks like a fork.
    let forks = 0;
    for (let i = 121; i < 14_400 - 121; i++) {
      if (!line.data[i]) continue;
      let n = -1;
      for (let y = -1; y <= 1; y++) for (let x = -1; x <= 1; x++) n += line.data[i + 120 * y + x];
      if (n > 2) forks++;
    }
    expect([angle, forks > 2]).toEqual([angle, false]);
  }
});

test('components count areas, boxes and second moments', () => {
  const data = new Uint8Array(20 * 10);
  for (let y = 2; y < 5; y++) for (let x = 3; x < 12; x++) data[y * 20 + x] = 1;
  data[9 * 20 + 19] = 1;
  const { list, labels } = components({ width: 20, height: 10, data });
  expect(list).toHaveLength(2);
  expect(list[0]).toMatchObject({ area: 27, box: [3, 2, 11, 4], centre: [7, 3], touchesEdge: false });
  // Variance of n whole numbers in a row is (n² − 1) / 12.
  expect(list[0].moments[0]).toBeCloseTo((81 - 1) / 12, 6);
  expect(list[1].touchesEdge).toBe(true);
  expect(labels[9 * 20 + 19]).toBe(2);
});

test('Sauvola finds lines under uneven light and nothing on a bare sheet', () => {
  const p: Plane = {
    width: 120,
    height: 80,
    data: Float32Array.from({ length: 9600 }, (_, i) => 10 + 0.3 * (i % 120)),
  };
  expect(sauvola(p, 10, 0.12, 5).data.reduce((a, b) => a + b, 0)).toBe(0);
  for (let y = 10; y < 70; y += 12) for (let x = 5; x < 115; x++) p.data[y * 120 + x] += 30;
  const found = sauvola(p, 10, 0.12, 5);
  let hits = 0;
  for (let y = 10; y < 70; y += 12) for (let x = 5; x < 115; x++) hits += found.data[y * 120 + x];
  expect(hits).toBe(5 * 110);
  expect(found.data.reduce((a, b) => a + b, 0)).toBe(hits);
});

test('multi-level Otsu refuses impossible counts and parts clear groups', () => {
  const counts = new Float64Array(30);
  for (const [from, to] of [
    [2, 5],
    [12, 15],
    [24, 27],
  ])
    for (let i = from; i < to; i++) counts[i] = 10;
  const [a, b] = multiOtsu(counts, 3);
  expect(a).toBeGreaterThanOrEqual(5);
  expect(a).toBeLessThanOrEqual(12);
  expect(b).toBeGreaterThanOrEqual(15);
  expect(b).toBeLessThanOrEqual(24);
  expect(toldBy(() => multiOtsu(counts, 1))).toMatch(/steps/);
  expect(toldBy(() => multiOtsu(counts, 31))).toMatch(/steps/);
});

test('the standard error of a median is what medians of many samples stray by, also where values lie at two places', () => {
  const r = seededRandom(5);
  const even = () => r();
  const twofold = () => (r() < 0.5 ? 0.3 : 0.8) + 0.1 * r();
  for (const draw of [even, twofold, () => normal(r)]) {
    const samples = Array.from({ length: 300 }, () => Array.from({ length: 80 }, draw));
    const strayed = standardDeviation(samples.map(median));
    const told = mean(samples.map((s) => medianError(s)!));
    expect(told / strayed).toBeGreaterThan(0.75);
    expect(told / strayed).toBeLessThan(1.35);
  }
  expect(medianError([1, 2, 3, 4])).toBeNull();
});

test('quantiles, medians and spreads agree with their definitions', () => {
  expect(quantile([4, 1, 3, 2], 0.5)).toBe(2.5);
  expect(median([7])).toBe(7);
  expect(quantile([], 0.5)).toBeNaN();
  expect(weightedQuantile([1, 2, 3], [1, 1, 8], 0.5)).toBe(3);
  expect(standardDeviation([2, 4, 4, 4, 5, 5, 7, 9])).toBeCloseTo(Math.sqrt(32 / 7), 12);
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 100, noNaN: true }), { minLength: 50, maxLength: 200 }), (values) => {
      const [low] = histogramQuantiles(Float32Array.from(values), 0, 100, [0.25]);
      const below = values.filter((v) => v < low - 0.2).length;
      expect(below / values.length).toBeLessThanOrEqual(0.25 + 1e-9);
    }),
    { seed: 1, numRuns: 30 },
  );
  expect(clamp(5, 0, 1)).toBe(1);
});

test('axial differences go the short way round', () => {
  fc.assert(
    fc.property(fc.double({ min: -720, max: 720, noNaN: true }), fc.double({ min: -720, max: 720, noNaN: true }), (a, b) => {
      const d = axialDifference(a, b);
      expect(d).toBeGreaterThanOrEqual(-90);
      expect(d).toBeLessThan(90);
      const rest = (((b - a - d) / 180) % 1) + 0;
      expect(Math.min(Math.abs(rest), 1 - Math.abs(rest))).toBeLessThan(1e-9);
    }),
    { seed: 2 },
  );
});

test('the seeded stream is the same every time, even, and its normal deviates are standard', () => {
  const [a, b] = [seededRandom(42), seededRandom(42)];
  const values = Array.from({ length: 5000 }, () => a());
  expect(values.slice(0, 5)).toEqual(Array.from({ length: 5 }, () => b()));
  expect(values.reduce((s, v) => s + v, 0) / 5000).toBeCloseTo(0.5, 1);
  const deviates = Array.from({ length: 5000 }, () => normal(a));
  expect(standardDeviation(deviates)).toBeCloseTo(1, 1);
});

test('cropping copies just what it names, and rectangles are checked', () => {
  const image = blankPatch(10, 8, [1, 2, 3]);
  image.data.set([9, 9, 9], (3 * 10 + 4) * 3);
  const cut = cropImage(image, [4, 3, 2, 2]);
  expect(Array.from(cut.data.slice(0, 6))).toEqual([9, 9, 9, 1, 2, 3]);
  expect(rectInside([4, 3, 6, 5], 10, 8)).toBe(true);
  expect(rectInside([4, 3, 7, 5], 10, 8)).toBe(false);
  expect(rectInside([NaN, 0, 2, 2], 10, 8)).toBe(false);
});
