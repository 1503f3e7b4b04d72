/** Knows what lessons that were held say of the next: how long a step really took, and over how many lessons that is known. */
import { median } from '../raster/statistics';

/** One turn as it was held. */
export interface TurnHeld {
  /** The technique, or the name of a teacher's own step. */
  of: string;
  /** Minutes that were planned, and that it took. */
  planned: number;
  took: number;
}

export interface Learned {
  minutes: number;
  /** Lessons it is known from. */
  n: number;
}

/** Below this nobody worked: the step was passed over. */
const LEAST = 1;

/** The middle of what each step took, by what it is of; whole minutes. */
export function learnedFrom(turns: readonly TurnHeld[]): Map<string, Learned> {
  const by = new Map<string, number[]>();
  for (const { of, took } of turns) if (took >= LEAST) by.set(of, [...(by.get(of) ?? []), took]);
  return new Map([...by].map(([of, took]) => [of, { minutes: Math.max(1, Math.round(median(took))), n: took.length }]));
}
