'use client';
import { helpersIn, Round, tableSet } from '@/core/lesson/helpers';
import { PER } from '@/core/lesson/items';
import type { Plan } from '@/core/lesson/plan';
import type { Dated } from '@/core/lesson/calendar';
import { message, Message, several, typed } from '@/core/message';
import { lanesOf } from './lesson';
import { clock } from './PeriodWall';
import { useSay } from '../words/Words';

export const roundSaid = ({ kind, things }: Round): Message =>
  kind === 'bring' ? message('plan.tables.bring', { things: several(things) }) : message(`plan.tables.${kind}`);

/** What lies on each table beforehand, and when helpers carry what. */
export function TableSets({ plan, students, dates }: { plan: Plan; students: number; dates: readonly Dated[] }) {
  const say = useSay();
  const set = tableSet(plan.materials);
  return (
    <div className="grid gap-2 text-sm">
      <p>{say(several(set.map(({ n, name }) => message('plan.tables.set', { n, what: name }))))}</p>
      <p>{say('plan.tables.helpers', { n: PER.table(students) })}</p>
      <ul className="grid gap-1">
        {lanesOf(plan).map(({ p, group, entries }, k) => (
          <li key={k}>
            <strong>
              {say('plan.tables.period', { n: p + 1 })} {group && say(`plan.groups.${group}`)}
            </strong>{' '}
            {helpersIn(entries, plan).map((r, i) => (
              <span key={i} className="me-2 inline-block">
                {say('plan.tables.round', { at: typed(clock((dates[p]?.begins ?? 0) + r.at)), what: roundSaid(r) })}.
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}
