import { BEGIN, given, leftOf, moved, spentNow, turned, turnsHeld } from './boardClock';
import { learnedFrom } from './learning';
import type { Entry } from './schedule';

const entry = (kind: Entry['kind'], minutes: number, step: number | null = null): Entry => ({
  kind,
  minutes,
  step,
  start: 0,
  part: null,
  title: { key: 'x' },
  text: { key: 'x' },
});
const PERIOD = [entry('look', 4), entry('watch', 3, 0), entry('turn', 12, 0), entry('turn', 8, 1), entry('clear-up', 5)];
const min = (n: number) => n * 60_000;

describe('the clock of the board', () => {
  test('runs, stops and goes on; two minutes more are two minutes more', () => {
    let h = turned(BEGIN, 0);
    expect(leftOf(h, PERIOD[0], min(1))).toBe(180);
    h = turned(h, min(1));
    expect(spentNow(h, min(9))).toBe(60);
    h = turned(h, min(9));
    h = given(h, 2, PERIOD[0]);
    expect(leftOf(h, PERIOD[0], min(10))).toBe(240);
    // A step never has less than a minute.
    expect(leftOf(given(h, -20, PERIOD[0]), PERIOD[0], min(10))).toBe(60 - 120);
    // Over time it goes below nothing.
    expect(leftOf(h, PERIOD[0], min(20))).toBeLessThan(0);
  });

  test('what was gone back to goes on where it stopped; there is nothing before the first or after the last', () => {
    let h = turned(BEGIN, 0);
    h = moved(h, 1, 5, min(5));
    h = moved(h, -1, 5, min(6));
    expect([h.at, spentNow(h, min(7))]).toEqual([0, 360]);
    expect(moved(h, -1, 5, min(7))).toBe(h);
    expect(moved({ ...h, at: 4 }, 1, 5, min(7)).at).toBe(4);
  });

  test('turns are kept with what they took, those paged through are not, and parts are reckoned to the whole step', () => {
    let h = turned(BEGIN, 0);
    h = moved(h, 1, 5, min(4));
    h = moved(h, 1, 5, min(7));
    h = moved(h, 1, 5, min(24));
    h = moved(h, 1, 5, min(24) + 5000);
    const held = turnsHeld(
      h,
      PERIOD,
      min(30),
      (s) => [20, 8][s],
      (s) => ['pen-line', 'accent'][s],
    );
    // 17 minutes of a part planned for 12, of a step of 20: 25 in all.
    expect(held).toEqual([{ of: 'pen-line', planned: 20, took: 25 }]);
  });
});

test('the middle of what steps took is learned, with how many lessons it rests on', () => {
  const turn = (of: string, took: number) => ({ of, planned: 10, took });
  const learned = learnedFrom([turn('a', 12), turn('a', 30), turn('a', 15), turn('b', 9), turn('c', 0)]);
  expect(learned.get('a')).toEqual({ minutes: 15, n: 3 });
  expect(learned.get('b')).toEqual({ minutes: 9, n: 1 });
  expect(learned.has('c')).toBe(false);
});
