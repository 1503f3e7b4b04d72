'use client';
import { get, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';
import type { Points } from './LandmarkLayer';

export interface LandmarkSet {
  template: string;
  points: Points;
  version: number;
}

const NONE: Points = {};

/** The points of one template on one subject, saved as they are placed. */
export function useLandmarks(subject: 'work' | 'piece' | 'reference', id: string, template: string, first: LandmarkSet | undefined) {
  const path = `/api/landmarks/${subject}/${id}`;
  const none: LandmarkSet = { template, points: NONE, version: 0 };
  const { value, show, save, state, problem } = useSaved<LandmarkSet, Points>({
    key: [...KEYS.landmarks, subject, id, template],
    first: first ?? none,
    load: async () => (await get<LandmarkSet[]>(path)).find((s) => s.template === template) ?? none,
    valueOf: (set) => set.points,
    store: async (points, { version }, label) => {
      const answer = await send<{ version: number }>('PUT', path, { template, version, points, label });
      // A set without points is none.
      return { template, points, version: Object.keys(points).length ? answer.version : 0 };
    },
  });
  return { points: value, show, save, state, problem };
}
