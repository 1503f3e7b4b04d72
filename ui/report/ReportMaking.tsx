'use client';
import { FileText, RotateCcw } from 'lucide-react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Message, typed } from '@/core/message';
import { Notice } from '../shared/Notice';
import { get, problemOf, send } from '../shared/request';
import { useSay } from '../words/Words';

interface Making {
  state: 'none' | 'making' | 'made' | 'failed';
  pages: number;
  done: number;
  all: number;
  problem: Message | null;
}

const PAUSE = 600;

/** The report while its pages are made, and the way to it when they are; it goes on being made when this page is left. */
export function ReportMaking({ studyId, study }: { studyId: string; study: string }) {
  const say = useSay();
  const path = `/api/studies/${studyId}/report`;
  const key = ['report', studyId];
  const client = useQueryClient();
  const begin = () => send<Making>('POST', path);
  const { data: making, error } = useQuery({
    queryKey: key,
    queryFn: async () => {
      const now = await get<Making>(path);
      return now.state === 'none' ? begin() : now;
    },
    refetchInterval: ({ state }) => state.data?.state === 'making' && PAUSE,
  });
  const { mutate: again, error: refused } = useMutation({ mutationFn: begin, onSuccess: (now) => client.setQueryData(key, now) });
  const failed = refused ?? error;
  const problem = failed ? problemOf(failed) : (making?.problem ?? null);
  const made = making?.state === 'made';
  return (
    <div className="mx-auto grid w-full max-w-2xl content-start gap-4 p-8">
      <h2 className="text-3xl font-semibold">{say('report.of', { study: typed(study) })}</h2>
      <div role="status" className="grid gap-2 text-lg">
        {!made && !problem && (
          <>
            <progress
              className="progress h-3 w-full"
              value={making?.all ? making.done : undefined}
              max={making?.all || 1}
              aria-label={say('report.making')}
            />
            <p>{making?.pages ? say('report.pagesMade', { n: making.pages }) : say('report.gathering')}</p>
            <p className="text-base">{say('report.leave')}</p>
          </>
        )}
        {making && making.pages > 0 && !problem && (
          <ul aria-hidden className="my-2 flex flex-wrap gap-2">
            {Array.from({ length: making.pages }, (_, i) => (
              <li key={i} className="grid h-14 w-10 content-start gap-1 border border-base-content/60 bg-white p-1">
                {[1, 0.7, 0.9].map((part) => (
                  <span key={part} className="h-0.5 bg-black/50" style={{ width: `${100 * part}%` }} />
                ))}
              </li>
            ))}
          </ul>
        )}
        {made && <p>{say('report.ready', { n: making.pages })}</p>}
      </div>
      <Notice said={problem} />
      {(made || problem) && (
        <div className="flex flex-wrap gap-3">
          {made && (
            <a className="btn btn-primary" href={path} target="_blank" rel="noreferrer">
              <FileText aria-hidden className="size-5" /> {say('report.open')}
            </a>
          )}
          <button type="button" className="btn" onClick={() => again()}>
            <RotateCcw aria-hidden className="size-5" /> {say('report.again')}
          </button>
        </div>
      )}
    </div>
  );
}
