/** What is gathered of a piece of a picture, on marks drawn so that each number is known or cannot be mistaken. */
import { blankPatch, drawHatch, drawLine, seededRandom, stipplePatch } from '../../tests/support/patches';
import { RgbImage } from '../raster/image';
import { cluesOf } from './clues';
import { crossingOf, Evidence, gatherEvidence } from './evidence';
import { KIND_MODEL } from './kindModel';
import { workUp } from './workup';

const SIDE = 200;
const SHEET = [92.9, -0.3, 6.7];
const INK = [30, 32, 45] as const;
const read = (image: RgbImage, ground: readonly number[] | null = SHEET): Evidence =>
  gatherEvidence(workUp(image, ground), [[0, 0, image.width, image.height]])[0];

function hatched(...angles: number[]): RgbImage {
  const image = blankPatch(SIDE, SIDE);
  const r = seededRandom(3);
  for (const angle of angles) drawHatch(image, { angle, spacing: 12, width: 2.4, length: 90, jitter: 0.05 }, r);
  return image;
}

/** A line that goes round and round. */
function coil(turns: number): RgbImage {
  const image = blankPatch(SIDE, SIDE);
  const points = Array.from({ length: 60 * turns }, (_, i): [number, number] => {
    const t = (2 * Math.PI * i) / 60;
    return [30 + (140 * i) / (60 * turns) + 22 * Math.cos(t), 100 + 40 * Math.sin(t)];
  });
  drawLine(image, points, 2.2, INK);
  return image;
}

test('bare sheet holds nothing; every clue of any piece is a number no farther off than a few tens', () => {
  const bare = read(blankPatch(SIDE, SIDE));
  expect(bare).toMatchObject({ coverage: 0, lineCoverage: 0, specks: 0, strokeCount: 0, ends: 0, coiled: 0, spacing: null });
  for (const e of [bare, read(hatched(30)), read(coil(4)), read(stipplePatch(SIDE, 14, 4, seededRandom(2))), read(hatched(30), null)]) {
    const clues = cluesOf(e);
    expect(Object.keys(clues)).toEqual([...KIND_MODEL.clues]);
    for (const [name, v] of Object.entries(clues)) expect([name, Number.isFinite(v) && Math.abs(v) < 60]).toEqual([name, true]);
  }
});

test('strokes side by side run one way with one spacing; two sets meet at their angle', () => {
  const one = read(hatched(30));
  expect(one.coherence).toBeGreaterThan(0.9);
  expect(Math.abs(one.meanAngle - 30)).toBeLessThan(2);
  expect(Math.abs(one.spacing!.px / 12 - 1)).toBeLessThan(0.05);
  expect(one.strokeShare).toBeGreaterThan(0.9);
  expect(crossingOf(one.directions.slice(0, 1))).toBeNull();
  const two = read(hatched(30, 100));
  expect(Math.abs(crossingOf(two.directions)! - 70)).toBeLessThan(4);
  expect(two.coherence).toBeLessThan(0.6);
  expect(two.forks).toBeGreaterThan(2 * one.forks);
  // 2.4 px of every 12 under one set, and at most a px more of its rims; two sets cover their crossings once.
  expect(one.lineCoverage).toBeGreaterThan(0.15);
  expect(one.lineCoverage).toBeLessThan(3.4 / 12);
  expect(two.lineCoverage).toBeGreaterThan(1.5 * one.lineCoverage);
  expect(two.lineCoverage).toBeLessThan(2 * one.lineCoverage);
});

test('a coil turns and a straight line does not, however long both are', () => {
  const [round, straight] = [read(coil(4)), read(hatched(45))];
  expect(round.curl).toBeGreaterThan(5 * straight.curl);
  expect(round.coiled).toBeGreaterThan(0.5);
  expect(straight.coiled).toBe(0);
  expect(straight.straightness).toBeGreaterThan(0.98);
  expect(round.longest).toBeGreaterThan(1);
});

test('dots are counted, and are specks; strokes are not', () => {
  const dots = read(stipplePatch(SIDE, 20, 4.5, seededRandom(5)));
  // Ten rows of ten, a few of which touch or lie over the edge.
  expect(dots.specks).toBeGreaterThan(80);
  expect(dots.specks).toBeLessThanOrEqual(100);
  expect(dots.speckShare).toBeGreaterThan(0.8);
  expect(dots.strokeShare).toBeLessThan(0.2);
  expect(read(hatched(0)).speckShare).toBeLessThan(0.05);
});

test('each rectangle is read for itself', () => {
  const image = blankPatch(2 * SIDE, SIDE);
  const half = hatched(60);
  for (let y = 0; y < SIDE; y++) image.data.set(half.data.subarray(3 * y * SIDE, 3 * (y + 1) * SIDE), 3 * y * 2 * SIDE);
  const [left, right] = gatherEvidence(workUp(image, SHEET), [
    [0, 0, SIDE, SIDE],
    [SIDE + 10, 0, SIDE - 10, SIDE],
  ]);
  expect(left.coverage).toBeGreaterThan(0.15);
  expect(right.coverage).toBeLessThan(0.005);
  expect(left.strokeCount).toBeGreaterThan(10);
  expect(right.strokeCount).toBe(0);
});
