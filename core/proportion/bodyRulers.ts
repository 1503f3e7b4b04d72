/** Knows rulers that every child has at hand: a finger's width, a hand's breadth, a fist, by age. */
import { stepsOf, Steps } from './spans';

export const AGE_BANDS = ['under8', 'under11', 'under14', 'older'] as const;
export type AgeBand = (typeof AGE_BANDS)[number];

/** The band of a class by the age of its youngest. */
export const bandOf = (youngest: number): AgeBand =>
  youngest < 8 ? 'under8' : youngest < 11 ? 'under11' : youngest < 14 ? 'under14' : 'older';

export const RULERS = ['finger', 'hand', 'fist'] as const;
export type Ruler = (typeof RULERS)[number];
/** Widths in mm. */
export type BodyRulers = Readonly<Record<Ruler, number>>;

/** A forefinger's width, four fingers laid side by side, a fist seen from above: common practice, no source; a class measures its own. */
export const USUAL_RULERS: Readonly<Record<AgeBand, BodyRulers>> = {
  under8: { finger: 11, hand: 50, fist: 60 },
  under11: { finger: 13, hand: 58, fist: 70 },
  under14: { finger: 15, hand: 68, fist: 80 },
  older: { finger: 17, hand: 78, fist: 90 },
};

/** What a ruler may measure, mm: anything else was typed in another unit. */
export const RULER_LIMITS: Readonly<Record<Ruler, readonly [number, number]>> = { finger: [6, 30], hand: [30, 130], fist: [35, 150] };

export interface Laid {
  ruler: Ruler;
  steps: Steps;
}

/** More than so many of one ruler nobody lays side by side without losing count. */
const MOST_LAID = 4;

/**
 * A length as it is laid off with the body: with the ruler that goes into it most simply. Whole numbers before halves, few before many;
 * null for less than half a finger.
 */
export function laidOff(mm: number, rulers: BodyRulers): Laid | null {
  if (!(mm >= rulers.finger / 2)) return null;
  const ways = RULERS.map((ruler): Laid & { cost: number } => {
    const steps = stepsOf(mm / rulers[ruler])!;
    const counted = steps.whole + (steps.part ? 1 : 0);
    // Halves are seen, other parts guessed; what is left over beside them is missed.
    const part = steps.part === 0 ? 0 : steps.part === 3 ? 0.5 : 1;
    const few = steps.whole === 0 ? 1.5 : 0;
    return { ruler, steps, cost: part + few + (steps.as === 'just' ? 0 : 0.4) + Math.max(0, counted - MOST_LAID) };
  });
  const { ruler, steps } = ways.reduce((a, b) => (b.cost < a.cost ? b : a));
  return { ruler, steps };
}
