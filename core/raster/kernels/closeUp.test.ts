/** The sums over a close-up against plain loops over the same planes, on rectangles that fit no four pixels and with places left out. */
import { labPlanes } from '../../colour/lab';
import { linearFromByte } from '../../colour/srgb';
import { orientationField } from '../../marks/orientation';
import { gaussian, gaussianSoftening, separable } from '../filters';
import { Plane, Rect, RgbImage } from '../image';
import { seededRandom } from '../statistics';
import { CloseUp, everyAt, putAway, RidgeSize, sumsOf } from './closeUp';

const [W, H] = [83, 61];
const SIGMAS = [0.6, 1.2, 2.5, 5, 10];

/** Strokes and fields with some grain. */
function picture(seed: number): RgbImage {
  const random = seededRandom(seed);
  const data = new Uint8Array(3 * W * H);
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const line = Math.sin((x + 0.6 * y) / 2.2) > 0.6 ? 90 : 0;
      const field = x > 50 ? [200, 120, 60] : [120, 170, 210];
      data.set(
        field.map((v) => Math.min(255, Math.max(0, v - line + 24 * (random() - 0.5)))),
        3 * (y * W + x),
      );
    }
  return { width: W, height: H, data };
}
const closeOf = (image: RgbImage): CloseUp => ({
  width: W,
  height: H,
  image,
  linear: linearFromByte,
  fine: [gaussianSoftening(0.6), gaussianSoftening(1.2), gaussianSoftening(2.5)],
  broad: [2, 3, 4].map((k) => gaussianSoftening(Math.sqrt(SIGMAS[k] ** 2 - SIGMAS[k - 1] ** 2) / everyAt(k))),
});

/** A Gaussian kernel out to four sigmas. */
function kernelOf(sigma: number): Float32Array {
  const r = Math.ceil(4 * sigma);
  const plain = Array.from({ length: 2 * r + 1 }, (_, i) => Math.exp(-((i - r) ** 2) / (2 * sigma * sigma)));
  const sum = plain.reduce((s, v) => s + v, 0);
  return Float32Array.from(plain, (v) => v / sum);
}

const image = picture(7);
const lab = labPlanes(image);
/** Every second px of a plane along both sides. */
function halved({ width, height, data }: Plane): Plane {
  const [w, h] = [Math.ceil(width / 2), Math.ceil(height / 2)];
  return { width: w, height: h, data: Float32Array.from({ length: w * h }, (_, i) => data[2 * (Math.floor(i / w) * width + (i % w))]) };
}
/** One channel at every softness; broad ones from every second px of the one before. */
function levelsOf(plain: Plane, finest: Plane): Plane[] {
  const levels = [finest, gaussian(plain, SIGMAS[1])];
  for (const k of [2, 3, 4]) levels.push(gaussian(halved(levels[k - 1]), Math.sqrt(SIGMAS[k] ** 2 - SIGMAS[k - 1] ** 2) / everyAt(k)));
  return levels;
}
const levels = [levelsOf(lab.L, gaussian(lab.L, SIGMAS[0])), levelsOf(lab.a, lab.a), levelsOf(lab.b, lab.b)];
const [L, a, b] = levels.map((of) => of.slice(0, 2).map(({ data }) => data));
const random = seededRandom(2);
const some = Uint8Array.from({ length: W * H }, () => (random() < 0.7 ? 1 : 0));
const RECTS: Rect[] = [
  [0, 0, W, H],
  [13, 9, 37, 31],
  [48, 30, 35, 31],
];
const CASES = RECTS.flatMap((rect) => [null, some].map((only) => [rect, only] as const));

const rise = new Float64Array(W * H);
for (let y = 0; y < H; y++)
  for (let x = 0; x < W; x++) {
    const i = Math.min(H - 2, Math.max(1, y)) * W + Math.min(W - 2, Math.max(1, x));
    let s = 0;
    for (const p of [L[1], a[1], b[1]]) s += (p[i + 1] - p[i - 1]) ** 2 + (p[i + W] - p[i - W]) ** 2;
    rise[y * W + x] = Math.sqrt(s) / 2;
  }

/** Px of a rectangle whose numbers `every` divides: where they lie, counted in such px, and whether they count. */
function each([x0, y0, w, h]: Rect, only: Uint8Array | null, every: number, visit: (x: number, y: number) => void): void {
  for (let y = Math.ceil(y0 / every); y * every < y0 + h; y++)
    for (let x = Math.ceil(x0 / every); x * every < x0 + w; x++) if (!only || only[every * (y * W + x)]) visit(x, y);
}
const alike = (told: ArrayLike<number>, plain: readonly number[]) =>
  plain.forEach((v, k) => expect(Math.abs(told[k] - v)).toBeLessThan(1e-3 * Math.abs(v) + 1e-3 * Math.max(...plain.map(Math.abs)) + 1e-6));

