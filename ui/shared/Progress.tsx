'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { send } from './request';
import { minutesLeft, Watch, watched } from './watch';
import { useSay } from '../words/Words';

interface Counts {
  queued: number;
  running: number;
  done: number;
  failed: number;
  stopped: number;
  left: number;
}

/** How much is measured. A narrow head has little room: there the count alone is seen, and how long it takes is told on pointing at it. */
function Count({ watch, now }: { watch: Watch; now: number }) {
  const say = useSay();
  const counts = { done: watch.all - watch.left, all: watch.all };
  const minutes = minutesLeft(watch, now);
  const count = say('background.open', counts);
  const told = minutes === null ? count : say('background.openFor', { ...counts, minutes });
  return (
    <>
      <progress className="progress w-20 lg:max-2xl:hidden" value={counts.done} max={counts.all} aria-label={say('background.label')} />
      <span aria-hidden className="max-lg:hidden 2xl:hidden" title={told}>
        {count}
      </span>
      <span className="max-2xl:sr-only">{told}</span>
    </>
  );
}

/** Background work of the study, with a count, a way to stop what waits, and a way to take it up again. The page shows new results by itself. */
export function Progress({ studyId }: { studyId: string }) {
  const say = useSay();
  const [counts, setCounts] = useState<Counts | null>(null);
  const [watch, setWatch] = useState<Watch | null>(null);
  const [now, setNow] = useState(0);
  const router = useRouter();
  const before = useRef<string | null>(null);
  const path = `/api/studies/${studyId}/progress`;
  useEffect(() => {
    const source = new EventSource(path);
    source.onmessage = (e) => {
      const next = JSON.parse(e.data) as Counts;
      setCounts(next);
      setNow(Date.now());
      setWatch((w) => watched(w, next.left, Date.now()));
      const ended = `${next.done} ${next.failed} ${next.stopped}`;
      if (before.current !== null && ended !== before.current) router.refresh();
      before.current = ended;
    };
    return () => source.close();
  }, [path, router]);
  if (!counts) return <span role="status" className="text-sm" />;
  const again = (label: string) => (
    <button type="button" className="link" onClick={() => void send('POST', path, { subjectId: null })}>
      {label}
    </button>
  );
  return (
    <span role="status" className="flex flex-none items-center gap-2 text-sm max-sm:hidden">
      {watch && (
        <>
          <Count watch={watch} now={now} />
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
