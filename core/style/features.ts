/** Knows the flat list of features that comparison works on: group, unit, the scale they are compared on, and which say the same. */
import { MARK_KINDS } from '../marks/kinds';
import { SURFACE_BANDS } from '../marks/surface';
import { TEXTURE_COLOUR, TEXTURE_DARK, TEXTURE_DETAIL } from '../marks/texture';
import { isProportion, measureIn } from './proportionNames';
import type { Measure } from '../proportion/template';

export type FeatureGroup = 'proportion' | 'marks' | 'colour' | 'value' | 'composition';
export const FEATURE_GROUPS: readonly FeatureGroup[] = ['proportion', 'marks', 'colour', 'value', 'composition'];

export type FeatureUnit = 'degrees' | 'ratio' | 'share' | 'mm' | 'permille' | 'L*' | 'C*' | 'count' | 'heads' | 'offset' | 'ΔE';

/**
 * The scale on which equal steps mean equal amounts: as it stands, its logarithm (sizes, ratios), or its log-odds (shares).
 * `from` is what lies too near 0 (and, for shares, 1) to be told apart, `within` what a plain value cannot leave.
 */
type FeatureScale = { as: 'plain'; within?: readonly [number, number] } | { as: 'log'; from: number } | { as: 'logit'; from: number };

export interface FeatureSpec {
  group: FeatureGroup;
  unit: FeatureUnit;
  scale: FeatureScale;
  /** Features that say nearly the same thing are judged once. */
  family: string;
  /** Directions repeat every 180°. */
  axial?: true;
  /** A size on the sheet: compared in mm or, without both scales, per thousandth of the picture's width. */
  size?: true;
  /** A distance: there is no too little of it. */
  oneSided?: true;
  /** Said of a picture, but nothing that pictures are held against each other by. */
  uncompared?: true;
  /** The least standard deviation between works of one hand on that scale, whatever was measured: common practice, no source. */
  typical?: number;
}

const PLAIN: FeatureScale = { as: 'plain' };
const LIGHTNESS: FeatureScale = { as: 'plain', within: [0, 100] };
const log = (from: number): FeatureScale => ({ as: 'log', from });
/** Shares of a picture are known to about a fiftieth. */
const SHARE: FeatureScale = { as: 'logit', from: 0.02 };

type Row = [
  name: string,
  unit: FeatureUnit,
  scale: FeatureScale,
  more?: Partial<Pick<FeatureSpec, 'family' | 'axial' | 'size' | 'typical' | 'uncompared'>>,
];
const size = { size: true } as const;

const rows = (group: FeatureGroup, list: readonly Row[]): [string, FeatureSpec][] =>
  list.map(([name, unit, scale, more]) => [name, { group, unit, scale, family: name, ...more }]);

/** Features every profile has, in order. */
export const FEATURES: Readonly<Record<string, FeatureSpec>> = Object.fromEntries([
  ...rows('marks', [
    ['marks.direction', 'degrees', PLAIN, { axial: true }],
    ['marks.crossing', 'degrees', { as: 'plain', within: [0, 90] }],
    ['marks.coherence', 'ratio', SHARE],
    ['marks.spacing', 'permille', log(0), size],
    ['marks.spacingVariation', 'ratio', log(0.02)],
    ['marks.lineWidth', 'permille', log(0), size],
    ['marks.lineSwell', 'ratio', log(0)],
    ['marks.strokeLength', 'permille', log(0), size],
    ['marks.straightness', 'ratio', SHARE],
    ['marks.coverage', 'share', SHARE],
    ...MARK_KINDS.map((k): Row => [`marks.share.${k}`, 'share', SHARE, { family: 'marks.share' }]),
    ['marks.share.untold', 'share', SHARE, { uncompared: true }],
    ['edges.outlined', 'share', SHARE, { family: 'edges' }],
    ['edges.sharp', 'share', SHARE, { family: 'edges' }],
    ['edges.soft', 'share', SHARE, { family: 'edges' }],
    ['edges.lost', 'share', SHARE, { family: 'edges' }],
    ['marks.colourSlack', 'permille', log(0.5), size],
    ['marks.finish', 'ratio', log(0.02)],
    ...SURFACE_BANDS.map((b): Row => [`marks.${b}`, 'ΔE', log(0.05), { family: 'marks.surface' }]),
    ...TEXTURE_DETAIL.map((d): Row => [`marks.${d}Detail`, 'L*', log(0.05), { family: 'marks.detail' }]),
    ...TEXTURE_COLOUR.map((d): Row => [`marks.${d}Colour`, 'ratio', log(0.02), { family: 'marks.detailColour' }]),
    ...TEXTURE_DARK.map((d): Row => [`marks.${d}Dark`, 'offset', PLAIN, { family: 'marks.detailDark' }]),
    ['marks.even', 'share', SHARE, { family: 'marks.detail' }],
  ]),
  ...rows('colour', [
    // The same sheet photographed twice differs by so much, here and below.
    ['colour.groundL', 'L*', LIGHTNESS, { typical: 2 }],
    ['colour.groundChroma', 'C*', log(2), { typical: 0.15 }],
    ['colour.count', 'count', log(0)],
    ['colour.chroma', 'C*', log(1), { family: 'colour.chroma' }],
    ['colour.chromaHigh', 'C*', log(1), { family: 'colour.chroma' }],
    ['colour.warm', 'share', SHARE, { family: 'colour.warmth' }],
    ['colour.cool', 'share', SHARE, { family: 'colour.warmth' }],
    ['colour.balance', 'ratio', { as: 'plain', within: [-1, 1] }, { family: 'colour.warmth' }],
    ['colour.accent', 'share', { as: 'logit', from: 0.001 }],
  ]),
  ...rows('value', [
    ['value.mean', 'L*', LIGHTNESS, { family: 'value.tones', typical: 2 }],
    ['value.dark', 'L*', LIGHTNESS, { family: 'value.ends', typical: 2 }],
    ['value.light', 'L*', LIGHTNESS, { family: 'value.ends', typical: 1.5 }],
    ['value.range', 'L*', LIGHTNESS, { family: 'value.ends', typical: 2 }],
    ['value.darkShare', 'share', SHARE, { family: 'value.tones' }],
    ['value.lightShare', 'share', SHARE, { family: 'value.tones' }],
    ['value.focusContrast', 'L*', log(1)],
  ]),
  ...rows('composition', [
    ['composition.centreX', 'ratio', { as: 'plain', within: [0, 1] }],
    ['composition.centreY', 'ratio', { as: 'plain', within: [0, 1] }],
    ['composition.coverage', 'share', SHARE, { family: 'composition.extent' }],
    ['composition.margin', 'ratio', log(0.02), { family: 'composition.extent' }],
    ['composition.envelope', 'ratio', SHARE],
  ]),
]);

