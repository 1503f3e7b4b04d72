'use client';
import { useMutation } from '@tanstack/react-query';
import type { Message } from '@/core/message';
import { problemOf, RequestError } from '../request';
import { useRefreshed } from './useRefreshed';

/** Work that begins now, and not a moment later, when the field it reads from may show something else again. */
function begun(work: () => Promise<unknown>): () => Promise<unknown> {
  const going = work();
  // Whoever waits for it is told what went wrong; nobody else needs to be.
  going.catch(() => undefined);
  return () => going;
}

/**
 * Runs a change, shows that it is being saved, tells what went wrong, and fetches the page's newer state. Changes of one
 * `scope` run one after another, so that each knows the version the one before it made.
 */
export function useChange(scope?: string): {
  act: (work: () => Promise<unknown>) => Promise<boolean>;
  busy: boolean;
  problem: Message | null;
  /** What was refused of a field, by its name; null where that is not what went wrong. */
  refused: (field: string) => Message | null;
  /** What went wrong that is not about one of these fields. */
  other: (fields: readonly string[]) => Message | null;
} {
  const refreshed = useRefreshed();
  const { mutateAsync, isPending, error } = useMutation({
    mutationFn: (work: () => Promise<unknown>) => work(),
    onSettled: refreshed,
    ...(scope && { scope: { id: scope } }),
  });
  const act = (work: () => Promise<unknown>) =>
    mutateAsync(scope ? work : begun(work)).then(
      () => true,
      () => false,
    );
  const about = error instanceof RequestError ? error.field : null;
  const refused = (field: string) => (error && about?.split(/[.[]/)[0] === field ? problemOf(error) : null);
  const problem = error && problemOf(error);
  const other = (fields: readonly string[]) => (fields.some(refused) ? null : problem);
  return { act, busy: isPending, problem, refused, other };
}
