/** Hands to fit and to try on: the six invented ones, and real ones from a folder of pictures named hand-X-N. */
import { join } from 'node:path';
import sharp from 'sharp';
import { SAMPLE_HANDS } from '../../atelier/hands';
import { Measured } from '../../core/style/compare';
import { commonScale } from '../../core/style/scale';
import { Measurer, measurer } from '../support/measured';
import { rasterOf } from '../support/pictures';
import { picturesIn } from './pictures';

export interface Piece extends Measurer {
  name: string;
  /** Which hand it is by; null for one nobody else here is by. */
  hand: string | null;
}

/** The first `many` works of each invented hand. */
export async function drawnHands(many: number): Promise<Piece[]> {
  const out: Piece[] = [];
  for (const hand of SAMPLE_HANDS)
    for (const work of hand.works.slice(0, many)) {
      const { image } = await hand.draw(work, 4);
      out.push({ name: work.title, hand: hand.key, ...measurer(image, work.widthMm) });
    }
  return out;
}

/** Pictures of a folder; those named hand-X-N are by hand X. Their widths are not known. */
export async function realPictures(folder: string): Promise<Piece[]> {
  const out: Piece[] = [];
  for (const file of picturesIn(folder)) {
    const image = await rasterOf(sharp(join(folder, file)));
    out.push({ name: file, hand: /^hand-([a-z])-/.exec(file)?.[1] ?? null, ...measurer(image, null) });
  }
  return out;
}

/** Pieces grouped by hand, without those of none. */
export function byHand(pieces: readonly Piece[]): Map<string, Piece[]> {
  const out = new Map<string, Piece[]>();
  for (const p of pieces) if (p.hand !== null) out.set(p.hand, [...(out.get(p.hand) ?? []), p]);
  return out;
}

/** A hand's works measured at their own one scale. */
export function atOwnScale(works: readonly Piece[]): Measured[] {
  const { rung } = commonScale(works.map((w) => w.resolution));
  return works.map((w) => w.at(rung));
}
