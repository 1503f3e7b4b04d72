'use client';
import { useState } from 'react';
import type { LeaningCrop } from '@/core/capture/leaning';
import { amount } from '@/core/message';
import { FrameSides } from '../shared/looking/FrameSides';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { useSay } from '../words/Words';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  /** Real width of one px, where it is known. */
  mmPerPixel: number | null;
  busy: boolean;
  onCancel: () => void;
  onDone: (part: { x: number; y: number; w: number; h: number; title: string }) => void;
}

/** A part of a work, such as one figure of a crowd, framed to be studied by itself. */
export function PartFrame({ pictureId, width, height, mmPerPixel, busy, onCancel, onDone }: Props) {
  const say = useSay();
  const [{ x, y, w, h }, setFrame] = useState<Pick<LeaningCrop, 'x' | 'y' | 'w' | 'h'>>({
    x: width / 4,
    y: height / 4,
    w: width / 2,
    h: height / 2,
  });
  const [title, setTitle] = useState('');
  const unit = mmPerPixel === null ? 'px' : 'mm';
  const size = (px: number) => amount(Math.round(px * (mmPerPixel ?? 1)), unit);
  return (
    <form
      className="flex min-h-0 flex-1 flex-col items-center gap-3 [&>*:first-child]:w-full"
      onSubmit={(e) => {
        e.preventDefault();
        onDone({ x, y, w, h, title });
      }}
    >
      <PictureView pictureId={pictureId} width={width} height={height} alt={say('look.part.picture')} on={PLAIN}>
        {(unit) => <FrameSides frame={{ x, y, w, h, turn: 0, lean: 0 }} width={width} height={height} unit={unit} onFrame={setFrame} />}
      </PictureView>
      <div className="bench-note flex flex-wrap items-center gap-3 rounded px-3 py-2">
        <label className="flex items-center gap-2">
          {say('look.part.title')}
          <input
            className="input input-sm w-56"
            required
            maxLength={120}
            placeholder={say('look.part.example')}
            value={title}
            onChange={(e) => setTitle(e.target.value)}
          />
        </label>
        <span>{say('look.part.size', { width: size(w), height: size(h) })}</span>
        <button className="btn btn-sm" disabled={busy}>
          {say(busy ? 'shared.saving' : 'look.part.keep')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onCancel}>
          {say('shared.cancel')}
        </button>
      </div>
    </form>
  );
}
