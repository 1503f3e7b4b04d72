/** Pictures measured as comparison needs them. */
import { Measured } from '../../core/style/compare';
import { resolutionOf } from '../../core/style/prepare';
import { measurePicture } from '../../core/style/profile';
import { Resolution, Rung, rungName } from '../../core/style/scale';
import { RgbImage } from '../../core/raster/image';

export interface Measurer {
  resolution: Resolution;
  /** Measured at a rung; kept, since many comparisons ask for the same. */
  at: (rung: Rung | null) => Measured;
}

export function measurer(image: RgbImage, widthMm: number | null): Measurer {
  const resolution = resolutionOf(image, { widthMm });
  const kept = new Map<string, Measured>();
  const at = (rung: Rung | null): Measured => {
    const key = rungName(rung);
    const known = kept.get(key);
    if (known) return known;
    const { profile, layout } = measurePicture(image, { ...resolution, rung });
    const measured = { features: profile.features, palette: profile.palette, layout, widthMm };
    kept.set(key, measured);
    return measured;
  };
  return { resolution, at };
}

export const measured = (image: RgbImage, widthMm: number | null): Measured => measurer(image, widthMm).at(null);
