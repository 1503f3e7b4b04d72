/** Knows how features vary within one hand and over many: measured, and written by `npm run fit`. */

export interface Prior {
  /** Usual standard deviation between works of one hand, on the feature's scale. */
  within: number;
  /** For how many works that counts beside a hand's own: few where hands differ in how much they vary. */
  weight: number;
  /** Standard deviation over pictures of many hands. */
  between: number;
  /** For a distance between two works of one hand: what it usually comes to, in its own unit. */
  usual?: number;
  /** How many hands it was seen in. */
  hands: number;
}

export type Priors = Readonly<Record<string, Prior>>;

export const PRIORS: Priors = {
  'marks.direction': { within: 9.436, weight: 1.5, between: 37.3, hands: 7 },
  'marks.coherence': { within: 0.5615, weight: 17.93, between: 1.116, hands: 7 },
  'marks.spacing': { within: 0.09686, weight: 1.5, between: 0.7831, hands: 5 },
  'marks.spacingVariation': { within: 0.05229, weight: 1.5, between: 0.313, hands: 5 },
  'marks.lineWidth': { within: 0.08054, weight: 1.5, between: 0.6444, hands: 7 },
  'marks.lineSwell': { within: 0.1013, weight: 1.5, between: 0.7476, hands: 7 },
  'marks.strokeLength': { within: 0.1069, weight: 1.5, between: 0.4858, hands: 7 },
  'marks.straightness': { within: 0.0984, weight: 1.5, between: 0.5385, hands: 7 },
  'marks.coverage': { within: 0.3783, weight: 2.161, between: 1.151, hands: 10 },
  'marks.share.blank': { within: 0.02458, weight: 20, between: 0, hands: 8 },
  'marks.share.flat': { within: 0.05385, weight: 1.5, between: 1.336, hands: 8 },
  'marks.share.smooth-shading': { within: 0.08075, weight: 1.5, between: 1.15, hands: 8 },
  'marks.share.wash': { within: 0.6957, weight: 5.173, between: 1.297, hands: 8 },
  'marks.share.stipple': { within: 0.07751, weight: 1.5, between: 0.6888, hands: 8 },
  'marks.share.parallel-hatch': { within: 0.415, weight: 2.231, between: 1.568, hands: 8 },
  'marks.share.cross-hatch': { within: 0.2962, weight: 1.5, between: 0.9644, hands: 8 },
  'marks.share.contour-hatch': { within: 0.3357, weight: 1.5, between: 1.249, hands: 8 },
  'marks.share.scribble': { within: 0.2676, weight: 1.5, between: 1.607, hands: 8 },
  'marks.share.line': { within: 0.3325, weight: 1.5, between: 1.44, hands: 8 },
  'edges.outlined': { within: 0.3357, weight: 3.265, between: 1.355, hands: 10 },
  'edges.sharp': { within: 0.2087, weight: 1.917, between: 1.073, hands: 10 },
  'edges.soft': { within: 0.1675, weight: 2.3, between: 0.8094, hands: 10 },
  'edges.lost': { within: 0.2535, weight: 1.791, between: 0.7705, hands: 10 },
  'marks.colourSlack': { within: 0.08112, weight: 1.723, between: 0.9271, hands: 5 },
  'marks.finish': { within: 0.2866, weight: 4.477, between: 0.4965, hands: 9 },
  'marks.grain': { within: 0.2076, weight: 3.791, between: 0.4607, hands: 10 },
  'marks.tooth': { within: 0.1466, weight: 2.72, between: 0.4424, hands: 10 },
  'marks.speckle': { within: 0.1596, weight: 3.806, between: 0.5267, hands: 10 },
  'marks.fineDetail': { within: 0.129, weight: 6.49, between: 0.5941, hands: 10 },
  'marks.smallDetail': { within: 0.1169, weight: 7.316, between: 0.6167, hands: 10 },
  'marks.broadDetail': { within: 0.1194, weight: 5.324, between: 0.592, hands: 10 },
  'marks.smallColour': { within: 0.08903, weight: 1.5, between: 1.069, hands: 10 },
  'marks.largeColour': { within: 0.1147, weight: 1.5, between: 1.121, hands: 10 },
  'marks.smallDark': { within: 0.09531, weight: 1.676, between: 0.7921, hands: 10 },
  'marks.largeDark': { within: 0.1608, weight: 2.26, between: 0.5631, hands: 10 },
  'marks.even': { within: 0.2571, weight: 4.144, between: 1.047, hands: 10 },
  'colour.groundL': { within: 0.07476, weight: 1.5, between: 39.83, hands: 8 },
  'colour.groundChroma': { within: 0.02556, weight: 2.322, between: 0.9113, hands: 8 },
  'colour.count': { within: 0.1024, weight: 1.944, between: 0.3585, hands: 10 },
  'colour.chroma': { within: 0.08974, weight: 1.5, between: 0.8675, hands: 10 },
  'colour.chromaHigh': { within: 0.09895, weight: 1.5, between: 1.069, hands: 10 },
  'colour.warm': { within: 0.1815, weight: 1.5, between: 2.166, hands: 10 },
  'colour.cool': { within: 0.2628, weight: 1.5, between: 1.944, hands: 10 },
  'colour.balance': { within: 0.09574, weight: 1.5, between: 0.8011, hands: 9 },
  'colour.accent': { within: 0.03815, weight: 1.5, between: 1.046, hands: 10 },
  'value.mean': { within: 1.688, weight: 1.5, between: 29.98, hands: 10 },
  'value.dark': { within: 0.1371, weight: 1.5, between: 19.72, hands: 10 },
  'value.light': { within: 1.004, weight: 1.5, between: 17.43, hands: 10 },
  'value.range': { within: 2.516, weight: 1.5, between: 18.37, hands: 10 },
  'value.darkShare': { within: 0.13, weight: 1.5, between: 2.359, hands: 10 },
  'value.lightShare': { within: 0.2321, weight: 2.587, between: 2.087, hands: 10 },
  'value.focusContrast': { within: 0.1364, weight: 2.023, between: 0.4558, hands: 10 },
  'composition.centreX': { within: 0.0387, weight: 5.252, between: 0.04645, hands: 10 },
  'composition.centreY': { within: 0.04539, weight: 20, between: 0.04175, hands: 10 },
  'composition.coverage': { within: 0.2459, weight: 1.5, between: 1.947, hands: 10 },
  'composition.margin': { within: 0.03739, weight: 1.5, between: 0.7519, hands: 10 },
  'composition.envelope': { within: 0.1241, weight: 1.5, between: 0.7073, hands: 10 },
  'colour.palette': { within: 0.1502, weight: 20, between: 0.6899, usual: 4.673, hands: 10 },
};
