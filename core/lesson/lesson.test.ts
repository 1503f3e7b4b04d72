import { english, toldBy } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import { message } from '../message';
import fc from 'fast-check';
import { cautionsFor } from './hazards';
import { ITEMS } from './items';
import { NO_SCHOOL, orderWarnings } from './order';
import { makePlan } from './plan';
import { usualSteps } from './usual';
import { paintForPalette } from './quantities';
import { LESSON_MEDIA, mediumOf } from './media';
import { techniqueOf, techniquesFor } from './techniques';
import { TECHNIQUE_TABLE } from './techniqueTable';

const context = { ...NO_SCHOOL, medium: 'pen-and-wash', ink: 'waterproof', contact: 'light-pencil', erasing: true } as const;
const order = (...ids: string[]) =>
  orderWarnings(
    ids.map((id) => techniqueOf(id)!),
    context,
  );
const rules = (...ids: string[]) => order(...ids).map((w) => w.rule);
const wishes = lessonWishes;

describe('techniques', () => {
  test('there are at least twenty, each used by a medium, naming known steps and items', () => {
    expect(TECHNIQUE_TABLE.length).toBeGreaterThanOrEqual(20);
    expect(new Set(TECHNIQUE_TABLE.map((t) => t.id)).size).toBe(TECHNIQUE_TABLE.length);
    for (const t of TECHNIQUE_TABLE) {
      expect(LESSON_MEDIA.filter((m) => techniquesFor(m).includes(t))).not.toEqual([]);
      expect(t.least).toBeLessThanOrEqual(t.usual);
      for (const id of t.after ?? []) expect(techniqueOf(id)).not.toBeNull();
      for (const id of Object.keys(t.items)) expect(ITEMS).toHaveProperty(id);
    }
  });
  test('the usual lesson of every medium uses its own techniques in an order that spoils nothing', () => {
    for (const medium of LESSON_MEDIA) {
      const own = techniquesFor(medium).map((t) => t.id);
      // Every name it gives is a technique there is, named once.
      expect(own.sort()).toEqual([...mediumOf(medium).usual, ...mediumOf(medium).beside, 'own-sketch', 'toward', 'mount', 'label'].sort());
      expect(order(...mediumOf(medium).usual).filter((w) => w.weight !== 'mind')).toEqual([]);
    }
  });
});

// Rules of the trade: common practice, no source.
describe('order of steps', () => {
  test('washable ink under a wash runs; waterproof ink does not', () => {
    const steps = ['pencil-draft', 'pen-line', 'first-wash'].map((id) => techniqueOf(id)!);
    expect(orderWarnings(steps, { ...context, ink: 'washable' })[0].rule).toBe('water-over-running');
    expect(orderWarnings(steps, context)).toEqual([]);
  });
  test('pen before wash and wash before pen are both legal', () => {
    expect(rules('pencil-draft', 'pen-line', 'rub-out-pencil', 'first-wash')).toEqual([]);
    expect(rules('pencil-draft', 'first-wash', 'pen-line')).toEqual([]);
  });
  test.each([
    ['pencil-under-wash', ['pencil-draft', 'first-wash', 'rub-out-pencil']],
    ['resist-after-wash', ['first-wash', 'wax-resist']],
    ['line-over-wax', ['pencil-draft', 'wax-resist', 'pen-line']],
    ['light-after-dark', ['first-wash', 'second-wash', 'wet-in-wet']],
    ['light-covered', ['first-wash', 'opaque-white', 'second-wash']],
    ['pen-on-thick', ['flat-fields', 'pen-line']],
    ['smear-fill-last', ['black-fill', 'pencil-layers']],
    ['outline-before-fill', ['black-fill', 'crayon-line']],
    ['groove-under-tone', ['pencil-darks', 'pencil-layers']],
    ['nothing-holds-on-wax', ['oil-pastel', 'flat-fields']],
    ['ground-first', ['pencil-draft', 'tone-sheet']],
    ['nothing-before', ['second-wash']],
    ['unfixed', ['charcoal-mass']],
    ['rub-out-dust', ['big-shapes', 'charcoal-mass', 'rub-out-pencil']],
    ['guide-gone', ['pencil-draft', 'rub-out-pencil', 'pen-line']],
    ['too-many-washes', ['tone-sheet', 'wet-in-wet', 'first-wash', 'second-wash']],
  ])('%s is told, with a reason and a remedy', (rule, ids) => {
    const told = order(...ids).find((w) => w.rule === rule)!;
    expect(told).toBeDefined();
    expect(english(told.reason).length).toBeGreaterThan(20);
    expect(english(told.remedy).length).toBeGreaterThan(10);
  });
  test('dust under water is mud, unless fixed between', () => {
    expect(rules('charcoal-mass', 'tone-sheet')).toContain('water-over-dust');
    expect(rules('charcoal-mass', 'fix', 'tone-sheet')).not.toContain('water-over-dust');
  });
});