test.each(CASES)('detail between two softnesses in %p', (rect, only) => {
  for (const k of [0, 1, 2, 3]) {
    const plain = [0, 0, 0, 0];
    const [fine, broad] = [levels.map((of) => (k ? halved(of[k]) : of[k])), levels.map((of) => of[k + 1])];
    each(rect, only, everyAt(k + 1), (x, y) => {
      const [d, da, db] = fine.map((plane, c) => plane.data[y * plane.width + x] - broad[c].data[y * plane.width + x]);
      plain[0]++;
      plain[1] += d * d;
      plain[2] += d ** 3;
      if (k) plain[3] += da * da + db * db;
    });
    alike(sumsOf(closeOf(image)).band(k, rect, only), plain);
  }
});

test('what is broadly soft by few px is as soft as all of it', () => {
  for (const [k, within] of [
    [2, 0.6],
    [3, 0.6],
    [4, 0.6],
  ]) {
    const every = everyAt(k);
    const { width, height, data } = levels[0][k];
    const whole = separable(lab.L, kernelOf(SIGMAS[k]), kernelOf(SIGMAS[k]));
    const off = [...data].map((v, i) => Math.abs(v - whole.data[every * (Math.floor(i / width) * W + (i % width))]));
    const inner = off.filter((_, i) => {
      const [x, y] = [every * (i % width), every * Math.floor(i / width)];
      return Math.min(x, y, W - x, H - y) > SIGMAS[k];
    });
    expect(inner.length).toBeGreaterThan(10);
    expect(Math.max(...inner)).toBeLessThan(within);
    expect(height).toBe(Math.ceil(H / every));
  }
});

test.each(CASES)('ridges, steps and directions at one softness in %p', (rect, only) => {
  for (const k of [1, 2, 3]) {
    const every = everyAt(k);
    const planes = levels.map((of) => of[k].data);
    const { width: w, height: h } = levels[0][k];
    const [x0, y0] = [Math.ceil(rect[0] / every), Math.ceil(rect[1] / every)];
    const plain = Array.from({ length: 11 }, () => 0);
    const cells = new Map<string, [number, number]>();
    each(rect, only, every, (x, y) => {
      // Where every px is there, every second row says enough.
      if (every === 1 && (y - y0) % 2) return;
      if (x < 1 || y < 1 || x >= w - 1 || y >= h - 1) return;
      const i = y * w + x;
      const dx = planes.map((p) => p[i + 1] - p[i - 1]);
      const dy = planes.map((p) => p[i + w] - p[i - w]);
      const dot = (p: number[], q: number[]) => p.reduce((s, n, j) => s + n * q[j], 0);
      const at = (d: number) => planes[0][i + d];
      const hxx = at(1) + at(-1) - 2 * at(0);
      const hyy = at(w) + at(-w) - 2 * at(0);
      const hxy = (at(w + 1) + at(-w - 1) - at(1 - w) - at(w - 1)) / 4;
      const root = Math.hypot((hxx - hyy) / 2, hxy);
      const [high, low] = [(hxx + hyy) / 2 + root, (hxx + hyy) / 2 - root];
      const which = high > 2.5 * Math.abs(low) ? 3 : -low > 2.5 * Math.abs(high) ? 4 : low > 0 ? 5 : high < 0 ? 6 : 7;
      plain[0]++;
      plain[1] += dot(dx, dx) + dot(dy, dy);
      plain[2] += dx[0] ** 2 + dy[0] ** 2;
      plain[which] += high ** 2 + low ** 2;
      const cell = `${Math.floor((x - x0) / 8)} ${Math.floor((y - y0) / 8)}`;
      const [p, q] = cells.get(cell) ?? [0, 0];
      cells.set(cell, [p + dot(dx, dx) - dot(dy, dy), q + 2 * dot(dx, dy)]);
    });
    for (const [p, q] of cells.values()) {
      plain[8] += p;
      plain[9] += q;
      plain[10] += Math.hypot(p, q);
    }
    const told = sumsOf(closeOf(image)).size(k, rect, only);
    // Where a px stands between two sorts of curvature, the last digit decides.
    alike(told.slice(0, 3), plain.slice(0, 3));
    alike(told.slice(8), plain.slice(8));
    const all = plain.slice(3, 8).reduce((s, v) => s + v, 0);
    plain.slice(3, 8).forEach((v, j) => expect(Math.abs(told[3 + j] - v)).toBeLessThan(0.02 * all));
  }
});

