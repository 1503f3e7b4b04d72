import { NO_POINTS } from './keypoints';
import { english } from '../../tests/support/english';
import { Measured } from './compare';
import { Feature, FEATURES } from './features';
import { handOf, handRanges, partsOf } from './hand';
import { sayParting, sayRange, sayTrait } from './words';

const feature = (name: string, value: number | null): Feature => ({
  group: FEATURES[name].group,
  unit: FEATURES[name].unit,
  value,
  spread: 0,
});

/** A work with only the named features; the rest could not be measured. */
const work = (values: Record<string, number>, widthMm: number | null = null): Measured => ({
  features: Object.fromEntries(Object.keys(FEATURES).map((n) => [n, feature(n, values[n] ?? null)])),
  palette: [{ lab: [50, 0, 0], share: 1 }],
  layout: { width: 2, height: 2, tall: 1, weight: [0, 0, 0, 0], shape: [0, 0, 0, 0], points: NO_POINTS },
  widthMm,
});

const steady = [5, 5.1, 4.95, 5.05].map((spacing, i) =>
  work({ 'marks.spacing': spacing, 'value.mean': [20, 80, 45, 95][i], 'marks.coverage': 0.5 }),
);

test('what stays is constant, what changes varies, each with its range; what was seen in too few works is neither', () => {
  const { constant, varies } = handOf([...steady.slice(1), work({ 'marks.spacing': 5, 'value.mean': 10, 'marks.even': 0.3 })]);
  expect(constant.map((t) => t.feature)).toContain('marks.spacing');
  expect(varies.map((t) => t.feature)).toContain('value.mean');
  expect([...constant, ...varies].map((t) => t.feature)).not.toContain('marks.even');
  const spacing = constant.find((t) => t.feature === 'marks.spacing')!;
  expect(spacing.low).toBeLessThan(4.95);
  expect(spacing.high).toBeGreaterThan(5.1);
  expect(spacing.constancy).toBeGreaterThan(0.5);
  expect(constant.map((t) => t.constancy)).toEqual(constant.map((t) => t.constancy).sort((a, b) => b - a));
  for (const t of varies) expect(t.constancy).toBeLessThanOrEqual(0.5);
});

test('a rule is made of the range of at least two works, in the words of the feature', () => {
  const ranges = handRanges(steady.map((w) => ({ features: w.features, widthMm: 300 })));
  const spacing = ranges.find((r) => r.feature === 'marks.spacing')!;
  expect(spacing).toMatchObject({ unit: 'mm', works: 4 });
  expect(spacing.mid).toBeCloseTo(1.507, 2);
  expect(spacing.low).toBeLessThan(1.48);
  expect(spacing.high).toBeGreaterThan(1.53);
  expect(english(sayRange(spacing))).toMatch(/: 1\.[34]\d? mm to 1\.[5-7]\d? mm, 1\.5 mm in the middle\.$/);
  expect(english(sayRange({ feature: 'value.light', unit: 'L*', low: 80, mid: 85, high: 90 }))).toMatch(/: as in the works\.$/);
  // Strokes of any way have no range to keep.
  expect(english(sayRange({ feature: 'marks.direction', unit: 'degrees', low: 10, mid: 70, high: 130 }))).toMatch(/as in the works/);
  expect(handRanges(steady.slice(0, 1))).toEqual([]);
});

test('sizes are told in mm only where every width is known', () => {
  const of = (widths: (number | null)[]) =>
    handOf(widths.map((w) => work({ 'marks.spacing': 5 }, w))).constant.find((t) => t.feature === 'marks.spacing')!;
  expect(of([200, 200])).toMatchObject({ unit: 'mm', mid: expect.closeTo(1, 6) });
  expect(of([200, null])).toMatchObject({ unit: 'permille', mid: expect.closeTo(5, 6) });
});

test('what parts two hands stands strongest first and signed; what they share does not stand there', () => {
  const other = [9, 9.2, 8.9].map((spacing) => work({ 'marks.spacing': spacing, 'value.mean': 60, 'marks.coverage': 0.5 }));
  const parts = partsOf(steady, other);
  expect(parts[0].feature).toBe('marks.spacing');
  expect(parts[0].effect).toBeLessThan(-3);
  expect(parts.map((p) => p.feature)).not.toContain('marks.coverage');
  expect(partsOf(other, steady)[0].effect).toBeCloseTo(-parts[0].effect, 9);
  expect(partsOf(steady, steady)).toEqual([]);
});

test('directions part the short way round', () => {
  const of = (angles: number[]) => angles.map((a) => work({ 'marks.direction': a }));
  expect(partsOf(of([178, 1, 179]), of([2, 0, 3]))).toEqual([]);
  expect(partsOf(of([178, 1, 179]), of([90, 92, 88]))[0].feature).toBe('marks.direction');
});

test('every trait and every parting is a sentence', () => {
  for (const [name, { unit }] of Object.entries(FEATURES)) {
    const said = [
      ...(['constant', 'varies'] as const).map((as) => sayTrait({ feature: name, unit, low: 0.1, mid: 0.2, high: 0.3 }, as)),
      ...[4, -2].map((effect) => sayParting({ feature: name, unit, hand: { mid: 0.2 }, foil: { mid: 0.4 }, effect })),
    ].map(english);
    for (const s of said) expect(s).toMatch(/^[A-Z].*\.$/);
    expect(new Set(said).size).toBeGreaterThanOrEqual(3);
  }
});
