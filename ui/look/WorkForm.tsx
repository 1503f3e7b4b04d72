'use client';
import { Crop, EyeOff, Frame, LucideIcon, Scan, Trash2 } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { amount, message } from '@/core/message';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { RemovalNote } from '../shared/RemovalNote';
import { MeasureAgain } from '../shared/MeasureAgain';
import { send } from '../shared/request';
import { TypedArea, TypedInput } from '../shared/typing/Typed';
import { lengthsFor } from '../shared/lengths';
import { useVersioned } from '../shared/server/useVersioned';
import { Models } from './Models';
import { PartOf } from './PartOf';
import type { HowRemade } from './Remaking';
import type { LookWork } from './work';
import { useSay } from '../words/Words';

const WAYS: readonly [Exclude<HowRemade, 'place'>, LucideIcon][] = [
  ['flat', Scan],
  ['crop', Crop],
  ['part', Frame],
];

/** Below this a width is half typed. */
const LEAST_MM = 10;
const FIELDS = ['title', 'widthMm', 'heightMm', 'dated', 'group', 'impressions', 'credit', 'text', 'source'];

interface Props {
  work: LookWork;
  /** The work it is a part of, and the parts cut out of it. */
  whole: LookWork | null;
  parts: readonly LookWork[];
  onRemake: (how: HowRemade) => void;
  groups: string[];
}

