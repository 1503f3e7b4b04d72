'use client';
import { figure, message, several, typed } from '@/core/message';
import { Plan } from '@/core/lesson/plan';
import { canvasPx } from '@/core/lesson/sheets';
import { batchesOf } from '@/core/lesson/colourOrder';
import { amountNeeded, Coats, coatOf, mixedOf, Needed, paintForPalette, Shelf, shelfKey, toGet } from '@/core/lesson/quantities';
import { mediumOf } from '@/core/lesson/media';
import { NumberInput } from '../shared/NumberInput';
import type { PlanDraft, PlanPage } from './lesson';
import { useSay } from '../words/Words';

/** What is to be minded: all of it, or only what is about the whole lesson and no step. */
export function Warnings({ plan, only }: { plan: Plan; only?: 'whole' }) {
  const say = useSay();
  const shown = only ? plan.warnings.filter((w) => w.step === null) : plan.warnings;
  if (only && !shown.length) return null;
  return (
    <section aria-labelledby="plan-warnings">
      <h2 id="plan-warnings" className={only ? 'sr-only' : 'break-after-avoid text-lg font-semibold'}>
        {say('plan.warnings')}
      </h2>
      {shown.length === 0 && <p>{say('plan.nothingToMind')}</p>}
      <ul className="grid gap-2">
        {shown.map((w, i) => (
          <li key={i} className="grid grid-cols-[4.5rem_1fr] gap-2">
            <span className={`text-sm ${w.weight === 'spoils' ? 'font-bold' : w.weight === 'risks' ? 'font-semibold' : ''}`}>
              {say(`plan.weights.${w.weight}`)}
            </span>
            <span>
              {say(w.reason)} <em>{say(w.remedy)}</em>
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
  colours,
  sheetMm,
  draft,
  measuredOn,
  paints,
  onCoats,
  onShelf,
  flowing,
}: {
  plan: Plan;
  palette: PlanPage['palette'];
  /** The colours laid in each step. */
  colours: readonly PlanPage['palette'][];
  sheetMm: [number, number];
  draft: Pick<PlanDraft, 'classSize' | 'coats' | 'medium' | 'shelf'>;
  measuredOn: string | null;
  /** Whether the medium is mixed from paint, so that the palette's amounts are of use. */
  paints: boolean;
  /** Changes what a coat takes; it cannot be changed on paper. */
  onCoats?: (coats: Coats) => void;
  onShelf?: (shelf: Shelf) => void;
  /** Set in the columns of a paper instead of side by side. */
  flowing?: boolean;
}) {
  const say = useSay();
  const { classSize, coats, medium, shelf } = draft;
  const missing = toGet(plan.materials, shelf, {});
  const looked = Object.keys(shelf).length > 0;
  // Washes are thin, body colour is thick: what a coat takes is the material's own.
  const paint = mediumOf(medium).instead?.gouache ?? (['pen-and-wash', 'watercolour'].includes(medium) ? 'watercolour' : 'gouache');
  const wanted = new Set(mixedOf(palette, plan.inked).map((c) => c.hex));
  const mixed = batchesOf(plan.steps, colours)
    .filter((b) => wanted.has(b.colour.hex))
    .map((b) => ({ ...b, need: paintForPalette([b.colour], sheetMm, classSize, coatOf(paint, coats), b.coats)[0] }));
  return (
    <div className={flowing ? '[&>*]:mb-4' : 'grid gap-x-8 gap-y-4 md:grid-cols-2 print:grid-cols-2'}>
      <section className="break-inside-avoid">
        <h2 className="text-lg font-semibold">{say('plan.materials')}</h2>
        <table className="w-full text-sm">
          <thead className={onShelf ? 'text-xs [&_th]:text-start [&_th]:font-normal' : 'sr-only'}>
            <tr>
              <th scope="col">{say('plan.what')}</th>
              <th scope="col" className="px-3">
                {say('plan.much')}
              </th>
              {onShelf && (
                <th scope="col" className="px-2">
                  {say('plan.onShelf')}
                </th>
              )}
              <th scope="col">{say('plan.reckoned')}</th>
            </tr>
          </thead>
          <tbody>
            {plan.materials.map((m) => (
              <tr key={m.id ?? JSON.stringify(m.name)} className="border-t border-base-300 align-top">
                <td className="py-0.5">{say(m.name)}</td>
                <td className="px-3 py-0.5 text-end whitespace-nowrap">{say(amountNeeded(m))}</td>
                {onShelf && (
                  <td className="px-2 py-0.5">
                    <Have need={m} shelf={shelf} onShelf={onShelf} />
                  </td>
                )}
                <td className="py-0.5">
                  {say(m.how)}
                  {m.coat !== null && m.id !== null && <Coat need={m} coats={coats} onCoats={onCoats} />}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {looked && !onShelf && (
          <p className="mt-1 text-sm">
            {missing.length
              ? say('plan.toGet', {
                  things: several(
                    missing.map(({ need, amount }) =>
                      message('plan.thing', { amount: amountNeeded({ unit: need.unit, amount }), what: need.name }),
                    ),
                  ),
                })
              : say('plan.allThere')}
          </p>
        )}
        {onShelf && !looked && <p className="mt-1 text-sm">{say('plan.shelfHow')}</p>}
        {mediumOf(medium).screen && (
          <p className="mt-1 text-sm">{say('plan.canvas', { width: canvasPx(sheetMm[0]), height: canvasPx(sheetMm[1]) })}</p>
        )}
        <p className="mt-1 text-sm">{measuredOn ? say('plan.measuredOn', { work: typed(measuredOn) }) : say('plan.unmeasured')}</p>
      </section>
      <div className={flowing ? '[&>*]:mb-4' : 'grid content-start gap-4'}>
        {paints && mixed.length > 0 && (
          <section className="break-inside-avoid">
            <h2 className="text-lg font-semibold">{say('plan.colours')}</h2>
            <ul className="grid gap-1">
              {mixed.map(({ need, steps }) => (
                <li key={need.hex} className="flex items-center gap-2 text-sm">
                  <span aria-hidden className="size-5 flex-none border border-base-content/40" style={{ background: need.hex }} />
                  <span className="flex-1">
                    {say(need.name)}{' '}
                    <span className="text-xs">
                      {say(steps.length > 1 ? 'plan.batch' : 'plan.coloursAt', {
                        steps: several(steps.map((i) => message('plan.quoted', { name: plan.steps[i].name }))),
                      })}
                    </span>
                  </span>
                  <span className="whitespace-nowrap">{say('units.ml', { n: figure(need.ml) })}</span>
                </li>
              ))}
            </ul>
            <p className="text-xs">{say('plan.coloursHow')}</p>
          </section>
        )}
        <Cautions plan={plan} />
      </div>
    </div>
  );
}

/** The cautions of a lesson, each once. */
export function Cautions({ plan }: { plan: Plan }) {
  const say = useSay();
  return (
    <section className="break-inside-avoid">
      <h2 className="text-lg font-semibold">{say('plan.cautions')}</h2>
      <ul className="ms-5 list-disc text-sm">
        {plan.cautions.map((c, i) => (
          <li key={i}>{say(c)}</li>
        ))}
      </ul>
    </section>
  );
}

/** What one coat of an A4 sheet was reckoned to take: a figure of common practice, until a teacher knows better. */
function Coat({ need, coats, onCoats }: { need: Needed; coats: Coats; onCoats?: (coats: Coats) => void }) {
  const say = useSay();
  const id = need.id!;
  if (!onCoats) return <span className="block text-xs">{say('plan.coat', { n: figure(need.coat!, 1) })}</span>;
  return (
    <label className="mt-0.5 flex items-center gap-1 text-xs">
      {say('plan.coatField')}
      <NumberInput
        value={need.coat}
        low={0.1}
        high={200}
        step={0.1}
        small="w-16"
        onSet={(ml) => ml !== null && onCoats({ ...coats, [id]: ml })}
      />
      {say('plan.ml')}
    </label>
  );
}

/** How much of it is on the shelf. */
function Have({ need, shelf, onShelf }: { need: Needed; shelf: Shelf; onShelf: (shelf: Shelf) => void }) {
  const say = useSay();
  const key = shelfKey(need);
  return (
    <NumberInput
      value={shelf[key] ?? null}
      low={0}
      high={100_000}
      optional
      small="w-16"
      label={say('plan.onShelfOf', { what: need.name })}
      onSet={(have) => {
        const { [key]: _before, ...rest } = shelf;
        onShelf(have === null ? rest : { ...rest, [key]: have });
      }}
    />
  );
}
