import { Belief, beliefOf, decideKind, MARK_KINDS } from './kinds';

const belief = (of: Partial<Belief>): Belief => beliefOf(MARK_KINDS.map((k) => of[k] ?? 0));

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
