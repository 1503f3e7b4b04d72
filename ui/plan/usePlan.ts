'use client';
import { useCallback, useMemo } from 'react';
import { Message, message } from '@/core/message';
import { makePlan, MeasuredStrokes, Plan } from '@/core/lesson/plan';
import type { PlanStep } from '@/core/lesson/plan';
import type { WorkedShares } from '@/core/lesson/quantities';
import type { LessonMedium } from '@/core/lesson/media';
import { get, problemOf, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';

export interface PlanDraft {
  medium: LessonMedium;
  ink: 'waterproof' | 'washable';
  contact: 'light-pencil' | 'straight-in';
  erasing: boolean;
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
  palette: { name: Message; hex: string; share: number; ground: boolean; accent: boolean }[];
  strokes: MeasuredStrokes;
  measuredOn: string | null;
}

/** "Two periods of 50 minutes for 12 students." */
export const planSummary = (plan: Plan, { minutesPerPeriod, classSize }: PlanDraft): Message =>
  message('plan.summary', { periods: plan.periods.length, minutes: minutesPerPeriod, students: classSize });

const PAUSE = 600;

/** The plan's wish list with the lesson made of it; saved a moment after the last change, newer states from elsewhere shown. */
export function usePlan(studyId: string, page: PlanPage) {
  const path = `/api/studies/${studyId}/plan`;
  const {
    value: draft,
    show,
    save,
    state,
    problem,
  } = useSaved<Pick<PlanPage, 'plan' | 'version'>, PlanDraft>({
    key: [...KEYS.plan, studyId],
    first: page,
    load: () => get<PlanPage>(path),
    valueOf: ({ plan }) => plan,
    store: async (plan, { version }, label) => ({
      plan,
      version: (await send<{ version: number }>('PUT', path, { ...plan, version, label })).version,
    }),
    pause: PAUSE,
  });
  const change = useCallback(
    (next: PlanDraft, label: Message) => {
      show(next);
      save(label);
    },
    [show, save],
  );
  const made = useMemo<{ plan: Plan | null; problem: Message | null }>(() => {
    try {
      return { plan: makePlan({ ...draft, sheetMm: page.sheetMm, shares: page.shares, strokes: page.strokes }), problem: null };
    } catch (error) {
      return { plan: null, problem: problemOf(error) };
    }
  }, [draft, page.sheetMm, page.shares, page.strokes]);
  return { draft, change, state, problem: problem ?? made.problem, plan: made.plan };
}
