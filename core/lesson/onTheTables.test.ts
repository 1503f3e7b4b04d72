/** What lies on the tables, who carries it, what is still to be got, and what a substitute costs. Common practice, no source. */
import fc from 'fast-check';
import { english } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import type { Properties } from '../colour/materials';
import { helpersIn, tableSet } from './helpers';
import { LESSON_MEDIA } from './media';
import { NO_SCHOOL } from './order';
import { makePlan } from './plan';
import { shelfKey, summed, toGet } from './quantities';
import { rehearsed, triesThatFit } from './rehearsal';
import { costsOf } from './substitute';
import { usualSteps } from './usual';

describe('tables and helpers', () => {
  test('six tables of four hold what the class needs, of what goes by the student, pair and table', () => {
    const plan = makePlan(lessonWishes(['pencil-draft', 'pen-line', 'first-wash']));
    const set = tableSet(plan.materials);
    const of = (name: RegExp) => set.find((s) => name.test(english(s.name)))?.n;
    expect([of(/pen-holder/), of(/ink pot/), of(/towel/), of(/sharpener/)]).toEqual([4, 2, 1, 1]);
    expect(of(/ml/)).toBeUndefined();
  });

  test('everything a lesson brings is carried once, in time, and all is collected at the end of every period', () => {
    fc.assert(
      fc.property(fc.constantFrom(...LESSON_MEDIA), fc.integer({ min: 45, max: 120 }), (medium, minutesPerPeriod) => {
        const steps = usualSteps(medium, { contact: 'light-pencil', erasing: true, ...NO_SCHOOL });
        const plan = makePlan({ ...lessonWishes([], { medium, minutesPerPeriod }), steps });
        const carried = plan.periods.flatMap((entries) => helpersIn(entries, plan).flatMap((r) => r.things.map((t) => english(t))));
        expect(carried).toEqual(plan.steps.flatMap((s) => s.brings.map((b) => english(b))));
        for (const entries of plan.periods) {
          const rounds = helpersIn(entries, plan);
          expect(rounds.at(-1)).toMatchObject({ kind: 'collect', at: entries.at(-1)!.start });
          expect(rounds.map((r) => r.at)).toEqual(rounds.map((r) => r.at).sort((a, b) => a - b));
        }
      }),
      { seed: 3, numRuns: 60 },
    );
  });

  test('water is fresh before the second wet step of a period, and not before the first', () => {
    const plan = makePlan(lessonWishes(['first-wash', 'second-wash'], { minutesPerPeriod: 120, periods: 1 }));
    const waters = helpersIn(plan.periods[0], plan).filter((r) => r.kind === 'water');
    const second = plan.periods[0].find((e) => e.step === 1)!;
    expect(waters.map((r) => r.at)).toEqual([second.start]);
  });
});

describe('still to get', () => {
  const { materials } = makePlan(lessonWishes(['pencil-draft', 'pen-line']));

  test('whole packs of what is not on the shelf, and what they cost', () => {
    const pens = toGet(materials, { pen: 9 }, { pen: { pack: 4, cost: 6.5 } }).find((g) => shelfKey(g.need) === 'pen')!;
    // 24 − 9 = 15 pens are four packs of four.
    expect([pens.amount, pens.packs, pens.cost]).toEqual([15, 4, 26]);
    expect(toGet(materials, { pen: 24 }, {}).some((g) => shelfKey(g.need) === 'pen')).toBe(false);
    expect(toGet(materials, {}, {}).every((g) => g.cost === null && g.packs === null)).toBe(true);
  });

  test('what is bought is never less than what is missing, nor a pack more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 1, max: 40 }), (have, pack) => {
        for (const g of toGet(materials, { pen: have }, { pen: { pack, cost: 1 } })) {
          if (g.packs === null) continue;
          expect(g.packs * pack).toBeGreaterThanOrEqual(g.amount);
          expect((g.packs - 1) * pack).toBeLessThan(g.amount);
        }
      }),
    );
  });

  test('the lists of two groups are one, a thing once', () => {
    const both = summed([materials, materials]);
    expect(both.map(shelfKey)).toEqual(materials.map(shelfKey));
    expect(both.map((m) => m.amount)).toEqual(materials.map((m) => 2 * m.amount));
  });
});

describe('what a substitute costs in effect', () => {
  const asked = { lineMm: 0.5, swell: 1.8, washed: true, grain: false };
  const costs = (kind: Parameters<typeof costsOf>[0]['kind'], properties: Properties, more: Partial<typeof asked> = {}) =>
    costsOf({ kind, properties }, { ...asked, ...more }).map((m) => english(m));

  test('a pressed crayon: 1 to 4 mm, no taper', () => {
    const [broader, swell] = costs('crayon', { leastMm: 1, mostMm: 4, taper: false });
    expect(broader).toMatch(/^Draws 1.0 mm to 4.0 mm where the master’s lines are 0.50 mm: 2 times too broad/);
    expect(swell).toMatch(/does not swell/);
  });
  test.each<[Parameters<typeof costsOf>[0]['kind'], Properties, RegExp]>([
    ['ink', { waterproof: false }, /no wash over it/],
    ['tool', { leastMm: 0.1, mostMm: 0.2 }, /twice/],
    ['paper', { wetStrong: false }, /Buckles/],
    ['paper', { tooth: 'rough' }, /break where the master’s do not/],
    ['paint', { opacity: 'opaque' }, /no glow/],
  ])('%s %j', (kind, properties, said) => expect(costs(kind, properties).join(' ')).toMatch(said));
  test('smooth paper costs only where grain is wanted; an even line only where the master’s swells', () => {
    expect(costs('paper', { tooth: 'smooth' })).toEqual([]);
    expect(costs('paper', { tooth: 'smooth' }, { grain: true })).toHaveLength(1);
    expect(costs('tool', { taper: false }, { swell: 1.05 })).toEqual([]);
  });
  test('nothing is told of what is not known of the thing, or was not measured', () => {
    expect(costs('tool', {})).toEqual([]);
    expect(
      costsOf({ kind: 'tool', properties: { leastMm: 3, taper: false } }, { lineMm: null, swell: null, washed: false, grain: false }),
    ).toEqual([]);
    expect(costs('ink', { waterproof: false }, { washed: false })).toEqual([]);
  });
});

describe('a rehearsal ladder', () => {
  const ids = ['pencil-draft', 'pen-line', 'rub-out-pencil'];
  test('more time gives more tries; none of them makes the lesson longer or hurries it', () => {
    const tries = [80, 100, 130].map((minutesPerPeriod) => {
      const wishes = lessonWishes(ids, { minutesPerPeriod, periods: 1 });
      const n = triesThatFit(wishes);
      const plan = makePlan({ ...wishes, steps: rehearsed(wishes.steps, n) });
      const one = makePlan({ ...wishes, steps: rehearsed(wishes.steps, 1) });
      if (n > 1) expect([plan.periods.length, plan.squeeze <= 0.3]).toEqual([one.periods.length, true]);
      return n;
    });
    expect(tries).toEqual([...tries].sort((a, b) => a - b));
    expect(tries[0]).toBeGreaterThanOrEqual(1);
    expect(tries[2]).toBeGreaterThan(tries[0]);
  });
  test('it takes the place of the one before, and leaves the lesson as it is', () => {
    const { steps } = lessonWishes(ids);
    const twice = rehearsed(rehearsed(steps, 3), 2);
    expect(twice.map((s) => s.technique)).toEqual(['own-sketch', 'toward', 'toward', ...ids]);
  });
});
