'use client';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { KEYS } from './keys';

/** Fetches what a change has made newer: the page's own state, and what undo would do next. */
export function useRefreshed(): () => void {
  const client = useQueryClient();
  const router = useRouter();
  return useCallback(() => {
    void client.invalidateQueries({ queryKey: KEYS.edits });
    router.refresh();
  }, [client, router]);
}
