/** Knows the inventory of what a master always or never shows: counts over the works, and the rule they make. */
import { Message, message, Typed, typed } from '../message';

/** How a motif or a feature stands in one work. */
export const SEEN = ['shown', 'hidden', 'leftOut', 'unequal', 'noPlace'] as const;
export type Seen = (typeof SEEN)[number];

export interface Motif {
  name: string;
  /** By work; nobody has looked at one that is not in it. */
  seen: Readonly<Record<string, Seen>>;
}

export interface Count {
  /** Works in which it could have been seen: those looked at, less those that have no place for it. */
  of: number;
  by: Record<Exclude<Seen, 'noPlace'>, number>;
  /** Works nobody has looked at yet. */
  open: number;
}

export function countOf({ seen }: Motif, works: readonly string[]): Count {
  const states = works.flatMap((id) => (Object.hasOwn(seen, id) ? [seen[id]] : []));
  const number = (s: Seen) => states.filter((t) => t === s).length;
  return {
    of: states.length - number('noPlace'),
    by: { shown: number('shown'), hidden: number('hidden'), leftOut: number('leftOut'), unequal: number('unequal') },
    open: works.length - states.length,
  };
}

/** A habit holds where it is seen in at least so large a part of the works, and in at least so many. */
const [MOSTLY, FEWEST] = [0.8, 2];

export interface Habit {
  kind: 'always' | 'never';
  said: Message;
  evidence: Message;
}

/** The rule that a count makes; null where the works do not agree, or too few have been looked at. */
export function habitOf(motif: Motif, works: readonly string[]): Habit | null {
  const { of, by } = countOf(motif, works);
  if (of < FEWEST) return null;
  const most = (Object.keys(by) as (keyof Count['by'])[]).reduce((a, b) => (by[b] > by[a] ? b : a));
  if (by[most] < MOSTLY * of) return null;
  const name: Typed = typed(motif.name);
  return {
    kind: most === 'leftOut' ? 'never' : 'always',
    said: message(`inventory.rule.${most}`, { name }),
    evidence: message('inventory.evidence', { name, state: most, n: by[most], of }),
  };
}
