/** Two groups, few tools and a small room: looked through by a checker that knows nothing of how a timetable is made. */
import fc from 'fast-check';
import { english } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import { LESSON_MEDIA } from './media';
import { NO_SCHOOL } from './order';
import { makePlan, Plan } from './plan';
import { usualSteps } from './usual';
import { PlanWishes, stepOf } from './wishes';

/** What is shown to both groups, and to each, minute by minute: a teacher can show one thing at a time. */
function shownTwice({ periods, second }: Plan): string[] {
  const out: string[] = [];
  periods.forEach((first, p) => {
    const at = (entries: Plan['periods'][number], minute: number) =>
      entries.find((e) => e.kind === 'watch' && e.start <= minute && minute < e.start + e.minutes)?.step;
    const length = first.at(-1)!.start + first.at(-1)!.minutes;
    for (let m = 0; m < length; m++) {
      const [a, b] = [at(first, m), at(second![p], m)];
      if (a !== undefined && b !== undefined && a !== b) out.push(`period ${p + 1}, minute ${m}`);
    }
  });
  return out;
}

const mixed = (more: Partial<PlanWishes> = {}) =>
  makePlan(
    lessonWishes(
      [
        'pencil-draft',
        { ...stepOf('pen-line'), group: 'first' },
        { ...stepOf('pen-hatch'), group: 'first' },
        { ...stepOf('rub-out-pencil'), group: 'first' },
        { ...stepOf('crayon-line'), group: 'second' },
        { ...stepOf('crayon-fill'), group: 'second' },
        'first-wash',
      ],
      { second: { students: 10, youngest: 8 }, ...more },
    ),
  );

describe('two groups', () => {
  test('each does its own steps and those of both, begins and ends with the other, and is shown things the teacher is free to show', () => {
    const plan = mixed();
    const done = (periods: Plan['periods']) => [...new Set(periods.flat().flatMap((e) => (e.kind === 'turn' ? [e.step] : [])))];
    expect(done(plan.periods)).toEqual([0, 1, 2, 3, 6]);
    expect(done(plan.second!)).toEqual([0, 4, 5, 6]);
    expect(plan.second).toHaveLength(plan.periods.length);
    plan.periods.forEach((first, p) => {
      const [a, b] = [first, plan.second![p]].map((entries) => [entries[0].kind, entries.at(-1)!.kind, entries.at(-1)!.start]);
      expect(a).toEqual(b);
    });
    expect(shownTwice(plan)).toEqual([]);
    // The same pencil draft is shown once, to all.
    const draft = (periods: Plan['periods']) => periods[0].find((e) => e.kind === 'watch' && e.step === 0)!.start;
    expect(draft(plan.periods)).toBe(draft(plan.second!));
  });

  test('rules of order are read in each group by itself', () => {
    // Crayon lies under no pen line of the first group, and washable ink under no wash of the second.
    expect(mixed().warnings.filter((w) => w.weight !== 'mind')).toEqual([]);
    const inks = mixed({ ink: 'washable' }).warnings.filter((w) => w.rule === 'water-over-running');
    expect(inks.map((w) => [w.step, w.other])).toEqual([[6, 1]]);
  });

  test('materials are counted by who needs them', () => {
    const of = (plan: Plan, id: string) => plan.materials.find((m) => m.id === id)?.amount;
    const plan = mixed();
    expect([of(plan, 'pen'), of(plan, 'crayons'), of(plan, 'pencil')]).toEqual([14, 5, 24]);
  });

  test('however they are put together, no minute has two things shown and every group’s period is full', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LESSON_MEDIA),
        fc.constantFrom(...LESSON_MEDIA),
        fc.integer({ min: 45, max: 120 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 5, max: 18 }),
        (a, b, minutesPerPeriod, periods, youngest) => {
          const school = { contact: 'light-pencil', erasing: true, ...NO_SCHOOL } as const;
          const steps = [
            ...usualSteps(a, school).map((s) => ({ ...s, group: 'first' as const })),
            ...usualSteps(b, school).map((s) => ({ ...s, group: 'second' as const })),
          ];
          const plan = makePlan({
            ...lessonWishes([], { medium: a, minutesPerPeriod, periods, second: { students: 9, youngest } }),
            steps,
          });
          expect(shownTwice(plan)).toEqual([]);
          for (const entries of [...plan.periods, ...plan.second!]) {
            let at = 0;
            for (const e of entries) {
              expect([e.start, e.minutes > 0]).toEqual([at, true]);
              at += e.minutes;
            }
            expect(at).toBe(minutesPerPeriod);
          }
        },
      ),
      { seed: 31, numRuns: 60 },
    );
  });

  test('what both groups have in hand is shared: never more at once than there is', () => {
    const plan = makePlan(
      lessonWishes(
        ['pencil-draft', 'pen-line', { ...stepOf('pen-hatch'), group: 'first' }, { ...stepOf('crayon-line'), group: 'second' }],
        {
          second: { students: 10, youngest: 11 },
          shelf: { pen: 8 },
          periods: 4,
        },
      ),
    );
    expect(plan.steps.map((s) => s.rounds)).toEqual([1, 4, 4, 1]);
    // By the minute: a group at it in rounds has so many pens in hand.
    const inHand = (entries: Plan['periods'][number], minute: number, students: number) => {
      const e = entries.find((x) => x.start <= minute && minute < x.start + x.minutes)!;
      const pens = e.kind === 'turn' && plan.steps[e.step!].technique.startsWith('pen-');
      return pens ? Math.ceil(students / (e.round?.of ?? 1)) : 0;
    };
    plan.periods.forEach((first, p) => {
      for (let m = 0; m < 50; m++) expect(inHand(first, m, 14) + inHand(plan.second![p], m, 10)).toBeLessThanOrEqual(8);
    });
  });

  test('what only the other group has had is brought again', () => {
    const steps = [
      { ...stepOf('first-wash'), group: 'first' as const },
      { ...stepOf('second-wash'), group: 'second' as const },
      stepOf('lift-wash'),
    ];
    const brings = (more: Partial<PlanWishes>) =>
      makePlan(lessonWishes(steps, more)).steps.map((s) => s.brings.map((b) => english(b)).some((b) => /round brush/.test(b)));
    expect(brings({ second: { students: 10, youngest: 11 } })).toEqual([true, true, true]);
    expect(brings({})).toEqual([true, false, false]);
  });

  test('a second group of the whole class, or of nobody, names the field', () => {
    for (const students of [0, 24]) expect(() => mixed({ second: { students, youngest: 8 } })).toThrow(/second\.students|whole/);
  });
});

