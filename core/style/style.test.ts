/** Ranges, distances, transport and words. */
import { NO_POINTS } from './keypoints';
import fc from 'fast-check';
import { measureProportions } from '../proportion/measures';
import { TEMPLATE_NAMES } from '../proportion/templates';
import { Feature, FEATURES, FeatureSet } from './features';
import { compare, Measured } from './compare';
import { seededRandom } from '../raster/statistics';
import { Layout } from './layout';
import { proportionFeature } from './proportionNames';
import { boundsOf, foreseenSpread, rangeOf } from './range';
import { paletteDistance } from './transport';
import { english } from '../../tests/support/english';
import { featureTitle, nextStep, sayFinding } from './words';

const feature = (value: number | null, name = 'marks.spacing'): Feature => ({
  group: FEATURES[name].group,
  unit: FEATURES[name].unit,
  value,
  spread: 0,
});

test('a range holds its middle, narrows with agreeing works, and goes round 0° the short way', () => {
  const bounds = (name: string, values: readonly (number | null)[]) => {
    const range = rangeOf(
      name,
      values.map((v) => feature(v, name)),
    )!;
    return boundsOf(range, foreseenSpread(range, { value: values[0]!, spread: 0 }), 0.1);
  };
  const one = bounds('marks.spacing', [5]);
  const many = bounds('marks.spacing', [5, 5.05, 4.95, 5.02, 4.98]);
  expect(one.low).toBeLessThan(5);
  expect(one.high).toBeGreaterThan(5);
  expect(many.high - many.low!).toBeLessThan(one.high - one.low!);
  // A size is judged by its logarithm: as many times more as less.
  expect(one.high / one.mid).toBeCloseTo(one.mid / one.low!, 6);
  const axial = bounds('marks.direction', [178, 2, 1, 179]);
  expect(Math.min(axial.mid, 180 - axial.mid)).toBeLessThan(1);
  expect(rangeOf('marks.spacing', [feature(null)])).toBeNull();
  expect(rangeOf('no.such', [feature(1)])).toBeNull();
});

test('a range never leaves the possible', () => {
  for (const name of Object.keys(FEATURES))
    for (const v of [0, 0.01, 0.5, 0.99, 1]) {
      const spec = FEATURES[name];
      if (spec.scale.as === 'plain' && spec.scale.within?.[0] !== 0) continue;
      const range = rangeOf(name, [feature(v, name)])!;
      const { low, mid, high } = boundsOf(range, foreseenSpread(range, { value: v, spread: 0.1 }), 0.001);
      expect(low).toBeGreaterThanOrEqual(0);
      expect(mid).toBeCloseTo(v, 6);
      expect(high).toBeGreaterThan(low!);
      expect(high).toBeLessThanOrEqual(spec.scale.as === 'logit' ? 1 : spec.scale.as === 'plain' ? spec.scale.within![1] : Infinity);
    }
});

test('a piece read less surely than the works is held to a wider range', () => {
  const range = rangeOf(
    'marks.spacing',
    [5, 5.2, 4.9].map((v) => ({ ...feature(v), spread: 0.1 * v })),
  )!;
  const [sure, unsure] = [0.4, 1.5].map((spread) => foreseenSpread(range, { value: 5, spread }));
  expect(foreseenSpread(range, { value: 5, spread: 0.01 })).toBe(sure);
  expect(unsure).toBeGreaterThan(1.2 * sure);
});

/** Soft dark spots here and there: nothing that repeats, so that no other lies on it by a shift. */
const layout = (seed: number): Layout => {
  const r = seededRandom(seed);
  const spots = Array.from({ length: 9 }, () => [48 * r(), 32 * r(), 2 + 3 * r(), 30 + 60 * r()]);
  const weight = Array.from({ length: 48 * 32 }, (_, i) =>
    Math.max(
      ...spots.map(([x, y, size, dark]) => dark * Math.exp(-(((i % 48) - x) ** 2 + (Math.floor(i / 48) - y) ** 2) / (2 * size * size))),
    ),
  );
  return { width: 48, height: 32, tall: 2 / 3, weight, shape: weight.map((w) => (w > 20 ? 100 : 0)), points: NO_POINTS };
};

const measured = (spacing: number, seed: number, widthMm: number | null = null): Measured => {
  const features: FeatureSet = Object.fromEntries(Object.keys(FEATURES).map((n) => [n, feature(n === 'marks.spacing' ? spacing : 1, n)]));
  return { features, palette: [{ lab: [50, 0, 0], share: 1 }], layout: layout(seed), widthMm };
};

