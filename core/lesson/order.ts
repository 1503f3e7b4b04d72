/**
 * Knows which order of steps spoils, smears or loses something, and says why and what to do.
 * The rules are common practice of the trade, no source; where schools differ both orders are legal and only their risk is told.
 */
import { Message, message } from '../message';
import { Technique, techniqueName } from './technique';

export interface OrderContext {
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  /** Whether the class may rub out at all. */
  erasing: boolean;
}

export interface OrderWarning {
  rule: string;
  /** Places in the list of steps, from 0: the step that does harm or comes too early, and the one it concerns. */
  step: number;
  other: number | null;
  /** Whether something is spoilt, or only at risk, or merely made harder. */
  weight: 'spoils' | 'risks' | 'mind';
  reason: Message;
  remedy: Message;
}

/** How a layer behaves under later water, once the bottle of ink is known. */
function runsWhenWetted(t: Technique, { ink }: OrderContext): 'never' | 'until-dry' | 'always' {
  if (t.runs !== 'as-ink') return t.runs;
  return ink === 'waterproof' ? 'until-dry' : 'always';
}

interface Found {
  step: number;
  other: number | null;
}

interface Rule {
  name: string;
  weight: OrderWarning['weight'];
  found: (steps: readonly Technique[], context: OrderContext) => Found[];
}

/** Every pair of an earlier and a later step that a rule is broken by. */
const pairs =
  (
    broken: (
      before: Technique,
      after: Technique,
      between: readonly Technique[],
      earlier: readonly Technique[],
      context: OrderContext,
    ) => boolean,
  ) =>
  (steps: readonly Technique[], context: OrderContext): Found[] => {
    const out: Found[] = [];
    for (let j = 0; j < steps.length; j++)
      for (let i = 0; i < j; i++)
        if (broken(steps[i], steps[j], steps.slice(i + 1, j), steps.slice(0, i), context)) out.push({ step: j, other: i });
    return out;
  };

/** Only the first that each later step is told about. */
const once =
  (found: Rule['found']): Rule['found'] =>
  (steps, context) =>
    found(steps, context).filter((w, k, all) => all.findIndex((o) => o.step === w.step) === k);

/** Every single step that a rule is broken by. */
const single =
  (broken: (step: Technique, before: readonly Technique[], after: readonly Technique[], context: OrderContext) => boolean) =>
  (steps: readonly Technique[], context: OrderContext): Found[] =>
    steps.flatMap((s, i) => (broken(s, steps.slice(0, i), steps.slice(i + 1), context) ? [{ step: i, other: null }] : []));

const fixed = (between: readonly Technique[]) => between.some((s) => s.role === 'fix');

