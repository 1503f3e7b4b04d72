/** Knows how to say a reading or a finding in one plain sentence, in British or American spelling, in mm or inches. */
import { FeatureUnit } from './features';
import { MARK_KINDS } from '../marks/kind';

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

interface Form {
  /** What is spoken of, as the subject of a sentence. */
  subject: string;
  plural?: true;
  above: string;
  below: string;
  /** What to try next when above, and when below. */
  tryAbove: string;
  tryBelow: string;
}

const form = (
  subject: string,
  above: string,
  below: string,
  tryAbove: string,
  tryBelow: string,
  plural?: true,
): Form => ({ subject, above, below, tryAbove, tryBelow, plural });

const KIND_NAMES: Record<(typeof MARK_KINDS)[number], string> = {
  blank: 'bare sheet',
  flat: 'flat, even colour',
  'smooth-shading': 'smooth shading',
  wash: 'wash',
  stipple: 'dots',
  'parallel-hatch': 'parallel strokes',
  'cross-hatch': 'crossing strokes',
  'contour-hatch': 'strokes that follow the form',
  scribble: 'scribble',
  line: 'plain line',
};

export const kindName = (kind: (typeof MARK_KINDS)[number]): string => KIND_NAMES[kind];

const FORMS: Record<string, Form> = {
  'marks.direction': form(
    'the strokes',
    'lean more upright-left',
    'lean more upright-right',
    'turn the sheet until the strokes fall at the master’s angle',
    'turn the sheet until the strokes fall at the master’s angle',
    true,
  ),
  'marks.crossing': form(
    'the two sets of strokes',
    'cross more squarely',
    'cross at a narrower angle',
    'lay the second set at a smaller turn to the first',
    'lay the second set more nearly square to the first',
    true,
  ),
  'marks.coherence': form(
    'the strokes',
    'keep more strictly to one direction',
    'run in more directions',
    'let a second set cross in a few places',
    'keep each passage to one direction',
    true,
  ),
  'marks.spacing': form(
    'the strokes',
    'stand farther apart',
    'stand closer together',
    'lay the next strokes closer, using the gap card',
    'leave more bare sheet between strokes',
    true,
  ),
  'marks.spacingVariation': form(
    'the gaps between strokes',
    'are less even',
    'are more even',
    'slow down and keep each gap like the last',
    'loosen: the master’s gaps vary more',
    true,
  ),
  'marks.lineWidth': form(
    'the lines',
    'are thicker',
    'are thinner',
    'use a finer tool or less pressure',
    'use a broader tool or more pressure',
    true,
  ),
  'marks.lineSwell': form(
    'the lines',
    'swell and thin more',
    'are more uniform in width',
    'keep the pressure steadier',
    'press and lift within the stroke',
    true,
  ),
  'marks.strokeLength': form(
    'the strokes',
    'are longer',
    'are shorter',
    'lift the tool sooner',
    'draw from the wrist or arm in longer pulls',
    true,
  ),
  'marks.straightness': form(
    'the strokes',
    'are straighter',
    'are more bent',
    'let the strokes arch slightly',
    'pull the strokes straighter',
    true,
  ),
  'marks.coverage': form(
    'the worked part',
    'is more filled',
    'is more open',
    'leave more of the sheet showing between marks',
    'work more marks into the forms',
  ),
  'edges.outlined': form(
    'the forms',
    'are outlined on more of their edge',
    'are outlined on less of their edge',
    'leave some edges without a line',
    'draw the line where the master draws it',
    true,
  ),
  'edges.sharp': form(
    'the edges',
    'are sharp more often',
    'are sharp less often',
    'soften some edges',
    'cut some edges clean',
    true,
  ),
  'edges.soft': form(
    'the edges',
    'are soft more often',
    'are soft less often',
    'cut some edges clean',
    'let some edges melt',
    true,
  ),
  'edges.lost': form(
    'the edges',
    'are lost more often',
    'are lost less often',
    'find some lost edges again',
    'let some edges disappear',
    true,
  ),
  'marks.colourSlack': form(
    'the colour',
    'strays farther from its line',
    'keeps closer to its line',
    'fill more exactly to the line',
    'let the colour miss its line as the master does',
  ),
  'marks.finish': form(
    'the working',
    'differs more from part to part',
    'is more the same all over',
    'bring the parts nearer to one finish',
    'finish one part and leave another open',
  ),
  'colour.groundL': form('the sheet', 'is lighter', 'is darker', 'tone the sheet first', 'use a lighter sheet'),
  'colour.groundChroma': form(
    'the sheet',
    'is more coloured',
    'is less coloured',
    'use a quieter sheet',
    'wash the sheet with the ground colour first',
  ),
  'colour.count': form(
    'the palette',
    'has more colours',
    'has fewer colours',
    'put two or three colours away',
    'add one of the master’s colours',
  ),
  'colour.chroma': form(
    'the colour',
    'is stronger overall',
    'is quieter overall',
    'grey the mixes with a little of their opposite',
    'use the colours purer',
  ),
  'colour.chromaHigh': form(
    'the strongest colours',
    'are stronger',
    'are quieter',
    'grey the strongest mixes',
    'let a few touches be purer',
    true,
  ),
  'colour.warm': form(
    'warm colour',
    'covers more of the picture',
    'covers less of the picture',
    'cool some passages',
    'warm some passages',
  ),
  'colour.cool': form(
    'cool colour',
    'covers more of the picture',
    'covers less of the picture',
    'warm some passages',
    'cool some passages',
  ),
  'colour.balance': form(
    'the balance of colour',
    'is warmer',
    'is cooler',
    'let the cool side win back some area',
    'let the warm side win back some area',
  ),
  'colour.accent': form(
    'the small vivid touches',
    'cover more',
    'cover less',
    'keep the vivid touch small',
    'add the one small vivid touch',
    true,
  ),
  'colour.palette': form(
    'the palette',
    'lies farther from the master’s colours',
    'lies nearer to the master’s colours',
    'mix from the master’s recipes',
    'go on so',
  ),
  'value.mean': form(
    'the picture',
    'is lighter overall',
    'is darker overall',
    'deepen the shadows',
    'leave more light',
  ),
  'value.dark': form(
    'the darks',
    'are less deep',
    'are deeper',
    'put in the deepest dark once, where it counts',
    'keep the darks a step lighter',
    true,
  ),
  'value.light': form(
    'the lights',
    'are lighter',
    'are dimmer',
    'let the sheet’s own tone be the light',
    'keep the lights bare',
    true,
  ),
  'value.range': form(
    'the step from darkest to lightest',
    'is larger',
    'is smaller',
    'pull darks and lights together',
    'make the darks darker and keep the lights',
  ),
  'value.darkShare': form(
    'the darks',
    'cover more',
    'cover less',
    'open up some of the darks',
    'join small darks into larger ones',
    true,
  ),
  'value.lightShare': form(
    'the lights',
    'cover more',
    'cover less',
    'tone down some of the lights',
    'keep more of the sheet light',
    true,
  ),
  'value.focusContrast': form(
    'the strongest contrast',
    'is stronger',
    'is weaker',
    'quieten the strongest contrast',
    'set the darkest dark beside the lightest light at the focus',
  ),
  'composition.centreX': form(
    'the weight of the picture',
    'sits farther right',
    'sits farther left',
    'plan the next one farther left',
    'plan the next one farther right',
  ),
  'composition.centreY': form(
    'the weight of the picture',
    'sits lower',
    'sits higher',
    'plan the next one higher',
    'plan the next one lower',
  ),
  'composition.coverage': form(
    'the drawing',
    'fills more of the sheet',
    'fills less of the sheet',
    'leave more of the sheet bare',
    'let the drawing fill the sheet',
  ),
  'composition.margin': form('the free margin', 'is wider', 'is narrower', 'go nearer to the edge', 'leave a margin'),
  'composition.envelope': form(
    'the overall shape',
    'is simpler',
    'is less simple',
    'break the outer shape a little',
    'gather the forms into one simple shape',
  ),
};

