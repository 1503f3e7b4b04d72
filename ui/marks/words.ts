/** A mark reading in sentences with numbers. */
import type { Reading } from '@/core/marks/reading';
import { finishByRegion } from '@/core/marks/finish';
import type { FeatureSet } from '@/core/style/features';
import { fieldName, kindName, sizeWords, WordSettings } from '@/core/style/words';

export interface Telling {
  feature: string;
  sentence: string;
}

const size = (s: { mm: number | null; permille: number }, words: WordSettings) =>
  s.mm === null ? `${s.permille.toFixed(1)} ‰ of the width` : sizeWords(s.mm, words);
const evenness = (v: number) => (v < 0.1 ? 'very even' : v < 0.18 ? 'even' : v < 0.3 ? 'uneven' : 'very uneven');

/** What a reading says, one sentence a feature that can become a rule. */
export function tellReading(r: Reading, words: WordSettings): Telling[] {
  const out: Telling[] = [];
  if (r.spacing)
    out.push({
      feature: 'marks.spacing',
      sentence: `Strokes stand ${size(r.spacing, words)} apart, ${evenness(r.spacing.variation)} (±${Math.round(100 * r.spacing.variation)} %).`,
    });
  if (r.directions.length) out.push({ feature: 'marks.direction', sentence: `Most strokes run at ${Math.round(r.directions[0].angle)}°.` });
  if (r.crossing !== null)
    out.push({
      feature: 'marks.crossing',
      sentence: `Two sets meet at ${Math.round(r.crossing)}°${r.crossing > 70 ? ', nearly square' : r.crossing < 25 ? ', at a narrow angle' : ''}.`,
    });
  if (r.lineWidth)
    out.push({
      feature: 'marks.lineWidth',
      sentence: `Lines are ${size(r.lineWidth, words)} wide${r.lineWidth.thick > 1.6 * r.lineWidth.thin ? ' and swell' : ', hardly swelling'}.`,
    });
  if (r.strokeLength)
    out.push({
      feature: 'marks.strokeLength',
      sentence: `A stroke is ${size(r.strokeLength, words)} long, as far as it can be followed.`,
    });
  if (r.straightness !== null)
    out.push({
      feature: 'marks.straightness',
      sentence: r.straightness > 0.985 ? 'Strokes are straight or barely arched.' : 'Strokes are bent.',
    });
  out.push({
    feature: 'marks.coverage',
    sentence: `Marks cover ${Math.round(100 * r.coverage)} % of the worked part.`,
  });
  return out;
}

/** What the surface, the colour's keeping to its line and the finish say of a whole work. */
export function tellSurface(
  features: FeatureSet,
  places: readonly { x: number; y: number; detail: number }[],
  widthMm: number | null,
  words: WordSettings,
): Telling[] {
  const out: Telling[] = [];
  const slack = features['marks.colourSlack']?.value ?? null;
  if (slack !== null) {
    const mm = widthMm === null ? null : (slack * widthMm) / 1000;
    const kept = mm === null ? slack < 1.5 : mm < 0.4;
    out.push({
      feature: 'marks.colourSlack',
      sentence: kept ? 'Colour keeps to its line.' : `Colour strays about ${size({ mm, permille: slack }, words)} from its line.`,
    });
  }
  const [grain, tooth, speckle] = ['grain', 'tooth', 'speckle'].map((b) => features[`marks.${b}`]?.value ?? null);
  if (grain !== null && tooth !== null && speckle !== null) {
    const most = Math.max(grain, tooth, speckle);
    const told =
      most < 1 ? 'is smooth' : most === grain ? 'shows a fine grain' : most === tooth ? 'shows the paper’s tooth' : 'is speckled';
    out.push({
      feature: most === grain ? 'marks.grain' : most === tooth ? 'marks.tooth' : 'marks.speckle',
      sentence: `Between the strokes the surface ${told}.`,
    });
  }
  const { most, least } = finishByRegion(places);
  if (most !== null && least !== null)
    out.push({ feature: 'marks.finish', sentence: `Most is done in the ${fieldName(most)}, least in the ${fieldName(least)}.` });
  return out;
}

/** How sure the kind is, in words. */
export function tellKind(r: Reading): string {
  const sure = r.confidence > 0.85 ? 'surely' : r.confidence > 0.6 ? 'probably' : 'perhaps';
  return `${sure} ${kindName(r.kind)}`;
}
