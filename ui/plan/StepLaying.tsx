'use client';
import { Layer, Laying, MOST_PARTS, NO_LAYING } from '@/core/lesson/laying';
import type { PlanStep } from '@/core/lesson/wishes';
import { NumberInput } from '../shared/NumberInput';
import type { PlanPage } from './lesson';
import { useSay } from '../words/Words';

interface Props {
  step: PlanStep;
  palette: PlanPage['palette'];
  /** The colours laid here, as set or guessed. */
  colours: PlanPage['palette'];
  layer: Layer | null;
  onSet: (step: PlanStep) => void;
}

/** How the master laid this layer, known or guessed: with what, how thin, in which colours; and the grey it comes to with all beneath. */
export function StepLaying({ step, palette, colours, layer, onSet }: Props) {
  const say = useSay();
  const laying = step.laying ?? NO_LAYING;
  const set = (part: Partial<Laying>) => {
    const next = { ...laying, ...part };
    const nothing = !next.tool && next.parts === null && !next.known && next.colours === null;
    onSet({ ...step, laying: nothing ? null : next });
  };
  const laid = new Set(colours.map((c) => c.hex));
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold">{say('plan.layer')}</legend>
      <div className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-1">
          {say('plan.layerTool')}
          <input
            key={laying.tool}
            className="input input-xs w-32"
            maxLength={80}
            defaultValue={laying.tool}
            onBlur={(e) => e.target.value.trim() !== laying.tool && set({ tool: e.target.value.trim() })}
          />
        </label>
        <label className="flex items-center gap-1">
          {say('plan.layerParts')}
          <NumberInput
            value={laying.parts}
            low={0}
            high={MOST_PARTS}
            optional
            placeholder={layer ? String(layer.parts) : ''}
            small="w-14"
            onSet={(parts) => set({ parts })}
          />
        </label>
        <select
          className="select select-xs w-28"
          aria-label={say('plan.layer')}
          value={laying.known ? 'known' : 'guessed'}
          onChange={(e) => set({ known: e.target.value === 'known' })}
        >
          {(['guessed', 'known'] as const).map((k) => (
            <option key={k} value={k}>
              {say(`plan.layerKnown.${k}`)}
            </option>
          ))}
        </select>
        {layer && (
          <span className="flex items-center gap-1">
            <span aria-hidden className="size-5 border border-base-content/40" style={{ background: layer.hex }} />
            {say('plan.layers.lightness', { l: Math.round(layer.lightness) })}
          </span>
        )}
      </div>
      {palette.length > 0 && (
        <div>
          <span>{say('plan.layerColours')}</span>{' '}
          {laying.colours === null ? (
            <span className="text-xs">({say('plan.layerColoursGuess')})</span>
          ) : (
            <button type="button" className="link text-xs" onClick={() => set({ colours: null })}>
              {say('plan.layerColoursGuess')}
            </button>
          )}
          <ul className="mt-1 flex flex-wrap gap-x-3 gap-y-1">
            {palette.map((c) => (
              <li key={c.hex}>
                <label className="flex items-center gap-1">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={laid.has(c.hex)}
                    onChange={(e) =>
                      set({ colours: palette.map((p) => p.hex).filter((h) => (h === c.hex ? e.target.checked : laid.has(h))) })
                    }
                  />
                  <span aria-hidden className="size-4 border border-base-content/40" style={{ background: c.hex }} />
                  {say(c.name)}
                </label>
              </li>
            ))}
          </ul>
        </div>
      )}
    </fieldset>
  );
}
