'use client';
import { useMemo } from 'react';
import { amount, message } from '@/core/message';
import type { Landmarks } from '@/core/proportion/align';
import { Follows, followsOf } from '@/core/proportion/follows';
import { mannerFactors, restOnOneWork } from '@/core/proportion/manner';
import { measureName } from '@/core/proportion/measures';
import type { TemplateName } from '@/core/proportion/templates';
import { useSay } from '../words/Words';
import type { Source } from './Checked';

const ORDER = ['manner', 'further', 'open', 'neither'] as const satisfies readonly Follows['as'][];

/** Of an original beside its own reference: which departures follow the manner, which follow neither, and what the manner would still ask. */
export function Followed({
  template,
  reference,
  drawing,
  sources,
}: {
  template: TemplateName;
  reference: Landmarks;
  drawing: Landmarks;
  /** Those of works say what the manner is. */
  sources: readonly Source[];
}) {
  const say = useSay();
  const { factors, follows } = useMemo(() => {
    const works = new Map<string, Landmarks[]>();
    for (const s of sources) if (s.said.of === 'work') works.set(s.id, [...(works.get(s.id) ?? []), s.points]);
    const factors = mannerFactors(template, [...works.values()]);
    return { factors, follows: followsOf(template, reference, drawing, factors) };
  }, [template, reference, drawing, sources]);
  if (!factors.length) return null;
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('follows.title')}</h2>
      {restOnOneWork(factors) && <p className="alert text-sm">{say('make.oneWork')}</p>}
      {follows.length === 0 && <p className="text-sm">{say('follows.none')}</p>}
      {ORDER.map((as) => {
        const list = follows.filter((f) => f.as === as);
        return (
          list.length > 0 && (
            <div key={as} className="mt-2">
              <h3 className="font-semibold">{say(`follows.as.${as}`)}</h3>
              <ul className="list-disc ps-5 text-sm">
                {list.map((f) => (
                  <li key={f.measure}>
                    {say(
                      message(as === 'neither' && Math.abs(Math.log(f.asked)) < 0.06 ? 'follows.unasked' : 'follows.one', {
                        measure: measureName(template, f.measure),
                        times: amount(f.times, 'times'),
                        asked: amount(f.asked, 'times'),
                      }),
                    )}
                  </li>
                ))}
              </ul>
            </div>
          )
        );
      })}
    </section>
  );
}
