'use client';
import { useEffect, useState } from 'react';
import { figure, typed } from '@/core/message';
import type { Kit, MixAnswer } from '@/core/colour/mixing';
import { readingWorker } from '../shared/reading/client';
import { useSay } from '../words/Words';

/** Recipes for a palette colour from the teacher's own paints, and how far off each will be. */
export function Recipes({ target, kits, onClose }: { target: string; kits: (Kit & { id: string })[]; onClose: () => void }) {
  const say = useSay();
  const [kitId, setKitId] = useState(kits[0]?.id ?? '');
  const [answer, setAnswer] = useState<{ key: string; mix: MixAnswer } | null>(null);
  const kit = kits.find((k) => k.id === kitId);
  const key = `${kitId}:${target}`;
  useEffect(() => {
    if (!kit) return;
    let stale = false;
    void readingWorker()
      .mix(target, { name: kit.name, white: kit.white, paints: kit.paints })
      .then((mix) => !stale && setAnswer({ key, mix }));
    return () => {
      stale = true;
    };
  }, [key, kit, target]);
  const mix = answer?.key === key ? answer.mix : null;
  return (
    <section className="mt-3 border border-base-300 p-3" aria-live="polite">
      <div className="flex items-center justify-between">
        <h2 className="text-lg font-semibold">{say('colour.mixing')}</h2>
        <button type="button" className="link text-sm" onClick={onClose}>
          {say('shared.close')}
        </button>
      </div>
      {!kits.length && <p>{say('colour.noPaints')}</p>}
      {kits.length > 1 && (
        <select aria-label={say('colour.kit')} className="select select-sm w-full" value={kitId} onChange={(e) => setKitId(e.target.value)}>
          {kits.map((k) => (
            <option key={k.id} value={k.id}>
              {say.typed(k.name)}
            </option>
          ))}
        </select>
      )}
      {kit && <p className="text-sm">{say('colour.from', { kit: typed(kit.name) })}</p>}
      {kit && !mix && <p>{say('colour.trying')}</p>}
      {mix && (
        <>
          <p className="mt-1">{say(mix.words)}</p>
          <ol className="mt-2 grid gap-2">
            {mix.recipes.map((r) => (
              <li key={r.hex + r.parts.map((p) => p.paint).join()} className="flex items-center gap-3">
                <span aria-hidden className="flex h-10 w-16 shrink-0">
                  <span className="flex-1" style={{ background: target }} />
                  <span className="flex-1" style={{ background: r.hex }} />
                </span>
                <span className="flex-1 text-sm">
                  {r.parts.map((p) => {
                    const paint = kit!.paints.find((q) => q.name === p.paint);
                    return (
                      <span key={p.paint} className="block">
                        {say(paint?.pigment ? 'colour.partOf' : 'colour.part', {
                          n: p.parts,
                          paint: typed(p.paint),
                          pigment: typed(paint?.pigment ?? ''),
                        })}
                      </span>
                    );
                  })}
                </span>
                <span className="text-sm">{say('units.deltaE', { n: figure(r.deltaE, 1) })}</span>
              </li>
            ))}
          </ol>
          <p className="mt-2 text-xs">{say('colour.prediction')}</p>
        </>
      )}
    </section>
  );
}
