/** Knows what helpers do in a lesson: what lies on each table beforehand, and when something is carried, changed and collected. Common practice, no source. */
import type { Message, Typed } from '../message';
import { ITEMS, Item, PER, TABLE } from './items';
import type { Plan } from './plan';
import type { Entry } from './schedule';
import { lays } from './technique';

interface TableThing {
  name: Message | Typed;
  n: number;
}

/** What lies on a table of four, of what goes by the piece or sheet. */
export const tableSet = (materials: Plan['materials']): TableThing[] =>
  materials.flatMap(({ id, name, unit }): TableThing[] => {
    const it: Item | null = id && ITEMS[id];
    if (!it || it.per === 'class' || unit === 'ml' || unit === 'g') return [];
    return [{ name, n: PER[it.per](TABLE) }];
  });

export interface Round {
  /** Minutes after the bell. */
  at: number;
  kind: 'bring' | 'water' | 'collect';
  /** What is carried to the tables; empty for the others. */
  things: (Message | Typed)[];
}

/** The helpers' rounds of a period: what a step brings when it is shown or begun, fresh water before the next wet step, and collecting at the end. */
export function helpersIn(entries: readonly Entry[], plan: Pick<Plan, 'steps'>): Round[] {
  const out: Round[] = [];
  const brought = new Set<number>();
  let wet = false;
  for (const e of entries) {
    const step = e.step === null ? null : plan.steps[e.step];
    if (step && e.step !== null && (e.kind === 'watch' || e.kind === 'turn') && e.part !== 2 && !brought.has(e.step)) {
      brought.add(e.step);
      if (step.brings.length) out.push({ at: e.start, kind: 'bring', things: step.brings });
      const wets = lays(step.knows, 'wet');
      // Water that has been painted with muddies the next colour.
      if (wets && wet) out.push({ at: e.start, kind: 'water', things: [] });
      wet ||= wets;
    }
    if (e.kind === 'clear-up') out.push({ at: e.start, kind: 'collect', things: [] });
  }
  return out;
}
