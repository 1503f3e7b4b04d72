/** The periods of a lesson as a calendar file, read back by another library. */
import ICAL from 'ical.js';
import { datesFor } from '../../core/lesson/calendar';
import { asCalendar } from './calendarFile';

test('the calendar file is read by another library with the same days, times and lengths', () => {
  const dates = datesFor(3, 45, { from: '2026-09-01', weekdays: [2, 4], at: '09:50', off: [['2026-09-08', '2026-09-10']] });
  const file = asCalendar(
    dates.map((d, i) => ({ ...d, uid: `s-${i}@oldhand`, title: `Harbour; period ${i + 1}, “ink”`, about: 'line\nwash', minutes: 45 })),
  );
  const events = new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  expect(events.map((e) => [e.summary, e.startDate.toString(), e.duration.toSeconds(), e.uid])).toEqual(
    dates.map((d, i) => [`Harbour; period ${i + 1}, “ink”`, `${d.day}T09:50:00`, 45 * 60, `s-${i}@oldhand`]),
  );
  expect(events[0].description).toBe('line\nwash');
});
