/** The compiled loops against plain ones, on memory that still holds what earlier work left there. */
import { labFromLinear } from '../../colour/lab';
import { byteFromLinear, encodeTable, linearFromByte } from '../../colour/srgb';
import { components } from '../components';
import { Mask, Plane, Rect, RgbImage } from '../image';
import { reduceImage } from '../resample';
import { seededRandom } from '../statistics';
import { thin } from '../thin';
import {
  besideLines,
  box,
  depthBetween,
  dilateMax,
  distance,
  distancesFrom,
  erodeMin,
  filtered,
  histogram,
  labOf,
  lightnessOf,
  litEvenly,
  metColours,
  nearestForms,
  numbersAt,
  pairLengths,
  pieceSums,
  relit,
  separable,
  softening,
  spreading,
  squaredUp,
  steepestRise,
  steepnessBy,
  stepsOf,
  strips,
  tensor,
  weighed,
  weightedLight,
} from './kernels';
import { keepAnew, letGo } from './memory';

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
  if (w > 9) expect(t.angle.data[at]).toBeCloseTo(30, 0);
  expect(t.weight.data[at]).toBeGreaterThan(1);
  expect(Math.hypot(t.cos.data[at], t.sin.data[at])).toBeCloseTo(t.weight.data[at], 2);
  // The window's weights sum to one: the energy of a plain slope is its squared steepness.
  if (w < 100) return;
  const slope = { width: w, height: h, data: Float32Array.from({ length: w * h }, (_, i) => 3 * (i % w)) };
  const steep = 3 * (2 * 0.1 * 2 + 2 * 0.25);
  expect(steady(() => tensor(slope, derive, soften, 0)).weight.data[at]).toBeCloseTo(steep, 2);
  expect(tensor(slope, derive, soften, 0).angle.data[at]).toBeCloseTo(90, 2);
});

const bytes = (w: number, h: number, seed = 4): RgbImage => {
  const random = seededRandom(seed);
  return { width: w, height: h, data: Uint8Array.from({ length: 3 * w * h }, () => 256 * random()) };
};
const someMask = (w: number, h: number, share: number, seed = 9): Mask => {
  const random = seededRandom(seed);
  return { width: w, height: h, data: Uint8Array.from({ length: w * h }, () => (random() < share ? 1 : 0)) };
};

test.each(SIZES)('Lab and distances in it of %i × %i, black and white among them', (w, h) => {
  const image = bytes(w, h);
  image.data.fill(0, 0, 3);
  image.data.fill(255, 3, 6);
  const [L, a, b] = steady(() => labOf(image, linearFromByte));
  const plain = Array.from({ length: w * h }, (_, i) => {
    const [r, g, blue] = [0, 1, 2].map((c) => linearFromByte[image.data[3 * i + c]]);
    return labFromLinear(r, g, blue);
  });
  [L, a, b].forEach((p, c) =>
    expect(
      worst(
        p,
        plain.map((v) => v[c]),
      ),
    ).toBeLessThan(1e-3),
  );
  expect(worst(lightnessOf(image, linearFromByte), L)).toBe(0);
  const from = [60, 12, -20];
  const apart = plain.map((v) => Math.hypot(...v.map((n, c) => n - from[c])));
  const planes = [L, a, b].map((data) => ({ width: w, height: h, data })) as [Plane, Plane, Plane];
  expect(worst(distancesFrom(planes, from).data, apart)).toBeLessThan(2e-3);
});

test.each([
  [40, 30, 17, 11],
  [97, 61, 5, 61],
])('area means of %i × %i at %i × %i', (w, h, tow, toh) => {
  const image = bytes(w, h);
  const small = reduceImage(image, tow, toh);
  for (let y = 0; y < toh; y++)
    for (let x = 0; x < tow; x++)
      for (let c = 0; c < 3; c++) {
        let [sum, all] = [0, 0];
        for (let j = 0; j < h; j++)
          for (let i = 0; i < w; i++) {
            const over = (k: number, n: number, to: number, at: number) =>
              Math.max(0, Math.min(k + 1, ((at + 1) * n) / to) - Math.max(k, (at * n) / to));
            const share = over(i, w, tow, x) * over(j, h, toh, y);
            sum += share * linearFromByte[image.data[3 * (j * w + i) + c]];
            all += share;
          }
        expect(Math.abs(small.data[3 * (y * tow + x) + c] - byteFromLinear(sum / all))).toBeLessThanOrEqual(1);
      }
});

