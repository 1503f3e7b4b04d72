'use client';
import type { Kit } from '@/core/colour/mixing';
import { useSay } from '../words/Words';

/** Greys in the place of paints that are not there yet, thick and let down. */
const EMPTY = ['#303030', '#4a4a4a', '#626262', '#8a8a8a'].map((thick, i) => [thick, ['#8c8c8c', '#a0a0a0', '#b4b4b4', '#d0d0d0'][i]]);

/** The paints a teacher has, as thick paint and let down with white. */
export function Cupboard({ kits }: { kits: (Kit & { id: string })[] }) {
  const say = useSay();
  return (
    <div className="mx-auto w-full max-w-6xl p-6">
      <h1 className="mb-4 text-3xl font-semibold">{say('cupboard.title')}</h1>
      {kits.length === 0 && (
        <>
          <p className="max-w-prose text-lg">{say('cupboard.none')}</p>
          <ul aria-hidden className="mt-4 grid grid-cols-2 gap-4 opacity-60 sm:grid-cols-3 lg:grid-cols-4">
            {EMPTY.map(([thick, thin]) => (
              <li key={thick} className="bench flex h-32 p-3">
                <span className="flex-[3]" style={{ background: thick }} />
                <span className="flex-[2]" style={{ background: thin }} />
              </li>
            ))}
          </ul>
        </>
      )}
      {kits.map((k) => (
        <section key={k.id} className="border-t-2 border-base-content/60 pt-2">
          <h2 className="text-xl font-semibold">{say.typed(k.name)}</h2>
          <ul className="mt-3 grid grid-cols-2 gap-4 sm:grid-cols-3 lg:grid-cols-4">
            {k.paints.map((p) => (
              <li key={p.name} className="grid gap-2">
                <span aria-hidden className="bench flex h-32 p-3">
                  <span className="flex-[3]" style={{ background: p.masstone }} />
                  {p.tint && <span className="flex-[2]" style={{ background: p.tint.hex }} />}
                </span>
                <span>
                  {say.typed(p.name)}
                  <span className="block text-sm">{say.typed(p.pigment)}</span>
                  {p.tint && (
                    <span className="block text-xs">{say('cupboard.tint', { paint: p.tint.parts[0], white: p.tint.parts[1] })}</span>
                  )}
                </span>
              </li>
            ))}
          </ul>
          <p className="mt-4 max-w-prose text-sm">{say('cupboard.labels')}</p>
        </section>
      ))}
    </div>
  );
}