describe('schedule', () => {
  const turns = (plan: ReturnType<typeof makePlan>) =>
    plan.periods.flatMap((p, i) => p.filter((e) => e.kind === 'turn').map((e) => ({ ...e, period: i })));

  test('no period runs over, entries follow without a gap, and each ends with clearing up', () => {
    const any = fc.record({
      medium: fc.constantFrom(...LESSON_MEDIA),
      minutes: fc.integer({ min: 35, max: 120 }),
      size: fc.integer({ min: 1, max: 40 }),
      straight: fc.boolean(),
    });
    fc.assert(
      fc.property(any, ({ medium, minutes, size, straight }) => {
        const contact = straight ? 'straight-in' : 'light-pencil';
        const steps = usualSteps(medium, { contact, erasing: true, ...NO_SCHOOL });
        const plan = makePlan({ ...wishes([]), medium, steps, contact, minutesPerPeriod: minutes, classSize: size });
        for (const period of plan.periods) {
          expect(period.at(-1)!.kind).toBe('clear-up');
          let at = 0;
          for (const e of period) {
            expect(e.start).toBe(at);
            expect(e.minutes).toBeGreaterThan(0);
            at += e.minutes;
          }
          expect(at).toBe(minutes);
        }
        // Every step gets exactly its minutes, in order.
        plan.steps.forEach((s, i) => {
          const own = turns(plan).filter((e) => e.step === i);
          expect(own.reduce((sum, e) => sum + e.minutes, 0)).toBe(s.minutes);
        });
        const first = plan.steps.map((_, i) => turns(plan).findIndex((e) => e.step === i));
        expect(first).toEqual(first.slice().sort((a, b) => a - b));
      }),
      { numRuns: 120 },
    );
  });

  test('ink is dry before it is rubbed over or washed over, within a period', () => {
    const plan = makePlan(
      wishes(['pencil-draft', 'pen-line', 'rub-out-pencil', 'first-wash', 'second-wash'], { minutesPerPeriod: 200, periods: 1 }),
    );
    const at = (i: number) => turns(plan).find((e) => e.step === i)!;
    expect(at(2).start - (at(1).start + at(1).minutes)).toBeGreaterThanOrEqual(10);
    expect(at(4).start - (at(3).start + at(3).minutes)).toBeGreaterThanOrEqual(20);
    expect(plan.warnings.filter((w) => w.rule === 'drying').length).toBeGreaterThan(0);
    expect(plan.periods[0].some((e) => e.kind === 'meanwhile')).toBe(true);
  });

  test('swapping wash and ink changes steps and warnings', () => {
    const ink = makePlan(wishes(['pencil-draft', 'pen-line', 'rub-out-pencil', 'first-wash'], { ink: 'washable' }));
    const wash = makePlan(wishes(['pencil-draft', 'rub-out-pencil', 'first-wash', 'pen-line'], { ink: 'washable' }));
    expect(ink.warnings.some((w) => w.rule === 'water-over-running')).toBe(true);
    expect(wash.warnings.some((w) => w.rule === 'water-over-running')).toBe(false);
    expect(turns(ink).map((e) => e.title)).not.toEqual(turns(wash).map((e) => e.title));
  });

  test('halving the minutes shortens steps, then asks for more periods', () => {
    const long = makePlan(wishes(mediumOf('pen-and-wash').usual, { minutesPerPeriod: 60, periods: 4 }));
    const half = makePlan(wishes(mediumOf('pen-and-wash').usual, { minutesPerPeriod: 30, periods: 4 }));
    expect(long.squeeze).toBe(0);
    expect(half.squeeze).toBeGreaterThan(0);
    expect(half.steps.reduce((s, t) => s + t.minutes, 0)).toBeLessThan(long.steps.reduce((s, t) => s + t.minutes, 0));
    expect(half.warnings.some((w) => w.rule === 'over-time' || w.rule === 'shortened')).toBe(true);
    expect(long.warnings.some((w) => w.rule === 'over-time' || w.rule === 'shortened')).toBe(false);
  });

  test('what cannot be planned names the field', () => {
    expect(toldBy(() => makePlan(wishes([])))).toMatch(/^steps:/);
    expect(toldBy(() => makePlan(wishes(['pen-line'], { classSize: 0 })))).toMatch(/^classSize:/);
    expect(toldBy(() => makePlan(wishes(['pen-line'], { minutesPerPeriod: 5 })))).toMatch(/^minutesPerPeriod:/);
    expect(toldBy(() => makePlan(wishes(['no-such'])))).toMatch(/no technique/);
  });
});

