/** Knows how a lesson is put together: from medium, techniques, minutes and class to periods, materials, warnings and cautions. */
import { CoreError } from '../errors';
import { remediesAt } from './accidents';
import { Message, message, Typed, typed } from '../message';
import { BOUNDS } from './bounds';
import { Fit, fitted, groupsOf, wetWork } from './fitting';
import { cautionsFor } from './hazards';
import { ItemId } from './items';
import { mediumOf } from './media';
import { OrderContext, orderWarnings } from './order';
import { broughtBy, PlanWarning, rackWarnings, sharedWarnings, timeWarnings } from './planWarnings';
import { materialsFor, Needed, ownNeeds, summed } from './quantities';
import type { Entry } from './schedule';
import { lays, nameOf, Technique, Way, waysOf, wayTaken } from './technique';
import { itemsIn, PlanStep, PlanWishes, techniquesIn } from './wishes';

/** A step as the lesson has it. */
interface PlannedStep extends PlanStep {
  name: Message | Typed;
  /** Minutes of a turn; in rounds each group has so many. */
  minutes: number;
  rounds: number;
  dry: number;
  mind: (Message | Typed)[];
  /** What helps when something common goes wrong. */
  remedies: Message[];
  /** Options to choose from at it; those that were chosen earlier and are carried on. */
  options: Way[];
  carried: { from: Message | Typed; option: Message | Typed }[];
  /** What is handed out for it, that no step before it had. */
  brings: (Message | Typed)[];
  knows: Technique;
}

export interface Plan {
  periods: Entry[][];
  /** The other group's periods, where a class works in two. */
  second: Entry[][] | null;
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

/** What is to be minded at a step, by what it is. */
function minding(t: Technique, context: OrderContext): (Message | Typed)[] {
  const hints: string[] = [];
  if (t.role === 'wash' || t.role === 'paint') hints.push('far-first');
  if (t.role === 'line') hints.push('near-first');
  if (lays(t, 'smearing')) hints.push('hand');
  if (t.ink) hints.push(...(context.ink === 'waterproof' ? ['ink-dries'] : ['ink-runs']));
  return [...hints.map((h) => message(`hints.${h}`)), ...(t.own?.caution ? [typed(t.own.caution)] : [])];
}

/** What lies on the tables whatever is drawn: a sheet, unless there is none; a towel where there is water. */
const always = (wishes: PlanWishes, techniques: readonly Technique[]): Partial<Record<ItemId, number>> => ({
  ...(!mediumOf(wishes.medium).screen && { paper: 1 }),
  ...(wetWork(techniques) && { towel: 1 }),
});

/** What lies on the tables for all groups. */
const materialsIn = (wishes: PlanWishes): Needed[] =>
  summed(
    groupsOf(wishes).map(({ techniques, students }) => [
      ...materialsFor(
        [always(wishes, techniques), ...techniques.map((t) => itemsIn(wishes, t))],
        students,
        wishes.sheetMm,
        wishes.shares,
        wishes.ink,
        wishes.coats,
      ),
      ...ownNeeds(techniques, students),
    ]),
  );

/** The same rule told of the same steps by both groups is told once. */
const onceTold = (all: readonly PlanWarning[]): PlanWarning[] =>
  all.filter((w, i) => all.findIndex((o) => o.rule === w.rule && o.step === w.step && o.other === w.other) === i);

function checkedWishes(wishes: PlanWishes): void {
  const { second } = wishes;
  for (const [field, value, [low, high]] of [
    ...(['minutesPerPeriod', 'periods', 'classSize', 'youngest'] as const).map((f) => [f, wishes[f], BOUNDS[f]] as const),
    ...(second
      ? ([
          ['second.students', second.students, [1, Math.max(1, wishes.classSize - 1)]],
          ['second.youngest', second.youngest, BOUNDS.youngest],
        ] as const)
      : []),
  ])
    if (!(Number.isInteger(value) && value >= low && value <= high)) throw new CoreError('whole', { field: typed(field), low, high });
  if (!wishes.steps.length) throw new CoreError('steps');
}

/** Warnings about the order in which each group does its steps, by their places in the whole lesson. */
const ordered = (wishes: PlanWishes): PlanWarning[] =>
  groupsOf(wishes).flatMap(({ of, techniques }) =>
    orderWarnings(techniques, wishes).map((w) => ({ ...w, step: of[w.step], other: w.other === null ? null : of[w.other] })),
  );

/** A whole lesson. Throws CoreError naming the field where a wish cannot be met. */
export function makePlan(wishes: PlanWishes): Plan {
  checkedWishes(wishes);
  const techniques = techniquesIn(wishes.steps, wishes.youngest);
  const fits = fitted(wishes);
  const laidIn = (i: number) => fits.flatMap((f: Fit) => f.laid).find((s) => s.step === i);
  const minutes = wishes.steps.map((s, i) => laidIn(i)?.minutes ?? s.minutes ?? techniques[i].usual);
  const materials = materialsIn(wishes);
  const all = onceTold([
    ...ordered(wishes),
    ...fits.flatMap((fit) => timeWarnings(wishes, fit)),
    ...sharedWarnings(wishes, techniques, materials, minutes),
    ...rackWarnings(wishes, techniques, fits),
  ]);
  const onPurpose = (w: PlanWarning) => w.step !== null && wishes.steps[w.step].kept.includes(w.rule);
  const cautions = techniques.flatMap((t) => t.cautions.filter((c) => c !== 'waterproof-ink' || wishes.ink === 'waterproof'));
  if (wishes.medium === 'acrylic') cautions.push('acrylic');
  const taken = wishes.steps.map((s, i) => wayTaken(techniques[i], s.option));
  const youngest = wishes.second ? Math.min(wishes.youngest, wishes.second.youngest) : wishes.youngest;
  return {
    periods: fits[0].timetable.periods,
    second: fits[1]?.timetable.periods ?? null,
    steps: wishes.steps.map((s, i) => ({
      ...s,
      name: nameOf(techniques[i]),
      minutes: minutes[i],
      rounds: laidIn(i)?.rounds ?? 1,
      dry: s.dry ?? techniques[i].dry,
      mind: minding(techniques[i], wishes),
      remedies: remediesAt(techniques[i]),
      options: waysOf(techniques[i]),
      carried: taken.slice(0, i).flatMap((way, k) => (way ? [{ from: nameOf(techniques[k]), option: way.name }] : [])),
      brings: broughtBy(techniques, i, wishes),
      knows: techniques[i],
    })),
    materials,
    warnings: all.filter((w) => !onPurpose(w)),
    kept: all.filter(onPurpose),
    cautions: [...cautionsFor(cautions, youngest), ...new Set(techniques.map((t) => t.own?.caution ?? '').filter(Boolean))].map((c) =>
      typeof c === 'string' ? typed(c) : c,
    ),
    inked: techniques.some(
      (t) => t.ink || Object.keys(t.items).some((id) => (mediumOf(wishes.medium).instead?.[id as ItemId] ?? id) === 'wash-ink'),
    ),
    squeeze: Math.max(...fits.map((f) => f.squeeze)),
  };
}
