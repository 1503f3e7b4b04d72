'use client';
import { ClipboardList, Dumbbell, Presentation, Printer } from 'lucide-react';
import { CupboardThing, papersIn } from '@/core/colour/materials';
import { mediumOf } from '@/core/lesson/media';
import { triesThatFit } from '@/core/lesson/rehearsal';
import { waysToFit } from '@/core/lesson/smallest';
import { lessonValues } from '@/core/lesson/wishes';
import { message } from '@/core/message';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { Fold } from '../shared/Fold';
import { Notice } from '../shared/Notice';
import { Heed, HeedView } from './Heed';
import { LayerTable } from './LayerTable';
import { Library } from './Library';
import { MovedBy, Ways } from './Fitting';
import { TableSets } from './TableSets';
import { ToGetTable } from './ToGetTable';
import { UsedTable } from './UsedTable';
import { CutSheets } from '../studies/CutSheets';
import { PeriodWall } from './PeriodWall';
import { PlanSettings } from './PlanSettings';
import { PlanTables, Warnings } from './PlanTables';
import { StepList } from './StepList';
import { KeptStep, laidIn, LearnedBy, PlanPage, planSummary, rulesIn, wishesFrom, WorkFact } from './lesson';
import { usePlan } from './usePlan';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  page: PlanPage;
  heed: HeedView;
  library: readonly KeptStep[];
  learned: LearnedBy;
  cupboard: readonly CupboardThing[];
  facts: readonly WorkFact[];
}

/** The lesson: its periods side by side, its steps beside them, opened in place; made anew with every change. */
export function PlanBench({ studyId, page, heed, library, learned, cupboard, facts }: Props) {
  const say = useSay();
  const { draft, change, state, problem, plan, moved, dates, undated } = usePlan(studyId, page);
  const laid = useMemo(() => plan && laidIn(page, plan), [page, plan]);
  const ways = useMemo(() => (plan && plan.periods.length > draft.periods ? waysToFit(wishesFrom(page, draft)) : []), [page, plan, draft]);
  const [chosen, setChosen] = useState<number | null>(null);
  const links = [
    ['board', Presentation, `/studies/${studyId}/board`],
    ['run', ClipboardList, `/studies/${studyId}/plan/run`],
    ['print', Printer, `/studies/${studyId}/plan/sheet`],
    ['warmUps', Dumbbell, `/studies/${studyId}/plan/warm-ups`],
  ] as const;
  return (
    <div className="relative min-h-0 flex-1 overflow-y-auto bg-base-200 print:overflow-visible">
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
              <Ways
                ways={ways}
                onTake={({ steps, ...to }) =>
                  change({ ...draft, ...to, ...(steps && { steps: [...steps] }) }, message('edits.planField.fit'))
                }
              />
              <MovedBy moved={moved} />
              <PeriodWall
                periods={plan.periods}
                second={plan.second}
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
                colours={laid?.colours ?? []}
                sheetMm={page.sheetMm}
                draft={draft}
                measuredOn={page.measuredOn}
                paints={mediumOf(draft.medium).mixed === true}
                onShelf={(shelf) => change({ ...draft, shelf }, message('edits.planField.shelf'))}
                onCoats={(coats) => change({ ...draft, coats }, message('edits.planField.coats'))}
              />
              <LayerTable layers={laid?.layers ?? []} plan={plan} draft={draft} />
              <Fold title={say('plan.used.title')}>
                <UsedTable
                  page={page}
                  plan={plan}
                  draft={draft}
                  cupboard={cupboard}
                  facts={facts}
                  onUsed={(used) => change({ ...draft, used }, message('edits.planField.used'))}
                />
              </Fold>
              <Fold title={say('plan.prices.title')}>
                <ToGetTable
                  materials={plan.materials}
                  shelf={draft.shelf}
                  prices={draft.prices}
                  onPrices={(prices) => change({ ...draft, prices }, message('edits.planField.prices'))}
                />
              </Fold>
              <Fold title={say('plan.tables.title')}>
                <TableSets plan={plan} students={draft.classSize} dates={dates} />
              </Fold>
              {!mediumOf(draft.medium).screen && (
                <Fold title={say('sheets.cutting')}>
                  <CutSheets width={page.sheetMm[0]} height={page.sheetMm[1]} students={draft.classSize} papers={papersIn(cupboard)} />
                </Fold>
              )}
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
            twoGroups={draft.second !== null}
            ink={draft.ink}
            palette={page.palette}
            source={page.source}
            laid={laid}
            triesThatFit={() => triesThatFit(wishesFrom(page, draft))}
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
