/**
 * Five lessons of unlike media and ages, planned without a false warning, each with one real fault seeded and found; and every timetable
 * looked through by a checker that knows nothing of how it is made.
 */
import fc from 'fast-check';
import { english } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import { makePlan, Plan } from './plan';
import { usualSteps } from './usual';
import { PlanStep, PlanWishes, stepOf } from './wishes';
import { LESSON_MEDIA } from './media';
import { NO_SCHOOL } from './order';
import { NEW_STEP } from './ownStep';

const ofOrder = (plan: Plan) =>
  plan.warnings.filter((w) => !['drying', 'shortened', 'over-time', 'short-drying'].includes(w.rule)).map((w) => w.rule);

const blueSheet = stepOf('own', {
  ...NEW_STEP,
  name: 'Choose the blue sheet',
  does: 'Hold three blues beside the source.',
  role: 'apart',
  least: 2,
  usual: 4,
});

const LESSONS: [string, Partial<PlanWishes>, (string | PlanStep)[], string, (string | PlanStep)[], Partial<PlanWishes>?][] = [
  [
    'cut paper and wax at six',
    { medium: 'collage', youngest: 6, minutesPerPeriod: 45 },
    ['big-shapes', 'crayon-line', 'cut-parts', 'lay-parts', 'glue-parts', 'label'],
    'nothing-before',
    ['big-shapes', 'crayon-line', 'glue-parts', 'cut-parts', 'lay-parts'],
  ],
  [
    'stencil and felt pen at eleven',
    { medium: 'stencil', youngest: 11 },
    ['pencil-draft', 'cut-stencil', 'dab-stencil', 'felt-line', 'mount'],
    'water-over-running',
    ['pencil-draft', 'felt-line', 'cut-stencil', 'first-wash', 'dab-stencil'],
  ],
  [
    'chalk on blue at fifteen',
    { medium: 'charcoal', youngest: 15 },
    [blueSheet, 'charcoal-line', 'charcoal-mass', 'chalk-lights', 'smudge', 'charcoal-darks', 'chalk-lights', 'fix'],
    'ground-first',
    ['charcoal-line', 'tone-sheet', 'charcoal-mass', 'chalk-lights', 'fix'],
  ],
  [
    'reed pen and wash at seventeen',
    { medium: 'pen-and-wash', youngest: 17, minutesPerPeriod: 90 },
    ['pencil-draft', 'pen-line', 'rub-out-pencil', 'first-wash', 'second-wash'],
    'water-over-running',
    ['pencil-draft', 'pen-line', 'rub-out-pencil', 'first-wash', 'second-wash'],
    { ink: 'washable' },
  ],
  [
    'layered pastel for adults',
    { medium: 'pastel', youngest: 30, minutesPerPeriod: 120 },
    ['tone-sheet', 'charcoal-line', 'pastel-under', 'pastel-top', 'smudge', 'pastel-top', 'fix'],
    'rub-out-dust',
    ['tone-sheet', 'pencil-draft', 'pastel-under', 'rub-out-pencil', 'pastel-top', 'fix'],
  ],
];

test.each(LESSONS)('%s: no false warning, and the seeded fault is found', (_, more, good, rule, bad, spoilt = {}) => {
  const plan = makePlan(lessonWishes(good, more));
  expect(ofOrder(plan)).toEqual([]);
  expect(faultsOf(plan, more.minutesPerPeriod ?? 50, more.youngest)).toEqual([]);
  expect(ofOrder(makePlan(lessonWishes(bad, { ...more, ...spoilt })))).toContain(rule);
});

