'use client';
import { typed } from '@/core/message';
import { mediumOf } from '@/core/lesson/media';
import { CheckBar } from '../shared/paper/CheckBar';
import { Paper, PaperHead } from '../shared/paper/Paper';
import { Heed, HeedView } from './Heed';
import { PeriodWall } from './PeriodWall';
import { PlanTables, Warnings } from './PlanTables';
import { LayerTable } from './LayerTable';
import { datesOf, laidIn, PlanPage, planFrom } from './lesson';
import { useSay } from '../words/Words';

/** The lesson on paper: periods, what to mind, tables and cautions, with the teacher's own notes. */
export function PlanSheet({
  page,
  heed,
  study,
  master,
  date,
  paper,
  pictureId,
}: {
  page: PlanPage;
  heed: HeedView;
  study: string;
  master: string;
  date: string;
  paper: 'A4' | 'letter';
  /** A work by the master, for the head of the paper. */
  pictureId: string | null;
}) {
  const say = useSay();
  const plan = planFrom(page);
  const laid = laidIn(page, plan);
  const notes = plan.steps.filter((s) => s.note);
  return (
    <Paper size={paper} margin={14} foot={say('plan.sheet.foot', { study: typed(study), date: typed(say.day(date)) })}>
      <div className="grid max-w-[190mm] gap-5 bg-white p-6 text-[0.86rem] print:block print:p-0 print:[&>*]:mb-4">
        <PaperHead
          title={say.typed(study)}
          pictureId={pictureId}
          about={say('plan.sheet.head', {
            master: typed(master),
            students: page.plan.classSize,
            periods: plan.periods.length,
            minutes: page.plan.minutesPerPeriod,
            date: typed(say.day(date)),
          })}
        />
        <div className="columns-2 gap-6 [&>*]:mb-4">
          <PeriodWall periods={plan.periods} second={plan.second} dates={datesOf(plan, page.plan)} flowing />
          {notes.length > 0 && (
            <section>
              <h2 className="text-lg font-semibold">{say('plan.sheet.notes')}</h2>
              <ul>
                {notes.map((s, i) => (
                  <li key={i}>{say('plan.sheet.note', { step: s.name, note: typed(s.note) })}</li>
                ))}
              </ul>
            </section>
          )}
          <section>
            <h2 className="text-lg font-semibold break-after-avoid">{say('plan.sheet.stepByStep')}</h2>
            <ol className="ms-5 list-decimal">
              {plan.steps.map((s, i) => (
                <li key={i} className="break-inside-avoid">
                  <strong>{say(s.dry > 0 ? 'plan.sheet.dries' : 'plan.sheet.minutes', { step: s.name, n: s.minutes, dry: s.dry })}</strong>{' '}
                  {s.mind.map((m) => say(m)).join(' ')}
                </li>
              ))}
            </ol>
          </section>
          <Heed heed={heed} />
          <Warnings plan={plan} />
          <LayerTable layers={laid.layers} plan={plan} draft={page.plan} />
          <PlanTables
            plan={plan}
            palette={page.palette}
            colours={laid.colours}
            sheetMm={page.sheetMm}
            draft={page.plan}
            measuredOn={page.measuredOn}
            flowing
            paints={mediumOf(page.plan.medium).mixed === true}
          />
        </div>
        <CheckBar />
      </div>
    </Paper>
  );
}
