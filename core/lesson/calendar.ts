/** Knows on which days the periods of a lesson fall: on the weekdays a class meets, past holidays and single days off. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { BOUNDS } from './bounds';

export interface Calendar {
  /** The first day that can be one, as 2026-09-01. */
  from: string;
  /** Weekdays on which the class meets: 1 Monday to 7 Sunday; one named twice has two periods one after the other. */
  weekdays: readonly number[];
  /** When a period begins, as 09:50. */
  at: string;
  /** How long a period is on a weekday where it is not as long as usual, minutes. */
  minutes?: Partial<Record<string, number>>;
  /** Days off, each a first and a last day. */
  off: readonly (readonly [string, string])[];
}

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
const DAY_MS = 86_400_000;
const [SHORTEST, LONGEST] = BOUNDS.minutesPerPeriod;
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
  for (const [w, n] of Object.entries(c.minutes ?? {}))
    if (!(/^[1-7]$/.test(w) && Number.isInteger(n) && n! >= SHORTEST && n! <= LONGEST))
      throw new CoreError('calendar.minutes', { low: SHORTEST, high: LONGEST });
  for (const [a, b] of c.off) if (day(a, 'off') > day(b, 'off')) throw new CoreError('calendar.off', { from: typed(a), to: typed(b) });
  return c;
}

export interface Dated {
  day: string;
  /** Minutes after midnight. */
  begins: number;
  minutes: number;
  /** Right after the period before, with no break between. */
  joined: boolean;
}

/** The first days on which a class meets, so many periods or as many as a year and more holds. */
function daysIn(periods: number, usual: number, calendar: Calendar): Dated[] {
  const { from, weekdays, at, off } = checkedCalendar(calendar);
  const first = dayNumber(from)!;
  const [h, m] = at.split(':').map(Number);
  const closed = off.map(([a, b]) => [dayNumber(a)!, dayNumber(b)!]);
  const out: Dated[] = [];
  for (let n = first; n < first + MOST_DAYS && out.length < periods; n++) {
    if (closed.some(([a, b]) => n >= a && n <= b)) continue;
    const minutes = calendar.minutes?.[weekdayOf(n)] ?? usual;
    const many = weekdays.filter((w) => w === weekdayOf(n)).length;
    for (let k = 0; k < many && out.length < periods; k++)
      out.push({ day: dayOf(n), begins: h * 60 + m + k * minutes, minutes, joined: k > 0 });
  }
  return out;
}

/** The days of so many periods, in order, of so many minutes where the weekday has none of its own; an error where a year and more holds too few. */
export function datesFor(periods: number, minutes: number, calendar: Calendar): Dated[] {
  const out = daysIn(periods, minutes, calendar);
  if (out.length < periods) throw new CoreError('calendar.few', { n: out.length, periods });
  return out;
}

/** As many periods ahead as a lesson may take have lengths of their own. */
const MOST_LENGTHS = 24;

/**
 * How long each period is, by the weekdays they fall on; empty where all are as long as usual, or nobody has said when the class meets. Days that
 * cannot be are told where they are asked for: the lesson is planned without them.
 */
export function lengthsOf(calendar: Calendar | null, usual: number): number[] {
  if (!calendar || !Object.keys(calendar.minutes ?? {}).length) return [];
  try {
    return daysIn(MOST_LENGTHS, usual, calendar).map((d) => d.minutes);
  } catch (error) {
    if (error instanceof CoreError) return [];
    throw error;
  }
}
