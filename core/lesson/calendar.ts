/** Knows on which days the periods of a lesson fall: on the weekdays a class meets, past holidays and single days off. */
import { CoreError } from '../errors';
import { typed } from '../message';

export interface Calendar {
  /** The first day that can be one, as 2026-09-01. */
  from: string;
  /** Weekdays on which the class meets: 1 Monday to 7 Sunday; one named twice has two periods one after the other. */
  weekdays: readonly number[];
  /** When a period begins, as 09:50. */
  at: string;
  /** Days off, each a first and a last day. */
  off: readonly (readonly [string, string])[];
}

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
const DAY_MS = 86_400_000;
/** As far ahead as a lesson is planned. */
const MOST_DAYS = 400;

/** Days since 1970 of a day that there is; null for anything else. */
function dayNumber(day: string): number | null {
  const m = DAY.exec(day);
  if (!m) return null;
  const [y, mo, d] = m.slice(1).map(Number);
  const at = new Date(Date.UTC(y, mo - 1, d));
  return at.getUTCFullYear() === y && at.getUTCMonth() === mo - 1 && at.getUTCDate() === d ? at.getTime() / DAY_MS : null;
}

const dayOf = (n: number): string => new Date(n * DAY_MS).toISOString().slice(0, 10);

/** ISO 8601: Monday 1 to Sunday 7. */
const weekdayOf = (n: number): number => ((((n + 3) % 7) + 7) % 7) + 1;

function checkedCalendar(c: Calendar): Calendar {
  const day = (d: string, field: string) => {
    const n = dayNumber(d);
    if (n === null) throw new CoreError('calendar.day', { field: typed(field), day: typed(d) });
    return n;
  };
  day(c.from, 'from');
  if (!c.weekdays.length || c.weekdays.length > 14 || c.weekdays.some((w) => !Number.isInteger(w) || w < 1 || w > 7))
    throw new CoreError('calendar.weekdays');
  if (!/^([01]\d|2[0-3]):[0-5]\d$/.test(c.at)) throw new CoreError('calendar.at', { at: typed(c.at) });
  for (const [a, b] of c.off) if (day(a, 'off') > day(b, 'off')) throw new CoreError('calendar.off', { from: typed(a), to: typed(b) });
  return c;
}

export interface Dated {
  day: string;
  /** Minutes after midnight. */
  begins: number;
  /** Right after the period before, with no break between. */
  joined: boolean;
}

/** The days of so many periods of so many minutes, in order; an error where a year and more holds too few. */
export function datesFor(periods: number, minutes: number, calendar: Calendar): Dated[] {
  const { from, weekdays, at, off } = checkedCalendar(calendar);
  const first = dayNumber(from)!;
  const [h, m] = at.split(':').map(Number);
  const closed = off.map(([a, b]) => [dayNumber(a)!, dayNumber(b)!]);
  const out: Dated[] = [];
  for (let n = first; n < first + MOST_DAYS && out.length < periods; n++) {
    if (closed.some(([a, b]) => n >= a && n <= b)) continue;
    const many = weekdays.filter((w) => w === weekdayOf(n)).length;
    for (let k = 0; k < many && out.length < periods; k++) out.push({ day: dayOf(n), begins: h * 60 + m + k * minutes, joined: k > 0 });
  }
  if (out.length < periods) throw new CoreError('calendar.few', { n: out.length, periods });
  return out;
}