/** What each rule says stands under `order` in `words/`, by its name. */
const RULES: readonly Rule[] = [
  // Water over something that runs.
  {
    name: 'water-over-running',
    weight: 'spoils',
    found: pairs((a, b, _between, _earlier, context) => !!b.wets && !a.dusty && runsWhenWetted(a, context) === 'always'),
  },
  {
    name: 'water-over-dust',
    weight: 'spoils',
    found: pairs((a, b, between, _earlier, context) => !!b.wets && !!a.dusty && runsWhenWetted(a, context) === 'always' && !fixed(between)),
  },
  // Graphite under water stays for good.
  {
    name: 'pencil-under-wash',
    weight: 'risks',
    found: once(
      pairs((a, b, _between, earlier) => a.role === 'wash' && b.id === 'rub-out-pencil' && earlier.some((s) => s.role === 'draft')),
    ),
  },
  // A resist keeps off only what comes after it.
  { name: 'resist-after-wash', weight: 'spoils', found: once(pairs((a, b) => b.role === 'resist' && a.role === 'wash')) },
  // Wax first: pencil and pen slide off it.
  { name: 'line-over-wax', weight: 'risks', found: pairs((a, b) => a.role === 'resist' && !!b.fine) },
  // Transparent media go from light to dark.
  {
    name: 'light-after-dark',
    weight: 'spoils',
    found: pairs((a, b) => a.role === 'wash' && b.role === 'wash' && a.value === 'dark' && b.value === 'light'),
  },
  // Opaque lights come last.
  {
    name: 'light-covered',
    weight: 'spoils',
    found: pairs(
      (a, b) => !!a.opaque && (b.role === 'tone' || b.role === 'blend' || b.role === 'rub-out' || (!!b.wets && b.role !== 'fix')),
    ),
  },
  // A pen skips on thick paint and wax.
  { name: 'pen-on-thick', weight: 'risks', found: pairs((a, b) => !!a.thick && !!b.fine && b.role !== 'accent') },
  // What smears comes last.
  {
    name: 'smear-fill-last',
    weight: 'risks',
    found: pairs((a, b) => a.role === 'fill' && !!a.smears && b.role !== 'fill' && b.role !== 'fix' && b.role !== 'rub-out'),
  },
  // Outline a field before filling it.
  { name: 'outline-before-fill', weight: 'mind', found: pairs((a, b) => a.role === 'fill' && b.role === 'line') },
  // Ground before everything.
  { name: 'ground-first', weight: 'spoils', found: once(pairs((_a, b) => b.role === 'ground')) },
  // The eraser lifts dust it should not.
  { name: 'rub-out-dust', weight: 'spoils', found: pairs((a, b, between) => !!a.dusty && b.role === 'rub-out' && !fixed(between)) },
  // Rubbing out before ink is on: nothing is lost, but the guide is gone.
  {
    name: 'guide-gone',
    weight: 'mind',
    found: (steps) =>
      steps.flatMap((b, j) => {
        const line = steps.findIndex((s, k) => k > j && s.role === 'line');
        return b.id === 'rub-out-pencil' && line >= 0 && !steps.slice(0, j).some((s) => s.role === 'line')
          ? [{ step: j, other: line }]
          : [];
      }),
  },
  // Something it builds on is missing.
  { name: 'nothing-before', weight: 'risks', found: single((s, before) => !!s.after && !before.some((b) => s.after!.includes(b.id))) },
  // Too many washes.
  {
    name: 'too-many-washes',
    weight: 'risks',
    found: (steps) => {
      const wet = steps.flatMap((s, i) => (s.role === 'wash' || s.role === 'ground' ? [i] : []));
      return wet.length > 3 ? [{ step: wet[3], other: wet[0] }] : [];
    },
  },
  // Dust needs fixing in the end.
  {
    name: 'unfixed',
    weight: 'mind',
    found: single((s, _before, after) => !!s.dusty && !after.some((later) => later.dusty || later.role === 'fix')),
  },
  // Class settings against the steps.
  { name: 'no-erasing', weight: 'mind', found: single((s, _before, _after, { erasing }) => s.role === 'rub-out' && !erasing) },
  {
    name: 'straight-in',
    weight: 'mind',
    found: single((s, _before, _after, { contact }) => s.id === 'pencil-draft' && contact === 'straight-in'),
  },
];

const WEIGHT = { spoils: 0, risks: 1, mind: 2 } as const;

/** Everything the order of steps does wrong, what spoils first. Drying is the schedule's business. */
export function orderWarnings(steps: readonly Technique[], context: OrderContext): OrderWarning[] {
  return RULES.flatMap(({ name, weight, found }) =>
    found(steps, context).map(({ step, other }): OrderWarning => {
      const values = { a: techniqueName(steps[other ?? step].id), b: techniqueName(steps[step].id) };
      return {
        rule: name,
        step,
        other,
        weight,
        reason: message(`order.${name}.reason`, values),
        remedy: message(`order.${name}.remedy`, values),
      };
    }),
  ).sort((a, b) => WEIGHT[a.weight] - WEIGHT[b.weight] || a.step - b.step);
}

/** Why a step has to wait until the one before it is dry; null where nothing is lost. */
export function whyWait(wet: Technique, next: Technique): Message | null {
  const why = (key: string) => message(`drying.${key}`);
  if (wet.dry <= 0 || next.role === 'resist') return null;
  if (next.role === 'rub-out') return why('rub-out');
  if (next.wets) return why(wet.wets ? 'wet-on-damp' : 'water-on-ink');
  if (!wet.wets || next.role === 'fix') return null;
  if (next.fine) return why('feathers');
  return why(next.role === 'line' || next.opaque || next.role === 'accent' ? 'sinks' : 'tears');
}
