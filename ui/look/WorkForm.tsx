'use client';
import { useEffect, useRef, useState } from 'react';
import { amount, message } from '@/core/message';
import { Notice } from '../shared/Notice';
import { RemovalNote } from '../shared/RemovalNote';
import { MeasureAgain } from '../shared/MeasureAgain';
import { send } from '../shared/request';
import { TypedArea, TypedInput } from '../shared/typing/Typed';
import { useChange } from '../shared/server/useChange';
import type { LookWork } from './work';
import { useSay } from '../words/Words';

const INCH = 25.4;
/** Below this a width is half typed. */
const LEAST_MM = 10;

/** What is known and noted of a work: saved field by field as each is left. */
export function WorkForm({ work, onCrop, groups }: { work: LookWork; onCrop: () => void; groups: string[] }) {
  const say = useSay();
  const { act, problem } = useChange(`work:${work.id}`);
  const [fact, setFact] = useState('');
  const [source, setSource] = useState('');
  const { units } = say.voice;
  // As it can be typed in again: with the language's decimal sign, without parted thousands.
  const sign = say.number(0.5, 1)[1];
  const shown = (mm: number | null) => (mm === null ? '' : (units === 'inch' ? (mm / INCH).toFixed(2) : String(mm)).replace('.', sign));
  // What is being typed stays as it is while something else is saved; each save knows the version the one before it made.
  const version = useRef(work.version);
  useEffect(() => {
    version.current = Math.max(version.current, work.version);
  }, [work.version]);
  const save = (value: Record<string, unknown>): Promise<boolean> =>
    act(async () => {
      const answer = await send<{ version: number }>('PATCH', `/api/works/${work.id}`, { version: version.current, ...value });
      version.current = answer.version;
    });
  const mmOf = (text: string) => Number(text.trim().replace(',', '.')) * (units === 'inch' ? INCH : 1);
  const size = (name: 'widthMm' | 'heightMm', label: 'look.width' | 'look.height') => (
    <label className="grid gap-1">
      {say(label, { unit: message(`units.inPlace.${units}`) })}
      <TypedInput
        place={`work:${work.id}:${name}`}
        stored={shown(work[name])}
        className="input input-sm w-28"
        inputMode="decimal"
        skip={(text) => text.trim() !== '' && !(mmOf(text) >= LEAST_MM)}
        onSave={(text) => save({ [name]: text.trim() === '' ? null : Number.isNaN(mmOf(text)) ? text : mmOf(text) })}
      />
    </label>
  );
  const ratio = work.widthMm && work.heightMm ? work.widthMm / work.heightMm / (work.pictureWidth / work.pictureHeight) : 1;
  return (
    <div className="mt-3 grid gap-3">
      {work.halted && <MeasureAgain studyId={work.studyId} subjectId={work.id} halted={work.halted} />}
      <label className="grid gap-1">
        {say('look.title')}
        <TypedInput
          place={`work:${work.id}:title`}
          stored={work.title}
          className="input input-sm w-full"
          maxLength={120}
          skip={(title) => !title.trim()}
          onSave={(title) => save({ title })}
        />
      </label>
      <div className="flex gap-3">
        {size('widthMm', 'look.width')}
        {size('heightMm', 'look.height')}
        <label className="grid gap-1">
          {say('look.dated')}
          <TypedInput
            place={`work:${work.id}:dated`}
            stored={work.dated}
            className="input input-sm w-24"
            maxLength={40}
            onSave={(dated) => save({ dated })}
          />
        </label>
      </div>
      {Math.abs(ratio - 1) > 0.03 && <p className="text-sm">{say('look.shapes', { share: amount(Math.abs(ratio - 1), 'share') })}</p>}
      {work.widthMm === null && <p className="text-sm">{say('look.noWidth')}</p>}
      <div className="flex items-end gap-3">
        <label className="grid gap-1">
          {say('look.group')}
          <TypedInput
            place={`work:${work.id}:group`}
            stored={work.group ?? ''}
            list="groups"
            className="input input-sm w-32"
            placeholder={say('look.groupExample')}
            maxLength={60}
            onSave={(group) => save({ group })}
          />
          <datalist id="groups">
            {[...new Set([...groups, say('look.early'), say('look.late')])].map((g) => (
              <option key={g} value={g} />
            ))}
          </datalist>
        </label>
        <label className="flex items-center gap-2 pb-1">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            defaultChecked={work.foil}
            onChange={(e) => void save({ foil: e.target.checked })}
          />
          {say('look.foil')}
        </label>
      </div>
      <div className="flex gap-2">
        <button type="button" className="btn btn-sm" onClick={onCrop}>
          {say('look.crop')}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => void act(() => send('DELETE', `/api/works/${work.id}`))}>
          {say('look.remove')}
        </button>
      </div>
      <RemovalNote />
      <label className="grid gap-1">
        {say('look.strikes')}
        <TypedArea
          place={`work:${work.id}:impressions`}
          stored={work.impressions}
          className="textarea w-full"
          rows={3}
          maxLength={4000}
          onSave={(impressions) => save({ impressions })}
        />
      </label>
      <section>
        <h2 className="text-lg font-semibold">{say('look.facts')}</h2>
        <ul className="grid gap-1">
          {work.facts.map((f) => (
            <li key={f.id}>
              {say.typed(f.text)} <span className="text-sm italic">{f.source === null ? say('look.inferred') : say.typed(f.source)}</span>{' '}
              <button
                type="button"
                className="link text-sm"
                onClick={() => void act(() => send('DELETE', `/api/works/${work.id}/facts?id=${f.id}`))}
              >
                {say('look.removeFact')}
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
            aria-label={say('look.fact')}
            className="input input-sm w-full"
            required
            maxLength={2000}
            placeholder={say('look.factExample')}
            value={fact}
            onChange={(e) => setFact(e.target.value)}
          />
          <div className="flex gap-2">
            <input
              aria-label={say('look.source')}
              className="input input-sm flex-1"
              maxLength={190}
              placeholder={say('look.sourceExample')}
              value={source}
              onChange={(e) => setSource(e.target.value)}
            />
            <button className="btn btn-sm">{say('shared.add')}</button>
          </div>
        </form>
      </section>
      <Notice said={problem} />
    </div>
  );
}
