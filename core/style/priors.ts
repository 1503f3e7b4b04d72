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
  'marks.direction': { within: 9.095, weight: 1.5, between: 38.88, hands: 5 },
  'marks.coherence': { within: 0.617, weight: 2.344, between: 1.435, hands: 5 },
  'marks.spacing': { within: 0.105, weight: 1.5, between: 0.8121, hands: 2 },
  'marks.spacingVariation': { within: 0.06818, weight: 1.5, between: 0.3485, hands: 2 },
  'marks.lineWidth': { within: 0.06269, weight: 1.5, between: 0.6966, hands: 5 },
  'marks.lineSwell': { within: 0.09738, weight: 1.5, between: 0.7933, hands: 5 },
  'marks.strokeLength': { within: 0.06148, weight: 1.5, between: 0.5896, hands: 5 },
  'marks.straightness': { within: 0.08724, weight: 1.5, between: 0.5932, hands: 5 },
  'marks.coverage': { within: 0.2887, weight: 1.749, between: 1.086, hands: 10 },
  'marks.share.blank': { within: 0.02458, weight: 20, between: 0, hands: 8 },
  'marks.share.flat': { within: 0.1576, weight: 1.5, between: 1.505, hands: 8 },
  'marks.share.smooth-shading': { within: 0.1712, weight: 1.5, between: 1.617, hands: 8 },
  'marks.share.wash': { within: 0.1533, weight: 1.5, between: 1.985, hands: 8 },
  'marks.share.stipple': { within: 0.03616, weight: 1.5, between: 0.216, hands: 8 },
  'marks.share.parallel-hatch': { within: 0.1336, weight: 1.5, between: 1.536, hands: 8 },
  'marks.share.cross-hatch': { within: 0.02633, weight: 1.5, between: 0.573, hands: 8 },
  'marks.share.contour-hatch': { within: 0.03729, weight: 1.5, between: 0.3212, hands: 8 },
  'marks.share.scribble': { within: 0.2336, weight: 1.5, between: 1.343, hands: 8 },
  'marks.share.line': { within: 0.4403, weight: 1.5, between: 2.416, hands: 8 },
  'marks.share.dabs': { within: 0.02469, weight: 1.5, between: 1.006, hands: 8 },
  'marks.share.untold': { within: 0.04983, weight: 1.5, between: 0.2577, hands: 8 },
  'edges.outlined': { within: 0.3357, weight: 3.266, between: 1.355, hands: 10 },
  'edges.sharp': { within: 0.2088, weight: 1.918, between: 1.073, hands: 10 },
  'edges.soft': { within: 0.1674, weight: 2.3, between: 0.8094, hands: 10 },
  'edges.lost': { within: 0.2537, weight: 1.793, between: 0.7704, hands: 10 },
  'marks.colourSlack': { within: 0.07441, weight: 1.5, between: 0.327, hands: 2 },
  'marks.finish': { within: 0.2888, weight: 5.626, between: 0.4976, hands: 9 },
  'marks.grain': { within: 0.2059, weight: 3.698, between: 0.4638, hands: 10 },
  'marks.tooth': { within: 0.1393, weight: 2.457, between: 0.4424, hands: 10 },
  'marks.speckle': { within: 0.1461, weight: 2.809, between: 0.527, hands: 10 },
  'marks.fineDetail': { within: 0.1293, weight: 6.629, between: 0.5956, hands: 10 },
  'marks.smallDetail': { within: 0.1192, weight: 8.754, between: 0.618, hands: 10 },
  'marks.broadDetail': { within: 0.1245, weight: 7.344, between: 0.5927, hands: 10 },
  'marks.smallColour': { within: 0.08946, weight: 1.5, between: 1.069, hands: 10 },
  'marks.largeColour': { within: 0.1146, weight: 1.5, between: 1.121, hands: 10 },
  'marks.smallDark': { within: 0.09626, weight: 1.694, between: 0.7932, hands: 10 },
  'marks.largeDark': { within: 0.1642, weight: 2.336, between: 0.5634, hands: 10 },
  'marks.even': { within: 0.2591, weight: 4.181, between: 1.046, hands: 10 },
  'colour.groundL': { within: 0.08307, weight: 1.5, between: 39.47, hands: 8 },
  'colour.groundChroma': { within: 0.02803, weight: 1.5, between: 0.8967, hands: 8 },
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
  'composition.centreX': { within: 0.03887, weight: 5.35, between: 0.04652, hands: 10 },
  'composition.centreY': { within: 0.04759, weight: 20, between: 0.04052, hands: 10 },
  'composition.coverage': { within: 0.2068, weight: 1.5, between: 1.897, hands: 10 },
  'composition.margin': { within: 0.03739, weight: 1.5, between: 0.7519, hands: 10 },
  'composition.envelope': { within: 0.125, weight: 1.5, between: 0.7146, hands: 10 },
  'colour.palette': { within: 0.1502, weight: 20, between: 0.6899, usual: 4.673, hands: 10 },
};
