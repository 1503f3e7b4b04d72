import type { ProfileWithMaps } from '@/core/style/profile';
import type { Layered } from '@/ui/shared/layers/LayerCanvas';
import { landmarksIn } from '@/server/studies/landmarks';
import { pinsOf, WorkView } from '@/server/studies/works';

interface Known {
  sets?: Awaited<ReturnType<typeof landmarksIn>>;
  pins?: Awaited<ReturnType<typeof pinsOf>>;
}

/** What layers over the works of a study are told of, work by work; what a page knows already is not asked for again. */
export async function worksLayered(
  studyId: string,
  known: Known = {},
): Promise<(work: WorkView, reading?: ProfileWithMaps | null) => Layered> {
  const [sets, pins] = await Promise.all([known.sets ?? landmarksIn(studyId, 'work'), known.pins ?? pinsOf(studyId)]);
  return ({ id, pictureId, widthMm, frame, leftOut }, reading) => ({
    pictureId,
    // The frame that was found is the one that was measured.
    as: { widthMm, frame: reading?.frame ?? frame, leftOut },
    sets: (sets.get(id) ?? []).map(({ template, points }) => ({ template, points })),
    patches: (pins.get(id) ?? []).map((p) => p.patch),
  });
}