test.each(SIZES)('filters one after another, and how steeply a plane rises, on %i × %i px', (w, h) => {
  const p = noise(w, h);
  const by = { kernel: Float32Array.of(0.25, 0.5, 0.25) };
  const both = steady(() => filtered(p, spreading(2, false), softening(by)));
  expect(worst(both.data, filtered(dilateMax(p, 2), softening(by)).data)).toBe(0);
  expect(worst(filtered(p).data, p.data)).toBe(0);
  const [derive, soften] = [Float32Array.of(-0.5, 0, 0.5), by.kernel];
  const [dx, dy] = [separable(p, derive, soften).data, separable(p, soften, derive).data];
  const steep = Array.from(dx, (v, i) => Math.hypot(v, dy[i]));
  expect(worst(steady(() => steepnessBy(p, derive, soften)).data, steep)).toBeLessThan(1e-5);
});

test('numbers at some px of a plane, in the loops’ memory or copied out of it; of one let go of unseen there are none', () => {
  const places = [0, 41, 130, 1199];
  const [derive, soften] = [Float32Array.of(-0.5, 0, 0.5), Float32Array.of(0.25, 0.5, 0.25)];
  keepAnew();
  const { angle, weight } = tensor(noise(40, 30), derive, soften, 0.5);
  const there = [...numbersAt(angle, places)];
  expect(there).toEqual(places.map((i) => angle.data[i]));
  letGo();
  expect([...numbersAt(angle, places)]).toEqual(there);
  expect(() => numbersAt(weight, places)).toThrow('let go');
});

test('three running means one after another are a soft bell', () => {
  const p = noise(90, 40);
  const by = { radii: [3, 3, 4] as const };
  const plain = by.radii.reduce((at, r) => box(at, r), p);
  expect(worst(steady(() => filtered(p, softening(by))).data, plain.data)).toBeLessThan(5e-4);
});

test.each(SIZES)('what hangs together in %i × %i, and its size, middle and box', (w, h) => {
  const source = someMask(w, h, 0.45);
  const { labels, list } = components(source);
  // Flooded plainly from each first pixel.
  const seen = new Int32Array(w * h);
  let count = 0;
  for (let start = 0; start < w * h; start++) {
    if (!source.data[start] || seen[start]) continue;
    count++;
    const found = [start];
    seen[start] = count;
    for (let k = 0; k < found.length; k++) {
      const [x, y] = [found[k] % w, Math.floor(found[k] / w)];
      for (let j = Math.max(0, y - 1); j <= Math.min(h - 1, y + 1); j++)
        for (let i = Math.max(0, x - 1); i <= Math.min(w - 1, x + 1); i++)
          if (source.data[j * w + i] && !seen[j * w + i]) {
            seen[j * w + i] = count;
            found.push(j * w + i);
          }
    }
    const one = list[count - 1];
    const [xs, ys] = [found.map((i) => i % w), found.map((i) => Math.floor(i / w))];
    expect(one.area).toBe(found.length);
    expect(one.box).toEqual([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]);
    expect(one.centre[0]).toBeCloseTo(xs.reduce((s, x) => s + x, 0) / xs.length, 6);
    expect(one.moments[0]).toBeCloseTo(xs.reduce((s, x) => s + (x - one.centre[0]) ** 2, 0) / xs.length, 3);
  }
  expect(list).toHaveLength(count);
  expect(worst(labels, seen)).toBe(0);
});

