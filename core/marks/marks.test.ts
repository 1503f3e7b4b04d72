/** Mark readings on generated patches of known truth: spacing 7–40 px, width 1.2–5 px, jitter to 20 %. */
import { SAMPLE_HANDS } from '../../atelier/hands';
import { measurer } from '../../tests/support/measured';
import { labPlanes } from '../colour/lab';
import { addNoise, blankPatch, drawHatch, drawLine, HatchTruth, seededRandom, stipplePatch } from '../../tests/support/patches';
import { RgbImage } from '../raster/image';
import { axialDifference, median } from '../raster/statistics';
import { MarkKind } from './kinds';
import { markedBy } from '../raster/kernels/layers';
import { departure, MARKING } from './ink';
import { MarkScale, Reading, readOverall, readPatch } from './reading';

const SCALE: MarkScale = { factor: 1, pictureWidth: 1000, mmPerPixel: 0.1 };
const GROUND = [93.3, -0.2, 7];
const SIDE = 260;

function hatched(seed: number): { truth: HatchTruth; reading: Reading } {
  const r = seededRandom(seed);
  const spacing = 7 + 28 * r() ** 2;
  const truth = {
    angle: 180 * r(),
    spacing,
    width: 1.2 + Math.min(3.8, 0.35 * spacing) * r(),
    length: 50 + 60 * r(),
    jitter: 0.2 * r(),
  };
  const image = blankPatch(SIDE, SIDE);
  drawHatch(image, truth, r);
  return { truth, reading: readPatch(addNoise(image, 2, r), GROUND, SCALE) };
}

test('direction, spacing, width and length of parallel hatching come back within their targets', () => {
  const rows = Array.from({ length: 24 }, (_, i) => hatched(i + 1));
  const direction = median(
    rows.map(({ truth, reading }) => Math.abs(axialDifference(truth.angle, reading.directions[0]?.angle ?? truth.angle + 90))),
  );
  const spaced = rows.filter((r) => r.reading.spacing);
  const spacing = median(spaced.map(({ truth, reading }) => Math.abs(reading.spacing!.px / truth.spacing - 1)));
  const width = median(
    rows.filter((r) => r.reading.lineWidth).map(({ truth, reading }) => Math.abs(reading.lineWidth!.px / truth.width - 1)),
  );
  const length = median(
    rows.filter((r) => r.reading.strokeLength).map(({ truth, reading }) => Math.abs(reading.strokeLength!.px / truth.length - 1)),
  );
  const right = rows.filter((r) => r.reading.kind === 'parallel-hatch').length / rows.length;
  console.log(
    `parallel hatch: direction ${direction.toFixed(2)}°, spacing ${(100 * spacing).toFixed(1)} %, width ${(100 * width).toFixed(1)} %, length ${(100 * length).toFixed(1)} %, kind ${(100 * right).toFixed(0)} %`,
  );
  expect(direction).toBeLessThan(1.5);
  expect(spaced.length / rows.length).toBeGreaterThan(0.85);
  expect(spacing).toBeLessThan(0.04);
  expect(width).toBeLessThan(0.15);
  expect(length).toBeLessThan(0.2);
  expect(right).toBeGreaterThanOrEqual(0.87);
  for (const { reading } of spaced) expect(reading.spacing!.mm).toBeCloseTo(reading.spacing!.px * 0.1, 9);
});

test('the other kinds are told apart on at least nine patches in ten', () => {
  const kinds: [MarkKind, (seed: number) => RgbImage][] = [
    ['blank', (s) => addNoise(blankPatch(SIDE, SIDE), 1 + (s % 3), seededRandom(s))],
    ['flat', (s) => addNoise(blankPatch(SIDE, SIDE, [120 + 10 * (s % 5), 150, 100]), 1 + (s % 3), seededRandom(s))],
    ['smooth-shading', (s) => shaded(s)],
    ['stipple', (s) => addNoise(stipplePatch(SIDE, 10 + (s % 6) * 2, 3 + (s % 3), seededRandom(s)), 2, seededRandom(s))],
    ['cross-hatch', (s) => crossed(s).image],
    ['contour-hatch', (s) => bent(s)],
  ];
  let right = 0;
  let all = 0;
  const wrong: string[] = [];
  for (const [kind, draw] of kinds)
    for (let seed = 1; seed <= 5; seed++) {
      const reading = readPatch(draw(seed * 31), GROUND, SCALE);
      all++;
      if (reading.kind === kind) right++;
      else wrong.push(`${kind} read as ${reading.kind}`);
      expect(reading.confidence).toBeGreaterThan(0);
      expect(reading.confidence).toBeLessThanOrEqual(1);
    }
  console.log(`kinds right ${right} of ${all}${wrong.length ? `: ${wrong.join(', ')}` : ''}`);
  expect(right / all).toBeGreaterThanOrEqual(0.9);
});

