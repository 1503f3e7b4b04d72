'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { send } from './request';

interface Counts {
  queued: number;
  running: number;
  done: number;
  failed: number;
}

/** Background work of the study, with a count and a way to stop what still waits. The page shows new results by itself. */
export function Progress({ studyId }: { studyId: string }) {
  const [counts, setCounts] = useState<Counts | null>(null);
  const router = useRouter();
  const doneBefore = useRef<number | null>(null);
  useEffect(() => {
    const source = new EventSource(`/api/studies/${studyId}/progress`);
    source.onmessage = (e) => {
      const next = JSON.parse(e.data) as Counts;
      setCounts(next);
      if (doneBefore.current !== null && next.done > doneBefore.current) router.refresh();
      doneBefore.current = next.done;
    };
    return () => source.close();
  }, [studyId, router]);
  const open = counts ? counts.queued + counts.running : 0;
  if (!counts || open === 0) return <span role="status" className="text-sm" />;
  const all = open + counts.done + counts.failed;
  return (
    <span role="status" className="flex items-center gap-2 text-sm">
      <progress className="progress w-28" value={all - open} max={all} aria-label="Measured so far" />
      measuring: {all - open} of {all}
      {counts.queued > 0 && (
        <button type="button" className="link" onClick={() => void send('DELETE', `/api/studies/${studyId}/progress`)}>
          stop the rest
        </button>
      )}
    </span>
  );
}
