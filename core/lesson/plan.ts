/** Knows how a lesson is put together: from medium, techniques, minutes and class to periods, materials, warnings and cautions. */
import { CoreError } from '../errors';
import { cautionsFor } from './hazards';
import { Item, ItemId } from './items';
import { OrderContext, orderWarnings, OrderWarning, runsWhenWetted } from './order';
import { materialsFor, Needed, WorkedShares } from './quantities';
import { Entry, Frame, schedule, Schedule, TimedStep } from './schedule';
import { LessonMedium, Technique } from './technique';
import { techniqueOf, USUAL } from './techniques';

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
}

interface PlanWarning extends Omit<OrderWarning, 'step'> {
  step: number | null;
}

export interface Plan {
  periods: Entry[][];
  /** The steps with the minutes the plan gives them. */
  steps: (PlanStep & { name: string; minutes: number; dry: number; mind: string[] })[];
  materials: Needed[];
  warnings: PlanWarning[];
  cautions: string[];
  /** How far the work was shortened to fit: 0 not at all, 1 to the fewest minutes. */
  squeeze: number;
}

/** What a step asks for in another medium's words. */
const INSTEAD: Partial<Record<LessonMedium, Partial<Record<ItemId, ItemId>>>> = {
  acrylic: { gouache: 'acrylic', watercolour: 'acrylic' },
  watercolour: { 'wash-ink': 'watercolour' },
  gouache: { watercolour: 'gouache' },
};

function itemsIn(medium: LessonMedium, t: Technique): Partial<Record<ItemId, number>> {
  const out: Partial<Record<ItemId, number>> = {};
  for (const [id, n] of Object.entries(t.items) as [ItemId, number][]) {
    const as = INSTEAD[medium]?.[id] ?? id;
    out[as] = (out[as] ?? 0) + n;
  }
  return out;
}

/** Shares where nothing has been measured yet; common practice, no source. */
export const USUAL_SHARES: WorkedShares = { line: 0.5, wash: 0.5, paint: 1, light: 0.05 };

/** The usual steps of a medium under the class's settings. */
export function usualSteps(medium: LessonMedium, { contact, erasing }: Pick<OrderContext, 'contact' | 'erasing'>): PlanStep[] {
  return USUAL[medium]
    .filter((id) => (contact === 'straight-in' ? id !== 'pencil-draft' && id !== 'rub-out-pencil' : true))
    .filter((id) => erasing || techniqueOf(id)!.role !== 'rub-out')
    .map((technique) => ({ technique, minutes: null, dry: null, note: '' }));
}

/** What is to be minded at a step, by what it is. */
function minding(t: Technique, context: OrderContext): string[] {
  return [
    ...(t.role === 'wash' || t.role === 'paint' ? ['Far before near.'] : []),
    ...(t.role === 'line' ? ['Near first: what is behind stops at it.'] : []),
    ...(t.smears ? ['Right-handers left to right, left-handers right to left; a sheet under the hand.'] : []),
    ...(t.runs === 'as-ink' && context.ink === 'waterproof' ? ['Waterproof ink: dip pens only, rinse at once.'] : []),
    ...(runsWhenWetted(t, context) === 'always' && t.runs === 'as-ink' ? ['This ink runs under water, dry or not.'] : []),
  ];
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
function fitted(wishes: PlanWishes, techniques: readonly Technique[]): { squeeze: number; told: Schedule; laid: TimedStep[] } {
  const tries = SQUEEZES.map((squeeze) => {
    const laid = timed(wishes.steps, techniques, squeeze);
    return { squeeze, laid, told: schedule(laid, wishes.minutesPerPeriod, frameFor(techniques, wishes, squeeze)) };
  });
  const fewest = Math.max(wishes.periods, tries.at(-1)!.told.periods.length);
  return tries.find((t) => t.told.periods.length <= fewest)!;
}

function timeWarnings(wishes: PlanWishes, { squeeze, told, laid }: ReturnType<typeof fitted>): PlanWarning[] {
  const out: PlanWarning[] = [];
  const over = told.periods.length - wishes.periods;
  if (over > 0)
    out.push({
      rule: 'over-time',
      step: null,
      other: null,
      weight: 'risks',
      reason: `Even at the fewest minutes the work takes ${told.periods.length} periods of ${wishes.minutesPerPeriod} minutes, not ${wishes.periods}.`,
      remedy: `Add ${over === 1 ? 'a period' : `${over} periods`}, or leave a step out: the longest is “${laid.reduce((a, b) => (b.minutes > a.minutes ? b : a)).technique.name}”.`,
    });
  else if (squeeze > 0)
    out.push({
      rule: 'shortened',
      step: null,
      other: null,
      weight: 'mind',
      reason: `To fit, steps are shortened${squeeze === 1 ? ' to the fewest minutes' : ''} and looking, warming up and talking are brief.`,
      remedy: 'One more period, or one step fewer, gives the time back.',
    });
  for (const w of told.waits)
    if (!w.overBreak && w.minutes >= 3)
      out.push({
        rule: 'drying',
        step: w.step,
        other: w.after,
        weight: 'mind',
        reason: `${w.reason} Wait ${w.minutes} minutes after “${laid[w.after].technique.name}”.`,
        remedy: 'The wait is filled with practice below; a break between periods would dry it for nothing.',
      });
  laid.forEach(({ technique, dry }, i) => {
    if (dry < technique.dry && laid.slice(i + 1).some((n) => n.technique !== technique))
      out.push({
        rule: 'short-drying',
        step: i,
        other: null,
        weight: 'risks',
        reason: `“${technique.name}” usually dries in ${technique.dry} minutes; ${dry} are planned.`,
        remedy: 'Test with the back of the hand before going on; thinner layers dry sooner.',
      });
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
    if (!(Number.isInteger(value) && value >= low && value <= high))
      throw new CoreError(`${field}: must be a whole number from ${low} to ${high}`);
  if (!wishes.steps.length) throw new CoreError('steps: choose at least one technique');
  const techniques = wishes.steps.map((s) => {
    const t = techniqueOf(s.technique);
    if (!t) throw new CoreError(`steps: there is no technique “${s.technique}”`);
    return t;
  });
  const fit = fitted(wishes, techniques);
  const warnings: PlanWarning[] = [...orderWarnings(techniques, wishes), ...timeWarnings(wishes, fit)];
  const cautions = techniques.flatMap((t) => t.cautions.filter((c) => c !== 'waterproof-ink' || wishes.ink === 'waterproof'));
  if (wishes.medium === 'acrylic') cautions.push('acrylic');
  return {
    periods: fit.told.periods,
    steps: wishes.steps.map((s, i) => ({
      ...s,
      name: techniques[i].name,
      minutes: fit.laid[i].minutes,
      dry: fit.laid[i].dry,
      mind: minding(techniques[i], wishes),
    })),
    materials: materialsFor(
      techniques.map((t) => itemsIn(wishes.medium, t)),
      wishes.classSize,
      wishes.sheetMm,
      wishes.shares,
    ).map((m) => (m.id === 'ink' || m.id === 'wash-ink' ? { ...m, name: `${wishes.ink} ${m.name}` } : m)),
    warnings,
    cautions: cautionsFor(cautions, wishes.youngest),
    squeeze: fit.squeeze,
  };
}

export const AMOUNT_WORDS: Record<Item['unit'], (n: number) => string> = {
  piece: (n) => String(n),
  sheet: (n) => (n === 1 ? '1 sheet' : `${n} sheets`),
  ml: (n) => `${n} ml`,
  g: (n) => `${n} g`,
};
