'use client';
import { Camera, Copy, FileDown, Plus, Trash2 } from 'lucide-react';
import { amount, typed } from '@/core/message';
import { MATERIAL_KINDS, mixable } from '@/core/colour/materials';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useVersioned } from '../shared/server/useVersioned';
import { TypedInput } from '../shared/typing/Typed';
import type { KeptKit, KeptMaterial } from './kit';
import { Swatch } from './Swatch';
import { useSay } from '../words/Words';

const FILES = ['json', 'csv', 'svg'] as const;

interface Props {
  kit: KeptKit;
  /** Id of the material whose form is open. */
  current: string | null;
  /** Opens a material's form; null for that of a new one. */
  onOpen: (id: string | null) => void;
  /** Opens the reading of its colours from a photograph. */
  onSwatches: () => void;
}

/** One kit: its name, what it is lightened with, and what lies in it, kind by kind. */
export function KitSection({ kit, current, onOpen, onSwatches }: Props) {
  const say = useSay();
  const path = `/api/kits/${kit.id}`;
  const { act, save, busy, problem } = useVersioned(path, kit.version);
  const { paints } = mixable(kit);
  return (
    <section id={`kit-${kit.id}`} aria-label={say.typed(kit.name)} className="scroll-mt-4 border-t-2 border-base-content/60 pt-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="w-full text-xl font-semibold">
          <TypedInput
            place={`kit:${kit.id}:name`}
            stored={kit.name}
            aria-label={say('cupboard.kitNamed')}
            maxLength={120}
            className="quiet-field"
            skip={(name) => !name.trim()}
            onSave={(name) => save({ name })}
          />
        </h2>
        <span>{say('cupboard.holds', { n: kit.materials.length })}</span>
        {paints.length > 0 && (
          <label className="flex items-center gap-2">
            {say('cupboard.white')}
            <select
              className="select select-sm w-auto"
              value={kit.white ?? ''}
              disabled={busy}
              onChange={(e) => void save({ white: e.target.value || null })}
            >
              <option value="">{say('cupboard.water')}</option>
              {paints.map((p) => (
                <option key={p.name} value={p.name}>
                  {say.typed(p.name)}
                </option>
              ))}
            </select>
          </label>
        )}
        <span className="flex-1" />
        <button type="button" className="btn btn-sm" onClick={() => onOpen(null)}>
          <Plus aria-hidden className="size-4" /> {say('cupboard.add')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onSwatches}>
          <Camera aria-hidden className="size-4" /> {say('swatches.open')}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          disabled={busy}
          onClick={() => void act(() => send('POST', '/api/kits', { copyOf: kit.id }))}
        >
          <Copy aria-hidden className="size-4" /> {say('cupboard.copy')}
        </button>
        <details className="dropdown dropdown-end">
          <summary className="btn btn-sm">
            <FileDown aria-hidden className="size-4" /> {say('cupboard.save')}
          </summary>
          <ul className="dropdown-content z-20 grid min-w-40 border border-base-300 bg-base-100 p-2">
            {FILES.map((as) => (
              <li key={as}>
                <a className="block p-1 hover:bg-base-200" href={`${path}?as=${as}`} download>
                  {say(`cupboard.files.${as}`)}
                </a>
              </li>
            ))}
          </ul>
        </details>
        <button type="button" className="btn btn-sm" disabled={busy} onClick={() => void act(() => send('DELETE', path))}>
          <Trash2 aria-hidden className="size-4" /> {say('cupboard.remove')}
        </button>
      </div>
      <Notice said={problem} />
      <div className="mt-3 flex flex-wrap gap-x-8 gap-y-4">
        {MATERIAL_KINDS.map((kind) => {
          const here = kit.materials.filter((m) => m.kind === kind);
          return (
            here.length > 0 && (
              <div key={kind}>
                <h3 className="font-semibold">{say(`materials.many.${kind}`)}</h3>
                <ul className="mt-1 flex flex-wrap gap-3">
                  {here.map((m) => (
                    <li key={m.id}>
                      <button
                        type="button"
                        aria-label={say('cupboard.open', { name: typed(m.name) })}
                        aria-pressed={current === m.id}
                        onClick={() => onOpen(m.id)}
                        className="pickable grid w-32 gap-1"
                      >
                        <Swatch material={m} />
                        <span className="leading-tight">{say.typed(m.name)}</span>
                        <span className="text-xs">
                          <Known material={m} />
                        </span>
                      </button>
                    </li>
                  ))}
                </ul>
              </div>
            )
          );
        })}
      </div>
    </section>
  );
}

/** What is known of a material, in a line: pigment and tint, the lines it draws, or the sheet's size. */
function Known({ material: { kind, pigment, tint, properties: p } }: { material: KeptMaterial }) {
  const say = useSay();
  const mm = (n: number) => amount(n, 'mm');
  const parts = [
    pigment && say.typed(pigment),
    tint && say('cupboard.tint', { paint: tint.parts[0], white: tint.parts[1] }),
    p.leastMm && p.mostMm && say('materials.lines', { least: mm(p.leastMm), most: mm(p.mostMm) }),
    kind === 'paper' && p.widthMm && p.heightMm && say('materials.sheet', { width: mm(p.widthMm), height: mm(p.heightMm) }),
    p.gsm && say('materials.weight', { n: p.gsm }),
  ].filter(Boolean);
  return <>{parts.join(' · ')}</>;
}
