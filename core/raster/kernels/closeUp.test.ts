/** The sums over a close-up against plain loops over the same planes, on rectangles that fit no four pixels and with places left out. */
import { labPlanes } from '../../colour/lab';
import { linearFromByte } from '../../colour/srgb';
import { gaussian, gaussianSoftening } from '../filters';
import { Rect, RgbImage } from '../image';
import { seededRandom } from '../statistics';
import { CloseUp, putAway, sumsOf } from './closeUp';

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
  softness: SIGMAS.map(gaussianSoftening),
});

const image = picture(7);
const lab = labPlanes(image);
const soft = (['L', 'a', 'b'] as const).map((c) => SIGMAS.map((s, k) => (k || c === 'L' ? gaussian(lab[c], s) : lab[c]).data));
const [L, a, b] = soft;
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

function each([x0, y0, w, h]: Rect, only: Uint8Array | null, visit: (i: number, x: number, y: number) => void, stride = 1): void {
  for (let y = y0; y < y0 + h; y += stride) for (let x = x0; x < x0 + w; x += stride) if (!only || only[y * W + x]) visit(y * W + x, x, y);
}
const alike = (told: ArrayLike<number>, plain: readonly number[]) =>
  plain.forEach((v, k) => expect(Math.abs(told[k] - v)).toBeLessThan(1e-3 * Math.abs(v) + 1e-3 * Math.max(...plain.map(Math.abs)) + 1e-6));

test.each(CASES)('detail between two softnesses in %p', (rect, only) => {
  for (const k of [0, 1, 2, 3]) {
    const plain = [0, 0, 0, 0];
    each(rect, only, (i) => {
      const d = L[k][i] - L[k + 1][i];
      plain[0]++;
      plain[1] += d * d;
      plain[2] += d ** 3;
      if (k) plain[3] += (a[k][i] - a[k + 1][i]) ** 2 + (b[k][i] - b[k + 1][i]) ** 2;
    });
    alike(sumsOf(closeOf(image)).band(k, rect, only), plain);
  }
});

test.each(CASES)('ridges, steps and directions at one softness in %p', (rect, only) => {
  for (const [k, step, stride] of [
    [1, 1, 1],
    [2, 2, 2],
    [3, 3, 4],
  ]) {
    const plain = Array.from({ length: 11 }, () => 0);
    const cells = new Map<string, [number, number]>();
    each(
      rect,
      only,
      (i, x, y) => {
        if (x < step || y < step || x >= W - step || y >= H - step) return;
        const planes = [L[k], a[k], b[k]];
        const dx = planes.map((p) => p[i + step] - p[i - step]);
        const dy = planes.map((p) => p[i + step * W] - p[i - step * W]);
        const dot = (u: number[], v: number[]) => u.reduce((s, n, j) => s + n * v[j], 0);
        const l = L[k];
        const hxx = l[i + step] + l[i - step] - 2 * l[i];
        const hyy = l[i + step * W] + l[i - step * W] - 2 * l[i];
        const hxy = (l[i + step * W + step] + l[i - step * W - step] - l[i + step - step * W] - l[i + step * W - step]) / 4;
        const root = Math.hypot((hxx - hyy) / 2, hxy);
        const [high, low] = [(hxx + hyy) / 2 + root, (hxx + hyy) / 2 - root];
        const which = high > 2.5 * Math.abs(low) ? 3 : -low > 2.5 * Math.abs(high) ? 4 : low > 0 ? 5 : high < 0 ? 6 : 7;
        plain[0]++;
        plain[1] += dot(dx, dx) + dot(dy, dy);
        plain[2] += dx[0] ** 2 + dy[0] ** 2;
        plain[which] += high ** 2 + low ** 2;
        const cell = `${Math.floor((x - rect[0]) / (8 * stride))} ${Math.floor((y - rect[1]) / (8 * stride))}`;
        const [p, q] = cells.get(cell) ?? [0, 0];
        cells.set(cell, [p + dot(dx, dx) - dot(dy, dy), q + 2 * dot(dx, dy)]);
      },
      stride,
    );
    for (const [p, q] of cells.values()) {
      plain[8] += p;
      plain[9] += q;
      plain[10] += Math.hypot(p, q);
    }
    const told = sumsOf(closeOf(image)).size(k, step, stride, rect, only);
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
  for (let y = y0; y < y0 + h; y += 2) line(y * W + x0, 1, w);
  for (let x = x0; x < x0 + w; x += 2) line(y0 * W + x, W, h);
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

test('crests are of the sign of their ridge, most across it, and keep off what is taken', () => {
  const none = new Uint8Array(W * H);
  const { strength, crest } = sumsOf(closeOf(image)).crests(1, 1, 3, none);
  const found = [...crest.keys()].filter((i) => crest[i]);
  expect(found.length).toBeGreaterThan(100);
  for (const i of found) {
    const sides = [1, W, W + 1, W - 1].map((d) => Math.min(Math.abs(strength[i + d]), Math.abs(strength[i - d])));
    // At least along one of four ways nothing beside it stands out more.
    expect(Math.min(...sides)).toBeLessThanOrEqual(Math.abs(strength[i]));
    expect(Math.abs(strength[i])).toBeGreaterThanOrEqual(3);
  }
  const dark = found.filter((i) => strength[i] > 0);
  const mean = (at: number[]) => at.reduce((s, i) => s + L[1][i], 0) / at.length;
  expect(mean(dark)).toBeLessThan(mean(found.filter((i) => strength[i] < 0)));
  const left = none.map((_, i) => (i % W < 40 ? 1 : 0));
  const { crest: rest } = sumsOf(closeOf(image)).crests(1, 1, 3, left);
  expect([...rest.keys()].filter((i) => rest[i])).toEqual(found.filter((i) => i % W >= 40));
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
