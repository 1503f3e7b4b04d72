'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Message, message } from '@/core/message';
import { makePlan, MeasuredStrokes, Plan } from '@/core/lesson/plan';
import type { PlanStep } from '@/core/lesson/plan';
import type { WorkedShares } from '@/core/lesson/quantities';
import type { LessonMedium } from '@/core/lesson/media';
import { edited, STEPPED } from '../shared/EditBar';
import { get, problemOf, RequestError, send } from '../shared/request';

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
  const [draft, setDraft] = useState(page.plan);
  const [state, setState] = useState<'saved' | 'saving' | 'failed'>('saved');
  const [problem, setProblem] = useState<Message | null>(null);
  const version = useRef(page.version);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const chain = useRef(Promise.resolve());
  const path = `/api/studies/${studyId}/plan`;
  const reload = useCallback(async () => {
    const stored = await get<PlanPage>(path);
    version.current = stored.version;
    setDraft(stored.plan);
  }, [path]);
  useEffect(() => {
    const again = () => void reload().catch(() => undefined);
    window.addEventListener(STEPPED, again);
    return () => window.removeEventListener(STEPPED, again);
  }, [reload]);
  const change = useCallback(
    (next: PlanDraft, label: Message) => {
      setDraft(next);
      setState('saving');
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        timer.current = null;
        chain.current = chain.current.then(async () => {
          try {
            version.current = (await send<{ version: number }>('PUT', path, { ...next, version: version.current, label })).version;
            setState('saved');
            setProblem(null);
            edited();
          } catch (error) {
            setState('failed');
            setProblem(problemOf(error));
            if (error instanceof RequestError && error.status === 409) await reload().catch(() => undefined);
          }
        });
      }, PAUSE);
    },
    [path, reload],
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
