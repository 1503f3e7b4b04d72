'use client';
import { Plus, X } from 'lucide-react';
import { FormEvent, useId, useState } from 'react';
import { CoreError } from '@/core/errors';
import { CAUTION_IDS } from '@/core/lesson/hazards';
import { checkedStep } from '@/core/lesson/ownStep';
import { FAR, LAYS, LIFTERS, OwnStep, ROLES, Said, SHARED_BY, techniqueName, WHO_IS_AT_IT } from '@/core/lesson/technique';
import { TECHNIQUE_TABLE } from '@/core/lesson/techniqueTable';
import { Message, message } from '@/core/message';
import { AGE_BANDS } from '@/core/proportion/bodyRulers';
import { Fold } from '../shared/Fold';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

interface Props {
  studyId: string;
  first: OwnStep;
  onDone: (step: OwnStep) => void;
  onClose: () => void;
}

const LINES: readonly Said[] = ['watch', 'stuck', 'easier', 'bolder', 'extra'];
const NUMBERS = [
  ['least', 1, 240],
  ['usual', 1, 240],
  ['demonstration', 0, 60],
  ['dry', 0, 600],
] as const;

/** Writes a step in one's own words: what is done, options, minutes, what it lays and needs, so that all rules of order and time apply. */
export function StepWriter({ studyId, first, onDone, onClose }: Props) {
  const say = useSay();
  const title = useId();
  const [step, setStep] = useState(first);
  const [problem, setProblem] = useState<Message | null>(null);
  const { act, problem: unkept } = useChange();
  const set = (part: Partial<OwnStep>) => setStep((s) => ({ ...s, ...part }));
  /** The step if every field of it can be used; else what is wrong is told. */
  const checked = (): OwnStep | null => {
    try {
      setProblem(null);
      return checkedStep({ ...step, options: step.options.filter((o) => o.name.trim()), items: step.items.filter((i) => i.what.trim()) });
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      setProblem(error.said);
      return null;
    }
  };
  const done = (e: FormEvent) => {
    e.preventDefault();
    const good = checked();
    if (!good) return;
    onDone(good);
    onClose();
  };
  const keep = async () => {
    const good = checked();
    if (good && (await act(() => send('POST', `/api/studies/${studyId}/steps`, { step: good })))) {
      onDone(good);
      onClose();
    }
  };
  return (
    <dialog
      className="modal"
      aria-labelledby={title}
      ref={(dialog) => {
        if (dialog && !dialog.open) dialog.showModal();
      }}
      onClose={onClose}
    >
      <form className="modal-box grid max-w-3xl gap-3" onSubmit={done}>
        <h2 id={title} className="text-xl font-semibold">
          {say('writer.title')}
        </h2>
        <label className="grid gap-1">
          {say('writer.name')}
          <input className="input w-full" autoFocus maxLength={80} value={step.name} onChange={(e) => set({ name: e.target.value })} />
        </label>
        <label className="grid gap-1">
          {say('writer.does')}
          <textarea
            className="textarea w-full"
            rows={2}
            maxLength={500}
            value={step.does}
            onChange={(e) => set({ does: e.target.value })}
          />
        </label>
        <Options step={step} set={set} />
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {NUMBERS.map(([field, low, high]) => (
            <label key={field} className="grid gap-1 text-sm">
              {say(`writer.${field}`)}
              <input
                type="number"
                className="input input-sm w-full"
                min={low}
                max={high}
                value={Number.isNaN(step[field]) ? '' : step[field]}
                onChange={(e) => set({ [field]: e.target.valueAsNumber })}
              />
            </label>
          ))}
        </div>
        <Fold small title={say('writer.ages')}>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
            {AGE_BANDS.map((band) => (
              <label key={band} className="grid gap-1 text-sm">
                {say(`writer.band.${band}`)}
                <input
                  type="number"
                  className="input input-sm w-full"
                  min={1}
                  max={240}
                  value={step.byAge[band] ?? ''}
                  onChange={(e) => set({ byAge: { ...step.byAge, [band]: e.target.value === '' ? undefined : e.target.valueAsNumber } })}
                />
              </label>
            ))}
          </div>
        </Fold>
        <div className="grid gap-3 sm:grid-cols-2">
          {LINES.map((what) => (
            <label key={what} className="grid gap-1 text-sm">
              {say(`writer.${what}`)}
              <input
                className="input input-sm w-full"
                maxLength={500}
                value={step[what]}
                onChange={(e) => set({ [what]: e.target.value })}
              />
            </label>
          ))}
        </div>
        <fieldset className="grid gap-2">
          <legend className="font-semibold">{say('writer.properties')}</legend>
          <div className="flex flex-wrap gap-3 text-sm">
            <label className="flex items-center gap-2 whitespace-nowrap">
              {say('writer.role')}
              <select
                className="select select-sm"
                value={step.role}
                onChange={(e) => set({ role: ROLES.find((r) => r === e.target.value)! })}
              >
                {ROLES.map((r) => (
                  <option key={r} value={r}>
                    {say(`writer.roles.${r}`)}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex items-center gap-2 whitespace-nowrap">
              {say('writer.value')}
              <select
                className="select select-sm"
                value={step.value ?? ''}
                onChange={(e) => set({ value: e.target.value === 'light' || e.target.value === 'dark' ? e.target.value : null })}
              >
                {(['', 'light', 'dark'] as const).map((v) => (
                  <option key={v} value={v}>
                    {say(`writer.values.${v || 'none'}`)}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex items-center gap-2 whitespace-nowrap">
              {say('writer.who')}
              <select
                className="select select-sm"
                value={step.who}
                onChange={(e) => set({ who: WHO_IS_AT_IT.find((w) => w === e.target.value)! })}
              >
                {WHO_IS_AT_IT.map((w) => (
                  <option key={w} value={w}>
                    {say(`plan.who.${w}`)}
                  </option>
                ))}
              </select>
            </label>
            <Tick label={say('writer.fine')} on={step.fine} onTick={(fine) => set({ fine })} />
          </div>
          <div className="grid gap-x-4 gap-y-1 text-sm sm:grid-cols-2">
            {LAYS.map((l) => (
              <Tick
                key={l}
                label={say(`writer.lays.${l}`)}
                on={step.lays.includes(l)}
                onTick={() => set({ lays: flipped(step.lays, l) })}
              />
            ))}
          </div>
        </fieldset>
        <div className="flex flex-wrap gap-3 text-sm">
          <label className="flex items-center gap-2 whitespace-nowrap">
            {say('writer.lifts')}
            <select
              className="select select-sm"
              value={step.lifts?.far ?? ''}
              onChange={(e) => {
                const far = FAR.find((f) => f === e.target.value);
                set({ lifts: far ? { by: step.lifts?.by ?? 'eraser', far } : null });
              }}
            >
              {(['', ...FAR] as const).map((f) => (
                <option key={f} value={f}>
                  {say(f ? `writer.liftsAs.far.${f}` : 'writer.liftsAs.usual')}
                </option>
              ))}
            </select>
          </label>
          {step.lifts && step.lifts.far !== 'not' && (
            <label className="flex items-center gap-2 whitespace-nowrap">
              {say('writer.liftsAs.by')}
              <select
                className="select select-sm"
                value={step.lifts.by}
                onChange={(e) => set({ lifts: { by: LIFTERS.find((l) => l === e.target.value)!, far: step.lifts!.far } })}
              >
                {LIFTERS.map((l) => (
                  <option key={l} value={l}>
                    {say(`plan.lifts.by.${l}`)}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
        <Fold small title={say('writer.shuns')}>
          <div className="flex flex-wrap gap-x-4 gap-y-1 text-sm">
            {LAYS.map((l) => (
              <Tick
                key={l}
                label={say(`plan.laysShort.${l}`)}
                on={step.shuns.includes(l)}
                onTick={() => set({ shuns: flipped(step.shuns, l) })}
              />
            ))}
          </div>
        </Fold>
        <Items step={step} set={set} />
        <Fold small title={say('writer.after')}>
          <div className="grid gap-x-4 gap-y-1 text-sm sm:grid-cols-2">
            {TECHNIQUE_TABLE.map((t) => (
              <Tick
                key={t.id}
                label={say(techniqueName(t.id))}
                on={step.after.includes(t.id)}
                onTick={() => set({ after: flipped(step.after, t.id) })}
              />
            ))}
          </div>
        </Fold>
        <Fold small title={say('writer.forbids')}>
          <div className="grid gap-x-4 gap-y-1 text-sm sm:grid-cols-2">
            {TECHNIQUE_TABLE.map((t) => (
              <Tick
                key={t.id}
                label={say(techniqueName(t.id))}
                on={step.forbids.includes(t.id)}
                onTick={() => set({ forbids: flipped(step.forbids, t.id) })}
              />
            ))}
          </div>
        </Fold>
        <Fold small title={say('writer.cautions')}>
          <div className="grid gap-1 text-sm">
            {CAUTION_IDS.map((c) => (
              <Tick
                key={c}
                label={say(message(`cautions.${c}`))}
                on={step.cautions.includes(c)}
                onTick={() => set({ cautions: flipped(step.cautions, c) })}
              />
            ))}
          </div>
        </Fold>
        <label className="grid gap-1 text-sm">
          {say('writer.caution')}
          <input
            className="input input-sm w-full"
            maxLength={500}
            value={step.caution}
            onChange={(e) => set({ caution: e.target.value })}
          />
        </label>
        <Notice said={problem ?? unkept} />
        <div className="flex flex-wrap gap-2">
          <button className="btn btn-primary">{say('writer.put')}</button>
          <button type="button" className="btn" onClick={() => void keep()}>
            {say('writer.keep')}
          </button>
          <button type="button" className="btn btn-ghost" onClick={onClose}>
            {say('writer.leave')}
          </button>
        </div>
      </form>
    </dialog>
  );
}

const flipped = <T,>(list: readonly T[], one: T): T[] => (list.includes(one) ? list.filter((o) => o !== one) : [...list, one]);

function Tick({ label, on, onTick }: { label: string; on: boolean; onTick: (on: boolean) => void }) {
  return (
    <label className="flex items-start gap-2">
      <input type="checkbox" className="checkbox checkbox-sm" checked={on} onChange={(e) => onTick(e.target.checked)} />
      <span>{label}</span>
    </label>
  );
}

interface PartProps {
  step: OwnStep;
  set: (part: Partial<OwnStep>) => void;
}

/** Two ways or more to do it. */
function Options({ step: { options }, set }: PartProps) {
  const say = useSay();
  const put = (i: number, part: Partial<OwnStep['options'][number]>) =>
    set({ options: options.map((o, k) => (k === i ? { ...o, ...part } : o)) });
  return (
    <fieldset className="grid gap-1">
      <legend className="text-sm font-semibold">{say('writer.options')}</legend>
      {options.map((o, i) => (
        <div key={i} className="flex gap-2">
          <input
            className="input input-sm w-40"
            aria-label={say('writer.optionName', { n: i + 1 })}
            placeholder={say('writer.optionName', { n: i + 1 })}
            maxLength={80}
            value={o.name}
            onChange={(e) => put(i, { name: e.target.value })}
          />
          <input
            className="input input-sm flex-1"
            aria-label={say('writer.optionHow', { n: i + 1 })}
            placeholder={say('writer.optionHow', { n: i + 1 })}
            maxLength={500}
            value={o.how}
            onChange={(e) => put(i, { how: e.target.value })}
          />
          <button
            type="button"
            className="btn btn-ghost btn-sm"
            aria-label={say('writer.optionGone', { n: i + 1 })}
            onClick={() => set({ options: options.filter((_, k) => k !== i) })}
          >
            <X aria-hidden className="size-4" />
          </button>
        </div>
      ))}
      {options.length < 6 && (
        <button
          type="button"
          className="btn btn-sm justify-self-start"
          onClick={() => set({ options: [...options, ...Array.from({ length: options.length ? 1 : 2 }, () => ({ name: '', how: '' }))] })}
        >
          <Plus aria-hidden className="size-4" /> {say('writer.optionAdd')}
        </button>
      )}
    </fieldset>
  );
}

/** What it needs on the tables beside what is known. */
function Items({ step: { items }, set }: PartProps) {
  const say = useSay();
  const put = (i: number, part: Partial<OwnStep['items'][number]>) =>
    set({ items: items.map((o, k) => (k === i ? { ...o, ...part } : o)) });
  return (
    <fieldset className="grid gap-1">
      <legend className="text-sm font-semibold">{say('writer.items')}</legend>
      {items.map((it, i) => (
        <div key={i} className="flex gap-2">
          <input
            type="number"
            className="input input-sm w-20"
            aria-label={say('writer.itemMany', { n: i + 1 })}
            min={1}
            max={999}
            value={Number.isNaN(it.n) ? '' : it.n}
            onChange={(e) => put(i, { n: e.target.valueAsNumber })}
          />
          <input
            className="input input-sm flex-1"
            aria-label={say('writer.itemWhat', { n: i + 1 })}
            placeholder={say('writer.itemWhat', { n: i + 1 })}
            maxLength={80}
            value={it.what}
            onChange={(e) => put(i, { what: e.target.value })}
          />
          <select
            className="select select-sm w-36"
            aria-label={say('writer.itemPer', { n: i + 1 })}
            value={it.per}
            onChange={(e) => put(i, { per: SHARED_BY.find((p) => p === e.target.value)! })}
          >
            {SHARED_BY.map((p) => (
              <option key={p} value={p}>
                {say(`writer.per.${p}`)}
              </option>
            ))}
          </select>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-sm justify-self-start"
        onClick={() => set({ items: [...items, { what: '', n: 1, per: 'student' }] })}
      >
        <Plus aria-hidden className="size-4" /> {say('writer.itemAdd')}
      </button>
    </fieldset>
  );
}
