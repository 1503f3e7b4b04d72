'use client';
import { text } from '../text/en';
import { Notice } from './Notice';
import { send } from './request';
import { useAct } from './useAct';

/** Says that one thing's measuring was stopped or given up, and takes it up again. */
export function MeasureAgain({
  studyId,
  subjectId,
  held,
}: {
  studyId: string;
  subjectId: string;
  held: { state: 'stopped' | 'failed'; told: string };
}) {
  const { act, busy, problem } = useAct();
  const t = text.background;
  return (
    <div className="mt-2">
      <p>
        {t.held[held.state]} {held.state === 'failed' && held.told}
      </p>
      <button
        type="button"
        className="btn btn-sm"
        disabled={busy}
        onClick={() => void act(() => send('POST', `/api/studies/${studyId}/progress`, { subjectId }))}
      >
        {held.state === 'stopped' ? t.measure : t.again}
      </button>
      <Notice message={problem} />
    </div>
  );
}
