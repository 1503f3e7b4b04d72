'use client';
import { useMemo } from 'react';
import { message, typed } from '@/core/message';
import { Departure, departuresOf, MeasuredFigures } from '@/core/style/departures';
import { Rule } from '../rules/RuleList';
import { TickRule } from '../rules/TickRule';
import type { Kind } from '../shared/kinds';
import { Place } from '../shared/layers/Layers';
import { useSettled } from '../shared/useSettled';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  kind: Kind;
  /** The works of the group, each with its figures of this kind. */
  works: readonly MeasuredFigures[];
  /** Name of the group; null for all works. */
  group: string | null;
  rules: readonly Rule[];
}

/** What the works of a hand have in common against nature, surest first, and how they make the two sides of a pair unequal. */
export function Manner({ studyId, kind, works, group, rules }: Props) {
  const say = useSay();
  const calm = useSettled(works);
  const all = useMemo(() => departuresOf(kind.template, calm), [kind, calm]);
  if (!all.length) return null;
  const number = Math.max(...all.map((d) => d.works));
  const row = (d: Departure) => {
    const value = (v: number) => kind.value({ ...d, value: v });
    const measure = kind.measureSaid(d.name);
    const alike = say(value(d.low)) === say(value(d.high));
    const said = message(`manner.${d.works < 2 ? 'one' : alike ? 'same' : 'range'}`, {
      measure,
      low: value(d.low),
      high: value(d.high),
      mid: value(d.mid),
    });
    return (
      <Place key={d.name} as="li" of={kind.featureOf(d.name)} className="flex gap-2 border-t border-base-300 py-1">
        <TickRule
          studyId={studyId}
          feature={kind.featureOf(d.name)}
          ticked={rules.find((q) => q.feature === kind.featureOf(d.name))}
          said={said}
          evidence={message('manner.evidence', {
            n: d.works,
            figures: d.figures,
            group: group === null ? 'none' : typed(group),
            nature: value(d.nature),
            pair: d.pair ? 'yes' : 'no',
          })}
        />
        <span>
          {say(said)}{' '}
          <span className="text-xs">
            {say(`manner.sure.${d.sure}`, { nature: value(d.nature), pair: d.pair ? 'yes' : 'no' })}{' '}
            {say('manner.behind', { n: d.works, figures: d.figures })}
          </span>
        </span>
      </Place>
    );
  };
  const [pairs, rest] = [all.filter((d) => d.pair), all.filter((d) => !d.pair)];
  const told = rest.filter((d) => d.sure !== 'open');
  const open = rest.filter((d) => d.sure === 'open');
  return (
    <section className="mt-6" aria-labelledby="manner-title">
      <h2 id="manner-title" className="text-lg font-semibold">
        {say('manner.title', { n: number, group: group === null ? 'none' : typed(group) })}
      </h2>
      {number < 2 && (
        <p className="alert my-1 text-sm" role="status">
          {say('manner.oneWork')}
        </p>
      )}
      {told.length ? <ul className="text-sm">{told.map(row)}</ul> : <p className="text-sm">{say('manner.none')}</p>}
      {pairs.length > 0 && (
        <>
          <h3 className="mt-3 font-semibold">{say('manner.pairs')}</h3>
          <ul className="text-sm">{pairs.map(row)}</ul>
        </>
      )}
      {open.length > 0 && (
        <details className="mt-2 text-sm">
          <summary>{say('manner.open', { n: open.length })}</summary>
          <ul>{open.map(row)}</ul>
        </details>
      )}
    </section>
  );
}
