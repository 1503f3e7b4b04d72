'use client';
import { PointerEvent } from 'react';
import { screenPicture } from '../reading/client';
import { useSay } from '../../words/Words';
import { bounded, Nearness, Room, WHOLE, zoomedAt } from './nearness';

interface Props {
  pictureId: string;
  ratio: number;
  view: Nearness;
  room: Room;
  onView: (view: Nearness) => void;
  /** The buttons stand elsewhere. */
  mapOnly?: boolean;
}

const SIDE = 112;

/** Buttons for nearer, farther and whole; with a picture come near, a small one that shows which part is seen. */
export function MiniMap({ pictureId, ratio, view, room, onView, mapOnly }: Props) {
  const say = useSay();
  const [w, h] = ratio > 1 ? [SIDE, SIDE / ratio] : [SIDE * ratio, SIDE];
  const seen = room.map((r) => Math.min(1, r / view.zoom));
  const place = (e: PointerEvent<HTMLDivElement>) => {
    if (e.type === 'pointermove' && !e.buttons) return;
    e.stopPropagation();
    e.currentTarget.setPointerCapture(e.pointerId);
    const box = e.currentTarget.getBoundingClientRect();
    onView(bounded({ ...view, x: (e.clientX - box.left) / box.width, y: (e.clientY - box.top) / box.height }, room));
  };
  const near = view.zoom > 1.01;
  return (
    <div className="no-print absolute end-0 bottom-0 flex flex-col items-end gap-1" onDoubleClick={(e) => e.stopPropagation()}>
      {near && (
        <div
          aria-hidden
          className="relative touch-none border border-white shadow-[0_0_0_1px_#000]"
          style={{ width: w, height: h }}
          onPointerDown={place}
          onPointerMove={place}
        >
          <img src={screenPicture(pictureId)} alt="" draggable={false} className="h-full w-full" />
          <span
            className="absolute border-2 border-white shadow-[0_0_0_1px_#000,inset_0_0_0_1px_#000]"
            style={{
              left: `${100 * (view.x - seen[0] / 2)}%`,
              top: `${100 * (view.y - seen[1] / 2)}%`,
              width: `${100 * seen[0]}%`,
              height: `${100 * seen[1]}%`,
            }}
          />
        </div>
      )}
      <div className="bench-note flex rounded text-sm" hidden={mapOnly}>
        {near && (
          <>
            <button type="button" className="px-2 py-0.5 underline" onClick={() => onView(WHOLE)}>
              {say('bench.whole')}
            </button>
            <button
              type="button"
              className="px-2 py-0.5"
              aria-label={say('bench.farther')}
              onClick={() => onView(zoomedAt(view, 1 / 1.5, 0.5, 0.5, room))}
            >
              −
            </button>
          </>
        )}
        <button
          type="button"
          className="px-2 py-0.5"
          aria-label={say('bench.nearer')}
          onClick={() => onView(zoomedAt(view, 1.5, 0.5, 0.5, room))}
        >
          +
        </button>
      </div>
    </div>
  );
}
