'use client';
import type { Message } from '@/core/message';
import { ruleEvidence, ruleSentence } from '@/core/style/words';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { TypedInput } from '../shared/typing/Typed';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

export interface Rule {
  id: string;
  kind: 'feature' | 'always' | 'never';
  feature: string;
  sentence: string;
  evidence: string;
  said: RuleSaid | null;
  version: number;
}

/** A reading as it is told, with where it was measured. */
interface RuleSaid {
  sentence: Message;
  evidence: Message;
}

/** The study's one list of rules, as sentences that can be edited in place, with their evidence. */
export function RuleList({ studyId, rules }: { studyId: string; rules: readonly Rule[] }) {
  const say = useSay();
  const { act, problem } = useChange();
  const [kind, setKind] = useState<'always' | 'never'>('always');
  const [sentence, setSentence] = useState('');
  return (
    <section aria-labelledby="rules-title" className="mt-6 border-t border-base-300 pt-3">
      <h2 id="rules-title" className="text-lg font-semibold">
        {say('rules.title')}
      </h2>
      {rules.length === 0 && <p>{say('rules.none')}</p>}
      <ul className="my-2 grid gap-2">
        {rules.map((r) => (
          <li key={r.id} className="grid grid-cols-[auto_1fr_auto] items-start gap-2">
            <span className="mt-1 text-xs">{say(`rules.kind.${r.kind}`)}</span>
            <span>
              <TypedInput
                place={`rule:${r.id}`}
                stored={r.said && r.sentence === '' ? say(r.said.sentence) : r.sentence}
                aria-label={say('rules.label')}
                maxLength={300}
                className="quiet-field"
                skip={(sentence) => !sentence.trim()}
                onSave={(sentence) => act(() => send('PATCH', `/api/studies/${studyId}/rules/${r.id}`, { version: r.version, sentence }))}
              />
              <span className="block text-xs">{say(ruleEvidence(r))}</span>
            </span>
            <button
              type="button"
              aria-label={say('rules.remove', { sentence: ruleSentence(r) })}
              className="p-1"
              onClick={() => void act(() => send('DELETE', `/api/studies/${studyId}/rules/${r.id}`))}
            >
              <Trash2 aria-hidden className="size-4" />
            </button>
          </li>
        ))}
      </ul>
      <form
        className="flex gap-2"
        onSubmit={async (e) => {
          e.preventDefault();
          if (await act(() => send('POST', `/api/studies/${studyId}/rules`, { kind, sentence }))) setSentence('');
        }}
      >
        <select
          aria-label={say('rules.choose')}
          className="select w-28"
          value={kind}
          onChange={(e) => setKind(e.target.value as typeof kind)}
        >
          <option value="always">{say('rules.kind.always')}</option>
          <option value="never">{say('rules.kind.never')}</option>
        </select>
        <input
          aria-label={say('rules.new')}
          className="input flex-1"
          required
          maxLength={300}
          placeholder={say('rules.example', { kind })}
          value={sentence}
          onChange={(e) => setSentence(e.target.value)}
        />
        <button className="btn">{say('shared.add')}</button>
      </form>
      <Notice said={problem} />
    </section>
  );
}
