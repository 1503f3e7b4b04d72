'use client';
import { useState } from 'react';
import { amount } from '@/core/message';
import type { Crop } from '@/core/raster/crop';
import { Handle } from '../shared/looking/Handle';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { useSay } from '../words/Words';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  onCancel: () => void;
  onDone: (crop: Crop) => void;
}

const SIDES = ['left', 'right', 'top', 'bottom'] as const;
type Side = (typeof SIDES)[number];

/** A frame with four movable sides over the picture, by pointer or arrow keys, and quarter turns. */
export function CropFrame({ pictureId, width, height, onCancel, onDone }: Props) {
  const say = useSay();
  const [sides, setSides] = useState({ left: 0, top: 0, right: width, bottom: height });
  const [turn, setTurn] = useState<Crop['turn']>(0);
  const move = (side: Side, to: number) =>
    setSides((s) => {
      const v = Math.round(to);
      if (side === 'left') return { ...s, left: Math.max(0, Math.min(s.right - 16, v)) };
      if (side === 'right') return { ...s, right: Math.min(width, Math.max(s.left + 16, v)) };
      if (side === 'top') return { ...s, top: Math.max(0, Math.min(s.bottom - 16, v)) };
      return { ...s, bottom: Math.min(height, Math.max(s.top + 16, v)) };
    });
  const { left, top, right, bottom } = sides;
  const places: Record<Side, [number, number]> = {
    left: [left, (top + bottom) / 2],
    right: [right, (top + bottom) / 2],
    top: [(left + right) / 2, top],
    bottom: [(left + right) / 2, bottom],
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col items-center gap-3 [&>*:first-child]:w-full">
      <PictureView pictureId={pictureId} width={width} height={height} alt={say('look.cropping.picture')} on={PLAIN}>
        {(unit) => (
          <>
            <path
              d={`M0 0H${width}V${height}H0ZM${left} ${top}V${bottom}H${right}V${top}Z`}
              fill="#000"
              fillOpacity="0.55"
              fillRule="evenodd"
            />
            <rect x={left} y={top} width={right - left} height={bottom - top} fill="none" stroke="#fff" strokeWidth={2 * unit} />
            {SIDES.map((side) => (
              <Handle
                key={side}
                at={places[side]}
                label={say('look.cropping.side', { side, at: amount(sides[side], 'px') })}
                unit={1.4 * unit}
                step={2}
                onMove={([x, y]) => move(side, side === 'left' || side === 'right' ? x : y)}
              />
            ))}
          </>
        )}
      </PictureView>
      <div className="bench-note flex flex-wrap items-center gap-3 rounded px-3 py-2">
        <span>{say('look.cropping.size', { width: sides.right - sides.left, height: amount(sides.bottom - sides.top, 'px') })}</span>
        <button type="button" className="btn btn-sm" onClick={() => setTurn(((turn + 90) % 360) as Crop['turn'])}>
          {say('look.cropping.turn', { turn: amount(turn, 'degrees') })}
        </button>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => onDone({ x: sides.left, y: sides.top, w: sides.right - sides.left, h: sides.bottom - sides.top, turn })}
        >
          {say('look.cropping.keep')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onCancel}>
          {say('shared.cancel')}
        </button>
      </div>
    </div>
  );
}
