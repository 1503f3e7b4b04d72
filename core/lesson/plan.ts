/** Knows how a lesson is put together: from medium, techniques, minutes and class to periods, materials, warnings and cautions. */
import { CoreError } from '../errors';
import { amount, Amount, Message, message, typed, Values } from '../message';
import type { Reading } from '../marks/reading';
import { cautionsFor } from './hazards';
import { ItemId } from './items';
import { OrderContext, orderWarnings, OrderWarning } from './order';
import { materialsFor, Needed, WorkedShares } from './quantities';
import { Entry, Frame, schedule, Schedule, TimedStep } from './schedule';
import { LessonMedium, mediumOf } from './media';
import { Technique, techniqueName } from './technique';
import { techniqueOf } from './techniques';

export interface PlanStep {
  technique: string;
  /** Minutes and drying as the teacher set them; null leaves them to the plan. */
  minutes: number | null;
  dry: number | null;
  note: string;
}

export interface PlanWishes extends OrderContext {
  medium: LessonMedium;
  steps: readonly PlanStep[];
  minutesPerPeriod: number;
  periods: number;
  classSize: number;
  sheetMm: readonly [number, number];
  youngest: number;
  shares: WorkedShares;
  /** The master's strokes, where they have been measured. */
  strokes: MeasuredStrokes;
}

/** What a lesson can name of a master's strokes; null where it was not measured. */
export interface MeasuredStrokes {
  gap: Amount | null;
  /** Degrees from level, and between two sets. */
  slant: number | null;
  crossing: number | null;
}

/** What a lesson can name of a reading of the whole work. */
export function strokesOf(r: Pick<Reading, 'spacing' | 'directions' | 'crossing'>): MeasuredStrokes {
  const { spacing } = r;
  return {
    gap: spacing && (spacing.mm === null ? amount(spacing.permille, 'permille') : amount(spacing.mm, 'mm')),
    slant: r.directions[0]?.angle ?? null,
    crossing: r.crossing,
  };
}

export const NO_STROKES: MeasuredStrokes = { gap: null, slant: null, crossing: null };

/** The same as the sentences of a lesson take it. */
export const strokeValues = ({ gap, slant, crossing }: MeasuredStrokes): Values => ({
  ...(gap && slant !== null ? { known: 'yes', gap, slant: amount(slant, 'degrees') } : { known: 'no', gap: '', slant: '' }),
  ...(crossing !== null ? { crosses: 'yes', crossing: amount(crossing, 'degrees') } : { crosses: 'no', crossing: '' }),
});

interface PlanWarning extends Omit<OrderWarning, 'step'> {
  step: number | null;
}

export interface Plan {
  periods: Entry[][];
  /** The steps with the minutes the plan gives them. */
  steps: (PlanStep & { name: Message; minutes: number; dry: number; mind: Message[] })[];
  materials: Needed[];
  warnings: PlanWarning[];
  cautions: Message[];
  /** How far the work was shortened to fit: 0 not at all, 1 to the fewest minutes. */
  squeeze: number;
}

function itemsIn(medium: LessonMedium, t: Technique): Partial<Record<ItemId, number>> {
  const out: Partial<Record<ItemId, number>> = {};
  for (const [id, n] of Object.entries(t.items) as [ItemId, number][]) {
    const as = mediumOf(medium).instead?.[id] ?? id;
    out[as] = (out[as] ?? 0) + n;
  }
  return out;
}

/** Shares where nothing has been measured yet; common practice, no source. */
export const USUAL_SHARES: WorkedShares = { line: 0.5, wash: 0.5, paint: 1, light: 0.05 };

/** The usual steps of a medium under the class's settings. */
export function usualSteps(medium: LessonMedium, { contact, erasing }: Pick<OrderContext, 'contact' | 'erasing'>): PlanStep[] {
  return mediumOf(medium)
    .usual.filter((id) => (contact === 'straight-in' ? id !== 'pencil-draft' && id !== 'rub-out-pencil' : true))
    .filter((id) => erasing || techniqueOf(id)!.role !== 'rub-out')
    .map((technique) => ({ technique, minutes: null, dry: null, note: '' }));
}

/** What is to be minded at a step, by what it is. */
function minding(t: Technique, context: OrderContext): Message[] {
  const hints: string[] = [];
  if (t.role === 'wash' || t.role === 'paint') hints.push('far-first');
  if (t.role === 'line') hints.push('near-first');
  if (t.smears) hints.push('hand');
  if (t.runs === 'as-ink') hints.push(...(context.ink === 'waterproof' ? ['dip-pens'] : ['ink-runs']));
  return hints.map((h) => message(`hints.${h}`));
}

const WET_HANDS = new Set(['wash', 'ground', 'paint', 'print', 'tone']);

/** Minutes of the first period that are kept for work, however short it is. */
const LEAST_WORK = 8;

