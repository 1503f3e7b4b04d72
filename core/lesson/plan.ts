/** Knows how a lesson is put together: from medium, techniques, minutes and class to periods, materials, warnings and cautions. */
import { CoreError } from '../errors';
import { amount, Amount, Message, message, Typed, typed, Values } from '../message';
import type { Reading } from '../marks/reading';
import { AgeBand, bandOf } from '../proportion/bodyRulers';
import { cautionsFor } from './hazards';
import { ItemId } from './items';
import { OrderContext, orderWarnings, OrderWarning } from './order';
import { asTechnique } from './ownStep';
import { Coats, materialsFor, Needed, ownNeeds, Shelf, shelfKey, WorkedShares } from './quantities';
import { Entry, Frame, schedule, Schedule, TimedStep } from './schedule';
import { LessonMedium, mediumOf } from './media';
import { lays, nameOf, OwnStep, StepOption, Technique } from './technique';
import { techniqueOf } from './techniques';

/** What a step of a teacher's own, written from nothing, has as its technique. */
export const OWN = 'own';

export interface PlanStep {
  technique: string;
  /** The step in a teacher's own words, where it was written or changed. */
  own: OwnStep | null;
  /** Minutes and drying as the teacher set them; null leaves them to the plan. */
  minutes: number | null;
  dry: number | null;
  note: string;
  /** Which of its options the lesson takes, by name; null leaves the choice to the students. */
  option: string | null;
  /** Rules that are broken here on purpose. */
  kept: readonly string[];
  /** What shows how it looks when it is done: a stage of the exemplar, a photograph. */
  pictureId: string | null;
}

/** A known technique as a step to begin with. */
export const stepOf = (technique: string, own: OwnStep | null = null): PlanStep => ({
  technique,
  own,
  minutes: null,
  dry: null,
  note: '',
  option: null,
  kept: [],
  pictureId: null,
});

export interface PlanWishes extends OrderContext {
  medium: LessonMedium;
  steps: readonly PlanStep[];
  minutesPerPeriod: number;
  periods: number;
  classSize: number;
  sheetMm: readonly [number, number];
  youngest: number;
  shares: WorkedShares;
  /** What one coat of an A4 sheet takes, where a teacher knows better. */
  coats: Coats;
  /** What there is of it; nothing said of a thing means that there is enough. */
  shelf: Shelf;
  /** The master's strokes, where they have been measured. */
  strokes: MeasuredStrokes;
}

/** What a lesson can name of a master's strokes; null where it was not measured. */
export interface MeasuredStrokes {
  gap: Amount | null;
  /** Degrees from level, and between two sets. */
  slant: number | null;
  crossing: number | null;
  /** How long a stroke is in the middle, and how wide. */
  length: Amount | null;
  width: Amount | null;
}

/** What a lesson can name of a reading of the whole work. */
export function strokesOf(r: Pick<Reading, 'spacing' | 'directions' | 'crossing' | 'strokeLength' | 'lineWidth'>): MeasuredStrokes {
  const size = (s: { mm: number | null; permille: number } | null) =>
    s && (s.mm === null ? amount(s.permille, 'permille') : amount(s.mm, 'mm'));
  return {
    gap: size(r.spacing),
    length: size(r.strokeLength),
    width: size(r.lineWidth),
    slant: r.directions[0]?.angle ?? null,
    crossing: r.crossing,
  };
}

export const NO_STROKES: MeasuredStrokes = { gap: null, slant: null, crossing: null, length: null, width: null };

/** The same as the sentences of a lesson take it, with what it is painted in. */
export const lessonValues = ({ gap, slant, crossing }: MeasuredStrokes, medium: LessonMedium): Values => ({
  ...(gap && slant !== null ? { known: 'yes', gap, slant: amount(slant, 'degrees') } : { known: 'no', gap: '', slant: '' }),
  ...(crossing !== null ? { crosses: 'yes', crossing: amount(crossing, 'degrees') } : { crosses: 'no', crossing: '' }),
  paint: medium,
});

interface PlanWarning extends Omit<OrderWarning, 'step'> {
  step: number | null;
}

/** A step as the lesson has it. */
interface PlannedStep extends PlanStep {
  name: Message | Typed;
  minutes: number;
  dry: number;
  mind: (Message | Typed)[];
  /** Options to choose from at it; those that were chosen earlier and are carried on. */
  options: StepOption[];
  carried: { from: Message | Typed; option: string }[];
  /** What is handed out for it, that no step before it had. */
  brings: (Message | Typed)[];
  knows: Technique;
}

