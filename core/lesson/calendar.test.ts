/** Days of periods, on the weekdays of a class. */
import { toldBy } from '../../tests/support/english';
import { lessonWishes } from '../../tests/support/lesson';
import { Calendar, datesFor, lengthsOf } from './calendar';
import { makePlan } from './plan';

const TERM: Calendar = { from: '2026-09-01', weekdays: [2, 4], at: '09:50', off: [['2026-09-08', '2026-09-10']] };

describe('days of a lesson', () => {
  test('fall on the weekdays of the class, past holidays', () => {
    // 1 September 2026 is a Tuesday (ISO 8601 weekday 2).
    expect(datesFor(4, 50, TERM).map((d) => d.day)).toEqual(['2026-09-01', '2026-09-03', '2026-09-15', '2026-09-17']);
    expect(datesFor(1, 50, { ...TERM, off: [['2026-09-01', '2026-09-01']] })[0].day).toBe('2026-09-03');
    // Over the end of a year and a leap day.
    expect(datesFor(2, 50, { ...TERM, from: '2028-02-29', weekdays: [2], off: [] }).map((d) => d.day)).toEqual([
      '2028-02-29',
      '2028-03-07',
    ]);
  });

  test('a weekday named twice has two periods, one right after the other', () => {
    expect(datesFor(3, 50, { ...TERM, weekdays: [2, 2] })).toEqual([
      { day: '2026-09-01', begins: 590, minutes: 50, joined: false },
      { day: '2026-09-01', begins: 640, minutes: 50, joined: true },
      { day: '2026-09-15', begins: 590, minutes: 50, joined: false },
    ]);
  });

  test.each([
    [{ from: '2026-02-30' }, /“2026-02-30” is no day/],
    [{ weekdays: [] }, /at least one weekday/],
    [{ weekdays: [8] }, /at least one weekday/],
    [{ at: '25:00' }, /“25:00” is no time/],
    [{ off: [['2026-10-02', '2026-10-01']] as [string, string][] }, /end before they begin/],
    [{ off: [['2026-09-01', '2028-01-01']] as [string, string][] }, /only 0 of 2 periods/],
  ])('%j is told', (part, said) => {
    expect(toldBy(() => datesFor(2, 50, { ...TERM, ...part }))).toMatch(said);
  });
});

describe('periods that are not all as long', () => {
  // 2027-02-02 is a Tuesday, 2027-02-04 a Thursday (ISO 8601).
  const calendar: Calendar = {
    from: '2027-02-01',
    weekdays: [2, 4, 4],
    at: '10:00',
    off: [['2027-02-09', '2027-02-09']],
    minutes: { 4: 90 },
  };

  test('a weekday has its own length; the second period of a day begins when the first has ended', () => {
    expect(datesFor(4, 45, calendar)).toEqual([
      { day: '2027-02-02', begins: 600, minutes: 45, joined: false },
      { day: '2027-02-04', begins: 600, minutes: 90, joined: false },
      { day: '2027-02-04', begins: 690, minutes: 90, joined: true },
      { day: '2027-02-11', begins: 600, minutes: 90, joined: false },
    ]);
    expect(lengthsOf(calendar, 45).slice(0, 4)).toEqual([45, 90, 90, 90]);
    expect(lengthsOf({ ...calendar, minutes: {} }, 45)).toEqual([]);
    expect(lengthsOf(null, 45)).toEqual([]);
  });

  test('the lesson fills each to its minute, and longer periods make fewer of them', () => {
    const ids = ['pencil-draft', 'pen-line', 'pen-hatch', 'rub-out-pencil', 'first-wash', 'second-wash'];
    const plan = (lengths: number[]) => makePlan(lessonWishes(ids, { minutesPerPeriod: 45, periods: 4, lengths }));
    const lengths = lengthsOf(calendar, 45);
    const varied = plan(lengths);
    expect(varied.periods.map((p) => p.reduce((s, e) => s + e.minutes, 0))).toEqual(lengths.slice(0, varied.periods.length));
    expect(varied.periods.length).toBeLessThanOrEqual(plan([]).periods.length);
  });

  test('a length that no period has names the field', () => {
    for (const minutes of [{ 4: 10 }, { 4: 300 }, { 9: 60 }, { 4: 50.5 }]) {
      expect(() => datesFor(1, 45, { ...calendar, minutes })).toThrow(/calendar\.minutes|minutes/);
      // The lesson itself is planned without them.
      expect(lengthsOf({ ...calendar, minutes }, 45)).toEqual([]);
    }
  });
});
