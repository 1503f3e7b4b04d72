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
  ['theme', ['auto', 'day', 'night']],
] as const;

interface SettingsView {
  units: string;
  spelling: string;
  paper: string;
  hand: string;
  theme: string;
  timeZone: string;
  /** The one that is spoken now. */
  language: Language;
}

interface Props {
  settings: SettingsView;
  /** Time zones the machine knows. */
  zones: string[];
  name: string;
  email: string;
}

export function SettingsForm({ settings, zones, name, email }: Props) {
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
      <Field label={say('settings.timeZone')} problem={refused('timeZone')}>
        <select
          className="select w-full"
          value={settings.timeZone}
          onChange={(e) => void act(() => send('PUT', '/api/settings', { ...settings, timeZone: e.target.value }))}
        >
          {[...new Set(['UTC', settings.timeZone, ...zones])].map((z) => (
            <option key={z} value={z}>
              {say.typed(z.replaceAll('_', ' '))}
            </option>
          ))}
        </select>
      </Field>
      <p role="status">{busy ? say('shared.saving') : problem ? '' : say('shared.saved')}</p>
      <Notice said={other(['language', 'timeZone', ...CHOICES.map(([name]) => name)])} />
      <OneselfForm key={`${name} ${email}`} name={name} email={email} />
      <section className="grid gap-2 border-t border-base-300 pt-3">
        <h2 className="text-xl font-semibold">{say('settings.everything.title')}</h2>
        <p>{say('settings.everything.how')}</p>
        <a className="btn justify-self-start" href="/api/account/everything" download>
          {say('settings.everything.save')}
        </a>
      </section>
      <section className="grid gap-2 border-t border-base-300 pt-3">
        <h2 className="text-xl font-semibold">{say('deleting.accountTitle')}</h2>
        <p>{say('deleting.accountHow')}</p>
        <DeleteForGood what="account" label={say('deleting.account')} from="/api/account" path="/api/account" then="/sign-in" />
      </section>
    </div>
  );
}
