'use client';
import { DeleteForGood } from '../shared/DeleteForGood';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useAct } from '../shared/useAct';
import { text } from '../text/en';

const CHOICES = [
  [
    'units',
    'Measures in',
    [
      ['mm', 'millimetres'],
      ['inch', 'inches'],
    ],
  ],
  [
    'spelling',
    'Spelling',
    [
      ['british', 'British'],
      ['american', 'American'],
    ],
  ],
  [
    'paper',
    'Paper of the printer',
    [
      ['A4', 'A4'],
      ['Letter', 'Letter'],
    ],
  ],
  [
    'hand',
    'You draw with the',
    [
      ['right', 'right hand'],
      ['left', 'left hand'],
    ],
  ],
] as const;

export interface SettingsView {
  units: string;
  spelling: string;
  paper: string;
  hand: string;
  timeZone: string;
}

export function SettingsForm({ settings }: { settings: SettingsView }) {
  const { act, busy, problem } = useAct();
  return (
    <div className="mx-auto grid w-full max-w-xl gap-4 p-6">
      <h1 className="text-3xl font-semibold">Settings</h1>
      {CHOICES.map(([name, label, options]) => (
        <label key={name} className="grid gap-1">
          {label}
          <select
            className="select w-full"
            value={settings[name]}
            onChange={(e) => void act(() => send('PUT', '/api/settings', { ...settings, [name]: e.target.value }))}
          >
            {options.map(([value, shown]) => (
              <option key={value} value={value}>
                {shown}
              </option>
            ))}
          </select>
        </label>
      ))}
      <p role="status">{busy ? 'Saving …' : problem ? '' : 'Saved'}</p>
      <Notice message={problem} />
      <section className="grid gap-2 border-t border-base-300 pt-3">
        <h2 className="text-xl font-semibold">{text.deleting.accountTitle}</h2>
        <p>{text.deleting.accountHow}</p>
        <DeleteForGood what="account" label={text.deleting.account} from="/api/account" path="/api/account" then="/sign-in" />
      </section>
    </div>
  );
}
