'use client';
import { useState } from 'react';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

const FIELDS = ['name', 'email', 'newPassword', 'password'] as const;

/** Name, e-mail and password; the last two are changed with the present password alone. */
export function OneselfForm({ name, email }: { name: string; email: string }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [draft, setDraft] = useState({ name, email, newPassword: '', password: '' });
  const [done, setDone] = useState(false);
  const guarded = draft.email !== email || draft.newPassword !== '';
  const save = async () => {
    setDone(false);
    const fields = {
      ...(draft.name !== name && { name: draft.name }),
      ...(draft.email !== email && { email: draft.email }),
      ...(draft.newPassword && { newPassword: draft.newPassword }),
      ...(guarded && { password: draft.password }),
    };
    if (!(await act(() => send('PATCH', '/api/account', fields)))) return;
    setDraft((d) => ({ ...d, newPassword: '', password: '' }));
    setDone(true);
  };
  const input = (field: (typeof FIELDS)[number], type: string, autoComplete: string) => (
    <Field label={say(`settings.oneself.${field}`)} problem={refused(field)}>
      <input
        className="input w-full"
        type={type}
        autoComplete={autoComplete}
        maxLength={field === 'name' ? 120 : 190}
        required={field === 'name' || field === 'email'}
        value={draft[field]}
        onChange={(e) => setDraft((d) => ({ ...d, [field]: e.target.value }))}
      />
    </Field>
  );
  return (
    <form
      className="grid gap-3 border-t border-base-300 pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save();
      }}
    >
      <h2 className="text-xl font-semibold">{say('settings.oneself.title')}</h2>
      {input('name', 'text', 'name')}
      {input('email', 'email', 'email')}
      {input('newPassword', 'password', 'new-password')}
      {input('password', 'password', 'current-password')}
      <p className="text-sm">{say('settings.oneself.passwordHow')}</p>
      <Notice said={other(FIELDS)} />
      <div className="flex items-center gap-3">
        <button className="btn btn-primary" disabled={busy}>
          {say(busy ? 'shared.saving' : 'settings.oneself.change')}
        </button>
        <span role="status">{done && say('settings.oneself.changed')}</span>
      </div>
    </form>
  );
}
