import { seededRandom } from '../raster/statistics';
import { inventionOf } from './invention';
import { lightnessPlane } from '../colour/lab';
import { Layout, layoutOf } from './layout';
import { registerLayouts } from './register';

type Blob = [x: number, y: number, r: number, dark: number];

/** Dark discs on a light sheet, everything worked where a disc lies. */
function scene(blobs: readonly Blob[], width = 480, height = 320): Layout {
  const data = new Uint8Array(width * height * 3).fill(235);
  const worked = { width, height, data: new Uint8Array(width * height) };
  for (const [bx, by, r, dark] of blobs)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        if (Math.hypot(x - bx * width, y - by * height) < r * width) {
          data.fill(dark, 3 * (y * width + x), 3 * (y * width + x) + 3);
          worked.data[y * width + x] = 1;
        }
  return layoutOf(lightnessPlane({ width, height, data }), worked);
}

const blobs = (seed: number): Blob[] => {
  const random = seededRandom(seed);
  return Array.from({ length: 7 }, () => [0.15 + 0.7 * random(), 0.15 + 0.7 * random(), 0.03 + 0.06 * random(), 40 + 80 * random()]);
};
const moved = (list: readonly Blob[], scale: number, sx: number, sy: number, mirror = false): Blob[] =>
  list.map(([x, y, r, d]) => [((mirror ? 1 - x : x) - 0.5) * scale + 0.5 + sx, (y - 0.5) * scale + 0.5 + sy, r * scale, d]);

test('a layout is small, keeps the sheet’s shape, and knows dark from light', () => {
  const l = scene([[0.25, 0.5, 0.1, 20]]);
  expect([l.width, l.height, l.weight.length]).toEqual([48, 32, 48 * 32]);
  const at = (x: number, y: number) => Math.floor(y * 32) * 48 + Math.floor(x * 48);
  expect(l.weight[at(0.25, 0.5)]).toBeGreaterThan(80);
  expect(l.weight[at(0.8, 0.5)]).toBeLessThan(10);
  expect([l.shape[at(0.25, 0.5)], l.shape[at(0.8, 0.5)]]).toEqual([100, 0]);
});

/** Discs turned by degrees anticlockwise, drawn larger, moved, and stretched in width. */
const turned = (list: readonly Blob[], { scale = 1, turn = 0, sx = 0, sy = 0, tall = 2 / 3 }): Blob[] => {
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return list.map(([x, y, r, d]) => {
    const [u, v] = [(x - 0.5) * scale, (y - 0.5) * tall * scale];
    return [c * u + s * v + 0.5 + sx, (c * v - s * u) / tall + 0.5 + sy, r * scale, d];
  });
};

test.each([
  { scale: 1, turn: 0, sx: 0, sy: 0 },
  { scale: 0.97, turn: 0, sx: 0.01, sy: 0 },
  { scale: 0.9, turn: 3, sx: 0.08, sy: -0.05 },
  { scale: 1.03, turn: -2, sx: 0, sy: 0.013 },
  { scale: 1.15, turn: 6, sx: -0.06, sy: 0.04 },
])('registration finds size to 1 %, turn to 1° and place to half a hundredth: %j', (known) => {
  const source = blobs(4);
  const r = registerLayouts(scene(source), scene(turned(source, known)), 'copy');
  expect(Math.abs(r.scale / known.scale - 1)).toBeLessThan(0.01);
  expect(Math.abs(r.turn - known.turn)).toBeLessThan(1);
  expect(Math.abs(r.shift[0] - known.sx)).toBeLessThan(0.005);
  expect(Math.abs(r.shift[1] - known.sy)).toBeLessThan(0.005);
  expect(Math.abs(Math.log(r.stretch))).toBeLessThan(0.015);
  expect(r.correlation).toBeGreaterThan(0.95);
  expect(r.mirrored).toBe(false);
});

test('a sheet of another shape does not stretch what is drawn on it; what really was stretched is said so', () => {
  const source = blobs(4);
  const onTaller = (squeeze: number) =>
    source.map(([x, y, r, d]): Blob => [(x - 0.5) * squeeze + 0.5, ((y - 0.5) * 320) / 400 + 0.5, r, d]);
  const same = registerLayouts(scene(source), scene(onTaller(1), 480, 400), 'copy');
  expect([same.scale, same.stretch]).toEqual([expect.closeTo(1, 1.9), expect.closeTo(1, 1.9)]);
  const squeezed = registerLayouts(scene(source), scene(onTaller(0.88), 480, 400), 'copy');
  expect(squeezed.stretch).toBeGreaterThan(0.84);
  expect(squeezed.stretch).toBeLessThan(0.94);
});

test('a mirrored copy is seen as one, unless mirroring is ruled out', () => {
  const source = blobs(5);
  const mirrored = scene(moved(source, 1, 0, 0, true));
  expect(registerLayouts(scene(source), mirrored)).toMatchObject({ mirrored: true });
  expect(registerLayouts(scene(source), mirrored).correlation).toBeGreaterThan(0.9);
  expect(registerLayouts(scene(source), mirrored, 'copy').correlation).toBeLessThan(0.6);
});

test('copies of every kind invent little, own scenes much, and the nearest work is named', () => {
  const sources = [1, 2, 3].map((s) => scene(blobs(s)));
  const known = sources.map((layout) => ({ layout }));
  const copies = [
    scene(blobs(2)),
    scene(moved(blobs(2), 1, 0, 0, true)),
    scene(moved(blobs(2), 1.1, 0.03, 0)),
    // All darks lighter by half: recoloured.
    scene(blobs(2).map(([x, y, r, d]): Blob => [x, y, r, 118 + d / 2])),
    scene(blobs(2).map(([x, y, r, d], i): Blob => [x + 0.006 * Math.sin(i), y + 0.006 * Math.cos(i), r * 1.03, d])),
  ];
  for (const copy of copies) {
    const told = inventionOf(known, copy)!;
    expect(told.nearest).toBe(1);
    expect(told.score).toBeLessThan(20);
  }
  for (const seed of [21, 22, 23, 24]) expect(inventionOf(known, scene(blobs(seed)))!.score).toBeGreaterThan(40);
  expect(inventionOf([], copies[0])).toBeNull();
});

test('a part of a work says nothing of how alike the works are', () => {
  const known = [1, 2, 3].map((s) => ({ layout: scene(blobs(s)) }));
  // Nearly the second work itself: as a work of its own it would say that works of this hand repeat each other.
  const part = scene(blobs(2).map(([x, y, r, d]): Blob => [x + 0.01, y, r, d]));
  const other = scene(blobs(21));
  const score = (more: { part?: boolean }) => inventionOf([...known, { layout: part, ...more }], other)!.score;
  // It may lie nearer to the piece than any whole work does, and no more.
  expect(Math.abs(score({ part: true }) - inventionOf(known, other)!.score)).toBeLessThan(3);
  expect(score({}) - score({ part: true })).toBeGreaterThan(3);
});
