'use client';
import { KeyboardEvent, PointerEvent, useRef } from 'react';

type At = readonly [x: number, y: number];

interface Props {
  /** Where it stands, px of the picture it lies on. */
  at: At;
  label: string;
  /** Px of the picture to one of the screen, so that it keeps its size there. */
  unit: number;
  selected?: boolean;
  onMove: (to: [number, number]) => void;
  /** It has come to rest, where it was moved to. */
  onRest?: () => void;
  onSelect?: () => void;
  onRemove?: () => void;
  /** Px that an arrow key moves it by; ten times as many with the shift key. */
  step?: number;
}

/** What is taken hold of on a picture: dragged by pointer or finger, nudged by arrow keys (less with Alt), taken away by Delete. */
export function Handle({ at: [x, y], label, unit, selected, onMove, onRest, onSelect, onRemove, step = 1 }: Props) {
  const held = useRef<SVGGElement>(null);
  const moving = useRef(false);
  const size = 7.5 * unit;
  const r = selected ? size : size * 0.7;
  const local = (e: PointerEvent): [number, number] => {
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(held.current!.ownerSVGElement!.getScreenCTM()!.inverse());
    return [p.x, p.y];
  };
  const key = (e: KeyboardEvent) => {
    const far = e.shiftKey ? 10 * step : e.altKey ? step / 4 : step;
    const by = { ArrowLeft: [-far, 0], ArrowRight: [far, 0], ArrowUp: [0, -far], ArrowDown: [0, far] }[e.key];
    if (by) {
      e.preventDefault();
      onMove([x + by[0], y + by[1]]);
      onRest?.();
    } else if (onRemove && (e.key === 'Delete' || e.key === 'Backspace')) {
      e.preventDefault();
      onRemove();
    }
  };
  return (
    <g
      ref={held}
      data-handle
      tabIndex={0}
      role="button"
      aria-label={label}
      className="cursor-move"
      onFocus={onSelect}
      onKeyDown={key}
      onPointerDown={(e) => {
        e.stopPropagation();
        e.currentTarget.setPointerCapture(e.pointerId);
        moving.current = true;
        onSelect?.();
      }}
      onPointerMove={(e) => moving.current && onMove(local(e))}
      onPointerUp={() => {
        if (moving.current) onRest?.();
        moving.current = false;
      }}
    >
      <circle cx={x} cy={y} r={size * 1.6} fill="transparent" />
      <circle cx={x} cy={y} r={r} fill="none" stroke="#000" strokeWidth={size * 0.42} />
      <circle
        cx={x}
        cy={y}
        r={r}
        fill="none"
        stroke="#fff"
        strokeWidth={size * 0.2}
        strokeDasharray={selected ? `${size * 0.5} ${size * 0.3}` : undefined}
      />
      <path d={`M${x - size * 0.35} ${y}h${size * 0.7}M${x} ${y - size * 0.35}v${size * 0.7}`} stroke="#fff" strokeWidth={size * 0.14} />
    </g>
  );
}
