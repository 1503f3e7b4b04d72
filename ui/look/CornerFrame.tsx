'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { FourCorners } from '../shared/looking/FourCorners';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { useSay } from '../words/Words';

interface Props {
  pictureId: string;
  width: number;
  height: number;
  busy: boolean;
  onCancel: () => void;
  onDone: (corners: [number, number][]) => void;
}

/** A work photographed at a slant, with its four corners to be moved; where they can be seen they are found first. */
export function CornerFrame({ pictureId, width: w, height: h, busy, onCancel, onDone }: Props) {
  const say = useSay();
  const { data: found } = useQuery({
    queryKey: ['corners', pictureId],
    queryFn: () => readingWorker().corners(wholePicture(pictureId)),
    staleTime: Infinity,
    retry: false,
  });
  const [own, setOwn] = useState<[number, number][] | null>(null);
  const inset: [number, number][] = [
    [0.08 * w, 0.08 * h],
    [0.92 * w, 0.08 * h],
    [0.92 * w, 0.92 * h],
    [0.08 * w, 0.92 * h],
  ];
  const corners = own ?? found ?? inset;
  return (
    <div className="flex min-h-0 flex-1 flex-col items-center gap-3 [&>*:first-child]:w-full">
      <PictureView pictureId={pictureId} width={w} height={h} alt={say('look.flat.picture')} on={PLAIN}>
        {(unit) => (
          <>
            <path d={`M0 0H${w}V${h}H0ZM${corners.map((p) => p.join(' ')).join('L')}Z`} fill="#000" fillOpacity="0.5" fillRule="evenodd" />
            <FourCorners
              corners={corners}
              width={w}
              height={h}
              unit={unit}
              label={(corner, [x, y]) => say('look.flat.corner', { corner, x: Math.round(x), y: Math.round(y) })}
              onCorners={setOwn}
            />
          </>
        )}
      </PictureView>
      <div className="bench-note flex flex-wrap items-center gap-3 rounded px-3 py-2">
        <span>{say(found && !own ? 'look.flat.found' : 'look.flat.how')}</span>
        <button type="button" className="btn btn-sm" disabled={busy} onClick={() => onDone(corners.map(([x, y]) => [x, y]))}>
          {say(busy ? 'shared.saving' : 'look.flat.keep')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onCancel}>
          {say('shared.cancel')}
        </button>
      </div>
    </div>
  );
}
