'use client';
import { Redo2, Undo2 } from 'lucide-react';
import { Message, message } from '@/core/message';
import { useRouter } from 'next/navigation';
import { skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, useTransition } from 'react';
import { get, problemOf, send } from './request';
import { KEYS, STEPPED_OVER } from './server/keys';
import { SaveState } from './typing/SaveState';
import { useSay } from '../words/Words';

interface State {
  undo: Message | null;
  redo: Message | null;
}

const NOTHING: State = { undo: null, redo: null };

/** Counts undos and redos whose newer state the page has: what holds a stored value is made anew with this as its key. */
export function useStepped(): number {
  return useQuery({ queryKey: KEYS.stepped, queryFn: skipToken, initialData: 0 }).data ?? 0;
}

/** Undo and redo over a study's log of edits, or where it is null over that of cupboard and classes; what they may have changed is fetched again. */
export function EditBar({ studyId }: { studyId: string | null }) {
  const say = useSay();
  const router = useRouter();
  const [refreshing, refresh] = useTransition();
  const client = useQueryClient();
  const before = useRef(false);
  useEffect(() => {
    if (before.current && !refreshing) client.setQueryData<number>(KEYS.stepped, (n) => (n ?? 0) + 1);
    before.current = refreshing;
  }, [refreshing, client]);
  const path = studyId === null ? '/api/edits' : `/api/studies/${studyId}/edits`;
  const { data: state } = useQuery<State>({
    queryKey: [...KEYS.edits, studyId],
    queryFn: () => get<State>(path),
    placeholderData: NOTHING,
  });
  const [notice, setNotice] = useState<Message | null>(null);
  const { mutate: step } = useMutation({
    mutationFn: (direction: 'undo' | 'redo') => send<State & { label: Message; problem: Message | null }>('POST', path, { direction }),
    onSuccess: (next, direction) => {
      client.setQueryData<State>([...KEYS.edits, studyId], next);
      setNotice(next.problem ?? message(direction === 'undo' ? 'shared.undone' : 'shared.redone', { label: next.label }));
      for (const queryKey of STEPPED_OVER) void client.invalidateQueries({ queryKey });
      refresh(() => router.refresh());
    },
    onError: (error) => setNotice(problemOf(error)),
  });
  useEffect(() => {
    const key = (e: KeyboardEvent) => {
      if (
        !(e.ctrlKey || e.metaKey) ||
        e.key.toLowerCase() !== 'z' ||
        (e.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(e.target.tagName))
      )
        return;
      e.preventDefault();
      step(e.shiftKey ? 'redo' : 'undo');
    };
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener('keydown', key);
    };
  }, [step]);
  return (
    <span className="flex flex-none items-center gap-2 text-sm">
      <SaveState />
      <span role="status" className="max-w-48 truncate max-sm:hidden" title={notice ? say(notice) : undefined}>
        {notice && say(notice)}
      </span>
      <button
        type="button"
        className="btn btn-sm"
        disabled={!state?.undo}
        title={state?.undo ? say(state.undo) : undefined}
        onClick={() => step('undo')}
      >
        <Undo2 aria-hidden className="size-4" /> <span className="max-md:sr-only">{say('shared.undo')}</span>
      </button>
      <button
        type="button"
        className="btn btn-sm"
        disabled={!state?.redo}
        title={state?.redo ? say(state.redo) : undefined}
        onClick={() => step('redo')}
      >
        <Redo2 aria-hidden className="size-4" /> <span className="max-md:sr-only">{say('shared.redo')}</span>
      </button>
    </span>
  );
}
