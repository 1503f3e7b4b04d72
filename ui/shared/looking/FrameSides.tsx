'use client';
import { LeaningCrop, leaningCorners, movedSide, sideMiddles } from '@/core/capture/leaning';
import { amount } from '@/core/message';
import { useSay } from '../../words/Words';
import { Handle } from './Handle';

interface Props {
  frame: LeaningCrop;
  width: number;
  height: number;
  unit: number;
  onFrame: (frame: LeaningCrop) => void;
}

const SIDES = ['left', 'right', 'top', 'bottom'] as const;

/** A frame over a picture with four sides to be moved, by pointer or arrow keys; what lies outside is darkened. */
export function FrameSides({ frame, width, height, unit, onFrame }: Props) {
  const say = useSay();
  const corners = leaningCorners({ ...frame, turn: 0 });
  const middles = sideMiddles(frame);
  const outline = `M${corners.map((p) => p.join(' ')).join('L')}Z`;
  return (
    <>
      <path d={`M0 0H${width}V${height}H0Z${outline}`} fill="#000" fillOpacity="0.55" fillRule="evenodd" pointerEvents="none" />
      <path d={outline} fill="none" stroke="#fff" strokeWidth={2 * unit} pointerEvents="none" />
      {SIDES.map((side) => (
        <Handle
          key={side}
          at={middles[side]}
          label={say('look.cropping.side', {
            side,
            at: amount(Math.round(middles[side][side === 'left' || side === 'right' ? 0 : 1]), 'px'),
          })}
          unit={1.4 * unit}
          step={2}
          onMove={(to) => onFrame(movedSide(frame, side, to, width, height))}
        />
      ))}
    </>
  );
}
