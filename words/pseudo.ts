/**
 * Knows a language nobody speaks, made from the English sentences: every plain vowel is marked, and every sentence grows by a
 * third as translations do. Whatever shows a plain vowel on a screen did not come through `words/`.
 */
import type { Catalogue } from './catalogue';
import { changeLiterals, everyMessage } from './literals';

const VOWELS: Record<string, string> = { a: 'ä', e: 'ë', i: 'ï', o: 'ö', u: 'ü', y: 'ý', A: 'Ä', E: 'Ë', I: 'Ï', O: 'Ö', U: 'Ü', Y: 'Ý' };

const mark = (text: string): string => text.replace(/[aeiouyAEIOUY]/g, (v) => VOWELS[v]);

/** Longer, as another language would be; at the end, where it disturbs no number. */
const grown = (message: string): string => {
  const words = message.replace(/\{[^{}]*\}/g, '').length;
  return words < 12 ? message : `${message}${'~'.repeat(Math.ceil(words / 4))}`;
};

export const pseudo = (catalogue: Catalogue): Catalogue => everyMessage(catalogue, (m) => grown(changeLiterals(m, mark)));