test('what departs stands first, signed, with the range it left; an equal piece is close on every group', () => {
  const works = [measured(5, 1), measured(5.1, 2), measured(4.9, 3)];
  const far = compare(works, measured(15, 9), { as: 'original' });
  expect(far.findings[0].feature).toBe('marks.spacing');
  expect(far.findings[0].distance).toBeGreaterThan(1);
  expect(english(sayFinding(far.findings[0]))).toMatch(/farther apart/);
  const less = compare(works, measured(2, 9), { as: 'original' });
  expect(less.findings[0].distance).toBeLessThan(-0.3);
  const near = compare(works, measured(5, 9), { as: 'original' });
  expect(near.closeness.overall).toBeGreaterThan(far.closeness.overall!);
  expect(near.closeness.groups.proportion).toBeNull();
  for (const f of near.findings) expect(Number.isFinite(f.distance)).toBe(true);
});

test('a piece that clearly misses a rule of the study is not close, however near all else is', () => {
  const works = [measured(5, 1), measured(5.1, 2), measured(4.9, 3)];
  const overall = (spacing: number, ruled: string[]) => compare(works, measured(spacing, 9), { as: 'original', ruled }).closeness.overall!;
  expect(overall(15, [])).toBeGreaterThan(90);
  expect(overall(15, ['marks.spacing'])).toBeLessThan(80);
  expect(overall(40, ['marks.spacing'])).toBeLessThan(overall(15, ['marks.spacing']));
  expect(overall(5, ['marks.spacing'])).toBe(overall(5, []));
});

test('a group counts by the weight a teacher gives it, and where nothing counts there is no closeness', () => {
  const works = [measured(5, 1), measured(5.1, 2), measured(4.9, 3)];
  const far = (weights: Record<string, number>) => compare(works, measured(15, 9), { as: 'original', weights }).closeness.overall;
  expect(far({ marks: 4 })!).toBeLessThan(far({ marks: 0.2 })!);
  expect(far({ proportion: 0, marks: 0, colour: 0, value: 0, composition: 0 })).toBeNull();
});

test('sizes are compared in mm when every width is known, else per thousandth', () => {
  const mm = compare([measured(5, 1, 300)], measured(5, 2, 150), { as: 'original' }).findings.find((f) => f.feature === 'marks.spacing')!;
  expect(mm.unit).toBe('mm');
  expect(mm.master.mid).toBeCloseTo(1.5, 9);
  expect(mm.piece).toBeCloseTo(0.75, 9);
  const permille = compare([measured(5, 1, 300)], measured(5, 2), { as: 'original' }).findings.find((f) => f.feature === 'marks.spacing')!;
  expect(permille.unit).toBe('permille');
});

test('own invention: the same layout scores near 0, also mirrored, another near 100', () => {
  const works = [measured(5, 1), measured(5, 2)];
  expect(compare(works, measured(5, 2), { as: 'original' }).ownInvention).toBeLessThan(5);
  const mirrored = measured(5, 2);
  const flip = (a: number[]) => a.map((_, i) => a[Math.floor(i / 48) * 48 + 47 - (i % 48)]);
  mirrored.layout = { ...mirrored.layout, weight: flip(mirrored.layout.weight), shape: flip(mirrored.layout.shape) };
  expect(compare(works, mirrored, { as: 'original' }).ownInvention).toBeLessThan(15);
  expect(compare(works, measured(5, 7), { as: 'original' }).ownInvention).toBeGreaterThan(40);
});

test('a copy is also held place by place', () => {
  const places = compare([measured(5, 1)], measured(5, 1), { as: 'copy' }).findings.filter((f) => f.feature.startsWith('place.'));
  expect(places.length).toBeGreaterThan(9);
  expect(places.every((f) => f.distance === 0)).toBe(true);
});

test('palette transport is a metric: zero on itself, symmetric, and a whole change costs its ΔE00', () => {
  const colour = fc.record({
    lab: fc.tuple(fc.integer({ min: 5, max: 95 }), fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 })),
    share: fc.double({ min: 0.05, max: 1, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(colour, { minLength: 1, maxLength: 6 }), fc.array(colour, { minLength: 1, maxLength: 6 }), (a, b) => {
      expect(paletteDistance(a, a)).toBeCloseTo(0, 6);
      expect(paletteDistance(a, b)).toBeCloseTo(paletteDistance(b, a), 5);
    }),
    { numRuns: 40, seed: 7 },
  );
  expect(paletteDistance([{ lab: [50, 2.5, 0], share: 1 }], [{ lab: [73, 25, -18], share: 1 }])).toBeCloseTo(27.1492, 3);
});

/** The next step in words; empty where there is none. */
const next = (feature: string, distance: number): string => {
  const step = nextStep({ feature, distance });
  return step ? english(step) : '';
};

