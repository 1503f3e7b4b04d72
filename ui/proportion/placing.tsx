'use client';
import { useState } from 'react';
import { TEMPLATES, TemplateName } from '@/core/proportion/templates';
import { PictureView } from '../shared/looking/PictureView';
import { Looking } from '../shared/looking/tools';
import { text } from '../text/en';
import { LandmarkLayer } from './LandmarkLayer';
import { LandmarkSet, useLandmarks } from './useLandmarks';

/** Placing the points of a template, one after another, on a work, a piece or a reference. */
export function usePlacing(subject: 'work' | 'piece' | 'reference', id: string, template: TemplateName, sets: readonly LandmarkSet[]) {
  const held = useLandmarks(
    subject,
    id,
    template,
    sets.find((s) => s.template === template),
  );
  const [selected, setSelected] = useState<string | null>(null);
  const all = TEMPLATES[template];
  const next = all.find((p) => !held.points[p.name] && p.name === selected) ?? all.find((p) => !held.points[p.name]) ?? null;
  return { ...held, all, next, selected, setSelected };
}

type Placing = ReturnType<typeof usePlacing>;

/** The picture to click on, with the points that have been placed. */
export function PlacingView({
  placing,
  picture,
  on,
  lens,
}: {
  placing: Placing;
  picture: { id: string; width: number; height: number; alt: string };
  on: Looking;
  lens: boolean;
}) {
  const { points, show, save, all, next, selected, setSelected } = placing;
  return (
    <PictureView
      pictureId={picture.id}
      width={picture.width}
      height={picture.height}
      alt={picture.alt}
      on={on}
      lensAlways={lens && !!next}
      className="flex-1"
      onPoint={(at) => {
        if (!next) return;
        show({ ...points, [next.name]: [Math.round(at[0] * 4) / 4, Math.round(at[1] * 4) / 4] });
        setSelected(null);
        save(`placing “${next.words}”`);
      }}
    >
      <LandmarkLayer
        points={points}
        names={all}
        selected={selected}
        width={picture.width}
        onSelect={setSelected}
        onDrag={(name, at) => show({ ...points, [name]: at })}
        onRest={save}
        onRemove={(name) => {
          const { [name]: _gone, ...rest } = points;
          show(rest);
          save(`removing “${all.find((p) => p.name === name)?.words}”`);
        }}
      />
    </PictureView>
  );
}

/** Which point comes next, how many are placed, and all of them by name. */
export function PlacingPrompt({ placing, children }: { placing: Placing; children?: React.ReactNode }) {
  const { points, all, next, selected, setSelected, state } = placing;
  return (
    <>
      <p className="mt-3 text-lg" role="status">
        {next ? (
          <>
            Click on the <strong>{next.words}</strong>.
          </>
        ) : (
          'Every point is placed. Move one with the pointer or the arrow keys.'
        )}
      </p>
      <p className="text-sm">
        {Object.keys(points).length} of {all.length} points; a hidden one can be left out. {text.shared[state]}. {children}
      </p>
      <details className="mt-1 text-sm">
        <summary>All points</summary>
        <ul className="columns-2">
          {all.map((p) => (
            <li key={p.name}>
              <button
                type="button"
                className={`text-left hover:underline ${p.name === selected ? 'font-semibold' : ''}`}
                onClick={() => setSelected(p.name)}
              >
                {points[p.name] ? '●' : '○'} {p.words}
              </button>
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}
