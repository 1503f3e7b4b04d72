/** Knows how far background work has come since one began to watch it: a whole that does not grow meanwhile, and minutes left. */

export interface Watch {
  /** How many things there were to do when the watch began, or when more were added. */
  all: number;
  left: number;
  /** When it began, ms. */
  since: number;
}

/** The watch after so many things are told to be left; null when all is done. */
export function watched(before: Watch | null, left: number, now: number): Watch | null {
  if (left <= 0) return null;
  // More than ever were left: something was added, and is counted from now on.
  if (!before || left > before.all) return { all: left, left, since: now };
  // Asked for again while it ran: what was done stays done.
  return { ...before, left: Math.min(before.left, left) };
}

/** Whole minutes left at the pace so far, at least one; null until something has been done. */
export function minutesLeft({ all, left, since }: Watch, now: number): number | null {
  const done = all - left;
  return done > 0 ? Math.max(1, Math.round(((now - since) / done) * (left / 60_000))) : null;
}
