/** Changes that make a lesson fit, held against trying all of them; and what a change moves. */
import fc from 'fast-check';
import { english } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import { canFit } from './fitting';
import { LESSON_MEDIA } from './media';
import { movedBetween } from './movedSteps';
import { NO_SCHOOL } from './order';
import { makePlan } from './plan';
import { waysToFit } from './smallest';
import { usualSteps } from './usual';
import { PlanWishes, stepOf } from './wishes';

const fits = (wishes: PlanWishes) => makePlan(wishes).periods.length <= wishes.periods;
const changed = (wishes: PlanWishes, to: ReturnType<typeof waysToFit>[number]['to']): PlanWishes => ({ ...wishes, ...to });

const tight = fc
  .record({
    medium: fc.constantFrom(...LESSON_MEDIA),
    minutesPerPeriod: fc.integer({ min: 38, max: 70 }),
    periods: fc.integer({ min: 1, max: 2 }),
    pens: fc.option(fc.integer({ min: 4, max: 24 })),
  })
  .map(({ medium, pens, ...more }): PlanWishes => {
    const wishes = lessonWishes([], { medium, ...more, shelf: pens === null ? {} : { pen: pens } });
    return { ...wishes, steps: usualSteps(medium, { contact: 'light-pencil', erasing: true, ...NO_SCHOOL }) };
  });

test('every change that is told makes the lesson fit by itself, and one is told whenever it does not fit', () => {
  fc.assert(
    fc.property(tight, (wishes) => {
      const ways = waysToFit(wishes);
      expect(ways.length > 0).toBe(!fits(wishes));
      for (const { to, said } of ways) {
        expect([english(said), fits(changed(wishes, to))]).toEqual([english(said), true]);
        expect(english(said)).not.toMatch(/plan\.ways|[{}]/);
      }
    }),
    { seed: 17, numRuns: 60 },
  );
});

test('the minutes and periods that are told are the fewest: every smaller number has been tried', () => {
  fc.assert(
    fc.property(tight, (wishes) => {
      const ways = waysToFit(wishes);
      const longer = ways.find((w) => w.to.minutesPerPeriod)?.to.minutesPerPeriod;
      const more = ways.find((w) => w.to.periods)?.to.periods;
      // A longer period may now and then fit less well than a shorter one: none below the one told fits for good.
      if (longer) expect(fits({ ...wishes, minutesPerPeriod: longer - 1 })).toBe(false);
      for (let n = wishes.periods + 1; more && n < more; n++) expect(fits({ ...wishes, periods: n })).toBe(false);
    }),
    { seed: 18, numRuns: 40 },
  );
});

test('a quick look whether it fits says the same as the whole plan', () => {
  fc.assert(
    fc.property(tight, (wishes) => expect(canFit(wishes)).toBe(fits(wishes))),
    { seed: 19, numRuns: 60 },
  );
});

test('a step left out takes nothing with it that others build on', () => {
  // The first wash is among the shortest, but the second one builds on it.
  const ids = ['pencil-draft', 'pen-line', 'pen-hatch', 'rub-out-pencil', 'first-wash', 'second-wash'];
  const left = [90, 100, 110, 120, 130].flatMap((minutesPerPeriod) =>
    waysToFit(lessonWishes(ids, { periods: 1, minutesPerPeriod })).flatMap(({ to }) =>
      to.steps && to.steps.length < ids.length ? [to.steps.map((s) => s.technique)] : [],
    ),
  );
  expect(left.length).toBeGreaterThan(0);
  for (const rest of left) expect(rest.includes('second-wash') && !rest.includes('first-wash')).toBe(false);
});

test('minutes a teacher has set, and tools that are short, are named where they are what is in the way', () => {
  const set = lessonWishes(['pencil-draft', { ...stepOf('pen-line'), minutes: 60 }, 'rub-out-pencil'], {
    periods: 1,
    minutesPerPeriod: 75,
  });
  const ways = waysToFit(set);
  expect(ways.map((w) => english(w.said))[0]).toMatch(/Leave the minutes of “Draw the line in ink” to the plan; you set 60\./);
  const short = lessonWishes(['pencil-draft', 'pen-line', 'rub-out-pencil'], { periods: 1, minutesPerPeriod: 75, shelf: { pen: 6 } });
  const tools = waysToFit(short).find((w) => w.to.shelf)!;
  expect([english(tools.said), tools.to.shelf]).toEqual([expect.stringMatching(/^Get 18 more/), { pen: 24 }]);
});

describe('what a change moves', () => {
  const plan = (more: Partial<PlanWishes>, ids = ['pencil-draft', 'pen-line', 'rub-out-pencil', 'first-wash']) =>
    makePlan(lessonWishes(ids, more));
  const told = (a: ReturnType<typeof plan>, b: ReturnType<typeof plan>) => movedBetween(a, b).map((m) => english(m));

  test('nothing is told of what stayed', () => {
    expect(told(plan({}), plan({}))).toEqual([]);
    // Another thing on the shelf that is enough moves nothing.
    expect(told(plan({}), plan({ shelf: { pen: 24 } }))).toEqual([]);
  });
  test('periods, steps that fall into another one, and minutes', () => {
    const [before, after] = [plan({ minutesPerPeriod: 120, periods: 1 }), plan({ minutesPerPeriod: 50, periods: 3 })];
    expect(told(before, after)).toEqual([
      'one period became 3.',
      '“Draft lightly in pencil” from ' + `${before.steps[0].minutes} to ${after.steps[0].minutes} minutes.`,
      ...told(before, after).slice(2),
    ]);
    expect(told(before, after).join(' ')).toMatch(/“First wash, pale” from period 1 to 3\./);
  });
  test('a step that is new, or gone, or moved in the list, is known by what it is', () => {
    const before = plan({}, ['pencil-draft', 'pen-line', 'stipple', 'stipple']);
    const after = plan({}, ['pencil-draft', 'stipple', 'pen-line', 'stipple', 'accent']);
    for (const said of told(before, after)) expect(said).not.toMatch(/one small strong colour/);
    expect(movedBetween(before, before)).toEqual([]);
  });
});

test('two groups: changes that are told make it fit for both', () => {
  const wishes = lessonWishes([], { medium: 'pen-and-wash', minutesPerPeriod: 50, periods: 1, second: { students: 9, youngest: 8 } });
  const steps = usualSteps('pen-and-wash', wishes).map((s, i) => ({ ...s, group: (['both', 'first', 'second'] as const)[i % 3] }));
  const two = { ...wishes, steps };
  expect(fits(two)).toBe(false);
  const ways = waysToFit(two);
  expect(ways.length).toBeGreaterThan(0);
  for (const { to } of ways) expect(fits(changed(two, to))).toBe(true);
});
