/** Knows what the Make bench stands on: references with their points, and the master's points and colours. */
import type { PlacedSet } from '../studies/landmarkRows';
import { landmarksIn } from '../studies/landmarks';
import { listReferences, ReferenceView } from '../studies/references';
import { worksWithReadings } from '../studies/works';

export interface MakingView {
  references: (ReferenceView & { sets: PlacedSet[] })[];
  works: {
    id: string;
    title: string;
    pictureId: string;
    groupId: string | null;
    group: string | null;
    /** By template, one or more sets of each. */
    points: Record<string, Record<string, [number, number]>[]>;
    palette: { hex: string; share: number; accent: boolean }[];
  }[];
}

function pointsByTemplate(sets: readonly PlacedSet[]): MakingView['works'][number]['points'] {
  const out: MakingView['works'][number]['points'] = {};
  for (const { template, points } of sets) (out[template] ??= []).push(points);
  return out;
}

/** For a study of the caller's own. */
export async function makingOf(studyId: string): Promise<MakingView> {
  const references = await listReferences(studyId);
  const works = await worksWithReadings(studyId);
  const sets = await landmarksIn(studyId);
  return {
    references: references.map((r) => ({ ...r, sets: sets.get(r.id) ?? [] })),
    works: works.map((w) => ({
      id: w.id,
      title: w.title,
      pictureId: w.pictureId,
      groupId: w.groupId,
      group: w.group,
      points: pointsByTemplate(sets.get(w.id) ?? []),
      palette: (w.read?.profile.palette ?? []).map(({ hex, share, accent }) => ({ hex, share, accent })),
    })),
  };
}
