/** Knows how things drawn on a picture are named and told apart in a list that was sent. */
import { CoreError } from '../errors';
import { Typed, typed } from '../message';

const MOST_NAME = 60;

interface Named {
  id: string;
  name: string;
  /** The name, for what is said of it. */
  called: { name: Typed };
}

/** Id and name of the `i`th thing, from 0; `ids` are those before it, and gets its own. What is wrong with it is said of `of`. */
export function namedIn(thing: { id?: unknown; name?: unknown } | null, i: number, ids: Set<string>, of: 'shapes' | 'lines'): Named {
  const name = typeof thing?.name === 'string' ? thing.name.trim() : '';
  if (!name || name.length > MOST_NAME) throw new CoreError(`${of}.name`, { i: i + 1, n: MOST_NAME });
  const called = { name: typed(name) };
  const id = thing!.id;
  if (typeof id !== 'string' || !/^[\w-]{1,40}$/.test(id) || ids.has(id)) throw new CoreError(`${of}.id`, called);
  ids.add(id);
  return { id, name, called };
}

/** Does any of the points lie off a picture of this size, px? */
export const leaves = (points: readonly (readonly [number, number])[], [w, h]: readonly [number, number]): boolean =>
  points.some(([x, y]) => x < -1 || y < -1 || x > w + 1 || y > h + 1);