test('sums over pieces of a window', () => {
  const [w, h] = [61, 47];
  const [marked, lines] = [0.6, 0.5].map((share, k) => someMask(w, h, share, k + 1));
  const skeleton = thin(lines);
  const [depart, texture, rise] = [1, 3, 4].map((seed) => noise(w, h, seed));
  const tone = noise(Math.ceil(w / 4), Math.ceil(h / 4), 2);
  const rects: Rect[] = [
    [0, 0, w, h],
    [7, 11, 30, 22],
  ];
  const covered = someMask(w, h, 0.4, 5).data;
  const told = pieceSums({ marked, lines, skeleton, depart, tone, texture, rise }, rects, covered);
  const all = pieceSums({ marked, lines, skeleton, depart, tone, texture, rise }, rects, null);
  rects.forEach(([x0, y0, rw, rh], k) => {
    const plain = new Float64Array(14);
    expect(all[k][13]).toBe(rw * rh);
    for (let y = y0; y < y0 + rh; y++)
      for (let x = x0; x < x0 + rw; x++) {
        const i = y * w + x;
        plain[0] += marked.data[i];
        plain[13] += covered[i];
        plain[lines.data[i] ? 2 : 3] += depart.data[i];
        plain[1] += lines.data[i];
        if (skeleton.data[i]) {
          const around = [-w - 1, -w, -w + 1, -1, 1, w - 1, w, w + 1].reduce((s, d) => s + skeleton.data[i + d], 0);
          plain[4]++;
          if (around === 1) plain[5]++;
          if (around > 2) plain[6]++;
        }
        if (x % 4 === 0 && y % 4 === 0) {
          const t = tone.data[(y / 4) * tone.width + x / 4];
          plain[7] += t;
          plain[8] += t ** 2;
          plain[12]++;
        }
        plain[9] += texture.data[i];
        plain[10] += texture.data[i] ** 2;
        plain[11] = Math.max(plain[11], rise.data[i]);
      }
    plain.forEach((v, j) => expect(Math.abs(told[k][j] - v)).toBeLessThan(1e-6 * Math.abs(v) + 1e-9 + (j === 9 ? 1e-3 : 0)));
  });
  expect([...skeleton.places]).toEqual([...skeleton.data.keys()].filter((i) => skeleton.data[i]));
});

test('the surface beside lines, and how deep a px lies between its sides', () => {
  const [w, h] = [50, 34];
  const lines = someMask(w, h, 0.02);
  const planes = [1, 2, 3, 4].map((seed) => noise(w, h, seed));
  const { squares, pixels } = besideLines(lines, planes, 4);
  const plain = [0, 0, 0, 0];
  for (let y = 4; y < h - 4; y++)
    for (let x = 4; x < w - 4; x++) {
      const i = y * w + x;
      if ([0, -4, 4, -4 * w, 4 * w].some((d) => lines.data[i + d])) continue;
      plain[3]++;
      for (let k = 0; k < 3; k++) plain[k] += (planes[k].data[i] - planes[k + 1].data[i]) ** 2;
    }
  expect(pixels).toBe(plain[3]);
  squares.forEach((v, k) => expect(v / plain[k]).toBeCloseTo(1, 5));
  const steps = [2, 3 * w, 2 * w + 2];
  const [soft, around] = [{ kernel: Float32Array.of(0.25, 0.5, 0.25) }, { radii: [1, 2, 2] as const }];
  const [near, wide] = [soft, around].map((by) => filtered(planes[0], softening(by)).data);
  const deep = steady(() => depthBetween(planes[0], soft, around, 5, Int32Array.from(steps))).data;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const i = y * w + x;
      const v = near[i];
      const inside = x >= 5 && y >= 5 && x < w - 5 && y < h - 5 && v <= wide[i] - 1.5;
      const most = Math.max(0, ...steps.map((d) => Math.min(near[i + d], near[i - d]) - v));
      expect(deep[i]).toBeCloseTo(inside ? most : 0, 4);
    }
});

/** Sums along strips of a piece turned about its middle, px by px as its definition says; NaN where one lies outside. */
function plainStrips(
  { width: w, data }: Plane,
  [x0, y0, rw, rh]: Rect,
  angle: number,
  wide: number,
  long: number,
  across: number,
): number[] {
  const t = (angle * Math.PI) / 180;
  const at = (x: number, y: number) => {
    if (x < 0 || y < 0 || x > rw - 1 || y > rh - 1) return NaN;
    const [i, j] = [Math.min(rw - 2, Math.floor(x)), Math.min(rh - 2, Math.floor(y))];
    const px = (a: number, b: number) => data[(y0 + j + b) * w + x0 + i + a];
    const row = (b: number) => px(0, b) + (px(1, b) - px(0, b)) * (x - i);
    return row(0) + (row(1) - row(0)) * (y - j);
  };
  return Array.from({ length: Math.floor(long / wide) * across }, (_, n) => {
    const [k, v] = [Math.floor(n / across), n % across];
    let sum = 0;
    for (let u = k * wide; u < (k + 1) * wide; u++) {
      const [du, dv] = [u - (long - 1) / 2, v - (across - 1) / 2];
      sum += at((rw - 1) / 2 + du * Math.cos(t) + dv * Math.sin(t), (rh - 1) / 2 - du * Math.sin(t) + dv * Math.cos(t));
    }
    return sum;
  });
}

