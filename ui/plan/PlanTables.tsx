import { AMOUNT_WORDS, Plan } from '@/core/lesson/plan';
import { paintForPalette } from '@/core/lesson/quantities';
import { text } from '../text/en';
import type { PlanPage } from './usePlan';

export function Warnings({ plan, onChoose }: { plan: Plan; onChoose?: (step: number) => void }) {
  return (
    <section aria-labelledby="plan-warnings">
      <h2 id="plan-warnings" className="text-lg font-semibold">
        {text.plan.warnings}
      </h2>
      {plan.warnings.length === 0 && <p>{text.plan.nothingToMind}</p>}
      <ul className="grid gap-2">
        {plan.warnings.map((w, i) => (
          <li key={i} className="grid grid-cols-[4.5rem_1fr] gap-2">
            <span className={`text-sm ${w.weight === 'spoils' ? 'font-bold' : w.weight === 'risks' ? 'font-semibold' : ''}`}>
              {text.plan.weights[w.weight]}
            </span>
            <span>
              {w.reason} <em>{w.remedy}</em>
              {w.step !== null && onChoose && (
                <button type="button" className="link ml-2 text-sm" onClick={() => onChoose(w.step!)}>
                  show the step
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
}: {
  plan: Plan;
  palette: PlanPage['palette'];
  sheetMm: [number, number];
  classSize: number;
  measuredOn: string | null;
  /** Whether the medium is mixed from paint, so that the palette's amounts are of use. */
  paints: boolean;
}) {
  const mixed = paintForPalette(
    palette.filter((c) => !c.ground),
    sheetMm,
    classSize,
  );
  return (
    <div className="grid gap-x-8 gap-y-4 md:grid-cols-2 print:grid-cols-2">
      <section className="break-inside-avoid">
        <h2 className="text-lg font-semibold">{text.plan.materials}</h2>
        <table className="w-full text-sm">
          <thead className="sr-only">
            <tr>
              <th scope="col">what</th>
              <th scope="col">how many or how much</th>
              <th scope="col">how it is reckoned</th>
            </tr>
          </thead>
          <tbody>
            {plan.materials.map((m) => (
              <tr key={m.id} className="border-t border-base-300 align-top">
                <td className="py-0.5">{m.name}</td>
                <td className="px-3 py-0.5 text-right whitespace-nowrap">{AMOUNT_WORDS[m.unit](m.amount)}</td>
                <td className="py-0.5">{m.how}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-1 text-sm">
          {measuredOn ? text.plan.measuredOn(measuredOn) : text.plan.unmeasured} Check against a trial of your own.
        </p>
      </section>
      <div className="grid content-start gap-4">
        {paints && mixed.length > 0 && (
          <section className="break-inside-avoid">
            <h2 className="text-lg font-semibold">{text.plan.colours}</h2>
            <ul className="grid gap-1">
              {mixed.map((c) => (
                <li key={c.hex} className="flex items-center gap-2 text-sm">
                  <span aria-hidden className="size-5 border border-base-content/40" style={{ background: c.hex }} />
                  <span className="flex-1">{c.name}</span>
                  <span>{c.ml} ml</span>
                </li>
              ))}
            </ul>
            <p className="text-xs">{text.plan.coloursHow}</p>
          </section>
        )}
        <section className="break-inside-avoid">
          <h2 className="text-lg font-semibold">{text.plan.cautions}</h2>
          <ul className="ml-5 list-disc text-sm">
            {plan.cautions.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}

/** Media in which the measured palette is mixed from paint. */
export const MIXED_FROM_PAINT = new Set(['gouache', 'watercolour', 'acrylic', 'pen-and-wash']);
