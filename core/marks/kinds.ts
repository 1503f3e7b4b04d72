/** Knows the kinds of mark-making: what each is made of, and how likely each is for a piece's evidence. */
import { clamp } from '../raster/statistics';
import { cluesOf } from './clues';
import { Evidence } from './evidence';
import { KIND_MODEL, KindCoefficients, Reliability } from './kindModel';
import { readTrees, sharesIn, Trees } from './trees';

interface Kind {
  made: 'bare' | 'flat' | 'tone' | 'dots' | 'strokes' | 'touches';
  /** How its strokes lie to each other: side by side and to be followed, crossing, loose, or singly. */
  set?: 'one-way' | 'crossing' | 'loose' | 'single';
}

/** What each is called stands under `kinds` and `features.marks.share` in `words/`. */
const KINDS = {
  blank: { made: 'bare' },
  flat: { made: 'flat' },
  'smooth-shading': { made: 'tone' },
  wash: { made: 'tone' },
  stipple: { made: 'dots' },
  'parallel-hatch': { made: 'strokes', set: 'one-way' },
  'cross-hatch': { made: 'strokes', set: 'crossing' },
  'contour-hatch': { made: 'strokes', set: 'one-way' },
  scribble: { made: 'strokes', set: 'loose' },
  line: { made: 'strokes', set: 'single' },
  dabs: { made: 'touches' },
} as const satisfies Record<string, Kind>;

export type MarkKind = keyof typeof KINDS;
export const MARK_KINDS = Object.keys(KINDS) as MarkKind[];

type Kinds = ReadonlySet<MarkKind>;
const kindsThat = (are: (kind: Kind) => boolean): Kinds => new Set(MARK_KINDS.filter((k) => are(KINDS[k])));
export const STROKES = kindsThat((k) => k.made === 'strokes');
export const DRAWN = kindsThat((k) => k.made === 'strokes' || k.made === 'dots');
/** Without a direction of their own. */
export const EVEN = kindsThat((k) => k.made === 'bare' || k.made === 'flat');
/** Strokes set beside each other: only these have a spacing. */
export const HATCHED = kindsThat((k) => k.set === 'one-way' || k.set === 'crossing');
/** Hatching whose strokes can be followed, since no others cross them. */
export const ONE_WAY = kindsThat((k) => k.set === 'one-way');
export const CROSSED = kindsThat((k) => k.set === 'crossing');
export const SINGLE = kindsThat((k) => k.set === 'single');

export type Belief = Record<MarkKind, number>;

/** A belief from the chances in the kinds' order. */
export function beliefOf(chances: ArrayLike<number>): Belief {
  const belief = {} as Belief;
  for (let i = 0; i < MARK_KINDS.length; i++) belief[MARK_KINDS[i]] = chances[i];
  return belief;
}

/** Clues beyond so many standard deviations say no more than at them. */
const MOST_UNUSUAL = 4;

/** Clues in standard deviations from their mean, and the same as bytes for the trees. */
export function unusualOf(
  clues: Record<string, number>,
  { clues: names, mean, spread }: Pick<KindCoefficients, 'clues' | 'mean' | 'spread'>,
) {
  const unusual = new Float64Array(names.length);
  const bytes = new Uint8Array(names.length);
  for (let i = 0; i < names.length; i++) {
    unusual[i] = clamp((clues[names[i]] - mean[i]) / spread[i], -MOST_UNUSUAL, MOST_UNUSUAL);
    bytes[i] = Math.round(((unusual[i] + MOST_UNUSUAL) * 255) / (2 * MOST_UNUSUAL));
  }
  return { unusual, bytes };
}

const grown = new WeakMap<KindCoefficients, Trees>();

function treesOf(model: KindCoefficients): Trees {
  const known = grown.get(model) ?? readTrees(model.trees);
  grown.set(model, known);
  return known;
}

/**
 * Chance of every kind, summing to 1: the mean of what a multinomial logistic regression over the clues and trees over them say, to a power, all fitted
 * (`npm run fit`). Without a sheet to know it by, what is bare is even paint.
 */
export function kindChances(clues: Record<string, number>, groundKnown: boolean, model: KindCoefficients): Belief {
  const { unusual, bytes } = unusualOf(clues, model);
  const count = MARK_KINDS.length;
  const chances = new Float64Array(count);
  let most = -Infinity;
  for (let k = 0; k < count; k++) {
    const w = model.weights[MARK_KINDS[k]];
    let sum = w[unusual.length];
    for (let i = 0; i < unusual.length; i++) sum += unusual[i] * w[i];
    chances[k] = sum;
    most = Math.max(most, sum);
  }
  let total = 0;
  for (let k = 0; k < count; k++) {
    chances[k] = Math.exp(chances[k] - most);
    total += chances[k];
  }
  const shares = sharesIn(treesOf(model), bytes, count);
  for (let k = 0; k < count; k++) chances[k] = (chances[k] / total + shares[k]) / 2;
  const belief = beliefOf(chances);
  if (!groundKnown) {
    belief.flat += belief.blank;
    belief.blank = 0;
  }
  return sharpened(belief, model.sharper);
}

/** Chances to a power: the mean of two that each are as sure as they should be is less sure than it should be. */
export function sharpened(belief: Belief, power: number): Belief {
  const chances = new Float64Array(MARK_KINDS.length);
  let total = 0;
  for (let i = 0; i < chances.length; i++) total += chances[i] = belief[MARK_KINDS[i]] ** power;
  for (let i = 0; i < chances.length; i++) chances[i] /= total;
  return beliefOf(chances);
}

export const weighKinds = (e: Evidence): Belief => kindChances(cluesOf(e), e.groundKnown, KIND_MODEL);

/** Chance that it is one of these. */
export function chanceOf(belief: Belief, kinds: Kinds): number {
  let sum = 0;
  for (const k of MARK_KINDS) if (kinds.has(k)) sum += belief[k];
  return sum;
}

/** Likelier one of these than not: often plain where which of them it is is not. */
export const isLikely = (belief: Belief, kinds: Kinds): boolean => chanceOf(belief, kinds) > 0.5;

/** Chance turned into how often such a one was right on material that the coefficients were not fitted on; straight lines between. */
function calibrated(belief: number, reliability: Reliability): number {
  let k = 1;
  while (k < reliability.length - 1 && reliability[k][0] < belief) k++;
  const [[b0, r0], [b1, r1]] = [reliability[k - 1], reliability[k]];
  return r0 + ((r1 - r0) * (belief - b0)) / (b1 - b0);
}

export function likeliest(belief: Belief): MarkKind {
  let best = MARK_KINDS[0];
  for (const k of MARK_KINDS) if (belief[k] > belief[best]) best = k;
  return best;
}

/** How sure one has to be to name a kind at all. */
const LEAST_SURE = 0.4;

/** The likeliest kind and how sure it is, calibrated for a place alone or among others of its picture; null where that is too little to tell. */
export function decideKind(belief: Belief, reliability = KIND_MODEL.reliability): { kind: MarkKind | null; confidence: number } {
  const kind = likeliest(belief);
  const confidence = clamp(calibrated(clamp(belief[kind], 0, 1), reliability), 0, 0.99);
  return { kind: confidence < LEAST_SURE ? null : kind, confidence };
}
