/** Pictures measured as comparison needs them. */
import { Measured } from '../../core/style/compare';
import { measurePicture, resolutionOf } from '../../core/style/profile';
import { oneScale, Rung } from '../../core/style/scale';
import { RgbImage } from '../../core/raster/image';

export function measured(image: RgbImage, widthMm: number | null, rung: Rung | null = null): Measured {
  const { profile, layout } = measurePicture(image, { widthMm, rung });
  return { features: profile.features, palette: profile.palette, layout, widthMm };
}

/** A picture and another of it, both `widthMm` wide, at the one scale they are compared at. */
export function measuredAt(widthMm: number, image: RgbImage, other: RgbImage): [Measured, Measured] {
  const { rung } = oneScale([resolutionOf(image, { widthMm })], resolutionOf(other, { widthMm }));
  return [measured(image, widthMm, rung), measured(other, widthMm, rung)];
}
