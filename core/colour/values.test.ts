import { english } from '../../tests/support/english';
import { RgbImage } from '../raster/image';
import { labFromHex, labPlanes, lightnessPlane } from './lab';
import { colourName } from './names';
import { linearFromByte } from './srgb';
import { temperatureOf, temperatureShares } from './temperature';
import { focusOf, posterise, readValues, squint, stepIndices } from './values';

/** A picture of equal greys side by side. */
function bands(greys: readonly number[], wide = 40, height = 60): RgbImage {
  const width = wide * greys.length;
  const data = new Uint8Array(width * height * 3);
  for (let i = 0; i < width * height; i++) data.fill(greys[Math.floor((i % width) / wide)], 3 * i, 3 * i + 3);
  return { width, height, data };
}
const lightness = (grey: number) => lightnessPlane(bands([grey], 1, 1)).data[0];

test('as many steps as greys put each grey in its own step, with its own share', () => {
  const greys = [20, 20, 90, 160, 235];
  const v = readValues(lightnessPlane(bands(greys)), 4);
  expect(v.steps.map((s) => s.share)).toEqual([0.4, 0.2, 0.2, 0.2].map((s) => expect.closeTo(s, 6)));
  expect(v.steps[0].from).toBe(0);
  expect(v.steps[3].to).toBe(100);
  v.steps.slice(1).forEach((s, i) => expect(s.from).toBe(v.steps[i].to));
  [20, 90, 160, 235].forEach((g, i) => expect(stepIndices(Float32Array.of(lightness(g)), v.steps)[0]).toBe(i));
  expect(v.mean).toBeCloseTo(greys.reduce((s, g) => s + lightness(g), 0) / 5, 3);
  expect(v.range).toBeCloseTo(v.light - v.dark, 9);
});

test.each([2, 3, 5, 7])('%i steps make as many greys, from dark to light in order', (count) => {
  const L = lightnessPlane(bands(Array.from({ length: 16 }, (_, i) => 8 + 15 * i)));
  const { steps } = readValues(L, count);
  const out = posterise(L, steps);
  expect(new Set(out.data).size).toBe(count);
  for (let x = 1; x < L.width; x++) expect(out.data[3 * x]).toBeGreaterThanOrEqual(out.data[3 * (x - 1)]);
  expect(steps.reduce((s, v) => s + v.share, 0)).toBeCloseTo(1, 9);
});

test('the key is low under a mean of 40 and high over 65', () => {
  const key = (grey: number) => readValues(lightnessPlane(bands([grey])), 3).key;
  expect([key(60), key(128), key(220)]).toEqual(['low', 'middle', 'high']);
});

test('a squint keeps the light: black and white lines become the grey of half the light, not half the number', () => {
  const lines: RgbImage = { width: 120, height: 120, data: new Uint8Array(120 * 120 * 3) };
  for (let i = 0; i < 120 * 120; i++) if ((i % 120) % 2) lines.data.fill(255, 3 * i, 3 * i + 3);
  const middle = squint(lines, 8).data[3 * (60 * 120 + 60)];
  // IEC 61966-2-1: half the light is encoded as 188, not 128.
  expect(Math.abs(middle - 188)).toBeLessThanOrEqual(1);
  expect(linearFromByte[middle]).toBeCloseTo(0.5, 1);
});

test('the strongest contrast is found where it is, and turns with the picture', () => {
  const at = (spotX: number, spotY: number) => {
    const image: RgbImage = { width: 300, height: 200, data: new Uint8Array(300 * 200 * 3).fill(120) };
    for (let y = 0; y < 200; y++)
      for (let x = 0; x < 300; x++) {
        const d = Math.hypot(x - spotX * 300, y - spotY * 200);
        if (d < 14) image.data.fill(d < 9 ? 250 : 10, 3 * (y * 300 + x), 3 * (y * 300 + x) + 3);
      }
    return focusOf(image);
  };
  for (const [x, y] of [
    [0.25, 0.3],
    [0.7, 0.6],
  ]) {
    const focus = at(x, y);
    expect(focus.at[0]).toBeCloseTo(x, 1);
    expect(focus.at[1]).toBeCloseTo(y, 1);
    expect(focus.contrast).toBeGreaterThan(5);
  }
  expect(focusOf(bands([120, 120])).contrast).toBeLessThan(0.01);
});

test('warm from 330° to 110°, neutral under a chroma of 8, cool the rest; shares and balance add up', () => {
  const at = (h: number, C: number) => [60, C * Math.cos((h * Math.PI) / 180), C * Math.sin((h * Math.PI) / 180)];
  expect([329, 331, 0, 109, 111, 200, 300].map((h) => temperatureOf(at(h, 30)))).toEqual([
    'cool',
    'warm',
    'warm',
    'warm',
    'cool',
    'cool',
    'cool',
  ]);
  expect(temperatureOf(at(50, 7.9))).toBe('neutral');
  const image = bands([0, 0, 0, 0]);
  const fields = [
    [200, 60, 40],
    [60, 80, 190],
    [128, 128, 128],
    [210, 150, 40],
  ];
  for (let i = 0; i < image.width * image.height; i++) image.data.set(fields[Math.floor((i % image.width) / 40)], 3 * i);
  const t = temperatureShares(labPlanes(image), null);
  expect(t).toEqual({ warm: 0.5, cool: 0.25, neutral: 0.25, balance: expect.closeTo(1 / 3, 9) });
  expect(temperatureShares(labPlanes(bands([90, 200])), null).balance).toBeNull();
});

test('colours are called what a painter would call them', () => {
  const names: [hex: string, name: RegExp][] = [
    ['#ffffff', /^white$/],
    ['#0b0b0b', /^black$/],
    ['#808080', /^mid grey$/],
    ['#e8dcc0', /ochre|yellow|white/],
    ['#c8321e', /red/],
    ['#e08a1e', /orange/],
    ['#f2d21f', /vivid yellow/],
    ['#2f6f5a', /green/],
    ['#22318a', /blue/],
    ['#6a3d7a', /violet|purple/],
    ['#5a3a22', /brown/],
    ['#1b2233', /blue black/],
  ];
  for (const [hex, name] of names) expect([hex, english(colourName(labFromHex(hex)))]).toEqual([hex, expect.stringMatching(name)]);
});
