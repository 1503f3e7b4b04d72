/** Knows how a lesson comes to fit its periods: what frames the work, how far turns are shortened, and who gets the minutes that are left. */
import { typed } from '../message';
import { AgeBand, bandOf } from '../proportion/bodyRulers';
import { PER } from './items';
import { Busy, Entry, Frame, schedule, Schedule, TimedStep } from './schedule';
import { lays, Technique, wayTaken } from './technique';
import { asksFor, lengthOf, lessonValues, PlanStep, PlanWishes, scarcestFor, techniquesIn, Users } from './wishes';

/** One group's lesson: its steps by their places in the whole lesson. */
interface GroupSteps {
  of: number[];
  steps: PlanStep[];
  techniques: Technique[];
  students: number;
  youngest: number;
  /** In how many groups, one after another, each step is done with what is there. */
  rounds: number[];
}

export interface Fit {
  /** Places in the lesson of the steps that are laid. */
  of: number[];
  students: number;
  /** How far the work was shortened: 0 not at all, 1 to the fewest minutes. */
  squeeze: number;
  timetable: Schedule;
  laid: TimedStep[];
}

const WET_HANDS = new Set(['wash', 'ground', 'paint', 'print', 'tone']);
export const wetWork = (steps: readonly Technique[]): boolean => steps.some((t) => lays(t, 'wet') || (WET_HANDS.has(t.role) && t.ink));
const messy = (steps: readonly Technique[]): boolean => wetWork(steps) || steps.some((t) => lays(t, 'dusty'));

/** Minutes of the first period that are kept for work, however short it is. */
const LEAST_WORK = 8;
/** Clearing up where one helper a table of four rinses at the sink: common practice, no source. */
const RINSING = { before: 3, each: 1.5 };

function clearUp(wishes: PlanWishes, steps: readonly Technique[], tight: boolean): number {
  const usual = messy(steps) ? (tight ? 6 : 8) : tight ? 3 : 4;
  const { sinks } = wishes.room;
  if (!sinks || !wetWork(steps)) return usual;
  const tables = PER.table(wishes.classSize);
  return Math.max(usual, Math.round(RINSING.before + RINSING.each * Math.ceil(tables / sinks)));
}

/** What frames the work; in a short period warming up gives way first, then looking. */
function frameFor(wishes: PlanWishes, steps: readonly Technique[], tight: boolean): Frame {
  const frame = {
    look: tight ? 4 : 7,
    handOut: tight ? 2 : 3,
    warmUp: (tight ? 3 : 6) + (wishes.contact === 'straight-in' ? 3 : 0),
    talk: tight ? 3 : 6,
    clearUp: clearUp(wishes, steps, tight),
  };
  let over = frame.look + frame.handOut + frame.warmUp + frame.clearUp + LEAST_WORK - periodsOf(wishes).shortest;
  for (const [part, least] of [
    ['warmUp', 0],
    ['look', 2],
    ['clearUp', messy(steps) ? 6 : 3],
  ] as const) {
    const cut = Math.min(Math.max(0, over), Math.max(0, frame[part] - least));
    frame[part] -= cut;
    over -= cut;
  }
  return frame;
}

/** Fewest minutes of a turn, by the age of the youngest: shorter nobody settles to work. Common practice, no source. */
const LEAST_TURN: Readonly<Record<AgeBand, number>> = { under8: 4, under11: 5, under14: 5, older: 4 };

/** Minutes of a step between usual and fewest; what the teacher set stays. */
function timed({ of, steps, techniques, rounds }: GroupSteps, squeeze: number): TimedStep[] {
  return techniques.map((technique, i) => ({
    technique,
    minutes: steps[i].minutes ?? Math.round(technique.usual - squeeze * (technique.usual - technique.least)),
    dry: steps[i].dry ?? technique.dry,
    option: wayTaken(technique, steps[i].option)?.name ?? (steps[i].option === null ? null : typed(steps[i].option!)),
    rounds: rounds[i],
    step: of[i],
  }));
}

const SQUEEZES = [0, 0.25, 0.5, 0.75, 1] as const;
/** Time that is left goes to the turns, up to so many times what they usually take. */
const MOST_OVER = 2;

/** What a group's lesson is laid around. */
interface Around {
  tight: boolean | null;
  busy: readonly Busy[];
  periods: number;
}

/** Lays a group's steps as they are timed. */
function layer(wishes: PlanWishes, group: GroupSteps, all: readonly Technique[], { tight, busy, periods }: Around) {
  const named = lessonValues(wishes.strokes, wishes.medium);
  const leastTurn = LEAST_TURN[bandOf(group.youngest)];
  return (laid: TimedStep[], squeeze: number): Schedule =>
    schedule(laid, { ...periodsOf(wishes), frame: frameFor(wishes, all, tight ?? squeeze > 0), named, leastTurn, busy, periods });
}

type Laying = (wishes: PlanWishes, group: GroupSteps, all: readonly Technique[], around: Around) => Fit;

