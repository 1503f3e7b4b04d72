'use client';
import { QueryKey, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Message } from '@/core/message';
import { problemOf, RequestError } from '../request';
import { KEYS } from './keys';

type SaveState = 'saved' | 'saving' | 'failed';

interface Options<Stored, Value> {
  key: QueryKey;
  /** What came with the page. */
  first: Stored;
  load: () => Promise<Stored>;
  valueOf: (stored: Stored) => Value;
  /** Saves a value over what is stored; gives what is stored then. */
  store: (value: Value, over: Stored, label: Message) => Promise<Stored>;
  /** How long after the last change it is saved, ms. */
  pause?: number;
}

/**
 * Something kept by the server that is shown as it is changed and saved by itself, one save after another. A state made
 * elsewhere, by undo or in another window, is shown and not overwritten.
 */
export function useSaved<Stored, Value>({ key, first, load, valueOf, store, pause = 0 }: Options<Stored, Value>) {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: key, queryFn: load, initialData: first });
  const stored = data ?? first;
  // What is shown ahead of what is stored.
  const [draft, setDraft] = useState<{ value: Value } | null>(null);
  const newest = useRef<{ value: Value } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const [waiting, setWaiting] = useState(false);
  const show = useCallback((value: Value) => setDraft((newest.current = { value })), []);
  const { mutate, isPending, error } = useMutation({
    mutationFn: ({ value, label }: { value: Value; label: Message; of: unknown }) =>
      store(value, client.getQueryData<Stored>(key) ?? first, label),
    scope: { id: JSON.stringify(key) },
    onSuccess: (now, { of }) => {
      client.setQueryData(key, now);
      // Unless it has been changed again meanwhile.
      if (newest.current === of) setDraft((newest.current = null));
      void client.invalidateQueries({ queryKey: KEYS.edits });
    },
    onError: async (problem) => {
      if (!(problem instanceof RequestError) || problem.status !== 409) return;
      await client.refetchQueries({ queryKey: key });
      setDraft((newest.current = null));
    },
  });
  const last = useRef<Message | null>(null);
  const flush = useCallback(() => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    setWaiting(false);
    const [label, of] = [last.current, newest.current];
    last.current = null;
    if (label && of) mutate({ value: of.value, label, of });
  }, [mutate]);
  const save = useCallback(
    (label: Message) => {
      last.current = label;
      if (!pause) return flush();
      if (timer.current) clearTimeout(timer.current);
      setWaiting(true);
      timer.current = setTimeout(flush, pause);
    },
    [flush, pause],
  );
  // What waits when the page is left is saved at once.
  useEffect(() => flush, [flush]);
  const state: SaveState = isPending || waiting ? 'saving' : error ? 'failed' : 'saved';
  return { value: draft ? draft.value : valueOf(stored), stored, show, save, state, problem: error && problemOf(error) };
}
