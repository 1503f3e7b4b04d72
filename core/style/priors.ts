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
  'marks.direction': { within: 7.071, weight: 1.5, between: 33.72, hands: 7 },
  'marks.crossing': { within: 0.07421, weight: 1.5, between: 0.094, hands: 1 },
  'marks.coherence': { within: 0.6371, weight: 7.629, between: 1.315, hands: 8 },
  'marks.spacing': { within: 0.04786, weight: 1.5, between: 0.6372, hands: 2 },
  'marks.spacingVariation': { within: 0.03539, weight: 1.5, between: 0.3755, hands: 2 },
  'marks.lineWidth': { within: 0.0777, weight: 1.5, between: 0.6359, hands: 8 },
  'marks.lineSwell': { within: 0.145, weight: 1.5, between: 0.7609, hands: 8 },
  'marks.strokeLength': { within: 0.05619, weight: 1.5, between: 0.5569, hands: 7 },
  'marks.straightness': { within: 0.07399, weight: 1.5, between: 0.8251, hands: 7 },
  'marks.coverage': { within: 0.266, weight: 2.241, between: 0.8754, hands: 8 },
  'marks.share.blank': { within: 0.02458, weight: 20, between: 0, hands: 8 },
  'marks.share.flat': { within: 0.1218, weight: 1.5, between: 1.451, hands: 9 },
  'marks.share.smooth-shading': { within: 0.05667, weight: 1.5, between: 1.813, hands: 9 },
  'marks.share.wash': { within: 0.08269, weight: 1.5, between: 1.691, hands: 9 },
  'marks.share.stipple': { within: 0.02484, weight: 1.5, between: 0.2581, hands: 9 },
  'marks.share.parallel-hatch': { within: 0.04904, weight: 1.5, between: 1.26, hands: 9 },
  'marks.share.cross-hatch': { within: 0.0315, weight: 1.5, between: 0.8883, hands: 9 },
  'marks.share.contour-hatch': { within: 0.04038, weight: 1.5, between: 0.4768, hands: 8 },
  'marks.share.scribble': { within: 0.1202, weight: 1.5, between: 1.461, hands: 8 },
  'marks.share.line': { within: 0.766, weight: 3.022, between: 2.184, hands: 9 },
  'marks.share.dabs': { within: 0.03734, weight: 1.5, between: 0.5823, hands: 9 },
  'marks.share.untold': { within: 0.1639, weight: 1.5, between: 1.058, hands: 9 },
  'edges.outlined': { within: 0.3357, weight: 3.266, between: 1.355, hands: 10 },
  'edges.sharp': { within: 0.2088, weight: 1.918, between: 1.073, hands: 10 },
  'edges.soft': { within: 0.1674, weight: 2.3, between: 0.8094, hands: 10 },
  'edges.lost': { within: 0.2537, weight: 1.793, between: 0.7704, hands: 10 },
  'marks.colourSlack': { within: 0.07441, weight: 1.5, between: 0.327, hands: 2 },
  'marks.finish': { within: 0.2718, weight: 3.321, between: 0.5206, hands: 10 },
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
