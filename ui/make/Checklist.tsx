'use client';
import { useState } from 'react';
import { ruleSentence } from '@/core/style/words';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { Notice } from '../shared/Notice';
import type { Rule } from './reference';
import { useSay } from '../words/Words';

/** The study's rules, ticked off while the piece is made. */
export function Checklist({ referenceId, rules, done }: { referenceId: string; rules: Rule[]; done: string[] }) {
  const say = useSay();
  const [ticked, setTicked] = useState(() => new Set(done));
  const { act, problem } = useChange();
  const tick = async (ruleId: string, on: boolean) => {
    const before = ticked;
    const next = new Set(ticked);
    if (on) next.add(ruleId);
    else next.delete(ruleId);
    setTicked(next);
    if (!(await act(() => send('POST', `/api/references/${referenceId}`, { ruleId, done: on })))) setTicked(before);
  };
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('make.checklist')}</h2>
      {rules.length === 0 && <p>{say('make.noRules')}</p>}
      <ul className="grid gap-1">
        {rules.map((r) => (
          <li key={r.id}>
            <label className="flex items-start gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-sm mt-0.5"
                checked={ticked.has(r.id)}
                onChange={(e) => void tick(r.id, e.target.checked)}
              />
              <span>{say('rules.sentence', { kind: r.kind, sentence: ruleSentence(r) })}</span>
            </label>
          </li>
        ))}
      </ul>
      <Notice said={problem} />
    </section>
  );
}
