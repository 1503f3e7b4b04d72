'use client';
import { useRef } from 'react';
import { Message, message } from '@/core/message';
import { useSay } from '../words/Words';

export type Points = Record<string, [number, number]>;

interface Props {
  points: Points;
  names: readonly { name: string; said: Message }[];
  selected: string | null;
  /** Px of the picture in one px of the screen. */
  unit: number;
  onSelect: (name: string) => void;
  /** While a handle moves. */
  onDrag: (name: string, at: [number, number]) => void;
  /** When it has come to rest: worth saving. */
  onRest: (label: Message) => void;
  onRemove: (name: string) => void;
}

/** The placed points over a picture: a cross with a ring each, moved by pointer or arrow keys, removed with Delete. */
export function LandmarkLayer({ points, names, selected, unit, onSelect, onDrag, onRest, onRemove }: Props) {
  const say = useSay();
  const svg = useRef<SVGGElement>(null);
  const moving = useRef<string | null>(null);
  const size = 7.5 * unit;
  const local = (e: React.PointerEvent): [number, number] => {
    const matrix = svg.current!.getScreenCTM()!.inverse();
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    return [p.x, p.y];
  };
  return (
    <g ref={svg}>
      {names
        .filter((n) => points[n.name])
        .map(({ name, said }) => {
          const [x, y] = points[name];
          const here = name === selected;
          return (
            <g
              key={name}
              tabIndex={0}
              role="button"
              aria-label={say('proportion.handle', { point: said, x: Math.round(x), y: Math.round(y) })}
              className="cursor-move"
              onFocus={() => onSelect(name)}
              onKeyDown={(e) => {
                const step = e.shiftKey ? 10 : e.altKey ? 0.25 : 1;
                const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[e.key];
                if (by) {
                  e.preventDefault();
                  onDrag(name, [x + by[0], y + by[1]]);
                  onRest(message('edits.movePoint', { point: said }));
                } else if (e.key === 'Delete' || e.key === 'Backspace') {
                  e.preventDefault();
                  onRemove(name);
                }
              }}
              onPointerDown={(e) => {
                e.stopPropagation();
                e.currentTarget.setPointerCapture(e.pointerId);
                moving.current = name;
                onSelect(name);
              }}
              onPointerMove={(e) => moving.current === name && onDrag(name, local(e))}
              onPointerUp={() => {
                if (moving.current === name) onRest(message('edits.movePoint', { point: said }));
                moving.current = null;
              }}
            >
              <circle cx={x} cy={y} r={size * 1.6} fill="transparent" />
              <circle cx={x} cy={y} r={here ? size : size * 0.7} fill="none" stroke="#000" strokeWidth={size * 0.42} />
              <circle
                cx={x}
                cy={y}
                r={here ? size : size * 0.7}
                fill="none"
                stroke="#fff"
                strokeWidth={size * 0.2}
                strokeDasharray={here ? `${size * 0.5} ${size * 0.3}` : undefined}
              />
              <path
                d={`M${x - size * 0.35} ${y}h${size * 0.7}M${x} ${y - size * 0.35}v${size * 0.7}`}
                stroke="#fff"
                strokeWidth={size * 0.14}
              />
            </g>
          );
        })}
    </g>
  );
}
