'use client';
import { useState } from 'react';
import { amount } from '@/core/message';
import type { Point } from '@/core/raster/image';
import { FourCorners } from '../shared/looking/FourCorners';
import { Nearness, WHOLE } from '../shared/looking/nearness';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { inPhotograph, onSheet } from './linkedViews';
import type { Piece } from './piece';
import { useSay } from '../words/Words';

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
  // Near one they are near both; while a corner is being moved, by where it was.
  const [view, setView] = useState<Nearness>(WHOLE);
  const shares = (piece.corners ?? corners).map(([x, y]): Point => [x / w, y / h]);
  const linked = piece.rectifiedId ? { view, onView: setView } : undefined;
  return (
    <div className="grid min-h-0 flex-1 gap-4 max-md:grid-rows-2 md:grid-cols-2">
      <figure className="flex min-h-0 flex-col gap-2">
        <PictureView pictureId={piece.photoId} width={w} height={h} alt={say('pieces.photograph')} on={PLAIN} linked={linked}>
          {(unit) => (
            <FourCorners
              corners={corners}
              width={w}
              height={h}
              unit={unit}
              label={(corner, [x, y]) => say('pieces.corner', { corner, x: Math.round(x), y: Math.round(y) })}
              onCorners={(next) => {
                setMoved(true);
                setCorners(next);
              }}
            />
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
