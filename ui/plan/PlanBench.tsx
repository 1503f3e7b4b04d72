'use client';
import { Printer } from 'lucide-react';
import { mediumOf } from '@/core/lesson/media';
import { strokeValues } from '@/core/lesson/plan';
import { message } from '@/core/message';
import Link from 'next/link';
import { useState } from 'react';
import { Notice } from '../shared/Notice';
import { Heed, HeedView } from './Heed';
import { PeriodWall } from './PeriodWall';
import { PlanSettings } from './PlanSettings';
import { PlanTables, Warnings } from './PlanTables';
import { StepList } from './StepList';
import { PlanPage, planSummary, usePlan } from './usePlan';
import { useSay } from '../words/Words';

/** The lesson: what the class is and does on the right, what follows from it on the left, made anew with every change. */
export function PlanBench({ studyId, page, heed }: { studyId: string; page: PlanPage; heed: HeedView }) {
  const say = useSay();
  const { draft, change, state, problem, plan } = usePlan(studyId, page);
  const [chosen, setChosen] = useState<number | null>(null);
  return (
    <div className="flex min-h-0 flex-1 flex-col max-lg:overflow-y-auto lg:flex-row print:overflow-visible">
      <div className="flex min-w-0 flex-1 flex-col gap-5 bg-base-200 p-5 lg:overflow-y-auto">
        <div className="flex items-center gap-4">
          <p className="flex-1" role="status">
            {plan && say('plan.state', { summary: planSummary(plan, draft), state: message(`shared.${state}`) })}
          </p>
          <Link className="btn btn-sm" href={`/studies/${studyId}/plan/sheet`}>
            <Printer aria-hidden className="size-4" /> {say('plan.print')}
          </Link>
        </div>
        {problem && <Notice said={problem} />}
        {plan && (
          <>
            <Warnings plan={plan} onChoose={setChosen} />
            <PeriodWall periods={plan.periods} chosen={chosen} onChoose={setChosen} />
            <Heed heed={heed} />
            <PlanTables
              plan={plan}
              palette={page.palette}
              sheetMm={page.sheetMm}
              classSize={draft.classSize}
              measuredOn={page.measuredOn}
              paints={mediumOf(draft.medium).mixed === true}
            />
          </>
        )}
      </div>
      <aside className="w-full shrink-0 border-s border-base-300 p-4 lg:w-[25rem] lg:overflow-y-auto">
        <PlanSettings draft={draft} onChange={change} />
        <StepList
          medium={draft.medium}
          strokes={strokeValues(page.strokes)}
          steps={draft.steps}
          plan={plan}
          chosen={chosen}
          onChoose={setChosen}
          onChange={(steps, label) => steps.length && change({ ...draft, steps }, label)}
        />
      </aside>
    </div>
  );
}
