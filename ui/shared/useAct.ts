'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { edited } from './EditBar';

/** Runs a change, shows that it is being saved, tells what went wrong, and fetches the page's newer state. */
export function useAct(): {
  act: (work: () => Promise<unknown>) => Promise<boolean>;
  busy: boolean;
  problem: string | null;
} {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const router = useRouter();
  const act = async (work: () => Promise<unknown>) => {
    setBusy(true);
    setProblem(null);
    try {
      await work();
      return true;
    } catch (error) {
      setProblem((error as Error).message);
      return false;
    } finally {
      setBusy(false);
      edited();
      router.refresh();
    }
  };
  return { act, busy, problem };
}
