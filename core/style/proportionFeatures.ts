/** Knows how measures of landmarks become features of a picture: named by template and measure, the median over its sets. */
import type { Proportion } from '../proportion/measures';
import { median } from '../raster/statistics';
import { Feature, FeatureSet, featureSpec } from './features';
import { proportionFeature } from './proportionNames';
import { readingSpread } from './readingError';

/** The features with those of the proportions; null where no set shows a measure. */
export function withProportions(features: FeatureSet, proportions: readonly Proportion[]): FeatureSet {
  const out = { ...features };
  for (const name of new Set(proportions.map(featureOf))) {
    const values = proportions.flatMap((p) => (featureOf(p) === name && p.value !== null ? [p.value] : []));
    out[name] = proportionReading(name, values.length ? median(values) : null);
  }
  return out;
}

const featureOf = (p: Pick<Proportion, 'template' | 'name'>): string => proportionFeature(p.template, p.name);

function proportionReading(name: string, value: number | null): Feature {
  const { group, unit } = featureSpec(name)!;
  return { group, unit, value, spread: value === null ? null : readingSpread(name, unit, value) };
}

/** One reading for each set that shows the feature: a picture of three figures says three times how a figure is drawn. */
export const eachProportion = (name: string, proportions: readonly Proportion[]): Feature[] =>
  proportions.flatMap((p) => (featureOf(p) === name && p.value !== null ? [proportionReading(name, p.value)] : []));
