/** Photographs of drawn sheets on the simulated copy stand: are corners, light and colour brought back? */
import { SAMPLE_HANDS } from '../../atelier/hands';
import { english, toldBy } from '../../tests/support/english';
import { labFromHex, labPlanes } from '../colour/lab';
import { ciede2000 } from '../colour/difference';
import { RgbImage } from '../raster/image';
import { median, seededRandom } from '../raster/statistics';
import { findSheet } from './findSheet';
import { findWork } from './findWork';
import { photograph, STAND_DEFAULTS, StandSettings, TableKind } from './copyStand';
import { Rectified, rectify } from './rectify';

const FIELDS = ['#b8443a', '#2e5f8a', '#3f7a4c', '#6b5fa0', '#1f2430', '#c9a24a'];

/** A light sheet with a margin, six fields and some lines. */
function testSheet(w: number, h: number): RgbImage {
  const image: RgbImage = { width: w, height: h, data: new Uint8Array(w * h * 3) };
  const paint = (x0: number, y0: number, x1: number, y1: number, hex: string) => {
    const rgb = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
    for (let y = Math.round(y0 * h); y < y1 * h; y++)
      for (let x = Math.round(x0 * w); x < x1 * w; x++) for (let c = 0; c < 3; c++) image.data[(y * w + x) * 3 + c] = rgb[c];
  };
  paint(0, 0, 1, 1, '#efe8d8');
  FIELDS.forEach((hex, i) => paint(0.12 + 0.28 * (i % 3), i < 3 ? 0.15 : 0.55, 0.12 + 0.28 * (i % 3) + 0.18, i < 3 ? 0.42 : 0.82, hex));
  return image;
}

function stand(seed: number, more: Partial<StandSettings> = {}): StandSettings {
  const r = seededRandom(seed * 77);
  const pick = (a: number, b: number) => a + (b - a) * r();
  const tables: TableKind[] = ['plain', 'wood', 'cluttered'];
  return {
    ...STAND_DEFAULTS,
    seed,
    width: 1000,
    height: 750,
    rotation: pick(-20, 20),
    tilt: pick(0, 25),
    tiltToward: pick(0, 360),
    fill: pick(0.72, 0.93),
    table: tables[seed % 3],
    falloff: pick(0, 0.4),
    cast: [pick(0.9, 1.15), 1, pick(0.8, 1.1)],
    noise: 2,
    blur: 0.6,
    ...more,
  };
}

const offCorners = (a: readonly (readonly number[])[], b: readonly (readonly number[])[], diagonal: number) =>
  Math.max(...a.map((p, i) => Math.hypot(p[0] - b[i][0], p[1] - b[i][1]))) / diagonal;

const doubted = ({ warnings }: Rectified): boolean => warnings.some((w) => w.key === 'capture.perhaps-inside');

test('a field inside a picture that fills the photograph is doubted, where one is found at all', async () => {
  let fields = 0;
  // The tiles have a painted border all round: that is a sheet to whoever sees no more than the photograph.
  for (const hand of SAMPLE_HANDS.filter((h) => h.key !== 'oostvik'))
    for (const work of hand.works.slice(0, 2)) {
      const { image } = await hand.draw(work, 3);
      const got = rectify(image, { paper: [work.widthMm, work.heightMm], pxPerMm: 1 });
      if (!got.found) continue;
      fields++;
      expect(doubted(got)).toBe(true);
      expect(got.confidence).toBeLessThan(0.5);
    }
  expect(fields).toBeGreaterThan(0);
});

test('what is found in another shape than the paper has is doubted, a sheet seen at a slant is not', () => {
  const photo = photograph(testSheet(594, 420), stand(3, { tilt: 25 })).image;
  expect(doubted(rectify(photo, { paper: [297, 210], pxPerMm: 1 }))).toBe(false);
  expect(doubted(rectify(photo, { paper: [420, 148], pxPerMm: 1 }))).toBe(true);
});

