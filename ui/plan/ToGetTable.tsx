'use client';
import { figure } from '@/core/message';
import type { Plan } from '@/core/lesson/plan';
import { amountNeeded, Prices, Shelf, shelfKey, toGet } from '@/core/lesson/quantities';
import { NumberInput } from '../shared/NumberInput';
import { useSay } from '../words/Words';

interface Props {
  materials: Plan['materials'];
  shelf: Shelf;
  prices: Prices;
  onPrices: (prices: Prices) => void;
}

/** What is still to be got, in packs, and what that costs where a price is said. */
export function ToGetTable({ materials, shelf, prices, onPrices }: Props) {
  const say = useSay();
  const list = toGet(materials, shelf, prices);
  const total = list.reduce((s, g) => s + (g.cost ?? 0), 0);
  if (!list.length) return <p>{say('plan.prices.allThere')}</p>;
  const put = (key: string, part: Partial<Prices[string]>) => {
    const next = { ...(prices[key] ?? { pack: 1, cost: 0 }), ...part };
    const { [key]: _, ...rest } = prices;
    onPrices(next.cost === 0 && next.pack === 1 ? rest : { ...rest, [key]: next });
  };
  return (
    <>
      <table className="w-full text-sm">
        <thead className="text-xs [&_th]:text-start [&_th]:font-normal">
          <tr>
            {(['what', 'amount', 'pack', 'cost', 'packs', 'sum'] as const).map((c) => (
              <th key={c} scope="col" className="pe-2">
                {say(`plan.prices.${c}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {list.map(({ need, amount, packs, cost }) => {
            const key = shelfKey(need);
            const price = prices[key];
            return (
              <tr key={key} className="border-t border-base-300 align-top">
                <td className="py-0.5 pe-2">{say(need.name)}</td>
                <td className="py-0.5 pe-2 whitespace-nowrap">{say(amountNeeded({ unit: need.unit, amount }))}</td>
                {(['pack', 'cost'] as const).map((field) => (
                  <td key={field} className="py-0.5 pe-2">
                    <NumberInput
                      value={price?.[field] || null}
                      low={field === 'cost' ? 0 : 1}
                      high={field === 'cost' ? 1_000_000 : 100_000}
                      step={field === 'cost' ? 0.01 : 1}
                      optional
                      placeholder={field === 'pack' ? '1' : ''}
                      small="w-20"
                      label={say(`plan.prices.${field}Of`, { what: need.name })}
                      onSet={(n) => put(key, { [field]: n ?? (field === 'pack' ? 1 : 0) })}
                    />
                  </td>
                ))}
                <td className="py-0.5 pe-2">{packs ?? ''}</td>
                <td className="py-0.5">{cost === null ? '' : say(figure(cost, 2))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {total > 0 && <p className="mt-1 font-semibold">{say('plan.prices.total', { sum: figure(total, 2) })}</p>}
    </>
  );
}
