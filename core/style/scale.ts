/** Knows the one scale at which pictures are read to be compared: a rung of a fixed ladder that all of them reach. */
import { RgbImage } from '../raster/image';
import { reduceToLongSide } from '../raster/resample';
import { median } from '../raster/statistics';

/** So many px a mm of the real picture or, where a width is unknown, px along the picture's long side. */
export interface Rung {
  per: 'mm' | 'side';
  px: number;
}

/** How finely a picture is known: px of the picture proper, its real width or null, and the share of its px that carry detail. */
export interface Resolution {
  width: number;
  height: number;
  widthMm: number | null;
  sharpness: number;
}

/** The ladders of the contract, carried on below their last rung for pictures that do not reach it. */
const LADDERS: Readonly<Record<Rung['per'], readonly number[]>> = {
  mm: [10, 8, 6, 4, 3, 2, 1.5, 1, 0.75, 0.5, 0.3, 0.2, 0.15, 0.1],
  side: [4096, 3072, 2048, 1536, 1024, 768, 512, 384, 256, 192, 128, 96, 64],
};
/** A work known less finely than this part of what the others mostly are would blind them. */
const TOO_POOR = 1 / 3;

/** A picture that misses a rung by less than this is read at it all the same: a frame found a pixel tighter is no coarser. */
const NEARLY = 1.02;

/** Real detail of a picture: px a mm, or px along its long side. */
function finenessOf({ width, height, widthMm, sharpness }: Resolution, per: Rung['per']): number {
  return sharpness * (per === 'mm' ? width / widthMm! : Math.max(width, height));
}

function roundedDown(fineness: number, per: Rung['per']): Rung {
  const ladder = LADDERS[per];
  return { per, px: ladder.find((px) => px <= fineness * NEARLY) ?? ladder[ladder.length - 1] };
}

/** The finest rung a picture reaches by itself. */
export const ownRung = (r: Resolution): Rung => {
  const per = r.widthMm === null ? 'side' : 'mm';
  return roundedDown(finenessOf(r, per), per);
};

export interface OneScale {
  rung: Rung;
  /** Which works, by index, are known under a third as finely as the others mostly are: their marks are left out. */
  tooPoor: number[];
}

/** The coarsest of works and piece, rounded down on the ladder, in px a mm where every width is known. */
export function oneScale(works: readonly Resolution[], piece: Resolution): OneScale {
  const per = [...works, piece].every((r) => r.widthMm !== null) ? 'mm' : 'side';
  const fineness = works.map((w) => finenessOf(w, per));
  const tooPoor = fineness.flatMap((f, i) => {
    const others = fineness.filter((_, j) => j !== i);
    return others.length && f < TOO_POOR * median(others) ? [i] : [];
  });
  const kept = fineness.filter((_, i) => !tooPoor.includes(i));
  return { rung: roundedDown(Math.min(finenessOf(piece, per), ...kept), per), tooPoor };
}

/** The finest scale that all works but the too poor reach, where there is no piece beside them. */
export const commonScale = (works: readonly Resolution[]): OneScale =>
  works.map((w) => oneScale(works, w)).reduce((best, s) => (s.rung.px > best.rung.px ? s : best));

/** The picture proper at a rung, or as finely as it is really known; it is never enlarged. */
export function atRung(image: RgbImage, { widthMm, sharpness }: Pick<Resolution, 'widthMm' | 'sharpness'>, rung: Rung | null): RgbImage {
  const long = Math.max(image.width, image.height);
  if (!rung) return reduceToLongSide(image, Math.max(1, Math.round(long * sharpness)));
  const side = rung.per === 'side' ? rung.px : widthMm === null ? long : (rung.px * widthMm * long) / image.width;
  return reduceToLongSide(image, Math.max(1, Math.round(side)));
}

/** A short name of a rung, for keys. */
export const rungName = (rung: Rung | null): string => (rung ? `${rung.px}/${rung.per}` : '');
