'use client';
import { DraftingCompass } from 'lucide-react';
import { useMemo, useState } from 'react';
import { amount, Message, message, typed } from '@/core/message';
import { PART_SIGNS, slopeOf, stepsAlong, Steps, stepsOf } from '@/core/proportion/spans';
import { Haloed } from '../shared/looking/Haloed';
import { Handle } from '../shared/looking/Handle';
import { useSay } from '../words/Words';

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

/** The dividers over the picture. */
export function DividersDrawn({ held: { ends, setEnds }, unit }: { held: Held; unit: number }) {
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
        <Haloed d={path} unit={unit} width={1.8} />
      </g>
      {(['a', 'b', 'c', 'd'] as const).map((end) => (
        <Handle key={end} at={ends[end]} unit={unit} label={say(`dividers.ends.${end}`)} onMove={(to) => setEnds({ ...ends, [end]: to })} />
      ))}
    </>
  );
}

/** What the dividers read: how often the span goes into the line, how long both are, how they slope. */
export function DividersRead({ held: { open, setOpen, ends }, perMm }: { held: Held; perMm: number | null }) {
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
        </div>
      )}
    </section>
  );
}
