'use client';
import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import { ReactNode, useState } from 'react';
import { figure, typed } from '@/core/message';
import { coloursIn, CupboardKit, mixable, richest } from '@/core/colour/materials';
import { Notice } from '../shared/Notice';
import { readingWorker } from '../shared/reading/client';
import { problemOf } from '../shared/request';
import { useSay } from '../words/Words';

type OwnKit = CupboardKit & { id: string };

/** What colours lie on: white paper, the bare sheet of the work, or a paper's own tone. */
const [WHITE, SHEET] = ['white', 'sheet'];

interface Props {
  target: string;
  kits: OwnKit[];
  /** The bare sheet of the work, over which colours are laid; null where none is seen. */
  sheet: string | null;
  onClose: () => void;
}

/** Recipes for a palette colour from the teacher's own cupboard, and how far off each will be: mixed, or laid as they are. */
export function Recipes({ target, kits, sheet, onClose }: Props) {
  const say = useSay();
  const able = kits.filter((k) => coloursIn(k).mixed + coloursIn(k).laid > 0);
  const [kitId, setKitId] = useState(() => richest(kits)?.id ?? '');
  const kit = able.find((k) => k.id === kitId);
  // Papers of the cupboard, by their tone: what a wash or a pen lies on changes what it gives.
  const papers = kits.flatMap((k) =>
    k.materials.flatMap(({ kind, name, masstone }) => (kind === 'paper' && masstone ? [{ name, hex: masstone }] : [])),
  );
  const [over, setOver] = useState(sheet === null ? WHITE : SHEET);
  const below = over === WHITE ? null : over === SHEET ? sheet : over;
  const onSheet = kit !== undefined && (mixable(kit).white === null || coloursIn(kit).laid > 0);
  return (
    <section className="mt-3 border border-base-300 p-3" aria-live="polite">
      <div className="flex items-center justify-between">
        <h2 className="text-lg font-semibold">{say('colour.mixing')}</h2>
        <button type="button" className="link text-sm" onClick={onClose}>
          {say('shared.close')}
        </button>
      </div>
      {!able.length && <p>{say('colour.noPaints')}</p>}
      {able.length > 1 && (
        <select aria-label={say('colour.kit')} className="select w-full" value={kitId} onChange={(e) => setKitId(e.target.value)}>
          {able.map((k) => (
            <option key={k.id} value={k.id}>
              {say.typed(k.name)}
            </option>
          ))}
        </select>
      )}
      {kit && able.length === 1 && <p className="text-sm">{say('colour.from', { kit: typed(kit.name) })}</p>}
      {onSheet && (
        <label className="mt-2 flex flex-wrap items-center gap-2 text-sm">
          {say('colour.lyingOn')}
          <select className="select select-sm w-auto" value={over} onChange={(e) => setOver(e.target.value)}>
            <option value={WHITE}>{say('colour.overs.white')}</option>
            {sheet !== null && <option value={SHEET}>{say('colour.overs.sheet')}</option>}
            {papers.map((p) => (
              <option key={`${p.name}${p.hex}`} value={p.hex}>
                {say.typed(p.name)}
              </option>
            ))}
          </select>
        </label>
      )}
      {kit && coloursIn(kit).mixed > 0 && <Mixed key={`m${kit.id}`} target={target} kit={kit} sheet={below} />}
      {kit && coloursIn(kit).laid > 0 && <Laid key={`l${kit.id}`} target={target} kit={kit} sheet={below} />}
      <Link className="link text-sm" href="/cupboard">
        {say('colour.toCupboard')}
      </Link>
    </section>
  );
}

/** A predicted colour beside the one asked for, what gives it, and how far off it will be. */
function Line({ target, hex, deltaE, children }: { target: string; hex: string; deltaE: number; children: ReactNode }) {
  const say = useSay();
  return (
    <li className="flex items-center gap-3">
      <span aria-hidden className="flex h-10 w-16 shrink-0">
        <span className="flex-1" style={{ background: target }} />
        <span className="flex-1" style={{ background: hex }} />
      </span>
      <span className="flex-1 text-sm">{children}</span>
      <span className="text-sm">{say('units.deltaE', { n: figure(deltaE, 1) })}</span>
    </li>
  );
}

function Mixed({ target, kit, sheet }: { target: string; kit: OwnKit; sheet: string | null }) {
  const say = useSay();
  const paints = mixable(kit);
  const { data: mix, error } = useQuery({
    queryKey: ['mix', target, paints, sheet],
    queryFn: () => readingWorker().mix(target, paints, sheet),
    staleTime: Infinity,
  });
  if (error) return <Notice said={problemOf(error)} />;
  if (!mix) return <p>{say('colour.trying')}</p>;
  return (
    <>
      <p className="mt-1">{say(mix.words)}</p>
      <ol className="mt-2 grid gap-2">
        {mix.recipes.map((r) => (
          <Line key={r.hex + r.parts.map((p) => p.paint).join()} target={target} hex={r.hex} deltaE={r.deltaE}>
            {r.parts.map((p) => {
              const paint = paints.paints.find((q) => q.name === p.paint);
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
          </Line>
        ))}
      </ol>
      <p className="mt-2 text-xs">{say('colour.prediction')}</p>
    </>
  );
}

function Laid({ target, kit, sheet }: { target: string; kit: OwnKit; sheet: string | null }) {
  const say = useSay();
  const { data: laid, error } = useQuery({
    queryKey: ['laid', target, kit.materials, sheet],
    queryFn: () => readingWorker().lay(target, kit.materials, sheet ?? undefined),
    staleTime: Infinity,
  });
  if (error) return <Notice said={problemOf(error)} />;
  if (!laid) return <p>{say('colour.trying')}</p>;
  return (
    <>
      <p className="mt-1">{say(laid.words)}</p>
      <h3 className="mt-2 font-semibold">{say('colour.laid')}</h3>
      <ol className="grid gap-2">
        {laid.singles.map((r) => (
          <Line key={r.names[0]} target={target} hex={r.hex} deltaE={r.deltaE}>
            {say.typed(r.names[0])}
          </Line>
        ))}
      </ol>
      {laid.overlays.length > 0 && (
        <>
          <h3 className="mt-2 font-semibold">{say('colour.overlaid')}</h3>
          <ol className="grid gap-2">
            {laid.overlays.map((r) => (
              <Line key={r.names.join()} target={target} hex={r.hex} deltaE={r.deltaE}>
                {say('colour.over', { lower: typed(r.names[0]), upper: typed(r.names[1]) })}
              </Line>
            ))}
          </ol>
          <p className="mt-2 text-xs">{say('colour.overPrediction')}</p>
        </>
      )}
    </>
  );
}
