/** Knows what is said of a reading or a finding: which sentence, and what stands in it. */
import { amount, Amount, AmountUnit, Figure, figure, Message, message, Typed, typed, Values } from '../message';
import { Proportion, saidAs } from '../proportion/measures';
import { Feature, FeatureGroup, featureSpec, FeatureUnit } from './features';
import { isProportion, measureIn, proportionFeature } from './proportionNames';

export const FIELD_ROWS = ['upper', 'middle', 'lower'] as const;
export const FIELD_COLUMNS = ['left', 'middle', 'right'] as const;

/** Name of one of the nine fields of a picture, 0 to 8 from the top left, row by row. */
export const fieldName = (i: number): Message => message(`fields.${FIELD_ROWS[Math.floor(i / 3)]}-${FIELD_COLUMNS[i % 3]}`);

export interface Said {
  feature: string;
  unit: FeatureUnit;
  /** What a teacher calls it, where it is a measure of their own. */
  title?: string;
  /** `low` is null where there is no too little: a distance. */
  master: { low: number | null; mid: number; high: number };
  piece: number;
  distance: number;
}

const PLACE_WEIGHT = 'place.weight.';

/** Where a feature's sentences stand in `words/`. */
function keyOf(feature: string): string {
  const known = measureIn(feature);
  if (known) return `features.proportion.${saidAs(known.measure)}`;
  if (isProportion(feature)) return 'features.proportion.own';
  return `features.${feature.startsWith(PLACE_WEIGHT) ? 'place.weight' : feature}`;
}

/** What a sentence about a feature needs to know of it beside the values. */
const whereOf = (feature: string, title?: string): Values => {
  if (feature.startsWith(PLACE_WEIGHT)) return { where: message(`fields.${feature.slice(PLACE_WEIGHT.length)}`) };
  // A measure of a teacher's own is called what they call it, or by its name in the file.
  if (isProportion(feature) && !measureIn(feature)) return { name: typed(title ?? feature.slice(feature.lastIndexOf('.') + 1)) };
  return {};
};

/** Units that stand by themselves in a sentence; what has none is told by how many times or how far. */
const UNITS_IN_WORDS: Partial<Record<FeatureUnit, AmountUnit>> = {
  mm: 'mm',
  permille: 'permille',
  degrees: 'degrees',
  share: 'share',
  count: 'colours',
  heads: 'heads',
};

/** A ratio of two lengths in a face or figure is a share of the second; the gap between the eyes is counted in eyes. */
function unitInWords({ feature, unit }: Pick<Said, 'feature' | 'unit'>): AmountUnit | null {
  if (unit === 'count' && isProportion(feature)) return 'things';
  const named = UNITS_IN_WORDS[unit];
  if (named) return named;
  if (!isProportion(feature)) return null;
  return measureIn(feature)?.measure.name === 'eye-gap' ? 'eyes' : 'share';
}

/** A feature's value as it is told; null where its number would mean nothing to anybody. */
export function valueWithUnit(feature: string, value: number, unit: FeatureUnit): Amount | null {
  const named = unitInWords({ feature, unit });
  // A direction beside a range across 0° may have left [0, 180).
  const shown = feature === 'marks.direction' ? ((value % 180) + 180) % 180 : value;
  return named && amount(shown, named);
}

/** A reading's standard deviation as it is told; null where there is none, or its number would mean nothing to anybody. */
export function spreadWithUnit(feature: string, { value, unit, spread }: Feature): Amount | Figure | null {
  if (value === null || spread === null) return null;
  if (unit === 'L*' || unit === 'C*') return figure(spread, 1);
  const named = unitInWords({ feature, unit });
  if (named) return amount(spread, named);
  return value > 0 ? amount(spread / value, 'share') : null;
}

/** A measure's value as it is told; a small offset as a share of the head. */
export const measureWithUnit = ({ template, name, unit, value }: Pick<Proportion, 'template' | 'name' | 'unit' | 'value'>): Amount =>
  valueWithUnit(proportionFeature(template, name), value ?? 0, unit) ?? amount(value ?? 0, 'share');

/** How many times the larger of two is the smaller, to a tenth; 0 where they are hardly apart or one is next to nothing. */
function timesApart(a: number, b: number): number {
  const [small, large] = [Math.min(Math.abs(a), Math.abs(b)), Math.max(Math.abs(a), Math.abs(b))];
  if (!(small > 1e-6) || Math.sign(a) !== Math.sign(b)) return 0;
  const times = large / small;
  return times < 1.15 || times > 10 ? 0 : Math.round(times < 3 ? times * 10 : Math.round(times) * 10) / 10;
}

