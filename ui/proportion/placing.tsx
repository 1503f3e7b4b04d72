'use client';
import { useState } from 'react';
import { amount, message } from '@/core/message';
import { pointName, TEMPLATES, TemplateName } from '@/core/proportion/templates';
import type { Layered } from '../shared/layers/LayerCanvas';
import { PictureView } from '../shared/looking/PictureView';
import { Looking } from '../shared/looking/tools';
import { turnedHead } from '@/core/proportion/turned';
import { LandmarkLayer } from './LandmarkLayer';
import { LandmarkSet, useLandmarks } from './useLandmarks';
import { useSay } from '../words/Words';

/** Placing the points of a template, one after another, on a work, a piece or a reference. */
export function usePlacing(subject: 'work' | 'piece' | 'reference', id: string, template: TemplateName, sets: readonly LandmarkSet[]) {
  const landmarks = useLandmarks(
    subject,
    id,
    template,
    sets.find((s) => s.template === template),
  );
  const [selected, setSelected] = useState<string | null>(null);
  const all = TEMPLATES[template].points.map((p) => ({ ...p, said: pointName(template, p.name) }));
  const next = all.find((p) => !landmarks.points[p.name] && p.name === selected) ?? all.find((p) => !landmarks.points[p.name]) ?? null;
  return { ...landmarks, template, all, next, selected, setSelected };
}

type Placing = ReturnType<typeof usePlacing>;

/** The picture to click on, with the points that have been placed. */
export function PlacingView({
  placing,
  picture,
  on,
  lens,
  layered,
}: {
  placing: Placing;
  picture: { id: string; width: number; height: number; alt: string };
  on: Looking;
  lens: boolean;
  layered?: Layered;
}) {
  const { points, show, save, all, next, selected, setSelected } = placing;
  return (
    <PictureView
      pictureId={picture.id}
      width={picture.width}
      height={picture.height}
      alt={picture.alt}
      on={on}
      layered={layered}
      lensAlways={lens && !!next}
      placing
      onPoint={(at) => {
        if (!next) return;
        show({ ...points, [next.name]: [Math.round(at[0] * 4) / 4, Math.round(at[1] * 4) / 4] });
        setSelected(null);
        save(message('edits.place', { point: next.said }));
      }}
    >
      {(unit) => (
        <LandmarkLayer
          points={points}
          names={all}
          selected={selected}
          unit={unit}
          onSelect={setSelected}
          onDrag={(name, at) => show({ ...points, [name]: at })}
          onRest={save}
          onRemove={(name) => {
            const { [name]: _gone, ...rest } = points;
            show(rest);
            save(message('edits.removePoint', { point: all.find((p) => p.name === name)!.said }));
          }}
        />
      )}
    </PictureView>
  );
}

/** Which point comes next, how many are placed, and all of them by name. */
export function PlacingPrompt({ placing, children }: { placing: Placing; children?: React.ReactNode }) {
  const say = useSay();
  const { template, points, all, next, selected, setSelected, state } = placing;
  const turned = turnedHead({ template, points });
  return (
    <>
      <p className="mt-3 text-lg" role="status">
        {next ? say('proportion.next', { point: next.said }) : say('proportion.done')}
      </p>
      <p className="text-sm">
        {say('proportion.placed', { placed: Object.keys(points).length, all: all.length, state: message(`shared.${state}`) })} {children}
      </p>
      {turned && (
        <p className="alert mt-2 text-sm" role="status">
          {say('proportion.turned', { far: turned.far, times: amount(turned.narrower, 'times') })}
        </p>
      )}
      <details className="mt-1 text-sm">
        <summary>{say('proportion.all')}</summary>
        <ul className="columns-2">
          {all.map((p) => (
            <li key={p.name}>
              <button
                type="button"
                className={`text-start hover:underline ${p.name === selected ? 'font-semibold' : ''}`}
                onClick={() => setSelected(p.name)}
              >
                {points[p.name] ? '●' : '○'} {say(p.said)}
              </button>
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