test.each([0, 30, 90, 163])('sums along strips of a piece turned by %i°, none outside it', (angle) => {
  const p = noise(80, 70);
  const rect: Rect = [6, 5, 61, 47];
  const { width, height } = strips(p, rect, angle, 11);
  const { sums } = steady(() => ({ sums: strips(p, rect, angle, 11).sums }));
  const plain = plainStrips(p, rect, angle, 11, width, height);
  expect(sums).toHaveLength(plain.length);
  let inside = 0;
  sums.forEach((sum, k) => {
    expect(Number.isNaN(sum)).toBe(Number.isNaN(plain[k]));
    if (Number.isNaN(sum)) return;
    inside++;
    expect(Math.abs(sum - plain[k])).toBeLessThan(0.01);
  });
  expect(inside).toBeGreaterThan(60);
  expect(strips(p, [3, 3, 1, 9], angle, 11).sums).toHaveLength(0);
});

test('three channels rise together, along the normal', () => {
  const [w, h] = [40, 30];
  const slope = (fx: number, fy: number): Plane => ({
    width: w,
    height: h,
    data: Float32Array.from({ length: w * h }, (_, i) => fx * (i % w) + fy * Math.floor(i / w)),
  });
  const { steepness, nx, ny } = steady(() =>
    steepestRise([slope(3, -4), slope(6, -8), slope(0, 0)], {
      derive: Float32Array.of(-0.5, 0, 0.5),
      soften: Float32Array.of(0, 1, 0),
      least: 1,
    }),
  );
  const at = 15 * w + 20;
  expect(steepness[at]).toBeCloseTo(Math.sqrt(125), 3);
  expect([nx[at], ny[at]]).toEqual([expect.closeTo(0.6, 4), expect.closeTo(-0.8, 4)]);
  const flat = steepestRise([slope(0.1, 0)], { derive: Float32Array.of(-0.5, 0, 0.5), soften: Float32Array.of(0, 1, 0), least: 1 });
  expect([flat.nx[at], flat.ny[at]]).toEqual([0, 0]);
});

test('the nearest form and its nearest rival, as a plain loop finds them', () => {
  const r = seededRandom(41);
  const point = () => ({ x: r() - 0.5, y: r() - 0.5, form: Uint8Array.from({ length: 128 }, () => Math.floor(256 * r())) });
  const forms = Array.from({ length: 30 }, () => point().form);
  // Among them one at the same place twice over, a form that is met again, and the farthest two there are.
  const others = Array.from({ length: 40 }, point);
  others[7] = { ...others[6], form: others[6].form.map((v) => v ^ 1) };
  forms[3] = others[6].form;
  forms[4] = new Uint8Array(128).fill(255);
  others[11] = { ...others[11], form: new Uint8Array(128) };
  const near = 0.2;
  const found = nearestForms(forms, others, near);
  forms.forEach((form, i) => {
    const far = others.map((o) => o.form.reduce((s, v, k) => s + (v - form[k]) ** 2, 0));
    expect(found[i].best).toBe(Math.min(...far));
    expect(found[i].found).toBe(far.indexOf(found[i].best));
  });
  // In the order they are met, whoever lies apart from the nearest so far is a rival.
  expect(found[3]).toMatchObject({ found: 6, best: 0 });
  expect(found[3].second).toBeGreaterThan(128);
  expect(nearestForms(forms, others.slice(0, 1), near)[0].second).toBe(Infinity);
  expect(nearestForms(forms, [], near)[0]).toEqual({ found: -1, best: Infinity, second: Infinity });
  expect(nearestForms([], others, near)).toEqual([]);
});

