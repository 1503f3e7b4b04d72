/** Knows what the Make bench stands on: references with their points, and the master's points and colours. */
import { landmarksIn, LandmarkView } from '../studies/landmarks';
import { listReferences, ReferenceView } from '../studies/references';
import { worksWithReadings } from '../studies/works';

export interface MakingView {
  references: (ReferenceView & { sets: LandmarkView[] })[];
  works: {
    id: string;
    title: string;
    pictureId: string;
    groupId: string | null;
    group: string | null;
    points: Record<string, Record<string, [number, number]>>;
    palette: { hex: string; share: number; accent: boolean }[];
  }[];
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
      points: Object.fromEntries((sets.get(w.id) ?? []).map((s) => [s.template, s.points])),
      palette: (w.read?.profile.palette ?? []).map(({ hex, share, accent }) => ({ hex, share, accent })),
    })),
  };
}
