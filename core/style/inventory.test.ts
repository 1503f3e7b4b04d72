import { english } from '../../tests/support/english';
import { countOf, habitOf, Motif } from './inventory';

const WORKS = ['a', 'b', 'c', 'd', 'e', 'f'];
const motif = (seen: Motif['seen']): Motif => ({ name: 'Hands', seen });

test('hands hidden in five of six make a rule with its count', () => {
  const hands = motif({ a: 'hidden', b: 'hidden', c: 'hidden', d: 'shown', e: 'hidden', f: 'hidden' });
  expect(countOf(hands, WORKS)).toEqual({ of: 6, by: { shown: 1, hidden: 5, leftOut: 0, unequal: 0 }, open: 0 });
  const habit = habitOf(hands, WORKS)!;
  expect(habit.kind).toBe('always');
  expect(english(habit.said)).toBe('Hands: hidden.');
  expect(english(habit.evidence)).toBe('Hands: hidden in 5 of 6 works.');
});

test('what is left out is a never; works that have no place for it do not count, nor those of another group', () => {
  const ears = motif({ a: 'leftOut', b: 'leftOut', c: 'noPlace', z: 'shown' });
  expect(countOf(ears, WORKS)).toMatchObject({ of: 2, open: 3 });
  expect(habitOf(ears, WORKS)).toMatchObject({ kind: 'never' });
});

test('works that do not agree, or a single one, make no rule', () => {
  expect(habitOf(motif({ a: 'shown', b: 'hidden', c: 'shown', d: 'hidden' }), WORKS)).toBeNull();
  expect(habitOf(motif({ a: 'shown' }), WORKS)).toBeNull();
  expect(habitOf(motif({}), WORKS)).toBeNull();
});
