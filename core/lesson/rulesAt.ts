/** Knows at which step of a lesson each rule of the study is kept to: where the hand does what it speaks of. */
import type { Message, Typed } from '../message';
import type { Technique } from './technique';

export interface LessonRule {
  /** The measured feature it is about; empty for what a person answers. */
  feature: string;
  said: Message | Typed;
}

type Role = Technique['role'];

/** Beginnings of features, the most particular first, and the roles that do them, the likeliest first. */
const DONE_BY: readonly (readonly [string, readonly Role[]])[] = [
  ['proportion.', ['draft', 'line']],
  ['composition.', ['draft', 'line']],
  ['colour.accent', ['accent', 'light', 'paint', 'wash']],
  ['colour.ground', ['ground', 'wash', 'paint']],
  ['colour.', ['paint', 'wash', 'fill', 'tone', 'ground']],
  ['marks.colourSlack', ['wash', 'paint', 'fill']],
  ['marks.line', ['line', 'tone']],
  ['marks.stroke', ['tone', 'line']],
  ['marks.', ['tone', 'line', 'wash', 'paint', 'fill']],
  ['edges.', ['line', 'wash', 'paint', 'fill']],
  ['value.', ['wash', 'tone', 'paint', 'fill']],
  // Sentences of one's own: what is always or never there is decided when it is placed.
  ['', ['draft', 'line']],
];

/**
 * For each step the rules that are kept to in it: where the first step of a fitting role is, else the first step that draws anything. A
 * lesson without any such step has none.
 */
export function rulesAt<R extends LessonRule>(steps: readonly Pick<Technique, 'role'>[], rules: readonly R[]): R[][] {
  const out: R[][] = steps.map(() => []);
  const first = steps.findIndex((s) => s.role !== 'apart' && s.role !== 'finish' && s.role !== 'fix');
  for (const rule of rules) {
    const roles = DONE_BY.find(([begins]) => rule.feature.startsWith(begins))![1];
    const at = roles.map((role) => steps.findIndex((s) => s.role === role)).find((i) => i >= 0) ?? first;
    if (at >= 0) out[at].push(rule);
  }
  return out;
}
