/** Knows what a lesson is wished for: its steps as the teacher has set them, class, time, room and what has been measured of the master's strokes. */
import { CoreError } from '../errors';
import { amount, Amount, typed, Values } from '../message';
import type { Reading } from '../marks/reading';
import { Calendar, lengthsOf } from './calendar';
import { ITEMS, Item, ItemId, PER } from './items';
import type { Laying } from './laying';
import { LessonMedium, mediumOf } from './media';
import type { OrderContext } from './order';
import { asTechnique } from './ownStep';
import type { Coats, Shelf, WorkedShares } from './quantities';
import type { OwnStep, Technique } from './technique';
import { techniqueOf } from './techniques';

/** What a step of a teacher's own, written from nothing, has as its technique. */
export const OWN = 'own';

/** Who does a step where the class works in two groups. */
export const GROUPS = ['both', 'first', 'second'] as const;
export type Group = (typeof GROUPS)[number];

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
  group: Group;
  /** With what and how thin the master laid it, as far as is known or guessed. */
  laying: Laying | null;
  /** The build-up of the work's shapes is shown at it. */
  built: boolean;
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
  group: 'both',
  laying: null,
  built: false,
});

/** By what a step is known from lesson to lesson: a step in a teacher's own words by its name. */
export const knownAs = ({ own, technique }: Pick<PlanStep, 'own' | 'technique'>): string => own?.name ?? technique;

/** The other group of a mixed class: how many they are, and how old the youngest of them is. */
export interface SecondGroup {
  students: number;
  youngest: number;
}

/** What there is only so much of in the room; null where nobody has said. */
export interface Room {
  sinks: number | null;
  /** Sheets that can lie and dry. */
  rack: number | null;
}

export interface PlanWishes extends OrderContext {
  steps: readonly PlanStep[];
  minutesPerPeriod: number;
  /** Minutes of each period in order, where they are not all as long; beyond them each is as long as usual. */
  lengths: readonly number[];
  periods: number;
  classSize: number;
  /** Null where all do the same. */
  second: SecondGroup | null;
  room: Room;
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

/** The techniques of all steps, for a youngest of so many years. */
export const techniquesIn = (steps: readonly PlanStep[], youngest: number): Technique[] =>
  steps.map((s) => {
    const t = s.own ? asTechnique(s.own, s.technique, youngest) : techniqueOf(s.technique);
    if (!t) throw new CoreError('technique', { name: typed(s.technique) });
    return t;
  });

/** What a technique asks for in this lesson. */
export function itemsIn({ medium, erasing }: Pick<PlanWishes, 'medium' | 'erasing'>, t: Technique): Partial<Record<ItemId, number>> {
  const out: Partial<Record<ItemId, number>> = {};
  for (const [id, n] of Object.entries(t.items) as [ItemId, number][]) {
    const as = mediumOf(medium).instead?.[id] ?? id;
    // Where nothing is rubbed out, an eraser lies on the table only to draw with.
    if (as === 'eraser' && !erasing) continue;
    out[as] = (out[as] ?? 0) + n;
  }
  return out;
}

/** Does a technique ask for a thing, by what it is known by on the shelf? */
export const asksFor = (wishes: Pick<PlanWishes, 'medium' | 'erasing'>, t: Technique, what: string): boolean =>
  Object.hasOwn(itemsIn(wishes, t), what) || !!t.own?.items.some((it) => it.what === what);

/** A tool that one has in hand for the whole of a turn. */
const inHand = (it: Item): boolean => it.unit === 'piece' && it.per !== 'class' && !it.passed;
/** In more groups one after another nobody works. */
const MOST_ROUNDS = 6;

export interface Scarce {
  /** The thing, or a teacher's own name for it. */
  what: string;
  have: number;
  needed: number;
  /** In so many groups, one after another, what there is goes round; 1 where there is none at all, since more would give no more. */
  rounds: number;
}

/** The groups that have a thing in hand at some time of the lesson, by their numbers of students: while one has it, so may the other. */
export type Users = (what: string) => readonly number[];

/** Of what a step needs in the hand of each there are too few for all at once: the scarcest; null where there is enough. */
export function scarcestFor(wishes: Pick<PlanWishes, 'medium' | 'erasing' | 'shelf'>, t: Technique, users: Users): Scarce | null {
  const asked: { what: string; n: number; per: Item['per'] }[] = [
    ...(Object.entries(itemsIn(wishes, t)) as [ItemId, number][]).flatMap(([id, n]) =>
      inHand(ITEMS[id]) ? [{ what: id, n, per: ITEMS[id].per }] : [],
    ),
    ...(t.own?.items ?? []).filter((it) => it.per !== 'class'),
  ];
  return asked.reduce<Scarce | null>((worst, { what, n, per }) => {
    const have = wishes.shelf[what];
    const each = users(what).map((students) => PER[per](students) * n);
    const needed = each.reduce((a, b) => a + b, 0);
    if (have === undefined || have >= needed) return worst;
    const inRounds = (rounds: number) => each.reduce((sum, of) => sum + Math.ceil(of / rounds), 0);
    let rounds = 1;
    while (have > 0 && rounds < MOST_ROUNDS && inRounds(rounds) > have) rounds++;
    return worst && worst.rounds >= rounds ? worst : { what, have, needed, rounds };
  }, null);
}

/** What a lesson was planned with: the teacher's wishes as they are kept, and what was measured. */
interface Viewed {
  plan: Omit<PlanWishes, 'lengths' | 'sheetMm' | 'shares' | 'strokes'> & { calendar: Calendar | null };
  sheetMm: PlanWishes['sheetMm'];
  shares: WorkedShares;
  strokes: MeasuredStrokes;
}

/** The wishes a lesson is made from. */
export const wishesOf = ({ plan, sheetMm, shares, strokes }: Viewed): PlanWishes => ({
  ...plan,
  lengths: lengthsOf(plan.calendar, plan.minutesPerPeriod),
  sheetMm,
  shares,
  strokes,
});

/** How long a period is, from 0 on. */
export const lengthOf = ({ lengths, minutesPerPeriod }: Pick<PlanWishes, 'lengths' | 'minutesPerPeriod'>, period: number): number =>
  lengths[period] ?? minutesPerPeriod;
