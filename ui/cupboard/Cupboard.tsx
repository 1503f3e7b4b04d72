'use client';
import { useEffect, useState } from 'react';
import type { Size } from '@/core/lesson/sheets';
import { KitSection } from './KitSection';
import type { KeptKit } from './kit';
import { MaterialForm } from './MaterialForm';
import { NewKit } from './NewKit';
import { Swatches } from './Swatches';
import { useSay } from '../words/Words';

/** Greys in the place of paints that are not there yet, thick and let down. */
const EMPTY = ['#303030', '#4a4a4a', '#626262', '#8a8a8a'].map((thick, i) => [thick, ['#8c8c8c', '#a0a0a0', '#b4b4b4', '#d0d0d0'][i]]);

/** What a teacher has: kits of colours, papers and tools, and beside them the one that is being made or changed. */
export function Cupboard({ kits, paper }: { kits: KeptKit[]; paper: Size }) {
  const say = useSay();
  const [open, setOpen] = useState<{ kit: string; material: string | null; swatches?: boolean } | null>(null);
  const [made, setMade] = useState<string | null>(null);
  const there = kits.some((k) => k.id === made);
  useEffect(() => {
    if (there) document.getElementById(`kit-${made}`)?.scrollIntoView({ block: 'start' });
  }, [there, made]);
  const kit = kits.find((k) => k.id === open?.kit) ?? null;
  // What was removed meanwhile, or by an undo, is no longer open.
  const material = kit?.materials.find((m) => m.id === open?.material) ?? null;
  const shut = () => setOpen(null);
  return (
    <div className="mx-auto grid w-full max-w-7xl gap-8 p-6 lg:grid-cols-[1fr_22rem]">
      <section className="min-w-0">
        <h1 className="mb-4 text-3xl font-semibold">{say('cupboard.title')}</h1>
        {kits.length === 0 && (
          <>
            <p className="max-w-prose text-lg">{say('cupboard.none')}</p>
            <ul aria-hidden className="mt-4 grid grid-cols-2 gap-4 opacity-60 sm:grid-cols-4">
              {EMPTY.map(([thick, thin]) => (
                <li key={thick} className="bench flex h-24 p-3">
                  <span className="flex-[3]" style={{ background: thick }} />
                  <span className="flex-[2]" style={{ background: thin }} />
                </li>
              ))}
            </ul>
          </>
        )}
        <div className="grid gap-8">
          {kits.map((k) => (
            <KitSection
              key={k.id}
              kit={k}
              current={open?.kit === k.id ? open.material : null}
              onOpen={(id) => setOpen({ kit: k.id, material: id })}
              onSwatches={() => setOpen({ kit: k.id, material: null, swatches: true })}
            />
          ))}
        </div>
        {kits.length > 0 && <p className="mt-6 max-w-prose text-sm">{say('cupboard.labels')}</p>}
      </section>
      <aside className="lg:sticky lg:top-4 lg:max-h-[calc(100dvh-2rem)] lg:self-start lg:overflow-y-auto">
        {kit && open?.swatches ? (
          <Swatches key={kit.id} kit={kit} paper={paper} onClose={shut} />
        ) : kit && (material || open?.material === null) ? (
          <MaterialForm
            key={material ? `${material.id}:${material.version}` : `new:${kit.id}:${kit.materials.length}`}
            kit={kit}
            material={material}
            onClose={shut}
          />
        ) : (
          <NewKit onMade={(id, empty) => (setMade(id), empty && setOpen({ kit: id, material: null }))} />
        )}
      </aside>
    </div>
  );
}
