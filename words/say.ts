/** Knows how a message becomes a sentence: in one language and spelling, in mm or inches, with numbers and lists as that language writes them. */
import { createTranslator } from 'use-intl/core';
import type { Amount, AmountUnit, Figure, Message, Several, Typed, Value, Values } from '../core/message';
import type { Catalogue, Key } from './catalogue';
import { Language, LANGUAGES } from './languages';

/** How somebody wants to be spoken to. */
export interface Voice {
  language: Language;
  spelling: 'british' | 'american';
  units: 'mm' | 'inch';
}

export const PLAIN_VOICE: Voice = { language: 'en', spelling: 'british', units: 'mm' };

export interface Say {
  (what: Exclude<Value, number | string>): string;
  (key: Key, values?: Values): string;
  /** What a person typed, kept apart from the words round it where they run the other way. */
  typed(text: string): string;
  amount(value: number, unit: AmountUnit): string;
  number(value: number, decimals?: number): string;
  list(items: readonly string[]): string;
  /** A day as the language writes it, from YYYY-MM-DD. */
  day(date: string): string;
  voice: Voice;
  /** Tag of the language as it is written here. */
  locale: string;
}

const MM_PER_INCH = 25.4;

/** How many decimals a size is given with: so many that its rounding is no coarser than one part in some thirty. */
const decimalsOf = (value: number, unit: 'mm' | 'inch'): number => {
  if (unit === 'inch') return value < 1 ? 3 : 2;
  return value < 1 ? 2 : value < 10 ? 1 : 0;
};

const isMessage = (value: Value): value is Message => typeof value === 'object' && 'key' in value;

/** First strong isolate and its end: what stands between them keeps its own direction. */
const ISOLATE = ['\u2068', '\u2069'] as const;

/** Units written so short that a line does not break before them, nor after the number's sign. */
const SHORT: ReadonlySet<string> = new Set(['mm', 'inch', 'share', 'times', 'px', 'ml', 'minutes', 'ms', 'deltaE']);

/**
 * Speaks in one voice from that language's sentences. On a screen, where lines break anywhere, a number and its short unit
 * are told with a no-break space between them.
 */
export function speaker(catalogue: Catalogue, voice: Voice, on: 'paper' | 'screen' = 'paper'): Say {
  const { locale: plainLocale, american, isolates, pseudo } = LANGUAGES[voice.language];
  const locale = voice.spelling === 'american' && american ? american : plainLocale;
  const t = createTranslator({ locale, messages: catalogue as Record<string, unknown>, onError: () => undefined }) as unknown as (
    key: string,
    values?: Record<string, string | number>,
  ) => string;
  const formats = new Map<number, Intl.NumberFormat>();
  const number = (value: number, decimals = 0): string => {
    let format = formats.get(decimals);
    if (!format)
      formats.set(decimals, (format = new Intl.NumberFormat(locale, { minimumFractionDigits: decimals, maximumFractionDigits: decimals })));
    // Nothing is less than nothing: −0 is written 0.
    const rounded = Number(value.toFixed(decimals));
    return format.format(rounded === 0 ? 0 : rounded).replace('-', '−');
  };
  // A made-up language has no word for "and" that a locale would know.
  const list = (items: readonly string[]): string =>
    pseudo ? items.join(', ') : new Intl.ListFormat(locale, { type: 'conjunction' }).format(items);
  const kept = (text: string): string => (isolates ? ISOLATE[0] + text + ISOLATE[1] : text);
  const inUnit = (unit: string, n: string, more: Record<string, number> = {}): string => {
    const text = t(`units.${unit}`, { n, ...more });
    return on === 'screen' && SHORT.has(unit) ? text.replaceAll(' ', '\u00a0') : text;
  };
  const amount = (value: number, unit: AmountUnit): string => {
    switch (unit) {
      case 'mm': {
        const shown = voice.units === 'inch' ? value / MM_PER_INCH : value;
        return inUnit(voice.units, number(shown, decimalsOf(Math.abs(shown), voice.units)));
      }
      case 'share':
        return inUnit(unit, number(100 * value, value !== 0 && Math.abs(value) < 0.02 ? 1 : 0));
      case 'permille':
        return inUnit(unit, number(value, Math.abs(value) < 10 ? 1 : 0));
      case 'colours':
      case 'things':
        return inUnit(unit, number(value, Number.isInteger(value) ? 0 : 1), { count: value });
      case 'heads':
      case 'eyes':
        return inUnit(unit, number(value, 1));
      case 'times':
        return inUnit(unit, number(value, 2));
      default:
        return inUnit(unit, number(value));
    }
  };
  const shown = (value: Exclude<Value, number | string>): string => {
    if (isMessage(value)) return sayMessage(value);
    if ('amount' in value) return amount((value as Amount).amount, (value as Amount).unit);
    if ('figure' in value) return number((value as Figure).figure, (value as Figure).decimals);
    if ('several' in value) return list((value as Several).several.map(shown));
    return kept((value as Typed).typed);
  };
  const sayMessage = ({ key, values }: Message): string => {
    if (!values) return t(key);
    const filled: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(values)) filled[name] = typeof value === 'object' ? shown(value) : value;
    return t(key, filled);
  };
  const say = (what: Exclude<Value, number | string> | string, values?: Values): string =>
    typeof what === 'string' ? sayMessage({ key: what, values }) : shown(what);
  return Object.assign(say, {
    typed: kept,
    amount,
    number,
    list,
    // Noon in UTC is the same day everywhere it matters: only the date is written.
    day: (date: string) =>
      new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
        new Date(`${date}T12:00:00Z`),
      ),
    voice,
    locale,
  });
}
