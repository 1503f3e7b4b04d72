/** What comes off again, and what holds on what. Common practice of the trade, no source. */
import { lessonWishes } from '../../tests/support/lesson';
import { liftingOf } from './lifting';
import type { LessonMedium } from './media';
import { makePlan } from './plan';
import { checkedStep, NEW_STEP } from './ownStep';
import { techniqueOf } from './techniques';
import { TECHNIQUE_TABLE } from './techniqueTable';
import { OWN, PlanWishes, stepOf } from './wishes';

const lifting = (id: string, ink: 'waterproof' | 'washable' = 'waterproof', medium: LessonMedium = 'pen-and-wash') =>
  liftingOf(techniqueOf(id)!, { ink, medium })!;

test.each([
  ['pencil-draft', 'eraser', 'wholly'],
  ['charcoal-mass', 'kneaded-eraser', 'partly'],
  ['oil-pastel', 'scraper', 'mostly'],
  ['wax-resist', 'scraper', 'partly'],
  ['felt-line', 'water', 'partly'],
  ['pencil-layers', 'eraser', 'mostly'],
  ['colour-dashes', 'eraser', 'partly'],
])('%s comes off with a %s, %s', (id, by, far) => expect(lifting(id)).toEqual({ by, far }));

test('ink goes as its bottle does, paint as its binder does', () => {
  expect(lifting('pen-line').far).toBe('not');
  expect(lifting('pen-line', 'washable').far).toBe('partly');
  expect(lifting('first-wash', 'waterproof', 'watercolour').far).toBe('partly');
  expect(lifting('flat-fields', 'waterproof', 'gouache').far).toBe('partly');
  expect(lifting('flat-fields', 'waterproof', 'acrylic').far).toBe('not');
});

test('what leaves nothing on the sheet has nothing to come off', () => {
  for (const t of TECHNIQUE_TABLE.filter((s) => ['fix', 'apart', 'finish', 'rub-out'].includes(s.role)))
    expect(liftingOf(t, { ink: 'waterproof', medium: 'pencil' })).toBeNull();
});

const told = (steps: PlanWishes['steps'] | string[], more: Partial<PlanWishes> = {}) =>
  makePlan(lessonWishes(steps, more))
    .warnings.filter((w) => ['does-not-lift', 'must-not-touch'].includes(w.rule))
    .map((w) => [w.rule, w.step, w.other]);

test('lights are not taken out of what is there for good', () => {
  const steps = ['pencil-draft', 'first-wash', 'lift-wash'];
  expect(told(steps, { medium: 'brush-ink' })).toEqual([['does-not-lift', 2, 1]]);
  expect(told(steps, { medium: 'brush-ink', ink: 'washable' })).toEqual([]);
  expect(told(steps, { medium: 'watercolour' })).toEqual([]);
});

test('what does not hold on a layer is told, once, and not where a more particular rule says why', () => {
  expect(told(['crayon-line', 'charcoal-mass', 'fix'], { medium: 'charcoal' })).toEqual([['must-not-touch', 1, 0]]);
  expect(told(['charcoal-mass', 'glue-parts'])).toContainEqual(['must-not-touch', 1, 0]);
  expect(told(['charcoal-mass', 'fix', 'felt-line'])).toEqual([]);
  const all = makePlan(lessonWishes(['oil-pastel', 'flat-fields'])).warnings.map((w) => w.rule);
  expect(all).toContain('nothing-holds-on-wax');
  expect(all).not.toContain('must-not-touch');
});

test('a teacher’s own step says it for itself', () => {
  const resin = checkedStep({
    ...NEW_STEP,
    name: 'Varnish',
    does: 'Brush it on.',
    lifts: { by: 'water', far: 'not' },
    shuns: ['wet', 'dusty'],
  });
  expect(told([stepOf('charcoal-mass'), stepOf(OWN, resin)])).toEqual([['must-not-touch', 1, 0]]);
  const [own] = makePlan(lessonWishes([stepOf(OWN, resin)])).steps;
  expect(liftingOf(own.knows, { ink: 'washable', medium: 'gouache' })).toEqual({ by: 'water', far: 'not' });
  expect(() => checkedStep({ ...resin, lifts: { by: 'fire', far: 'not' } })).toThrow(/lifts|known/);
  expect(() => checkedStep({ ...resin, shuns: ['sticky'] })).toThrow(/shuns|known/);
});
