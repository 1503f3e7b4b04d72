/** Knows how to read the words of a command: options in order, with clear complaints. */
import { Rect } from '../core/raster/image';
import { WordSettings } from '../core/style/words';
import { Unusable } from './unusable';

export interface Words {
  positional: string[];
  /** Every option in the order given; a flag has the value ''. */
  options: { name: string; value: string }[];
}

const FLAGS = new Set(['json']);

export function readWords(words: readonly string[], known: readonly string[]): Words {
  const out: Words = { positional: [], options: [] };
  const allowed = new Set([...known, 'json', 'spelling', 'units']);
  for (let i = 0; i < words.length; i++) {
    const word = words[i];
    if (!word.startsWith('--')) {
      out.positional.push(word);
      continue;
    }
    const [name, inline] = word.slice(2).split(/=(.*)/s);
    if (!allowed.has(name)) throw new Unusable(`--${name}: no such option here; known are ${[...allowed].map((k) => `--${k}`).join(', ')}`);
    if (FLAGS.has(name)) out.options.push({ name, value: '' });
    else {
      const value = inline ?? words[++i];
      if (value === undefined) throw new Unusable(`--${name}: needs a value after it`);
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
    throw new Unusable(`--${name}: "${text}" must be a number from ${low} to ${high}`);
  return value;
}

export function numbers(name: string, text: string, count: number): number[] {
  const parts = text.split(',').map((p) => (p.trim() === '' ? NaN : Number(p)));
  if (parts.length !== count || !parts.every(Number.isFinite))
    throw new Unusable(`${name}: "${text}" must be ${count} numbers with commas between them`);
  return parts;
}

export function rectangle(name: string, text: string): Rect {
  const [x, y, w, h] = numbers(`--${name}`, text, 4);
  if (w < 1 || h < 1) throw new Unusable(`--${name}: "${text}" has no area; give X,Y,W,H in pixels`);
  return [x, y, w, h];
}

export function points(name: string, text: string): [number, number][] {
  return text
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map((p) => numbers(`--${name}`, p, 2) as [number, number]);
}

export function wordSettings(w: Words): WordSettings {
  const spelling = last(w, 'spelling') ?? 'british';
  const units = last(w, 'units') ?? 'mm';
  if (spelling !== 'british' && spelling !== 'american') throw new Unusable(`--spelling: "${spelling}" must be british or american`);
  if (units !== 'mm' && units !== 'inch') throw new Unusable(`--units: "${units}" must be mm or inch`);
  return { spelling, units };
}
