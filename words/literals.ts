/** Knows the plain text of a message apart from its arguments, so that it can be respelt without touching them. */
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { printAST } from '@formatjs/icu-messageformat-parser/printer.js';
import type { Catalogue } from './catalogue';

function within(elements: MessageFormatElement[], change: (text: string) => string): void {
  for (const e of elements) {
    if (e.type === TYPE.literal) e.value = change(e.value);
    else if (e.type === TYPE.select || e.type === TYPE.plural) for (const option of Object.values(e.options)) within(option.value, change);
  }
}

/** One message with its plain text changed. */
export function changeLiterals(message: string, change: (text: string) => string): string {
  if (!message.includes('{')) return change(message);
  const elements = parse(message);
  within(elements, change);
  return printAST(elements);
}

type Tree = { readonly [key: string]: string | Tree };

const changed = (tree: Tree, change: (message: string) => string): Tree =>
  Object.fromEntries(Object.entries(tree).map(([k, v]) => [k, typeof v === 'string' ? change(v) : changed(v, change)]));

/** The same sentences with every message changed. */
export const everyMessage = (catalogue: Catalogue, change: (message: string) => string): Catalogue =>
  changed(catalogue as unknown as Tree, change) as unknown as Catalogue;
