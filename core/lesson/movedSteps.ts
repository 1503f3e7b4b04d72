/** Knows what a change to a lesson has moved: which steps fall into another period, which are longer or shorter, how many periods there are. */
import { message, Message, Typed } from '../message';
import type { Plan } from './plan';
import { knownAs } from './wishes';

interface Placed {
  name: Message | Typed;
  minutes: number;
  /** The period it begins in, from 1. */
  period: number;
}

/** Every step of a plan by what it is and how often that came before it. */
function placed(plan: Plan): Map<string, Placed> {
  const out = new Map<string, Placed>();
  const seen = new Map<string, number>();
  plan.steps.forEach((s, i) => {
    const what = knownAs(s);
    const n = (seen.get(what) ?? 0) + 1;
    seen.set(what, n);
    const period = plan.periods.findIndex((p) => p.some((e) => e.kind === 'turn' && e.step === i)) + 1;
    out.set(`${what}:${n}`, { name: s.name, minutes: s.minutes, period });
  });
  return out;
}

/** What has moved from the one plan to the other, in the order of the lesson; empty where nothing has. */
export function movedBetween(before: Plan, after: Plan): Message[] {
  const [was, is] = [placed(before), placed(after)];
  const out: Message[] = [];
  if (before.periods.length !== after.periods.length)
    out.push(message('plan.moved.periods', { from: before.periods.length, to: after.periods.length }));
  for (const [key, now] of is) {
    const then = was.get(key);
    if (!then) continue;
    if (then.period !== now.period && now.period > 0 && then.period > 0)
      out.push(message('plan.moved.period', { step: now.name, from: then.period, to: now.period }));
    if (then.minutes !== now.minutes) out.push(message('plan.moved.minutes', { step: now.name, from: then.minutes, to: now.minutes }));
  }
  return out;
}
