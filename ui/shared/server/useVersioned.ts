'use client';
import { useEffect, useRef } from 'react';
import { send } from '../request';
import { useChange } from './useChange';

/**
 * Changes of one thing that are saved field by field, one after another; each save knows the version that the one before it
 * made, so that two fields left in quick succession do not stand in each other's way.
 */
export function useVersioned(path: string, version: number) {
  const change = useChange(path);
  const newest = useRef(version);
  useEffect(() => {
    newest.current = Math.max(newest.current, version);
  }, [version]);
  const save = (fields: Record<string, unknown>): Promise<boolean> =>
    change.act(async () => {
      const answer = await send<{ version: number }>('PATCH', path, { version: newest.current, ...fields });
      newest.current = answer.version;
    });
  return { ...change, save };
}
