'use client';
import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { HandRange, Parting, Trait } from '@/core/style/hand';
import { groupName, sayParting, sayRange, sayTrait } from '@/core/style/words';
import { Rule, RuleList } from '../rules/RuleList';
import { TickRule } from '../rules/TickRule';
import { evidenceOf } from '../rules/TickReading';
import { Bench } from '../shared/Bench';
import type { Layered } from '../shared/layers/LayerCanvas';
import { LayersOver, Place } from '../shared/layers/Layers';
import { PictureView } from '../shared/looking/PictureView';
import { ToolRow } from '../shared/looking/ToolRow';
import { useLooking } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { get, problemOf } from '../shared/request';
import { useSay } from '../words/Words';

interface HandWork {
  id: string;
  title: string;
  pictureId: string;
  pictureWidth: number;
  pictureHeight: number;
  /** Of the hand, beside it, or neither. */
  side: 'hand' | 'beside' | null;
  layered: Layered;
}

interface Props {
  studyId: string;
  works: HandWork[];
  groups: { id: string; name: string }[];
  /** The group that is the hand; null for all its works. */
  group: { id: string; name: string } | null;
  beside: string | null;
  foils: boolean;
  /** Ranges over the hand's works, of which rules are made. */
  counted: Record<string, HandRange>;
  rules: Rule[];
}

interface Read {
  done: number;
  all: number;
  hand: { works: number; beside: number; constant: Trait[]; varies: Trait[]; parts: Parting[] | null } | null;
}

/** Told at first of each list. */
const FIRST = 6;

export function HandSheet(props: Props) {
  return (
    <LayersOver>
      <Sheet {...props} />
    </LayersOver>
  );
}

