/** Knows the clock of a lesson that is being held: which entry is on, how long it has been, and what each turn took. Times in ms and s. */
import type { TurnHeld } from './learning';
import type { Entry } from './schedule';

export interface Held {
  /** Place of the entry that is on, in its period. */
  at: number;
  /** Seconds it has been on, until `since`; and the moment since when it runs on, null while it is stopped. */
  spent: number;
  since: number | null;
  /** Minutes given on top. */
  more: number;
  /** Seconds each entry has taken so far, by its place. */
  took: Record<number, number>;
}

export const BEGIN: Held = { at: 0, spent: 0, since: null, more: 0, took: {} };

/** Seconds for which the entry has been on. */
export const spentNow = ({ spent, since }: Held, now: number): number => spent + (since === null ? 0 : Math.max(0, (now - since) / 1000));

/** Seconds that are left of it; below 0 once it is over. */
export const leftOf = (h: Held, entry: Entry, now: number): number => 60 * (entry.minutes + h.more) - spentNow(h, now);

/** Stopped, or going on. */
export const turned = (h: Held, now: number): Held =>
  h.since === null ? { ...h, since: now } : { ...h, spent: spentNow(h, now), since: null };

/** Two minutes more, or fewer. */
export const given = (h: Held, minutes: number, entry: Entry): Held => ({ ...h, more: Math.max(1 - entry.minutes, h.more + minutes) });

/** The next entry, or the one before, of so many; running as it was. What the one that is left took is kept. */
export function moved(h: Held, by: 1 | -1, many: number, now: number): Held {
  const at = h.at + by;
  if (at < 0 || at >= many) return h;
  const took = { ...h.took, [h.at]: spentNow(h, now) };
  // Gone back to, it goes on where it stopped.
  return { at, spent: took[at] ?? 0, since: h.since === null ? null : now, more: 0, took };
}

/** Shorter than this an entry was only paged through, s. */
const LEAST = 30;

/**
 * The turns of a period as they were held: minutes of the whole step, where a part of it was done in another period as it is planned
 * there. `stepMinutes` and `of` tell of each step.
 */
export function turnsHeld(
  h: Held,
  entries: readonly Entry[],
  now: number,
  stepMinutes: (step: number) => number,
  of: (step: number) => string,
): TurnHeld[] {
  const took = { ...h.took, [h.at]: spentNow(h, now) };
  return entries.flatMap((e, i): TurnHeld[] => {
    if (e.kind !== 'turn' || e.step === null || !((took[i] ?? 0) >= LEAST)) return [];
    const planned = stepMinutes(e.step);
    return [{ of: of(e.step), planned, took: Math.max(1, Math.round(took[i] / 60 + planned - e.minutes)) }];
  });
}
