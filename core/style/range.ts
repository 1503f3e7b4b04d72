/** Knows the master's range of a feature: a prediction interval from few works, shrunk toward the usual spread of one hand. */
import { axialDifference, mean } from '../raster/statistics';
import { Feature, featureSpec, FeatureSpec, scaled, scaledSpread, unscaled } from './features';
import { Priors, PRIORS } from './priors';
import { readingSpread } from './readingError';
import { studentPoint } from './student';

export interface Range {
  spec: FeatureSpec;
  /** Middle of the works, on the feature's scale. */
  centre: number;
  /** One standard deviation between works there, after shrinking, and the degrees of freedom it is known with. */
  sd: number;
  df: number;
  /** Mean variance of the works' own readings there. */
  readingVariance: number;
  works: number;
}

/** Where nothing was measured of how a feature varies within one hand: a quarter (or a quarter of the odds), counting for four works. */
const UNKNOWN = { within: 0.25, weight: 4 };

/** Difference b − a in the feature's own sense: directions the short way round. */
export function featureDifference(spec: Pick<FeatureSpec, 'axial'>, a: number, b: number): number {
  return spec.axial ? axialDifference(a, b) : b - a;
}

/**
 * The usual spread is known from many works of ten hands: a range's tails are at least those of so many degrees of freedom. With
 * only those of its own few works, nothing could ever be told of a master of whom one postcard is at hand.
 */
const LEAST_DF = 20;

/**
 * Range from the values of a master's works; null for none. Their variance is moderated by the usual one of a hand (Smyth
 * 2004), from which alone one work has its range. Around a first value for axial features.
 */
export function rangeOf(name: string, works: readonly Feature[], priors: Priors = PRIORS): Range | null {
  const known = works.filter((w): w is Feature & { value: number } => w.value !== null);
  const spec = featureSpec(name, known[0]?.unit);
  if (!spec || !known.length) return null;
  const first = scaled(spec, known[0].value);
  const values = known.map((k) => first + featureDifference(spec, first, scaled(spec, k.value)));
  const centre = mean(values);
  const n = values.length;
  const squares = values.reduce((s, v) => s + (v - centre) ** 2, 0);
  const readingVariance = mean(known.map((k) => scaledSpread(spec, k.value, k.spread) ** 2));
  // Works of one hand cannot be known to vary less than their own readings are off.
  const { within, weight } = priors[name] ?? { ...UNKNOWN, within: spec.typical ?? UNKNOWN.within };
  const [middle, unit] = [unscaled(spec, centre), known[0].unit];
  const usual = Math.max(
    within ** 2,
    (spec.typical ?? 0) ** 2,
    scaledSpread(spec, middle, readingSpread(name, unit, middle)) ** 2,
    readingVariance,
  );
  const pooled = n - 1 + weight;
  return { spec, centre, sd: Math.sqrt((squares + weight * usual) / pooled), df: Math.max(LEAST_DF, pooled), readingVariance, works: n };
}

/**
 * Standard deviation with which one more reading of the same hand is foreseen. What its reading is less sure than the
 * works' widens it, at most as much as the works' own spread does; the works' own error is in the spread between them.
 */
export function foreseenSpread({ spec, sd, readingVariance, works }: Range, piece: Pick<Feature, 'spread'> & { value: number }): number {
  const less = Math.max(0, scaledSpread(spec, piece.value, piece.spread) ** 2 - readingVariance);
  return Math.sqrt(sd * sd * (1 + 1 / works) + Math.min(less, sd * sd));
}

/** Bounds in the feature's own unit that a further work leaves with chance `alpha`; one-sided features have no lower one. */
export function boundsOf(range: Range, foreseen: number, alpha: number): { low: number | null; mid: number; high: number } {
  const { spec, centre, df } = range;
  const half = studentPoint(Math.min(1, spec.oneSided ? 2 * alpha : alpha), df) * foreseen;
  const mid = spec.axial ? ((centre % 180) + 180) % 180 : centre;
  return {
    low: spec.oneSided ? null : unscaled(spec, mid - half),
    mid: unscaled(spec, mid),
    high: unscaled(spec, mid + half),
  };
}
