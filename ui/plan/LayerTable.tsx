'use client';
import { Layer, toolOf } from '@/core/lesson/laying';
import type { Plan } from '@/core/lesson/plan';
import { itemsIn } from '@/core/lesson/wishes';
import { amount, message } from '@/core/message';
import type { PlanDraft } from './lesson';
import { useSay } from '../words/Words';

/** The layers of the lesson as they lie over each other: with what, how thin, and the grey they make together. */
export function LayerTable({
  layers,
  plan,
  draft,
}: {
  layers: readonly Layer[];
  plan: Plan;
  draft: Pick<PlanDraft, 'medium' | 'erasing' | 'ink'>;
}) {
  const say = useSay();
  if (!layers.length) return null;
  return (
    <section className="break-inside-avoid">
      <h2 className="text-lg font-semibold">{say('plan.layers.title')}</h2>
      <table className="w-full text-sm">
        <thead className="text-xs [&_th]:text-start [&_th]:font-normal">
          <tr>
            {(['what', 'tool', 'thin', 'grey'] as const).map((c) => (
              <th key={c} scope="col" className="pe-2">
                {say(`plan.layers.${c}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {layers.map((l) => {
            const step = plan.steps[l.step];
            const tool = toolOf(itemsIn(draft, step.knows));
            return (
              <tr key={l.step} className="border-t border-base-300 align-top">
                <td className="py-0.5 pe-2">
                  {say(step.name)} <span className="text-xs">({say('plan.layers.known', { known: l.known ? 'yes' : 'no' })})</span>
                </td>
                <td className="py-0.5 pe-2">
                  {step.laying?.tool ? say.typed(step.laying.tool) : tool ? say(message(`items.${tool}`, { ink: draft.ink })) : ''}
                </td>
                <td className="py-0.5 pe-2 whitespace-nowrap">
                  {l.cover < 1 ? say('plan.layers.cover', { part: amount(l.cover, 'share') }) : say('plan.layers.water', { n: l.parts })}
                </td>
                <td className="py-0.5">
                  <span className="flex items-center gap-2">
                    <span aria-hidden className="size-5 flex-none border border-base-content/40" style={{ background: l.hex }} />
                    {say('plan.layers.lightness', { l: Math.round(l.lightness) })}
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="text-xs">{say('plan.layers.how')}</p>
    </section>
  );
}
