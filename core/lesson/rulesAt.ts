/** Knows at which step of a lesson each rule of the study is kept to: where the hand does what it speaks of. */
import type { Message, Typed } from '../message';
import type { RulePicture } from './rulePicture';
import type { Technique } from './technique';

export interface LessonRule {
  /** The measured feature it is about; empty for what a person answers. */
  feature: string;
  said: Message | Typed;
  /** What of the works shows it; null where none was measured. */
  picture: RulePicture | null;
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

/** A try toward the manner, beside the sheet. */
export const TRY = 'toward';

const rolesFor = (feature: string): readonly Role[] => DONE_BY.find(([begins]) => feature.startsWith(begins))![1];
/** In the order in which one learns to keep them: what is placed, then how it is drawn, then how it is toned. */
const learnt = (feature: string): number => DONE_BY.findIndex(([begins]) => feature.startsWith(begins));

/** The rules of each of so many tries: every try keeps to those of the one before and to some more; the last keeps to all. */
export function rungs<R extends LessonRule>(rules: readonly R[], tries: number): R[][] {
  const ordered = [...rules].sort((a, b) => learnt(a.feature) - learnt(b.feature));
  return Array.from({ length: tries }, (_, k) => ordered.slice(0, Math.ceil(((k + 1) * ordered.length) / tries)));
}

/**
 * For each step the rules that are kept to in it: where the first step of a fitting role is, else the first step that draws anything. A
 * lesson without any such step has none. Tries toward the manner take them up one after another.
 */
export function rulesAt<R extends LessonRule>(steps: readonly Pick<Technique, 'id' | 'role'>[], rules: readonly R[]): R[][] {
  const out: R[][] = steps.map(() => []);
  const tries = steps.flatMap((s, i) => (s.id === TRY ? [i] : []));
  rungs(rules, tries.length).forEach((some, k) => (out[tries[k]] = some));
  const first = steps.findIndex((s) => s.role !== 'apart' && s.role !== 'finish' && s.role !== 'fix');
  for (const rule of rules) {
    const at = rolesFor(rule.feature)
      .map((role) => steps.findIndex((s) => s.role === role))
      .find((i) => i >= 0);
    const place = at ?? first;
    if (place >= 0) out[place].push(rule);
  }
  return out;
}
