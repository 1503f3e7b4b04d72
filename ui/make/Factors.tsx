'use client';
import { restOnOneWork, type Bent, type MannerFactor } from '@/core/proportion/manner';
import { measureName, measureOf } from '@/core/proportion/measures';
import type { TemplateName } from '@/core/proportion/templates';
import { measureWithUnit } from '@/core/style/words';
import { useSay } from '../words/Words';

/** The master's factors against nature, biggest first, and what they make of this reference. */
export function Factors({ template, factors, bent }: { template: TemplateName; factors: MannerFactor[]; bent: Bent }) {
  const say = useSay();
  const withUnits = (name: string, value: number) => measureWithUnit({ template, name, value, unit: measureOf(template, name)!.unit });
  const withUnit = (name: string, value: number) => say(withUnits(name, value));
  const rows = factors
    .map((f) => ({ ...f, at: bent.measures.find((m) => m.measure === f.measure) }))
    .filter((f) => f.at)
    .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)));
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('make.factors')}</h2>
      {restOnOneWork(factors) && (
        <p className="alert text-sm" role="status">
          {say('make.oneWork')}
        </p>
      )}
      <table className="w-full text-sm">
        <thead>
          <tr className="text-start">
            <th scope="col">{say('make.columns.measure')}</th>
            <th scope="col" className="ps-2 text-end">
              {say('make.columns.factor')}
            </th>
            <th scope="col" className="ps-2 text-end">
              {say('make.columns.here')}
            </th>
            <th scope="col" className="ps-2 text-end">
              {say('make.columns.becomes')}
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.measure} className="border-t border-base-300">
              <td className="py-0.5">
                {say(measureName(template, r.measure))} <span className="text-xs">{say('make.fromWorks', { n: r.works })}</span>
              </td>
              <td className="ps-2 text-end whitespace-nowrap">{say.amount(r.factor, 'times')}</td>
              <td className="ps-2 text-end whitespace-nowrap">{withUnit(r.measure, r.at!.from)}</td>
              <td className="ps-2 text-end whitespace-nowrap">
                {withUnit(r.measure, r.at!.reached)}
                {Math.abs(Math.log(r.at!.reached / r.at!.asked)) > 0.03 && (
                  <span title={say('make.asked', { value: withUnits(r.measure, r.at!.asked) })}> *</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.some((r) => Math.abs(Math.log(r.at!.reached / r.at!.asked)) > 0.03) && <p className="text-xs">{say('make.notQuite')}</p>}
    </section>
  );
}