test('every feature can be said inside, above and below its range, with a next step outside', () => {
  const places = [
    'place.scale',
    'place.turn',
    'place.stretch',
    'place.shiftX',
    'place.shiftY',
    'place.weight.upper-left',
    'place.weight.middle-middle',
  ];
  for (const name of [...Object.keys(FEATURES), 'colour.palette', ...places]) {
    const unit = FEATURES[name]?.unit ?? (name.startsWith('place.weight') ? 'L*' : 'ratio');
    const base = { feature: name, unit, master: { low: 1, mid: 1.5, high: 2 } };
    const said = [0, 2.5, -1.2, 6].map((distance) => english(sayFinding({ ...base, piece: 1.5 + distance, distance })));
    for (const s of said) {
      expect(s).toMatch(/^[A-Z].*\.$/);
      expect(s).not.toMatch(/undefined|NaN|[{}]|features\.|\bmarks\.[a-z]|\bcolour\.[a-z]/);
    }
    expect(new Set(said.slice(0, 3)).size).toBe(3);
    expect(next(name, 2)).toMatch(/^Next time .*\.$/);
    expect(next(name, 0)).toBe('');
    expect(english(featureTitle(name))).toMatch(/^[A-Z][^.]*$/);
  }
});

test('no number stands bare: each has its unit, or counts times or steps', () => {
  const unitless = Object.keys(FEATURES).flatMap((feature) =>
    [3, -3].map((distance) =>
      english(
        sayFinding({
          feature,
          unit: FEATURES[feature].unit,
          master: { low: 0.2, mid: 0.3, high: 0.4 },
          piece: distance > 0 ? 0.6 : 0.1,
          distance,
        }),
      ),
    ),
  );
  for (const s of unitless)
    for (const [number] of s.matchAll(/-?\d+(?:\.\d+)?(?![\d.]| ?(?:mm|%|°|times|of the 100|steps|thousandths|colours?|heads))/g))
      expect(`${number} in: ${s}`).toBe('');
});

test('every measure of every template has a sentence of its own, both ways', () => {
  for (const template of TEMPLATE_NAMES)
    for (const { name, unit } of measureProportions(template, {})) {
      const base = { feature: proportionFeature(template, name), unit, master: { low: 1, mid: 1.5, high: 2 } };
      const [above, below] = [2, -2].map((distance) => english(sayFinding({ ...base, piece: 1.5 + distance, distance })));
      for (const s of [above, below]) {
        expect(s).toMatch(
          /^The [a-z ]+ than the master’s: −?[\d.]+ ?(%|°|heads|eye widths|things) against [\d.]+ ?(%|°|heads|eye widths|things)\.$/,
        );
        // The measure's name is a term of the trade; a student is told what it is.
        if (name.includes('-')) expect(s).not.toContain(name.replace('-', ' '));
      }
      expect(above).not.toBe(below);
      expect(next(base.feature, 2)).not.toBe('');
    }
});

test('one and many, counted and uncounted, and directions as a protractor shows them', () => {
  const share = { unit: 'share' as const, master: { low: 0.1, mid: 0.2, high: 0.3 }, piece: 0.6, distance: 3 };
  const said = (kind: string) => [english(sayFinding({ ...share, feature: `marks.share.${kind}` })), next(`marks.share.${kind}`, 3)];
  expect(said('stipple')).toEqual(['Dots cover more of the work than of the master’s: 60 % against 20 %.', 'Next time use fewer dots.']);
  expect(said('wash')).toEqual(['Wash covers more of the work than of the master’s: 60 % against 20 %.', 'Next time use less wash.']);
  const turned = {
    feature: 'marks.direction',
    unit: 'degrees' as const,
    master: { low: 170, mid: 176, high: 182 },
    piece: 190,
    distance: 2,
  };
  expect(english(sayFinding(turned))).toBe('The strokes are turned more to the left than the master’s: 10° against 176°.');
  expect(english(sayFinding({ ...turned, piece: 178, distance: 0 }))).toBe('Slant of the strokes: like the master’s, 178° against 176°.');
});

test('how many times is told only where it says something', () => {
  const even = { feature: 'marks.spacingVariation', unit: 'ratio' as const, master: { low: 0.1, mid: 0.2, high: 0.25 } };
  expect(english(sayFinding({ ...even, piece: 0.44, distance: 2 }))).toBe(
    'The gaps between strokes are less even than the master’s: they change about 2.2 times as much.',
  );
  expect(english(sayFinding({ ...even, piece: 0.21, distance: 0.2 }))).toBe('The gaps between strokes are less even than the master’s.');
  expect(english(sayFinding({ ...even, piece: 0.001, distance: -1 }))).toBe('The gaps between strokes are more even than the master’s.');
});
