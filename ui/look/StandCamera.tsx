'use client';
import { useState } from 'react';
import { typed } from '@/core/message';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import type { LookWork } from './work';
import { useSay } from '../words/Words';

const SLIDERS = [
  ['rotation', -20, 20, 1, 'degrees'],
  ['tilt', 0, 25, 1, 'degrees'],
  ['falloff', 0, 40, 1, 'share'],
  ['warmth', -20, 20, 1, null],
  ['blur', 0, 3, 0.1, 'px'],
  ['noise', 0, 12, 0.5, null],
] as const;

const TABLES = ['plain', 'wood', 'cluttered', 'similar'] as const;

/** A stand-in camera: photographs the chosen picture as a classroom would, so that everything can be tried without one. */
export function StandCamera({ studyId, work, onClose }: { studyId: string; work: LookWork; onClose: () => void }) {
  const say = useSay();
  const [values, setValues] = useState<Record<string, number>>({
    rotation: 4,
    tilt: 8,
    falloff: 15,
    warmth: 4,
    blur: 0.5,
    noise: 2,
  });
  const shown = (value: number, step: number, unit: (typeof SLIDERS)[number][4]) => {
    const written = say.number(value, step < 1 ? 1 : 0);
    return unit === null ? written : say(`units.${unit}`, { n: typed(written) });
  };
  const [table, setTable] = useState('wood');
  const { act, busy, problem } = useChange();
  return (
    <section className="my-3 border border-base-300 p-3" aria-label={say('stand.title')}>
      <h2 className="text-lg font-semibold">{say('stand.title')}</h2>
      <p className="text-sm">{say('stand.how', { work: typed(work.title) })}</p>
      {SLIDERS.map(([name, low, high, step, unit]) => (
        <label key={name} className="grid grid-cols-[10rem_1fr_3.5rem] items-center gap-2 text-sm">
          {say(`stand.${name}`)}
          <input
            type="range"
            className="range range-xs"
            min={low}
            max={high}
            step={step}
            value={values[name]}
            onChange={(e) => setValues({ ...values, [name]: Number(e.target.value) })}
          />
          <span>{shown(values[name], step, unit)}</span>
        </label>
      ))}
      <label className="mt-1 grid grid-cols-[10rem_1fr] items-center gap-2 text-sm">
        {say('stand.table')}
        <select className="select select-sm" value={table} onChange={(e) => setTable(e.target.value)}>
          {TABLES.map((t) => (
            <option key={t} value={t}>
              {say(`stand.tables.${t}`)}
            </option>
          ))}
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
                title: say('stand.photographed', { work: typed(work.title) }),
                ...values,
              }),
            ).then((ok) => ok && onClose())
          }
        >
          {say(busy ? 'stand.exposing' : 'stand.take')}
        </button>
        <button type="button" className="btn btn-sm" onClick={onClose}>
          {say('shared.close')}
        </button>
      </div>
      <Notice said={problem} />
    </section>
  );
}