function shaded(seed: number): RgbImage {
  const image = blankPatch(SIDE, SIDE);
  for (let i = 0; i < SIDE * SIDE; i++) image.data.fill(230 - (130 * (i % SIDE)) / SIDE, i * 3, i * 3 + 3);
  return addNoise(image, 1.5, seededRandom(seed));
}

function crossed(seed: number): { image: RgbImage; crossing: number } {
  const r = seededRandom(seed);
  const image = blankPatch(SIDE, SIDE);
  const [angle, crossing, spacing] = [180 * r(), 45 + 45 * r(), 9 + 8 * r()];
  for (const a of [angle, angle + crossing]) drawHatch(image, { angle: a, spacing, width: 2, length: 90, jitter: 0.08 }, r);
  return { image: addNoise(image, 2, r), crossing };
}

function bent(seed: number): RgbImage {
  const r = seededRandom(seed);
  const image = blankPatch(SIDE, SIDE);
  drawHatch(
    image,
    { angle: 180 * r(), spacing: 10 + 6 * r(), width: 2, length: 120, jitter: 0.05 },
    r,
    [40, 44, 60],
    0.0015 + 0.0015 * r(),
  );
  return addNoise(image, 2, r);
}

test('the angle at which two sets cross is read within 4°', () => {
  const off = [3, 4, 5, 6].map((seed) => {
    const { image, crossing } = crossed(seed);
    return Math.abs((readPatch(image, GROUND, SCALE).crossing ?? 0) - crossing);
  });
  expect(median(off)).toBeLessThan(4);
});

test('half the contrast keeps a blurred line’s width, and a pale wash with a line in it stays marked', () => {
  const image = blankPatch(80, 80, [205, 200, 188]);
  drawLine(
    image,
    [
      [0, 40.5],
      [80, 40.5],
    ],
    4,
    [30, 30, 40],
  );
  const marked = markedBy(departure(labPlanes(image), GROUND), MARKING);
  expect(marked.data.reduce((s, v) => s + v, 0) / 6400).toBeGreaterThan(0.97);
  const bare = blankPatch(80, 80);
  drawLine(
    bare,
    [
      [0, 40.5],
      [80, 40.5],
    ],
    4,
    [30, 30, 40],
  );
  const line = markedBy(departure(labPlanes(bare), GROUND), MARKING);
  expect(line.data.reduce((s, v) => s + v, 0) / 80).toBeCloseTo(4, 0);
});

test('a whole picture is read by its worked part, whatever margin surrounds it', () => {
  const r = seededRandom(8);
  const image = blankPatch(900, 700);
  const inner = blankPatch(420, 420);
  drawHatch(inner, { angle: 30, spacing: 12, width: 2.4, length: 80, jitter: 0.06 }, r);
  for (let y = 0; y < 420; y++) image.data.set(inner.data.subarray(y * 1260, (y + 1) * 1260), ((y + 140) * 900 + 240) * 3);
  const { reading, shares } = readOverall(addNoise(image, 1.5, r), GROUND, { ...SCALE, pictureWidth: 900 });
  expect(reading.kind).toBe('parallel-hatch');
  expect(shares!['parallel-hatch']).toBeGreaterThan(0.6);
  expect(reading.spacing!.px).toBeCloseTo(12, 0);
  expect(Math.abs(axialDifference(30, reading.directions[0].angle))).toBeLessThan(2);
});

test('where it is in doubt whether strokes lie side by side, their length is told with an error that spans both ways of following them', async () => {
  const hand = SAMPLE_HANDS.find((h) => h.key === 'raake')!;
  const work = hand.works.find((w) => w.title.startsWith('Foremast'))!;
  const { image } = await hand.draw(work, 2);
  const doubtful = measurer(image, work.widthMm).at({ per: 'mm', px: 2 }).features['marks.strokeLength'];
  expect(doubtful.spread! / doubtful.value!).toBeGreaterThan(0.3);
  const plain = blankPatch(900, 700);
  drawHatch(plain, { angle: 30, spacing: 12, width: 2.4, length: 80, jitter: 0.06 }, seededRandom(9));
  const clear = readOverall(addNoise(plain, 1.5, seededRandom(10)), GROUND, { ...SCALE, pictureWidth: 900 });
  expect(clear.spread.strokeLength! / clear.reading.strokeLength!.px).toBeLessThan(0.2);
});
