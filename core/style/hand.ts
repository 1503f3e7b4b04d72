/** Knows what makes a hand this hand: what stays the same from work to work, what changes, and what parts it from another's works. */
import { mean } from '../raster/statistics';
import { inMm, Measured } from './compare';
import { Feature, FeatureGroup, FEATURES, featureSpec, FeatureUnit } from './features';
import { isProportion } from './proportionNames';
import { Priors, PRIORS } from './priors';
import { boundsOf, featureDifference, foreseenSpread, Range, rangeOf } from './range';

export interface Trait {
  group: FeatureGroup;
  feature: string;
  unit: FeatureUnit;
  /** What a teacher calls it, where it is a measure of their own. */
  title?: string;
  /** Where nine in ten further works lie. */
  low: number;
  mid: number;
  high: number;
  /** 1 − (spread within the hand ÷ usual spread between hands), 0 at least. */
  constancy: number;
}

export interface Parting {
  group: FeatureGroup;
  feature: string;
  unit: FeatureUnit;
  title?: string;
  hand: { mid: number };
  foil: { mid: number };
  /** How far the two middles are apart in spreads between works of one hand; over 0 where this hand has more. */
  effect: number;
}

/** More constant than this is constant. */
const CONSTANT = 0.5;
/** Middles nearer than one spread do not part two hands. */
const LEAST_EFFECT = 1;
/** Proportions vary between hands by so many times what they vary within one: common practice, no source. */
const PROPORTION_BETWEEN = 3;

/** What a range needs of a measured work. */
type Read = Pick<Measured, 'features' | 'widthMm'>;

const namesOf = (works: readonly Read[]): string[] => [
  ...Object.keys(FEATURES).filter((name) => !FEATURES[name].uncompared),
  ...new Set(works.flatMap((w) => Object.keys(w.features)).filter(isProportion)),
];

/** A feature's readings over works, in mm where every width is known. */
function readingsOf(name: string, works: readonly Read[], mm: boolean): Feature[] {
  return works.flatMap((w) => {
    const f = w.features[name];
    if (!f || f.value === null) return [];
    return [mm && featureSpec(name)?.size ? inMm(f, w.widthMm!) : f];
  });
}

const allSized = (works: readonly Read[]): boolean => works.every((w) => w.widthMm !== null);

interface Held {
  name: string;
  unit: FeatureUnit;
  title?: string;
  range: Range;
  bounds: { low: number; mid: number; high: number };
}

/** The range of every feature that at least half of the works have. */
function rangesOf(works: readonly Read[], mm: boolean, priors: Priors): Held[] {
  return namesOf(works).flatMap((name): Held[] => {
    const readings = readingsOf(name, works, mm);
    const range = readings.length * 2 >= works.length ? rangeOf(name, readings, priors) : null;
    if (!range) return [];
    const further = { value: readings[0].value!, spread: Math.sqrt(mean(readings.map((r) => (r.spread ?? 0) ** 2))) };
    const { low, mid, high } = boundsOf(range, foreseenSpread(range, further), 0.1);
    return [
      {
        name,
        unit: readings[0].unit,
        ...(readings[0].title && { title: readings[0].title }),
        range,
        bounds: { low: low ?? mid, mid, high },
      },
    ];
  });
}

const titled = ({ title }: Pick<Held, 'title'>) => (title === undefined ? {} : { title });

function constancyOf({ name, range }: Held, priors: Priors): number | null {
  const between = priors[name]?.between ?? (range.spec.typical === undefined ? null : PROPORTION_BETWEEN * range.spec.typical);
  return between === null || !(between > 0) ? null : Math.max(0, 1 - range.sd / between);
}

/** A feature's range over works of one hand. */
export type HandRange = Pick<Trait, 'feature' | 'unit' | 'title' | 'low' | 'mid' | 'high'> & { works: number };

/** The ranges of all features over works of one hand, where at least two have them: what a rule that is ticked holds of the hand, not of one picture. */
export const handRanges = (works: readonly Read[], priors: Priors = PRIORS): HandRange[] =>
  rangesOf(works, allSized(works), priors).flatMap(({ name, unit, title, bounds, range }) =>
    range.works < 2 ? [] : [{ feature: name, unit, ...titled({ title }), ...bounds, works: range.works }],
  );

/** What is constant in works of one hand, steadiest first, and what varies, most first. At least one work. */
export function handOf(works: readonly Measured[], priors: Priors = PRIORS): { constant: Trait[]; varies: Trait[] } {
  const traits = rangesOf(works, allSized(works), priors).flatMap((h): Trait[] => {
    const constancy = constancyOf(h, priors);
    return constancy === null ? [] : [{ group: h.range.spec.group, feature: h.name, unit: h.unit, ...titled(h), ...h.bounds, constancy }];
  });
  traits.sort((a, b) => b.constancy - a.constancy);
  return { constant: traits.filter((t) => t.constancy > CONSTANT), varies: traits.filter((t) => t.constancy <= CONSTANT).reverse() };
}

/** What parts a hand from a foil, strongest first. */
export function partsOf(hand: readonly Measured[], foil: readonly Measured[], priors: Priors = PRIORS): Parting[] {
  const mm = allSized([...hand, ...foil]);
  const others = new Map(rangesOf(foil, mm, priors).map((h) => [h.name, h]));
  return rangesOf(hand, mm, priors)
    .flatMap(({ name, unit, title, range, bounds }): Parting[] => {
      const other = others.get(name);
      if (!other) return [];
      const spread = Math.sqrt((range.sd ** 2 + other.range.sd ** 2) / 2);
      const effect = featureDifference(range.spec, other.range.centre, range.centre) / spread;
      if (!(Math.abs(effect) >= LEAST_EFFECT)) return [];
      return [
        {
          group: range.spec.group,
          feature: name,
          unit,
          ...titled({ title }),
          hand: { mid: bounds.mid },
          foil: { mid: other.bounds.mid },
          effect,
        },
      ];
    })
    .sort((a, b) => Math.abs(b.effect) - Math.abs(a.effect));
}
