/** Knows the form in which something is said before anybody puts it into words: the key of a sentence, and what stands in it. */

export interface Message {
  /** Where the sentence stands in `words/`, parted by dots. */
  readonly key: string;
  readonly values?: Values;
}

export type Values = Readonly<Record<string, Value>>;

/**
 * A bare number chooses a plural or is written whole; a bare string chooses between forms and is never shown by itself;
 * everything that is shown says what it is.
 */
export type Value = number | string | Message | Amount | Figure | Typed | Several;

/** A measured value with its unit; the words decide on mm or inches, on rounding and on the decimal sign. */
export interface Amount {
  readonly amount: number;
  readonly unit: AmountUnit;
}

/** `permille` is per thousandth of the picture's width, `share` a part of one, `lightness` L* from 0 to 100. */
export type AmountUnit = 'mm' | 'permille' | 'degrees' | 'share' | 'lightness' | 'colours' | 'heads' | 'eyes' | 'things' | 'px' | 'times';

/** A number written with so many decimals. */
export interface Figure {
  readonly figure: number;
  readonly decimals: number;
}

/** What a person typed, a name or a code: it stays as it is in every language. */
export interface Typed {
  readonly typed: string;
}

/** Several things, said one after the other with "and" before the last. */
export interface Several {
  readonly several: readonly Exclude<Value, number | string>[];
}

export const message = (key: string, values?: Values): Message => (values ? { key, values } : { key });
export const amount = (value: number, unit: AmountUnit): Amount => ({ amount: value, unit });
export const figure = (value: number, decimals = 0): Figure => ({ figure: value, decimals });
export const typed = (text: string): Typed => ({ typed: text });
export const several = (items: Several['several']): Several => ({ several: items });

const MOST_VALUES = 16;
const MOST_LETTERS = 600;
const MOST_DEEP = 4;

function isValue(value: unknown, deep: number): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value === 'string') return value.length <= MOST_LETTERS;
  if (typeof value !== 'object' || value === null || deep > MOST_DEEP) return false;
  if ('several' in value)
    return Array.isArray(value.several) && value.several.length <= MOST_VALUES && value.several.every((v) => isValue(v, deep + 1));
  if ('typed' in value) return typeof value.typed === 'string' && value.typed.length <= MOST_LETTERS;
  if ('amount' in value)
    return typeof value.amount === 'number' && Number.isFinite(value.amount) && 'unit' in value && typeof value.unit === 'string';
  if ('figure' in value)
    return (
      typeof value.figure === 'number' &&
      'decimals' in value &&
      Number.isInteger(value.decimals) &&
      Number(value.decimals) >= 0 &&
      Number(value.decimals) <= 6
    );
  return asMessage(value, '', deep + 1) !== null;
}

/** A message from outside, as from a page or the database; null for anything else, or where its key does not begin with `under`. */
export function asMessage(value: unknown, under = '', deep = 0): Message | null {
  if (typeof value !== 'object' || value === null || !('key' in value) || typeof value.key !== 'string') return null;
  if (!/^[\w-]+(\.[\w-]+)*$/.test(value.key) || value.key.length > 120 || !value.key.startsWith(under)) return null;
  if (!('values' in value) || value.values === undefined) return { key: value.key };
  if (typeof value.values !== 'object' || value.values === null) return null;
  const values = Object.entries(value.values);
  if (values.length > MOST_VALUES || !values.every(([, v]) => isValue(v, deep))) return null;
  return { key: value.key, values: Object.fromEntries(values) as Values };
}
