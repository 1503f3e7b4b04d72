/** Painted swatch sheets on the simulated stand: are the colours read back, whichever way the sheet lies, and is what cannot be used said? */
import { ciede2000 } from '../colour/difference';
import { labFromHex } from '../colour/lab';
import type { Material } from '../colour/materials';
import { READY_SETS } from '../colour/readySets';
import { byteFromLinear, hexFromLinear, linearFromByte, linearFromHex } from '../colour/srgb';
import { cropImage, RgbImage } from '../raster/image';
import { median, quantile } from '../raster/statistics';
import { english } from '../../tests/support/english';
import { CoreError } from '../errors';
import { photograph, STAND_DEFAULTS, StandSettings } from './copyStand';
import { marksOn, NEUTRAL, readSwatches, RING_INSIDE, SwatchSheet, swatchSheet } from './swatchSheet';

const A4: [number, number] = [210, 297];
const PX = 5;
const PAPER = '#f3f3f3';

const gouache = READY_SETS.gouache;
const inks: Pick<Material, 'kind' | 'name' | 'masstone'>[] = [{ kind: 'ink', name: 'sepia', masstone: '#3a2618' }];

/** The colour a box of the test's own paints shows: let down halfway to the paper by its parts. */
function painted(masstone: string, parts: [number, number] | null): string {
  const share = parts ? parts[0] / (parts[0] + parts[1]) : 1;
  const paper = linearFromHex(PAPER);
  return hexFromLinear(
    linearFromHex(masstone).map((c, k) => c * Math.sqrt(share) + paper[k] * (1 - Math.sqrt(share))) as [number, number, number],
  );
}

/** One page as it lies there painted; `card` lays a grey card on its place. */
function page(sheet: SwatchSheet, colours: readonly (string | null)[], n = 0, card = false): RgbImage {
  const [w, h] = sheet.paper.map((v) => Math.round(v * PX));
  const image: RgbImage = { width: w, height: h, data: new Uint8Array(w * h * 3) };
  const fill = ([x, y, bw, bh]: readonly [number, number, number, number], hex: string) => {
    const rgb = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
    for (let v = Math.round(y * PX); v < Math.round((y + bh) * PX); v++)
      for (let u = Math.round(x * PX); u < Math.round((x + bw) * PX); u++)
        for (let c = 0; c < 3; c++) image.data[3 * (v * w + u) + c] = rgb[c];
  };
  fill([0, 0, ...sheet.paper], PAPER);
  marksOn(sheet.paper).forEach(([x, y, m], i) => {
    fill([x, y, m, m], '#101010');
    if (i === 0) fill([x + ((1 - RING_INSIDE) / 2) * m, y + ((1 - RING_INSIDE) / 2) * m, RING_INSIDE * m, RING_INSIDE * m], PAPER);
  });
  if (card) fill(NEUTRAL, '#767676');
  sheet.pages[n].boxes.forEach((b) => {
    const colour = colours[b.material];
    if (colour) fill(b.at, painted(colour, b.parts));
  });
  return image;
}

const stand = (more: Partial<StandSettings> = {}): StandSettings => ({
  ...STAND_DEFAULTS,
  seed: 3,
  paper: A4,
  width: 900,
  height: 1150,
  rotation: 4,
  tilt: 7,
  tiltToward: 60,
  fill: 0.86,
  table: 'wood',
  falloff: 0.2,
  cast: [1.04, 1, 0.95],
  noise: 1.5,
  blur: 0.5,
  ...more,
});

const reason = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof CoreError) return english(error.said);
    throw error;
  }
  return 'nothing';
};

test('every colour has its boxes, none of them outside the paper or over another, on as many pages as they need', () => {
  const many = Array.from({ length: 40 }, (_, i) => ({ kind: 'paint' as const, name: `p${i}`, masstone: '#445566' }));
  for (const paper of [A4, [215.9, 279.4] as [number, number]]) {
    const sheet = swatchSheet([...many, ...inks, { kind: 'tool', name: 'brush', masstone: null }], null, paper);
    expect(sheet.pages.length).toBeGreaterThan(1);
    const all = sheet.pages.flatMap((p) => p.boxes);
    expect(all.filter((b) => b.material === 3).map((b) => b.parts)).toEqual([null, [1, 2], [1, 6]]);
    expect(all.filter((b) => b.material === 40).map((b) => b.parts)).toEqual([null, [1, 1], [1, 3], [1, 7]]);
    expect(all.some((b) => b.material === 41)).toBe(false);
    for (const p of sheet.pages) {
      const places = [...p.boxes.map((b) => b.at), ...marksOn(paper), NEUTRAL];
      places.forEach(([x, y, w, h], i) => {
        expect(x >= 0 && y >= 0 && x + w <= paper[0] && y + h <= paper[1]).toBe(true);
        for (const [a, b, c, d] of places.slice(i + 1)) expect(x + w <= a || a + c <= x || y + h <= b || b + d <= y).toBe(true);
      });
    }
  }
  expect(
    swatchSheet(gouache.materials, 'titaniumWhite', A4)
      .pages[0].boxes.filter((b) => b.parts)
      .map((b) => b.parts)[0],
  ).toEqual([1, 4]);
  expect(swatchSheet(inks, 'titaniumWhite', A4).pages[0].boxes.map((b) => b.parts)).toEqual([null, [1, 4]]);
  expect(() => swatchSheet(inks, null, [90, 140])).toThrow(CoreError);
});

