/** Knows the smallest changes by which a lesson that does not fit would: each is tried before it is told. */
import { message, Message, Typed } from '../message';
import { BOUNDS } from './bounds';
import { canFit, groupsOf, usersOf } from './fitting';
import { orderWarnings } from './order';
import { nameOf, Technique } from './technique';
import { PlanStep, PlanWishes, scarcestFor, techniquesIn } from './wishes';

/** What would be changed: of the lesson as a whole, or of its steps. */
export interface Change {
  said: Message;
  to: Partial<Pick<PlanWishes, 'minutesPerPeriod' | 'periods' | 'shelf'>> & { steps?: readonly PlanStep[] };
}

/** Nobody lengthens a period by more; nor a lesson. */
const MOST_LONGER = 60;
const [, MOST_PERIODS] = BOUNDS.periods;
const [, LONGEST] = BOUNDS.minutesPerPeriod;
const MOST_TOLD = 5;
/** A layer dries so much sooner where it is fanned or thin: common practice, no source. */
const SOONER = 0.5;

/** The first of so many numbers for which a test holds that goes on holding; null where it never does. */
function firstOf(from: number, to: number, holds: (n: number) => boolean): number | null {
  if (from > to || !holds(to)) return null;
  let [low, high] = [from, to];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (holds(middle)) high = middle;
    else low = middle + 1;
  }
  // Now and then a longer period fits less well than a shorter one: the first found is a way, and is told only if it is one.
  return holds(low) ? low : to;
}

/** How much that spoils or is at risk each group's order of steps holds. */
const harm = (wishes: PlanWishes): number =>
  groupsOf(wishes).reduce((n, { techniques }) => n + orderWarnings(techniques, wishes).filter((w) => w.weight !== 'mind').length, 0);

/** Steps any one of which may be left out without another being spoilt, the shortest first. */
function leavingOut(wishes: PlanWishes, techniques: readonly Technique[]): Change[] {
  const before = harm(wishes);
  return wishes.steps
    .map((_, i) => i)
    .sort((a, b) => techniques[a].least - techniques[b].least)
    .flatMap((i): Change[] => {
      const steps = wishes.steps.filter((_, k) => k !== i);
      const next = { ...wishes, steps };
      if (!steps.length || harm(next) > before || !canFit(next)) return [];
      return [{ said: message('plan.ways.leaveOut', { step: nameOf(techniques[i]) }), to: { steps } }];
    });
}

/**
 * The smallest changes after each of which, by itself, the lesson fits into the periods asked for: minutes taken back, a step's layer dried
 * sooner, more tools, a step left out, longer periods, more periods. Empty where it fits as it is.
 */
export function waysToFit(wishes: PlanWishes): Change[] {
  if (canFit(wishes)) return [];
  const techniques = techniquesIn(wishes.steps, wishes.youngest);
  const users = usersOf(wishes);
  const out: Change[] = [];
  const put = (i: number, part: Partial<PlanStep>) => wishes.steps.map((s, k) => (k === i ? { ...s, ...part } : s));
  const named = (key: string, step: Message | Typed, more = {}) => message(`plan.ways.${key}`, { step, ...more });
  techniques.forEach((t, i) => {
    const { minutes, dry } = wishes.steps[i];
    const steps = put(i, { minutes: null });
    if (minutes !== null && minutes > t.least && canFit({ ...wishes, steps }))
      out.push({ said: named('minutes', nameOf(t), { n: minutes }), to: { steps } });
    const sooner = Math.round((dry ?? t.dry) * SOONER);
    const drier = put(i, { dry: sooner });
    if (sooner >= 5 && canFit({ ...wishes, steps: drier }))
      out.push({ said: named('drier', nameOf(t), { n: sooner }), to: { steps: drier } });
    const scarce = scarcestFor(wishes, t, users);
    if (scarce && !out.some((c) => c.to.shelf && c.to.shelf[scarce.what] !== wishes.shelf[scarce.what])) {
      const shelf = { ...wishes.shelf, [scarce.what]: scarce.needed };
      if (canFit({ ...wishes, shelf })) out.push({ said: named('tools', nameOf(t), { n: scarce.needed - scarce.have }), to: { shelf } });
    }
  });
  out.push(...leavingOut(wishes, techniques).slice(0, 2));
  const longer = firstOf(wishes.minutesPerPeriod + 1, Math.min(LONGEST, wishes.minutesPerPeriod + MOST_LONGER), (minutesPerPeriod) =>
    canFit({ ...wishes, minutesPerPeriod }),
  );
  if (longer !== null)
    out.push({ said: message('plan.ways.longer', { n: longer - wishes.minutesPerPeriod, to: longer }), to: { minutesPerPeriod: longer } });
  const more = firstOf(wishes.periods + 1, MOST_PERIODS, (periods) => canFit({ ...wishes, periods }));
  const told = out.slice(0, MOST_TOLD - 1);
  return more === null
    ? told
    : [...told, { said: message('plan.ways.periods', { n: more - wishes.periods, to: more }), to: { periods: more } }];
}
