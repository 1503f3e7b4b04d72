/** The schools of good teachers: each has its lesson planned in its own order, and is never told that it is wrong. */
import { lessonWishes } from '../../tests/support/lesson';
import { LESSON_MEDIA, LessonMedium } from './media';
import { inLine, inTone, NO_SCHOOL, orderWarnings, SCHOOLS, Schools } from './order';
import { makePlan } from './plan';
import { questionsOf, usualSteps } from './usual';
import { techniqueOf } from './techniques';
import { TECHNIQUE_TABLE } from './techniqueTable';
import { techniquesIn } from './wishes';

const lesson = (medium: LessonMedium, schools: Partial<Schools>) => {
  const wishes = lessonWishes([], { medium, ...schools });
  return { ...wishes, steps: usualSteps(medium, wishes) };
};
const ids = (medium: LessonMedium, schools: Partial<Schools>) => lesson(medium, schools).steps.map((s) => s.technique);

const every: [LessonMedium, keyof Schools, string][] = LESSON_MEDIA.flatMap((medium) =>
  questionsOf(medium).flatMap((q) => SCHOOLS[q].map((school): [LessonMedium, keyof Schools, string] => [medium, q, school])),
);

test.each(every)('%s, %s: %s spoils nothing and keeps to its own school', (medium, question, school) => {
  const wishes = lesson(medium, { [question]: school });
  const steps = techniquesIn(wishes.steps, wishes.youngest);
  expect(orderWarnings(steps, wishes).map((w) => [w.rule, w.step])).toEqual([]);
  // Nothing is lost on the way but what the school itself does without.
  const without = school === 'none' ? TECHNIQUE_TABLE.filter((t) => t.role === 'line').map((t) => t.id) : [];
  const before = ids(medium, NO_SCHOOL).filter((id) => !['rub-out-pencil', 'smudge', 'lighten-draft', ...without].includes(id));
  expect(ids(medium, { [question]: school })).toEqual(expect.arrayContaining(before));
});

test('line first, tone first: pen and wash in either order, the pencil made pale where washes come over it', () => {
  expect(ids('pen-and-wash', { lineOrTone: 'line' })).toEqual(ids('pen-and-wash', {}));
  const tone = ids('pen-and-wash', { lineOrTone: 'tone' });
  expect(tone.slice(0, 6)).toEqual(['pencil-draft', 'lighten-draft', 'first-wash', 'second-wash', 'pen-line', 'pen-hatch']);
  const known = tone.map((id) => techniqueOf(id)!);
  expect(known.findIndex(inLine)).toBeGreaterThan(known.map(inTone).lastIndexOf(true));
});

test('a step that goes against the chosen school is told as that, at the step, and may be kept on purpose', () => {
  const steps = ['pencil-draft', 'first-wash', 'pen-line'];
  const told = (schools: Partial<Schools>) => makePlan(lessonWishes(steps, schools)).warnings.filter((w) => w.rule.endsWith('-first'));
  expect(told({})).toEqual([]);
  expect(told({ lineOrTone: 'tone' })).toEqual([]);
  expect(told({ lineOrTone: 'line' }).map((w) => [w.rule, w.step, w.other, w.weight])).toEqual([['line-first', 2, 1, 'mind']]);
});

test('who goes by layers alone has nothing rubbed; who rubs has it in the lesson where the medium can', () => {
  expect(ids('charcoal', { blending: 'layers' })).not.toContain('smudge');
  expect(ids('pencil', { blending: 'rubbed' })).toContain('smudge');
  expect(ids('pencil', {})).not.toContain('smudge');
  const charcoal = lessonWishes(['charcoal-mass', 'smudge', 'fix'], { medium: 'charcoal', blending: 'layers' });
  expect(makePlan(charcoal).warnings.map((w) => [w.rule, w.step])).toEqual([['not-rubbed', 1]]);
  // Burnishing presses layers closed with wax: nobody rubs.
  expect(ids('coloured-pencil', { blending: 'layers' })).toContain('burnish');
});

test('who draws no outline has none in the lesson, and is told where one comes back', () => {
  expect(ids('gouache', {})).toContain('brush-outline');
  expect(ids('gouache', { outline: 'none' })).not.toContain('brush-outline');
  const told = (outline: Schools['outline']) =>
    makePlan(lessonWishes(['flat-fields', 'brush-outline'], { medium: 'gouache', outline })).warnings;
  expect(told('none').map((w) => [w.rule, w.step])).toContainEqual(['outline-none', 1]);
  expect(told('any').map((w) => w.rule)).not.toContain('outline-none');
  // A line drawing has no fields to do without an outline.
  expect(ids('pen', { outline: 'none' })).toContain('pen-line');
});

test('a question is asked only where the medium has both sides of it', () => {
  expect(questionsOf('print')).toEqual([]);
  expect(questionsOf('pen-and-wash')).toEqual(['lineOrTone']);
  expect(questionsOf('charcoal')).toEqual(['blending']);
});
