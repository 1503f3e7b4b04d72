/** Days of periods, on the weekdays of a class. */
import { toldBy } from '../../tests/support/english';
import { Calendar, datesFor } from './calendar';

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
      { day: '2026-09-01', begins: 590, joined: false },
      { day: '2026-09-01', begins: 640, joined: true },
      { day: '2026-09-15', begins: 590, joined: false },
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
