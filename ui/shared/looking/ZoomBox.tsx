'use client';
import { CSSProperties, PointerEvent, ReactNode, useEffect, useRef } from 'react';
import { clamp } from '@/core/raster/statistics';

/** How near a picture is looked at, and which part of it stands in the middle, 0–1. */
export interface Nearness {
  zoom: number;
  x: number;
  y: number;
}

export const WHOLE: Nearness = { zoom: 1, x: 0.5, y: 0.5 };
const MOST = 12;

/** The same view with the zoom within its bounds and no edge of the picture drawn inside the frame. */
export function bounded({ zoom, x, y }: Nearness): Nearness {
  const z = clamp(zoom, 1, MOST);
  const half = 0.5 / z;
  return { zoom: z, x: clamp(x, half, 1 - half), y: clamp(y, half, 1 - half) };
}

/** Nearer or farther by a factor, keeping the point at (u, v) of the frame, 0–1, where it is. */
export function zoomedAt(view: Nearness, factor: number, u: number, v: number): Nearness {
  const zoom = clamp(view.zoom * factor, 1, MOST);
  const shift = 1 / view.zoom - 1 / zoom;
  return bounded({ zoom, x: view.x + (u - 0.5) * shift, y: view.y + (v - 0.5) * shift });
}

interface Props {
  view: Nearness;
  onView: (view: Nearness) => void;
  label: string;
  style?: CSSProperties;
  children: ReactNode;
}

const STEP = 0.15;

/** A frame whose picture is drawn nearer by the wheel, moved by dragging, and both by keys. */
export function ZoomBox({ view, onView, label, style, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const grip = useRef<{ x: number; y: number; from: Nearness } | null>(null);
  const latest = useRef({ view, onView });
  useEffect(() => {
    latest.current = { view, onView };
  });
  useEffect(() => {
    const box = frame.current!;
    const wheel = (e: WheelEvent) => {
      e.preventDefault();
      const { left, top, width, height } = box.getBoundingClientRect();
      const { view: now, onView: tell } = latest.current;
      tell(zoomedAt(now, Math.exp(-e.deltaY / 400), (e.clientX - left) / width, (e.clientY - top) / height));
    };
    box.addEventListener('wheel', wheel, { passive: false });
    return () => box.removeEventListener('wheel', wheel);
  }, []);
  const drag = (e: PointerEvent) => {
    if (!grip.current || !frame.current) return;
    const { width, height } = frame.current.getBoundingClientRect();
    const { x, y, from } = grip.current;
    onView(bounded({ zoom: from.zoom, x: from.x - (e.clientX - x) / width / from.zoom, y: from.y - (e.clientY - y) / height / from.zoom }));
  };
  const { zoom, x, y } = view;
  return (
    <div
      ref={frame}
      role="group"
      aria-label={label}
      tabIndex={0}
      className={`relative overflow-hidden focus-visible:outline-2 ${zoom > 1 ? 'cursor-grab active:cursor-grabbing' : ''}`}
      style={style}
      onPointerDown={(e) => {
        if (zoom <= 1) return;
        grip.current = { x: e.clientX, y: e.clientY, from: view };
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={drag}
      onPointerUp={() => (grip.current = null)}
      onPointerCancel={() => (grip.current = null)}
      onKeyDown={(e) => {
        const move = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
        if (move) onView(bounded({ zoom, x: x + (move[0] * STEP) / zoom, y: y + (move[1] * STEP) / zoom }));
        else if (e.key === '+' || e.key === '=') onView(zoomedAt(view, 1.4, 0.5, 0.5));
        else if (e.key === '-') onView(zoomedAt(view, 1 / 1.4, 0.5, 0.5));
        else if (e.key === '0') onView(WHOLE);
        else return;
        e.preventDefault();
      }}
    >
      <div
        className="origin-top-left"
        style={{ transform: `translate(${(0.5 - x * zoom) * 100}%, ${(0.5 - y * zoom) * 100}%) scale(${zoom})` }}
      >
        {children}
      </div>
    </div>
  );
}
