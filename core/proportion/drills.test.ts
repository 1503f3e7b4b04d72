import { normal, seededRandom } from '../raster/statistics';
import { Asked, biasOf, DRILLS, errorOf, leastSeen, roundOf, ROUND } from './drills';
import { TEMPLATES } from './templates';

const template = TEMPLATES['figure-standing'];
const asked: Asked[] = [0, 1].map((k) => ({
  of: `work ${k}`,
  template,
  points: Object.fromEntries(
    template.points.map((p): [string, [number, number]] => [p.name, [200 + (500 + 90 * k) * p.at[0], 60 + 800 * p.at[1]]]),
  ),
  width: 1000,
  height: 1000,
}));

test.each(DRILLS)('a round of %s asks different questions with the truth in the points, the same for the same seed', (drill) => {
  const round = roundOf(drill, asked, 5);
  expect(round).toHaveLength(ROUND);
  expect(roundOf(drill, asked, 5)).toEqual(round);
  expect(new Set(round.map((q) => JSON.stringify(q))).size).toBe(ROUND);
  for (const q of round) {
    expect(errorOf(q, q.truth)).toBe(0);
    if (q.drill === 'ratio') {
      const long = ([[x, y], [u, v]]: typeof q.line) => Math.hypot(u - x, v - y);
      expect(q.truth).toBeCloseTo(long(q.line) / long(q.unit), 9);
    }
    if (q.drill === 'under') expect(q.truth).toBe(q.from[0]);
  }
});

test('errors keep their sign', () => {
  const of = (drill: (typeof DRILLS)[number]) => roundOf(drill, asked, 8)[0];
  const ratio = of('ratio');
  expect(errorOf(ratio, 1.09 * ratio.truth)).toBeCloseTo(0.09, 9);
  const under = of('under');
  expect(errorOf(under, under.truth - 10)).toBeLessThan(0);
  const angle = of('angle');
  expect(errorOf(angle, angle.truth + 5)).toBeCloseTo(5, 9);
  // A line has no ends: nearly half a turn too far is a little too little.
  expect(errorOf(angle, angle.truth + 178)).toBeCloseTo(-2, 9);
  const stretched = of('stretched');
  expect(errorOf(stretched, 1 - stretched.truth)).toBe(1);
});

test('no points, no questions; points on one place neither', () => {
  expect(roundOf('ratio', [], 1)).toEqual([]);
  expect(roundOf('ratio', [{ ...asked[0], points: { crown: [5, 5] } }], 1)).toEqual([]);
  expect(roundOf('angle', [{ ...asked[0], points: { crown: [5, 5], chin: [5, 5] } }], 1)).toEqual([]);
});

test('a bias is told where it is more than scatter: of pure scatter in about one case of twenty', () => {
  const random = seededRandom(21);
  const rounds = (bias: number) => Array.from({ length: 400 }, () => biasOf(Array.from({ length: 8 }, () => bias + 0.1 * normal(random)))!);
  const without = rounds(0).filter((b) => b.biased).length / 400;
  expect(without).toBeGreaterThan(0.02);
  expect(without).toBeLessThan(0.09);
  const nine = rounds(0.2);
  expect(nine.filter((b) => b.biased).length / 400).toBeGreaterThan(0.95);
  expect(nine.reduce((s, b) => s + b.mean, 0) / 400).toBeCloseTo(0.2, 1);
  expect(biasOf([0.5, 0.4])!.biased).toBe(false);
  expect(biasOf([0, 0, 0, 0])).toMatchObject({ mean: 0, size: 0, biased: false });
  expect(biasOf([])).toBeNull();
});

test('the least stretch that is seen is that down to which three in four were', () => {
  const a = (by: number, right: boolean) => ({ truth: 0, said: right ? 0 : 1, error: right ? 0 : 1, by });
  expect(leastSeen([a(0.16, true), a(0.09, true), a(0.09, true), a(0.05, false), a(0.03, true)])).toBe(0.09);
  expect(leastSeen([a(0.16, false)])).toBeNull();
  expect(leastSeen([])).toBeNull();
});
