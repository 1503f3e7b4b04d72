/** What every head is measured by: heights along the axis from crown to chin, and where eyes, brow, nose and mouth stand on it. */
import { along, between, Measure, over, Reading, span } from '../template';

const down = (name: string) => along(['crown', 'chin'], name);
const head = between('crown', 'chin');
export const axis = { down, head };

/** Eye line, thirds of the face below the hair, and mouth line, from heights along the axis. */
export function faceHeights({ brow, eyes, nose, mouth }: Record<'brow' | 'eyes' | 'nose' | 'mouth', Reading>): Measure[] {
  const hair = down('hairline');
  const face = span(hair, head);
  return [
    { name: 'eye-line', unit: 'ratio', of: over(eyes, head), canon: 0.5 },
    { name: 'brow-third', unit: 'ratio', of: over(span(hair, brow), face), canon: 1 / 3, vitruvius: 1 / 3 },
    { name: 'nose-third', unit: 'ratio', of: over(span(brow, nose), face), canon: 1 / 3, vitruvius: 1 / 3 },
    { name: 'mouth-line', unit: 'ratio', of: over(span(nose, mouth), span(nose, head)), canon: 1 / 3 },
  ];
}
