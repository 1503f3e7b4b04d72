'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => {};

/** Has the page come alive? Until then a form would be sent by the browser itself, past our code. */
export function useHydrated(): boolean {
  return useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
}