export interface Plan {
  periods: Entry[][];
  /** The steps with the minutes the plan gives them. */
  steps: PlannedStep[];
  materials: Needed[];
  warnings: PlanWarning[];
  /** What is broken on purpose. */
  kept: PlanWarning[];
  cautions: (Message | Typed)[];
  /** Does anything in it ask for a bottle of ink? */
  inked: boolean;
  /** How far the work was shortened to fit: 0 not at all, 1 to the fewest minutes. */
  squeeze: number;
}

function itemsIn(medium: LessonMedium, t: Technique, { erasing }: OrderContext): Partial<Record<ItemId, number>> {
  const out: Partial<Record<ItemId, number>> = {};
  for (const [id, n] of Object.entries(t.items) as [ItemId, number][]) {
    const as = mediumOf(medium).instead?.[id] ?? id;
    // Where nothing is rubbed out, an eraser lies on the table only to draw with.
    if (as === 'eraser' && !erasing) continue;
    out[as] = (out[as] ?? 0) + n;
  }
  return out;
}

/** What lies on the tables whatever is drawn: a sheet, unless there is none. */
const ALWAYS: Partial<Record<ItemId, number>> = { paper: 1 };

/** Shares where nothing has been measured yet; common practice, no source. */
export const USUAL_SHARES: WorkedShares = { line: 0.5, wash: 0.5, paint: 1, light: 0.05 };

/** Techniques that a class which goes straight in with the final tool leaves out. */
export const DRAFTED: readonly string[] = ['pencil-draft', 'rub-out-pencil', 'lighten-draft'];

/** The usual steps of a medium under the class's settings; a master of line has one drawn. */
export function usualSteps(
  medium: LessonMedium,
  { contact, erasing }: Pick<OrderContext, 'contact' | 'erasing'>,
  shares: Pick<WorkedShares, 'line'> = USUAL_SHARES,
): PlanStep[] {
  const { usual, line } = mediumOf(medium);
  const ids = usual
    .filter((id) => contact !== 'straight-in' || !DRAFTED.includes(id))
    .filter((id) => erasing || techniqueOf(id)!.role !== 'rub-out');
  if (line && shares.line >= MUCH_LINE && !ids.some((id) => techniqueOf(id)!.role === 'line')) {
    // After what places it, before what is laid over it; opaque colour and cut paper have it last.
    const drafts = ids.filter((id) => ['ground', 'draft'].includes(techniqueOf(id)!.role)).length;
    const last = ids.some((id) => ['paint', 'fill'].includes(techniqueOf(id)!.role));
    ids.splice(last ? ids.length : drafts, 0, line);
  }
  return ids.map((id) => stepOf(id));
}

/** From this share of the sheet on line is the manner's. */
const MUCH_LINE = 0.3;

/** What is to be minded at a step, by what it is. */
function minding(t: Technique, context: OrderContext): (Message | Typed)[] {
  const hints: string[] = [];
  if (t.role === 'wash' || t.role === 'paint') hints.push('far-first');
  if (t.role === 'line') hints.push('near-first');
  if (lays(t, 'smearing')) hints.push('hand');
  if (t.ink) hints.push(...(context.ink === 'waterproof' ? ['ink-dries'] : ['ink-runs']));
  return [...hints.map((h) => message(`hints.${h}`)), ...(t.own?.caution ? [typed(t.own.caution)] : [])];
}

const WET_HANDS = new Set(['wash', 'ground', 'paint', 'print', 'tone']);

/** Minutes of the first period that are kept for work, however short it is. */
const LEAST_WORK = 8;

