import type { Bent, MannerFactor } from '@/core/proportion/manner';
import { MEASURE_WORDS } from '@/core/proportion/measures';
import { text } from '../text/en';

/** The master's factors against nature, biggest first, and what they make of this reference. */
export function Factors({ factors, bent }: { factors: MannerFactor[]; bent: Bent }) {
  const rows = factors
    .map((f) => ({ ...f, at: bent.measures.find((m) => m.measure === f.measure) }))
    .filter((f) => f.at)
    .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)));
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{text.make.factors}</h2>
      <table className="w-full text-sm">
        <thead>
          <tr className="text-left">
            <th scope="col">measure</th>
            <th scope="col" className="pl-2 text-right">
              factor
            </th>
            <th scope="col" className="pl-2 text-right">
              here
            </th>
            <th scope="col" className="pl-2 text-right">
              becomes
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.measure} className="border-t border-base-300">
              <td className="py-0.5">
                {MEASURE_WORDS[r.measure]} <span className="text-xs">({r.works === 1 ? '1 work' : `${r.works} works`})</span>
              </td>
              <td className="pl-2 text-right whitespace-nowrap">× {r.factor.toFixed(2)}</td>
              <td className="pl-2 text-right whitespace-nowrap">{r.at!.from.toFixed(2)}</td>
              <td className="pl-2 text-right whitespace-nowrap">
                {r.at!.reached.toFixed(2)}
                {Math.abs(Math.log(r.at!.reached / r.at!.asked)) > 0.03 && <span title={`asked: ${r.at!.asked.toFixed(2)}`}> *</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.some((r) => Math.abs(Math.log(r.at!.reached / r.at!.asked)) > 0.03) && (
        <p className="text-xs">* Not quite what the factor asks: two measures pull against each other here.</p>
      )}
    </section>
  );
}
