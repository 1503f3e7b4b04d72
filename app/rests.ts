import type { ProfileWithMaps } from '@/core/style/profile';
import { Rests, sizesIn } from '@/ui/shared/evidence/rests';

/** What the readings of a whole work rest on; `works` is how many of the hand have been measured. */
export function restsOf({ profile, frame, sharpness, distributions }: ProfileWithMaps, widthMm: number | null, works: number): Rests {
  const { lightness, ...marks } = distributions;
  return {
    features: profile.features,
    marks,
    sizes: sizesIn(profile.marks.overall),
    lightness,
    steps: profile.values.steps,
    palette: profile.palette,
    known: {
      widthMm,
      pxPerMm: widthMm === null ? null : (frame[2] * sharpness) / widthMm,
      sheet: profile.ground !== null,
      works,
    },
    mmPerPixel: widthMm === null ? null : widthMm / frame[2],
  };
}
