'use client';
import { useGesture } from '@use-gesture/react';
import { CSSProperties, KeyboardEvent, ReactNode, useRef } from 'react';
import { dragged, keyed, Nearness, Room, swapped, zoomedAt } from './nearness';

interface Props {
  view: Nearness;
  onView: (view: Nearness) => void;
  label: string;
  /** How much larger the frame is than the whole picture. */
  room?: Room;
  /** A plain drag belongs to what lies on the picture: then the middle button, or the space bar held, moves it. */
  dragTaken?: boolean;
  /** So does a double click. */
  clicksTaken?: boolean;
  mirror?: boolean;
  flip?: boolean;
  style?: CSSProperties;
  className?: string;
  children: ReactNode;
}

/** A frame whose picture comes nearer by wheel, pinch, double click and keys, and is moved by dragging, two fingers and keys. */
export function ZoomBox({ view, onView, label, room = [1, 1], dragTaken, clicksTaken, mirror, flip, style, className, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const space = useRef(false);
  /** Where in the frame a point of the screen is, 0–1, as the picture lies. */
  const at = (x: number, y: number): [number, number] => {
    const box = frame.current!.getBoundingClientRect();
    const [u, v] = [(x - box.left) / box.width, (y - box.top) / box.height];
    return [mirror ? 1 - u : u, flip ? 1 - v : v];
  };
  /** A view dragged by px of the screen. */
  const moved = (from: Nearness, dx: number, dy: number) => {
    const { clientWidth: w, clientHeight: h } = frame.current!;
    return dragged(from, ((mirror ? -1 : 1) * dx) / w, ((flip ? -1 : 1) * dy) / h, room);
  };
  useGesture(
    {
      onDrag: ({ event, delta: [dx, dy], buttons, touches, pinching }) => {
        // What is taken hold of on the picture is dragged by itself.
        if ((event.target as Element).closest?.('[data-handle]')) return;
        if (pinching || view.zoom <= 1 || (dragTaken && !space.current && buttons !== 4 && touches < 2)) return;
        onView(moved(view, dx, dy));
      },
      onPinch: ({ delta: [grown], offset: [scale], origin: [x, y], first, memo }) => {
        const before = first ? { scale: scale - grown, x, y } : (memo as { scale: number; x: number; y: number });
        const [u, v] = at(x, y);
        onView(moved(zoomedAt(view, scale / before.scale, u, v, room), x - before.x, y - before.y));
        return { scale, x, y };
      },
      onWheel: ({ event, delta: [, dy] }) => {
        // With the control key it is a pinch.
        if (event.ctrlKey) return;
        event.preventDefault();
        onView(zoomedAt(view, Math.exp(-dy / 400), ...at(event.clientX, event.clientY), room));
      },
    },
    {
      target: frame,
      eventOptions: { passive: false },
      drag: { filterTaps: true, pointer: { buttons: [1, 4] } },
      pinch: { from: () => [view.zoom, 0], scaleBounds: { min: 0.5, max: 24 } },
    },
  );
  const key = (e: KeyboardEvent) => {
    if (e.key === ' ' && e.target === e.currentTarget) {
      space.current = true;
      e.preventDefault();
      return;
    }
    if (e.defaultPrevented || e.ctrlKey || e.metaKey) return;
    const next = keyed(view, e.key, room);
    if (!next) return;
    e.preventDefault();
    onView(next);
  };
  return (
    <div
      ref={frame}
      role="group"
      aria-label={label}
      tabIndex={0}
      className={`relative touch-none overflow-hidden focus-visible:outline-2 ${view.zoom > 1 && !dragTaken ? 'cursor-grab active:cursor-grabbing' : ''} ${className ?? ''}`}
      style={style}
      onKeyDown={key}
      onKeyUp={(e) => e.key === ' ' && (space.current = false)}
      onDoubleClick={(e) => !clicksTaken && onView(swapped(view, ...at(e.clientX, e.clientY), room))}
    >
      {children}
    </div>
  );
}

/** What fills its frame when it is seen whole, drawn as near as it is looked at. */
export function Nearer({ view: { zoom, x, y }, children }: { view: Nearness; children: ReactNode }) {
  return (
    <div
      className="origin-top-left"
      style={{ transform: `translate(${(0.5 - x * zoom) * 100}%, ${(0.5 - y * zoom) * 100}%) scale(${zoom})` }}
    >
      {children}
    </div>
  );
}
