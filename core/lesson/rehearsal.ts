/** Knows the ladder of a rehearsal: a timed sketch in one's own hand, then as many tries toward the manner as time allows. */
import { fitted } from './fitting';
import { TRY } from './rulesAt';
import { PlanStep, PlanWishes, stepOf } from './wishes';

const SKETCH = 'own-sketch';
const RUNGS: readonly string[] = [SKETCH, TRY];
const MOST_TRIES = 5;
/** With so much shortening nobody is hurried yet. */
const EASY = 0.3;

/** The steps with a sketch and so many tries before them, instead of those that were there. */
export const rehearsed = (steps: readonly PlanStep[], tries: number): PlanStep[] => [
  stepOf(SKETCH),
  ...Array.from({ length: tries }, () => stepOf(TRY)),
  ...steps.filter((s) => !RUNGS.includes(s.technique)),
];

/** So many tries fit before the lesson takes more periods or has to hurry; one at least. */
export function triesThatFit(wishes: PlanWishes): number {
  const periods = Math.max(wishes.periods, fitted({ ...wishes, steps: rehearsed(wishes.steps, 1) })[0].timetable.periods.length);
  const fits = (tries: number): boolean => {
    const laid = fitted({ ...wishes, periods, steps: rehearsed(wishes.steps, tries) });
    return laid[0].timetable.periods.length <= periods && laid.every((f) => f.squeeze <= EASY);
  };
  let tries = 1;
  while (tries < MOST_TRIES && fits(tries + 1)) tries++;
  return tries;
}
