'use client';
import { useEffect, useRef } from 'react';
import { EDGE_HANDLINGS } from '@/core/marks/edges';
import { MarkKind, MARK_KINDS } from '@/core/marks/kinds';
import { kindName } from '@/core/style/readings';
import { useSay } from '../../words/Words';
import { signOf } from './draw';
import type { LayerName } from './layers';
import type { Where } from './where';

interface Props {
  shown: ReadonlySet<LayerName>;
  where: Where;
  /** What of it is being read. */
  places: boolean;
  marks: boolean;
}

/** What the signs on a picture mean, and how far it has been read. */
export function Legend({ shown, where: { places, marks, failed }, ...wanted }: Props) {
  const say = useSay();
  const kinds = MARK_KINDS.filter((k) => k !== 'blank' && marks.some((m) => m.tiles.some((t) => t.kind === k)));
  const untold = marks.some((m) => m.tiles.some((t) => !t.kind));
  const begun = (wanted.places || wanted.marks) && !places;
  const partly = wanted.marks && places !== null && marks.length < places.windows;
  const told = (['directions', 'temperature', 'finish', 'area', 'lights', 'contrast'] as const).filter((name) => shown.has(name));
  const edges = shown.has('edges');
  if (!edges && !shown.has('kinds') && !told.length && !begun && !partly && !failed) return null;
  const nothing = places && (shown.has('lights') || shown.has('area')) && !places.lights;
  return (
    <div
      className="bench-note pointer-events-none absolute start-1 bottom-1 max-w-[70%] rounded bg-base-100/90 px-2 py-1 text-xs"
      role="status"
    >
      {failed && <p>{say('layers.failed')}</p>}
      {!failed && begun && <p>{say('layers.begun')}</p>}
      {partly && <p>{say('layers.reading', { done: marks.length, all: places.windows })}</p>}
      {shown.has('kinds') && (
        <ul className="flex flex-wrap gap-x-3">
          {kinds.map((k) => (
            <li key={k} className="flex items-center gap-1">
              <Sign kind={k} /> {say(kindName(k))}
            </li>
          ))}
          {untold && <li>{say('layers.untold')}</li>}
        </ul>
      )}
      {edges && <p>{EDGE_HANDLINGS.map((h) => say(`layers.handling.${h}`)).join(' · ')}</p>}
      {told.map((name) => (
        <p key={name}>{say(nothing && (name === 'lights' || name === 'area') ? 'layers.noSheet' : `layers.${name}.legend`)}</p>
      ))}
    </div>
  );
}

const SIDE = 18;

function Sign({ kind }: { kind: MarkKind }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const pen = canvas.current!.getContext('2d')!;
    pen.clearRect(0, 0, 2 * SIDE, 2 * SIDE);
    pen.lineWidth = 2.4;
    pen.lineCap = 'round';
    pen.strokeStyle = getComputedStyle(canvas.current!).color;
    pen.stroke(signOf(kind, 2 * SIDE));
  }, [kind]);
  return <canvas ref={canvas} aria-hidden width={2 * SIDE} height={2 * SIDE} style={{ width: SIDE, height: SIDE }} />;
}
