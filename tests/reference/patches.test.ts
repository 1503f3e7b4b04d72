/** Mark readings on drawn patches of every kind in every medium, by seeds that nothing was set on. */
import { drawPatch, Patch, PATCH_KINDS, PATCH_MEDIA, PatchMedium } from '../../atelier/patches';
import { Reading, readPatch } from '../../core/marks/reading';
import { axialDifference, median } from '../../core/raster/statistics';

interface Row {
  truth: Patch['truth'];
  reading: Reading;
}

const SEEDS = [90_001, 90_002];
const rows = new Map<PatchMedium, Row[]>();
beforeAll(() => {
  for (const medium of PATCH_MEDIA)
    rows.set(
      medium,
      PATCH_KINDS.flatMap((kind) =>
        SEEDS.map((seed) => {
          const { image, ground, truth } = drawPatch(kind, medium, seed);
          return { truth, reading: readPatch(image, ground, { factor: 1, pictureWidth: 600, mmPerPixel: 0.2 }) };
        }),
      ),
    );
});
const all = () => [...rows.values()].flat();

test('the same seed draws the same patch, another seed another', () => {
  const bytes = (seed: number) => Buffer.from(drawPatch('wash', 'brush', seed, 60).image.data);
  expect(Buffer.compare(bytes(5), bytes(5))).toBe(0);
  expect(Buffer.compare(bytes(5), bytes(6))).not.toBe(0);
});

test.each(PATCH_MEDIA)('in %s at least 17 of 20 kinds are told; over all media at least nine in ten', (medium) => {
  const right = (list: readonly Row[]) => list.filter((r) => r.reading.kind === r.truth.kind).length;
  const own = rows.get(medium)!;
  const wrong = own.filter((r) => r.reading.kind !== r.truth.kind).map((r) => `${r.truth.kind} read as ${r.reading.kind}`);
  expect([wrong, right(own) >= 17]).toEqual([wrong, true]);
  expect(right(all()) / all().length).toBeGreaterThanOrEqual(0.9);
});

test('direction within 1.5°, spacing within 4 %, width within 15 % in the median; sizes in mm and per thousandth agree', () => {
  const hatched = all().filter((r) => r.truth.kind === 'parallel-hatch');
  const off = (list: readonly number[]) => median([...list]);
  expect(off(hatched.map((r) => Math.abs(axialDifference(r.truth.angle!, r.reading.directions[0].angle))))).toBeLessThan(1.5);
  const spaced = hatched.filter((r) => r.reading.spacing);
  expect(spaced.length).toBeGreaterThan(0.8 * hatched.length);
  expect(off(spaced.map((r) => Math.abs(r.reading.spacing!.px / r.truth.spacing! - 1)))).toBeLessThan(0.04);
  expect(off(hatched.map((r) => Math.abs(r.reading.lineWidth!.px / r.truth.width! - 1)))).toBeLessThan(0.15);
  for (const { reading } of spaced) {
    expect(reading.spacing!.mm).toBeCloseTo(0.2 * reading.spacing!.px, 9);
    expect(reading.spacing!.permille).toBeCloseTo(reading.spacing!.px / 0.6, 9);
  }
});

test('strokes of pen and brush, which no tooth parts, are as long as they were drawn, within 20 %', () => {
  const own = [...rows.get('pen')!, ...rows.get('brush')!].filter((r) => r.truth.kind === 'parallel-hatch' && r.reading.strokeLength);
  expect(own.length).toBeGreaterThan(2);
  expect(median(own.map((r) => Math.abs(r.reading.strokeLength!.px / r.truth.length! - 1)))).toBeLessThan(0.2);
});

test('what is said with more confidence is more often right', () => {
  const share = (list: readonly Row[]) => list.filter((r) => r.reading.kind === r.truth.kind).length / list.length;
  const sure = all().filter((r) => r.reading.confidence >= 0.8);
  const unsure = all().filter((r) => r.reading.confidence < 0.8);
  expect(sure.length).toBeGreaterThan(50);
  expect(share(sure)).toBeGreaterThan(0.9);
  if (unsure.length >= 5) expect(share(unsure)).toBeLessThan(share(sure));
});
