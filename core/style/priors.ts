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
  'marks.direction': { within: 14.39, weight: 1.5, between: 43.01, hands: 6 },
  'marks.coherence': { within: 0.6699, weight: 1.855, between: 1.337, hands: 6 },
  'marks.spacing': { within: 0.1089, weight: 1.5, between: 1.081, hands: 3 },
  'marks.spacingVariation': { within: 0.07298, weight: 1.5, between: 0.315, hands: 3 },
  'marks.lineWidth': { within: 0.07603, weight: 1.5, between: 0.6859, hands: 6 },
  'marks.lineSwell': { within: 0.1196, weight: 1.5, between: 0.7914, hands: 6 },
  'marks.strokeLength': { within: 0.07468, weight: 1.5, between: 0.5782, hands: 6 },
  'marks.straightness': { within: 0.09367, weight: 1.5, between: 0.5698, hands: 6 },
  'marks.coverage': { within: 0.294, weight: 1.775, between: 1.095, hands: 10 },
  'marks.share.blank': { within: 0.02458, weight: 20, between: 0, hands: 8 },
  'marks.share.flat': { within: 0.3245, weight: 1.5, between: 1.558, hands: 8 },
  'marks.share.smooth-shading': { within: 0.2287, weight: 1.5, between: 1.262, hands: 8 },
  'marks.share.wash': { within: 0.1878, weight: 1.5, between: 1.809, hands: 8 },
  'marks.share.stipple': { within: 0.05721, weight: 1.5, between: 0.3726, hands: 8 },
  'marks.share.parallel-hatch': { within: 0.2472, weight: 1.5, between: 1.414, hands: 8 },
  'marks.share.cross-hatch': { within: 0.03416, weight: 1.5, between: 0.6199, hands: 8 },
  'marks.share.contour-hatch': { within: 0.07866, weight: 1.5, between: 0.7126, hands: 8 },
  'marks.share.scribble': { within: 0.3143, weight: 1.5, between: 1.17, hands: 8 },
  'marks.share.line': { within: 0.6475, weight: 2.627, between: 2.008, hands: 8 },
  'marks.share.dabs': { within: 0.0245, weight: 1.5, between: 1.075, hands: 8 },
  'marks.share.untold': { within: 0.1274, weight: 1.5, between: 0.6804, hands: 8 },
  'edges.outlined': { within: 0.3357, weight: 3.265, between: 1.355, hands: 10 },
  'edges.sharp': { within: 0.2087, weight: 1.917, between: 1.073, hands: 10 },
  'edges.soft': { within: 0.1675, weight: 2.3, between: 0.8094, hands: 10 },
  'edges.lost': { within: 0.2535, weight: 1.791, between: 0.7705, hands: 10 },
  'marks.colourSlack': { within: 0.07441, weight: 1.5, between: 0.3269, hands: 2 },
  'marks.finish': { within: 0.2776, weight: 4.838, between: 0.498, hands: 9 },
  'marks.grain': { within: 0.2041, weight: 3.603, between: 0.4635, hands: 10 },
  'marks.tooth': { within: 0.1399, weight: 2.477, between: 0.4424, hands: 10 },
  'marks.speckle': { within: 0.1522, weight: 3.196, between: 0.5272, hands: 10 },
  'marks.fineDetail': { within: 0.1317, weight: 7.532, between: 0.595, hands: 10 },
  'marks.smallDetail': { within: 0.1222, weight: 11.6, between: 0.6175, hands: 10 },
  'marks.broadDetail': { within: 0.1279, weight: 9.367, between: 0.5926, hands: 10 },
  'marks.smallColour': { within: 0.089, weight: 1.5, between: 1.069, hands: 10 },
  'marks.largeColour': { within: 0.1149, weight: 1.5, between: 1.121, hands: 10 },
  'marks.smallDark': { within: 0.09527, weight: 1.675, between: 0.793, hands: 10 },
  'marks.largeDark': { within: 0.1636, weight: 2.342, between: 0.5638, hands: 10 },
  'marks.even': { within: 0.2581, weight: 4.179, between: 1.045, hands: 10 },
  'colour.groundL': { within: 0.08307, weight: 1.5, between: 39.47, hands: 8 },
  'colour.groundChroma': { within: 0.02803, weight: 1.5, between: 0.8967, hands: 8 },
  'colour.count': { within: 0.1024, weight: 1.944, between: 0.3585, hands: 10 },
  'colour.chroma': { within: 0.08974, weight: 1.5, between: 0.8675, hands: 10 },
  'colour.chromaHigh': { within: 0.09895, weight: 1.5, between: 1.069, hands: 10 },
  'colour.warm': { within: 0.1791, weight: 1.5, between: 2.166, hands: 10 },
  'colour.cool': { within: 0.2532, weight: 1.5, between: 1.942, hands: 10 },
  'colour.balance': { within: 0.09371, weight: 1.5, between: 0.8003, hands: 9 },
  'colour.accent': { within: 0.03815, weight: 1.5, between: 1.046, hands: 10 },
  'value.mean': { within: 1.688, weight: 1.5, between: 29.98, hands: 10 },
  'value.dark': { within: 0.1371, weight: 1.5, between: 19.72, hands: 10 },
  'value.light': { within: 1.004, weight: 1.5, between: 17.43, hands: 10 },
  'value.range': { within: 2.516, weight: 1.5, between: 18.37, hands: 10 },
  'value.darkShare': { within: 0.13, weight: 1.5, between: 2.359, hands: 10 },
  'value.lightShare': { within: 0.2321, weight: 2.587, between: 2.087, hands: 10 },
  'value.focusContrast': { within: 0.1364, weight: 2.023, between: 0.4558, hands: 10 },
  'composition.centreX': { within: 0.03893, weight: 5.389, between: 0.04652, hands: 10 },
  'composition.centreY': { within: 0.04785, weight: 20, between: 0.0409, hands: 10 },
  'composition.coverage': { within: 0.2029, weight: 1.5, between: 1.901, hands: 10 },
  'composition.margin': { within: 0.03739, weight: 1.5, between: 0.7519, hands: 10 },
  'composition.envelope': { within: 0.1249, weight: 1.5, between: 0.7146, hands: 10 },
  'colour.palette': { within: 0.1502, weight: 20, between: 0.6899, usual: 4.673, hands: 10 },
};
