'use client';
import { RotateCw } from 'lucide-react';
import { useState } from 'react';
import { heldInside, LeaningCrop, leaningCorners } from '@/core/capture/leaning';
import { amount, figure } from '@/core/message';
import { FrameSides } from '../shared/looking/FrameSides';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { useSay } from '../words/Words';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  busy: boolean;
  onCancel: () => void;
  onDone: (crop: LeaningCrop) => void;
}

/** Turned by more than this it is another picture's turn. */
const MOST_TURN = 15;

/** A frame with four movable sides over the picture, turned by quarters or by tenths of a degree. */
export function CropFrame({ pictureId, width, height, busy, onCancel, onDone }: Props) {
  const say = useSay();
  const [frame, setFrame] = useState<LeaningCrop>({ x: 0, y: 0, w: width, h: height, turn: 0, lean: 0 });
  // As large as the picture allows at that lean, whatever it was before.
  const lean = (degrees: number) =>
    setFrame((f) =>
      heldInside({ ...(f.w === width || f.lean !== 0 ? { ...f, x: 0, y: 0, w: width, h: height } : f), lean: degrees }, width, height),
    );
  const thirds = leaningCorners({ ...frame, turn: 0 });
  const along = (a: readonly [number, number], b: readonly [number, number], t: number) =>
    `${a[0] + t * (b[0] - a[0])} ${a[1] + t * (b[1] - a[1])}`;
  return (
    <div className="flex min-h-0 flex-1 flex-col items-center gap-3 [&>*:first-child]:w-full">
      <PictureView pictureId={pictureId} width={width} height={height} alt={say('look.cropping.picture')} on={PLAIN}>
        {(unit) => (
          <>
            <FrameSides frame={frame} width={width} height={height} unit={unit} onFrame={setFrame} />
            {frame.lean !== 0 && (
              <path
                d={[1 / 3, 2 / 3]
                  .map(
                    (t) =>
                      `M${along(thirds[0], thirds[1], t)}L${along(thirds[3], thirds[2], t)}M${along(thirds[0], thirds[3], t)}L${along(thirds[1], thirds[2], t)}`,
                  )
                  .join('')}
                stroke="#fff"
                strokeOpacity="0.7"
                strokeWidth={unit}
                pointerEvents="none"
              />
            )}
          </>
        )}
      </PictureView>
      <div className="bench-note flex flex-wrap items-center gap-x-4 gap-y-2 rounded px-3 py-2">
        <span>{say('look.cropping.size', { width: Math.round(frame.w), height: amount(Math.round(frame.h), 'px') })}</span>
        <label className="flex items-center gap-2">
          {say('look.cropping.lean')}
          <input
            type="range"
            className="range range-xs w-40"
            min={-MOST_TURN}
            max={MOST_TURN}
            step={0.1}
            value={frame.lean}
            aria-valuetext={say('look.cropping.leans', { lean: figure(frame.lean, 1) })}
            onChange={(e) => lean(Number(e.target.value))}
          />
          <span className="w-12 text-end">{say('look.cropping.leans', { lean: figure(frame.lean, 1) })}</span>
        </label>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => setFrame((f) => ({ ...f, turn: ((f.turn + 90) % 360) as LeaningCrop['turn'] }))}
        >
          <RotateCw aria-hidden className="size-4" /> {say('look.cropping.turn', { turn: amount(frame.turn, 'degrees') })}
        </button>
        <button type="button" className="btn btn-sm" disabled={busy} onClick={() => onDone(frame)}>
          {say(busy ? 'shared.saving' : 'look.cropping.keep')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onCancel}>
          {say('shared.cancel')}
        </button>
      </div>
    </div>
  );
}