describe('quantities', () => {
  test('paint goes with share, area, layers and class', () => {
    const one = paintForPalette([{ name: message('colours.name'), hex: '#4f8a74', share: 0.5 }], [297, 210], 24, 7)[0].ml;
    // 0.5 of a sheet × 7 ml × 24 × 1.25.
    expect(one).toBe(105);
    expect(paintForPalette([{ name: message('colours.name'), hex: '#000000', share: 0.5 }], [297, 210], 24, 7, 2)[0].ml).toBe(210);
  });
  test('tools are counted once, liquids add up, one drawing paper is chosen', () => {
    const plan = makePlan(wishes(['pencil-draft', 'pen-line', 'pen-hatch', 'first-wash', 'second-wash']));
    const of = (id: string) => plan.materials.filter((m) => m.id === id);
    expect(of('pen')[0].amount).toBe(24);
    expect(of('ink-pot')[0].amount).toBe(12);
    expect(of('wash-ink')[0].amount).toBe(Math.ceil(24 * 1.6 * 0.5 * 1.3));
    expect(plan.materials.filter((m) => m.id!.includes('paper') && m.id !== 'scrap').length).toBe(1);
    // A wash asks for heavy paper, and that serves the drawing too.
    expect(of('heavy-paper')[0].amount).toBe(29);
  });
});

test('acrylic is asked for as acrylic, with its caution', () => {
  const plan = makePlan(wishes(mediumOf('acrylic').usual, { medium: 'acrylic' }));
  expect(plan.materials.map((m) => m.id)).toContain('acrylic');
  expect(plan.materials.map((m) => m.id)).not.toContain('gouache');
  expect(plan.cautions.some((c) => english(c).startsWith('Acrylic'))).toBe(true);
});

test('cautions: what an adult must do at this age comes first, labels always', () => {
  const young = cautionsFor(['slip', 'cutter', 'cutter'], 7).map((c) => english(c));
  expect(young[0]).toMatch(/^At this age an adult/);
  expect(young.filter((c) => c.includes('Cutters')).length).toBe(1);
  expect(english(cautionsFor([], 40)[0])).toMatch(/ASTM D-4236 or EN 71/);
});
