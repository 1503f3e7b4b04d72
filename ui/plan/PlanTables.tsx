'use client';
import { figure, typed } from '@/core/message';
import { Plan } from '@/core/lesson/plan';
import { amountNeeded, paintForPalette } from '@/core/lesson/quantities';
import type { PlanPage } from './usePlan';
import { useSay } from '../words/Words';

export function Warnings({ plan, onChoose }: { plan: Plan; onChoose?: (step: number) => void }) {
  const say = useSay();
  return (
    <section aria-labelledby="plan-warnings">
      <h2 id="plan-warnings" className="break-after-avoid text-lg font-semibold">
        {say('plan.warnings')}
      </h2>
      {plan.warnings.length === 0 && <p>{say('plan.nothingToMind')}</p>}
      <ul className="grid gap-2">
        {plan.warnings.map((w, i) => (
          <li key={i} className="grid grid-cols-[4.5rem_1fr] gap-2">
            <span className={`text-sm ${w.weight === 'spoils' ? 'font-bold' : w.weight === 'risks' ? 'font-semibold' : ''}`}>
              {say(`plan.weights.${w.weight}`)}
            </span>
            <span>
              {say(w.reason)} <em>{say(w.remedy)}</em>
              {w.step !== null && onChoose && (
                <button type="button" className="link ms-2 text-sm" onClick={() => onChoose(w.step!)}>
                  {say('plan.showStep')}
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What has to be on the tables, how much paint, and the cautions. */
export function PlanTables({
  plan,
  palette,
  sheetMm,
  classSize,
  measuredOn,
  paints,
  flowing,
}: {
  plan: Plan;
  palette: PlanPage['palette'];
  sheetMm: [number, number];
  classSize: number;
  measuredOn: string | null;
  /** Whether the medium is mixed from paint, so that the palette's amounts are of use. */
  paints: boolean;
  /** Set in the columns of a paper instead of side by side. */
  flowing?: boolean;
}) {
  const say = useSay();
  const mixed = paintForPalette(
    palette.filter((c) => !c.ground),
    sheetMm,
    classSize,
  );
  return (
    <div className={flowing ? '[&>*]:mb-4' : 'grid gap-x-8 gap-y-4 md:grid-cols-2 print:grid-cols-2'}>
      <section className="break-inside-avoid">
        <h2 className="text-lg font-semibold">{say('plan.materials')}</h2>
        <table className="w-full text-sm">
          <thead className="sr-only">
            <tr>
              <th scope="col">{say('plan.what')}</th>
              <th scope="col">{say('plan.much')}</th>
              <th scope="col">{say('plan.reckoned')}</th>
            </tr>
          </thead>
          <tbody>
            {plan.materials.map((m) => (
              <tr key={m.id} className="border-t border-base-300 align-top">
                <td className="py-0.5">{say(m.name)}</td>
                <td className="px-3 py-0.5 text-end whitespace-nowrap">{say(amountNeeded(m))}</td>
                <td className="py-0.5">{say(m.how)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-sm">{measuredOn ? say('plan.measuredOn', { work: typed(measuredOn) }) : say('plan.unmeasured')}</p>
      </section>
      <div className={flowing ? '[&>*]:mb-4' : 'grid content-start gap-4'}>
        {paints && mixed.length > 0 && (
          <section className="break-inside-avoid">
            <h2 className="text-lg font-semibold">{say('plan.colours')}</h2>
            <ul className="grid gap-1">
              {mixed.map((c) => (
                <li key={c.hex} className="flex items-center gap-2 text-sm">
                  <span aria-hidden className="size-5 border border-base-content/40" style={{ background: c.hex }} />
                  <span className="flex-1">{say(c.name)}</span>
                  <span>{say('units.ml', { n: figure(c.ml) })}</span>
                </li>
              ))}
            </ul>
            <p className="text-xs">{say('plan.coloursHow')}</p>
          </section>
        )}
        <section className="break-inside-avoid">
          <h2 className="text-lg font-semibold">{say('plan.cautions')}</h2>
          <ul className="ms-5 list-disc text-sm">
            {plan.cautions.map((c) => (
              <li key={c.key + JSON.stringify(c.values ?? '')}>{say(c)}</li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}