/** How far the piece is off: in mm or degrees, in steps of lightness, or as a part. */
function apart({ unit, piece, master }: Said): Amount | Figure {
  const off = Math.abs(piece - master.mid);
  if (unit === 'L*') return figure(off);
  return amount(off, unit === 'mm' || unit === 'degrees' ? unit : 'share');
}

/** One finding as a sentence with size and direction: "The strokes stand farther apart than the master’s: 2.6 mm against 1.6 mm." */
export function sayFinding(f: Said): Message {
  const { feature, unit, title, master, distance } = f;
  const piece = valueWithUnit(feature, f.piece, unit);
  const mid = valueWithUnit(feature, master.mid, unit);
  const key = keyOf(feature);
  const pair: Values = piece && mid ? { piece, master: mid } : {};
  if (distance === 0)
    return feature.startsWith('place.')
      ? message(`${key}.within`, whereOf(feature))
      : message(`features.within.${piece ? 'pair' : 'plain'}`, { title: featureTitle(feature, title), ...pair });
  return message(`${key}.${distance > 0 ? 'above' : 'below'}`, {
    much: Math.abs(distance) > 3 ? 'much' : 'some',
    times: timesApart(f.piece, master.mid),
    by: apart(f),
    of: unit === 'mm' ? 'itself' : 'sheet',
    ...pair,
    ...whereOf(feature, title),
  });
}

/** The next step that goes with a finding; null inside the range. */
export const nextStep = ({ feature, distance, title }: Pick<Said, 'feature' | 'distance' | 'title'>): Message | null =>
  distance === 0 ? null : message(`${keyOf(feature)}.${distance > 0 ? 'tryAbove' : 'tryBelow'}`, whereOf(feature, title));

/** Title of a feature for lists and charts. */
export const featureTitle = (feature: string, title?: string): Message => message(`${keyOf(feature)}.title`, whereOf(feature, title));

interface SaidTrait {
  title?: string;
  feature: string;
  unit: FeatureUnit;
  low: number;
  mid: number;
  high: number;
}

/** What stays or changes from work to work of a hand, as a sentence with its range where that can be told. */
export function sayTrait({ feature, unit, low, high, title: own }: SaidTrait, as: 'constant' | 'varies'): Message {
  // Strokes that may run any way have no range.
  const anyWay = featureSpec(feature)?.axial && high - low >= 90;
  const [from, to] = [low, high].map((v) => (anyWay ? null : valueWithUnit(feature, v, unit)));
  const title = featureTitle(feature, own);
  return from && to ? message(`hand.${as}.range`, { title, from, to }) : message(`hand.${as}.plain`, { title });
}

/** A feature's range over works of one hand, as a rule; without figures where it has none to be told by. */
export function sayRange({ feature, unit, low, mid, high, title: own }: SaidTrait & { mid: number }): Message {
  const title = featureTitle(feature, own);
  const anyWay = featureSpec(feature)?.axial && high - low >= 90;
  const [from, to, about] = [low, high, mid].map((v) => (anyWay ? null : valueWithUnit(feature, v, unit)));
  return from && to && about ? message('readings.range', { title, from, to, about }) : message('readings.likeWorks', { title });
}

/** What parts a hand from another, as a sentence. */
export function sayParting({
  feature,
  unit,
  hand,
  foil,
  effect,
  title: own,
}: {
  feature: string;
  title?: string;
  unit: FeatureUnit;
  hand: { mid: number };
  foil: { mid: number };
  effect: number;
}): Message {
  const [here, there] = [hand.mid, foil.mid].map((v) => valueWithUnit(feature, v, unit));
  const title = featureTitle(feature, own);
  // Whether marks are darker or lighter than what lies round them has a side, not an amount.
  if (/^marks\.\w+Dark$/.test(feature)) return message('hand.parts.dark', { title, more: effect > 0 ? 'yes' : 'no' });
  return here && there
    ? message('hand.parts.pair', { title, here, there })
    : message('hand.parts.plain', { title, more: effect > 0 ? 'yes' : 'no', much: Math.abs(effect) > 3 ? 'much' : 'some' });
}

export const groupName = (group: FeatureGroup): Message => message(`groups.${group}`);

interface Rule {
  /** As a person wrote it; empty where the reading was ticked as it was told. */
  sentence: string;
  evidence: string;
  said: { sentence: Message; evidence: Message } | null;
}

const writtenOr = (written: string, said: Message | undefined): Message | Typed => (written === '' && said ? said : typed(written));

/** A rule of a study: as it was written, or as it was told when it was ticked. */
export const ruleSentence = ({ sentence, said }: Pick<Rule, 'sentence' | 'said'>): Message | Typed => writtenOr(sentence, said?.sentence);

/** What the rule rests on. */
export const ruleEvidence = ({ evidence, said }: Pick<Rule, 'evidence' | 'said'>): Message | Typed => writtenOr(evidence, said?.evidence);