test.each(CASES)('runs of one colour and steps between colours in %p', (rect, only) => {
  const [x0, y0, w, h] = rect;
  const plain = [0, 0, 0, 0, 0];
  const line = (from: number, step: number, n: number) => {
    let text = '';
    for (let j = 0, i = from; j < n; j++, i += step) {
      if (only && !only[i]) text += 'x';
      else {
        plain[0]++;
        text += rise[i] < 3 ? 's' : 'x';
      }
    }
    for (const run of text.match(/s+/g) ?? []) {
      plain[1] += run.length ** 2;
      plain[2] += run.length;
      if (run.length >= 12) plain[3] += run.length;
      if (run.length >= 40) plain[4] += run.length;
    }
  };
  for (let y = y0; y < y0 + h; y += 4) line(y * W + x0, 1, w);
  for (let x = x0; x < x0 + w; x += 4) line(y0 * W + x, W, h);
  alike(sumsOf(closeOf(image)).runs(3, rect, only), plain);
  const [read, n, tall, rim, outlined, even] = sumsOf(closeOf(image)).borders(12, 1.2, rect, only);
  expect(read).toBeGreaterThan(0.1 * w * h);
  expect(n).toBeGreaterThan(0);
  expect(tall / n).toBeGreaterThan(2);
  expect(Math.abs(rim / n)).toBeLessThanOrEqual(1);
  expect(outlined + even).toBeLessThanOrEqual(2 * n);
});

test('px that hardly rise, among those asked for', () => {
  const under = [...rise].filter((v, i) => v < 4 && some[i]).length;
  expect([...sumsOf(closeOf(image)).under(4, some)]).toEqual([some.reduce((s, v) => s + v, 0), under]);
});

const LIMITS = { faint: 3, clear: 7, least: 8 };
const chains = (size: RidgeSize) => sumsOf(closeOf(image)).ridges([size], LIMITS)[0];

test('ridges are chains of neighbours, each px in one of them', () => {
  const found = chains({ k: 1, step: 1, margin: 2 });
  expect(found.length).toBeGreaterThan(5);
  const seen = new Set<number>();
  for (const { points, height } of found) {
    expect(points.length).toBeGreaterThanOrEqual(8);
    expect(Math.abs(height)).toBeGreaterThanOrEqual(3);
    points.forEach((p, k) => {
      expect(seen.has(p)).toBe(false);
      seen.add(p);
      const before = points[Math.max(0, k - 1)];
      expect(Math.abs((p % W) - (before % W))).toBeLessThanOrEqual(1);
      expect(Math.abs(Math.floor(p / W) - Math.floor(before / W))).toBeLessThanOrEqual(1);
    });
  }
});

test('a dark and a light ridge stand as high over their sides as they were drawn, and keep later ones off', () => {
  // Bars of 3 px down a plain sheet: px numbers of their middles, and their tones.
  const bars = [
    [24, 90],
    [58, 240],
  ];
  const data = new Uint8Array(3 * W * H).fill(160);
  for (let y = 0; y < H; y++) for (const [x, tone] of bars) data.fill(tone, 3 * (y * W + x - 1), 3 * (y * W + x + 2));
  const sheet = { width: W, height: H, data };
  const plain = gaussian(labPlanes(sheet).L, 2.5).data;
  const sizes: RidgeSize[] = [
    { k: 2, step: 3, margin: 6 },
    { k: 1, step: 1, margin: 2 },
  ];
  const [broad, fine] = sumsOf(closeOf(sheet)).ridges(sizes, LIMITS);
  const row = 30 * W;
  bars.forEach(([x, tone]) => {
    const [one] = broad.filter((c) => Math.abs((c.points[0] % W) - x) < 6);
    expect(one.points.length).toBeGreaterThanOrEqual(H - 14);
    for (const p of one.points) expect(Math.abs((p % W) - x)).toBeLessThanOrEqual(1);
    const sides = [plain[row + x - 6], plain[row + x + 6]];
    const nearer = tone < 160 ? Math.min(...sides) : Math.max(...sides);
    expect(Math.abs(one.height - (nearer - plain[row + x]))).toBeLessThan(2);
  });
  // Alone, the fine size would find the bars; after the broad one nothing is left there.
  const near = (c: { points: Int32Array }) => bars.some(([x]) => Math.abs((c.points[0] % W) - x) < 6);
  expect(sumsOf(closeOf(sheet)).ridges([sizes[1]], LIMITS)[0].some(near)).toBe(true);
  expect(fine.some(near)).toBe(false);
});

test('a close-up reads the same after another, and after its planes were put away', () => {
  const [one, other] = [closeOf(image), closeOf(picture(8))];
  const rect: Rect = [3, 4, 50, 40];
  const first = [...sumsOf(one).band(1, rect, null)];
  expect([...sumsOf(other).band(1, rect, null)]).not.toEqual(first);
  expect([...sumsOf(one).band(1, rect, null)]).toEqual(first);
  putAway();
  expect([...sumsOf(one).band(1, rect, null)]).toEqual(first);
});

test('what was kept of a window is not there after it was let go of', () => {
  sumsOf(closeOf(image)).apart([60, 0, 0]);
  const field = orientationField(lab.L, 1);
  const angle = field.angle.data[40 * W + 40];
  expect(Number.isFinite(angle)).toBe(true);
  putAway();
  // What was copied out stays; the rest is gone, and says so.
  expect(field.angle.data[40 * W + 40]).toBe(angle);
  expect(() => field.weight.data).toThrow('let go of');
  // With nothing open, everything is copied out at once.
  expect(orientationField(lab.L, 1).weight.data).toHaveLength(W * H);
});
