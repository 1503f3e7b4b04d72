'use client';
import { useState } from 'react';
import { edited } from '../shared/EditBar';
import { send } from '../shared/request';
import { Notice } from '../shared/Notice';
import { text } from '../text/en';
import type { Rule } from './reference';

/** The study's rules, ticked off while the piece is made. */
export function Checklist({ referenceId, rules, done }: { referenceId: string; rules: Rule[]; done: string[] }) {
  const [ticked, setTicked] = useState(() => new Set(done));
  const [problem, setProblem] = useState<string | null>(null);
  const tick = async (ruleId: string, on: boolean) => {
    const before = ticked;
    const next = new Set(ticked);
    if (on) next.add(ruleId);
    else next.delete(ruleId);
    setTicked(next);
    try {
      await send('POST', `/api/references/${referenceId}`, { ruleId, done: on });
      setProblem(null);
      edited();
    } catch (error) {
      setTicked(before);
      setProblem((error as Error).message);
    }
  };
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{text.make.checklist}</h2>
      {rules.length === 0 && <p>No rule has been written down yet.</p>}
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
              <span>
                {r.kind === 'feature' ? '' : `${r.kind}: `}
                {r.sentence}
              </span>
            </label>
          </li>
        ))}
      </ul>
      <Notice message={problem} />
    </section>
  );
}
