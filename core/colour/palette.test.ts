/** Palettes of pictures painted from known colours and shares. */
import fc from 'fast-check';
import { english, toldBy } from '../../tests/support/english';
import { blankPatch, addNoise, seededRandom } from '../../tests/support/patches';
import { reduceImage } from '../raster/resample';
import { RgbImage } from '../raster/image';
import { ciede2000 } from './difference';
import { labFromHex, lightnessPlane } from './lab';
import { colourName, named } from './names';
import { readPalette } from './palette';
import { temperatureOf } from './temperature';
import { focusOf, posterise, readValues, squint } from './values';

type Field = [hex: string, x: number, y: number, w: number, h: number];
const GROUND: [number, number, number] = [232, 220, 192];
const FIELDS: Field[] = [
  ['#2f6f5a', 40, 40, 160, 120],
  ['#6b5fa0', 260, 40, 120, 100],
  ['#1d2740', 60, 220, 100, 130],
  ['#b8443a', 220, 200, 110, 90],
  ['#f26a12', 420, 300, 24, 24],
];

function painted(noise: number): RgbImage {
  const image = blankPatch(480, 400, GROUND);
  for (const [hex, x0, y0, w, h] of FIELDS) {
    const rgb = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16));
    for (let y = y0; y < y0 + h; y++) for (let x = x0; x < x0 + w; x++) image.data.set(rgb, (y * 480 + x) * 3);
  }
  return addNoise(image, noise, seededRandom(4));
}

test.each([0, 2, 5])('colours within ΔE00 3, shares within 0.03, ground and accent marked (noise %i)', (noise) => {
  const image = painted(noise);
  const palette = readPalette(image, lightnessPlane(image), 6);
  expect(palette.entries.reduce((s, e) => s + e.share, 0)).toBeCloseTo(1, 9);
  for (const [hex, , , w, h] of FIELDS) {
    const near = palette.entries.slice().sort((a, b) => ciede2000(a.lab, labFromHex(hex)) - ciede2000(b.lab, labFromHex(hex)))[0];
    expect(ciede2000(near.lab, labFromHex(hex))).toBeLessThan(3);
    expect(Math.abs(near.share - (w * h) / (480 * 400))).toBeLessThan(0.03);
    expect(near.accent).toBe(hex === '#f26a12');
  }
  const ground = palette.entries[palette.ground!];
  expect(ciede2000(ground.lab, labFromHex('#e8dcc0'))).toBeLessThan(2);
  expect(palette.entries.filter((e) => e.ground)).toHaveLength(1);
});

test('the palette holds under reduction to two thirds', () => {
  const image = painted(2);
  const small = reduceImage(image, 320, 267);
  const [a, b] = [image, small].map((i) => readPalette(i, lightnessPlane(i), 6).entries);
  for (const e of a.filter((x) => x.share > 0.04)) expect(Math.min(...b.map((x) => ciede2000(x.lab, e.lab)))).toBeLessThan(2);
});

test('names are a painter’s plain words', () => {
  expect(english(colourName(labFromHex('#f8f7f2')))).toMatch(/white/);
  expect(english(colourName(labFromHex('#f26a12')))).toMatch(/orange/);
  expect(english(colourName(labFromHex('#1d2740')))).toMatch(/blue/);
  expect(english(colourName(labFromHex('#c18f3a')))).toMatch(/ochre|yellow/);
  expect(english(colourName(labFromHex('#2f6f5a')))).toMatch(/green/);
});

test('names within one picture are all different, and what parts them is what differs most', () => {
  const said = (...hexes: string[]) => named(hexes.map((hex) => ({ lab: labFromHex(hex) }))).map((c) => english(c.name));
  expect(said('#b98f52', '#a5854f', '#96773f').sort()).toEqual([...new Set(said('#b98f52', '#a5854f', '#96773f'))].sort());
  const [light, deep] = said('#a98450', '#8a6a35');
  expect([light, deep]).toEqual(['lighter ochre', 'deeper ochre']);
  expect(said('#f26a12', '#2f6f5a')).toEqual(said('#f26a12').concat(said('#2f6f5a')));
  fc.assert(
    fc.property(
      fc.array(fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 0, max: 255 }))), { minLength: 2, maxLength: 24 }),
      (colours) => {
        const names = said(...colours.map((c) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`));
        expect(new Set(names).size).toBe(names.length);
      },
    ),
    { seed: 41, numRuns: 60 },
  );
});

test('warm, cool and neutral stand where the contract puts them', () => {
  expect(temperatureOf(labFromHex('#b8443a'))).toBe('warm');
  expect(temperatureOf(labFromHex('#2f6f9a'))).toBe('cool');
  expect(temperatureOf(labFromHex('#808080'))).toBe('neutral');
});

test('value steps part the picture and their shares sum to 1; posterising gives that many greys', () => {
  const L = lightnessPlane(painted(2));
  for (const n of [2, 3, 5, 9]) {
    const { steps } = readValues(L, n);
    expect(steps).toHaveLength(n);
    expect(steps.reduce((s, x) => s + x.share, 0)).toBeCloseTo(1, 6);
    steps.forEach((s, i) => expect(s.from).toBe(i ? steps[i - 1].to : 0));
    expect(new Set(posterise(L, steps).data).size).toBeLessThanOrEqual(n);
  }
  expect(toldBy(() => readValues(L, 1))).toMatch(/steps/);
});

test('the squint averages light, not numbers, and the focus finds the strongest contrast', () => {
  const image: RgbImage = { width: 64, height: 64, data: new Uint8Array(64 * 64 * 3) };
  for (let i = 0; i < 64 * 64; i++) image.data.fill((i + Math.floor(i / 64)) % 2 ? 255 : 0, i * 3, i * 3 + 3);
  // Half the light of a chequerboard is 188 in sRGB (IEC 61966-2-1), not 128.
  expect(squint(image, 4).data[(32 * 64 + 32) * 3]).toBeCloseTo(188, -1);
  const field = blankPatch(300, 200, [150, 150, 150]);
  for (let y = 50; y < 80; y++)
    for (let x = 220; x < 250; x++) field.data.fill(x < 235 ? 0 : 255, (y * 300 + x) * 3, (y * 300 + x) * 3 + 3);
  const { at } = focusOf(field);
  expect(Math.hypot(at[0] - 235 / 300, at[1] - 65 / 200)).toBeLessThan(0.12);
});
