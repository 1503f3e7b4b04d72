/** A picture measured as comparison needs it. */
import { Measured } from '../../core/style/compare';
import { measurePicture } from '../../core/style/profile';
import { RgbImage } from '../../core/raster/image';

export function measured(image: RgbImage, widthMm: number): Measured {
  const { profile, layout } = measurePicture(image, { mmPerPixel: widthMm / image.width });
  return { features: profile.features, palette: profile.palette, layout, widthMm };
}