/** Minutes a turn gets, and where it lies: first and last minute counted over all periods, each by itself. */
function faultsOf(plan: Plan, length: number, youngest = 13): string[] {
  const least = youngest < 8 || youngest >= 14 ? 4 : 5;
  const out: string[] = [];
  const turns = plan.periods.flatMap((p, period) =>
    p.filter((e) => e.kind === 'turn').map((e) => ({ ...e, period, end: e.start + e.minutes })),
  );
  plan.periods.forEach((p, i) => {
    let at = 0;
    for (const e of p) {
      if (e.start !== at || e.minutes <= 0) out.push(`period ${i + 1}: a gap at ${at}`);
      at = e.start + e.minutes;
    }
    if (at !== length) out.push(`period ${i + 1} ends at ${at}`);
    if (p.at(-1)?.kind !== 'clear-up') out.push(`period ${i + 1} ends without clearing up`);
    // Filler is short; what is longer has a task of its own.
    for (const e of p) if (e.kind === 'spare' && e.minutes >= 12) out.push(`period ${i + 1}: ${e.minutes} minutes of filler`);
  });
  plan.steps.forEach((s, i) => {
    const own = turns.filter((t) => t.step === i);
    // Nobody settles to work for less, unless the whole step is shorter; and what is shown is begun in the same period.
    for (const t of own) if (t.minutes < Math.min(least, s.minutes)) out.push(`${english(s.name)}: a turn of ${t.minutes} minutes`);
    if (own.reduce((sum, t) => sum + t.minutes, 0) !== s.minutes) out.push(`${english(s.name)}: not its minutes`);
    // It is shown before it is done.
    const watch = plan.periods.flatMap((p, period) =>
      p.filter((e) => e.kind === 'watch' && e.step === i).map((e) => ({ ...e, period })),
    )[0];
    if (s.knows.demonstration > 0 && (!watch || watch.period !== own[0].period || watch.start > own[0].start))
      out.push(`${english(s.name)}: done before it is shown`);
    // Nothing wet, and no eraser, touches a sheet that is still wet in the same period.
    const last = own.at(-1)!;
    for (const later of turns.filter((t) => t.step! > i && t.period === last.period)) {
      const next = plan.steps[later.step!].knows;
      const touches = next.lays.includes('wet') || next.role === 'rub-out';
      if (touches && s.knows.role !== 'apart' && later.start - last.end < s.dry)
        out.push(`${english(plan.steps[later.step!].name)} on a wet sheet`);
    }
  });
  const order = turns.map((t) => t.step!);
  if (order.some((s, i) => i > 0 && s < order[i - 1])) out.push('steps out of order');
  return out;
}

test('every usual lesson in periods of any length holds before the checker', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...LESSON_MEDIA),
      fc.integer({ min: 40, max: 150 }),
      fc.integer({ min: 1, max: 5 }),
      fc.integer({ min: 5, max: 40 }),
      (medium, minutesPerPeriod, periods, youngest) => {
        const steps = usualSteps(medium, { contact: 'light-pencil', erasing: true, ...NO_SCHOOL });
        const plan = makePlan({ ...lessonWishes([], { medium, minutesPerPeriod, periods, youngest }), steps });
        expect(ofOrder(plan)).toEqual([]);
        expect(faultsOf(plan, minutesPerPeriod, youngest)).toEqual([]);
      },
    ),
    { seed: 14, numRuns: 150 },
  );
});

test('a turn that is done too early, or on a wet sheet, does not pass the checker', () => {
  const plan = makePlan(lessonWishes(['pencil-draft', 'pen-line', 'first-wash', 'second-wash'], { minutesPerPeriod: 150, periods: 1 }));
  const wet = structuredClone(plan.periods);
  const wait = wet[0].findIndex((e) => e.kind === 'wait' || e.kind === 'meanwhile');
  const [gone] = wet[0].splice(wait, 1);
  for (const e of wet[0].slice(wait)) e.start -= gone.minutes;
  wet[0].at(-1)!.minutes += gone.minutes;
  expect(faultsOf({ ...plan, periods: wet }, 150).join()).toMatch(/on a wet sheet/);
});

// The fewest periods of all ways to set each step between its fewest and its usual minutes.
test('no way of shortening steps fits a small lesson into fewer periods than the plan finds', () => {
  const short = ['big-shapes', 'pen-line', 'rub-out-pencil', 'first-wash', 'dry-brush', 'accent', 'lift-wash', 'stipple'];
  fc.assert(
    fc.property(fc.subarray(short, { minLength: 2, maxLength: 3 }), fc.integer({ min: 36, max: 64 }), (ids, minutesPerPeriod) => {
      const free = makePlan(lessonWishes(ids, { minutesPerPeriod, periods: 1 }));
      const ranges = free.steps.map((s) => Array.from({ length: s.knows.usual - s.knows.least + 1 }, (_, k) => s.knows.least + k));
      let fewest = Infinity;
      const walk = (i: number, set: number[]) => {
        if (i < ranges.length) return ranges[i].forEach((m) => walk(i + 1, [...set, m]));
        const steps = ids.map((id, k) => ({ ...stepOf(id), minutes: set[k] }));
        fewest = Math.min(fewest, makePlan(lessonWishes(steps, { minutesPerPeriod, periods: 1 })).periods.length);
      };
      walk(0, []);
      expect(free.periods.length).toBe(fewest);
    }),
    { seed: 5, numRuns: 25 },
  );
});
