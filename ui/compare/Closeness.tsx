'use client';
import type { Comparison } from '@/core/style/compare';
import { figure, several } from '@/core/message';
import type { FeatureGroup } from '@/core/style/features';
import { groupName } from '@/core/style/words';
import { useSay } from '../words/Words';

/** How near the piece comes, group by group, and how much of it is the student's own. */
export function Closeness({ comparison, led }: { comparison: Comparison; led: boolean }) {
  const say = useSay();
  const groups = Object.entries(comparison.closeness.groups) as [FeatureGroup, number | null][];
  const none = groups.filter(([, v]) => v === null).map(([g]) => groupName(g));
  const own = comparison.ownInvention;
  return (
    <section className="mt-1">
      <p className="text-lg">
        {say(led ? 'compare.closenessLed' : 'compare.closeness', {
          closeness: figure(comparison.closeness.overall ?? 0),
          own: figure(own),
        })}
      </p>
      <p className="text-sm">{say(`compare.layout.${led ? 'led' : own < 25 ? 'near' : own > 60 ? 'own' : 'between'}`)}</p>
      <dl className="mt-2 grid grid-cols-[6rem_1fr_2rem] items-center gap-x-2 text-sm">
        {groups
          .filter(([, v]) => v !== null)
          .map(([g, v]) => (
            <div key={g} className="contents">
              <dt>{say(groupName(g))}</dt>
              <dd className="h-2 border border-base-content">
                <span className="block h-full bg-base-content" style={{ width: `${v}%` }} />
              </dd>
              <dd className="text-end">{say.number(v!)}</dd>
            </div>
          ))}
      </dl>
      {none.length > 0 && <p className="text-sm">{say('compare.leftOut', { groups: several(none) })}</p>}
    </section>
  );
}
