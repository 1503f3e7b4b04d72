'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { edited, STEPPED } from '../shared/EditBar';
import type { Message } from '@/core/message';
import { get, problemOf, RequestError, send } from '../shared/request';
import type { Points } from './LandmarkLayer';

export interface LandmarkSet {
  template: string;
  points: Points;
  version: number;
}

export type SaveState = 'saved' | 'saving' | 'failed';

/** The points of one template on one subject, saved as they are placed. A newer state from another window is shown, not overwritten. */
export function useLandmarks(subject: 'work' | 'piece' | 'reference', id: string, template: string, first: LandmarkSet | undefined) {
  const [points, setPoints] = useState<Points>(first?.points ?? {});
  const [state, setState] = useState<SaveState>('saved');
  const [problem, setProblem] = useState<Message | null>(null);
  const version = useRef(first?.version ?? 0);
  const current = useRef(points);
  const chain = useRef(Promise.resolve());
  const path = `/api/landmarks/${subject}/${id}`;
  const show = useCallback((next: Points) => {
    current.current = next;
    setPoints(next);
  }, []);
  const reload = useCallback(async () => {
    const set = (await get<LandmarkSet[]>(path)).find((s) => s.template === template);
    version.current = set?.version ?? 0;
    show(set?.points ?? {});
  }, [path, template, show]);
  useEffect(() => {
    const again = () => void reload().catch(() => undefined);
    window.addEventListener(STEPPED, again);
    return () => window.removeEventListener(STEPPED, again);
  }, [reload]);
  const save = useCallback(
    (label: Message) => {
      const sent = current.current;
      setState('saving');
      // One after another, so that each save knows the version the one before it made.
      chain.current = chain.current.then(async () => {
        try {
          const answer = await send<{ version: number }>('PUT', path, {
            template,
            version: version.current,
            points: sent,
            label,
          });
          version.current = Object.keys(sent).length ? answer.version : 0;
          setState('saved');
          setProblem(null);
          edited();
        } catch (error) {
          setState('failed');
          setProblem(problemOf(error));
          if (error instanceof RequestError && error.status === 409) await reload().catch(() => undefined);
        }
      });
    },
    [path, template, reload],
  );
  return { points, show, save, state, problem };
}