describe('what there is too little of', () => {
  const turnsOf = (plan: Plan, step: number) => plan.periods.flat().filter((e) => e.kind === 'turn' && e.step === step);

  test('eight pens for twenty-four are used in three groups, each with its full minutes, and no more pens are in hand than there are', () => {
    const plan = makePlan(lessonWishes(['pencil-draft', 'pen-line', 'rub-out-pencil'], { shelf: { pen: 8 }, periods: 4 }));
    const turns = turnsOf(plan, 1);
    const minutes = (n: number) => turns.filter((e) => e.round!.n === n).reduce((s, e) => s + e.minutes, 0);
    expect([1, 2, 3].map(minutes)).toEqual([1, 2, 3].map(() => plan.steps[1].minutes));
    expect(plan.steps[1].rounds).toBe(3);
    // The groups follow one another: at no minute are two at it.
    for (const entries of plan.periods) expect(new Set(entries.map((e) => e.start)).size).toBe(entries.length);
    expect(plan.warnings.find((w) => w.rule === 'shared')?.step).toBe(1);
    expect(plan.steps[0].rounds).toBe(1);
  });

  test('what goes from hand to hand asks for no groups; what there is none of is told; enough is silent', () => {
    const rounds = (shelf: PlanWishes['shelf']) => {
      const plan = makePlan(lessonWishes(['pencil-draft', 'pen-line', 'rub-out-pencil'], { shelf, periods: 3 }));
      return [plan.steps.map((s) => s.rounds), plan.warnings.filter((w) => w.rule === 'shared').map((w) => w.weight)];
    };
    expect(rounds({ eraser: 4 })).toEqual([[1, 1, 1], ['mind']]);
    expect(rounds({ pen: 0 })).toEqual([[1, 1, 1], ['risks']]);
    expect(rounds({ pen: 24, eraser: 12 })).toEqual([[1, 1, 1], []]);
  });

  test('fewer sinks make clearing up longer, as far as water is used', () => {
    const clearing = (ids: string[], sinks: number | null) =>
      makePlan(lessonWishes(ids, { room: { sinks, rack: null }, minutesPerPeriod: 90 })).periods[0].at(-1)!.minutes;
    const wet = ['pencil-draft', 'first-wash'];
    expect(clearing(wet, null)).toBe(clearing(wet, 6));
    // Six tables, one helper each, a minute and a half at the one sink, and three beforehand.
    expect(clearing(wet, 1)).toBe(12);
    expect(clearing(['pencil-draft'], 1)).toBe(clearing(['pencil-draft'], null));
  });

  test('wet sheets at the bell are counted against the rack: prints twice, dry ones not', () => {
    const rack = (ids: string[], places: number, more: Partial<PlanWishes> = {}) =>
      makePlan(lessonWishes(ids, { room: { sinks: null, rack: places }, ...more })).warnings.filter((w) => w.rule === 'rack');
    expect(rack(['pencil-draft', 'mirror-transfer', 'cut-block', 'pull-prints'], 47, { medium: 'print' })).toHaveLength(1);
    expect(rack(['pencil-draft', 'mirror-transfer', 'cut-block', 'pull-prints'], 48, { medium: 'print' })).toEqual([]);
    expect(rack(['pencil-draft', 'pencil-layers'], 0)).toEqual([]);
    const [told] = rack(['pencil-draft', 'first-wash', 'pull-prints'], 20);
    expect(english(told.reason)).toMatch(/still wet/);
    expect(english(told.remedy)).toMatch(/another place for \d+ sheets/);
  });
});