test('finds the sheet in at least 95 % of tilted, turned, cluttered photographs, corners within 0.4 % of the diagonal in the median', () => {
  const sheet = testSheet(594, 420);
  const errors: number[] = [];
  let found = 0;
  const n = 12;
  for (let seed = 1; seed <= n; seed++) {
    const photo = photograph(sheet, stand(seed));
    const got = rectify(photo.image, { paper: [297, 210], pxPerMm: 1 });
    if (!got.corners) continue;
    const error = offCorners(got.corners, photo.corners, Math.hypot(1000, 750));
    expect(doubted(got)).toBe(false);
    errors.push(error);
    if (error < 0.015) found++;
  }
  console.log(
    `sheets found ${found} of ${n}; corner error median ${(100 * median(errors)).toFixed(3)} % of the diagonal, worst ${(100 * Math.max(...errors)).toFixed(2)} %`,
  );
  expect(found / n).toBeGreaterThanOrEqual(0.95);
  expect(median(errors)).toBeLessThan(0.004);
});

/** The picture with a border of so many px of one grey painted over its edge. */
function bordered({ width, height, data }: RgbImage, px: number, grey: number): RgbImage {
  const out = new Uint8Array(data);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (x < px || y < px || x >= width - px || y >= height - px) out.fill(grey, 3 * (y * width + x), 3 * (y * width + x) + 3);
  return { width, height, data: out };
}

test('a postcard is found within a scan’s thin border, black or white, where the border itself would be the strongest edge', () => {
  const sheet = testSheet(594, 420);
  for (const [seed, px, grey] of [
    [2, 2, 0],
    [4, 1, 0],
    [6, 6, 0],
    [9, 4, 255],
  ]) {
    const photo = photograph(sheet, stand(seed, { fill: 0.75, rotation: 6 }));
    const found = findWork(bordered(photo.image, px, grey));
    expect(found).not.toBeNull();
    expect(offCorners(found!.corners, photo.corners, Math.hypot(1000, 750))).toBeLessThan(0.01);
  }
});

test('a file that is nothing but the work has no corners to be straightened by', () => {
  // A sheet of scattered strokes: its only straight edges are its own.
  const r = seededRandom(5);
  const sheet: RgbImage = { width: 594, height: 420, data: new Uint8Array(594 * 420 * 3).fill(225) };
  for (let k = 0; k < 260; k++) {
    const [x, y, a] = [30 + 530 * r(), 30 + 360 * r(), Math.PI * r()];
    for (let t = 0; t < 24; t++) {
      const i = 3 * (Math.round(y + t * Math.sin(a) * 0.8) * 594 + Math.round(x + t * Math.cos(a) * 0.8));
      sheet.data.fill(40, i, i + 6);
    }
  }
  const sure = (image: RgbImage) => (findWork(image)?.confidence ?? 0) > 0.5;
  expect(sure(sheet)).toBe(false);
  expect(sure(bordered(sheet, 2, 0))).toBe(false);
  // The finder for pieces, which expects a sheet, takes that border for one.
  expect(findSheet(bordered(sheet, 2, 0), null)!.confidence).toBeGreaterThan(0.5);
});

test('after a grey card the colours come back within ΔE00 4 on average, the card as #767676', () => {
  const sheet = testSheet(891, 630);
  const misses: number[] = [];
  for (let seed = 1; seed <= 3; seed++) {
    const photo = photograph(sheet, stand(seed, { greyCard: true, width: 1200, height: 1000, fill: 0.72, tilt: 12, rotation: 4 }));
    const got = rectify(photo.image, { paper: [297, 210], pxPerMm: 2, grey: photo.grey!, corners: photo.corners });
    const { L, a, b } = labPlanes(got.image!);
    FIELDS.forEach((hex, i) => {
      const x = Math.round((0.12 + 0.28 * (i % 3) + 0.09) * L.width);
      const y = Math.round((i < 3 ? 0.28 : 0.68) * L.height);
      const patch: number[][] = [];
      for (let dy = -8; dy <= 8; dy++)
        for (let dx = -8; dx <= 8; dx++) patch.push([L, a, b].map((p) => p.data[(y + dy) * L.width + x + dx]));
      misses.push(
        ciede2000(
          [0, 1, 2].map((k) => median(patch.map((p) => p[k]))),
          labFromHex(hex),
        ),
      );
    });
  }
  const mean = misses.reduce((s, v) => s + v, 0) / misses.length;
  console.log(`colours after a grey card: mean ΔE00 ${mean.toFixed(2)}, worst ${Math.max(...misses).toFixed(2)}`);
  expect(mean).toBeLessThan(4);
});

