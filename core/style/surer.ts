/** Knows how each reading is measured, and what would make it surer. */
import { Message, message } from '../message';
import { featureSpec } from './features';
import { isProportion } from './proportionNames';

/** What of a picture decides how sure its readings are. */
export interface Known {
  widthMm: number | null;
  /** Px of the picture's own detail to a mm; null where its width is unknown. */
  pxPerMm: number | null;
  /** Strokes or crossings counted; null where none are. */
  counted: number | null;
  /** A bare sheet is seen. */
  sheet: boolean;
  /** Works of the hand that have been measured. */
  works: number;
}

const HOW: Record<string, string> = {
  'marks.coherence': 'direction',
  'marks.spacingVariation': 'spacing',
  'marks.lineSwell': 'lineWidth',
  'marks.straightness': 'strokeLength',
  'marks.colourSlack': 'slack',
  'colour.groundL': 'palette',
  'colour.groundChroma': 'palette',
  'colour.count': 'palette',
  'colour.accent': 'palette',
  'colour.chroma': 'chroma',
  'colour.chromaHigh': 'chroma',
  'colour.warm': 'temperature',
  'colour.cool': 'temperature',
  'colour.balance': 'temperature',
  'value.focusContrast': 'contrast',
};
const OWN = new Set(['direction', 'crossing', 'spacing', 'lineWidth', 'strokeLength', 'coverage', 'finish']);

/** Which of the methods a feature is measured by. */
function methodOf(feature: string): string {
  if (HOW[feature]) return HOW[feature];
  const [group, name] = feature.split('.');
  if (group === 'marks') return OWN.has(name) ? name : name === 'share' ? 'kinds' : 'surface';
  return (
    { edges: 'edges', value: 'lightness', composition: 'shape', place: 'place', proportion: 'proportion', colour: 'palette' }[group] ??
    'palette'
  );
}

export const howMeasured = (feature: string): Message => message(`evidence.how.${methodOf(feature)}`);

/** A stroke is seen well where so many px stand to a mm; and so many strokes say how the rest are. */
const [FINE, ENOUGH] = [5, 60];
/** Works that say what a hand varies by: common practice, no source. */
const SEVERAL = 4;

/** What would make a reading surer, what helps most first; nothing where it is as sure as it gets. */
export function surerBy(feature: string, { widthMm, pxPerMm, counted, sheet, works }: Known): Message[] {
  const spec = featureSpec(feature);
  const out: string[] = [];
  const group = spec?.group ?? feature.split('.')[0];
  if (spec?.size && widthMm === null) out.push('width');
  if (group === 'marks' && pxPerMm !== null && pxPerMm < FINE) out.push('nearer');
  if (group === 'marks' && counted !== null && counted < ENOUGH) out.push('more');
  if ((group === 'marks' || group === 'composition') && !sheet) out.push('sheet');
  if (group === 'colour' || group === 'value') out.push('card');
  if (isProportion(feature)) out.push('lens');
  if (works < SEVERAL) out.push('works');
  return out.map((key) => message(`evidence.surer.${key}`));
}
