/** Knows what American spelling writes otherwise than British. Only the words of the sentences are respelt, never what people typed. */
import type { Catalogue } from './catalogue';
import { changeLiterals, everyMessage } from './literals';

/** Beginnings of words, small letters; what follows stays. */
const RESPELT: readonly (readonly [string, string])[] = [
  ['colour', 'color'],
  ['watercolour', 'watercolor'],
  ['harbour', 'harbor'],
  ['grey', 'gray'],
  ['centre', 'center'],
  ['metre', 'meter'],
  ['millimetre', 'millimeter'],
  ['millilitre', 'milliliter'],
  ['fibre', 'fiber'],
  ['practise', 'practice'],
  ['neighbour', 'neighbor'],
  ['labelled', 'labeled'],
  ['mould', 'mold'],
  ['judgement', 'judgment'],
  ['licence', 'license'],
];

const RULES = RESPELT.flatMap(([from, to]) => {
  const capital = (w: string) => w[0].toUpperCase() + w.slice(1);
  return [
    [new RegExp(`\\b${from}`, 'g'), to],
    [new RegExp(`\\b${capital(from)}`, 'g'), capital(to)],
  ] as const;
});

const respell = (text: string): string => RULES.reduce((t, [from, to]) => t.replace(from, to), text);

/** English sentences in American spelling. */
export const american = (catalogue: Catalogue): Catalogue => everyMessage(catalogue, (m) => changeLiterals(m, respell));
