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

export const beliefOf = (chance: (kind: MarkKind, at: number) => number): Belief =>
  Object.fromEntries(MARK_KINDS.map((k, i) => [k, chance(k, i)])) as Belief;

/** Clues beyond so many standard deviations say no more than at them. */
const MOST_UNUSUAL = 4;

/** Clues in standard deviations from their mean, and the same as bytes for the trees. */
export function unusualOf(
  clues: Record<string, number>,
  { clues: names, mean, spread }: Pick<KindCoefficients, 'clues' | 'mean' | 'spread'>,
) {
  const unusual = names.map((name, i) => clamp((clues[name] - mean[i]) / spread[i], -MOST_UNUSUAL, MOST_UNUSUAL));
  return { unusual, bytes: Uint8Array.from(unusual, (v) => Math.round(((v + MOST_UNUSUAL) * 255) / (2 * MOST_UNUSUAL))) };
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
  const logits = MARK_KINDS.map((k) => {
    const w = model.weights[k];
    let sum = w[unusual.length];
    for (let i = 0; i < unusual.length; i++) sum += unusual[i] * w[i];
    return sum;
  });
  const most = Math.max(...logits);
  const chances = logits.map((l) => Math.exp(l - most));
  const total = chances.reduce((a, b) => a + b, 0);
  const shares = sharesIn(treesOf(model), bytes, MARK_KINDS.length);
  const belief = beliefOf((_, i) => (chances[i] / total + shares[i]) / 2);
  if (!groundKnown) {
    belief.flat += belief.blank;
    belief.blank = 0;
  }
  return sharpened(belief, model.sharper);
}

/** Chances to a power: the mean of two that each are as sure as they should be is less sure than it should be. */
export function sharpened(belief: Belief, power: number): Belief {
  const total = MARK_KINDS.reduce((s, k) => s + belief[k] ** power, 0);
  return beliefOf((k) => belief[k] ** power / total);
}

export const weighKinds = (e: Evidence): Belief => kindChances(cluesOf(e), e.groundKnown, KIND_MODEL);

/** Likelier one of these than not: often plain where which of them it is is not. */
export const isLikely = (belief: Belief, kinds: Kinds): boolean => MARK_KINDS.reduce((s, k) => s + (kinds.has(k) ? belief[k] : 0), 0) > 0.5;

/** Chance turned into how often such a one was right on material that the coefficients were not fitted on; straight lines between. */
function calibrated(belief: number, reliability: Reliability): number {
  const k = Math.max(
    1,
    reliability.findIndex(([b]) => b >= belief),
  );
  const [[b0, r0], [b1, r1]] = [reliability[k - 1], reliability[k]];
  return r0 + ((r1 - r0) * (belief - b0)) / (b1 - b0);
}

export const likeliest = (belief: Belief): MarkKind => MARK_KINDS.reduce((best, k) => (belief[k] > belief[best] ? k : best));

/** How sure one has to be to name a kind at all. */
const LEAST_SURE = 0.4;

/** The likeliest kind and how sure it is, calibrated for a place alone or among others of its picture; null where that is too little to tell. */
export function decideKind(belief: Belief, reliability = KIND_MODEL.reliability): { kind: MarkKind | null; confidence: number } {
  const kind = likeliest(belief);
  const confidence = clamp(calibrated(clamp(belief[kind], 0, 1), reliability), 0, 0.99);
  return { kind: confidence < LEAST_SURE ? null : kind, confidence };
}
