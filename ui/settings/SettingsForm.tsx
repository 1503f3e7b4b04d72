'use client';
import type { Key } from '@/words/catalogue';
import { CHOSEN, Language, LANGUAGES } from '@/words/languages';
import { DeleteForGood } from '../shared/DeleteForGood';
import { Field } from '../shared/Field';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { OneselfForm } from './OneselfForm';
import { useSay } from '../words/Words';

const CHOICES = [
  ['units', ['mm', 'inch']],
  ['spelling', ['british', 'american']],
  ['paper', ['A4', 'Letter']],
  ['hand', ['right', 'left']],
] as const;

export interface SettingsView {
  units: string;
  spelling: string;
  paper: string;
  hand: string;
  timeZone: string;
  /** The one that is spoken now. */
  language: Language;
}

export function SettingsForm({ settings, name, email }: { settings: SettingsView; name: string; email: string }) {
  const say = useSay();
  const { act, busy, problem, refused, other } = useChange();
  return (
    <div className="mx-auto grid w-full max-w-xl gap-4 p-6">
      <h1 className="text-3xl font-semibold">{say('settings.title')}</h1>
      <Field label={say('settings.language')} problem={refused('language')}>
        <select
          className="select w-full"
          value={settings.language}
          onChange={(e) => void act(() => send('PUT', '/api/settings', { ...settings, language: e.target.value }))}
        >
          {CHOSEN.map((l) => (
            <option key={l} value={l} lang={l}>
              {say.typed(LANGUAGES[l].name)}
            </option>
          ))}
        </select>
      </Field>
      {CHOICES.map(([name, options]) => (
        <Field key={name} label={say(`settings.${name}.label`)} problem={refused(name)}>
          <select
            className="select w-full"
            value={settings[name]}
            onChange={(e) => void act(() => send('PUT', '/api/settings', { ...settings, [name]: e.target.value }))}
          >
            {options.map((value) => (
              <option key={value} value={value}>
                {say(`settings.${name}.${value}` as Key)}
              </option>
            ))}
          </select>
        </Field>
      ))}
      <p role="status">{busy ? say('shared.saving') : problem ? '' : say('shared.saved')}</p>
      <Notice said={other(['language', ...CHOICES.map(([name]) => name)])} />
      <OneselfForm key={`${name} ${email}`} name={name} email={email} />
      <section className="grid gap-2 border-t border-base-300 pt-3">
        <h2 className="text-xl font-semibold">{say('deleting.accountTitle')}</h2>
        <p>{say('deleting.accountHow')}</p>
        <DeleteForGood what="account" label={say('deleting.account')} from="/api/account" path="/api/account" then="/sign-in" />
      </section>
    </div>
  );
}
