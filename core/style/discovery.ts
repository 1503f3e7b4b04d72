/** Knows which of many deviations are told when chance alone makes some: the false-discovery rate, with what says the same judged once. */

export interface Deviation {
  family: string;
  /** How often chance alone deviates as far. */
  p: number;
}

/** Share of what is told that may be chance. */
export const FALSE_DISCOVERIES = 0.1;

/** Largest k with the k-th smallest p at most k/n of `level`; 0 for none. */
function stepUp(ps: readonly number[], level: number): number {
  const sorted = [...ps].sort((a, b) => a - b);
  for (let k = sorted.length; k > 0; k--) if (sorted[k - 1] <= (k * level) / sorted.length) return k;
  return 0;
}

/** The chance of the family as a whole deviating so: Simes (1986). */
function familyP(ps: readonly number[]): number {
  const sorted = [...ps].sort((a, b) => a - b);
  return Math.min(1, ...sorted.map((p, i) => (p * sorted.length) / (i + 1)));
}

/**
 * For each deviation the chance at which its bounds are to be drawn, so that over all families the false-discovery rate is held
 * (Benjamini and Hochberg 1995), and within a family that is told, its members likewise. A deviation is told when its p
 * is no more than its chance.
 */
export function boundChances(deviations: readonly Deviation[], rate = FALSE_DISCOVERIES): number[] {
  const families = new Map<string, number[]>();
  for (const { family, p } of deviations) families.set(family, [...(families.get(family) ?? []), p]);
  const each = [...families.values()].map(familyP);
  const level = (Math.max(1, stepUp(each, rate)) * rate) / Math.max(1, families.size);
  return deviations.map(({ family }) => {
    const ps = families.get(family)!;
    return (Math.max(1, stepUp(ps, level)) * level) / ps.length;
  });
}
