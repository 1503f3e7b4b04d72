/** Knows the flat list of features that comparison works on: group, unit, and how much works of one hand usually differ. */
import { MARK_KINDS } from '../marks/kinds';
import { SURFACE_BANDS } from '../marks/surface';
import { measureOf } from '../proportion/measures';
import type { Measure } from '../proportion/template';

export type FeatureGroup = 'proportion' | 'marks' | 'colour' | 'value' | 'composition';
export const FEATURE_GROUPS: readonly FeatureGroup[] = ['proportion', 'marks', 'colour', 'value', 'composition'];

export type FeatureUnit = 'degrees' | 'ratio' | 'share' | 'mm' | 'permille' | 'L*' | 'C*' | 'count' | 'heads' | 'offset' | 'ΔE';

export interface FeatureSpec {
  group: FeatureGroup;
  unit: FeatureUnit;
  /** Directions repeat every 180°. */
  axial?: true;
  /** A size on the sheet: compared in mm or, without both scales, per thousandth of the picture's width. */
  size?: true;
  /**
   * Typical standard deviation between works of one hand: a part of the middle value, and a floor in the feature's own
   * unit. Judged from the demo's invented works, no outside source.
   */
  typical: { part: number; floor: number };
}

const spec = (group: FeatureGroup, unit: FeatureUnit, part: number, floor: number, more: Partial<FeatureSpec> = {}): FeatureSpec => ({
  group,
  unit,
  typical: { part, floor },
  ...more,
});

/** Features every profile has, in order. */
export const FEATURES: Readonly<Record<string, FeatureSpec>> = {
  'marks.direction': spec('marks', 'degrees', 0, 6, { axial: true }),
  'marks.crossing': spec('marks', 'degrees', 0, 12),
  'marks.coherence': spec('marks', 'ratio', 0, 0.1),
  'marks.spacing': spec('marks', 'permille', 0.1, 0.1, { size: true }),
  'marks.spacingVariation': spec('marks', 'ratio', 0.2, 0.03),
  'marks.lineWidth': spec('marks', 'permille', 0.12, 0.05, { size: true }),
  'marks.lineSwell': spec('marks', 'ratio', 0.25, 0.42),
  'marks.strokeLength': spec('marks', 'permille', 0.18, 0.4, { size: true }),
  'marks.straightness': spec('marks', 'ratio', 0, 0.02),
  'marks.coverage': spec('marks', 'share', 0.15, 0.05),
  ...Object.fromEntries(MARK_KINDS.map((k) => [`marks.share.${k}`, spec('marks', 'share', 0.2, 0.08)])),
  'edges.outlined': spec('marks', 'share', 0.15, 0.07),
  'edges.sharp': spec('marks', 'share', 0.15, 0.07),
  'edges.soft': spec('marks', 'share', 0.15, 0.07),
  'edges.lost': spec('marks', 'share', 0.2, 0.05),
  'marks.colourSlack': spec('marks', 'permille', 0.3, 1, { size: true }),
  'marks.finish': spec('marks', 'ratio', 0.2, 0.05),
  ...Object.fromEntries(SURFACE_BANDS.map((b) => [`marks.${b}`, spec('marks', 'ΔE', 0.35, 0.4)])),
  'colour.groundL': spec('colour', 'L*', 0, 2.5),
  'colour.groundChroma': spec('colour', 'C*', 0.1, 2.5),
  'colour.count': spec('colour', 'count', 0.12, 0.35),
  'colour.chroma': spec('colour', 'C*', 0.12, 2),
  'colour.chromaHigh': spec('colour', 'C*', 0.12, 3),
  'colour.warm': spec('colour', 'share', 0, 0.09),
  'colour.cool': spec('colour', 'share', 0, 0.09),
  'colour.balance': spec('colour', 'ratio', 0, 0.16),
  'colour.accent': spec('colour', 'share', 0.3, 0.002),
  'value.mean': spec('value', 'L*', 0, 4),
  'value.dark': spec('value', 'L*', 0, 4),
  'value.light': spec('value', 'L*', 0, 2.5),
  'value.range': spec('value', 'L*', 0, 4.5),
  'value.darkShare': spec('value', 'share', 0.2, 0.03),
  'value.lightShare': spec('value', 'share', 0.1, 0.06),
  'value.focusContrast': spec('value', 'L*', 0.15, 2),
  'composition.centreX': spec('composition', 'ratio', 0, 0.06),
  'composition.centreY': spec('composition', 'ratio', 0, 0.06),
  'composition.coverage': spec('composition', 'share', 0, 0.09),
  'composition.margin': spec('composition', 'ratio', 0, 0.03),
  'composition.envelope': spec('composition', 'ratio', 0, 0.06),
};

const PROPORTIONS: Readonly<Record<Measure['unit'], FeatureSpec>> = {
  degrees: spec('proportion', 'degrees', 0, 2),
  offset: spec('proportion', 'offset', 0, 0.012),
  heads: spec('proportion', 'heads', 0.05, 0.05),
  ratio: spec('proportion', 'ratio', 0.05, 0.012),
};

/** Spec of any feature name, proportions included; null for an unknown name. */
export function featureSpec(name: string): FeatureSpec | null {
  if (Object.hasOwn(FEATURES, name)) return FEATURES[name];
  const measure = name.startsWith('proportion.') ? measureOf(name.slice('proportion.'.length)) : null;
  return measure && PROPORTIONS[measure.unit];
}

export interface Feature {
  group: FeatureGroup;
  value: number | null;
  unit: FeatureUnit;
  /** One standard deviation of the reading itself; null where unknown. */
  spread: number | null;
}

export type FeatureSet = Record<string, Feature>;
