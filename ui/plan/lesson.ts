/** Knows a lesson as the pages have it: the teacher's wishes, what was measured, and the plan and the days that follow from them. */
import { Calendar, Dated, datesFor } from '@/core/lesson/calendar';
import type { Learned } from '@/core/lesson/learning';
import type { LessonMedium } from '@/core/lesson/media';
import type { Schools } from '@/core/lesson/order';
import { makePlan, MeasuredStrokes, Plan, PlanStep } from '@/core/lesson/plan';
import { LessonRule, rulesAt } from '@/core/lesson/rulesAt';
import type { Coats, Shelf, WorkedShares } from '@/core/lesson/quantities';
import type { OwnStep } from '@/core/lesson/technique';
import { Message, message } from '@/core/message';

export interface PlanDraft {
  medium: LessonMedium;
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  erasing: boolean;
  outline: Schools['outline'];
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
  /** The rules of the study. */
  rules: LessonRule[];
}

/** A step of the teacher's library. */
export interface KeptStep {
  id: string;
  step: OwnStep;
}

/** What steps took in lessons that were held, by technique or by the name of an own step. */
export type LearnedBy = Readonly<Record<string, Learned>>;

/** The lesson as a page has it. */
export const planFrom = (page: PlanPage, draft: PlanDraft = page.plan): Plan =>
  makePlan({ ...draft, sheetMm: page.sheetMm, shares: page.shares, strokes: page.strokes });

/** The rules that are kept to at each step. */
export const rulesIn = (page: Pick<PlanPage, 'rules'>, plan: Plan): LessonRule[][] =>
  rulesAt(
    plan.steps.map((s) => s.knows),
    page.rules,
  );

/** On which days its periods fall; empty where nobody has said when the class meets. */
export const datesOf = (plan: Plan, { calendar, minutesPerPeriod }: PlanDraft): Dated[] =>
  calendar ? datesFor(plan.periods.length, minutesPerPeriod, calendar) : [];

/** "Two periods of 50 minutes for 12 students." */
export const planSummary = (plan: Plan, { minutesPerPeriod, classSize }: PlanDraft): Message =>
  message('plan.summary', { periods: plan.periods.length, minutes: minutesPerPeriod, students: classSize });
