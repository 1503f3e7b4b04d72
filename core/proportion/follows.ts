/**
 * Knows of an original what its departures from its own reference follow: the master's manner, more of it than the master's own works have, or
 * neither. What the manner asks for and the drawing has not done is told, too.
 */
import type { Landmarks } from './align';
import { Change, changesFrom } from './changes';
import type { MannerFactor } from './manner';
import { measureProportions } from './measures';
import type { TemplateName } from './templates';

export interface Follows extends Pick<Change, 'measure' | 'unit' | 'from' | 'to'> {
  /** Drawn ÷ reference, and what the manner would make of it; 1 for a manner that leaves it as it is. */
  times: number;
  asked: number;
  as: 'manner' | 'further' | 'neither' | 'open';
}

/** Within so much of what was asked a hand has done it; a manner that changes less asks for nothing. Common practice, no source. */
const [NEAR, ASKS] = [0.08, 0.06];

/** Points of the reference and of the drawing, px of each; surest departures first, then what is still open. Angles have no factor and are left out. */
export function followsOf(template: TemplateName, reference: Landmarks, drawing: Landmarks, factors: readonly MannerFactor[]): Follows[] {
  const asked = new Map(factors.map((f) => [f.measure, f.factor]));
  const done = changesFrom(template, reference, drawing).flatMap((c): Follows[] => {
    const want = asked.get(c.measure);
    // Of what nature has no proportion, nobody knows what the manner would make.
    if (c.times === null || want === undefined) return [];
    const [by, to] = [Math.log(c.times), Math.log(want)];
    const asks = Math.abs(to) > ASKS;
    const as =
      Math.abs(by - to) <= NEAR
        ? 'manner'
        : asks && Math.sign(by) === Math.sign(to)
          ? Math.abs(by) > Math.abs(to)
            ? 'further'
            : 'open'
          : 'neither';
    // Leaving nature's proportion as it is follows no manner.
    return as === 'manner' && !asks ? [] : [{ measure: c.measure, unit: c.unit, from: c.from, to: c.to, times: c.times, asked: want, as }];
  });
  const [before, after] = [measureProportions(template, reference), measureProportions(template, drawing)];
  const open = before.flatMap((m, i): Follows[] => {
    const want = asked.get(m.name);
    const [from, to] = [m.value, after[i].value];
    if (want === undefined || Math.abs(Math.log(want)) <= ASKS || from === null || to === null || !(from > 0 && to > 0)) return [];
    if (done.some((d) => d.measure === m.name)) return [];
    return Math.abs(Math.log(to / from / want)) <= NEAR
      ? []
      : [{ measure: m.name, unit: m.unit, from, to, times: to / from, asked: want, as: 'open' }];
  });
  return [...done, ...open];
}