/** A photograph's linear light at a place (px centres at whole numbers), by Catmull-Rom or between the four px round it. */
function plainSample({ width, height, data }: RgbImage, x: number, y: number, channel: number, smooth: boolean): number {
  // Keys' (1981) kernel with a = −1/2.
  const cubic = (d: number) => (d < 1 ? 1.5 * d ** 3 - 2.5 * d ** 2 + 1 : d < 2 ? -0.5 * d ** 3 + 2.5 * d ** 2 - 4 * d + 2 : 0);
  const weight = (d: number) => (smooth ? cubic(d) : Math.max(0, 1 - d));
  let sum = 0;
  for (let j = Math.floor(y) - 1; j <= Math.floor(y) + 2; j++)
    for (let i = Math.floor(x) - 1; i <= Math.floor(x) + 2; i++)
      sum +=
        weight(Math.abs(x - i)) *
        weight(Math.abs(y - j)) *
        linearFromByte[data[3 * (clampIndex(j, height) * width + clampIndex(i, width)) + channel]];
  return sum;
}

test.each([1, 2, 3])('a leaning sheet squared up by %i × %i samples a px, past the edge of its photograph too', (n) => {
  const random = seededRandom(8);
  const photo: RgbImage = { width: 37, height: 29, data: Uint8Array.from({ length: 3 * 37 * 29 }, () => 256 * random()) };
  const toPhoto = [1.1, 0.2, -3, -0.15, 0.9, 2, 0.002, -0.001, 1];
  const [w, h] = [41, 70];
  const { sheet } = steady(() => ({ sheet: squaredUp(photo, toPhoto, [w, h], n, linearFromByte) }));
  for (let y = 0; y < h; y += 3)
    for (let x = 0; x < w; x += 2) {
      const c = (x + y) % 3;
      let sum = 0;
      for (let k = 0; k < n * n; k++) {
        const [u, v] = [x + ((k % n) + 0.5) / n, y + (Math.floor(k / n) + 0.5) / n];
        const q = 0.002 * u - 0.001 * v + 1;
        sum += plainSample(photo, (1.1 * u + 0.2 * v - 3) / q - 0.5, (-0.15 * u + 0.9 * v + 2) / q - 0.5, c, n === 1);
      }
      expect(Math.abs(sheet[3 * (y * w + x) + c] - sum / (n * n))).toBeLessThan(1e-5);
    }
});

test.each([
  ['reduced so far that no square fits in', [40, 1, 0, -2, 30, 0, 0, 0, 1], 1e-4],
  // At u + v = 16.3 nothing is seen; close to it places run off to all sides.
  ['across the horizon', [3, 1, 20, 2, 9, 40, 1, 1, -16.3], 1e-3],
] as const)('a sheet %s', (_, toPhoto, near) => {
  const random = seededRandom(9);
  const photo: RgbImage = { width: 700, height: 500, data: Uint8Array.from({ length: 3 * 700 * 500 }, () => 256 * random()) };
  const [w, h] = [17, 15];
  const { sheet } = steady(() => ({ sheet: squaredUp(photo, toPhoto, [w, h], 2, linearFromByte) }));
  const [a, b, c, d, e, f, g, i, k] = toPhoto;
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (const [u, v] of [0.25, 0.75].flatMap((p) => [0.25, 0.75].map((q) => [x + p, y + q]))) {
        const q = g * u + i * v + k;
        sum += plainSample(photo, (a * u + b * v + c) / q - 0.5, (d * u + e * v + f) / q - 0.5, 1, false) / 4;
      }
      expect(Math.abs(sheet[3 * (y * w + x) + 1] - sum)).toBeLessThan(near);
    }
});

test.each([1, 5, 32])('each px of a picture lit by what holds at every %ith of its row', (every) => {
  const random = seededRandom(4);
  const [width, height] = [41, 3];
  const knots = Math.ceil(width / every) + 1;
  const picture: RgbImage = { width, height, data: Uint8Array.from({ length: 3 * width * height }, () => 256 * random()) };
  const values = Float64Array.from({ length: 3 * knots * height }, () => 2 * random());
  const { data } = steady(() => ({ data: relit(picture, { every, knots, values }, linearFromByte, encodeTable).data }));
  for (let i = 0; i < data.length; i++) {
    const [x, y] = [Math.floor(i / 3) % width, Math.floor(i / (3 * width))];
    const at = 3 * (y * knots + Math.floor(x / every)) + (i % 3);
    const gain = values[at] + (x % every) * (1 / every) * (values[at + 3] - values[at]);
    expect(data[i]).toBe(byteFromLinear(linearFromByte[picture.data[i]] * gain));
  }
});

