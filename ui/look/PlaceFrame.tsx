'use client';
import { useQuery } from '@tanstack/react-query';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { LEFT_OUT_AS, LeftOutAs } from '@/core/raster/leftOut';
import { FrameSides } from '../shared/looking/FrameSides';
import { PictureView } from '../shared/looking/PictureView';
import { PLAIN } from '../shared/looking/tools';
import { readingWorker, wholePicture } from '../shared/reading/client';
import { useSay } from '../words/Words';
import { OutlineHandles } from './OutlineHandles';

type At = [number, number];

export interface ReadPlace {
  frame: [number, number, number, number] | null;
  leftOut: At[][] | null;
  leftOutAs: LeftOutAs[] | null;
}

interface Props extends ReadPlace {
  pictureId: string;
  width: number;
  height: number;
  busy: boolean;
  onCancel: () => void;
  onDone: (place: ReadPlace) => void;
}

interface Place {
  outline: At[];
  why: LeftOutAs;
}

const MOST_PLACES = 12;

/** What of a picture is read: the frame of the picture proper, found first, and places within it that are left out of every reading. */
export function PlaceFrame(props: Props) {
  const { pictureId, width, height, busy, onCancel, onDone } = props;
  const say = useSay();
  const { data: found } = useQuery({
    queryKey: ['frame', pictureId],
    queryFn: () => readingWorker().frame(wholePicture(pictureId)),
    staleTime: Infinity,
    retry: false,
  });
  const [own, setOwn] = useState(props.frame);
  const [places, setPlaces] = useState<Place[]>(
    (props.leftOut ?? []).map((outline, i) => ({ outline, why: props.leftOutAs?.[i] ?? 'damage' })),
  );
  const [chosen, setChosen] = useState(0);
  const [x, y, w, h] = own ?? found ?? [0, 0, width, height];
  const add = () => {
    const [cx, cy, s] = [x + w / 2, y + h / 2, Math.min(w, h) / 8];
    const shift = places.length * s * 0.4;
    const at = (dx: number, dy: number): At => [Math.min(width, cx + dx + shift), Math.min(height, cy + dy + shift)];
    setPlaces([...places, { outline: [at(-s, -s), at(s, -s), at(s, s), at(-s, s)], why: 'damage' }]);
    setChosen(places.length);
  };
  const change = (i: number, to: Partial<Place>) => setPlaces(places.map((p, k) => (k === i ? { ...p, ...to } : p)));
  return (
    <div className="flex min-h-0 flex-1 flex-col items-center gap-3 [&>*:first-child]:w-full">
      <PictureView pictureId={pictureId} width={width} height={height} alt={say('look.place.picture')} on={PLAIN}>
        {(unit) => (
          <>
            <FrameSides
              frame={{ x, y, w, h, turn: 0, lean: 0 }}
              width={width}
              height={height}
              unit={unit}
              onFrame={(f) => setOwn([f.x, f.y, f.w, f.h])}
            />
            {places.map(({ outline }, i) => (
              <g key={i} onPointerDown={() => setChosen(i)}>
                <polygon
                  points={outline.map((p) => p.join(',')).join(' ')}
                  fill="#000"
                  fillOpacity="0.55"
                  stroke="#000"
                  strokeWidth={3.2 * unit}
                />
                <polygon
                  points={outline.map((p) => p.join(',')).join(' ')}
                  fill="none"
                  stroke="#fff"
                  strokeWidth={1.4 * unit}
                  strokeDasharray={`${5 * unit} ${3 * unit}`}
                />
              </g>
            ))}
            {places[chosen] && (
              <OutlineHandles
                outline={places[chosen].outline}
                n={chosen + 1}
                width={width}
                height={height}
                unit={unit}
                onOutline={(outline) => change(chosen, { outline })}
              />
            )}
          </>
        )}
      </PictureView>
      <div className="bench-note grid max-w-full gap-2 rounded px-3 py-2">
        <p>{say(own ? 'look.place.own' : 'look.place.found')}</p>
        <ul className="flex flex-wrap gap-2">
          {places.map(({ why }, i) => (
            <li key={i} className={`flex items-center gap-1 rounded px-1 ${i === chosen ? 'outline-2 outline-current' : ''}`}>
              <label className="flex items-center gap-1 whitespace-nowrap" onFocus={() => setChosen(i)}>
                {say('look.place.n', { n: i + 1 })}
                <select className="select select-sm" value={why} onChange={(e) => change(i, { why: e.target.value as LeftOutAs })}>
                  {LEFT_OUT_AS.map((v) => (
                    <option key={v} value={v}>
                      {say(`look.place.why.${v}`)}
                    </option>
                  ))}
                </select>
              </label>
              <button
                type="button"
                className="btn btn-square btn-ghost btn-sm"
                aria-label={say('look.place.remove', { n: i + 1 })}
                onClick={() => {
                  setPlaces(places.filter((_, k) => k !== i));
                  setChosen(0);
                }}
              >
                <X aria-hidden className="size-4" />
              </button>
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap gap-3">
          <button type="button" className="btn btn-sm" disabled={places.length >= MOST_PLACES} onClick={add}>
            <Plus aria-hidden className="size-4" /> {say('look.place.add')}
          </button>
          {own && (
            <button type="button" className="btn btn-sm" onClick={() => setOwn(null)}>
              {say('look.place.find')}
            </button>
          )}
          <button
            type="button"
            className="btn btn-sm"
            disabled={busy}
            onClick={() =>
              onDone({
                frame: own && [own[0], own[1], own[2], own[3]],
                leftOut: places.length ? places.map((p) => p.outline) : null,
                leftOutAs: places.length ? places.map((p) => p.why) : null,
              })
            }
          >
            {say(busy ? 'shared.saving' : 'look.place.keep')}
          </button>
          <button type="button" className="btn btn-sm" onClick={onCancel}>
            {say('shared.cancel')}
          </button>
        </div>
      </div>
    </div>
  );
}