const PROPORTION_FORMS: Record<string, Form> = {
  'eye-line': form(
    'the eyes',
    'sit lower in the head',
    'sit higher in the head',
    'measure from the crown before drawing the eyes',
    'measure from the crown before drawing the eyes',
    true,
  ),
  'heads-tall': form(
    'the figure',
    'is taller for its head',
    'is shorter for its head',
    'make the head larger or the body shorter',
    'make the head smaller or the body longer',
  ),
  lean: form(
    'the figure',
    'leans more to the left',
    'leans more to the right',
    'drop a plumb line first',
    'drop a plumb line first',
  ),
};

function formOf(feature: string): Form | null {
  if (FORMS[feature]) return FORMS[feature];
  const [family, ...rest] = feature.split('.');
  const name = rest.join('.');
  if (family === 'marks' && name.startsWith('share.')) {
    const kind = KIND_NAMES[name.slice(6) as keyof typeof KIND_NAMES];
    return kind
      ? form(kind, 'covers more of the work', 'covers less of the work', `use less ${kind}`, `use more ${kind}`)
      : null;
  }
  if (family === 'proportion') {
    const label = name.replace(/-/g, ' ');
    return (
      PROPORTION_FORMS[name] ??
      form(
        `the ${label}`,
        'is larger',
        'is smaller',
        `measure the ${label} against the unit before going on`,
        `measure the ${label} against the unit before going on`,
      )
    );
  }
  return null;
}

