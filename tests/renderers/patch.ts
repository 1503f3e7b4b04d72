/** What every stroke model gives back, and the colours it may be asked to work in. */
import { MarkKind } from '../../core/marks/kinds';
import { RgbImage } from '../../core/raster/image';
import { Random } from '../../core/raster/statistics';

export type Colour = readonly [number, number, number];

/** Sheet and marks of a patch, sRGB 0–255, clearly apart in lightness; either may be the lighter. */
export interface Colours {
  sheet: Colour;
  inks: readonly Colour[];
}

export interface Drawn {
  image: RgbImage;
  /** The bare sheet's colour where some of it shows; null where all is covered. */
  sheet: Colour | null;
}

/** Draws a square patch of the kind. */
type Draw = (side: number, colours: Colours, random: Random) => Drawn | Promise<Drawn>;

/** A stroke model: the kinds it can make, each with how. */
export type StrokeModel = Readonly<Partial<Record<MarkKind, Draw>>>;
