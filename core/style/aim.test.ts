import { NO_POINTS } from './keypoints';
import { ASKED, copyTolerance, signatureOf } from './aim';
import { compare, Measured } from './compare';
import { FeatureSet } from './features';

const layout = (seed: number) => {
  const cells = Array.from({ length: 48 * 32 }, (_, i) => (Math.sin(i * 0.37 * seed) + Math.sin((i % 48) * seed) + 2) * 20);
  return { width: 48, height: 32, tall: 2 / 3, weight: cells, shape: cells.map((c) => (c > 40 ? 100 : 0)), points: NO_POINTS };
};
const work = (heads: number, spacing: number, seed: number, more: FeatureSet = {}): Measured => ({
  features: {
    'proportion.figure-standing.heads-tall': { group: 'proportion', unit: 'heads', value: heads, spread: 0.05 },
    'marks.spacing': { group: 'marks', unit: 'permille', value: spacing, spread: 0.2 },
    ...more,
  },
  palette: [{ lab: [60, 0, 0], share: 1 }],
  layout: layout(seed),
  widthMm: null,
});
const ratio = (value: number) => ({ group: 'proportion' as const, unit: 'ratio' as const, value, spread: 0.01 });

test('a replica’s proportions may miss by 3 %, a study’s by 6 %; tilts by 1.5° and 3°', () => {
  expect(copyTolerance(4.5, 'heads', ASKED.replica.proportion!)).toBeCloseTo(4.5 * 0.03, 9);
  expect(copyTolerance(4.5, 'heads', ASKED.study.proportion!)).toBeCloseTo(4.5 * 0.06, 9);
  expect(copyTolerance(2, 'degrees', 0.03)).toBe(1.5);
  // A level line has no per cent of its own.
  expect(copyTolerance(0, 'degrees', 0.06)).toBeCloseTo(3, 12);
  expect(copyTolerance(0, 'offset', 0.03)).toBeCloseTo(0.009, 12);
});

test('a head 5 % off is a miss in a replica, not in a study, and not against the master’s range', () => {
  const works = [work(4.5, 5, 1)];
  const off = work(4.5 * 1.05, 5, 1);
  const heads = (aim?: 'replica' | 'study' | 'remembered') =>
    compare(works, off, { as: 'copy', aim }).findings.find((f) => f.feature === 'proportion.figure-standing.heads-tall')!.distance;
  expect(heads('replica')).toBeCloseTo(5 / 3 - 1, 6);
  expect(heads('study')).toBe(0);
  expect(heads('remembered')).toBe(0);
  expect(heads()).toBe(0);
});

test('a replica is held against the very work it was made from, a study against all of them', () => {
  const works = [work(4.5, 5, 1), work(4.5, 8, 2)];
  const copy = work(4.5, 8, 2);
  const mid = (aim: 'replica' | 'study') =>
    compare(works, copy, { as: 'copy', aim }).findings.find((f) => f.feature === 'marks.spacing')!.master.mid;
  expect(mid('replica')).toBeCloseTo(8, 9);
  // The middle of sizes is their geometric mean.
  expect(mid('study')).toBeCloseTo(Math.sqrt(5 * 8), 9);
});

test('a copy’s proportions are those of the work it was made from, not of the master’s other works', () => {
  const works = [work(4.5, 5, 1), work(6, 5, 2)];
  const found = compare(works, work(4.5, 5, 1), { as: 'copy', aim: 'study' }).findings;
  expect(found.find((f) => f.feature === 'proportion.figure-standing.heads-tall')).toMatchObject({ distance: 0, master: { mid: 4.5 } });
});

test('remembered: no places, and only the three proportions that depart farthest from nature', () => {
  const more = {
    'proportion.figure-standing.leg-share': ratio(0.48),
    'proportion.figure-standing.neck-length': ratio(0.2),
    'proportion.figure-standing.waist-width': ratio(0.9),
    'proportion.figure-standing.hem-width': ratio(3),
  };
  const found = compare([work(4.5, 5, 1, more)], work(4.5, 5, 1, more), { as: 'copy', aim: 'remembered' }).findings;
  const names = found.map((f) => f.feature);
  expect(names.filter((n) => n.startsWith('place.'))).toEqual([]);
  // 4.5 of 7.5 heads, 0.2 of 0.33, 0.9 of 0.7; legs as in nature and a hem without canon do not count.
  expect(names.filter((n) => n.startsWith('proportion.')).sort()).toEqual([
    'proportion.figure-standing.heads-tall',
    'proportion.figure-standing.neck-length',
    'proportion.figure-standing.waist-width',
  ]);
});

test('pieces led from one exemplar are held for their manner: where things stand is not told, and their marks as strictly as before', () => {
  const placed = (centre: number) => ({
    'composition.centreX': { group: 'composition' as const, unit: 'ratio' as const, value: centre, spread: 0.01 },
  });
  const works = [work(4.5, 5, 1, placed(0.3)), work(4.5, 5, 2, placed(0.32))];
  const piece = work(4.5, 9, 1, placed(0.95));
  const of = (as: 'copy' | 'original', led: boolean) => compare(works, piece, { as, aim: 'study', led });
  for (const as of ['copy', 'original'] as const) {
    const [free, led] = [of(as, false), of(as, true)];
    expect(free.findings.some((f) => f.group === 'composition')).toBe(true);
    expect(led.findings.filter((f) => f.group === 'composition')).toEqual([]);
    expect(led.closeness.groups.composition).toBeNull();
    expect(led.findings).toEqual(free.findings.filter((f) => f.group !== 'composition'));
    expect(led.closeness.groups.marks).toBe(free.closeness.groups.marks);
    // What stood elsewhere is no longer held against it.
    expect(led.closeness.overall!).toBeGreaterThanOrEqual(free.closeness.overall!);
  }
});

test('the signature is told by factor both ways, and an original is never held to an aim', () => {
  const mids = new Map([
    ['proportion.face-front.eye-line', 0.58],
    ['proportion.face-front.mouth-width', 0.5],
    ['proportion.face-front.nose-width', 1.9],
    ['proportion.face-front.eye-tilt', 9],
  ]);
  expect([...signatureOf(mids, 2)]).toEqual(['proportion.face-front.mouth-width', 'proportion.face-front.nose-width']);
  const [a, b] = (['replica', 'remembered'] as const).map((aim) => compare([work(4.5, 5, 1)], work(5.4, 6, 2), { as: 'original', aim }));
  expect(a).toEqual(b);
});