/** What frames the work; in a short period warming up gives way first, then looking. */
function frameFor(steps: readonly Technique[], wishes: PlanWishes, squeeze: number): Frame {
  const messy = steps.some((t) => t.wets || t.dusty || (WET_HANDS.has(t.role) && t.runs === 'as-ink'));
  const tight = squeeze > 0;
  const frame = {
    look: tight ? 4 : 7,
    handOut: tight ? 2 : 3,
    warmUp: (tight ? 3 : 6) + (wishes.contact === 'straight-in' ? 3 : 0),
    talk: tight ? 3 : 6,
    clearUp: messy ? (tight ? 6 : 8) : tight ? 3 : 4,
  };
  let over = frame.look + frame.handOut + frame.warmUp + frame.clearUp + LEAST_WORK - wishes.minutesPerPeriod;
  for (const [part, least] of [
    ['warmUp', 0],
    ['look', 2],
  ] as const) {
    const cut = Math.min(Math.max(0, over), frame[part] - least);
    frame[part] -= cut;
    over -= cut;
  }
  return frame;
}

/** Minutes of a step between usual and fewest; what the teacher set stays. */
function timed(steps: readonly PlanStep[], techniques: readonly Technique[], squeeze: number): TimedStep[] {
  return techniques.map((technique, i) => ({
    technique,
    minutes: steps[i].minutes ?? Math.round(technique.usual - squeeze * (technique.usual - technique.least)),
    dry: steps[i].dry ?? technique.dry,
  }));
}

const SQUEEZES = [0, 0.25, 0.5, 0.75, 1] as const;

/** The least shortening that fits the periods asked for or, where nothing does, the fewest periods that do it. */
function fitted(wishes: PlanWishes, techniques: readonly Technique[]): { squeeze: number; timetable: Schedule; laid: TimedStep[] } {
  const tries = SQUEEZES.map((squeeze) => {
    const laid = timed(wishes.steps, techniques, squeeze);
    return {
      squeeze,
      laid,
      timetable: schedule(laid, wishes.minutesPerPeriod, frameFor(techniques, wishes, squeeze), strokeValues(wishes.strokes)),
    };
  });
  const fewest = Math.max(wishes.periods, tries.at(-1)!.timetable.periods.length);
  return tries.find((t) => t.timetable.periods.length <= fewest)!;
}

function timeWarnings(wishes: PlanWishes, { squeeze, timetable, laid }: ReturnType<typeof fitted>): PlanWarning[] {
  const out: PlanWarning[] = [];
  const warn = (rule: string, weight: PlanWarning['weight'], values: Values, step: number | null = null, other: number | null = null) =>
    out.push({
      rule,
      step,
      other,
      weight,
      reason: message(`order.${rule}.reason`, values),
      remedy: message(`order.${rule}.remedy`, values),
    });
  const needed = timetable.periods.length;
  const over = needed - wishes.periods;
  if (over > 0) {
    const longest = laid.reduce((a, b) => (b.minutes > a.minutes ? b : a)).technique;
    warn('over-time', 'risks', {
      needed,
      minutes: wishes.minutesPerPeriod,
      asked: wishes.periods,
      over,
      longest: techniqueName(longest.id),
    });
  } else if (squeeze > 0) warn('shortened', 'mind', { fully: squeeze === 1 ? 'yes' : 'no' });
  for (const w of timetable.waits)
    if (!w.overBreak && w.minutes >= 3)
      warn('drying', 'mind', { why: w.reason, n: w.minutes, a: techniqueName(laid[w.after].technique.id) }, w.step, w.after);
  laid.forEach(({ technique, dry }, i) => {
    if (dry < technique.dry && laid.slice(i + 1).some((n) => n.technique !== technique))
      warn('short-drying', 'risks', { a: techniqueName(technique.id), usual: technique.dry, n: dry }, i);
  });
  return out;
}

/** A whole lesson. Throws CoreError naming the field where a wish cannot be met. */
export function makePlan(wishes: PlanWishes): Plan {
  for (const [field, value, low, high] of [
    ['minutesPerPeriod', wishes.minutesPerPeriod, 25, 240],
    ['periods', wishes.periods, 1, 12],
    ['classSize', wishes.classSize, 1, 60],
    ['youngest', wishes.youngest, 4, 99],
  ] as const)
    if (!(Number.isInteger(value) && value >= low && value <= high)) throw new CoreError('whole', { field: typed(field), low, high });
  if (!wishes.steps.length) throw new CoreError('steps');
  const techniques = wishes.steps.map((s) => {
    const t = techniqueOf(s.technique);
    if (!t) throw new CoreError('technique', { name: typed(s.technique) });
    return t;
  });
  const fit = fitted(wishes, techniques);
  const warnings: PlanWarning[] = [...orderWarnings(techniques, wishes), ...timeWarnings(wishes, fit)];
  const cautions = techniques.flatMap((t) => t.cautions.filter((c) => c !== 'waterproof-ink' || wishes.ink === 'waterproof'));
  if (wishes.medium === 'acrylic') cautions.push('acrylic');
  return {
    periods: fit.timetable.periods,
    steps: wishes.steps.map((s, i) => ({
      ...s,
      name: techniqueName(s.technique),
      minutes: fit.laid[i].minutes,
      dry: fit.laid[i].dry,
      mind: minding(techniques[i], wishes),
    })),
    materials: materialsFor(
      techniques.map((t) => itemsIn(wishes.medium, t)),
      wishes.classSize,
      wishes.sheetMm,
      wishes.shares,
      wishes.ink,
    ),
    warnings,
    cautions: cautionsFor(cautions, wishes.youngest),
    squeeze: fit.squeeze,
  };
}
