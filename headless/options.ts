/** Knows how to read the words of a command: options in order, with clear complaints. */
import { Rect } from '../core/raster/image';
import { typed } from '../core/message';
import { CHOSEN, isLanguage } from '../words/languages';
import { PLAIN_VOICE, Voice } from '../words/say';
import { Unusable } from './unusable';

export interface Words {
  positional: string[];
  /** Every option in the order given; a flag has the value ''. */
  options: { name: string; value: string }[];
}

const FLAGS = new Set(['json']);

export function readWords(words: readonly string[], known: readonly string[]): Words {
  const out: Words = { positional: [], options: [] };
  const allowed = new Set([...known, 'json', 'spelling', 'units', 'language']);
  for (let i = 0; i < words.length; i++) {
    const word = words[i];
    if (!word.startsWith('--')) {
      out.positional.push(word);
      continue;
    }
    const [name, inline] = word.slice(2).split(/=(.*)/s);
    if (!allowed.has(name))
      throw new Unusable('noOption', { name: typed(name), known: typed([...allowed].map((k) => `--${k}`).join(', ')) });
    if (FLAGS.has(name)) out.options.push({ name, value: '' });
    else {
      const value = inline ?? words[++i];
      if (value === undefined) throw new Unusable('needsValue', { name: typed(name) });
      out.options.push({ name, value });
    }
  }
  return out;
}

export const all = (w: Words, name: string): string[] => w.options.filter((o) => o.name === name).map((o) => o.value);
export const last = (w: Words, name: string): string | undefined => all(w, name).at(-1);
export const has = (w: Words, name: string): boolean => w.options.some((o) => o.name === name);

export function number(name: string, text: string, low: number, high: number): number {
  const value = text.trim() === '' ? NaN : Number(text);
  if (!Number.isFinite(value) || value < low || value > high)
    throw new Unusable('number', { name: typed(name), text: typed(text), low, high });
  return value;
}

export function numbers(name: string, text: string, count: number): number[] {
  const parts = text.split(',').map((p) => (p.trim() === '' ? NaN : Number(p)));
  if (parts.length !== count || !parts.every(Number.isFinite))
    throw new Unusable('numbers', { name: typed(name), text: typed(text), count });
  return parts;
}

export function rectangle(name: string, text: string): Rect {
  const [x, y, w, h] = numbers(`--${name}`, text, 4);
  if (w < 1 || h < 1) throw new Unusable('noArea', { name: typed(name), text: typed(text) });
  return [x, y, w, h];
}

export function points(name: string, text: string): [number, number][] {
  return text
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((p) => numbers(`--${name}`, p, 2) as [number, number]);
}

/** One of a few words, the first where none was given. */
function oneOf<T extends string>(w: Words, name: string, known: readonly T[]): T {
  const text = last(w, name) ?? known[0];
  const found = known.find((k) => k === text);
  if (found === undefined) throw new Unusable('oneOf', { name: typed(name), text: typed(text), known: typed(known.join(', ')) });
  return found;
}

/** How the answer is to be worded. */
export const voiceOf = (w: Words): Voice => ({
  language: oneOf(w, 'language', CHOSEN),
  spelling: oneOf(w, 'spelling', ['british', 'american']),
  units: oneOf(w, 'units', ['mm', 'inch']),
});

/** What a word option was last set to, in words that may hold anything. */
const wished = (words: readonly string[], name: string): string | undefined =>
  words.flatMap((w, i) => (w === `--${name}` ? [words[i + 1]] : w.startsWith(`--${name}=`) ? [w.slice(name.length + 3)] : [])).at(-1);

/** The voice as far as it can be made out: what is wrong with it is complained of in plain English. */
export function voiceWished(words: readonly string[]): Voice {
  const language = wished(words, 'language') ?? '';
  return {
    language: isLanguage(language) ? language : PLAIN_VOICE.language,
    spelling: wished(words, 'spelling') === 'american' ? 'american' : 'british',
    units: wished(words, 'units') === 'inch' ? 'inch' : 'mm',
  };
}
