import type { ProfileWithMaps } from '@/core/style/profile';
import type { WorkView } from '@/server/studies/works';
import type { Layered } from '@/ui/shared/layers/LayerCanvas';

/** What layers over a work are told of; the frame that was found is the one that was measured. */
export const layeredOf = ({ pictureId, widthMm, frame, leftOut, sets, patches }: WorkView, reading?: ProfileWithMaps | null): Layered => ({
  pictureId,
  as: { widthMm, frame: reading?.frame ?? frame, leftOut },
  sets,
  patches,
});