const SHARE_SUBJECTS = new Set([
  'flat, even colour',
  'smooth shading',
  'wash',
  'dots',
  'parallel strokes',
  'crossing strokes',
  'strokes that follow the form',
  'scribble',
  'plain line',
  'bare sheet',
]);
const PLURAL_KINDS = new Set(['dots', 'parallel strokes', 'crossing strokes', 'strokes that follow the form']);

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
  const pair = `${valueWords(f.piece, f.unit, settings)} against ${valueWords(f.master.mid, f.unit, settings)}`;
  if (!said) return spell(`${f.feature}: ${pair}.`, settings);
  const plural = said.plural || PLURAL_KINDS.has(said.subject);
  const subject = said.subject[0].toUpperCase() + said.subject.slice(1);
  if (Math.abs(f.distance) === 0)
    return spell(`${subject} ${plural ? 'are' : 'is'} within the master’s range: ${pair}.`, settings);
  let does = f.distance > 0 ? said.above : said.below;
  if (plural && SHARE_SUBJECTS.has(said.subject)) does = does.replace(/^covers/, 'cover');
  const much = Math.abs(f.distance) > 3 ? ' much' : '';
  const verb = much
    ? does.replace(
        /^(\S+) (more|less|farther|closer|longer|shorter|thicker|thinner|lighter|darker|stronger|quieter|larger|smaller|lower|higher|taller|warmer|cooler|deeper)\b/,
        `$1${much} $2`,
      )
    : does;
  return spell(`${subject} ${verb} than the master’s: ${pair}.`, settings);
}

/** The next step that goes with a finding; empty inside the range. */
export function nextStep(f: Pick<Said, 'feature' | 'distance'>, settings: WordSettings = PLAIN_WORDS): string {
  const said = formOf(f.feature);
  if (!said || f.distance === 0) return '';
  const text = f.distance > 0 ? said.tryAbove : said.tryBelow;
  return spell(`Next time ${text}.`, settings);
}

/** Title of a feature for lists and charts. */
export function featureTitle(feature: string): string {
  const titles: Record<string, string> = {
    'marks.direction': 'stroke direction', 'marks.crossing': 'crossing angle', 'marks.coherence': 'order of the strokes', 'marks.spacing': 'stroke spacing', 'marks.spacingVariation': 'unevenness of spacing',
    'marks.lineWidth': 'line width', 'marks.lineSwell': 'swell of the line', 'marks.strokeLength': 'stroke length', 'marks.straightness': 'straightness', 'marks.coverage': 'how filled', 'edges.outlined': 'outlined edges', 'edges.sharp': 'sharp edges',
    'edges.soft': 'soft edges', 'edges.lost': 'lost edges', 'marks.colourSlack': 'colour off its line', 'marks.finish': 'difference in finish', 'colour.groundL': 'lightness of the sheet', 'colour.groundChroma': 'colour of the sheet',
    'colour.count': 'number of colours', 'colour.chroma': 'strength of colour', 'colour.chromaHigh': 'strongest colours', 'colour.warm': 'warm area', 'colour.cool': 'cool area', 'colour.balance': 'warm against cool', 'colour.accent': 'small vivid touches',
    'colour.palette': 'palette', 'value.mean': 'overall lightness', 'value.dark': 'deepest dark', 'value.light': 'lightest light', 'value.range': 'range of values', 'value.darkShare': 'area of darks', 'value.lightShare': 'area of lights',
    'value.focusContrast': 'strongest contrast', 'composition.centreX': 'weight, left to right', 'composition.centreY': 'weight, top to bottom', 'composition.coverage': 'worked area', 'composition.margin': 'free margin', 'composition.envelope': 'overall shape',
  }; // prettier-ignore
  if (titles[feature]) return titles[feature];
  if (feature.startsWith('marks.share.')) return KIND_NAMES[feature.slice(12) as keyof typeof KIND_NAMES] ?? feature;
  return feature.replace(/^proportion\./, '').replace(/-/g, ' ');
}
