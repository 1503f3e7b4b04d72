'use client';
import Link from 'next/link';
import { figure, Message } from '@/core/message';
import type { Comparison } from '@/core/style/compare';
import { ruleSentence } from '@/core/style/words';
import type { Piece } from '../pieces/piece';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';

export interface RuleView {
  id: string;
  kind: 'feature' | 'always' | 'never';
  feature: string;
  sentence: string;
  said: { sentence: Message; evidence: Message } | null;
}

/** Which rules of the study the piece keeps: measured ones from its readings, the rest as a person answers. */
export function RulesKept({
  pieceId,
  comparison,
  rules,
  answers,
}: {
  pieceId: string;
  comparison: Comparison;
  rules: RuleView[];
  answers: { ruleId: string; met: boolean }[];
}) {
  const say = useSay();
  const { act } = useChange();
  if (!rules.length) return null;
  const answer = (ruleId: string, met: boolean) => void act(() => send('POST', `/api/pieces/${pieceId}/notes`, { ruleId, met }));
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('compare.rules')}</h2>
      <ul className="grid gap-1">
        {rules.map((r) => {
          const finding = comparison.findings.find((f) => f.feature === r.feature);
          const given = answers.find((a) => a.ruleId === r.id)?.met;
          const met = r.kind === 'feature' ? (finding ? finding.distance === 0 : undefined) : given;
          return (
            <li key={r.id} className="grid grid-cols-[4.5rem_1fr] gap-2">
              <span className="text-sm font-semibold">
                {say(met === undefined ? 'compare.notSeen' : met ? 'compare.kept' : 'compare.missed')}
              </span>
              <span>
                {say('rules.sentence', { kind: r.kind, sentence: ruleSentence(r) })}
                {r.kind !== 'feature' && (
                  <span className="ms-2 text-sm">
                    {[true, false].map((kept) => (
                      <button
                        key={String(kept)}
                        type="button"
                        className="link me-1"
                        aria-pressed={given === kept}
                        onClick={() => answer(r.id, kept)}
                      >
                        {say(kept ? 'compare.kept' : 'compare.missed')}
                      </button>
                    ))}
                  </span>
                )}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Attempts as a small course. */
export function Course({ pieces, current, base }: { pieces: Piece[]; current: string; base: string }) {
  const say = useSay();
  if (pieces.length < 2) return null;
  return (
    <section className="mt-4">
      <h2 className="text-lg font-semibold">{say('compare.course')}</h2>
      <ol className="mt-1 flex gap-3">
        {pieces.map((p) => (
          <li key={p.id}>
            <Link
              href={`${base}?piece=${p.id}`}
              aria-current={p.id === current ? 'true' : undefined}
              className={`block p-1 text-center text-sm ${p.id === current ? 'outline-2 outline-base-content' : ''}`}
            >
              <img src={`/api/pictures/${p.rectifiedId ?? p.photoId}?size=small`} alt="" className="h-14 w-auto" />
              {p.closeness === null
                ? say('compare.tryOpen', { n: p.attempt })
                : say('compare.try', { n: p.attempt, closeness: figure(p.closeness) })}
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}
