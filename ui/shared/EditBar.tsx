'use client';
import { Redo2, Undo2 } from 'lucide-react';
import { Message, message } from '@/core/message';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState, useTransition } from 'react';
import { get, problemOf, send } from './request';
import { SaveState } from './typing/SaveState';
import { useSay } from '../words/Words';

interface State {
  undo: Message | null;
  redo: Message | null;
}

const EDITED = 'oldhand:edited';
export const STEPPED = 'oldhand:stepped';
const SHOWN = 'oldhand:shown';

/** Tells the undo bar that something has been saved. */
export function edited(): void {
  window.dispatchEvent(new Event(EDITED));
}

/** Counts undos and redos whose newer state the page has: what holds a stored value is made anew with this as its key. */
export function useStepped(): number {
  const [n, setN] = useState(0);
  useEffect(() => {
    const count = () => setN((v) => v + 1);
    window.addEventListener(SHOWN, count);
    return () => window.removeEventListener(SHOWN, count);
  }, []);
  return n;
}

/** Undo and redo over the study's log of edits; benches listen for STEPPED and show the newer state. */
export function EditBar({ studyId }: { studyId: string }) {
  const say = useSay();
  const router = useRouter();
  const [refreshing, refresh] = useTransition();
  const before = useRef(false);
  useEffect(() => {
    if (before.current && !refreshing) window.dispatchEvent(new Event(SHOWN));
    before.current = refreshing;
  }, [refreshing]);
  const [state, setState] = useState<State>({ undo: null, redo: null });
  const [notice, setNotice] = useState<Message | null>(null);
  const load = useCallback(() => void get<State>(`/api/studies/${studyId}/edits`).then(setState, () => undefined), [studyId]);
  const step = useCallback(
    async (direction: 'undo' | 'redo') => {
      try {
        const next = await send<State & { label: Message; problem: Message | null }>('POST', `/api/studies/${studyId}/edits`, {
          direction,
        });
        setState(next);
        setNotice(next.problem ?? message(direction === 'undo' ? 'shared.undone' : 'shared.redone', { label: next.label }));
        window.dispatchEvent(new Event(STEPPED));
        refresh(() => router.refresh());
      } catch (error) {
        setNotice(problemOf(error));
      }
    },
    [studyId, router],
  );
  useEffect(() => {
    load();
    const key = (e: KeyboardEvent) => {
      if (
        !(e.ctrlKey || e.metaKey) ||
        e.key.toLowerCase() !== 'z' ||
        (e.target instanceof HTMLElement && /^(INPUT|TEXTAREA)$/.test(e.target.tagName))
      )
        return;
      e.preventDefault();
      void step(e.shiftKey ? 'redo' : 'undo');
    };
    window.addEventListener(EDITED, load);
    window.addEventListener('keydown', key);
    return () => {
      window.removeEventListener(EDITED, load);
      window.removeEventListener('keydown', key);
    };
  }, [load, step]);
  return (
    <span className="flex flex-none items-center gap-2 text-sm">
      <SaveState />
      <span role="status" className="max-w-48 truncate max-sm:hidden" title={notice ? say(notice) : undefined}>
        {notice && say(notice)}
      </span>
      <button
        type="button"
        className="btn btn-sm"
        disabled={!state.undo}
        title={state.undo ? say(state.undo) : undefined}
        onClick={() => void step('undo')}
      >
        <Undo2 aria-hidden className="size-4" /> <span className="max-md:sr-only">{say('shared.undo')}</span>
      </button>
      <button
        type="button"
        className="btn btn-sm"
        disabled={!state.redo}
        title={state.redo ? say(state.redo) : undefined}
        onClick={() => void step('redo')}
      >
        <Redo2 aria-hidden className="size-4" /> <span className="max-md:sr-only">{say('shared.redo')}</span>
      </button>
    </span>
  );
}
