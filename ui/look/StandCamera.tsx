'use client';
import { useState } from 'react';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useAct } from '../shared/useAct';
import type { LookWork } from './work';

const SLIDERS = [
  ['rotation', 'Turned on the table', -20, 20, 1, '°'],
  ['tilt', 'Camera off square', 0, 25, 1, '°'],
  ['falloff', 'Light falls off by', 0, 40, 1, '%'],
  ['warmth', 'Warm or cool light', -20, 20, 1, ''],
  ['blur', 'Blur', 0, 3, 0.1, 'px'],
  ['noise', 'Noise', 0, 12, 0.5, ''],
] as const;

/** A stand-in camera: photographs the chosen picture as a classroom would, so that everything can be tried without one. */
export function StandCamera({ studyId, work, onClose }: { studyId: string; work: LookWork; onClose: () => void }) {
  const [values, setValues] = useState<Record<string, number>>({
    rotation: 4,
    tilt: 8,
    falloff: 15,
    warmth: 4,
    blur: 0.5,
    noise: 2,
  });
  const [table, setTable] = useState('wood');
  const { act, busy, problem } = useAct();
  return (
    <section className="my-3 border border-base-300 p-3" aria-label="Stand-in camera">
      <h2 className="text-lg font-semibold">Stand-in camera</h2>
      <p className="text-sm">Photographs “{work.title}” lying on a table and adds the photograph as a work.</p>
      {SLIDERS.map(([name, label, low, high, step, unit]) => (
        <label key={name} className="grid grid-cols-[10rem_1fr_3.5rem] items-center gap-2 text-sm">
          {label}
          <input
            type="range"
            className="range range-xs"
            min={low}
            max={high}
            step={step}
            value={values[name]}
            onChange={(e) => setValues({ ...values, [name]: Number(e.target.value) })}
          />
          <span>
            {values[name]} {unit}
          </span>
        </label>
      ))}
      <label className="mt-1 grid grid-cols-[10rem_1fr] items-center gap-2 text-sm">
        Table
        <select className="select select-sm" value={table} onChange={(e) => setTable(e.target.value)}>
          <option value="plain">plain</option>
          <option value="wood">wooden</option>
          <option value="cluttered">cluttered</option>
          <option value="similar">as light as the sheet</option>
        </select>
      </label>
      <div className="mt-2 flex gap-2">
        <button
          type="button"
          className="btn btn-sm btn-primary"
          disabled={busy}
          onClick={() =>
            void act(() =>
              send('POST', `/api/studies/${studyId}/stand`, {
                pictureId: work.pictureId,
                table,
                title: `${work.title}, photographed`,
                ...values,
              }),
            ).then((ok) => ok && onClose())
          }
        >
          {busy ? 'Exposing …' : 'Take the photograph'}
        </button>
        <button type="button" className="btn btn-sm" onClick={onClose}>
          Close
        </button>
      </div>
      <Notice message={problem} />
    </section>
  );
}
