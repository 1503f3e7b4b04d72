'use client';
import { Check } from 'lucide-react';
import type { Message } from '@/core/message';
import { ruleSentence } from '@/core/style/words';
import { send } from '../shared/request';
import { useChange } from '../shared/server/useChange';
import { useSay } from '../words/Words';
import type { Rule } from './RuleList';

interface Props {
  studyId: string;
  said: Message;
  evidence: Message;
}

/** A reading that can be ticked into the rules. */
export function TickRule({ feature, ticked, ...rest }: Props & { feature: string; ticked: Rule | undefined }) {
  return <Tick {...rest} ticked={ticked} about={{ kind: 'feature', feature }} />;
}

/** A sentence that can be ticked into the rules, as something that a person then answers for each piece. */
export function TickSentence({ kind = 'always', rules, ...rest }: Props & { kind?: 'always' | 'never'; rules: readonly Rule[] }) {
  const say = useSay();
  const sentence = say(rest.said);
  return <Tick {...rest} ticked={rules.find((r) => r.kind !== 'feature' && say(ruleSentence(r)) === sentence)} about={{ kind }} />;
}

function Tick({
  studyId,
  said,
  evidence,
  ticked,
  about,
}: Props & { ticked: Rule | undefined; about: { kind: Rule['kind']; feature?: string } }) {
  const say = useSay();
  const { act, busy, problem } = useChange();
  return (
    <>
      <button
        type="button"
        aria-pressed={!!ticked}
        aria-label={ticked ? say('rules.already', { sentence: ruleSentence(ticked) }) : say('rules.make', { sentence: said })}
        disabled={busy}
        className={`flex size-6 shrink-0 items-center justify-center border border-base-content ${ticked ? 'bg-neutral text-neutral-content' : ''}`}
        onClick={() =>
          void act(() =>
            ticked
              ? send('DELETE', `/api/studies/${studyId}/rules/${ticked.id}`)
              : send('POST', `/api/studies/${studyId}/rules`, { ...about, said: { sentence: said, evidence } }),
          )
        }
      >
        {ticked && <Check aria-hidden className="size-4" />}
      </button>
      {problem && <span className="text-error">{say(problem)}</span>}
    </>
  );
}