test.each(SIZES)('counts, lengths and steps of %i × %i numbers', (w, h) => {
  const [p, q] = [noise(w, h), noise(w, h, 5)];
  // What lies outside falls into the end bins.
  const counts = [...steady(() => histogram(p.data, 10, 90, 16))];
  const plain = Array.from(counts, () => 0);
  for (const v of p.data) plain[Math.max(0, Math.min(15, Math.floor((v - 10) / 5)))]++;
  expect(counts).toEqual(plain);
  const { lengths } = steady(() => ({ lengths: pairLengths(p.data, q.data) }));
  expect(lengths.findIndex((v, i) => v !== Math.fround(Math.sqrt(p.data[i] ** 2 + q.data[i] ** 2)))).toBe(-1);
  const ends = [12.5, 40, 71.5];
  const { steps } = steady(() => ({ steps: stepsOf(p.data, ends) }));
  expect(steps.findIndex((k, i) => k !== ends.filter((end) => p.data[i] >= end).length)).toBe(-1);
  expect([...stepsOf(p.data, [])].every((k) => k === 0)).toBe(true);
});

test('the colours of a picture in the order they are met, and its light', () => {
  const random = seededRandom(6);
  const [width, height] = [53, 19];
  const n = width * height;
  const picture: RgbImage = { width, height, data: Uint8Array.from({ length: 3 * n }, () => 40 * random()) };
  const weights = Float32Array.from({ length: n }, () => random());
  const leftOut = Uint8Array.from({ length: n }, () => (random() < 0.2 ? 1 : 0));
  const { sums, index } = steady(() => metColours(picture, weights, leftOut, linearFromByte));
  const seen = new Map<string, number[]>();
  for (let i = 0; i < n; i++) {
    const rgb = [...picture.data.slice(3 * i, 3 * i + 3)];
    if (leftOut[i]) {
      expect(index[i]).toBe(-1);
      continue;
    }
    const key = rgb.map((v) => v >> 3).join();
    if (!seen.has(key)) seen.set(key, [seen.size, 0, 0, 0, 0, 0]);
    const own = seen.get(key)!;
    [1, weights[i], ...rgb.map((v) => linearFromByte[v])].forEach((v, k) => (own[k + 1] += v));
    expect(index[i]).toBe(own[0]);
  }
  expect([...sums]).toEqual([...seen.values()].flatMap((own) => own.slice(1)));
  expect(metColours(picture, weights, new Uint8Array(n).fill(1), linearFromByte).sums).toHaveLength(0);
  const light = weightedLight(picture, [0.2, 0.7, 0.1], linearFromByte);
  light.data.forEach((v, i) => {
    const [r, g, b] = [0, 1, 2].map((c) => linearFromByte[picture.data[3 * i + c]]);
    expect(v).toBe(Math.fround(0.2 * r + 0.7 * g + 0.1 * b));
  });
});

test.each(SIZES)('rows of a %i × %i plane weighed, past its first and its last too', (w, h) => {
  const source = noise(w, h);
  const taps = {
    first: Int32Array.of(-2, 0, h >> 1, h - 1),
    weights: Float32Array.from({ length: 12 }, (_, i) => Math.sin(i + 1)),
    count: 3,
  };
  const { sums } = steady(() => ({ sums: weighed(source.data, w, taps) }));
  for (let i = 0; i < 4; i++)
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (let k = 0; k < 3; k++) sum = Math.fround(sum + taps.weights[3 * i + k] * source.data[clampIndex(taps.first[i] + k, h) * w + x]);
      expect(sums[i * w + x]).toBe(sum);
    }
});

test('light evened px by px, from what holds at every eighth', () => {
  const [w, h] = [21, 3];
  const linear = Float32Array.from({ length: 3 * w * h }, (_, i) => i / (3 * w * h));
  const factors = Float32Array.from({ length: 4 * h }, (_, i) => 0.7 + 0.1 * i);
  const gains = [1, 1.2, 0.4] as const;
  const { data } = steady(() => ({ data: litEvenly(linear, [w, h], factors, gains, encodeTable) }));
  for (let i = 0; i < data.length; i++) {
    const [x, y] = [Math.floor(i / 3) % w, Math.floor(i / (3 * w))];
    const [a, b] = [factors[4 * y + (x >> 3)], factors[4 * y + (x >> 3) + 1]];
    expect(Math.abs(data[i] - byteFromLinear(linear[i] * gains[i % 3] * (a + ((b - a) * (x % 8)) / 8)))).toBeLessThanOrEqual(1);
  }
});
