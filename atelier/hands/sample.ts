/** Knows what an invented hand is: who it is said to be, its rules as data, and works drawn from them with the truth kept. */
import { RgbImage } from '../../core/raster/image';
import { Random } from '../../core/raster/statistics';
import { LaidColour } from '../easel';
import { P } from '../sheet';

export interface HandWork {
  title: string;
  dated: string;
  widthMm: number;
  heightMm: number;
  subject: string;
  seed: number;
}

/** A stroke of the hand's own marks, mm. */
export interface StrokeTruth {
  from: P;
  to: P;
  width: number;
}

export interface DrawnWork {
  image: RgbImage;
  /** What was laid: every colour with the share of the sheet it ended on; for transparent colours what they give over white. */
  colours: LaidColour[];
  strokes: StrokeTruth[];
}

/** What a feature of the profile should read on this hand's works, from its rules. */
interface FeatureRule {
  low: number;
  high: number;
}

export interface SampleHand {
  key: string;
  name: string;
  lived: string;
  place: string;
  medium: string;
  /** The manner in a sentence a student can check. */
  manner: string;
  subjects: readonly string[];
  sizes: readonly (readonly [number, number])[];
  works: readonly HandWork[];
  /** The rules it draws by, as data. */
  rules: Readonly<Record<string, number | string | readonly number[] | readonly string[]>>;
  /** What readings of any work should come to, by feature name. */
  expected: Readonly<Record<string, FeatureRule>>;
  draw(work: HandWork, pxPerMm: number): Promise<DrawnWork> | DrawnWork;
}

/** A further work of the hand that is not among those shown: for trials. */
export function furtherWork(hand: SampleHand, seed: number): HandWork {
  const [widthMm, heightMm] = hand.sizes[seed % hand.sizes.length];
  const subject = hand.subjects[Math.floor(seed / hand.sizes.length) % hand.subjects.length];
  return { title: `Trial ${seed}`, dated: '', widthMm, heightMm, subject, seed: 5000 + seed };
}

export const between = (r: Random, low: number, high: number): number => low + (high - low) * r();

/** Points along a straight line. */
export const straight = (a: P, b: P, count = 9): P[] =>
  Array.from({ length: count }, (_, i) => [a[0] + ((b[0] - a[0]) * i) / (count - 1), a[1] + ((b[1] - a[1]) * i) / (count - 1)]);

/** A stroke's points: from a middle, so long, at an angle in degrees anticlockwise as seen, bent by `sag` mm. */
export function dash([x, y]: P, long: number, angle: number, sag = 0, count = 7): P[] {
  const t = (angle * Math.PI) / 180;
  const [ux, uy] = [Math.cos(t), -Math.sin(t)];
  return Array.from({ length: count }, (_, i): P => {
    const s = (2 * i) / (count - 1) - 1;
    const b = sag * (1 - s * s);
    return [x + (s * long * ux) / 2 - b * uy, y + (s * long * uy) / 2 + b * ux];
  });
}
