'use client';
import { FileUp, Plus } from 'lucide-react';
import { useState } from 'react';
import { READY_SETS } from '@/core/colour/readySets';
import type { Key } from '@/words/catalogue';
import { Field } from '../shared/Field';
import { FileButton } from '../shared/FileButton';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

const FIELDS = ['name', 'set'];

/** A new kit: empty, from a ready set, or from a file that was saved here or made in a spreadsheet. */
export function NewKit({ onMade }: { onMade: (id: string, empty: boolean) => void }) {
  const say = useSay();
  const { act, busy, refused, other } = useChange();
  const [name, setName] = useState('');
  const [set, setSet] = useState('');
  const make = (fields: Record<string, unknown>) =>
    act(async () => {
      const { id } = await send<{ id: string }>('POST', '/api/kits', fields);
      setName('');
      setSet('');
      onMade(id, !fields.set && !fields.file);
    });
  return (
    <form
      className="grid content-start gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void make(set ? { name, set } : { name });
      }}
    >
      <h2 className="text-xl font-semibold">{say('cupboard.new')}</h2>
      <Field label={say('cupboard.name')} problem={refused('name')}>
        <input
          className="input w-full"
          maxLength={120}
          required={!set}
          placeholder={say('cupboard.nameExample')}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
      </Field>
      <Field label={say('cupboard.begin')} problem={refused('set')}>
        <select className="select w-full" value={set} onChange={(e) => setSet(e.target.value)}>
          <option value="">{say('cupboard.empty')}</option>
          <optgroup label={say('cupboard.ready')}>
            {Object.keys(READY_SETS).map((key) => (
              <option key={key} value={key}>
                {say(`cupboard.sets.${key}` as Key)}
              </option>
            ))}
          </optgroup>
        </select>
      </Field>
      {set && <p className="text-sm">{say('cupboard.setsAbout')}</p>}
      <button className="btn btn-primary justify-self-start" disabled={busy}>
        <Plus aria-hidden className="size-5" /> {say(busy ? 'shared.saving' : 'cupboard.make')}
      </button>
      <FileButton
        icon={FileUp}
        label={say('cupboard.fromFile')}
        accept=".json,.csv,.tsv,.txt,application/json,text/csv"
        onFile={(file) => void file.text().then((text) => make({ name: name || file.name.replace(/\.[a-z]+$/i, ''), file: text }))}
      />
      <Notice said={other(FIELDS)} />
    </form>
  );
}
