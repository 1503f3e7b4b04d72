'use client';
import { ArrowDown, ArrowUp, Check, UserMinus, UserPlus } from 'lucide-react';
import { useState } from 'react';
import { DeleteForGood } from '../shared/DeleteForGood';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { PanelHead } from '../shared/PanelHead';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import type { ClassView, StudentView } from './class';
import { useSay } from '../words/Words';

const FIELDS = ['firstName', 'initial', 'seat', 'table', 'needs', 'classId'];

interface Props {
  student: StudentView;
  of: ClassView;
  classes: readonly ClassView[];
  onClose: () => void;
}

/** What is known of a student, and where in which class they stand. */
export function StudentForm({ student, of, classes, onClose }: Props) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [draft, setDraft] = useState(student);
  const set = (fields: Partial<StudentView>) => setDraft((d) => ({ ...d, ...fields }));
  const save = (fields: Record<string, unknown>) =>
    act(() => send('PATCH', `/api/students/${student.id}`, { version: student.version, ...fields }));
  const listed = of.students.filter((s) => !s.left);
  const at = listed.findIndex((s) => s.id === student.id);
  const move = (by: 1 | -1) => {
    const order = listed.map((s) => s.id);
    [order[at], order[at + by]] = [order[at + by], order[at]];
    void act(() => send('POST', `/api/classes/${of.id}/students`, { order }));
  };
  const text = (name: 'firstName' | 'initial' | 'seat' | 'table', most: number) => (
    <Field label={say(`classes.student.${name}`)} problem={refused(name)}>
      <input
        className="input w-full"
        required={name === 'firstName'}
        maxLength={most}
        value={draft[name]}
        onChange={(e) => set({ [name]: e.target.value })}
      />
    </Field>
  );
  return (
    <div className="grid content-start gap-4">
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          const { firstName, initial, seat, table, needs, leftHanded } = draft;
          void save({ firstName, initial, seat, table, needs, leftHanded });
        }}
      >
        <PanelHead title={say.typed(student.name)} onClose={onClose} />
        <div className="grid grid-cols-[1fr_6rem] gap-3">
          {text('firstName', 40)}
          {text('initial', 2)}
        </div>
        <div className="grid grid-cols-2 gap-3">
          {text('seat', 20)}
          {text('table', 20)}
        </div>
        <label className="flex items-center gap-2">
          <input type="checkbox" className="checkbox" checked={draft.leftHanded} onChange={(e) => set({ leftHanded: e.target.checked })} />
          {say('classes.student.leftHanded')}
        </label>
        <Field label={say('classes.student.needs')} problem={refused('needs')}>
          <textarea
            className="textarea w-full"
            rows={2}
            maxLength={300}
            placeholder={say('classes.student.needsExample')}
            value={draft.needs}
            onChange={(e) => set({ needs: e.target.value })}
          />
        </Field>
        <p className="text-sm">{say('classes.student.needsHow')}</p>
        <Notice said={other(FIELDS)} />
        <button className="btn btn-primary justify-self-start" disabled={busy}>
          <Check aria-hidden className="size-5" /> {say(busy ? 'shared.saving' : 'classes.student.change')}
        </button>
      </form>
      <div className="grid gap-3 border-t border-base-300 pt-3">
        {classes.length > 1 && (
          <Field label={say('classes.student.into')} problem={refused('classId')}>
            <select
              className="select w-full"
              value={of.id}
              disabled={busy}
              onChange={(e) => void save({ classId: e.target.value }).then((done) => done && onClose())}
            >
              {classes.map((c) => (
                <option key={c.id} value={c.id}>
                  {say.typed(c.name)}
                </option>
              ))}
            </select>
          </Field>
        )}
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn btn-sm" disabled={busy || at < 1} onClick={() => move(-1)}>
            <ArrowUp aria-hidden className="size-4" /> {say('classes.student.earlier')}
          </button>
          <button type="button" className="btn btn-sm" disabled={busy || at < 0 || at + 1 >= listed.length} onClick={() => move(1)}>
            <ArrowDown aria-hidden className="size-4" /> {say('classes.student.later')}
          </button>
          <button type="button" className="btn btn-sm" disabled={busy} onClick={() => void save({ left: !student.left })}>
            {student.left ? <UserPlus aria-hidden className="size-4" /> : <UserMinus aria-hidden className="size-4" />}{' '}
            {say(student.left ? 'classes.student.on' : 'classes.student.off')}
          </button>
        </div>
        <p className="text-sm">{say('classes.student.offHow')}</p>
        <a className="link text-sm" href={`/api/students/${student.id}/everything`} download>
          {say('deleting.everything')}
        </a>
        <DeleteForGood
          what="student"
          label={say('deleting.student')}
          from={`/api/students/${student.id}`}
          path={`/api/students/${student.id}`}
          then="/classes"
        />
      </div>
    </div>
  );
}