/** The least shortening that fits the periods asked for or, where nothing does, the fewest periods that do it. */
const easiest: Laying = (wishes, group, all, around) => {
  const lay = layer(wishes, group, all, around);
  const tries = SQUEEZES.map((squeeze) => {
    const laid = timed(group, squeeze);
    return { of: group.of, students: group.students, squeeze, laid, timetable: lay(laid, squeeze) };
  });
  const fewest = Math.max(wishes.periods, tries.at(-1)!.timetable.periods.length);
  const first = tries.find((t) => t.timetable.periods.length <= fewest)!;
  return relaxed(first, group.steps, (laid) => lay(laid, first.squeeze));
};

/** As short as it can be. */
const shortest: Laying = (wishes, group, all, around) => {
  const laid = timed(group, 1);
  return { of: group.of, students: group.students, squeeze: 1, laid, timetable: layer(wishes, group, all, around)(laid, 1) };
};

/** So often both are laid anew until they need as many periods. */
const MOST_LAID = 8;

const periodsOf = (wishes: PlanWishes) => ({
  lengthOf: (period: number) => lengthOf(wishes, period),
  shortest: Math.min(wishes.minutesPerPeriod, ...wishes.lengths),
});

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
  return { ...fit, laid, timetable, squeeze: most > 0 ? short / most : 0 };
}

type Worked = Omit<GroupSteps, 'rounds'>;

function workedBy(wishes: PlanWishes): Worked[] {
  const { second } = wishes;
  const group = (name: 'first' | 'second', students: number, youngest: number): Worked => {
    const of = wishes.steps.flatMap((s, i) => (!second || s.group === 'both' || s.group === name ? [i] : []));
    const steps = of.map((i) => wishes.steps[i]);
    return { of, steps, techniques: techniquesIn(steps, youngest), students, youngest };
  };
  if (!second) return [group('first', wishes.classSize, wishes.youngest)];
  return [
    group('first', Math.max(1, wishes.classSize - second.students), wishes.youngest),
    group('second', second.students, second.youngest),
  ].filter((g) => g.steps.length > 0);
}

/** A thing is shared by the groups that use it: while one has it in hand the other may too. */
const sharedBy =
  (wishes: PlanWishes, groups: readonly Worked[]): Users =>
  (what) =>
    groups.filter((g) => g.techniques.some((t) => asksFor(wishes, t, what))).map((g) => g.students);

export const usersOf = (wishes: PlanWishes): Users => sharedBy(wishes, workedBy(wishes));

/** The steps of each group; one group where all do the same. */
export function groupsOf(wishes: PlanWishes): GroupSteps[] {
  const groups = workedBy(wishes);
  const users = sharedBy(wishes, groups);
  return groups.map((g) => ({ ...g, rounds: g.techniques.map((t) => scarcestFor(wishes, t, users)?.rounds ?? 1) }));
}

/** Places in the timetable by places in the whole lesson. */
const inLesson = (fit: Fit): Fit => ({
  ...fit,
  timetable: {
    waits: fit.timetable.waits.map((w) => ({ ...w, step: fit.of[w.step], after: fit.of[w.after] })),
    periods: fit.timetable.periods.map((p) => p.map((e): Entry => (e.step === null ? e : { ...e, step: fit.of[e.step] }))),
  },
});

const shownIn = ({ timetable }: Fit): Busy[] =>
  timetable.periods.flatMap((entries, period) =>
    entries.flatMap((e) => (e.kind === 'watch' ? [{ period, start: e.start, end: e.start + e.minutes, step: e.step! }] : [])),
  );

/** Every group's timetable, with as many periods for both: the second is laid around what the first is shown. */
function together(wishes: PlanWishes, groups: readonly GroupSteps[], lay: Laying, tight: boolean | null): Fit[] {
  const all = groups.flatMap((g) => g.techniques);
  let fits: Fit[] = [];
  // Once more where the second needs more periods than the first.
  for (let periods = 1, n = 0; n < MOST_LAID; periods = periodsIn(fits), n++) {
    fits = [];
    for (const g of groups) fits.push(inLesson(lay(wishes, g, all, { tight, busy: fits.flatMap(shownIn), periods })));
    if (new Set(fits.map((f) => f.timetable.periods.length)).size === 1) break;
  }
  return fits;
}

const periodsIn = (fits: readonly Fit[]): number => Math.max(...fits.map((f) => f.timetable.periods.length));

/**
 * The timetable of each group. They begin and end together, and what frames the work is the same for both: short where either is cut. The teacher
 * can show one thing at a time, and shows the same step to both where that comes within a few minutes.
 */
export function fitted(wishes: PlanWishes): Fit[] {
  const groups = groupsOf(wishes);
  if (groups.length < 2) return together(wishes, groups, easiest, null);
  const fits = (f: readonly Fit[]) => periodsIn(f) <= wishes.periods;
  const easy = together(wishes, groups, easiest, false);
  if (fits(easy) && easy.every((f) => f.squeeze === 0)) return easy;
  const tight = together(wishes, groups, easiest, true);
  if (fits(tight)) return tight;
  // Minutes given back to the one may be what the other lacks.
  const short = together(wishes, groups, shortest, true);
  return periodsIn(short) < periodsIn(tight) ? short : tight;
}

/** Does the lesson, cut as short as it can be, fit into the periods asked for? Quicker than laying all of it. */
export const canFit = (wishes: PlanWishes): boolean => periodsIn(together(wishes, groupsOf(wishes), shortest, true)) <= wishes.periods;
