import type { Comparison } from '@/core/style/compare';
import type { FeatureGroup } from '@/core/style/features';

export const GROUP_NAMES: Record<FeatureGroup, string> = {
  proportion: 'Proportion',
  marks: 'Marks',
  colour: 'Colour',
  value: 'Values',
  composition: 'Placing',
};

/** How near the piece comes, group by group, and how much of it is the student's own. */
export function Closeness({ comparison }: { comparison: Comparison }) {
  const groups = Object.entries(comparison.closeness.groups) as [FeatureGroup, number | null][];
  const none = groups.filter(([, v]) => v === null).map(([g]) => GROUP_NAMES[g].toLowerCase());
  const own = comparison.ownInvention;
  return (
    <section className="mt-1">
      <p className="text-lg">
        Closeness {Math.round(comparison.closeness.overall)} of 100; own invention {Math.round(own)}.
      </p>
      <p className="text-sm">
        {own < 25
          ? 'The layout comes very near to one of the master’s works.'
          : own > 60
            ? 'The layout is the student’s own.'
            : 'The layout shares something with the master’s works.'}
      </p>
      <dl className="mt-2 grid grid-cols-[6rem_1fr_2rem] items-center gap-x-2 text-sm">
        {groups
          .filter(([, v]) => v !== null)
          .map(([g, v]) => (
            <div key={g} className="contents">
              <dt>{GROUP_NAMES[g]}</dt>
              <dd className="h-2 border border-base-content">
                <span className="block h-full bg-base-content" style={{ width: `${v}%` }} />
              </dd>
              <dd className="text-right">{Math.round(v!)}</dd>
            </div>
          ))}
      </dl>
      {none.length > 0 && <p className="text-sm">Left out, with nothing to compare: {none.join(', ')}.</p>}
    </section>
  );
}
