'use client';
import { get, send } from '../shared/request';
import { KEYS } from '../shared/server/keys';
import { useSaved } from '../shared/server/useSaved';
import type { Points } from './LandmarkLayer';

export interface LandmarkSet {
  template: string;
  /** Which figure, where there are several; empty for the one that is. */
  name: string;
  points: Points;
  /** Points that are not to be seen. */
  hidden: readonly string[] | null;
  /** Points placed a second time, without looking at the first. */
  again?: Points | null;
  version: number;
}

export type Subject = 'work' | 'piece' | 'reference';

type Placed = Pick<LandmarkSet, 'points' | 'hidden' | 'again'>;

/** One set of points on one subject, saved as they are placed. */
export function useLandmarks(subject: Subject, id: string, template: string, name: string, first: LandmarkSet | undefined) {
  const path = `/api/landmarks/${subject}/${id}`;
  const none: LandmarkSet = { template, name, points: {}, hidden: null, again: null, version: 0 };
  const { value, stored, show, save, state, problem } = useSaved<LandmarkSet, Placed>({
    key: [...KEYS.landmarks, subject, id, template, name],
    first: first ?? none,
    load: async () => (await get<LandmarkSet[]>(path)).find((s) => s.template === template && s.name === name) ?? none,
    valueOf: (set) => set,
    store: async ({ points, hidden, again }, { version }, label) => {
      const answer = await send<{ version: number }>('PUT', path, { template, name, version, points, hidden: hidden ?? [], again, label });
      return { template, name, points, hidden, again, version: answer.version };
    },
  });
  return {
    points: value.points,
    hidden: value.hidden ?? NONE,
    again: value.again ?? NOWHERE,
    /** Is anything of it kept? */
    kept: stored.version > 0,
    show: (points: Points, hidden: readonly string[] = value.hidden ?? NONE, again: Points | null = value.again ?? null) =>
      show({ points, hidden, again }),
    save,
    state,
    problem,
  };
}

const NONE: readonly string[] = [];
const NOWHERE: Points = {};
