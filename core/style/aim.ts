/** Knows which comparisons a study's aim asks of a copy, and how tight they are. */
import type { FeatureSpec } from './features';
import { measureIn } from './proportionNames';

/**
 * How close a first study should come is a matter of school: stroke for stroke, loosely after, or from memory once the
 * source has been put away.
 */
export type Aim = 'replica' | 'study' | 'remembered';

export interface Asked {
  /** Held against the very work it was made from, not against the master's whole range. */
  oneWork: boolean;
  /** Registered and held place by place. */
  places: boolean;
  /** Half-width of a proportion's range as a part of the work's own; null: the master's range. */
  proportion: number | null;
  /** Proportions that say most of whose hand it is: those that depart farthest from nature; null for all. */
  signature: number | null;
}

export const ASKED: Readonly<Record<Aim, Asked>> = {
  replica: { oneWork: true, places: true, proportion: 0.03, signature: null },
  study: { oneWork: false, places: true, proportion: 0.06, signature: null },
  remembered: { oneWork: false, places: false, proportion: null, signature: 3 },
};

/** Half-widths for measures that are no ratios, where three or six per cent of the value would mean nothing. */
const PLAIN: Partial<Record<FeatureSpec['unit'], number>> = { degrees: 50, offset: 0.3 };

/** How far a proportion of a copy may be off that of its work, whose own value is known: 3 % or 6 % of it; 1.5° or 3° for angles. */
export const copyTolerance = (value: number, unit: FeatureSpec['unit'], part: number): number => part * (PLAIN[unit] ?? Math.abs(value));

/** The names of the proportions that depart farthest from nature, |log factor| first; `mids` by feature name. */
export function signatureOf(mids: ReadonlyMap<string, number>, most: number): Set<string> {
  const departures = [...mids].flatMap(([name, mid]): [string, number][] => {
    const canon = measureIn(name)?.measure.canon ?? null;
    return canon === null || !(mid > 0) ? [] : [[name, Math.abs(Math.log(mid / canon))]];
  });
  return new Set(
    departures
      .sort((a, b) => b[1] - a[1])
      .slice(0, most)
      .map(([name]) => name),
  );
}
