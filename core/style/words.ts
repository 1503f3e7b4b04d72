/** Knows how to say a reading or a finding in one plain sentence, in British or American spelling, in mm or inches. */
import { FeatureUnit } from './features';
import { MARK_KINDS } from '../marks/kind';
import { Form, form, FORMS, KIND_NAMES, PROPORTION_FORMS, TITLES } from './sentences';

export interface WordSettings {
  spelling: 'british' | 'american';
  units: 'mm' | 'inch';
}

export const PLAIN_WORDS: WordSettings = { spelling: 'british', units: 'mm' };

const AMERICAN: readonly (readonly [RegExp, string])[] = [
  [/\bcolour/g, 'color'],
  [/\bColour/g, 'Color'],
  [/\bgrey/g, 'gray'],
  [/\bGrey/g, 'Gray'],
  [/\bcentre/g, 'center'],
  [/\bCentre/g, 'Center'],
];

/** Turns British spelling into American where asked. */
export function spell(text: string, { spelling }: WordSettings): string {
  return spelling === 'british' ? text : AMERICAN.reduce((t, [from, to]) => t.replace(from, to), text);
}

const tidy = (v: number, digits: number) => {
  const s = v.toFixed(digits);
  return s === '-0' || /^-0\.0+$/.test(s) ? s.slice(1) : s;
};

/** A size in mm written in the unit asked for. */
export function sizeWords(mm: number, { units }: WordSettings): string {
  if (units === 'inch') return `${tidy(mm / 25.4, mm / 25.4 < 1 ? 3 : 2)} in`;
  return `${tidy(mm, mm < 10 ? (mm < 1 ? 2 : 1) : 0)} mm`;
}

/** A feature's value with its unit, sensibly rounded. */
function valueWords(value: number, unit: FeatureUnit, settings: WordSettings = PLAIN_WORDS): string {
  switch (unit) {
    case 'mm':
      return sizeWords(value, settings);
    case 'permille':
      return `${tidy(value, value < 10 ? 1 : 0)} ‰ of the width`;
    case 'degrees':
      return `${tidy(value, 0)}°`;
    case 'share':
      return value !== 0 && Math.abs(value) < 0.02 ? `${tidy(value * 100, 1)} %` : `${tidy(value * 100, 0)} %`;
    case 'L*':
    case 'C*':
      return tidy(value, 0);
    case 'count':
    case 'heads':
      return tidy(value, 1);
    case 'ΔE':
      return tidy(value, 1);
    default:
      return tidy(value, 2);
  }
}

export const kindName = (kind: (typeof MARK_KINDS)[number]): string => KIND_NAMES[kind];

const PLURAL_KINDS = new Set(['dots', 'parallel strokes', 'crossing strokes', 'strokes that follow the form']);

function formOf(feature: string): Form | null {
  if (FORMS[feature]) return FORMS[feature];
  const [family, ...rest] = feature.split('.');
  const name = rest.join('.');
  if (family === 'proportion') return PROPORTION_FORMS[name] ?? null;
  if (family !== 'marks' || !name.startsWith('share.')) return null;
  const kind = KIND_NAMES[name.slice(6) as keyof typeof KIND_NAMES];
  if (!kind) return null;
  return PLURAL_KINDS.has(kind)
    ? form(kind, 'cover more of the work', 'cover less of the work', `use fewer ${kind}`, `use more ${kind}`)
    : form(kind, 'covers more of the work', 'covers less of the work', `use less ${kind}`, `use more ${kind}`);
}

export interface Said {
  feature: string;
  unit: FeatureUnit;
  master: { low: number; mid: number; high: number };
  piece: number;
  distance: number;
}

/** One finding in a sentence with size and direction, such as "The strokes stand farther apart than the master’s: 2.6 mm against 1.6 mm." */
export function sayFinding(f: Said, settings: WordSettings = PLAIN_WORDS): string {
  const said = formOf(f.feature);
  // A direction beside a range across 0° may have left [0, 180).
  const shown = f.feature === 'marks.direction' ? ((f.piece % 180) + 180) % 180 : f.piece;
  const pair = `${valueWords(shown, f.unit, settings)} against ${valueWords(f.master.mid, f.unit, settings)}`;
  if (!said) return spell(`${f.feature}: ${pair}.`, settings);
  const capital = (text: string) => text[0].toUpperCase() + text.slice(1);
  if (Math.abs(f.distance) === 0) return spell(`${capital(featureTitle(f.feature))}: like the master’s, ${pair}.`, settings);
  const does = f.distance > 0 ? said.above : said.below;
  const much = Math.abs(f.distance) > 3 ? ' much' : '';
  const verb = much
    ? does.replace(
        /^(\S+) (more|less|farther|closer|longer|shorter|thicker|thinner|lighter|darker|stronger|quieter|larger|smaller|lower|higher|taller|warmer|cooler|deeper)\b/,
        `$1${much} $2`,
      )
    : does;
  const than = said.than ?? 'than the master’s';
  return spell(`${capital(said.subject)} ${verb} ${than}: ${pair}.`, settings);
}

/** The next step that goes with a finding; empty inside the range. */
export function nextStep(f: Pick<Said, 'feature' | 'distance'>, settings: WordSettings = PLAIN_WORDS): string {
  const said = formOf(f.feature);
  if (!said || f.distance === 0) return '';
  const text = f.distance > 0 ? said.tryAbove : said.tryBelow;
  return spell(`Next time ${text}.`, settings);
}

export const FIELD_ROWS = ['upper', 'middle', 'lower'];
export const FIELD_COLUMNS = ['left', 'middle', 'right'];

/** Name of one of the nine fields of a picture, 0 to 8 from the top left, row by row. */
export const fieldName = (i: number): string => (i === 4 ? 'centre' : `${FIELD_ROWS[Math.floor(i / 3)]} ${FIELD_COLUMNS[i % 3]}`);

/** Title of a feature for lists and charts. */
export function featureTitle(feature: string): string {
  if (TITLES[feature]) return TITLES[feature];
  if (feature.startsWith('marks.share.')) return KIND_NAMES[feature.slice(12) as keyof typeof KIND_NAMES] ?? feature;
  return feature.replace(/^proportion\./, '').replace(/-/g, ' ');
}
