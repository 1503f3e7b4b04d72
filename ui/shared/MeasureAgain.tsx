'use client';
import type { Message } from '@/core/message';
import { Notice } from './Notice';
import { send } from './request';
import { useChange } from './server/useChange';
import { useSay } from '../words/Words';

/** Says that one thing's measuring was stopped or given up, and takes it up again. */
export function MeasureAgain({
  studyId,
  subjectId,
  halted,
}: {
  studyId: string;
  subjectId: string;
  halted: { state: 'stopped' | 'failed'; messages: Message[] };
}) {
  const say = useSay();
  const { act, busy, problem } = useChange();
  return (
    <div className="mt-2">
      <p>
        {halted.state === 'failed' && halted.messages.length > 0
          ? say('background.heldFailed', { why: halted.messages[0] })
          : say('background.heldStopped')}
      </p>
      <button
        type="button"
        className="btn btn-sm"
        disabled={busy}
        onClick={() => void act(() => send('POST', `/api/studies/${studyId}/progress`, { subjectId }))}
      >
        {say(halted.state === 'stopped' ? 'background.measure' : 'background.again')}
      </button>
      <Notice said={problem} />
    </div>
  );
}