/** What frames the work; in a short period warming up gives way first, then looking. */
function frameFor(steps: readonly Technique[], wishes: PlanWishes, squeeze: number): Frame {
  const messy = steps.some((t) => lays(t, 'wet') || lays(t, 'dusty') || (WET_HANDS.has(t.role) && t.ink));
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

/** Fewest minutes of a turn, by the age of the youngest: shorter nobody settles to work. Common practice, no source. */
const LEAST_TURN: Readonly<Record<AgeBand, number>> = { under8: 4, under11: 5, under14: 5, older: 4 };

/** Minutes of a step between usual and fewest; what the teacher set stays. */
function timed(steps: readonly PlanStep[], techniques: readonly Technique[], squeeze: number): TimedStep[] {
  return techniques.map((technique, i) => ({
    technique,
    minutes: steps[i].minutes ?? Math.round(technique.usual - squeeze * (technique.usual - technique.least)),
    dry: steps[i].dry ?? technique.dry,
    option: steps[i].option,
  }));
}

const SQUEEZES = [0, 0.25, 0.5, 0.75, 1] as const;
/** Time that is left goes to the turns, up to so many times what they usually take. */
const MOST_OVER = 2;

interface Fit {
  squeeze: number;
  timetable: Schedule;
  laid: TimedStep[];
}

/** The least shortening that fits the periods asked for or, where nothing does, the fewest periods that do it. */
function fitted(wishes: PlanWishes, techniques: readonly Technique[]): Fit {
  const values = lessonValues(wishes.strokes, wishes.medium);
  const turn = LEAST_TURN[bandOf(wishes.youngest)];
  const lay = (laid: TimedStep[], squeeze: number): Schedule =>
    schedule(laid, wishes.minutesPerPeriod, frameFor(techniques, wishes, squeeze), values, turn);
  const tries = SQUEEZES.map((squeeze) => {
    const laid = timed(wishes.steps, techniques, squeeze);
    return { squeeze, laid, timetable: lay(laid, squeeze) };
  });
  const fewest = Math.max(wishes.periods, tries.at(-1)!.timetable.periods.length);
  const first = tries.find((t) => t.timetable.periods.length <= fewest)!;
  return relaxed(first, wishes.steps, (laid) => lay(laid, first.squeeze));
}

const spareIn = ({ periods }: Schedule) =>
  periods.flat().reduce((sum, e) => sum + (e.kind === 'spare' || e.kind === 'again' ? e.minutes : 0), 0);

/**
 * Minutes nobody needs, given to the turns for as long as no period is added: those cut shortest first, until each has what it usually
 * takes, and then more of it, evenly. What the teacher set stays as it is.
 */
function relaxed(fit: Fit, steps: readonly PlanStep[], lay: (laid: TimedStep[]) => Schedule): Fit {
  let { laid, timetable } = fit;
  const free = laid.map((_, i) => i).filter((i) => steps[i].minutes === null);
  const part = (i: number) => laid[i].minutes / laid[i].technique.usual;
  const closed = new Set<number>();
  while (spareIn(timetable) > 0 && closed.size < free.length) {
    const i = free.filter((k) => !closed.has(k)).reduce((a, b) => (part(b) < part(a) ? b : a));
    if (part(i) >= MOST_OVER) break;
    const longer = laid.map((s, k) => (k === i ? { ...s, minutes: s.minutes + 1 } : s));
    const next = lay(longer);
    // What has its usual time and gives no idle minute back is not longer for it.
    if (next.periods.length > timetable.periods.length || (part(i) >= 1 && spareIn(next) >= spareIn(timetable))) closed.add(i);
    else [laid, timetable] = [longer, next];
  }
  const short = free.reduce((sum, i) => sum + Math.max(0, laid[i].technique.usual - laid[i].minutes), 0);
  const most = free.reduce((sum, i) => sum + laid[i].technique.usual - laid[i].technique.least, 0);
  return { laid, timetable, squeeze: most > 0 ? short / most : 0 };
}

/** Less shortening than this nobody feels. */
const SHORTENED = 0.1;

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
      longest: nameOf(longest),
    });
  } else if (squeeze > SHORTENED) warn('shortened', 'mind', { fully: squeeze > 0.99 ? 'yes' : 'no' });
  for (const w of timetable.waits)
    if (!w.overBreak && w.minutes >= 3)
      warn('drying', 'mind', { why: w.reason, n: w.minutes, a: nameOf(laid[w.after].technique) }, w.step, w.after);
  laid.forEach(({ technique, dry }, i) => {
    if (dry < technique.dry && laid.slice(i + 1).some((n) => n.technique !== technique))
      warn('short-drying', 'risks', { a: nameOf(technique), usual: technique.dry, n: dry }, i);
  });
  return out;
}

