'use client';
import { useRef, useState } from 'react';
import { amount } from '@/core/message';
import type { Crop } from '@/core/raster/crop';
import { screenPicture } from '../shared/reading/client';
import { useSay } from '../words/Words';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  onCancel: () => void;
  onDone: (crop: Crop) => void;
}

type Side = 'left' | 'top' | 'right' | 'bottom';

/** A frame with four movable sides over the picture, by pointer or arrow keys, and quarter turns. */
export function CropFrame({ pictureId, width, height, onCancel, onDone }: Props) {
  const say = useSay();
  const [sides, setSides] = useState({ left: 0, top: 0, right: width, bottom: height });
  const [turn, setTurn] = useState<Crop['turn']>(0);
  const frame = useRef<HTMLDivElement>(null);
  const move = (side: Side, to: number) =>
    setSides((s) => {
      const v = Math.round(to);
      if (side === 'left') return { ...s, left: Math.max(0, Math.min(s.right - 16, v)) };
      if (side === 'right') return { ...s, right: Math.min(width, Math.max(s.left + 16, v)) };
      if (side === 'top') return { ...s, top: Math.max(0, Math.min(s.bottom - 16, v)) };
      return { ...s, bottom: Math.min(height, Math.max(s.top + 16, v)) };
    });
  const percent = {
    left: (100 * sides.left) / width,
    top: (100 * sides.top) / height,
    right: 100 - (100 * sides.right) / width,
    bottom: 100 - (100 * sides.bottom) / height,
  };
  const handle = (side: Side, style: React.CSSProperties) => (
    <button
      key={side}
      type="button"
      aria-label={say('look.cropping.side', { side, at: amount(sides[side], 'px') })}
      className="absolute z-10 size-6 border-2 border-black bg-white"
      style={{ ...style, transform: 'translate(-50%, -50%)' }}
      onKeyDown={(e) => {
        const step = e.shiftKey ? 20 : 2;
        const by = { ArrowLeft: -step, ArrowUp: -step, ArrowRight: step, ArrowDown: step }[e.key];
        if (by === undefined) return;
        e.preventDefault();
        move(side, sides[side] + by);
      }}
      onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
      onPointerMove={(e) => {
        if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
        const box = frame.current!.getBoundingClientRect();
        move(
          side,
          side === 'left' || side === 'right'
            ? ((e.clientX - box.left) / box.width) * width
            : ((e.clientY - box.top) / box.height) * height,
        );
      }}
    />
  );
  const midX = (percent.left + 100 - percent.right) / 2;
  const midY = (percent.top + 100 - percent.bottom) / 2;
  return (
    <div className="flex flex-1 flex-col items-center gap-3">
      <div
        ref={frame}
        className="relative touch-none"
        style={{ aspectRatio: `${width} / ${height}`, width: `min(100cqw, calc((100cqh - 3.5rem) * ${width / height}))` }}
      >
        <img src={screenPicture(pictureId)} alt={say('look.cropping.picture')} className="h-full w-full" draggable={false} />
        <div
          aria-hidden
          className="absolute border-2 border-white shadow-[0_0_0_9999px_rgba(0,0,0,0.55)] [clip-path:inset(-9999px)]"
          style={{
            left: `${percent.left}%`,
            top: `${percent.top}%`,
            right: `${percent.right}%`,
            bottom: `${percent.bottom}%`,
          }}
        />
        {handle('left', { left: `${percent.left}%`, top: `${midY}%` })}
        {handle('right', { left: `${100 - percent.right}%`, top: `${midY}%` })}
        {handle('top', { left: `${midX}%`, top: `${percent.top}%` })}
        {handle('bottom', { left: `${midX}%`, top: `${100 - percent.bottom}%` })}
      </div>
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
