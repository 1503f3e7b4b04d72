/** Knows a lesson as the pages have it: the teacher's wishes, what was measured, and the plan and the days that follow from them. */
import { coloursAt } from '@/core/lesson/colourOrder';
import { coverOf, groundAndInk, layersIn } from '@/core/lesson/laying';
import { Calendar, Dated, datesFor } from '@/core/lesson/calendar';
import type { Learned } from '@/core/lesson/learning';
import type { LessonMedium } from '@/core/lesson/media';
import type { Schools } from '@/core/lesson/order';
import type { Used } from '@/core/lesson/substitute';
import { makePlan, Plan } from '@/core/lesson/plan';
import { MeasuredStrokes, PlanStep, PlanWishes, Room, SecondGroup, wishesOf } from '@/core/lesson/wishes';
import { LessonRule, rulesAt } from '@/core/lesson/rulesAt';
import { Coats, mixedOf, Prices, Shelf, WorkedShares } from '@/core/lesson/quantities';
import type { Entry } from '@/core/lesson/schedule';
import type { OwnStep } from '@/core/lesson/technique';
import { Message, message } from '@/core/message';

export interface PlanDraft extends Schools {
  medium: LessonMedium;
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  erasing: boolean;
  second: SecondGroup | null;
  room: Room;
  prices: Prices;
  used: Used[];
  coats: Coats;
  shelf: Shelf;
  calendar: Calendar | null;
  youngest: number;
  minutesPerPeriod: number;
  periods: number;
  classSize: number;
  steps: PlanStep[];
}

export interface PlanPage {
  plan: PlanDraft;
  version: number;
  sheetMm: [number, number];
  shares: WorkedShares;
  palette: { name: Message; hex: string; share: number; ground: boolean; accent: boolean; lab: readonly [number, number, number] }[];
  strokes: MeasuredStrokes;
  measuredOn: string | null;
  /** The picture it was measured on, and where in it the picture proper lies, as shares: left, top, width, height. */
  source: { pictureId: string; frame: readonly [number, number, number, number] } | null;
  /** How much a line swells, widest over narrowest; null where it was not measured. */
  swell: number | null;
  /** The rules of the study. */
  rules: LessonRule[];
}

/** What is written down of the works. */
export interface WorkFact {
  text: string;
  source: string | null;
}

/** A step of the teacher's library. */
export interface KeptStep {
  id: string;
  step: OwnStep;
}

/** What steps took in lessons that were held, by technique or by the name of an own step. */
export type LearnedBy = Readonly<Record<string, Learned>>;

/** The lesson as a page has it. */
export const wishesFrom = (page: PlanPage, draft: PlanDraft = page.plan): PlanWishes => wishesOf({ ...page, plan: draft });
export const planFrom = (page: PlanPage, draft: PlanDraft = page.plan): Plan => makePlan(wishesFrom(page, draft));

/** The rules that are kept to at each step. */
export const rulesIn = (page: Pick<PlanPage, 'rules'>, plan: Plan): LessonRule[][] =>
  rulesAt(
    plan.steps.map((s) => s.knows),
    page.rules,
  );

/** The colours laid in each step, and the layers they make. */
export function laidIn({ palette, strokes }: Pick<PlanPage, 'palette' | 'strokes'>, plan: Plan) {
  // The line's own ink is drawn, not mixed.
  const mixed = mixedOf(palette, plan.inked);
  const colours = coloursAt(
    plan.steps,
    palette.filter((c) => c.ground || mixed.includes(c)),
  );
  const laid = plan.steps.map(({ knows, laying }, i) => ({ knows, laying, colours: colours[i] }));
  return { colours, layers: layersIn(laid, { ...groundAndInk(palette), cover: coverOf(strokes) }) };
}

/** On which days its periods fall; empty where nobody has said when the class meets. */
export const datesOf = (plan: Plan, { calendar, minutesPerPeriod }: PlanDraft): Dated[] =>
  calendar ? datesFor(plan.periods.length, minutesPerPeriod, calendar) : [];

/** "Two periods of 50 minutes for 12 students." */
export function planSummary(plan: Plan, { classSize }: Pick<PlanDraft, 'classSize'>): Message {
  const lengths = plan.periods.map((p) => p.reduce((s, e) => s + e.minutes, 0));
  const [least, most] = [Math.min(...lengths), Math.max(...lengths)];
  const periods = plan.periods.length;
  return least === most
    ? message('plan.summary', { periods, minutes: least, students: classSize })
    : message('plan.summaryVarying', { periods, least, most, students: classSize });
}

/** One group's period; of a class that works as one it has no name. */
interface Lane {
  p: number;
  group: 'first' | 'second' | null;
  entries: Entry[];
}

/** Every period of every group, in the order in which they are held. */
export const lanesOf = ({ periods, second }: Plan): Lane[] =>
  periods.flatMap((entries, p): Lane[] =>
    second
      ? [
          { p, group: 'first', entries },
          { p, group: 'second', entries: second[p] },
        ]
      : [{ p, group: null, entries }],
  );
