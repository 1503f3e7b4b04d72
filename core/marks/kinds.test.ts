import { Belief, beliefOf, decideKind, kindChances, MARK_KINDS, MarkKind } from './kinds';
import { Judge, KindCoefficients } from './kindModel';
import { LEAF, PARTS } from './trees';

const belief = (of: Partial<Belief>): Belief => beliefOf((k) => of[k] ?? 0);

test('the surer, the more confident; too unsure is not told', () => {
  const sure = decideKind(belief({ line: 0.97, wash: 0.03 }));
  const less = decideKind(belief({ line: 0.6, wash: 0.4 }));
  expect(sure.kind).toBe('line');
  expect(sure.confidence).toBeGreaterThan(less.confidence);
  expect(decideKind(belief({ line: 0.12, wash: 0.11 }))).toMatchObject({ kind: null });
  // By a table of one's own: a chance of a half that was right in nine of ten.
  const table = [
    [0, 0],
    [0.5, 0.9],
    [1, 1],
  ] as const;
  expect(decideKind(belief({ line: 0.5, wash: 0.4 }), table)).toEqual({ kind: 'line', confidence: 0.9 });
});

/** Says one kind whatever it sees: by its regression almost surely, by its only tree quite. */
const always = (kind: MarkKind): Judge => ({
  weights: Object.fromEntries(MARK_KINDS.map((k) => [k, [0, k === kind ? 20 : 0]])),
  trees: Buffer.from([LEAF + 1, (MARK_KINDS.indexOf(kind) << 4) | PARTS]).toString('base64'),
});

test('each judge counts by how likely a place is of what it was fitted on', () => {
  const model: KindCoefficients = {
    clues: ['grain'],
    mean: [5],
    spread: [2],
    drawn: always('line'),
    real: always('dabs'),
    realness: [Math.log(3), 0],
    sharper: 1,
  };
  const read = (grain: number) => kindChances({ grain }, true, model);
  // At the mean as likely the one as the other; a deviation above it three to one.
  expect(read(5).dabs).toBeCloseTo(0.5, 6);
  expect(read(7).dabs).toBeCloseTo(0.75, 6);
  expect(read(7).line).toBeCloseTo(0.25, 6);
  expect(read(3).line).toBeCloseTo(0.75, 6);
  // Beyond four deviations it says no more than at them.
  expect(read(500).dabs).toBeCloseTo(read(13).dabs, 12);
  expect(MARK_KINDS.reduce((sum, k) => sum + read(4.2)[k], 0)).toBeCloseTo(1, 12);
  // What is bare is even paint where no sheet is known.
  const bare = kindChances({ grain: 3 }, false, { ...model, drawn: always('blank') });
  expect([bare.blank, bare.flat]).toEqual([0, expect.closeTo(0.75, 6)]);
  expect(kindChances({ grain: 7 }, true, { ...model, sharper: 2 }).dabs).toBeCloseTo(9 / 10, 6);
});
