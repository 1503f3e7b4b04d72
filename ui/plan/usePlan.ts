'use client';
import { useCallback, useMemo, useState } from 'react';
import type { Dated } from '@/core/lesson/calendar';
import { movedBetween } from '@/core/lesson/movedSteps';
import type { Plan } from '@/core/lesson/plan';
import type { Message } from '@/core/message';
import { get, problemOf, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';
import { datesOf, PlanDraft, planFrom, PlanPage } from './lesson';

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
      return { plan: planFrom(page, draft), problem: null };
    } catch (error) {
      return { plan: null, problem: problemOf(error) };
    }
  }, [draft, page]);
  const { plan } = made;
  const moved = useMoved(plan);
  const dated = useMemo<{ dates: Dated[]; problem: Message | null }>(() => {
    try {
      return { dates: plan ? datesOf(plan, draft) : [], problem: null };
    } catch (error) {
      return { dates: [], problem: problemOf(error) };
    }
  }, [plan, draft]);
  return { draft, change, state, problem: problem ?? made.problem, plan, moved, dates: dated.dates, undated: dated.problem };
}

/** What the last change to a plan moved. */
function useMoved(plan: Plan | null): Message[] {
  const [seen, setSeen] = useState<{ plan: Plan | null; moved: Message[] }>({ plan, moved: [] });
  // A change that moves nothing lets what was said of the one before stand no longer.
  if (plan !== seen.plan) setSeen({ plan, moved: plan && seen.plan ? movedBetween(seen.plan, plan) : [] });
  return seen.moved;
}
