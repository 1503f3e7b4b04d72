'use client';
import { amount, message, typed } from '@/core/message';
import { Check, sayFault } from '@/core/proportion/check';
import { partName } from '@/core/proportion/templates';
import type { Kind } from '../shared/kinds';
import { useSay } from '../words/Words';

/** What a piece can be held against: a set of points of the same kind on a work, or on the student's own reference. */
export interface Source {
  key: string;
  /** Of the work or the reference. */
  id: string;
  said: { title: string; name: string; of: 'work' | 'reference' };
  size: readonly [number, number];
  points: Record<string, [number, number]>;
}

interface Props {
  kind: Kind;
  sources: readonly Source[];
  current: Source | null;
  onSource: (key: string) => void;
  check: Check | null;
  /** Px of the piece in a mm of its sheet; null where it has no size. */
  perMm: number | null;
  allowed: { part: number; degrees: number };
  /** Lays the source's points on a piece that has none. */
  onCarry: (() => Promise<void>) | null;
}

/** Told at once; the rest waits below. */
const WORST = 2;

/** A piece held against the source by its points: the two worst departures in words, then the others. */
export function Checked({ kind, sources, current, onSource, check, perMm, allowed, onCarry }: Props) {
  const say = useSay();
  if (!sources.length) return <p className="mt-4 text-sm">{say('check.none')}</p>;
  const naming = {
    point: kind.pointSaid,
    part: (part: string) => (kind.house ? partName(kind.house, part) : kind.title),
    length: (px: number) => (perMm === null ? amount(px / (check?.extent || 1), 'share') : amount(px / perMm, 'mm')),
  };
  const faults = (check?.faults ?? []).map((f) => say(sayFault(f, naming)));
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('check.title')}</h2>
      <label className="mt-1 flex items-center gap-2 text-sm">
        {say('check.against')}
        <select className="select select-sm w-auto max-w-64" value={current?.key ?? ''} onChange={(e) => onSource(e.target.value)}>
          {sources.map(({ key, said: { title, name, of } }) => (
            <option key={key} value={key}>
              {of === 'reference'
                ? say('check.reference', { title: typed(title) })
                : name
                  ? say('check.work', { title: typed(title), name: typed(name) })
                  : say.typed(title)}
            </option>
          ))}
        </select>
      </label>
      {!check ? (
        <div className="mt-2 grid justify-items-start gap-2">
          <p className="text-sm">{say('check.few')}</p>
          {onCarry && (
            <button type="button" className="btn btn-sm" onClick={() => void onCarry()}>
              {say('check.carry')}
            </button>
          )}
        </div>
      ) : (
        <>
          {faults.length === 0 && (
            <p className="mt-2">
              {say(message('check.within', { part: amount(allowed.part, 'share'), degrees: amount(allowed.degrees, 'degrees') }))}
            </p>
          )}
          <ul className="mt-2 grid gap-1 text-lg leading-snug">
            {faults.slice(0, WORST).map((f) => (
              <li key={f} className="first-letter:uppercase">
                {f}
              </li>
            ))}
          </ul>
          {faults.length > WORST && (
            <details className="mt-1 text-sm">
              <summary>{say('check.rest', { n: faults.length - WORST })}</summary>
              <ul className="list-disc ps-5">
                {faults.slice(WORST).map((f) => (
                  <li key={f} className="first-letter:uppercase">
                    {f}
                  </li>
                ))}
              </ul>
            </details>
          )}
          <p className="mt-2 text-sm">{say('check.arrows')}</p>
        </>
      )}
    </section>
  );
}

/** Under so many px of the screen an arrow would only cover its own point. */
const SHORT = 5;

/** From where the source has each point to where the drawing has it. */
export function Arrows({ check, unit }: { check: Check; unit: number }) {
  return (
    <g aria-hidden data-arrows fill="none">
      {check.points.map(({ name, from, to, far }) => {
        if (far < SHORT * unit) return null;
        const [ux, uy] = [(to[0] - from[0]) / far, (to[1] - from[1]) / far];
        const head = Math.min(9 * unit, far / 2);
        const wing = (s: number) => `L${to[0] - head * (ux - s * 0.5 * uy)} ${to[1] - head * (uy + s * 0.5 * ux)}`;
        const d = `M${from[0]} ${from[1]}L${to[0]} ${to[1]}${wing(1)}M${to[0]} ${to[1]}${wing(-1)}`;
        return (
          <g key={name}>
            <circle cx={from[0]} cy={from[1]} r={3 * unit} fill="#fff" stroke="#000" strokeWidth={unit} />
            <path d={d} stroke="#fff" strokeWidth={4.5 * unit} strokeLinecap="round" />
            <path d={d} stroke="#b3261e" strokeWidth={2 * unit} strokeLinecap="round" />
          </g>
        );
      })}
    </g>
  );
}
