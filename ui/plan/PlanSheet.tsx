import { makePlan } from '@/core/lesson/plan';
import { CheckBar } from '../shared/CheckBar';
import { PrintButton } from '../shared/PrintButton';
import { PeriodWall } from './PeriodWall';
import { MIXED_FROM_PAINT, PlanTables, Warnings } from './PlanTables';
import type { PlanPage } from './usePlan';

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
  const plan = makePlan({ ...page.plan, sheetMm: page.sheetMm, shares: page.shares });
  const notes = plan.steps.filter((s) => s.note);
  return (
    <div className="bg-white p-6 text-black print:p-0" data-theme="oldhand-day">
      <style>{`@page { size: ${paper === 'A4' ? 'A4' : 'letter'}; margin: 14mm } @media print { header, nav { display: none } }`}</style>
      <PrintButton />
      <div className="grid max-w-[190mm] gap-5 text-[0.86rem]">
        <div>
          <h1 className="text-2xl font-semibold">{study}</h1>
          <p>
            after {master}; {page.plan.classSize} students, {plan.periods.length} × {page.plan.minutesPerPeriod} minutes; {date}
          </p>
        </div>
        <PeriodWall periods={plan.periods} />
        {notes.length > 0 && (
          <section>
            <h2 className="text-lg font-semibold">Notes</h2>
            <ul>
              {notes.map((s) => (
                <li key={s.technique}>
                  {s.name}: {s.note}
                </li>
              ))}
            </ul>
          </section>
        )}
        <section className="break-inside-avoid">
          <h2 className="text-lg font-semibold">Step by step</h2>
          <ol className="ml-5 list-decimal">
            {plan.steps.map((s, i) => (
              <li key={i} className="break-inside-avoid">
                <strong>{s.name}</strong>, {s.minutes} min{s.dry > 0 ? `, dries in ${s.dry} min` : ''}. {s.mind.join(' ')}
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
          paints={MIXED_FROM_PAINT.has(page.plan.medium)}
        />
        <CheckBar />
      </div>
    </div>
  );
}
