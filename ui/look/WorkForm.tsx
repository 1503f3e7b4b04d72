'use client';
import { useEffect, useRef, useState } from 'react';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useAct } from '../shared/useAct';
import type { LookWork } from './work';

const INCH = 25.4;

/** What is known and noted of a work: saved field by field as each is left. */
export function WorkForm({
  work,
  units,
  onCrop,
  groups,
}: {
  work: LookWork;
  units: 'mm' | 'inch';
  onCrop: () => void;
  groups: string[];
}) {
  const { act, busy, problem } = useAct();
  const [fact, setFact] = useState('');
  const [source, setSource] = useState('');
  const shown = (mm: number | null) => (mm === null ? '' : units === 'inch' ? (mm / INCH).toFixed(2) : String(mm));
  // What is being typed stays as it is while something else is saved; each save knows the version the one before it made.
  const version = useRef(work.version);
  const chain = useRef<Promise<unknown>>(Promise.resolve());
  useEffect(() => {
    version.current = Math.max(version.current, work.version);
  }, [work.version]);
  const save = (value: Record<string, unknown>) => {
    chain.current = chain.current.then(() =>
      act(async () => {
        const answer = await send<{ version: number }>('PATCH', `/api/works/${work.id}`, {
          version: version.current,
          ...value,
        });
        version.current = answer.version;
      }),
    );
  };
  const size = (name: 'widthMm' | 'heightMm', label: string) => (
    <label className="grid gap-1">
      {label} ({units === 'inch' ? 'in' : 'mm'})
      <input
        className="input input-sm w-28"
        inputMode="decimal"
        defaultValue={shown(work[name])}
        onBlur={(e) => {
          const typed = e.target.value.trim().replace(',', '.');
          const value = typed === '' ? null : Number(typed) * (units === 'inch' ? INCH : 1);
          if (typed !== shown(work[name])) save({ [name]: value });
        }}
      />
    </label>
  );
  const ratio =
    work.widthMm && work.heightMm ? work.widthMm / work.heightMm / (work.pictureWidth / work.pictureHeight) : 1;
  return (
    <div className="mt-3 grid gap-3">
      <label className="grid gap-1">
        Title
        <input
          className="input input-sm w-full"
          defaultValue={work.title}
          maxLength={120}
          onBlur={(e) => e.target.value.trim() && e.target.value !== work.title && save({ title: e.target.value })}
        />
      </label>
      <div className="flex gap-3">
        {size('widthMm', 'Real width')}
        {size('heightMm', 'height')}
        <label className="grid gap-1">
          Dated
          <input
            className="input input-sm w-24"
            defaultValue={work.dated}
            maxLength={40}
            onBlur={(e) => e.target.value !== work.dated && save({ dated: e.target.value })}
          />
        </label>
      </div>
      {Math.abs(ratio - 1) > 0.03 && (
        <p className="text-sm">
          The picture’s shape and these sizes differ by {Math.round(100 * Math.abs(ratio - 1))} %. Crop the picture to
          the work, or check the sizes.
        </p>
      )}
      {work.widthMm === null && (
        <p className="text-sm">Without the real width, marks are given per thousandth of the picture’s width.</p>
      )}
      <div className="flex items-end gap-3">
        <label className="grid gap-1">
          Group
          <input
            list="groups"
            className="input input-sm w-32"
            defaultValue={work.group ?? ''}
            placeholder="early, late …"
            maxLength={60}
            onBlur={(e) => e.target.value.trim() !== (work.group ?? '') && save({ group: e.target.value })}
          />
          <datalist id="groups">
            {[...new Set([...groups, 'early', 'late'])].map((g) => (
              <option key={g} value={g} />
            ))}
          </datalist>
        </label>
        <label className="flex items-center gap-2 pb-1">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            defaultChecked={work.foil}
            onChange={(e) => save({ foil: e.target.checked })}
          />
          by another hand (a foil)
        </label>
      </div>
      <div className="flex gap-2">
        <button type="button" className="btn btn-sm" onClick={onCrop}>
          Crop or turn
        </button>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => void act(() => send('DELETE', `/api/works/${work.id}`))}
        >
          Remove this work
        </button>
      </div>
      <label className="grid gap-1">
        What strikes you first?
        <textarea
          className="textarea w-full"
          rows={3}
          defaultValue={work.impressions}
          maxLength={4000}
          onBlur={(e) => e.target.value !== work.impressions && save({ impressions: e.target.value })}
        />
      </label>
      <section>
        <h2 className="text-lg font-semibold">Facts</h2>
        <ul className="grid gap-1">
          {work.facts.map((f) => (
            <li key={f.id}>
              {f.text} <span className="text-sm italic">{f.source ?? 'inferred'}</span>{' '}
              <button
                type="button"
                className="link text-sm"
                onClick={() => void act(() => send('DELETE', `/api/works/${work.id}/facts?id=${f.id}`))}
              >
                remove
              </button>
            </li>
          ))}
        </ul>
        <form
          className="mt-2 grid gap-2"
          onSubmit={async (e) => {
            e.preventDefault();
            if (await act(() => send('POST', `/api/works/${work.id}/facts`, { text: fact, source: source || null }))) {
              setFact('');
              setSource('');
            }
          }}
        >
          <input
            aria-label="A fact"
            className="input input-sm w-full"
            required
            maxLength={2000}
            placeholder="A fact about this work"
            value={fact}
            onChange={(e) => setFact(e.target.value)}
          />
          <div className="flex gap-2">
            <input
              aria-label="Where it was read"
              className="input input-sm flex-1"
              maxLength={190}
              placeholder="Where you read it; empty means inferred"
              value={source}
              onChange={(e) => setSource(e.target.value)}
            />
            <button className="btn btn-sm">Add</button>
          </div>
        </form>
      </section>
      <p role="status" className="text-sm">
        {busy ? 'Saving …' : problem ? '' : 'Saved'}
      </p>
      <Notice message={problem} />
    </div>
  );
}
