'use client';
import { Remote, wrap } from 'comlink';
import type { ReadingApi } from './reading.worker';

let remote: Remote<ReadingApi> | null = null;

/** The page's one reading worker. */
export function readingWorker(): Remote<ReadingApi> {
  return (remote ??= wrap<ReadingApi>(new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' })));
}

export const wholePicture = (id: string): string => `/api/pictures/${id}`;
export const screenPicture = (id: string): string => `/api/pictures/${id}?size=screen`;
