/** Steps of a teacher's own: taken as they were written, refused by their field, and followed by every rule. */
import { english, toldBy } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import { readStepFile, stepsAsJson } from '../formats/stepFile';
import { makePlan } from './plan';
import { OWN, PlanStep, stepOf } from './wishes';
import { asTechnique, checkedStep, fromTechnique, NEW_STEP } from './ownStep';
import { OwnStep } from './technique';
import { techniqueOf } from './techniques';

const coffee: OwnStep = {
  ...NEW_STEP,
  name: 'Coffee wash',
  does: 'Lay cold coffee over the shadows.',
  role: 'wash',
  lays: ['wet', 'transparent'],
  usual: 12,
  least: 6,
  dry: 25,
  byAge: { under8: 8 },
  options: [
    { name: 'weak', how: 'one part to four' },
    { name: 'strong', how: 'as it is' },
  ],
  items: [{ what: 'cold coffee, cup', n: 1, per: 'table' }],
  caution: 'Cold, never hot.',
};
const lesson = (steps: PlanStep[], more = {}) =>
  makePlan(lessonWishes(steps, { ink: 'washable', medium: 'pen', minutesPerPeriod: 90, periods: 2, classSize: 22, ...more }));

describe('a step of one’s own', () => {
  test('is taken as it was written, and through a file and back', () => {
    expect(checkedStep(coffee)).toEqual(coffee);
    expect(readStepFile(stepsAsJson([coffee, { ...coffee, name: 'Tea wash' }]))).toEqual([coffee, { ...coffee, name: 'Tea wash' }]);
    for (const bad of ['{', '{"format":"oldhand.kit/1","steps":[]}', '{"format":"oldhand.step/1","steps":[]}'])
      expect(toldBy(() => readStepFile(bad))).toMatch(/steps file/);
  });

  test.each([
    [{ name: ' ' }, /field “name” needs/],
    [{ does: '' }, /field “does” needs/],
    [{ usual: 0 }, /field “usual” must be a whole number from 1 to 240/],
    [{ least: 30 }, /fewest minutes \(30\) are more/],
    [{ dry: 12.5 }, /field “dry”/],
    [{ role: 'magic' }, /field “role”/],
    [{ lays: ['wet', 'loud'] }, /field “lays”/],
    [{ lays: ['opaque', 'transparent'] }, /both “opaque” and “transparent”/],
    [{ after: ['no-such'] }, /field “after”/],
    [{ forbids: ['no-such'] }, /field “forbids”/],
    [{ options: [{ name: 'weak', how: '' }] }, /one way alone is no option/],
    [{ items: [{ what: '', n: 1, per: 'table' }] }, /field “items 1”/],
    [{ byAge: { under8: 0 } }, /byAge under8/],
    [{ watch: 'x'.repeat(501) }, /field “watch” holds at most 500/],
  ])('%j is refused by its field', (part, said) => {
    expect(toldBy(() => checkedStep({ ...coffee, ...part }))).toMatch(said);
  });

  test('takes an age’s own time', () => {
    expect(asTechnique(coffee, OWN, 6)).toMatchObject({ usual: 8, least: 6 });
    expect(asTechnique(coffee, OWN, 15)).toMatchObject({ usual: 12, least: 6 });
  });

  test('follows the rules of order, unless one is broken on purpose', () => {
    const steps = [stepOf('pencil-draft'), stepOf('pen-line'), stepOf(OWN, coffee)];
    expect(lesson(steps).warnings.map((w) => w.rule)).toContain('water-over-running');
    const kept = lesson([...steps.slice(0, 2), { ...steps[2], kept: ['water-over-running'] }]);
    expect(kept.warnings.map((w) => w.rule)).not.toContain('water-over-running');
    expect(kept.kept.map((w) => w.rule)).toEqual(['water-over-running']);
    expect(english(lesson(steps).warnings[0].reason)).toMatch(/Coffee wash/);
  });

  test('says what must not follow it, and who is at it', () => {
    const alone = { ...coffee, forbids: ['pen-line'], who: 'all' as const };
    const plan = lesson([stepOf(OWN, alone), stepOf('pen-line')]);
    const told = plan.warnings.find((w) => w.rule === 'forbidden-after')!;
    expect([told.step, told.other, told.weight]).toEqual([1, 0, 'spoils']);
    expect(lesson([stepOf('pen-line'), stepOf(OWN, alone)]).warnings.map((w) => w.rule)).not.toContain('forbidden-after');
    expect(plan.periods.flat().find((e) => e.kind === 'turn' && e.step === 0)?.who).toBe('all');
  });

  test('brings its things, its caution and its chosen way into the lesson', () => {
    const plan = lesson([stepOf('pencil-draft'), { ...stepOf(OWN, coffee), option: 'weak' }, stepOf('label')]);
    expect(plan.materials.find((m) => english(m.name) === 'cold coffee, cup')).toMatchObject({ amount: 6 });
    expect(plan.cautions.map((c) => english(c))).toContain('Cold, never hot.');
    expect(plan.steps[1].brings.map((b) => english(b))).toContain('cold coffee, cup');
    // Chosen at one step it is carried into the later ones.
    expect(plan.steps[2].carried.map((c) => c.option)).toEqual([{ typed: 'weak' }]);
    expect(plan.periods.flat().map((e) => english(e.title))).toContain('Coffee wash: weak');
    // Dried before the next wet step as any wash is.
    const twice = lesson([stepOf(OWN, coffee), stepOf('first-wash')]);
    expect(twice.warnings.find((w) => w.rule === 'drying')).toBeDefined();
  });

  test('a known technique is changed in a lesson and keeps what it asks for', () => {
    const known = techniqueOf('pen-line')!;
    const mine = { ...fromTechnique(known, 'Reed pen line', (what) => `${what}.`), usual: 25 };
    const plan = lesson([stepOf('pencil-draft'), { ...stepOf('pen-line'), own: mine }]);
    expect(english(plan.steps[1].name)).toBe('Reed pen line');
    expect(plan.steps[1].knows).toMatchObject({ usual: 25, ink: true, items: known.items });
    expect(plan.materials.map((m) => m.id)).toContain('pen');
  });
});

