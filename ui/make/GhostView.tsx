'use client';
import { useEffect, useState } from 'react';
import type { Message } from '@/core/message';
import { problemOf } from '../shared/request';
import type { Landmarks } from '@/core/proportion/align';
import { WHOLE } from '../shared/looking/nearness';
import { Nearer, ZoomBox } from '../shared/looking/ZoomBox';
import { readingWorker, screenPicture, wholePicture } from '../shared/reading/client';
import type { ShownPicture } from '../shared/reading/reading.worker';
import type { MasterWork, Reference } from './reference';
import { ShownCanvas } from './ShownCanvas';
import { useSay } from '../words/Words';

export type Aid = 'values' | 'palette';
type AidPicture = ShownPicture & { parts: { hex: string; master: number; here: number }[] };

interface Props {
  view: 'ghost' | Aid;
  reference: Reference;
  from: Landmarks;
  to: Landmarks;
  ghost: ShownPicture | null;
  works: MasterWork[];
}

/** Reference on the left, what the manner makes of it on the right; points show where each has gone. */
export function GhostView({ view, reference, from, to, ghost, works }: Props) {
  const say = useSay();
  const [steps, setSteps] = useState(5);
  const [workId, setWorkId] = useState(works.find((w) => w.palette.length)?.id ?? works[0]?.id ?? '');
  const [aid, setAid] = useState<{ key: string; picture: AidPicture } | null>(null);
  const [problem, setProblem] = useState<Message | null>(null);
  const work = works.find((w) => w.id === workId) ?? null;
  const key = `${view}:${workId}:${steps}:${reference.pictureId}`;
  useEffect(() => {
    if (view === 'ghost' || !work) return;
    let gone = false;
    const worker = readingWorker();
    const url = wholePicture(reference.pictureId);
    const asked =
      view === 'values' ? worker.mastersValues(url, wholePicture(work.pictureId), steps) : worker.mastersPalette(url, work.palette);
    asked.then(
      (picture) => !gone && (setAid({ key, picture }), setProblem(null)),
      (error: unknown) => !gone && setProblem(problemOf(error)),
    );
    return () => {
      gone = true;
    };
  }, [view, work, steps, key, reference.pictureId]);
  const shown = view === 'ghost' ? ghost : aid?.key === key ? aid.picture : null;
  const [w, h] = [reference.pictureWidth, reference.pictureHeight];
  const [near, setNear] = useState(WHOLE);
  const mark = w / 130 / near.zoom;
  return (
    <div className="flex flex-1 flex-col justify-center gap-3">
      <div className="flex items-center justify-center gap-4">
        {[0, 1].map((side) => (
          <figure
            key={side}
            className="relative"
            style={{ width: `min(48cqw, calc((100cqh - ${view === 'ghost' ? 2 : 6}rem) * ${w / h}))` }}
          >
            <ZoomBox view={near} onView={setNear} label={say(`make.left.${side === 0 ? 'reference' : view}`)}>
              <Nearer view={near}>
                <div className="relative" style={{ aspectRatio: `${w} / ${h}` }}>
                  {side === 0 || !shown ? (
                    <img
                      src={near.zoom > 1.3 ? wholePicture(reference.pictureId) : screenPicture(reference.pictureId)}
                      alt={say.typed(reference.title)}
                      className="absolute inset-0 h-full w-full"
                    />
                  ) : null}
                  {side === 1 && (
                    <ShownCanvas picture={shown} label={say(`make.picture.${view}`)} className="absolute inset-0 h-full w-full" />
                  )}
                  {view === 'ghost' && (
                    <svg viewBox={`0 0 ${w} ${h}`} className="absolute inset-0 h-full w-full overflow-visible" aria-hidden>
                      {Object.keys(to).map((name) => {
                        const [a, b] = [from[name], to[name]];
                        if (!a) return null;
                        const p = side === 0 ? a : b;
                        return (
                          <g key={name} fill="none">
                            {side === 1 && (
                              <path
                                d={`M${a[0]} ${a[1]}L${b[0]} ${b[1]}`}
                                stroke="#fff"
                                strokeWidth={mark * 0.5}
                                strokeDasharray={`${mark} ${mark}`}
                                style={{ mixBlendMode: 'difference' }}
                              />
                            )}
                            <circle cx={p[0]} cy={p[1]} r={mark} stroke="#000" strokeWidth={mark * 0.6} />
                            <circle cx={p[0]} cy={p[1]} r={mark} stroke="#fff" strokeWidth={mark * 0.28} />
                          </g>
                        );
                      })}
                    </svg>
                  )}
                </div>
              </Nearer>
            </ZoomBox>
            <figcaption className="mt-1 text-sm max-sm:truncate">{say(`make.left.${side === 0 ? 'reference' : view}`)}</figcaption>
          </figure>
        ))}
      </div>
      {view !== 'ghost' && (
        <div className="bench-note mx-auto flex flex-wrap items-center gap-3 rounded px-3 py-2 text-sm">
          <label className="flex items-center gap-2">
            {say('shared.from')}
            <select className="select select-sm bg-base-100 text-base-content" value={workId} onChange={(e) => setWorkId(e.target.value)}>
              {works.map((v) => (
                <option key={v.id} value={v.id}>
                  {say.typed(v.title)}
                </option>
              ))}
            </select>
          </label>
          {view === 'values' && (
            <label className="flex items-center gap-2">
              {say('shared.steps')}
              <input
                type="range"
                className="range range-xs w-28"
                min={2}
                max={9}
                value={steps}
                onChange={(e) => setSteps(Number(e.target.value))}
              />
              {steps}
            </label>
          )}
          {shown && 'parts' in shown && (
            <ul className="flex flex-wrap gap-2" aria-label={say('make.shares')}>
              {(shown as AidPicture).parts.map((p, i) => (
                <li key={i} className="flex items-center gap-1">
                  <span aria-hidden className="size-5 border border-white" style={{ background: p.hex }} />
                  {say.amount(p.master, 'share')} → {say.amount(p.here, 'share')}
                </li>
              ))}
            </ul>
          )}
          {problem && <span role="alert">{say(problem)}</span>}
        </div>
      )}
    </div>
  );
}
