'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { send } from './request';
import { useSay } from '../words/Words';

interface Counts {
  queued: number;
  running: number;
  done: number;
  failed: number;
  stopped: number;
}

/** Background work of the study, with a count, a way to stop what waits, and a way to take it up again. The page shows new results by itself. */
export function Progress({ studyId }: { studyId: string }) {
  const say = useSay();
  const [counts, setCounts] = useState<Counts | null>(null);
  const router = useRouter();
  const before = useRef<string | null>(null);
  const path = `/api/studies/${studyId}/progress`;
  useEffect(() => {
    const source = new EventSource(path);
    source.onmessage = (e) => {
      const next = JSON.parse(e.data) as Counts;
      setCounts(next);
      const ended = `${next.done} ${next.failed} ${next.stopped}`;
      if (before.current !== null && ended !== before.current) router.refresh();
      before.current = ended;
    };
    return () => source.close();
  }, [path, router]);
  if (!counts) return <span role="status" className="text-sm" />;
  const open = counts.queued + counts.running;
  const all = open + counts.done + counts.failed + counts.stopped;
  const again = (label: string) => (
    <button type="button" className="link" onClick={() => void send('POST', path, { subjectId: null })}>
      {label}
    </button>
  );
  return (
    <span role="status" className="flex flex-none items-center gap-2 text-sm max-sm:hidden">
      {open > 0 && (
        <>
          <progress className="progress w-20" value={all - open} max={all} aria-label={say('background.label')} />
          <span className="max-lg:sr-only">{say('background.open', { done: all - open, all })}</span>
          {counts.queued > 0 && (
            <button type="button" className="link" onClick={() => void send('DELETE', path)}>
              {say('background.stop')}
            </button>
          )}
        </>
      )}
      {counts.stopped > 0 && (
        <>
          {say('background.stopped', { n: counts.stopped })} {again(say('background.measure'))}
        </>
      )}
      {counts.stopped === 0 && counts.failed > 0 && (
        <>
          {say('background.failed', { n: counts.failed })} {again(say('background.again'))}
        </>
      )}
    </span>
  );
}