/** What is known and noted of a work: saved field by field as each is left. */
export function WorkForm({ work, whole, parts, onRemake, groups }: Props) {
  const say = useSay();
  const { act, save, refused, other } = useVersioned(`/api/works/${work.id}`, work.version);
  const [fact, setFact] = useState('');
  const [source, setSource] = useState('');
  const { units } = say.voice;
  const { shown, mmOf } = lengthsFor(say);
  const size = (name: 'widthMm' | 'heightMm', label: 'look.width' | 'look.height') => (
    <Field label={say(label, { unit: message(`units.inPlace.${units}`) })} problem={refused(name)}>
      <TypedInput
        place={`work:${work.id}:${name}`}
        stored={work[name] === null ? '' : shown(work[name])}
        className="input w-full"
        inputMode="decimal"
        skip={(text) => text.trim() !== '' && !(mmOf(text) >= LEAST_MM)}
        onSave={(text) => save({ [name]: text.trim() === '' ? null : Number.isNaN(mmOf(text)) ? text : mmOf(text) })}
      />
    </Field>
  );
  // One side and the picture's shape give the other.
  const shape = work.pictureWidth / work.pictureHeight;
  const missing =
    work.widthMm && !work.heightMm
      ? { side: 'heightMm', mm: Math.round(work.widthMm / shape) }
      : work.heightMm && !work.widthMm
        ? { side: 'widthMm', mm: Math.round(work.heightMm * shape) }
        : null;
  const ratio = work.widthMm && work.heightMm ? work.widthMm / work.heightMm / shape : 1;
  return (
    <div className="mt-3 grid gap-3">
      {work.halted && <MeasureAgain studyId={work.studyId} subjectId={work.id} halted={work.halted} />}
      <Field label={say('look.title')} problem={refused('title')}>
        <TypedInput
          place={`work:${work.id}:title`}
          stored={work.title}
          className="input w-full"
          maxLength={120}
          skip={(title) => !title.trim()}
          onSave={(title) => save({ title })}
        />
      </Field>
      {whole && <PartOf work={work} whole={whole} />}
      <div className="grid grid-cols-3 gap-3">
        {!whole && size('widthMm', 'look.width')}
        {!whole && size('heightMm', 'look.height')}
        <Field label={say('look.dated')} problem={refused('dated')}>
          <TypedInput
            place={`work:${work.id}:dated`}
            stored={work.dated}
            className="input w-full"
            maxLength={40}
            onSave={(dated) => save({ dated })}
          />
        </Field>
      </div>
      {Math.abs(ratio - 1) > 0.03 && <p className="text-sm">{say('look.shapes', { share: amount(Math.abs(ratio - 1), 'share') })}</p>}
      {missing && !whole && (
        <button type="button" className="btn btn-sm justify-self-start" onClick={() => void save({ [missing.side]: missing.mm })}>
          {say('look.fill', { size: amount(missing.mm, 'mm') })}
        </button>
      )}
      {work.widthMm === null && !whole && <p className="text-sm">{say('look.noWidth')}</p>}
      <div className="grid grid-cols-2 items-start gap-3">
        <Field label={say('look.group')} problem={refused('group')}>
          <TypedInput
            place={`work:${work.id}:group`}
            stored={work.group ?? ''}
            list="groups"
            className="input w-full"
            placeholder={say('look.groupExample')}
            maxLength={60}
            onSave={(group) => save({ group })}
          />
          <datalist id="groups">
            {[...new Set([...groups, say('look.early'), say('look.late')])].map((g) => (
              <option key={g} value={g} />
            ))}
          </datalist>
        </Field>
        {!whole && (
          <label className="flex items-center gap-2 pt-9">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              defaultChecked={work.foil}
              onChange={(e) => void save({ foil: e.target.checked })}
            />
            {say('look.foil')}
          </label>
        )}
      </div>
      <div className="flex flex-wrap gap-2">
        {!whole &&
          WAYS.map(([how, Icon]) => (
            <button key={how} type="button" className="btn btn-sm" onClick={() => onRemake(how)}>
              <Icon aria-hidden className="size-4" /> {say(`look.ways.${how}`)}
            </button>
          ))}
        <button type="button" className="btn btn-sm" onClick={() => onRemake('place')}>
          <EyeOff aria-hidden className="size-4" /> {say('look.place.start')}
        </button>
        <button type="button" className="btn btn-sm" onClick={() => void act(() => send('DELETE', `/api/works/${work.id}`))}>
          <Trash2 aria-hidden className="size-4" /> {say('look.remove')}
        </button>
      </div>
      <RemovalNote />
      {(work.leftOut?.length ?? 0) > 0 && <p className="text-sm">{say('look.place.count', { n: work.leftOut!.length })}</p>}
      {parts.length > 0 && (
        <p className="text-sm">
          {say('look.part.parts')}{' '}
          {parts.map((p) => (
            <Link key={p.id} className="link me-3" href={`/studies/${work.studyId}/look?work=${p.id}`}>
              {say.typed(p.title)}
            </Link>
          ))}
        </p>
      )}
      <Field label={say('look.credit')} problem={refused('credit')}>
        <TypedInput
          place={`work:${work.id}:credit`}
          stored={work.credit}
          className="input w-full"
          maxLength={300}
          placeholder={say('look.creditExample')}
          onSave={(credit) => save({ credit })}
        />
      </Field>
      <Field label={say('look.strikes')} problem={refused('impressions')}>
        <TypedArea
          place={`work:${work.id}:impressions`}
          stored={work.impressions}
          className="textarea w-full"
          rows={3}
          maxLength={4000}
          onSave={(impressions) => save({ impressions })}
        />
      </Field>
      {!work.foil && <Models work={work} />}
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
          <Field label={say('look.fact')} problem={refused('text')}>
            <input
              className="input w-full"
              required
              maxLength={2000}
              placeholder={say('look.factExample')}
              value={fact}
              onChange={(e) => setFact(e.target.value)}
            />
          </Field>
          <div className="grid grid-cols-[1fr_auto] items-end gap-2">
            <Field label={say('look.source')} problem={refused('source')}>
              <input
                className="input w-full"
                maxLength={190}
                placeholder={say('look.sourceExample')}
                value={source}
                onChange={(e) => setSource(e.target.value)}
              />
            </Field>
            <button className="btn">{say('shared.add')}</button>
          </div>
        </form>
      </section>
      <Notice said={other(FIELDS)} />
    </div>
  );
}
