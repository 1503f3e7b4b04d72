/** Knows lines laid along the edges of a picture and kept to be carried over, each by a name. */
import { CoreError } from '../errors';
import type { Carry } from '../raster/crop';
import { isPoint } from '../formats/json';
import { leaves, namedIn } from './named';

/** A line from one place of a picture to another, px of it. */
export interface KeptLine {
  id: string;
  name: string;
  ends: [[number, number], [number, number]];
}

const MOST_LINES = 40;
/** Shorter than this part of the picture's longer side a line has no way of its own. */
const LEAST_SHARE = 0.005;

/** The lines of a picture of this size as they were given, if every one of them can be used. */
export function checkedLines(value: unknown, [w, h]: readonly [number, number]): KeptLine[] {
  if (!Array.isArray(value) || value.length > MOST_LINES) throw new CoreError('lines.list', { n: MOST_LINES });
  const ids = new Set<string>();
  return value.map((l: Partial<Record<keyof KeptLine, unknown>> | null, i) => {
    const { id, name, called } = namedIn(l, i, ids, 'lines');
    const { ends } = l!;
    if (!Array.isArray(ends) || ends.length !== 2 || !ends.every(isPoint)) throw new CoreError('lines.ends', called);
    if (leaves(ends, [w, h])) throw new CoreError('lines.outside', called);
    const [[x, y], [u, v]] = ends as KeptLine['ends'];
    if (Math.hypot(u - x, v - y) < LEAST_SHARE * Math.max(w, h)) throw new CoreError('lines.short', called);
    return {
      id,
      name,
      ends: [
        [x, y],
        [u, v],
      ],
    };
  });
}

/** The lines where a picture made from theirs has them; one with an end that is no longer there is left out. */
export const carryLines = (lines: readonly KeptLine[], carry: Carry): KeptLine[] =>
  lines.flatMap((l) => {
    const [a, b] = l.ends.map((p) => carry(p));
    return a && b ? [{ ...l, ends: [a, b] }] : [];
  });
