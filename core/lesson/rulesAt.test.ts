import fc from 'fast-check';
import { typed } from '../message';
import { FEATURES } from '../style/features';
import { rulesAt, rungs } from './rulesAt';
import { techniqueOf } from './techniques';
import { TECHNIQUE_TABLE } from './techniqueTable';

const rule = (feature: string) => ({ feature, said: typed(feature || 'own'), picture: null });
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
      fc.subarray(
        TECHNIQUE_TABLE.filter((t) => t.id !== 'toward'),
        { minLength: 1 },
      ),
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

describe('a rehearsal ladder', () => {
  const features = ['marks.spacing', 'value.mean', 'proportion.figure-standing.heads-tall', 'colour.accent', 'edges.lost'];

  test('each try keeps to all rules of the one before and to some more, the last to all; what is placed is learnt first', () => {
    fc.assert(
      fc.property(fc.subarray([...Object.keys(FEATURES), '']), fc.integer({ min: 1, max: 5 }), (some, tries) => {
        const steps = rungs(some.map(rule), tries);
        expect(steps).toHaveLength(tries);
        expect(
          steps
            .at(-1)!
            .map((r) => r.feature)
            .sort(),
        ).toEqual([...some].sort());
        steps.slice(1).forEach((later, k) => {
          expect(later.slice(0, steps[k].length)).toEqual(steps[k]);
          if (some.length >= tries) expect(later.length).toBeGreaterThan(steps[k].length);
        });
      }),
      { numRuns: 100 },
    );
    expect(rungs(features.map(rule), 5).map((r) => r.at(-1)!.feature)).toEqual([
      'proportion.figure-standing.heads-tall',
      'colour.accent',
      'marks.spacing',
      'edges.lost',
      'value.mean',
    ]);
  });

  test('the tries of a lesson take the rules up, and the drawing itself still keeps to them all', () => {
    const steps = ['own-sketch', 'toward', 'toward', 'pencil-draft', 'pen-hatch', 'first-wash'].map((id) => techniqueOf(id)!);
    const at = rulesAt(steps, features.map(rule));
    expect(at.map((r) => r.length)).toEqual([0, 3, 5, 1, 1, 3]);
  });
});
