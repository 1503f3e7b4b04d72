'use client';
import Link from 'next/link';
import { DraftingCompass, Plus, Trash2 } from 'lucide-react';
import { FormEvent, useMemo, useState } from 'react';
import { amount, Message, message, typed } from '@/core/message';
import type { KeptLine } from '@/core/proportion/keptLines';
import { PART_SIGNS, slopeOf, stepsAlong, Steps, stepsOf } from '@/core/proportion/spans';
import { Haloed } from '../shared/looking/Haloed';
import { Handle } from '../shared/looking/Handle';
import { useSay } from '../words/Words';
import { quarter } from './placing';

type At = [number, number];
/** The span that is set, and the way it is walked along. */
type Ends = Record<'a' | 'b' | 'c' | 'd', At>;

const long = ([x, y]: At, [u, v]: At) => Math.hypot(u - x, v - y);

/** Steps in words. */
function saidSteps({ whole, part, as }: Steps): Message {
  if (!part) return message('dividers.whole', { whole, as });
  const sign = typed(PART_SIGNS[part]);
  return whole ? message('dividers.both', { whole, part: sign, as }) : message('dividers.part', { part: sign, as });
}

/** Dividers on a picture: two ends to set a span, two of a line that it is walked along. */
export function useDividers([x, y, w, h]: readonly [number, number, number, number]) {
  const [open, setOpen] = useState(false);
  const first = useMemo<Ends>(
    () => ({
      a: [x + 0.35 * w, y + 0.3 * h],
      b: [x + 0.35 * w, y + 0.4 * h],
      c: [x + 0.5 * w, y + 0.3 * h],
      d: [x + 0.5 * w, y + 0.72 * h],
    }),
    [x, y, w, h],
  );
  const [moved, setMoved] = useState<Ends | null>(null);
  const ends = moved ?? first;
  return { open, setOpen, ends, setEnds: setMoved };
}

type Held = ReturnType<typeof useDividers>;

/** Lines kept along edges of a work, and what changes them. */
interface Kept {
  lines: readonly KeptLine[];
  put: (lines: KeptLine[], label: Message) => void;
  /** Where they are carried to the paper. */
  href: string;
}

/** The dividers over the picture, and the lines that were kept. */
export function DividersDrawn({ held: { ends, setEnds }, lines, unit }: { held: Held; lines: readonly KeptLine[]; unit: number }) {
  const say = useSay();
  const { a, b, c, d } = ends;
  const ticks = stepsAlong(long(a, b), c, d);
  const [dx, dy] = [(d[1] - c[1]) / (long(c, d) || 1), -(d[0] - c[0]) / (long(c, d) || 1)];
  const path =
    `M${a.join(' ')}L${b.join(' ')}M${c.join(' ')}L${d.join(' ')}` +
    [c, ...ticks].map(([x, y]) => `M${x - 8 * unit * dx} ${y - 8 * unit * dy}L${x + 8 * unit * dx} ${y + 8 * unit * dy}`).join('');
  return (
    <>
      <g fill="none" aria-hidden data-dividers>
        {lines.map(({ id, ends: [[x, y], [u, v]] }) => (
          <Haloed key={id} d={`M${x} ${y}L${u} ${v}`} unit={unit} width={1} />
        ))}
        <Haloed d={path} unit={unit} width={1.8} />
      </g>
      {(['a', 'b', 'c', 'd'] as const).map((end) => (
        <Handle key={end} at={ends[end]} unit={unit} label={say(`dividers.ends.${end}`)} onMove={(to) => setEnds({ ...ends, [end]: to })} />
      ))}
    </>
  );
}

/** What the dividers read: how often the span goes into the line, how long both are, how they slope. */
export function DividersRead({ held: { open, setOpen, ends }, perMm, kept }: { held: Held; perMm: number | null; kept: Kept | null }) {
  const say = useSay();
  const { a, b, c, d } = ends;
  const [span, way] = [long(a, b), long(c, d)];
  const steps = span > 0 ? stepsOf(way / span) : null;
  const slope = slopeOf(c, d);
  return (
    <section className="contents">
      <button type="button" className={`btn btn-sm ${open ? 'btn-neutral' : ''}`} aria-pressed={open} onClick={() => setOpen(!open)}>
        <DraftingCompass aria-hidden className="size-4" /> {say('dividers.name')}
      </button>
      {open && (
        <div className="order-last grid basis-full gap-1" role="status">
          {steps && <p className="text-lg">{say('dividers.goes', { steps: saidSteps(steps) })}</p>}
          {perMm !== null && <p>{say('dividers.lengths', { span: amount(span / perMm, 'mm'), way: amount(way / perMm, 'mm') })}</p>}
          {slope && (
            <p>
              {say('dividers.slope', {
                level: amount(Math.abs(slope.level), 'degrees'),
                plumb: amount(Math.abs(slope.plumb), 'degrees'),
                way: Math.abs(slope.plumb) < 0.5 ? 'plumb' : Math.abs(slope.level) < 0.5 ? 'level' : slope.plumb > 0 ? 'right' : 'left',
              })}
            </p>
          )}
          <p className="text-sm">{say('dividers.how')}</p>
          {kept && <KeptLines kept={kept} ends={[c, d]} />}
        </div>
      )}
    </section>
  );
}

/** Keeps the line that lies along an edge, by a name; the list of those that are kept. */
function KeptLines({ kept: { lines, put, href }, ends }: { kept: Kept; ends: [At, At] }) {
  const say = useSay();
  const [name, setName] = useState('');
  const keep = (e: FormEvent) => {
    e.preventDefault();
    const called = name.trim() || say('dividers.lineName', { n: lines.length + 1 });
    put([...lines, { id: crypto.randomUUID(), name: called, ends: [quarter(ends[0]), quarter(ends[1])] }], label('keepLine', called));
    setName('');
  };
  const label = (key: 'keepLine' | 'dropLine', of: string) => message(`edits.${key}`, { name: typed(of) });
  return (
    <>
      <form className="mt-2 flex flex-wrap gap-2" onSubmit={keep}>
        <input
          className="input input-sm min-w-40 flex-1"
          aria-label={say('dividers.nameOfLine')}
          placeholder={say('dividers.nameOfLine')}
          maxLength={60}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <button className="btn btn-sm">
          <Plus aria-hidden className="size-4" /> {say('dividers.keep')}
        </button>
      </form>
      {lines.length > 0 && (
        <ul className="grid gap-1 text-sm">
          {lines.map((l) => (
            <li key={l.id} className="flex items-center justify-between gap-2">
              <span>
                {say('dividers.kept', {
                  name: typed(l.name),
                  by: amount(Math.abs(slopeOf(...l.ends)?.level ?? 0), 'degrees'),
                })}
              </span>
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                aria-label={say('dividers.drop', { name: typed(l.name) })}
                onClick={() =>
                  put(
                    lines.filter((o) => o !== l),
                    label('dropLine', l.name),
                  )
                }
              >
                <Trash2 aria-hidden className="size-4" />
              </button>
            </li>
          ))}
        </ul>
      )}
      {lines.length > 0 && (
        <Link className="link text-sm" href={href}>
          {say('dividers.carry')}
        </Link>
      )}
    </>
  );
}
