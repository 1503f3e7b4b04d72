'use client';
import { Check } from 'lucide-react';
import { Message, message, typed } from '@/core/message';
import { ruleSentence } from '@/core/style/words';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import type { Rule } from './RuleList';

/** A sentence read on a work that can be ticked into the rules, as something that a person then answers for each piece. */
export function TickSentence({
  studyId,
  said,
  work,
  evidence,
  kind = 'always',
  rules,
}: {
  studyId: string;
  said: Message;
  /** The work it was read on; null where it rests on something else, which `evidence` tells. */
  work: string | null;
  evidence?: Message;
  kind?: 'always' | 'never';
  rules: readonly Rule[];
}) {
  const say = useSay();
  const { act, busy } = useChange();
  const sentence = say(said);
  const ticked = rules.find((r) => r.kind !== 'feature' && say(ruleSentence(r)) === sentence);
  const grounds = evidence ?? message('readings.evidence.one', { title: typed(work ?? '') });
  return (
    <button
      type="button"
      aria-pressed={!!ticked}
      aria-label={ticked ? say('rules.already', { sentence: said }) : say('rules.make', { sentence: said })}
      disabled={busy}
      className={`flex size-6 shrink-0 items-center justify-center border border-base-content ${ticked ? 'bg-neutral text-neutral-content' : ''}`}
      onClick={() =>
        void act(() =>
          ticked
            ? send('DELETE', `/api/studies/${studyId}/rules/${ticked.id}`)
            : send('POST', `/api/studies/${studyId}/rules`, { kind, sentence: '', said: { sentence: said, evidence: grounds } }),
        )
      }
    >
      {ticked && <Check aria-hidden className="size-4" />}
    </button>
  );
}
