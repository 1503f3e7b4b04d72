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
  'marks.direction': { within: 7.276, weight: 1.5, between: 37.9, hands: 7 },
  'marks.coherence': { within: 0.7116, weight: 11.81, between: 1.277, hands: 8 },
  'marks.spacing': { within: 0.08187, weight: 1.5, between: 0.5972, hands: 3 },
  'marks.spacingVariation': { within: 0.04483, weight: 2.53, between: 0.3506, hands: 3 },
  'marks.lineWidth': { within: 0.07694, weight: 1.5, between: 0.6303, hands: 8 },
  'marks.lineSwell': { within: 0.1379, weight: 1.5, between: 0.7883, hands: 8 },
  'marks.strokeLength': { within: 0.07665, weight: 1.5, between: 0.5478, hands: 8 },
  'marks.straightness': { within: 0.08527, weight: 1.5, between: 0.8425, hands: 8 },
  'marks.coverage': { within: 0.2567, weight: 2.13, between: 0.8776, hands: 8 },
  'marks.share.blank': { within: 0.02458, weight: 20, between: 0, hands: 8 },
  'marks.share.flat': { within: 0.2423, weight: 1.5, between: 1.437, hands: 9 },
  'marks.share.smooth-shading': { within: 0.05498, weight: 1.5, between: 1.37, hands: 9 },
  'marks.share.wash': { within: 0.09126, weight: 1.5, between: 2.008, hands: 9 },
  'marks.share.stipple': { within: 0.02437, weight: 1.5, between: 0.204, hands: 9 },
  'marks.share.parallel-hatch': { within: 0.06988, weight: 1.5, between: 1.255, hands: 9 },
  'marks.share.cross-hatch': { within: 0.03197, weight: 1.5, between: 0.9175, hands: 9 },
  'marks.share.contour-hatch': { within: 0.05583, weight: 1.5, between: 0.5003, hands: 8 },
  'marks.share.scribble': { within: 0.2645, weight: 1.5, between: 1.325, hands: 8 },
  'marks.share.line': { within: 0.7295, weight: 2.536, between: 2.384, hands: 9 },
  'marks.share.dabs': { within: 0.02521, weight: 2.18, between: 0.7923, hands: 9 },
  'marks.share.untold': { within: 0.1032, weight: 1.5, between: 0.978, hands: 8 },
  'edges.outlined': { within: 0.3357, weight: 3.266, between: 1.355, hands: 10 },
  'edges.sharp': { within: 0.2088, weight: 1.918, between: 1.073, hands: 10 },
  'edges.soft': { within: 0.1674, weight: 2.3, between: 0.8094, hands: 10 },
  'edges.lost': { within: 0.2537, weight: 1.793, between: 0.7704, hands: 10 },
  'marks.colourSlack': { within: 0.07441, weight: 1.5, between: 0.327, hands: 2 },
  'marks.finish': { within: 0.277, weight: 3.503, between: 0.5171, hands: 10 },
  'marks.grain': { within: 0.1927, weight: 3.762, between: 0.4675, hands: 10 },
  'marks.tooth': { within: 0.1206, weight: 2.26, between: 0.4414, hands: 10 },
  'marks.speckle': { within: 0.1362, weight: 2.902, between: 0.5402, hands: 10 },
  'marks.fineDetail': { within: 0.1229, weight: 6.199, between: 0.6071, hands: 10 },
  'marks.smallDetail': { within: 0.1185, weight: 17.88, between: 0.6336, hands: 10 },
  'marks.broadDetail': { within: 0.1194, weight: 8.867, between: 0.6075, hands: 10 },
  'marks.smallColour': { within: 0.08703, weight: 1.5, between: 1.067, hands: 10 },
  'marks.largeColour': { within: 0.1108, weight: 1.5, between: 1.119, hands: 10 },
  'marks.smallDark': { within: 0.1085, weight: 1.902, between: 0.7847, hands: 10 },
  'marks.largeDark': { within: 0.1753, weight: 2.461, between: 0.5981, hands: 10 },
  'marks.even': { within: 0.2816, weight: 8.237, between: 1.059, hands: 10 },
  'colour.groundL': { within: 0.08307, weight: 1.5, between: 39.82, hands: 8 },
  'colour.groundChroma': { within: 0.02803, weight: 1.5, between: 0.8983, hands: 8 },
  'colour.count': { within: 0.1024, weight: 1.944, between: 0.3585, hands: 10 },
  'colour.chroma': { within: 0.08974, weight: 1.5, between: 0.8675, hands: 10 },
  'colour.chromaHigh': { within: 0.09895, weight: 1.5, between: 1.069, hands: 10 },
  'colour.warm': { within: 0.1774, weight: 1.5, between: 2.166, hands: 10 },
  'colour.cool': { within: 0.2532, weight: 1.5, between: 1.941, hands: 10 },
  'colour.balance': { within: 0.09299, weight: 1.5, between: 0.8001, hands: 9 },
  'colour.accent': { within: 0.03815, weight: 1.5, between: 1.046, hands: 10 },
  'value.mean': { within: 1.688, weight: 1.5, between: 29.98, hands: 10 },
  'value.dark': { within: 0.1371, weight: 1.5, between: 19.72, hands: 10 },
  'value.light': { within: 1.004, weight: 1.5, between: 17.43, hands: 10 },
  'value.range': { within: 2.516, weight: 1.5, between: 18.37, hands: 10 },
  'value.darkShare': { within: 0.13, weight: 1.5, between: 2.359, hands: 10 },
  'value.lightShare': { within: 0.2321, weight: 2.587, between: 2.087, hands: 10 },
  'value.focusContrast': { within: 0.1322, weight: 1.94, between: 0.4567, hands: 10 },
  'composition.centreX': { within: 0.04488, weight: 6.21, between: 0.04987, hands: 8 },
  'composition.centreY': { within: 0.05592, weight: 20, between: 0.04347, hands: 8 },
  'composition.coverage': { within: 0.3786, weight: 2.449, between: 1.369, hands: 8 },
  'composition.margin': { within: 0.04542, weight: 1.5, between: 0.7429, hands: 8 },
  'composition.envelope': { within: 0.2518, weight: 2.848, between: 0.5991, hands: 8 },
  'colour.palette': { within: 0.1502, weight: 20, between: 0.6899, usual: 4.673, hands: 10 },
};