test('falloff is evened where bare ground shows, and the told falloff is near the truth', () => {
  const sheet = testSheet(594, 420);
  const photo = photograph(sheet, stand(3, { falloff: 0.35, vignette: 0, table: 'plain', tilt: 5, cast: [1, 1, 1] }));
  const got = rectify(photo.image, { paper: [297, 210], pxPerMm: 2 });
  const { L } = labPlanes(got.image!);
  const at = (u: number, v: number) => L.data[Math.round(v * (L.height - 1)) * L.width + Math.round(u * (L.width - 1))];
  const ground = [at(0.05, 0.05), at(0.95, 0.05), at(0.95, 0.95), at(0.05, 0.95), at(0.5, 0.48)];
  expect(Math.max(...ground) - Math.min(...ground)).toBeLessThan(4);
  expect(got.lighting.falloff).toBeGreaterThan(0.12);
  expect(got.lighting.cast).toEqual([1, 1, 1]);
});

test('a sheet drawn to its edges in other hues keeps its light and says so', () => {
  const sheet = testSheet(594, 420);
  for (let y = 0; y < 420; y++)
    for (let x = 0; x < 594; x++) sheet.data.set(y < 110 ? [217, 192, 138] : y < 250 ? [79, 138, 116] : [60, 90, 160], (y * 594 + x) * 3);
  const photo = photograph(sheet, stand(4, { falloff: 0.05, table: 'plain', tilt: 4 }));
  const got = rectify(photo.image, { paper: [297, 210], pxPerMm: 1, corners: photo.corners });
  expect(got.warnings.map((w) => english(w)).join(' ')).toMatch(/too little bare sheet/);
});

test('a table without a sheet is said to have none, and a portrait photograph of a landscape sheet is turned', () => {
  const empty: RgbImage = { width: 600, height: 450, data: new Uint8Array(600 * 450 * 3).fill(120) };
  const r = seededRandom(9);
  for (let i = 0; i < empty.data.length; i++) empty.data[i] = 115 + Math.floor(10 * r());
  expect(rectify(empty, { paper: [297, 210], pxPerMm: 1 })).toMatchObject({ found: false, corners: null, image: null });
  const sheet = testSheet(420, 594);
  const photo = photograph(sheet, stand(5, { paper: [210, 297], rotation: 3, tilt: 6 }));
  const got = rectify(photo.image, { paper: [297, 210], pxPerMm: 1 });
  // Turned 90° anticlockwise: the result's top left is the photograph's top right.
  expect(Math.hypot(got.corners![0][0] - photo.corners[1][0], got.corners![0][1] - photo.corners[1][1])).toBeLessThan(8);
  expect([got.image!.width, got.image!.height]).toEqual([297, 210]);
});

test('unusable numbers are named', () => {
  const photo = testSheet(100, 80);
  expect(toldBy(() => rectify(photo, { paper: [0, 210] }))).toMatch(/paper/);
  expect(toldBy(() => rectify(photo, { paper: [297, 210], pxPerMm: 90 }))).toMatch(/px-per-mm/);
  expect(toldBy(() => rectify(photo, { paper: [297, 210], grey: [90, 70, 30, 30] }))).toMatch(/grey/);
  expect(
    toldBy(() =>
      rectify(photo, {
        paper: [297, 210],
        pxPerMm: 1,
        corners: [
          [0, 0],
          [10, 10],
          [20, 20],
          [30, 30],
        ],
      }),
    ),
  ).toMatch(/corners/);
});
