'use client';
import { Ruler } from 'lucide-react';
import { useState } from 'react';
import { amount, figure, message } from '@/core/message';
import { nearLines, Stands, standsOf, unitOf } from '@/core/proportion/plumb';
import type { Kind } from '../shared/kinds';
import { Haloed } from '../shared/looking/Haloed';
import { useSay } from '../words/Words';
import type { Points } from './LandmarkLayer';

/** The plumb and the level line through one point of a figure. */
export function usePlumb() {
  const [open, setOpen] = useState(false);
  const [point, setPoint] = useState<string | null>(null);
  return { open, setOpen, point, setPoint };
}

type Held = ReturnType<typeof usePlumb>;

/** Which point the lines go through: the one chosen, or the first that is placed. */
const through = ({ point }: Held, kind: Kind, points: Points): string | null =>
  point && points[point] ? point : (kind.template.points.find((p) => points[p.name])?.name ?? null);

/** The two lines over the picture. */
export function PlumbDrawn({
  held,
  kind,
  points,
  frame: [x, y, w, h],
  unit,
}: {
  held: Held;
  kind: Kind;
  points: Points;
  frame: readonly [number, number, number, number];
  unit: number;
}) {
  const at = through(held, kind, points);
  if (!at) return null;
  const [px, py] = points[at];
  const path = `M${px} ${y}V${y + h}M${x} ${py}H${x + w}`;
  return (
    <g fill="none" aria-hidden data-plumb>
      <Haloed d={path} unit={unit} width={1.4} dash={[10, 4]} />
    </g>
  );
}

/** Nearer than this part of the unit nobody tells from the line itself: common practice, no source. */
const ON = 0.015;

/** What stands under and level with what, in heads. */
export function PlumbRead({ held, kind, points }: { held: Held; kind: Kind; points: Points }) {
  const say = useSay();
  const { open, setOpen, setPoint } = held;
  const at = through(held, kind, points);
  const own = kind.house && unitOf(kind.template, points)?.own;
  const sentence = (s: Stands) => {
    const under = s.as === 'under';
    const way = Math.abs(s.off) < ON ? 'on' : (s.toward ?? (under ? (s.off > 0 ? 'right' : 'left') : s.off > 0 ? 'below' : 'above'));
    return say(
      message(`plumb.${s.as}`, {
        point: kind.pointSaid(s.point),
        of: kind.pointSaid(s.of),
        by: own ? message('plumb.heads', { n: figure(Math.abs(s.off), 2) }) : amount(Math.abs(s.off), 'share'),
        way,
      }),
    );
  };
  const list = (all: readonly Stands[]) => (
    <ul className="list-disc ps-5 text-sm">
      {all.map((s) => (
        <li key={`${s.as}${s.point}${s.of}`}>{sentence(s)}</li>
      ))}
    </ul>
  );
  const natural = standsOf(kind.template, points);
  const near = at ? nearLines(kind.template, points, at) : null;
  return (
    <section className="contents">
      <button type="button" className={`btn btn-sm ${open ? 'btn-neutral' : ''}`} aria-pressed={open} onClick={() => setOpen(!open)}>
        <Ruler aria-hidden className="size-4" /> {say('plumb.name')}
      </button>
      {open && !at && <p className="order-last basis-full">{say('plumb.needs')}</p>}
      {open && at && near && (
        <div className="order-last grid basis-full gap-2">
          <label className="flex flex-wrap items-center gap-2">
            {say('plumb.through')}
            <select className="select w-auto" value={at} onChange={(e) => setPoint(e.target.value)}>
              {kind.template.points
                .filter((p) => points[p.name])
                .map((p) => (
                  <option key={p.name} value={p.name}>
                    {say(kind.pointSaid(p.name))}
                  </option>
                ))}
            </select>
          </label>
          {near.under.length + near.level.length ? list([...near.under, ...near.level]) : <p className="text-sm">{say('plumb.nothing')}</p>}
          {natural.length > 0 && (
            <>
              <h3 className="font-semibold">{say('plumb.natural')}</h3>
              {list(natural)}
            </>
          )}
        </div>
      )}
    </section>
  );
}
