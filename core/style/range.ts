/** Knows the master's range of a feature: a 90 % prediction interval from few works, shrunk toward the usual spread of one hand. */
import { axialDifference, mean } from '../raster/statistics';
import { Feature, featureSpec, FeatureSpec } from './features';

export interface Range {
  low: number;
  mid: number;
  high: number;
  /** One standard deviation between works, after shrinking. */
  sd: number;
  works: number;
}

/** How many works the usual spread counts for. */
const PRIOR_WORKS = 4;

/** Two-sided 90 % point of Student's t (5 % in each tail), by Hill's expansion from the normal (1970); df ≥ 1. */
export function studentT95(df: number): number {
  const z = 1.6448536269514722;
  if (df <= 1) return 6.313751514675043;
  if (df <= 2) return 2.919985580355516;
  const g1 = (z ** 3 + z) / 4;
  const g2 = (5 * z ** 5 + 16 * z ** 3 + 3 * z) / 96;
  const g3 = (3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / 384;
  return z + g1 / df + g2 / df ** 2 + g3 / df ** 3;
}

/** Usual standard deviation between works of one hand around a middle value. */
function typicalSpread(spec: FeatureSpec, mid: number): number {
  return Math.max(spec.typical.floor, spec.typical.part * Math.abs(mid));
}

/** Difference b − a in the feature's own sense: directions the short way round. */
export function featureDifference(spec: FeatureSpec, a: number, b: number): number {
  return spec.axial ? axialDifference(a, b) : b - a;
}

/**
 * Range from the values of a master's works; null for none. One work alone gives its range from its own tiles and the
 * usual spread. Around a first value for axial features, so low and high may leave [0, 180).
 */
export function rangeOf(name: string, works: readonly Feature[]): Range | null {
  const spec = featureSpec(name);
  const known = works.filter((w): w is Feature & { value: number } => w.value !== null);
  if (!spec || !known.length) return null;
  const first = known[0].value;
  const values = known.map((k) => (spec.axial ? first + axialDifference(first, k.value) : k.value));
  let mid = mean(values);
  if (spec.axial) mid = ((mid % 180) + 180) % 180;
  const centre = mean(values);
  const n = values.length;
  const squares = values.reduce((s, v) => s + (v - centre) ** 2, 0);
  const usual = typicalSpread(spec, mid);
  const readingVariance = mean(known.map((k) => (k.spread ?? 0) ** 2));
  // The readings' own error widens the range: a quarter of its variance is added to the usual one, of at most three times that.
  const prior = usual * usual + Math.min(readingVariance, 3 * usual * usual) / 4;
  const sd = Math.sqrt((squares + PRIOR_WORKS * prior) / (n - 1 + PRIOR_WORKS));
  const half = studentT95(n - 1 + PRIOR_WORKS) * sd * Math.sqrt(1 + 1 / n);
  return { low: mid - half, mid, high: mid + half, sd, works: n };
}
