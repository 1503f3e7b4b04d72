'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Message } from '@/core/message';
import { edited } from './EditBar';
import { problemOf } from './request';

/** Runs a change, shows that it is being saved, tells what went wrong, and fetches the page's newer state. */
export function useAct(): {
  act: (work: () => Promise<unknown>) => Promise<boolean>;
  busy: boolean;
  problem: Message | null;
} {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<Message | null>(null);
  const router = useRouter();
  const act = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setProblem(null);
    try {
      await work();
      return true;
    } catch (error) {
      setProblem(problemOf(error));
      return false;
    } finally {
      setBusy(false);
      edited();
      router.refresh();
    }
  };
  return { act, busy, problem };
}
