/** Every form a message can take, with what stands in it left as a mark: what a reader of all sentences reads. */
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import type { Catalogue } from '../../words/catalogue';

type Tree = { readonly [key: string]: string | Tree };

/** Every message by its key. */
export function messagesOf(catalogue: Catalogue): [key: string, message: string][] {
  const walk = (tree: Tree, path: string): [string, string][] =>
    Object.entries(tree).flatMap(([k, v]) => (typeof v === 'string' ? [[path + k, v] as [string, string]] : walk(v, `${path}${k}.`)));
  return walk(catalogue as unknown as Tree, '');
}

const joined = (heads: readonly string[], tails: readonly string[]): string[] => heads.flatMap((h) => tails.map((t) => h + t));

function formsOf(elements: readonly MessageFormatElement[]): string[] {
  return elements.reduce<string[]>(
    (heads, e) => {
      if (e.type === TYPE.literal) return joined(heads, [e.value]);
      if (e.type === TYPE.pound) return joined(heads, ['#']);
      if (e.type === TYPE.select || e.type === TYPE.plural)
        return joined(heads, [...new Set(Object.values(e.options).flatMap((o) => formsOf(o.value)))]);
      return joined(heads, [`‹${'value' in e ? e.value : ''}›`]);
    },
    [''],
  );
}

/** The forms of one message; of those with very many combinations, as names of colours have, each choice once. */
export function everyForm(message: string): string[] {
  const elements = parse(message);
  const choices = elements.filter((e) => e.type === TYPE.select || e.type === TYPE.plural);
  const count = choices.reduce((n, e) => n * Object.keys((e as { options: object }).options).length, 1);
  if (count <= 60) return formsOf(elements);
  return elements.flatMap((e) => formsOf([e])).filter((f) => f.trim() !== '');
}

/** What stands in a message, by name. */
export function argumentsOf(message: string): string[] {
  const names = new Set<string>();
  const walk = (elements: readonly MessageFormatElement[]) => {
    for (const e of elements) {
      if (e.type === TYPE.literal || e.type === TYPE.pound) continue;
      if ('value' in e) names.add(e.value);
      if (e.type === TYPE.select || e.type === TYPE.plural) Object.values(e.options).forEach((o) => walk(o.value));
    }
  };
  walk(parse(message));
  return [...names].sort();
}
