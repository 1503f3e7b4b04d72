'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { kindOfPiece } from '../pieces/piece';
import { Bench } from '../shared/Bench';
import type { Hung } from './hung';
import { Wall } from './Wall';
import { useSay } from '../words/Words';

const ALL = 'all';
const KINDS = ['original', 'copy', 'warm-up', ALL] as const;
type Shown = (typeof KINDS)[number];

/** The newest attempt of each maker and kind. */
function newest(pieces: readonly Hung[]): Hung[] {
  const last = new Map<string, Hung>();
  for (const p of pieces) {
    const key = `${p.name}:${p.kind}`;
    const before = last.get(key);
    if (!before || p.attempt > before.attempt) last.set(key, p);
  }
  return [...last.values()];
}

/** The class on one wall: nearer to the master to the right, more of one's own higher up. */
export function HangingBench({ studyId, pieces }: { studyId: string; pieces: Hung[] }) {
  const say = useSay();
  const [kind, setKind] = useState<Shown>(pieces.some((p) => p.kind === 'original') ? 'original' : ALL);
  const [every, setEvery] = useState(false);
  const [lit, setLit] = useState<string | null>(null);
  const [order, setOrder] = useState<'name' | 'closeness' | 'ownInvention'>('closeness');
  const router = useRouter();
  const nameOf = (p: Hung) => (p.name === null ? say('app.you') : say.typed(p.name));
  const hung = (every ? pieces : newest(pieces)).filter((p) => kind === ALL || p.kind === kind);
  const listed = hung
    .slice()
    .sort((a, b) => (order === 'name' ? nameOf(a).localeCompare(nameOf(b), say.locale) : b[order] - a[order]) || a.attempt - b.attempt);
  const href = (id: string) => `/studies/${studyId}/compare?piece=${id}`;
  if (!pieces.length)
    return (
      <Bench picture={<p className="bench-note m-auto max-w-md rounded px-4 py-3 text-lg">{say('hanging.none')}</p>}>
        <Link className="link" href={`/studies/${studyId}/pieces`}>
          {say('pieces.handIn')}
        </Link>
      </Bench>
    );
  return (
    <Bench
      tools={
        <div className="flex flex-wrap items-center gap-2 text-sm">
          {KINDS.filter((k) => k === ALL || pieces.some((p) => p.kind === k)).map((k) => (
            <button
              key={k}
              type="button"
              aria-pressed={kind === k}
              className={`btn btn-sm ${kind === k ? 'btn-neutral' : ''}`}
              onClick={() => setKind(k)}
            >
              {say(`hanging.kinds.${k}`)}
            </button>
          ))}
          <label className="flex items-center gap-2">
            <input type="checkbox" className="checkbox checkbox-sm" checked={every} onChange={(e) => setEvery(e.target.checked)} />
            {say('hanging.every')}
          </label>
        </div>
      }
      picture={<Wall pieces={hung} lit={lit} onLight={setLit} onOpen={(id) => router.push(href(id))} />}
    >
      <p>{say('hanging.reading')}</p>
      <table className="mt-3 w-full text-sm">
        <caption className="sr-only">{say('hanging.list')}</caption>
        <thead>
          <tr className="text-start">
            {(['name', 'closeness', 'ownInvention'] as const).map((c) => (
              <th
                key={c}
                scope="col"
                aria-sort={order === c ? (c === 'name' ? 'ascending' : 'descending') : undefined}
                className={c === 'name' ? '' : 'text-end'}
              >
                <button type="button" className={order === c ? 'font-semibold' : 'link'} onClick={() => setOrder(c)}>
                  {say(`hanging.columns.${c}`)}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {listed.map((p) => (
            <tr
              key={p.id}
              className={`border-t border-base-300 ${lit === p.id ? 'bg-base-300' : ''}`}
              onPointerEnter={() => setLit(p.id)}
              onPointerLeave={() => setLit(null)}
            >
              <td className="py-0.5">
                <Link
                  href={href(p.id)}
                  className="flex items-center gap-2 hover:underline"
                  onFocus={() => setLit(p.id)}
                  onBlur={() => setLit(null)}
                >
                  <img src={`/api/pictures/${p.pictureId}?size=small`} alt="" className="h-8 w-auto" />
                  {nameOf(p)}
                  {(kind === ALL || every) && (
                    <span className="text-xs">{say('pieces.nth', { kind: kindOfPiece(p.kind), n: p.attempt })}</span>
                  )}
                </Link>
              </td>
              <td className="text-end">{say.number(p.closeness)}</td>
              <td className="text-end">{say.number(p.ownInvention)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Bench>
  );
}