/** What every work of the hand shares, what changes, and what parts it from the works beside it, each with its place on both. */
function Sheet({ studyId, works, groups, group, beside, foils, counted, rules }: Props) {
  const say = useSay();
  const looking = useLooking();
  const router = useRouter();
  const base = `/studies/${studyId}/look/hand`;
  const asked = (g: string | null, b: string | null) => `${base}?group=${g ?? ''}&beside=${b ?? 'none'}`;
  const [shown, setShown] = useState<Record<'hand' | 'beside', string | null>>({ hand: null, beside: null });
  const { data, error } = useQuery({
    queryKey: ['hand', studyId, group?.id, beside, works.map((w) => `${w.id}${w.pictureId}`).join()],
    queryFn: () => get<Read>(`/api/studies/${studyId}/hand?group=${group?.id ?? ''}&beside=${beside ?? ''}`),
    // Asked again at once while readings are being taken: each call takes one.
    refetchInterval: ({ state }) => (state.data && state.data.hand === null && state.data.done < state.data.all ? 100 : false),
    staleTime: Infinity,
  });
  const sides = (['hand', 'beside'] as const).map((side) => {
    const own = works.filter((w) => w.side === side);
    return own.find((w) => w.id === shown[side]) ?? own[0] ?? null;
  });
  const hand = data?.hand ?? null;
  const tick = ({ feature }: { feature: string }) => {
    const range = counted[feature];
    return (
      range && (
        <TickRule
          studyId={studyId}
          feature={feature}
          said={sayRange(range)}
          evidence={evidenceOf(range, group?.name ?? null)}
          ticked={rules.find((r) => r.feature === feature)}
        />
      )
    );
  };
  return (
    <Bench
      tools={<ToolRow {...looking} only={['squint', 'values', 'grid', 'quarters', 'lens']} />}
      picture={
        <div className="flex min-h-0 flex-1 gap-3">
          {sides.map(
            (w) =>
              w && (
                <figure key={w.side} className="flex min-w-0 flex-1 flex-col">
                  <PictureView
                    pictureId={w.pictureId}
                    width={w.pictureWidth}
                    height={w.pictureHeight}
                    alt={say.typed(w.title)}
                    on={looking.on}
                    layered={w.layered}
                  />
                  <figcaption className="bench-note mt-1 self-center rounded px-2 py-0.5 text-sm">
                    {say(w.side === 'hand' ? 'hand.sheet.of' : 'hand.sheet.other', { title: say.typed(w.title) })}
                  </figcaption>
                </figure>
              ),
          )}
        </div>
      }
      strip={
        <nav aria-label={say('shared.works')} className="no-print flex flex-none gap-2 overflow-x-auto border-t border-base-300 px-4 py-1">
          {works
            .filter((w) => w.side !== null)
            .map((w) => (
              <button
                key={w.id}
                type="button"
                aria-pressed={sides.includes(w)}
                className={`flex shrink-0 flex-col items-center p-1 text-xs ${sides.includes(w) ? 'outline-2 outline-base-content' : ''}`}
                onClick={() => setShown({ ...shown, [w.side!]: w.id })}
              >
                <img src={`/api/pictures/${w.pictureId}?size=small`} alt="" className="h-12 w-auto max-sm:h-8" />
                <span className="max-w-28 truncate">{say.typed(w.title)}</span>
              </button>
            ))}
        </nav>
      }
    >
      <div className="flex items-baseline justify-between gap-3">
        <h1 className="text-2xl font-semibold">{say('hand.sheet.title')}</h1>
        <Link className="link text-sm" href={`/studies/${studyId}/look`}>
          {say('hand.sheet.back')}
        </Link>
      </div>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <label className="grid gap-1 text-sm">
          {say('hand.sheet.works')}
          <select
            className="select select-sm w-full"
            value={group?.id ?? ''}
            onChange={(e) => router.push(asked(e.target.value || null, beside === e.target.value ? null : beside))}
          >
            <option value="">{say('hand.sheet.all')}</option>
            {groups.map((g) => (
              <option key={g.id} value={g.id}>
                {say('hand.sheet.group', { name: say.typed(g.name) })}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1 text-sm">
          {say('hand.sheet.beside')}
          <select
            className="select select-sm w-full"
            value={beside ?? ''}
            onChange={(e) => router.push(asked(group?.id ?? null, e.target.value || null))}
          >
            <option value="">{say('hand.sheet.nothing')}</option>
            {foils && <option value="foils">{say('hand.sheet.foils')}</option>}
            {groups
              .filter((g) => group !== null && g.id !== group.id)
              .map((g) => (
                <option key={g.id} value={g.id}>
                  {say('hand.sheet.group', { name: say.typed(g.name) })}
                </option>
              ))}
          </select>
        </label>
      </div>
      <Notice said={error ? problemOf(error) : null} />
      {!hand && !error && (
        <div role="status" className="mt-4 grid gap-2">
          <p>{say('hand.sheet.reading', { n: data?.done ?? 0, all: data?.all ?? 0 })}</p>
          <progress className="progress w-full" value={data?.done ?? 0} max={data?.all || 1} />
        </div>
      )}
      {hand && (
        <>
          {!foils && beside === null && <p className="mt-3 text-sm">{say('hand.sheet.noFoil')}</p>}
          {hand.parts && (
            <List
              title={say('hand.sheet.parts')}
              none={say('hand.sheet.noParts')}
              how={hand.beside < 2 ? say('hand.sheet.oneBeside') : null}
            >
              {hand.parts.map((p) => (
                <Line key={p.feature} of={p.feature} group={say(groupName(p.group))} tick={tick(p)}>
                  {say(sayParting(p))}
                </Line>
              ))}
            </List>
          )}
          {hand.works < 2 ? (
            <p className="mt-4">{say('hand.sheet.one')}</p>
          ) : (
            <>
              <List title={say('hand.sheet.constant')} none={say('hand.sheet.noConstant')} how={null}>
                {hand.constant.map((t) => (
                  <Line key={t.feature} of={t.feature} group={say(groupName(t.group))} tick={tick(t)}>
                    {say(sayTrait(t, 'constant'))}
                  </Line>
                ))}
              </List>
              <List title={say('hand.sheet.varies')} none={say('hand.sheet.noVaries')} how={null}>
                {hand.varies.map((t) => (
                  <Line key={t.feature} of={t.feature} group={say(groupName(t.group))} tick={null}>
                    {say(sayTrait(t, 'varies'))}
                  </Line>
                ))}
              </List>
            </>
          )}
          <p className="mt-3 text-sm">{say('hand.sheet.method', { n: hand.works })}</p>
        </>
      )}
      <RuleList studyId={studyId} rules={rules} />
    </Bench>
  );
}

function List({ title, none, how, children }: { title: string; none: string; how: string | null; children: React.ReactNode[] }) {
  const say = useSay();
  const [all, setAll] = useState(false);
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{title}</h2>
      {how && <p className="text-sm">{how}</p>}
      {children.length === 0 && <p>{none}</p>}
      <ul className="mt-1 grid gap-1.5">{all ? children : children.slice(0, FIRST)}</ul>
      {children.length > FIRST && (
        <button type="button" className="link mt-1 text-sm" onClick={() => setAll(!all)}>
          {say(all ? 'hand.sheet.fewer' : 'hand.sheet.more', { n: children.length - FIRST })}
        </button>
      )}
    </section>
  );
}

function Line({ of, group, tick, children }: { of: string; group: string; tick: React.ReactNode; children: React.ReactNode }) {
  return (
    <Place as="li" of={of} className="grid grid-cols-[1.5rem_1fr_auto] items-start gap-2">
      <span>{tick}</span>
      <span tabIndex={0}>{children}</span>
      <span className="pt-0.5 text-xs">{group}</span>
    </Place>
  );
}
