'use client';
import { Plan } from '@/core/lesson/plan';
import { lessonValues } from '@/core/lesson/wishes';
import { smallDark } from '@/core/lesson/colourOrder';
import { helpersIn } from '@/core/lesson/helpers';
import type { Entry } from '@/core/lesson/schedule';
import { saysOf } from '@/core/lesson/technique';
import { Paper, PaperHead } from '../shared/paper/Paper';
import { useSay } from '../words/Words';
import { Heed, HeedView } from './Heed';
import { amount, typed } from '@/core/message';
import { datesOf, lanesOf, PlanPage, planFrom, rulesIn } from './lesson';
import { clock } from './PeriodWall';
import { Cautions } from './PlanTables';
import { roundSaid } from './TableSets';

const COLUMNS = [
  ['at', 'w-[17mm]'],
  ['what', 'w-[29%]'],
  ['handOut', 'w-[16%]'],
  ['watch', ''],
  ['room', 'w-[20mm]'],
] as const;

/** For the teacher's hand in the lesson: by the minute what is handed out, said and watched for, with room for what really happened. */
export function RunSheet({
  page,
  heed,
  study,
  date,
  paper,
}: {
  page: PlanPage;
  heed: HeedView;
  study: string;
  date: string;
  paper: 'A4' | 'letter';
}) {
  const say = useSay();
  const plan = planFrom(page);
  const dates = datesOf(plan, page.plan);
  const rules = rulesIn(page, plan);
  const accents = page.palette.filter((c) => c.accent);
  const darks = smallDark(page.palette);
  const bare = page.palette.find((c) => c.ground);
  const values = lessonValues(page.strokes, page.plan.medium);
  return (
    <Paper size={paper} margin={12} foot={say('plan.sheet.foot', { study: typed(study), date: typed(say.day(date)) })}>
      <div className="grid max-w-[190mm] gap-5 bg-white p-6 text-[0.86rem] print:block print:p-0">
        <PaperHead title={say('run.title', { study: typed(study) })} pictureId={null} about={say('run.about')} />
        {lanesOf(plan).map(({ p, group, entries }, n) => (
          <section key={n} className="mb-4" style={{ breakBefore: n ? 'page' : 'auto' }}>
            <h2 className="text-lg font-semibold">
              {say('plan.period', { n: p + 1 })}
              {group && `, ${say(`plan.groups.${group}`)}`}{' '}
              {dates[p] && (
                <span className="font-normal">
                  {say('plan.dated', { day: typed(say.day(dates[p].day)), at: typed(clock(dates[p].begins)) })}
                </span>
              )}
            </h2>
            <table className="w-full table-fixed border-collapse text-[0.78rem] leading-tight">
              <thead>
                <tr className="border-b-2 border-black text-start align-bottom">
                  {COLUMNS.map(([h, wide]) => (
                    <th key={h} scope="col" className={`p-1 text-start ${wide}`}>
                      {say(`run.${h}`)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {entries.map((e, i) => {
                  const step = e.step === null ? null : plan.steps[e.step];
                  const brings =
                    e.kind === 'watch' || (e.kind === 'turn' && e.part !== 2 && step?.knows.demonstration === 0)
                      ? (step?.brings ?? [])
                      : [];
                  const stuck = step && e.kind === 'turn' ? saysOf(step.knows, 'stuck', values) : null;
                  return (
                    <tr key={i} className="break-inside-avoid border-b border-black/40 align-top">
                      <td className="p-1 whitespace-nowrap tabular-nums">
                        {clock((dates[p]?.begins ?? 0) + e.start)}
                        <span className="block text-xs">{say('plan.minutes', { n: e.minutes })}</span>
                      </td>
                      <td className="p-1">
                        <strong>{say(e.title)}</strong> {e.round && <span>({say('plan.roundOthers', e.round)}) </span>}
                        {e.kind !== 'watch' && say(e.text)}
                        {step?.note && e.kind !== 'watch' && <em className="block">{say.typed(step.note)}</em>}
                      </td>
                      <td className="p-1">
                        {brings.map((b, k) => (
                          <span key={k} className="block">
                            {say(b)}
                          </span>
                        ))}
                      </td>
                      <td className="p-1">
                        {e.kind === 'watch' && say(e.text)}
                        {stuck && <span className="block">{say('board.stuck', { stuck })}</span>}
                        {e.kind === 'turn' &&
                          e.part !== 2 &&
                          rules[e.step!].map((r, k) => (
                            <em key={k} className="block">
                              {say(r.said)}
                            </em>
                          ))}
                        {e.kind === 'turn' &&
                          step?.mind.map((m, k) => (
                            <span key={k} className="block font-semibold">
                              {say(m)}
                            </span>
                          ))}
                      </td>
                      <td className="p-1" />
                    </tr>
                  );
                })}
              </tbody>
            </table>
            <AwayFrom entries={entries} plan={plan} />
            <Carried entries={entries} plan={plan} from={dates[p]?.begins ?? 0} />
            <Accidents entries={entries} plan={plan} />
          </section>
        ))}
        {(page.rules.length > 0 || accents.length > 0 || darks || bare) && (
          <section className="mb-4 break-inside-avoid">
            <h2 className="text-lg font-semibold">{say('run.handIn')}</h2>
            <ul className="text-sm">
              {accents.map((c) => (
                <li key={c.hex}>☐ {say('run.accent', { colour: c.name, part: amount(c.share, 'share') })}</li>
              ))}
              {darks && <li>☐ {say('run.darks', { colour: darks.name, part: amount(darks.share, 'share') })}</li>}
              {bare && <li>☐ {say('run.bare', { part: amount(bare.share, 'share') })}</li>}
              {page.rules.map((r, i) => (
                <li key={i}>☐ {say(r.said)}</li>
              ))}
            </ul>
          </section>
        )}
        <Heed heed={heed} />
        <Cautions plan={plan} />
      </div>
    </Paper>
  );
}

/** What somebody who was away makes up for: the period's turns at their fewest minutes, with what has to dry. */
function AwayFrom({ entries, plan }: { entries: readonly Entry[]; plan: Plan }) {
  const say = useSay();
  const missed = [...new Set(entries.flatMap((e) => (e.kind === 'turn' && e.step !== null ? [e.step] : [])))].map((i) => plan.steps[i]);
  if (!missed.length) return null;
  const minutes = missed.reduce((sum, s) => sum + s.knows.least, 0);
  return (
    <p className="mt-0.5 text-xs leading-tight">
      <strong>{say('run.away', { n: minutes })}</strong>{' '}
      {missed
        .map((s) => say(s.dry > 0 ? 'plan.sheet.dries' : 'plan.sheet.minutes', { step: s.name, n: s.knows.least, dry: s.dry }))
        .join(' ')}
    </p>
  );
}

/** The helpers' rounds of the period; what they bring stands in its column. */
function Carried({ entries, plan, from }: { entries: readonly Entry[]; plan: Plan; from: number }) {
  const say = useSay();
  return (
    <p className="mt-0.5 text-xs leading-tight">
      <strong>{say('run.helpers')}</strong>{' '}
      {helpersIn(entries, plan)
        .filter((r) => r.kind !== 'bring')
        .map((r) => say('plan.tables.round', { at: typed(clock(from + r.at)), what: roundSaid(r) }))
        .join('; ')}
      .
    </p>
  );
}

/** What helps when something common goes wrong at one of the period's steps, each once. */
function Accidents({ entries, plan }: { entries: readonly Entry[]; plan: Plan }) {
  const say = useSay();
  const remedies = entries.flatMap((e) => (e.kind === 'turn' && e.step !== null ? plan.steps[e.step].remedies : []));
  const told = [...new Set(remedies.map((r) => say(r)))];
  if (!told.length) return null;
  return (
    <p className="mt-0.5 text-xs leading-tight">
      <strong>{say('run.accidents')}</strong> {told.join(' ')}
    </p>
  );
}