/** Not a reading of one picture but a distance between two. */
const PALETTE: FeatureSpec = { group: 'colour', unit: 'ΔE', scale: log(1), family: 'colour.palette', oneSided: true };

/** A twentieth between works of one hand; angles and small offsets by what they are. */
export const PROPORTIONS: Readonly<Record<Measure['unit'], Pick<FeatureSpec, 'unit' | 'scale'> & { typical: number }>> = {
  degrees: { unit: 'degrees', scale: PLAIN, typical: 2 },
  offset: { unit: 'offset', scale: PLAIN, typical: 0.012 },
  heads: { unit: 'heads', scale: log(0), typical: 0.05 },
  ratio: { unit: 'ratio', scale: log(0.05), typical: 0.05 },
  count: { unit: 'count', scale: log(1), typical: 0.2 },
};

/** A value on its feature's scale. */
export function scaled({ scale }: Pick<FeatureSpec, 'scale'>, v: number): number {
  if (scale.as === 'plain') return v;
  const least = Math.max(0, v) + Math.max(scale.from, 1e-9);
  return Math.log(scale.as === 'log' ? least : least / (1 - Math.min(1, Math.max(0, v)) + scale.from));
}

/** The value that stands there on its feature's scale; what cannot be (a share under 0 or over 1) is cut. */
export function unscaled({ scale }: Pick<FeatureSpec, 'scale'>, u: number): number {
  if (scale.as === 'plain') return scale.within ? Math.min(scale.within[1], Math.max(scale.within[0], u)) : u;
  if (scale.as === 'log') return Math.max(0, Math.exp(u) - Math.max(scale.from, 1e-9));
  const odds = Math.exp(-Math.abs(u));
  const v = u > 0 ? (1 + scale.from - scale.from * odds) / (1 + odds) : ((1 + scale.from) * odds - scale.from) / (1 + odds);
  return Math.min(1, Math.max(0, v));
}

/** A reading's standard deviation on its feature's scale. */
export function scaledSpread(spec: Pick<FeatureSpec, 'scale'>, value: number, spread: number | null): number {
  if (!spread) return 0;
  return (scaled(spec, value + spread) - scaled(spec, value - spread)) / 2;
}

const isMeasureUnit = (unit: FeatureUnit | undefined): unit is Measure['unit'] => unit !== undefined && Object.hasOwn(PROPORTIONS, unit);

/** Spec of any feature name, proportions included, those of a teacher's own kinds by their unit; null for an unknown name. */
export function featureSpec(name: string, unit?: FeatureUnit): FeatureSpec | null {
  if (Object.hasOwn(FEATURES, name)) return FEATURES[name];
  if (name === 'colour.palette') return PALETTE;
  const known = measureIn(name);
  const measured = known ? known.measure.unit : isProportion(name) && isMeasureUnit(unit) ? unit : null;
  return measured && { group: 'proportion', family: name, ...PROPORTIONS[measured] };
}

export interface Feature {
  group: FeatureGroup;
  value: number | null;
  unit: FeatureUnit;
  /** One standard deviation of the reading itself; null where unknown. */
  spread: number | null;
  /** What a teacher calls it, where it is a measure of their own. */
  title?: string;
}

export type FeatureSet = Record<string, Feature>;

/** Whether it was sure what of a picture is its bare sheet, or that there is none. */
export const isSheetSure = (features: FeatureSet): boolean => features['composition.coverage']?.value !== null;