/** Tools of which there are too few for all at once: the first step that asks for them is done in turns. */
function sharedWarnings(wishes: PlanWishes, techniques: readonly Technique[], materials: readonly Needed[], { laid }: Fit): PlanWarning[] {
  return materials.flatMap((m): PlanWarning[] => {
    const have = wishes.shelf[shelfKey(m)];
    if (m.unit !== 'piece' || have === undefined || have >= m.amount) return [];
    const step = techniques.findIndex((t) =>
      m.id === null ? t.own?.items.some((it) => it.what === shelfKey(m)) : Object.hasOwn(itemsIn(wishes.medium, t, wishes), m.id),
    );
    if (step < 0) return [];
    const values = { what: m.name, have, needed: m.amount };
    const turns = have > 0 ? Math.ceil(m.amount / have) : 0;
    return [
      {
        rule: 'shared',
        step,
        other: null,
        weight: turns ? 'mind' : 'risks',
        reason: message('order.shared.reason', values),
        remedy: message(turns ? 'order.shared.remedy' : 'order.shared.none', { ...values, turns, minutes: turns * laid[step].minutes }),
      },
    ];
  });
}

/** What a step needs on the tables that is not there already. */
function broughtBy(techniques: readonly Technique[], i: number, wishes: PlanWishes): (Message | Typed)[] {
  const needs = (t: Technique) => Object.keys(itemsIn(wishes.medium, t, wishes));
  const there = new Set(techniques.slice(0, i).flatMap(needs));
  const own = new Set(techniques.slice(0, i).flatMap((t) => t.own?.items.map((it) => it.what) ?? []));
  return [
    ...needs(techniques[i])
      .filter((id) => !there.has(id))
      .map((id) => message(`items.${id}`, { ink: wishes.ink })),
    ...(techniques[i].own?.items ?? []).filter((it) => !own.has(it.what)).map((it) => typed(it.what)),
  ];
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
    const t = s.own ? asTechnique(s.own, s.technique, wishes.youngest) : techniqueOf(s.technique);
    if (!t) throw new CoreError('technique', { name: typed(s.technique) });
    return t;
  });
  const fit = fitted(wishes, techniques);
  const materials = [
    ...materialsFor(
      [...(mediumOf(wishes.medium).screen ? [] : [ALWAYS]), ...techniques.map((t) => itemsIn(wishes.medium, t, wishes))],
      wishes.classSize,
      wishes.sheetMm,
      wishes.shares,
      wishes.ink,
      wishes.coats,
    ),
    ...ownNeeds(techniques, wishes.classSize),
  ];
  const all: PlanWarning[] = [
    ...orderWarnings(techniques, wishes),
    ...timeWarnings(wishes, fit),
    ...sharedWarnings(wishes, techniques, materials, fit),
  ];
  const onPurpose = (w: PlanWarning) => w.step !== null && wishes.steps[w.step].kept.includes(w.rule);
  const cautions = techniques.flatMap((t) => t.cautions.filter((c) => c !== 'waterproof-ink' || wishes.ink === 'waterproof'));
  if (wishes.medium === 'acrylic') cautions.push('acrylic');
  const optionsOf = (i: number) => techniques[i].own?.options ?? [];
  return {
    periods: fit.timetable.periods,
    steps: wishes.steps.map((s, i) => ({
      ...s,
      name: nameOf(techniques[i]),
      minutes: fit.laid[i].minutes,
      dry: fit.laid[i].dry,
      mind: minding(techniques[i], wishes),
      options: optionsOf(i),
      carried: wishes.steps
        .slice(0, i)
        .flatMap((o, k) =>
          o.option !== null && optionsOf(k).some((x) => x.name === o.option) ? [{ from: nameOf(techniques[k]), option: o.option }] : [],
        ),
      brings: broughtBy(techniques, i, wishes),
      knows: techniques[i],
    })),
    materials,
    warnings: all.filter((w) => !onPurpose(w)),
    kept: all.filter(onPurpose),
    cautions: [...cautionsFor(cautions, wishes.youngest), ...new Set(techniques.map((t) => t.own?.caution ?? '').filter(Boolean))].map(
      (c) => (typeof c === 'string' ? typed(c) : c),
    ),
    inked: techniques.some(
      (t) => t.ink || Object.keys(t.items).some((id) => (mediumOf(wishes.medium).instead?.[id as ItemId] ?? id) === 'wash-ink'),
    ),
    squeeze: fit.squeeze,
  };
}
