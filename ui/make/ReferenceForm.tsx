'use client';
import { Field } from '../shared/Field';
import { RemovalNote } from '../shared/RemovalNote';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import type { Reference } from './reference';
import { useSay } from '../words/Words';

/** Whose reference it is and whose photograph: both go on the label of the finished piece. */
export function ReferenceForm({
  reference,
  roster,
  onSave,
  base,
}: {
  reference: Reference;
  roster: { id: string; name: string }[];
  onSave: (fields: Record<string, unknown>) => void;
  base: string;
}) {
  const say = useSay();
  const { act } = useChange();
  return (
    <section className="mt-4 grid gap-2 border-t border-base-300 pt-3">
      <h2 className="text-lg font-semibold">{say('make.form.title')}</h2>
      <Field label={say('make.form.name')}>
        <input
          className="input w-full"
          maxLength={120}
          defaultValue={reference.title}
          onChange={(e) => e.target.value.trim() && onSave({ title: e.target.value })}
        />
      </Field>
      <Field label={say('make.form.credit')}>
        <input
          className="input w-full"
          maxLength={120}
          placeholder={say('make.form.creditExample')}
          defaultValue={reference.credit}
          onChange={(e) => onSave({ credit: e.target.value })}
        />
      </Field>
      {roster.length > 0 && (
        <Field label={say('make.form.drawnBy')}>
          <select
            className="select w-full"
            defaultValue={reference.studentId ?? ''}
            onChange={(e) => onSave({ studentId: e.target.value || null })}
          >
            <option value="">{say('make.form.anybody')}</option>
            {roster.map((s) => (
              <option key={s.id} value={s.id}>
                {say.typed(s.name)}
              </option>
            ))}
          </select>
        </Field>
      )}
      <button
        type="button"
        className="btn btn-sm w-fit"
        onClick={() => void act(() => send('DELETE', `/api/references/${reference.id}`)).then((ok) => ok && window.location.assign(base))}
      >
        {say('make.form.remove')}
      </button>
      <RemovalNote />
    </section>
  );
}
