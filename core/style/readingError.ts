/** Knows how far each feature's reading is off by itself: what its windows show, and what repeated works showed beside that. */

interface ReadingError {
  /** In the feature's own unit. */
  floor: number;
  /** As a part of the value. */
  part?: number;
}

/**
 * Standard deviations found on works measured again after noise, reduction, JPEG and a cut, and against painted fields
 * and drawn strokes of known truth; see the accuracy notes ("Honesty of the spreads").
 */
const ERRORS: Readonly<Record<string, ReadingError>> = {
  'marks.direction': { floor: 1 },
  'marks.crossing': { floor: 5 },
  'marks.coherence': { floor: 0.13 },
  'marks.spacing': { floor: 0, part: 0.03 },
  'marks.spacingVariation': { floor: 0.025 },
  'marks.lineWidth': { floor: 0, part: 0.07 },
  'marks.lineSwell': { floor: 0.1, part: 0.2 },
  'marks.strokeLength': { floor: 0, part: 0.2 },
  'marks.straightness': { floor: 0.008 },
  'marks.coverage': { floor: 0.02 },
  'marks.share.flat': { floor: 0.065 },
  'marks.share.smooth-shading': { floor: 0.15 },
  'marks.share.wash': { floor: 0.12 },
  'marks.share.scribble': { floor: 0.07 },
  'marks.share.line': { floor: 0.06 },
  'edges.outlined': { floor: 0.06 },
  'edges.sharp': { floor: 0.085 },
  'edges.soft': { floor: 0.09 },
  'edges.lost': { floor: 0.03 },
  'marks.colourSlack': { floor: 0.3 },
  'marks.finish': { floor: 0.09 },
  'marks.grain': { floor: 0.03, part: 0.22 },
  'marks.tooth': { floor: 0.03, part: 0.12 },
  'marks.speckle': { floor: 0.02, part: 0.05 },
  'marks.fineDetail': { floor: 0.05, part: 0.1 },
  'marks.smallDetail': { floor: 0.05, part: 0.05 },
  'marks.broadDetail': { floor: 0.05, part: 0.04 },
  'marks.smallColour': { floor: 0.045, part: 0.18 },
  'marks.largeColour': { floor: 0.02, part: 0.05 },
  'marks.smallDark': { floor: 0.05 },
  'marks.largeDark': { floor: 0.05 },
  'marks.even': { floor: 0.042 },
  'colour.groundL': { floor: 0.3 },
  'colour.groundChroma': { floor: 0.4 },
  'colour.count': { floor: 0.15 },
  'colour.chroma': { floor: 0.3, part: 0.02 },
  'colour.chromaHigh': { floor: 0.9, part: 0.05 },
  'colour.warm': { floor: 0.06 },
  'colour.cool': { floor: 0.045 },
  'colour.balance': { floor: 0.09 },
  'colour.accent': { floor: 0.0005, part: 0.1 },
  'value.mean': { floor: 0.3 },
  'value.dark': { floor: 0.4 },
  'value.light': { floor: 0.4 },
  'value.range': { floor: 0.55 },
  'value.darkShare': { floor: 0.01 },
  'value.lightShare': { floor: 0.008 },
  'value.focusContrast': { floor: 0.4 },
  'composition.centreX': { floor: 0.005 },
  'composition.centreY': { floor: 0.015 },
  'composition.coverage': { floor: 0.06 },
  'composition.margin': { floor: 0.003 },
  'composition.envelope': { floor: 0.016 },
};
const SHARE: ReadingError = { floor: 0.04 };
/** A landmark is placed to about 0.7 % of the head, measures to about 1.5 %. */
const RATIO: ReadingError = { floor: 0.002, part: 0.015 };
const ANGLE: ReadingError = { floor: 0.7 };

/** One standard deviation of a reading: its own sampling error (null where none is known) and the reading's, in quadrature. */
export function readingSpread(name: string, unit: string, value: number, sampled: number | null = null): number {
  const known = ERRORS[name] ?? (name.startsWith('marks.share.') ? SHARE : unit === 'degrees' ? ANGLE : RATIO);
  return Math.hypot(sampled ?? 0, known.floor, (known.part ?? 0) * value);
}
