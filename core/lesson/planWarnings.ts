/** Knows what is wrong with a lesson that its order of steps does not say: time, drying, and what there is too little of in the room. */
import { message, Message, Typed, typed, Values } from '../message';
import { Fit, usersOf } from './fitting';
import type { ItemId } from './items';
import type { OrderWarning } from './order';
import { Needed, shelfKey } from './quantities';
import { beside, nameOf, Technique } from './technique';
import { asksFor, itemsIn, lengthOf, PlanWishes, scarcestFor } from './wishes';

export interface PlanWarning extends Omit<OrderWarning, 'step'> {
  step: number | null;
}

const warning = (
  rule: string,
  weight: PlanWarning['weight'],
  values: Values,
  step: number | null = null,
  other: number | null = null,
  remedy = 'remedy',
): PlanWarning => ({
  rule,
  step,
  other,
  weight,
  reason: message(`order.${rule}.reason`, values),
  remedy: message(`order.${rule}.${remedy}`, values),
});

/** Less shortening than this nobody feels. */
const SHORTENED = 0.1;

/** What one group's time says. */
export function timeWarnings(wishes: PlanWishes, { squeeze, timetable, laid }: Fit): PlanWarning[] {
  const out: PlanWarning[] = [];
  const needed = timetable.periods.length;
  const over = needed - wishes.periods;
  if (over > 0) {
    const longest = laid.reduce((a, b) => (b.minutes > a.minutes ? b : a)).technique;
    out.push(
      warning('over-time', 'risks', {
        needed,
        minutes: wishes.minutesPerPeriod,
        asked: wishes.periods,
        over,
        longest: nameOf(longest),
      }),
    );
  } else if (squeeze > SHORTENED) out.push(warning('shortened', 'mind', { fully: squeeze > 0.99 ? 'yes' : 'no' }));
  const at = (step: number) => laid.find((s) => s.step === step)!.technique;
  for (const w of timetable.waits)
    if (!w.overBreak && w.minutes >= 3)
      out.push(warning('drying', 'mind', { why: w.reason, n: w.minutes, a: nameOf(at(w.after)) }, w.step, w.after));
  laid.forEach(({ technique, dry, step }, i) => {
    if (dry < technique.dry && laid.slice(i + 1).some((n) => n.technique !== technique))
      out.push(warning('short-drying', 'risks', { a: nameOf(technique), usual: technique.dry, n: dry }, step));
  });
  return out;
}

/** Tools of which there are too few for all at once: the first step that asks for them says how it is done then. */
export function sharedWarnings(
  wishes: PlanWishes,
  techniques: readonly Technique[],
  materials: readonly Needed[],
  minutes: readonly number[],
): PlanWarning[] {
  const users = usersOf(wishes);
  return materials.flatMap((m): PlanWarning[] => {
    const have = wishes.shelf[shelfKey(m)];
    if (m.unit !== 'piece' || have === undefined || have >= m.amount) return [];
    const step = techniques.findIndex((t) => asksFor(wishes, t, shelfKey(m)));
    if (step < 0) return [];
    const values = { what: m.name, have, needed: m.amount };
    if (have === 0) return [warning('shared', 'risks', values, step, null, 'none')];
    const scarce = scarcestFor(wishes, techniques[step], users);
    const rounds = scarce?.rounds ?? 1;
    if (rounds === 1) return [warning('shared', 'mind', values, step, null, 'passed')];
    // Where something else is scarcer, that says in how many groups it is done.
    if (scarce?.what !== shelfKey(m)) return [];
    return [warning('shared', 'mind', { ...values, turns: rounds, minutes: rounds * minutes[step] }, step)];
  });
}

/** Sheets that lie wet at the bell: each student's, and of a print as many as are pulled. */
const sheetsOf = (t: Technique): number => (t.role === 'print' ? Math.max(1, t.items.paper ?? 1) : 1);

/** Where more sheets are still wet at the bell than the rack has places for. */
export function rackWarnings(wishes: PlanWishes, techniques: readonly Technique[], fits: readonly Fit[]): PlanWarning[] {
  const { rack } = wishes.room;
  if (rack === null) return [];
  const periods = Math.max(...fits.map((f) => f.timetable.periods.length));
  const out: PlanWarning[] = [];
  for (let p = 0; p < periods; p++) {
    let wet = 0;
    let step = -1;
    for (const { timetable, laid, students } of fits) {
      let most = 0;
      for (const e of timetable.periods[p] ?? []) {
        if (e.kind !== 'turn' || e.step === null || e.part === 1 || (e.round && e.round.n < e.round.of)) continue;
        const t = laid.find((s) => s.step === e.step)!;
        if (beside(t.technique) || e.start + e.minutes + t.dry <= lengthOf(wishes, p)) continue;
        if (students * sheetsOf(t.technique) >= most) [most, step] = [students * sheetsOf(t.technique), e.step];
      }
      wet += most;
    }
    if (wet > rack && !out.some((w) => w.step === step))
      out.push(warning('rack', 'risks', { wet, rack, over: wet - rack, a: nameOf(techniques[step]), period: p + 1 }, step));
  }
  return out;
}

/** What a step needs on the tables that is not there already. */
export function broughtBy(techniques: readonly Technique[], i: number, wishes: PlanWishes): (Message | Typed)[] {
  const needs = (t: Technique) => Object.keys(itemsIn(wishes, t)) as ItemId[];
  // What only the other group has had before lies on other tables.
  const { group } = wishes.steps[i];
  const before = techniques
    .slice(0, i)
    .filter((_, k) => !wishes.second || wishes.steps[k].group === 'both' || wishes.steps[k].group === group);
  const there = new Set(before.flatMap(needs));
  const own = new Set(before.flatMap((t) => t.own?.items.map((it) => it.what) ?? []));
  return [
    ...needs(techniques[i])
      .filter((id) => !there.has(id))
      .map((id) => message(`items.${id}`, { ink: wishes.ink })),
    ...(techniques[i].own?.items ?? []).filter((it) => !own.has(it.what)).map((it) => typed(it.what)),
  ];
}
