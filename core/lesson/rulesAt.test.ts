import fc from 'fast-check';
import { typed } from '../message';
import { FEATURES } from '../style/features';
import { rulesAt } from './rulesAt';
import { techniqueOf } from './techniques';
import { TECHNIQUE_TABLE } from './techniqueTable';

const rule = (feature: string) => ({ feature, said: typed(feature || 'own') });
const lesson = ['pencil-draft', 'pen-line', 'pen-hatch', 'first-wash', 'accent'].map((id) => techniqueOf(id)!);

test('a rule stands where the hand does what it speaks of', () => {
  const at = rulesAt(
    lesson,
    ['marks.spacing', 'marks.lineSwell', 'proportion.figure-standing.heads-tall', 'colour.accent', 'colour.count', ''].map(rule),
  );
  expect(at.map((list) => list.map((r) => r.feature))).toEqual([
    ['proportion.figure-standing.heads-tall', ''],
    ['marks.lineSwell'],
    ['marks.spacing'],
    ['colour.count'],
    ['colour.accent'],
  ]);
});

test('every rule stands at exactly one step of any lesson that draws something', () => {
  fc.assert(
    fc.property(
      fc.subarray([...TECHNIQUE_TABLE], { minLength: 1 }),
      fc.subarray([...Object.keys(FEATURES), '', 'proportion.x.y']),
      (steps, features) => {
        const at = rulesAt(steps, features.map(rule)).flat();
        const draws = steps.some((s) => !['apart', 'finish', 'fix'].includes(s.role));
        expect(at.map((r) => r.feature).sort()).toEqual(draws ? [...features].sort() : at.map((r) => r.feature).sort());
        if (draws) expect(at).toHaveLength(features.length);
      },
    ),
    { numRuns: 200 },
  );
});
