'use client';
import { useRef, useState } from 'react';
import { Handle } from '../shared/looking/Handle';
import { useSay } from '../words/Words';

type At = [number, number];

interface Props {
  outline: readonly At[];
  /** Which of the places it is, counted from 1. */
  n: number;
  width: number;
  height: number;
  unit: number;
  onOutline: (outline: At[]) => void;
}

const LEAST_CORNERS = 3;

/** An outline whose corners are moved; one more is pulled out of the middle of a side, Delete takes one away. */
export function OutlineHandles({ outline, n, width, height, unit, onOutline }: Props) {
  const say = useSay();
  const [pulled, setPulled] = useState<{ side: number; at: At } | null>(null);
  // A key moves it and lets go at once, before anything is drawn.
  const last = useRef<At | null>(null);
  const within = ([x, y]: readonly [number, number]): At => [Math.max(0, Math.min(width, x)), Math.max(0, Math.min(height, y))];
  const middles = outline.map(([x, y], i): At => {
    const [nx, ny] = outline[(i + 1) % outline.length];
    return [(x + nx) / 2, (y + ny) / 2];
  });
  const [from, to] = pulled ? [outline[pulled.side], outline[(pulled.side + 1) % outline.length]] : [null, null];
  return (
    <>
      {pulled && from && to && (
        <polyline
          points={[from, pulled.at, to].map((p) => p.join(',')).join(' ')}
          fill="none"
          stroke="#fff"
          strokeWidth={1.4 * unit}
          pointerEvents="none"
        />
      )}
      {middles.map((at, i) => (
        <Handle
          key={`between ${i} ${outline.length}`}
          at={pulled?.side === i ? pulled.at : at}
          label={say('look.place.between', { n, corner: i + 1 })}
          unit={0.7 * unit}
          step={2}
          onMove={(to) => {
            last.current = within(to);
            setPulled({ side: i, at: last.current });
          }}
          onRest={() => {
            if (last.current) onOutline([...outline.slice(0, i + 1), last.current, ...outline.slice(i + 1)]);
            last.current = null;
            setPulled(null);
          }}
        />
      ))}
      {outline.map((at, i) => (
        <Handle
          key={i}
          at={at}
          label={say('look.place.corner', { n, corner: i + 1, x: Math.round(at[0]), y: Math.round(at[1]) })}
          unit={1.2 * unit}
          step={2}
          onMove={(to) => onOutline(outline.map((p, k) => (k === i ? within(to) : p)))}
          onRemove={outline.length > LEAST_CORNERS ? () => onOutline(outline.filter((_, k) => k !== i)) : undefined}
        />
      ))}
    </>
  );
}
