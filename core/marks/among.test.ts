import { mean, normal, seededRandom } from '../raster/statistics';
import { among, usualKinds } from './among';
import { Belief, beliefOf, likeliest, MARK_KINDS, MarkKind } from './kinds';

const belief = (of: Partial<Belief>): Belief => beliefOf(MARK_KINDS.map((k) => of[k] ?? 0));
const EVEN = beliefOf(MARK_KINDS.map(() => 1 / MARK_KINDS.length));
const sum = (b: Belief) => MARK_KINDS.reduce((s, k) => s + b[k], 0);

/** Places of a picture whose clue is drawn about 0 for washes and about `apart` for dabs, with chances as for kinds that are alike often (Bayes). */
function picture(places: number, washes: number, apart: number, seed: number): { kind: MarkKind; alone: Belief }[] {
  const r = seededRandom(seed);
  return Array.from({ length: places }, () => {
    const kind: MarkKind = r() < washes ? 'wash' : 'dabs';
    const x = normal(r) + (kind === 'dabs' ? apart : 0);
    const wash = 1 / (1 + Math.exp(apart * x - (apart * apart) / 2));
    return { kind, alone: belief({ wash, dabs: 1 - wash }) };
  });
}

test('where nothing is known of a picture all kinds are alike, and a place keeps its chances', () => {
  const none = usualKinds([]);
  for (const k of MARK_KINDS) expect(none[k]).toBeCloseTo(1 / MARK_KINDS.length, 12);
  const place = belief({ line: 0.6, wash: 0.3, flat: 0.1 });
  const kept = among(place, EVEN);
  for (const k of MARK_KINDS) expect(kept[k]).toBeCloseTo(place[k], 12);
});

test('shares of kinds are found from unsure places alone, as by maximum likelihood', () => {
  for (const washes of [0.95, 0.8, 0.6]) {
    const places = picture(4000, washes, 1.5, 7);
    const usual = usualKinds(places.map((p) => p.alone));
    expect(sum(usual)).toBeCloseTo(1, 9);
    // Fifty places that say nothing among four thousand move it by under 0.02; sampling by about as much.
    expect(usual.wash).toBeGreaterThan(washes - 0.05);
    expect(usual.wash).toBeLessThan(washes + 0.05);
    // The mean of the chances as they stand leans toward the middle.
    const plain = mean(places.map((p) => p.alone.wash));
    expect(Math.abs(usual.wash - washes)).toBeLessThan(Math.abs(plain - washes) + 0.01);
  }
});

test('what a picture is mostly made of is told more often rightly, and few places change little', () => {
  const places = picture(600, 0.9, 1.2, 11);
  const usual = usualKinds(places.map((p) => p.alone));
  const right = (of: (b: Belief) => Belief) => mean(places.map((p) => (likeliest(of(p.alone)) === p.kind ? 1 : 0)));
  expect(right((b) => among(b, usual))).toBeGreaterThan(right((b) => b) + 0.08);
  const few = usualKinds(places.slice(0, 4).map((p) => p.alone));
  for (const k of MARK_KINDS) expect(Math.abs(few[k] - EVEN[k])).toBeLessThan(0.09);
});

test('a kind that a place cannot be is not made likely by its picture', () => {
  const usual = usualKinds(Array.from({ length: 200 }, () => belief({ wash: 1 })));
  const place = belief({ line: 0.9, dabs: 0.1 });
  expect(likeliest(among(place, usual))).toBe('line');
  expect(among(place, usual).wash).toBe(0);
});
