'use client';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { PanelHead } from '../shared/PanelHead';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import type { ClassView } from './class';
import { RosterField, useRoster } from './RosterField';
import { useSay } from '../words/Words';

export function NewClass() {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [name, setName] = useState('');
  const [school, setSchool] = useState('');
  const roster = useRoster();
  return (
    <form
      className="grid content-start gap-3"
      onSubmit={async (e) => {
        e.preventDefault();
        if (await act(() => send('POST', '/api/classes', { name, school, students: roster.entries }))) {
          setName('');
          setSchool('');
          roster.change('');
        }
      }}
    >
      <h2 className="text-xl font-semibold">{say('classes.new')}</h2>
      <Field label={say('classes.name')} problem={refused('name')}>
        <input className="input w-full" required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
      </Field>
      <Field label={say('classes.school')} problem={refused('school')}>
        <input className="input w-full" maxLength={120} value={school} onChange={(e) => setSchool(e.target.value)} />
      </Field>
      <RosterField roster={roster} refused={refused('students')} />
      <Notice said={other(['name', 'school', 'students'])} />
      <button className="btn btn-primary justify-self-start" disabled={busy || roster.problem !== null}>
        <Plus aria-hidden className="size-5" /> {say(busy ? 'shared.saving' : 'classes.add')}
      </button>
    </form>
  );
}

export function AddStudents({ to, onClose }: { to: ClassView; onClose: () => void }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const roster = useRoster();
  return (
    <form
      className="grid content-start gap-3"
      onSubmit={async (e) => {
        e.preventDefault();
        if (await act(() => send('POST', `/api/classes/${to.id}/students`, { students: roster.entries }))) onClose();
      }}
    >
      <PanelHead title={say.typed(to.name)} onClose={onClose} />
      <RosterField roster={roster} refused={refused('students')} />
      <Notice said={other(['students'])} />
      <button className="btn btn-primary justify-self-start" disabled={busy || !roster.entries.length}>
        <Plus aria-hidden className="size-5" /> {say(busy ? 'shared.saving' : 'classes.list.take', { n: roster.entries.length })}
      </button>
    </form>
  );
}
