'use client';
import { useRef, useState } from 'react';
import { amount } from '@/core/message';
import { Notice } from '../shared/Notice';
import { screenPicture } from '../shared/reading/client';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import type { Piece } from './piece';
import { useSay } from '../words/Words';

const CORNERS = ['tl', 'tr', 'br', 'bl'] as const;

/** The photograph with the sheet's corners, to be moved where they are wrong, beside the squared-up result. */
export function CornerEditor({ piece }: { piece: Piece }) {
  const say = useSay();
  const [w, h] = [piece.photoWidth, piece.photoHeight];
  const [corners, setCorners] = useState<[number, number][]>(
    piece.corners ?? [
      [w * 0.1, h * 0.1],
      [w * 0.9, h * 0.1],
      [w * 0.9, h * 0.9],
      [w * 0.1, h * 0.9],
    ],
  );
  const [moved, setMoved] = useState(false);
  const layer = useRef<SVGSVGElement>(null);
  const { act, busy, problem } = useChange();
  const move = (i: number, to: [number, number]) => {
    setMoved(true);
    setCorners((c) => c.map((p, k) => (k === i ? [Math.max(0, Math.min(w, to[0])), Math.max(0, Math.min(h, to[1]))] : p)));
  };
  const local = (e: React.PointerEvent): [number, number] => {
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(layer.current!.getScreenCTM()!.inverse());
    return [p.x, p.y];
  };
  const r = w / 60;
  return (
    <div className="grid h-full w-full content-center justify-items-center gap-4 overflow-y-auto md:grid-cols-2">
      <figure className="grid gap-2">
        <div className="relative touch-none" style={{ aspectRatio: `${w} / ${h}`, width: `min(48cqw, calc((100cqh - 6rem) * ${w / h}))` }}>
          <img
            src={screenPicture(piece.photoId)}
            alt={say('pieces.photograph')}
            className="absolute inset-0 h-full w-full"
            draggable={false}
          />
          <svg ref={layer} viewBox={`0 0 ${w} ${h}`} className="absolute inset-0 h-full w-full overflow-visible">
            <polygon points={corners.map((p) => p.join(',')).join(' ')} fill="none" stroke="#000" strokeWidth={w / 200} />
            <polygon points={corners.map((p) => p.join(',')).join(' ')} fill="none" stroke="#fff" strokeWidth={w / 420} />
            {corners.map(([x, y], i) => (
              <g
                key={i}
                tabIndex={0}
                role="button"
                aria-label={say('pieces.corner', { corner: CORNERS[i], x: Math.round(x), y: Math.round(y) })}
                className="cursor-move"
                onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
                onPointerMove={(e) => e.currentTarget.hasPointerCapture(e.pointerId) && move(i, local(e))}
                onKeyDown={(e) => {
                  const step = e.shiftKey ? 20 : 2;
                  const by = {
                    ArrowLeft: [-step, 0],
                    ArrowRight: [step, 0],
                    ArrowUp: [0, -step],
                    ArrowDown: [0, step],
                  }[e.key];
                  if (!by) return;
                  e.preventDefault();
                  move(i, [x + by[0], y + by[1]]);
                }}
              >
                <circle cx={x} cy={y} r={r * 1.6} fill="#fff" fillOpacity="0.15" />
                <circle cx={x} cy={y} r={r * 0.8} fill="none" stroke="#000" strokeWidth={w / 240} />
                <circle cx={x} cy={y} r={r * 0.8} fill="none" stroke="#fff" strokeWidth={w / 480} />
              </g>
            ))}
          </svg>
        </div>
        <figcaption className="flex flex-wrap items-center gap-3">
          <span>{say('pieces.moveCorner')}</span>
          <button
            type="button"
            className="btn btn-sm"
            disabled={!moved || busy}
            onClick={() => void act(() => send('PUT', `/api/pieces/${piece.id}/corners`, { version: piece.version, corners }))}
          >
            {say('pieces.again')}
          </button>
        </figcaption>
        <Notice said={problem} />
      </figure>
      <figure className="grid content-start gap-2">
        {piece.rectifiedId ? (
          <img
            src={screenPicture(piece.rectifiedId)}
            alt={say('pieces.squared')}
            className="max-w-[48cqw]"
            style={{ maxHeight: 'calc(100cqh - 6rem)' }}
          />
        ) : (
          <p className="bench-note rounded px-3 py-2">{say('pieces.notYet')}</p>
        )}
        <figcaption>
          {say('pieces.squaredTo', { width: amount(piece.paperWidthMm, 'mm'), height: amount(piece.paperHeightMm, 'mm') })}
        </figcaption>
      </figure>
    </div>
  );
}
