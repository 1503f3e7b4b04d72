'use client';
import { ClipboardList, Dumbbell, Presentation, Printer } from 'lucide-react';
import { mediumOf } from '@/core/lesson/media';
import { lessonValues } from '@/core/lesson/plan';
import { message } from '@/core/message';
import Link from 'next/link';
import { useState } from 'react';
import { Notice } from '../shared/Notice';
import { Heed, HeedView } from './Heed';
import { Library } from './Library';
import { PeriodWall } from './PeriodWall';
import { PlanSettings } from './PlanSettings';
import { PlanTables, Warnings } from './PlanTables';
import { StepList } from './StepList';
import { KeptStep, LearnedBy, PlanPage, planSummary, rulesIn } from './lesson';
import { usePlan } from './usePlan';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  page: PlanPage;
  heed: HeedView;
  library: readonly KeptStep[];
  learned: LearnedBy;
}

/** The lesson: its periods side by side, its steps beside them, opened in place; made anew with every change. */
export function PlanBench({ studyId, page, heed, library, learned }: Props) {
  const say = useSay();
  const { draft, change, state, problem, plan, dates, undated } = usePlan(studyId, page);
  const [chosen, setChosen] = useState<number | null>(null);
  const links = [
    ['board', Presentation, `/studies/${studyId}/board`],
    ['run', ClipboardList, `/studies/${studyId}/plan/run`],
    ['print', Printer, `/studies/${studyId}/plan/sheet`],
    ['warmUps', Dumbbell, `/studies/${studyId}/plan/warm-ups`],
  ] as const;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto bg-base-200 print:overflow-visible">
      <div className="flex flex-wrap items-center gap-2 px-5 pt-4">
        <p className="min-w-60 flex-1" role="status">
          {plan && say('plan.state', { summary: planSummary(plan, draft), state: message(`shared.${state}`) })}
        </p>
        {links.map(([name, Icon, href]) => (
          <Link key={name} className={`btn btn-sm ${name === 'board' ? 'btn-neutral' : ''}`} href={href}>
            <Icon aria-hidden className="size-4" /> {say(`plan.${name}`)}
          </Link>
        ))}
      </div>
      <Notice said={problem ?? undated} />
      <div className="grid gap-5 p-5 pt-3 xl:grid-cols-[1fr_25rem]">
        <div className="grid min-w-0 content-start gap-5">
          {plan && (
            <>
              <Warnings plan={plan} only="whole" />
              <PeriodWall
                periods={plan.periods}
                dates={dates}
                chosen={chosen}
                onChoose={setChosen}
                onMinutes={(i, more) =>
                  change(
                    {
                      ...draft,
                      steps: draft.steps.map((s, k) =>
                        k === i ? { ...s, minutes: Math.min(240, Math.max(1, plan.steps[i].minutes + more)) } : s,
                      ),
                    },
                    message('edits.step', { step: plan.steps[i].name }),
                  )
                }
              />
              <Heed heed={heed} />
              <PlanTables
                plan={plan}
                palette={page.palette}
                sheetMm={page.sheetMm}
                draft={draft}
                measuredOn={page.measuredOn}
                paints={mediumOf(draft.medium).mixed === true}
                onShelf={(shelf) => change({ ...draft, shelf }, message('edits.planField.shelf'))}
                onCoats={(coats) => change({ ...draft, coats }, message('edits.planField.coats'))}
              />
            </>
          )}
        </div>
        <div className="grid content-start gap-5 bg-base-100 p-4">
          <StepList
            studyId={studyId}
            medium={draft.medium}
            values={lessonValues(page.strokes, draft.medium)}
            steps={draft.steps}
            plan={plan}
            library={library}
            learned={learned}
            rules={plan ? rulesIn(page, plan) : []}
            chosen={chosen}
            onChoose={setChosen}
            onChange={(steps, label) => steps.length && change({ ...draft, steps }, label)}
          />
          <PlanSettings studyId={studyId} draft={draft} line={page.shares.line} inked={plan?.inked ?? true} onChange={change} />
          <Library studyId={studyId} library={library} />
        </div>
      </div>
    </div>
  );
}