describe('a lesson', () => {
  test('asks for what it needs and no more', () => {
    const ids = (medium: string, steps: string[], more = {}) =>
      lesson(
        steps.map((s) => stepOf(s)),
        { medium, ...more },
      ).materials.map((m) => m.id);
    // Without a draft there is still a sheet to draw on; where nothing is rubbed out there is no eraser.
    expect(ids('pen', ['pen-line'])).toContain('paper');
    expect(ids('pen', ['pencil-draft', 'pen-line'], { erasing: false })).not.toContain('eraser');
    expect(ids('pencil', ['pencil-layers', 'pencil-cross']).filter((id) => ['pen', 'ink'].includes(id!))).toEqual([]);
    expect(ids('wax-crayon', ['crayon-line', 'crayon-fill', 'burnish'])).not.toContain('coloured-pencils');
    expect(ids('watercolour', ['pencil-draft', 'first-wash'])).toContain('heavy-paper');
    expect(ids('digital', ['digital-layers', 'digital-line'])).toEqual(['tablet']);
  });

  test('speaks of ink only where there is some', () => {
    const inked = (medium: string, steps: string[]) =>
      lesson(
        steps.map((s) => stepOf(s)),
        { medium },
      ).inked;
    expect(inked('watercolour', ['pencil-draft', 'first-wash'])).toBe(false);
    expect(inked('pen-and-wash', ['pencil-draft', 'first-wash'])).toBe(true);
    expect(inked('pencil', ['pencil-layers'])).toBe(false);
  });

  test('tells gouache, which lifts again, from acrylic, which does not', () => {
    const watch = (medium: string) =>
      lesson([stepOf('flat-fields'), stepOf('second-coat')], { medium })
        .periods.flat()
        .filter((e) => e.kind === 'watch')
        .map((e) => english(e.text))
        .at(-1);
    expect(watch('gouache')).toMatch(/lifts the coat below/);
    expect(watch('acrylic')).toMatch(/no longer lifts/);
  });

  test('is done in turns where there are too few tools, and says so where they are first asked for', () => {
    const steps = [stepOf('pencil-draft'), stepOf('pen-line'), stepOf('pen-hatch')];
    const told = (shelf: Record<string, number>) => lesson(steps, { shelf }).warnings.filter((w) => w.rule === 'shared');
    // 22 students: 22 pens are needed.
    expect(told({})).toEqual([]);
    expect(told({ pen: 22, ink: 1 })).toEqual([]);
    const [few] = told({ pen: 8 });
    expect([few.step, few.weight]).toEqual([1, 'mind']);
    expect(english(few.reason)).toMatch(/There are 8 of .*pen-holder.*22 are needed/);
    expect(english(few.remedy)).toMatch(/^Work in 3 turns/);
    expect(told({ pen: 0 })[0].weight).toBe('risks');
    const own = lesson([stepOf(OWN, coffee)], { shelf: { 'cold coffee, cup': 3 } });
    expect(own.warnings.find((w) => w.rule === 'shared')?.step).toBe(0);
  });
});
