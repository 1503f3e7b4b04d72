'use client';
import { Check, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Notice } from '../shared/Notice';
import { send } from '../shared/request';
import { TypedInput } from '../shared/typing/Typed';
import { useAct } from '../shared/useAct';

export interface Rule {
  id: string;
  kind: 'feature' | 'always' | 'never';
  feature: string;
  sentence: string;
  evidence: string;
  version: number;
}

/** The study's one list of rules, as sentences that can be edited in place, with their evidence. */
export function RuleList({ studyId, rules }: { studyId: string; rules: readonly Rule[] }) {
  const { act, problem } = useAct();
  const [kind, setKind] = useState<'always' | 'never'>('always');
  const [sentence, setSentence] = useState('');
  return (
    <section aria-labelledby="rules-title" className="mt-6 border-t border-base-300 pt-3">
      <h2 id="rules-title" className="text-lg font-semibold">
        Rules so far
      </h2>
      {rules.length === 0 && <p>Tick a reading above, or write an always or never sentence here.</p>}
      <ul className="my-2 grid gap-2">
        {rules.map((r) => (
          <li key={r.id} className="grid grid-cols-[auto_1fr_auto] items-start gap-2">
            <span className="mt-1 text-xs">{r.kind === 'feature' ? 'measured' : r.kind}</span>
            <span>
              <TypedInput
                place={`rule:${r.id}`}
                stored={r.sentence}
                aria-label="Rule"
                maxLength={300}
                className="w-full border-b border-transparent bg-transparent hover:border-base-content/50 focus:border-base-content"
                skip={(sentence) => !sentence.trim()}
                onSave={(sentence) => act(() => send('PATCH', `/api/studies/${studyId}/rules/${r.id}`, { version: r.version, sentence }))}
              />
              {r.evidence && <span className="block text-xs">{r.evidence}</span>}
            </span>
            <button
              type="button"
              aria-label={`Remove: ${r.sentence}`}
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
          aria-label="Always or never"
          className="select select-sm w-24"
          value={kind}
          onChange={(e) => setKind(e.target.value as typeof kind)}
        >
          <option value="always">always</option>
          <option value="never">never</option>
        </select>
        <input
          aria-label="New sentence"
          className="input input-sm flex-1"
          required
          maxLength={300}
          placeholder={kind === 'always' ? 'one warm light' : 'hands are shown'}
          value={sentence}
          onChange={(e) => setSentence(e.target.value)}
        />
        <button className="btn btn-sm">Add</button>
      </form>
      <Notice message={problem} />
    </section>
  );
}

/** A reading that can be ticked into the rules. */
export function TickRule({
  studyId,
  feature,
  sentence,
  evidence,
  ticked,
}: {
  studyId: string;
  feature: string;
  sentence: string;
  evidence: string;
  ticked: Rule | undefined;
}) {
  const { act, busy, problem } = useAct();
  return (
    <>
      <button
        type="button"
        aria-pressed={!!ticked}
        aria-label={ticked ? `A rule already: ${ticked.sentence}` : `Make it a rule: ${sentence}`}
        disabled={busy}
        className={`flex size-6 shrink-0 items-center justify-center border border-base-content ${ticked ? 'bg-neutral text-neutral-content' : ''}`}
        onClick={() =>
          void act(() =>
            ticked
              ? send('DELETE', `/api/studies/${studyId}/rules/${ticked.id}`)
              : send('POST', `/api/studies/${studyId}/rules`, { kind: 'feature', feature, sentence, evidence }),
          )
        }
      >
        {ticked && <Check aria-hidden className="size-4" />}
      </button>
      {problem && <span className="text-error">{problem}</span>}
    </>
  );
}
