/** Knows the periods of a lesson as a calendar file (RFC 5545), for any calendar to read. */
import { createEvents, type EventAttributes } from 'ics';
import type { Dated } from '../../core/lesson/calendar';

export interface CalendarPeriod extends Dated {
  /** Names it for ever, so that reading the file again moves it. */
  uid: string;
  title: string;
  about: string;
}

/** In local time without a zone: a lesson at ten is at ten wherever it is read. */
export function asCalendar(periods: readonly CalendarPeriod[]): string {
  const { error, value } = createEvents(
    periods.map(({ uid, day, begins, title, about, minutes }): EventAttributes => {
      const [y, m, d] = day.split('-').map(Number);
      return {
        uid,
        productId: 'old-hand',
        title,
        description: about,
        start: [y, m, d, Math.floor(begins / 60), begins % 60],
        startInputType: 'local',
        startOutputType: 'local',
        duration: { minutes },
        busyStatus: 'BUSY',
      };
    }),
  );
  if (error || !value) throw error ?? new Error('no calendar was made');
  return value;
}
