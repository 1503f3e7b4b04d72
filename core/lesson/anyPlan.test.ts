/** Whatever steps a teacher puts in whatever order, with whatever minutes, the plan holds together. */
import fc from 'fast-check';
import { cautionsFor } from './hazards';
import { orderWarnings, SCHOOLS } from './order';
import { english } from '../../tests/support/english';
import { makePlan } from './plan';
import { USUAL_SHARES } from './usual';
import { PlanWishes, NO_STROKES } from './wishes';
import { amountNeeded } from './quantities';
import { LESSON_MEDIA } from './media';
import { techniqueOf, techniquesFor } from './techniques';

const wishes: fc.Arbitrary<PlanWishes> = fc.constantFrom(...LESSON_MEDIA).chain((medium) =>
  fc.record({
    medium: fc.constant(medium),
    ink: fc.constantFrom('waterproof' as const, 'washable' as const),
    contact: fc.constantFrom('light-pencil' as const, 'straight-in' as const),
    erasing: fc.boolean(),
    outline: fc.constantFrom(...SCHOOLS.outline),
    lineOrTone: fc.constantFrom(...SCHOOLS.lineOrTone),
    blending: fc.constantFrom(...SCHOOLS.blending),
    second: fc.constant(null),
    room: fc.record({ sinks: fc.option(fc.integer({ min: 1, max: 6 })), rack: fc.option(fc.integer({ min: 0, max: 60 })) }),
    coats: fc.constant({}),
    shelf: fc.constant({}),
    youngest: fc.integer({ min: 5, max: 20 }),
    lengths: fc.array(fc.integer({ min: 25, max: 240 }), { maxLength: 4 }),
    minutesPerPeriod: fc.integer({ min: 25, max: 240 }),
    periods: fc.integer({ min: 1, max: 8 }),
    classSize: fc.integer({ min: 1, max: 60 }),
    sheetMm: fc.constantFrom([297, 210] as const, [420, 297] as const, [148, 105] as const),
    shares: fc.constant(USUAL_SHARES),
    strokes: fc.constantFrom(NO_STROKES, {
      gap: { amount: 1.6, unit: 'mm' as const },
      slant: 152,
      crossing: 80,
      length: null,
      width: null,
    }),
    steps: fc.array(
      fc.record({
        technique: fc.constantFrom(...techniquesFor(medium).map((t) => t.id)),
        minutes: fc.option(fc.integer({ min: 1, max: 90 })),
        dry: fc.option(fc.integer({ min: 0, max: 60 })),
        note: fc.constant(''),
        own: fc.constant(null),
        option: fc.constant(null),
        kept: fc.constant([]),
        pictureId: fc.constant(null),
        group: fc.constant('both' as const),
        laying: fc.constant(null),
        built: fc.constant(false),
      }),
      { minLength: 1, maxLength: 10 },
    ),
  }),
);

test('periods are full to the minute, every step gets its time and none is lost', () => {
  fc.assert(
    fc.property(wishes, (w) => {
      const plan = makePlan(w);
      expect(plan.steps.map((s) => s.technique)).toEqual(w.steps.map((s) => s.technique));
      plan.periods.forEach((period, p) => {
        let at = 0;
        for (const e of period) {
          expect(e.start).toBe(at);
          expect(Number.isInteger(e.minutes) && e.minutes > 0).toBe(true);
          expect(english(e.title)).not.toMatch(/^$|schedule\.|[{}]/);
          expect(english(e.text)).not.toMatch(/schedule\.|techniques\.|[{}]/);
          at += e.minutes;
        }
        expect(at).toBe(w.lengths[p] ?? w.minutesPerPeriod);
      });
      plan.steps.forEach((s, i) => {
        const given = plan.periods.flat().filter((e) => e.kind === 'turn' && e.step === i);
        expect([i, given.reduce((sum, e) => sum + e.minutes, 0)]).toEqual([i, s.minutes]);
        // What the teacher set is not shortened behind the teacher's back.
        if (w.steps[i].dry !== null) expect(s.dry).toBe(w.steps[i].dry);
      });
    }),
    { seed: 21, numRuns: 250 },
  );
});

test('every warning names a step that is there, says why, and says what to do', () => {
  fc.assert(
    fc.property(wishes, (w) => {
      for (const warning of makePlan(w).warnings) {
        if (warning.step !== null) expect(w.steps[warning.step]).toBeDefined();
        if (warning.other !== null) expect(w.steps[warning.other]).toBeDefined();
        expect(english(warning.reason)).toMatch(/^[A-Z“].*[.!]$/);
        expect(english(warning.remedy)).toMatch(/^[A-Z“].*[.!]$/);
      }
    }),
    { seed: 22, numRuns: 150 },
  );
});

test('waterproof ink never warns of more than washable ink does about water', () => {
  fc.assert(
    fc.property(wishes, (w) => {
      const steps = w.steps.map((s) => techniqueOf(s.technique)!);
      const runs = (ink: 'waterproof' | 'washable') =>
        orderWarnings(steps, { ...w, ink }).filter((x) => x.rule === 'water-over-running').length;
      expect(runs('waterproof')).toBeLessThanOrEqual(runs('washable'));
    }),
    { seed: 23, numRuns: 150 },
  );
});

test('a larger class needs no less of anything, one student alone no more than a table', () => {
  fc.assert(
    fc.property(wishes, (w) => {
      const amounts = (classSize: number) => new Map(makePlan({ ...w, classSize }).materials.map((m) => [m.id, m]));
      const [few, many] = [amounts(3), amounts(30)];
      expect([...many.keys()].sort()).toEqual([...few.keys()].sort());
      for (const [id, need] of few) {
        expect(need.amount).toBeGreaterThan(0);
        expect(many.get(id)!.amount).toBeGreaterThanOrEqual(need.amount);
        expect(english(amountNeeded(need))).not.toMatch(/NaN|undefined/);
      }
    }),
    { seed: 24, numRuns: 120 },
  );
});

test('the younger the class, the more cautions; labels are always named', () => {
  fc.assert(
    fc.property(wishes, (w) => {
      const [young, old] = [6, 18].map((youngest) => makePlan({ ...w, youngest }).cautions);
      expect(young.length).toBeGreaterThanOrEqual(old.length);
      expect(old.map((c) => english(c)).join(' ')).toMatch(/label/i);
    }),
    { seed: 25, numRuns: 80 },
  );
  expect(cautionsFor([], 12).length).toBeGreaterThan(0);
});