test('photographed at a slant under warm, uneven light the colours come back, turned any way, within ΔE00 3 in nine of ten', () => {
  const sheet = swatchSheet(gouache.materials, gouache.white, A4);
  const colours = gouache.materials.map((m) => m.masstone);
  const off: number[] = [];
  for (const [rotation, seed] of [
    [4, 3],
    [-9, 5],
    [180 + 5, 6],
  ]) {
    const { image } = photograph(page(sheet, colours), stand({ rotation, seed, cast: [1.08, 1, 0.9] }));
    const { boxes, card } = readSwatches(image, sheet, 0);
    expect(card).toBe(false);
    for (const b of boxes) {
      const truth = painted(colours[b.material]!, b.parts);
      if (b.hex === null) {
        // Only what is as white as the paper may pass for bare.
        expect(ciede2000(labFromHex(truth), labFromHex(PAPER))).toBeLessThan(4);
        continue;
      }
      off.push(ciede2000(labFromHex(b.hex), labFromHex(truth)));
      expect(b.spread).toBeLessThan(2.5);
    }
  }
  console.log(
    `swatches read within ΔE00 ${median(off).toFixed(2)} in the middle, ${quantile(off, 0.9).toFixed(2)} in nine of ten, of ${off.length}`,
  );
  expect(off.length).toBeGreaterThan(50);
  expect(quantile(off, 0.9)).toBeLessThan(3);
});

test('a grey card on its place sets colours right by itself, on yellowed paper too', () => {
  const sheet = swatchSheet(inks, null, A4);
  const { image } = photograph(page(sheet, ['#3a2618'], 0, true), stand({ cast: [1.2, 1, 0.8] }));
  const { boxes, card } = readSwatches(image, sheet, 0);
  expect(card).toBe(true);
  for (const b of boxes) expect(ciede2000(labFromHex(b.hex!), labFromHex(painted('#3a2618', b.parts)))).toBeLessThan(4);
});

test('a box left bare says so, and one painted in streaks is told as uneven', () => {
  const sheet = swatchSheet(gouache.materials.slice(1, 7), null, A4);
  const colours = gouache.materials.slice(1, 7).map((m, i) => (i === 3 ? null : m.masstone));
  const image = page(sheet, colours);
  const streaked = sheet.pages[0].boxes.find((b) => b.material === 4 && !b.parts)!;
  const [x, y, w, h] = streaked.at.map((v) => Math.round(v * PX));
  for (let v = y; v < y + h; v++)
    for (let u = x; u < x + w; u++)
      if (Math.floor((u - x) / 14) % 2) image.data.fill(235, 3 * (v * image.width + u), 3 * (v * image.width + u) + 3);
  const { boxes } = readSwatches(photograph(image, stand()).image, sheet, 0);
  for (const b of boxes) expect([b.material, b.hex === null]).toEqual([b.material, b.material === 3]);
  expect(boxes.find((b) => b.material === 4 && !b.parts)!.spread).toBeGreaterThan(4);
});

test('too dark, too blue, half out of the picture, another sheet and a bare table are each told with what to do', () => {
  const sheet = swatchSheet(gouache.materials, gouache.white, A4);
  const there = page(
    sheet,
    gouache.materials.map((m) => m.masstone),
  );
  const { image } = photograph(there, stand());
  const through = (gains: [number, number, number]): RgbImage => {
    const tables = gains.map((g) => linearFromByte.map((v) => byteFromLinear(v * g)));
    return { ...image, data: image.data.map((v, i) => tables[i % 3][v]) };
  };
  expect(reason(() => readSwatches(through([0.07, 0.07, 0.07]), sheet, 0))).toMatch(/too dark/);
  expect(reason(() => readSwatches(through([0.35, 0.6, 1]), sheet, 0))).toMatch(/so blue/);
  expect(reason(() => readSwatches(through([1, 0.6, 0.3]), sheet, 0))).toMatch(/so warm/);
  expect(reason(() => readSwatches(through([3, 3, 3]), sheet, 0))).toMatch(/burnt out/);
  const half = cropImage(image, [0, 0, image.width, Math.round(image.height * 0.6)]);
  expect(reason(() => readSwatches(half, sheet, 0))).toMatch(/corner marks|No sheet/);
  const other: RgbImage = { width: 1050, height: 1485, data: new Uint8Array(1050 * 1485 * 3).fill(240) };
  expect(reason(() => readSwatches(photograph(other, stand()).image, sheet, 0))).toMatch(/corner marks/);
  const table: RgbImage = { width: 600, height: 500, data: new Uint8Array(600 * 500 * 3).fill(90) };
  expect(reason(() => readSwatches(table, sheet, 0))).toMatch(/No sheet/);
});
