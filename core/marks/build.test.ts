import { RgbImage } from '../raster/image';
import { normal, seededRandom } from '../raster/statistics';
import { buildOf, readBuild } from './build';
import { closeUp } from './closeUp';

const SIDE = 160;
type Colour = readonly [number, number, number];
const picture = (colour: (x: number, y: number) => Colour | number): RgbImage => {
  const data = new Uint8Array(3 * SIDE * SIDE);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const c = colour(x, y);
      data.set(typeof c === 'number' ? [c, c, c] : c, 3 * (y * SIDE + x));
    }
  return { width: SIDE, height: SIDE, data };
};
const read = (image: RgbImage, covered: Uint8Array | null = null) =>
  readBuild(buildOf(closeUp(image), covered), [0, 0, SIDE, SIDE], covered ? covered.reduce((s, v) => s + v, 0) : SIDE * SIDE);
/** Distance to the nearest of lines 20 px apart that run at an angle. */
const toLine = (angle: number) => (x: number, y: number) => {
  const d = x * Math.sin(angle) + y * Math.cos(angle);
  return Math.abs(d - 20 * Math.round(d / 20));
};

test('dark and light lines are told apart as ridges; their number, run and straightness are read', () => {
  const line = toLine(0.5);
  const dark = read(picture((x, y) => (line(x, y) < 1.2 ? 40 : 210)));
  const light = read(picture((x, y) => (line(x, y) < 1.2 ? 210 : 40)));
  expect(dark.ridges.dark[0] + dark.ridges.dark[1]).toBeGreaterThan(0.03);
  expect(dark.ridges.light[0] + dark.ridges.light[1]).toBeLessThan(0.005);
  expect(light.ridges.light[0] + light.ridges.light[1]).toBeGreaterThan(0.03);
  for (const { ridges } of [dark, light]) {
    expect(ridges.long).toBeGreaterThan(0.8);
    expect(ridges.straightness).toBeGreaterThan(0.97);
    expect(ridges.coherence).toBeGreaterThan(0.97);
    expect(ridges.height).toBeGreaterThan(15);
  }
  expect(dark.sizes[0].darkRidge).toBeGreaterThan(dark.sizes[0].lightRidge);
  expect(dark.borders.outlined).toBeGreaterThan(0.5);
});

test('a ridge is found whatever the line lies on: bare, painted, or black with a painted form', () => {
  const line = toLine(1.1);
  for (const under of [230, 140, 90])
    expect(read(picture((x, y) => (line(x, y) < 1.2 ? under - 60 : under))).ridges.long).toBeGreaterThan(0.7);
  // A step between two fields is no line.
  const step = read(picture((x) => (x < 80 ? 60 : 190)));
  expect(step.ridges.dark[0] + step.ridges.dark[1] + step.ridges.light[0] + step.ridges.light[1]).toBeLessThan(0.004);
  expect(step.borders.share).toBeGreaterThan(0);
  expect(step.borders.between).toBeGreaterThan(0.8);
});

test('circles turn and run all ways, straight lines do neither', () => {
  const rings = read(picture((x, y) => (Math.abs((Math.hypot(x - 80, y - 80) % 18) - 9) < 1.2 ? 40 : 210)));
  const rows = read(picture((x, y) => (toLine(0.3)(x, y) < 1.2 ? 40 : 210)));
  expect(rings.ridges.curl).toBeGreaterThan(3 * rows.ridges.curl);
  expect(rings.ridges.coherence).toBeLessThan(0.3);
  expect(rings.ridges.neighbours).toBeGreaterThan(rings.ridges.coherence + 0.3);
  expect(rings.sizes[1].local).toBeGreaterThan(rings.sizes[1].coherence + 0.3);
  expect(rows.sizes[1].coherence).toBeGreaterThan(0.9);
});

test('runs of one colour are as long as the fields; a grain cuts them', () => {
  const flat = read(picture(() => [120, 90, 60]));
  expect(flat.even).toMatchObject({ middling: 1, long: 1 });
  const r = seededRandom(4);
  const grain = read(picture(() => Math.max(0, Math.min(255, 130 + 25 * normal(r)))));
  expect(grain.even.middling).toBeLessThan(0.3);
  expect(grain.even.mean).toBeLessThan(0.2 * flat.even.mean);
  const touches = read(picture((x, y) => 60 + 37 * ((Math.floor(x / 16) * 7 + Math.floor(y / 16) * 3) % 5)));
  expect(touches.plain.mean).toBeGreaterThan(8);
  expect(touches.plain.mean).toBeLessThan(40);
});

test('a rim that is darker than what it surrounds is read as one; colour detail counts beside light', () => {
  const disc = (rim: number) =>
    read(
      picture((x, y) => {
        const d = 60 - Math.hypot(x - 80, y - 80);
        return d < 0 ? 235 : 170 - rim * Math.exp(-d / 3);
      }),
    );
  expect(disc(50).borders.rim).toBeGreaterThan(disc(0).borders.rim + 0.15);
  const motley = read(picture((x, y) => (((x >> 4) + (y >> 4)) % 2 ? [190, 90, 90] : [90, 130, 90])));
  expect(motley.bands[2].colour).toBeGreaterThan(motley.bands[2].light);
});

test('where a form is painted over enough of a piece, only its inside is read', () => {
  // A smooth form before a black ground, whose edge would be all there is to see.
  const form = picture((x, y) => (Math.hypot(x - 80, y - 80) < 60 ? 150 + x / 4 : 0));
  const covered = Uint8Array.from({ length: SIDE * SIDE }, (_, i) => (Math.hypot((i % SIDE) - 80, Math.floor(i / SIDE) - 80) < 54 ? 1 : 0));
  expect(read(form, covered).covered).toBeCloseTo((Math.PI * 54 * 54) / (SIDE * SIDE), 1);
  expect(read(form, covered).sizes[1].energy).toBeLessThan(0.2 * read(form).sizes[1].energy);
  expect(read(form, new Uint8Array(SIDE * SIDE)).sizes[1].energy).toBeCloseTo(read(form).sizes[1].energy, 9);
});
