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
  'marks.direction': { within: 8.098, weight: 1.5, between: 35.42, hands: 7 },
  'marks.coherence': { within: 0.7621, weight: 4.923, between: 1.363, hands: 8 },
  'marks.spacing': { within: 0.05457, weight: 1.5, between: 0.7923, hands: 2 },
  'marks.spacingVariation': { within: 0.05632, weight: 2.333, between: 0.3459, hands: 3 },
  'marks.lineWidth': { within: 0.07849, weight: 1.5, between: 0.6145, hands: 8 },
  'marks.lineSwell': { within: 0.1101, weight: 1.5, between: 0.7849, hands: 8 },
  'marks.strokeLength': { within: 0.08443, weight: 1.5, between: 0.5349, hands: 8 },
  'marks.straightness': { within: 0.08942, weight: 1.5, between: 0.8247, hands: 8 },
  'marks.coverage': { within: 0.2577, weight: 2.161, between: 0.8762, hands: 8 },
  'marks.share.blank': { within: 0.02458, weight: 20, between: 0, hands: 8 },
  'marks.share.flat': { within: 0.1795, weight: 1.5, between: 1.465, hands: 9 },
  'marks.share.smooth-shading': { within: 0.07663, weight: 1.5, between: 1.407, hands: 9 },
  'marks.share.wash': { within: 0.1364, weight: 1.5, between: 1.925, hands: 9 },
  'marks.share.stipple': { within: 0.0312, weight: 1.5, between: 0.1514, hands: 9 },
  'marks.share.parallel-hatch': { within: 0.1728, weight: 1.5, between: 1.53, hands: 9 },
  'marks.share.cross-hatch': { within: 0.02434, weight: 1.5, between: 0.4211, hands: 9 },
  'marks.share.contour-hatch': { within: 0.04597, weight: 1.5, between: 0.2863, hands: 9 },
  'marks.share.scribble': { within: 0.2455, weight: 1.5, between: 1.079, hands: 8 },
  'marks.share.line': { within: 0.7753, weight: 2.132, between: 2.447, hands: 9 },
  'marks.share.dabs': { within: 0.02453, weight: 1.883, between: 0.814, hands: 9 },
  'marks.share.untold': { within: 0.1095, weight: 1.5, between: 0.8717, hands: 9 },
  'edges.outlined': { within: 0.3357, weight: 3.266, between: 1.355, hands: 10 },
  'edges.sharp': { within: 0.2088, weight: 1.918, between: 1.073, hands: 10 },
  'edges.soft': { within: 0.1674, weight: 2.3, between: 0.8094, hands: 10 },
  'edges.lost': { within: 0.2537, weight: 1.793, between: 0.7704, hands: 10 },
  'marks.colourSlack': { within: 0.07441, weight: 1.5, between: 0.327, hands: 2 },
  'marks.finish': { within: 0.2764, weight: 3.629, between: 0.515, hands: 10 },
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
