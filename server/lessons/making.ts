/** Knows what the Make bench stands on: references with their points, and the master's points and colours. */
import { landmarksOf, LandmarkView } from '../studies/landmarks';
import { listReferences, ReferenceView } from '../studies/references';
import { listWorks, profileOf } from '../studies/works';

export interface MakingView {
  references: (ReferenceView & { sets: LandmarkView[] })[];
  works: {
    id: string;
    title: string;
    pictureId: string;
    points: Record<string, Record<string, [number, number]>>;
    palette: { hex: string; name: string; share: number; accent: boolean }[];
  }[];
}

export async function makingOf(teacherId: string, studyId: string): Promise<MakingView> {
  const references = await listReferences(teacherId, studyId);
  const works = (await listWorks(teacherId, studyId)).filter((w) => !w.foil);
  return {
    references: await Promise.all(
      references.map(async (r) => ({ ...r, sets: await landmarksOf(teacherId, 'reference', r.id) })),
    ),
    works: await Promise.all(
      works.map(async (w) => ({
        id: w.id,
        title: w.title,
        pictureId: w.pictureId,
        points: Object.fromEntries(
          (await landmarksOf(teacherId, 'work', w.id)).map((s) => [s.template, s.points]),
        ),
        palette: ((await profileOf(w.pictureId, w.widthMm))?.profile.palette ?? []).map(({ hex, name, share, accent }) => ({ hex, name, share, accent })),
      })),
    ),
  }; // prettier-ignore
}
