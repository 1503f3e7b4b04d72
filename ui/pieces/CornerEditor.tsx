'use client';
import { useState } from 'react';
import { amount } from '@/core/message';
import type { Point } from '@/core/raster/image';
import { Handle } from '../shared/looking/Handle';
import { Nearness, WHOLE } from '../shared/looking/nearness';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { inPhotograph, onSheet } from './linkedViews';
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
  const { act, busy, problem } = useChange();
  const move = (i: number, to: readonly [number, number]) => {
    setMoved(true);
    setCorners((c) => c.map((p, k) => (k === i ? [Math.max(0, Math.min(w, to[0])), Math.max(0, Math.min(h, to[1]))] : p)));
  };
  // Near one they are near both; while a corner is being moved, by where it was.
  const [view, setView] = useState<Nearness>(WHOLE);
  const shares = (piece.corners ?? corners).map(([x, y]): Point => [x / w, y / h]);
  const linked = piece.rectifiedId ? { view, onView: setView } : undefined;
  const outline = corners.map((p) => p.join(',')).join(' ');
  return (
    <div className="grid min-h-0 flex-1 gap-4 max-md:grid-rows-2 md:grid-cols-2">
      <figure className="flex min-h-0 flex-col gap-2">
        <PictureView pictureId={piece.photoId} width={w} height={h} alt={say('pieces.photograph')} on={PLAIN} linked={linked}>
          {(unit) => (
            <>
              <polygon points={outline} fill="none" stroke="#000" strokeWidth={3.2 * unit} />
              <polygon points={outline} fill="none" stroke="#fff" strokeWidth={1.4 * unit} />
              {corners.map(([x, y], i) => (
                <Handle
                  key={i}
                  at={[x, y]}
                  label={say('pieces.corner', { corner: CORNERS[i], x: Math.round(x), y: Math.round(y) })}
                  unit={1.3 * unit}
                  step={2}
                  onMove={(to) => move(i, to)}
                />
              ))}
            </>
          )}
        </PictureView>
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
      <figure className="flex min-h-0 flex-col gap-2">
        {piece.rectifiedId && piece.uprightWidth && piece.uprightHeight ? (
          <PictureView
            pictureId={piece.rectifiedId}
            width={piece.uprightWidth}
            height={piece.uprightHeight}
            alt={say('pieces.squared')}
            on={PLAIN}
            linked={{ view: onSheet(view, shares), onView: (sheet) => setView(inPhotograph(sheet, shares)) }}
          />
        ) : (
          <p className="bench-note m-auto rounded px-3 py-2">{say('pieces.notYet')}</p>
        )}
        <figcaption>
          {say('pieces.squaredTo', { width: amount(piece.paperWidthMm, 'mm'), height: amount(piece.paperHeightMm, 'mm') })}
        </figcaption>
      </figure>
    </div>
  );
}
