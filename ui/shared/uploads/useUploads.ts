'use client';
import { useCallback, useState } from 'react';
import type { Message } from '@/core/message';
import { problemOf } from '../request';
import { useRefreshed } from '../server/useRefreshed';

/** A picture on its way in. */
export interface Upload {
  key: number;
  name: string;
  /** How much of it has gone over, 0–1. */
  share: number;
  stage: 'waiting' | 'sending' | 'upright' | 'taken' | 'refused';
  problem: Message | null;
}

type Send = (file: File, onProgress: (share: number) => void) => Promise<unknown>;

let count = 0;
/** How long what has been taken in is still listed, ms. */
const LISTED = 5000;

/** Pictures sent one after another; one that is refused says so and holds up none of the others. */
export function useUploads(): {
  uploads: readonly Upload[];
  take: (files: Iterable<File> | null, send: Send) => Promise<void>;
  forget: (key: number) => void;
} {
  const [uploads, setUploads] = useState<readonly Upload[]>([]);
  const refreshed = useRefreshed();
  const change = useCallback(
    (key: number, next: Partial<Upload>) => setUploads((list) => list.map((u) => (u.key === key ? { ...u, ...next } : u))),
    [],
  );
  const forget = useCallback((key: number) => setUploads((list) => list.filter((u) => u.key !== key)), []);
  const take = useCallback(
    async (files: Iterable<File> | null, send: Send) => {
      const coming = Array.from(files ?? [], (file) => ({ file, key: ++count }));
      setUploads((list) => [
        ...list.filter((u) => u.stage !== 'refused'),
        ...coming.map(({ file, key }): Upload => ({ key, name: file.name, share: 0, stage: 'waiting', problem: null })),
      ]);
      for (const { file, key } of coming) {
        change(key, { stage: 'sending' });
        try {
          await send(file, (share) => change(key, { share, stage: share < 1 ? 'sending' : 'upright' }));
          change(key, { share: 1, stage: 'taken' });
          setTimeout(() => forget(key), LISTED);
        } catch (error) {
          change(key, { stage: 'refused', problem: problemOf(error) });
        }
        refreshed();
      }
    },
    [change, forget, refreshed],
  );
  return { uploads, take, forget };
}
