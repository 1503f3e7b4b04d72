/** Knows how measures of landmarks become features of a picture: named by template and measure, the median over its sets. */
import type { Proportion } from '../proportion/measures';
import { median } from '../raster/statistics';
import type { Feature, FeatureSet } from './features';
import { proportionFeature } from './proportionNames';
import { readingSpread } from './readingError';

/** The features with those of the proportions; null where no set shows a measure. */
export function withProportions(features: FeatureSet, proportions: readonly Proportion[]): FeatureSet {
  const out = { ...features };
  for (const name of new Set(proportions.map(featureOf))) {
    const of = proportions.filter((p) => featureOf(p) === name);
    const values = of.flatMap((p) => (p.value !== null ? [p.value] : []));
    out[name] = proportionReading(name, of[0], values.length ? median(values) : null);
  }
  return out;
}

const featureOf = (p: Pick<Proportion, 'template' | 'name'>): string => proportionFeature(p.template, p.name);

function proportionReading(name: string, { unit, title }: Pick<Proportion, 'unit' | 'title'>, value: number | null): Feature {
  return { group: 'proportion', unit, value, spread: value === null ? null : readingSpread(name, unit, value), ...(title && { title }) };
}

/** One reading for each set that shows the feature: a picture of three figures says three times how a figure is drawn. */
export const eachProportion = (name: string, proportions: readonly Proportion[]): Feature[] =>
  proportions.flatMap((p) => (featureOf(p) === name && p.value !== null ? [proportionReading(name, p, p.value)] : []));
