/** Fits how features vary within one hand and over many. */
import { Feature, FEATURES, featureSpec, scaled } from '../../core/style/features';
import { Prior, Priors } from '../../core/style/priors';
import { featureDifference } from '../../core/style/range';
import { inMm, Measured } from '../../core/style/compare';
import { paletteDistance } from '../../core/style/transport';
import { mean, standardDeviation } from '../../core/raster/statistics';

/** Variances under this part of the usual one say that a feature was hardly there, not that the hand is so exact. */
const LEAST_VARIANCE = 5e-4;
const PLACES = 4;

const round = (v: number): number => Number(v.toPrecision(PLACES));

/** Variance about the mean, on the feature's scale; null with fewer than three works that have it. */
function varianceOf(name: string, works: readonly Measured[]): HandVariance | null {
  const spec = featureSpec(name)!;
  const values = works.flatMap((w) => {
    const f: Feature | undefined = w.features[name];
    if (!f || f.value === null) return [];
    return [scaled(spec, spec.size && w.widthMm !== null ? inMm(f, w.widthMm).value! : f.value)];
  });
  if (values.length < 3) return null;
  const off = values.map((v) => featureDifference(spec, values[0], v));
  return { variance: standardDeviation(off) ** 2, df: off.length - 1, seldom: 2 * values.length < works.length };
}

/** Digamma and trigamma by recurrence and their asymptotic series (Abramowitz and Stegun 6.3.18, 6.4.12). */
function digamma(x: number): number {
  if (x < 6) return digamma(x + 1) - 1 / x;
  const y = 1 / (x * x);
  return Math.log(x) - 0.5 / x - y * (1 / 12 - y * (1 / 120 - y / 252));
}

function trigamma(x: number): number {
  if (x < 6) return trigamma(x + 1) + 1 / (x * x);
  const y = 1 / (x * x);
  return 1 / x + y / 2 + (y / x) * (1 / 6 - y * (1 / 30 - y / 42));
}

/** How many works a usual variance counts for, at least and at most. */
const [LEAST_WEIGHT, MOST_WEIGHT] = [1.5, 20];

interface HandVariance {
  variance: number;
  df: number;
  /** Most of the hand's works do not have it. */
  seldom: boolean;
}

/** Usual variance of a hand and how much it says, from the variances of several: moments of their logarithms (Smyth 2004). */
function moderated(hands: readonly Pick<HandVariance, 'variance' | 'df'>[]): Pick<Prior, 'within' | 'weight'> {
  const logs = hands.map(({ variance, df }) => Math.log(variance + LEAST_VARIANCE) - digamma(df / 2) + Math.log(df / 2));
  const centre = mean(logs);
  const between = hands.length > 2 ? standardDeviation(logs) ** 2 : Infinity;
  const left = between - mean(hands.map(({ df }) => trigamma(df / 2)));
  let [low, high] = [LEAST_WEIGHT, MOST_WEIGHT];
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (trigamma(middle / 2) > left) low = middle;
    else high = middle;
  }
  const weight = (low + high) / 2;
  return { within: round(Math.sqrt(Math.exp(centre + digamma(weight / 2) - Math.log(weight / 2)))), weight: round(weight) };
}

function palettePrior(hands: readonly (readonly Measured[])[], spec: NonNullable<ReturnType<typeof featureSpec>>): Prior {
  const each = hands.map((works) => works.map((w) => mean(works.filter((o) => o !== w).map((o) => paletteDistance(w.palette, o.palette)))));
  const logs = each.map((d) => d.map((v) => scaled(spec, v)));
  const hand = moderated(logs.map((l) => ({ variance: standardDeviation(l) ** 2, df: l.length - 1 })));
  const all = hands.flatMap((works, i) =>
    works.flatMap((w) => hands.flatMap((o, j) => (i === j ? [] : [paletteDistance(w.palette, o[0].palette)]))),
  );
  const apart = all.map((v) => scaled(spec, v));
  const between = apart.reduce((s, v) => s + (v - mean(apart)) ** 2, 0) / apart.length;
  return { ...hand, between: round(Math.sqrt(between)), usual: round(mean(each.map(mean))), hands: hands.length };
}

/** Priors from hands of at least three measured works each, every hand's works at one scale. */
export function priorsFrom(hands: readonly (readonly Measured[])[]): Priors {
  const out: Record<string, Prior> = {};
  for (const name of Object.keys(FEATURES)) {
    const spec = FEATURES[name];
    const everyone = hands.flat().flatMap((w) => (w.features[name]?.value === null ? [] : [scaled(spec, w.features[name].value!)]));
    const off = everyone.map((v) => featureDifference(spec, everyone[0], v));
    const between = standardDeviation(off);
    // What few of a hand's works have, and these as unlike each other as those of anybody, is no property of that hand: it was read there by chance.
    const variances = hands.flatMap((works) => varianceOf(name, works) ?? []).filter((v) => !v.seldom || v.variance < between ** 2);
    // What one hand alone shows is not what hands usually do.
    if (variances.length < 2) continue;
    out[name] = { ...moderated(variances), between: round(between), hands: variances.length };
  }
  out['colour.palette'] = palettePrior(hands, featureSpec('colour.palette')!);
  return out;
}
