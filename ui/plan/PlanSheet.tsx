'use client';
import { typed } from '@/core/message';
import { mediumOf } from '@/core/lesson/media';
import { makePlan } from '@/core/lesson/plan';
import { CheckBar } from '../shared/CheckBar';
import { PrintButton } from '../shared/PrintButton';
import { PeriodWall } from './PeriodWall';
import { PlanTables, Warnings } from './PlanTables';
import type { PlanPage } from './usePlan';
import { useSay } from '../words/Words';

/** The lesson on paper: periods, what to mind, tables and cautions, with the teacher's own notes. */
export function PlanSheet({
  page,
  study,
  master,
  date,
  paper,
}: {
  page: PlanPage;
  study: string;
  master: string;
  date: string;
  paper: 'A4' | 'letter';
}) {
  const say = useSay();
  const plan = makePlan({ ...page.plan, sheetMm: page.sheetMm, shares: page.shares, strokes: page.strokes });
  const notes = plan.steps.filter((s) => s.note);
  return (
    <div dir="ltr" className="bg-white p-6 text-black print:p-0" data-theme="oldhand-day">
      <style>{`@page { size: ${paper === 'A4' ? 'A4' : 'letter'}; margin: 14mm } @media print { header, nav { display: none } }`}</style>
      <PrintButton />
      <div className="grid max-w-[190mm] gap-5 text-[0.86rem]">
        <div>
          <h1 className="text-2xl font-semibold">{say.typed(study)}</h1>
          <p>
            {say('plan.sheet.head', {
              master: typed(master),
              students: page.plan.classSize,
              periods: plan.periods.length,
              minutes: page.plan.minutesPerPeriod,
              date: typed(say.day(date)),
            })}
          </p>
        </div>
        <PeriodWall periods={plan.periods} />
        {notes.length > 0 && (
          <section>
            <h2 className="text-lg font-semibold">{say('plan.sheet.notes')}</h2>
            <ul>
              {notes.map((s) => (
                <li key={s.technique}>{say('plan.sheet.note', { step: s.name, note: typed(s.note) })}</li>
              ))}
            </ul>
          </section>
        )}
        <section className="break-inside-avoid">
          <h2 className="text-lg font-semibold">{say('plan.sheet.stepByStep')}</h2>
          <ol className="ms-5 list-decimal">
            {plan.steps.map((s, i) => (
              <li key={i} className="break-inside-avoid">
                <strong>{say(s.dry > 0 ? 'plan.sheet.dries' : 'plan.sheet.minutes', { step: s.name, n: s.minutes, dry: s.dry })}</strong>{' '}
                {s.mind.map((m) => say(m)).join(' ')}
              </li>
            ))}
          </ol>
        </section>
        <Warnings plan={plan} />
        <PlanTables
          plan={plan}
          palette={page.palette}
          sheetMm={page.sheetMm}
          classSize={page.plan.classSize}
          measuredOn={page.measuredOn}
          paints={mediumOf(page.plan.medium).mixed === true}
        />
        <CheckBar />
      </div>
    </div>
  );
}
