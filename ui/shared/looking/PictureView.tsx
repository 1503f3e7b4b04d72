'use client';
import { PointerEvent, ReactNode, useEffect, useRef, useState } from 'react';
import { typed } from '@/core/message';
import { screenPicture, readingWorker, wholePicture } from '../reading/client';
import type { ShownPicture } from '../reading/reading.worker';
import { Looking } from './tools';
import { useSay } from '../../words/Words';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  alt: string;
  on: Looking;
  steps?: number;
  gridColumns?: number;
  /** Drawn over the picture in its own pixels. */
  children?: ReactNode;
  onPoint?: (at: [number, number], event: PointerEvent) => void;
  onMove?: (at: [number, number], event: PointerEvent) => void;
  onRelease?: () => void;
  lensAlways?: boolean;
  /** Shows the whole picture instead of the screen-sized one, for a view drawn nearer. */
  fine?: boolean;
  className?: string;
}

const LENS = 3;

/** A picture on the bench, as large as its place allows, seen through the looking tools. */
export function PictureView({
  pictureId,
  width,
  height,
  alt,
  on,
  steps = 5,
  gridColumns = 6,
  children,
  onPoint,
  onMove,
  onRelease,
  lensAlways,
  fine,
  className,
}: Props) {
  const say = useSay();
  const frame = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [made, setMade] = useState<{ key: string; picture: ShownPicture } | null>(null);
  const [at, setAt] = useState<{ x: number; y: number; w: number } | null>(null);
  const wanted = on.values ? `v${steps}` : on.squint ? 's' : '';
  const key = wanted ? `${pictureId}:${wanted}` : '';
  useEffect(() => {
    if (!key) return;
    let stale = false;
    const worker = readingWorker();
    const url = wholePicture(pictureId);
    void (wanted === 's' ? worker.squint(url, 9) : worker.values(url, steps)).then((picture) => !stale && setMade({ key, picture }));
    return () => {
      stale = true;
    };
  }, [key, wanted, pictureId, steps]);
  const ready = made && made.key === key ? made.picture : null;
  useEffect(() => {
    if (!ready || !canvas.current) return;
    canvas.current.width = ready.width;
    canvas.current.height = ready.height;
    canvas.current.getContext('2d')!.putImageData(new ImageData(new Uint8ClampedArray(ready.rgba), ready.width, ready.height), 0, 0);
  }, [ready]);
  const place = (e: PointerEvent): [number, number] => {
    const box = frame.current!.getBoundingClientRect();
    const u = (e.clientX - box.left) / box.width;
    const v = (e.clientY - box.top) / box.height;
    return [(on.mirror ? 1 - u : u) * width, (on.flip ? 1 - v : v) * height];
  };
  const rows = Math.max(1, Math.round((gridColumns * height) / width));
  const lens = on.lens || lensAlways;
  return (
    <div className={`flex min-h-0 items-center justify-center ${className ?? ''}`}>
      <div
        ref={frame}
        className="relative touch-none select-none"
        style={{
          aspectRatio: `${width} / ${height}`,
          width: `min(100%, calc(var(--bench-height, 54vh) * ${width / height}))`,
          transform: `scale(${on.mirror ? -1 : 1}, ${on.flip ? -1 : 1})`,
        }}
        onPointerDown={(e) => onPoint?.(place(e), e)}
        onPointerMove={(e) => {
          const box = frame.current!.getBoundingClientRect();
          setAt({ x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height, w: box.width });
          onMove?.(place(e), e);
        }}
        onPointerUp={() => onRelease?.()}
        onPointerLeave={() => setAt(null)}
      >
        <img
          src={fine ? wholePicture(pictureId) : screenPicture(pictureId)}
          alt={alt}
          draggable={false}
          className="absolute inset-0 h-full w-full"
        />
        {wanted && (
          <canvas
            ref={canvas}
            aria-label={say(on.values ? 'bench.inValues' : 'bench.squinted', { picture: typed(alt) })}
            className="absolute inset-0 h-full w-full"
            style={{ visibility: ready ? 'visible' : 'hidden' }}
          />
        )}
        <svg viewBox={`0 0 ${width} ${height}`} className="absolute inset-0 h-full w-full overflow-visible">
          {on.grid && (
            <g stroke="#ffffff" strokeWidth={width / 700} style={{ mixBlendMode: 'difference' }}>
              {Array.from({ length: gridColumns - 1 }, (_, i) => (
                <line key={`c${i}`} x1={((i + 1) * width) / gridColumns} x2={((i + 1) * width) / gridColumns} y1={0} y2={height} />
              ))}
              {Array.from({ length: rows - 1 }, (_, i) => (
                <line key={`r${i}`} y1={((i + 1) * height) / rows} y2={((i + 1) * height) / rows} x1={0} x2={width} />
              ))}
            </g>
          )}
          {on.quarters && (
            <g stroke="#ffffff" strokeWidth={width / 450} style={{ mixBlendMode: 'difference' }}>
              <line x1={width / 2} x2={width / 2} y1={0} y2={height} />
              <line x1={0} x2={width} y1={height / 2} y2={height / 2} />
              <g strokeDasharray={`${width / 90} ${width / 90}`}>
                {[0.25, 0.75].map((t) => (
                  <g key={t}>
                    <line x1={t * width} x2={t * width} y1={0} y2={height} />
                    <line x1={0} x2={width} y1={t * height} y2={t * height} />
                  </g>
                ))}
              </g>
            </g>
          )}
          {children}
        </svg>
        {lens && at && (
          <div
            aria-hidden
            className="pointer-events-none absolute size-36 overflow-hidden rounded-full border-2 border-white shadow-[0_0_0_2px_#000]"
            style={{
              left: `${100 * at.x}%`,
              top: `${100 * at.y}%`,
              transform: `translate(${at.x > 0.6 ? '-115%' : '15%'}, ${at.y > 0.5 ? '-115%' : '15%'})`,
              backgroundImage: `url(${screenPicture(pictureId)})`,
              backgroundSize: `${at.w * LENS}px auto`,
              backgroundPosition: `${-at.x * at.w * LENS + 72}px ${-((at.y * at.w * height) / width) * LENS + 72}px`,
            }}
          >
            <span className="absolute top-1/2 left-0 w-full border-t border-white mix-blend-difference" />
            <span className="absolute top-0 left-1/2 h-full border-s border-white mix-blend-difference" />
          </div>
        )}
      </div>
    </div>
  );
}
