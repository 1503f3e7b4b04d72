/** Hands to fit and to try on: the six invented ones, and real ones from a folder of pictures named hand-X-N. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { RgbImage } from '../../core/raster/image';
import { Measured } from '../../core/style/compare';
import { measurePicture, resolutionOf } from '../../core/style/profile';
import { oneScale, OneScale, Resolution, Rung, rungName } from '../../core/style/scale';
import { rasterOf } from '../support/pictures';

export interface Piece {
  name: string;
  /** Which hand it is by; null for one nobody else here is by. */
  hand: string | null;
  resolution: Resolution;
  /** Measured at a rung; kept, since many comparisons ask for the same. */
  at: (rung: Rung) => Measured;
}

function pieceOf(name: string, hand: string | null, image: RgbImage, widthMm: number | null): Piece {
  const resolution = resolutionOf(image, { widthMm });
  const kept = new Map<string, Measured>();
  const at = (rung: Rung): Measured => {
    const key = rungName(rung);
    const known = kept.get(key);
    if (known) return known;
    const { profile, layout } = measurePicture(image, { ...resolution, rung });
    const measured = { features: profile.features, palette: profile.palette, layout, widthMm };
    kept.set(key, measured);
    return measured;
  };
  return { name, hand, resolution, at };
}

/** The first `many` works of each invented hand. */
export async function drawnHands(many: number): Promise<Piece[]> {
  const out: Piece[] = [];
  for (const hand of SAMPLE_HANDS)
    for (const work of hand.works.slice(0, many)) {
      const { image } = await hand.draw(work, 4);
      out.push(pieceOf(work.title, hand.key, image, work.widthMm));
    }
  return out;
}

/** Pictures of a folder; those named hand-X-N are by hand X. Their widths are not known. */
export async function realPictures(folder: string): Promise<Piece[]> {
  const out: Piece[] = [];
  for (const file of readdirSync(folder)
    .filter((f) => /\.(jpe?g|png)$/i.test(f))
    .sort()) {
    const image = await rasterOf(sharp(join(folder, file)));
    out.push(pieceOf(file, /^hand-([a-z])-/.exec(file)?.[1] ?? null, image, null));
  }
  return out;
}

/** Pieces grouped by hand, without those of none. */
export function byHand(pieces: readonly Piece[]): Map<string, Piece[]> {
  const out = new Map<string, Piece[]>();
  for (const p of pieces) if (p.hand !== null) out.set(p.hand, [...(out.get(p.hand) ?? []), p]);
  return out;
}

/** The scale of a hand's works alone. */
export const scaleOf = (works: readonly Piece[]): OneScale =>
  oneScale(
    works.map((w) => w.resolution),
    works[0].resolution,
  );
