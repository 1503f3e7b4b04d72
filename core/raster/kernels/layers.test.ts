/** The layers made in one go against plain loops over the same planes, on sizes that are no multiple of four. */
import { components, componentIn } from '../components';
import { dilateMax, erodeMin, gaussian, gaussianSoftening } from '../filters';
import { colourRise, derivativeKernels } from '../gradient';
import { Plane } from '../image';
import { seededRandom } from '../statistics';
import { sauvola } from '../threshold';
import { besideLines } from './kernels';
import { closedOver, filledRise, Layering, layersOf, markedBy, withoutSpecks } from './layers';

const SIZES = [
  [131, 77],
  [64, 49],
  [45, 90],
] as const;

/** Strokes on a sheet with some grain: 0 where it is bare, up to 60. */
function strokes(width: number, height: number): Plane {
  const random = seededRandom(width);
  const data = Float32Array.from({ length: width * height }, (_, i) => {
    const [x, y] = [i % width, Math.floor(i / width)];
    const line = Math.max(0, Math.sin((x + 0.5 * y) / 2.6)) ** 3;
    return Math.max(0, (x > width / 3 ? 55 * line : 0) + (y > 0.7 * height ? 12 : 0) + 4 * (random() - 0.5));
  });
  return { width, height, data };
}

const HOW: Layering = {
  marking: { soft: gaussianSoftening(0.7), softer: gaussianSoftening(1.2), bare: 7, part: 0.45, reach: 4 },
  fine: gaussianSoftening(0.6),
  middle: gaussianSoftening(2.5),
  coarse: gaussianSoftening(4),
  tone: gaussianSoftening(Math.sqrt(8 ** 2 - 4 ** 2) / 4),
  lines: { radius: 11, k: 0.12, floor: 5 },
  speck: 60,
  aside: 4,
  inside: 5,
  workedTone: 4,
};

const same = (a: ArrayLike<number>, b: ArrayLike<number>, within = 0) => {
  expect(a.length).toBe(b.length);
  let most = 0;
  for (let i = 0; i < a.length; i++) most = Math.max(most, Math.abs(a[i] - b[i]));
  expect(most).toBeLessThanOrEqual(within);
};

test.each(SIZES)('all layers of %i × %i px are what they are one by one', (w, h) => {
  const depart = strokes(w, h);
  const got = layersOf(depart, HOW, componentIn(w, h));
  const [fine, softer, middle, coarse, soft] = [0.6, 1.2, 2.5, 4, 0.7].map((s) => gaussian(depart, s));
  const [wide, high] = [Math.ceil(w / 4), Math.ceil(h / 4)];
  const fourths = Float32Array.from({ length: wide * high }, (_, i) => coarse.data[4 * Math.floor(i / wide) * w + 4 * (i % wide)]);
  const tone = gaussian({ width: wide, height: high, data: fourths }, Math.sqrt(3));
  const [most, low, least] = [dilateMax(soft, 4), erodeMin(softer, 4), erodeMin(softer, 5)];
  const marked = soft.data.map((v, i) => (v > 7 && (v > Math.fround(0.45) * most.data[i] || low.data[i] > 7) ? 1 : 0));
  same(got.marked.data, marked);
  same(markedBy(depart, HOW.marking).data, marked);
  same(
    got.covered!,
    least.data.map((v) => (v > 7 ? 1 : 0)),
  );
  same(
    got.worked.data,
    depart.data.map((v, i) => (v > 7 || tone.data[(Math.floor(i / w) >> 2) * wide + ((i % w) >> 2)] > 4 ? 1 : 0)),
  );
  const lines = sauvola(fine, 11, 0.12, 5);
  const { labels, list } = components(lines);
  same(got.lines.data, lines.data);
  expect(got.list).toEqual(list);
  const large = { ...lines, data: Uint8Array.from(labels, (k) => (k && list[k - 1].area >= 60 ? 1 : 0)) };
  same(withoutSpecks(lines, 60).data, large.data);
  expect(large.data.some((v, i) => v !== lines.data[i])).toBe(true);
  const beside = besideLines(large, [fine, softer, middle, coarse], 4);
  expect(got.beside.pixels).toBe(beside.pixels);
  expect(beside.pixels).toBeGreaterThan(100);
  same(got.beside.squares, beside.squares, 1e-6 * beside.squares[0]);
  expect(got.tone).toMatchObject({ width: wide, height: high });
  same(got.tone.data, tone.data);
  // As soft as all of it softened at once, off the frame by which the two go differently.
  const whole = gaussian(depart, 8);
  for (let y = 3; y < high - 3; y++)
    for (let x = 3; x < wide - 3; x++) expect(Math.abs(tone.data[y * wide + x] - whole.data[4 * (y * w + x)])).toBeLessThan(1);
  same(
    got.texture.data,
    softer.data.map((v, i) => v - coarse.data[i]),
    1e-5,
  );
  const rise = middle.data.map((_, i) => {
    const [x, y] = [i % w, Math.floor(i / w)];
    if (x < 2 || y < 2 || x >= w - 2 || y >= h - 2) return 0;
    return Math.hypot(middle.data[i + 2] - middle.data[i - 2], middle.data[i + 2 * w] - middle.data[i - 2 * w]) / 4;
  });
  same(got.rise.data, rise, 1e-5);
  const open = layersOf(depart, { ...HOW, inside: null, workedTone: null }, componentIn(w, h));
  expect(open.covered).toBeNull();
  expect(open.worked.data.every((v) => v === 1)).toBe(true);
});

test.each(SIZES)('channels of %i × %i px filled in from beside what is left out', (w, h) => {
  const random = seededRandom(h);
  const channels = [1, 2, 3].map((k): Plane => ({
    width: w,
    height: h,
    data: Float32Array.from({ length: w * h }, (_, i) => (k * i) / 50 + 8 * random()),
  }));
  // A wide band is left out: too wide to be filled in from its sides.
  const keep: Plane = { width: w, height: h, data: Float32Array.from({ length: w * h }, (_, i) => (i % w > 20 && i % w < 36 ? 0 : 1)) };
  const by = { ...derivativeKernels(1.2), least: 0.5 };
  const { fields, rise } = filledRise(channels, keep, gaussianSoftening(1.5), by, (f, { steepness, nx, ny }) => ({
    fields: f.map((data) => ({ width: keep.width, height: keep.height, data: data.slice() })),
    rise: { steepness: steepness.slice(), nx: nx.slice(), ny: ny.slice() },
  }));
  const near = gaussian(keep, 1.5);
  const plain = channels.map((c): Plane => {
    const sums = gaussian({ ...c, data: c.data.map((v, i) => v * keep.data[i]) }, 1.5);
    return { ...c, data: sums.data.map((v, i) => (near.data[i] > 0.003 ? v / near.data[i] : c.data[i])) };
  });
  expect(near.data.some((v) => v <= 0.003)).toBe(true);
  fields.forEach((f, k) => same(f.data, plain[k].data, 1e-3));
  same(rise.steepness, colourRise(plain, derivativeKernels(1.2), 0.5).steepness, 1e-3);
});

test.each(SIZES)('what is over a limit on %i × %i px, closed over', (w, h) => {
  const plane = strokes(w, h);
  const bits: Plane = { ...plane, data: plane.data.map((v) => (v > 20 ? 1 : 0)) };
  const closed = erodeMin(dilateMax(bits, 3), 3).data;
  expect([...closedOver(plane, 20, 3).data]).toEqual([...closed]);
  expect(closed.reduce((s, v) => s + v, 0)).toBeGreaterThan(bits.data.reduce((s, v) => s + v, 0));
});
