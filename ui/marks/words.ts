/** A mark reading in sentences with numbers. */
import type { Reading } from '@/core/marks/reading';
import { kindName, sizeWords, WordSettings } from '@/core/style/words';

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
  if (r.directions.length)
    out.push({ feature: 'marks.direction', sentence: `Most strokes run at ${Math.round(r.directions[0].angle)}°.` });
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

/** How sure the kind is, in words. */
export function tellKind(r: Reading): string {
  const sure = r.confidence > 0.85 ? 'surely' : r.confidence > 0.6 ? 'probably' : 'perhaps';
  return `${sure} ${kindName(r.kind)}`;
}
