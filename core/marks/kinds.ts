/** Knows the kinds of mark-making: what each is made of, and what speaks for it. */
import { clamp } from '../raster/statistics';
import { crossingOf, Evidence } from './evidence';

/** A soft yes (1) above `edge`, no (0) below it; `soft` is the half-width of doubt. */
const above = (value: number, edge: number, soft: number) => 1 / (1 + Math.exp(-clamp((4 * (value - edge)) / (2 * soft), -30, 30)));
const below = (value: number, edge: number, soft: number) => 1 - above(value, edge, soft);

/** What the kinds share of the evidence, each as a soft yes. The edges are set on generated patches; see the accuracy notes. */
function cluesOf(e: Evidence) {
  const second = e.directions.length > 1 ? e.directions[1].weight / e.directions[0].weight : 0;
  const crossing = crossingOf(e.directions) ?? 0;
  // One long clear line is a mark, however little of the piece it covers.
  const clear = above(e.longest, 0.22, 0.06) * above(e.lineContrast, 9, 3);
  const bare = below(e.coverage, 0.012, 0.006) * (1 - clear);
  const lines = above(e.lineContrast, 7, 3) * Math.max(above(e.lineCoverage, 0.012, 0.006), clear) * (1 - bare);
  const speckled = above(e.speckShare, 0.55, 0.12) * above(e.specks, 7, 3) * lines;
  const aimed = above(e.peaked, 0.55, 0.08);
  // Rims and grains of a wash are lines too, but they run all ways, and the tone lies between them.
  const filled = above(e.coverage - e.lineCoverage, 0.38, 0.1) * below(e.order, 0.55, 0.08) * (1 - aimed);
  const stroked = lines * (1 - speckled) * above(e.strokeShare, 0.35, 0.15) * (1 - filled);
  return {
    bare,
    speckled,
    stroked,
    set: above(e.strokeCount, 5, 2) * (e.spacing ? 1 : 0.15) * above(e.lineCoverage, 0.05, 0.025),
    two:
      above(second, 0.33, 0.09) * above(crossing, 17, 4) * (e.secondSpacing || second > 0.6 ? 1 : 0.35) * below(e.order, 0.8, 0.08) * aimed,
    straight: above(e.straightness, 0.86, 0.06),
    curly: above(e.curl, 0.02, 0.004) * (1 - aimed),
    turning: above(e.turn, 11, 3.5) * above(e.order, 0.74, 0.08),
    ordered: above(e.coherence, 0.55, 0.12),
    tonal: (1 - bare) * (1 - speckled) * (1 - stroked),
    evenFull: below(e.toneSpread, 2.6, 0.9) * below(e.steepest, 1.6, 0.6) * above(e.coverage, 0.85, 0.08),
    wet: Math.max(above(e.grain, 1.3, 0.5), above(e.steepest, 2.2, 0.7)),
    grainless: below(e.grain, 1.3, 0.5),
    worked: above(e.lineCoverage, 0.06, 0.03),
  };
}
type Clues = ReturnType<typeof cluesOf>;

interface Kind {
  made: 'bare' | 'flat' | 'tone' | 'dots' | 'strokes';
  /** How its strokes lie to each other: side by side and to be followed, crossing, loose, or singly. */
  set?: 'one-way' | 'crossing' | 'loose' | 'single';
  /** What it is taken for where no bare sheet is seen: there an even place is painted, and a few lines are the rims of painted fields. */
  withoutSheet?: 'flat';
  belief: (c: Clues, e: Evidence) => number;
}

/** What each is called stands under `kinds` and `features.marks.share` in `words/`. */
const KINDS = {
  blank: { made: 'bare', withoutSheet: 'flat', belief: (c) => c.bare },
  flat: { made: 'flat', belief: (c) => c.tonal * c.evenFull * c.grainless },
  'smooth-shading': { made: 'tone', belief: (c) => c.tonal * (1 - c.evenFull) * (1 - c.wet) },
  wash: { made: 'tone', belief: (c) => c.tonal * (c.wet * (1 - c.evenFull) + 0.8 * c.evenFull * (1 - c.grainless)) },
  stipple: { made: 'dots', belief: (c) => c.speckled },
  'parallel-hatch': {
    made: 'strokes',
    set: 'one-way',
    belief: (c) => c.stroked * c.set * c.ordered * (1 - c.two) * (1 - c.turning) * c.straight,
  },
  'cross-hatch': {
    made: 'strokes',
    set: 'crossing',
    belief: (c, e) => c.stroked * c.set * c.two * c.straight * above(e.strokeCount, 9, 3),
  },
  'contour-hatch': {
    made: 'strokes',
    set: 'one-way',
    belief: (c, e) => c.stroked * c.set * c.turning * (1 - c.two) * above(e.coherence, 0.25, 0.1),
  },
  scribble: {
    made: 'strokes',
    set: 'loose',
    belief: (c, e) => c.stroked * Math.max(1 - c.straight, c.curly) * c.worked * below(e.coherence, 0.6, 0.15),
  },
  line: {
    made: 'strokes',
    set: 'single',
    withoutSheet: 'flat',
    belief: (c, e) =>
      c.stroked *
      (1 - c.set * Math.max(c.ordered, c.two, c.turning)) *
      below(e.lineCoverage, 0.14, 0.05) *
      (1 - 0.9 * c.curly * c.worked) *
      below(e.coverage - e.lineCoverage, 0.3, 0.1) *
      (0.35 + 0.65 * c.straight),
  },
} as const satisfies Record<string, Kind>;

export type MarkKind = keyof typeof KINDS;
export const MARK_KINDS = Object.keys(KINDS) as MarkKind[];

const kindsThat = (are: (kind: Kind) => boolean): ReadonlySet<MarkKind> => new Set(MARK_KINDS.filter((k) => are(KINDS[k])));
export const STROKES = kindsThat((k) => k.made === 'strokes');
export const DRAWN = kindsThat((k) => k.made === 'strokes' || k.made === 'dots');
/** Without a direction of their own. */
export const EVEN = kindsThat((k) => k.made === 'bare' || k.made === 'flat');
/** Strokes set beside each other: only these have a spacing. */
export const HATCHED = kindsThat((k) => k.set === 'one-way' || k.set === 'crossing');
/** Hatching whose strokes can be followed, since no others cross them. */
export const ONE_WAY = kindsThat((k) => k.set === 'one-way');
export const CROSSED = kindsThat((k) => k.set === 'crossing');
export const SINGLE = kindsThat((k) => k.set === 'single');

/** Degree of belief in every kind, summing to 1. */
export function weighKinds(e: Evidence): Record<MarkKind, number> {
  const clues = cluesOf(e);
  const scores = Object.fromEntries(MARK_KINDS.map((k) => [k, KINDS[k].belief(clues, e)])) as Record<MarkKind, number>;
  if (!e.groundKnown)
    for (const k of MARK_KINDS) {
      const { withoutSheet }: Kind = KINDS[k];
      if (!withoutSheet) continue;
      scores[withoutSheet] += scores[k];
      scores[k] = 0;
    }
  const total = Object.values(scores).reduce((a, b) => a + b, 0) + 0.02;
  return Object.fromEntries(MARK_KINDS.map((k) => [k, (scores[k] + 0.002) / total])) as Record<MarkKind, number>;
}

/** How often a kind with so much of the belief was right on the drawn patches of the train seeds; between these, straight lines. */
const RELIABILITY = [
  [0, 0],
  [0.45, 0.46],
  [0.56, 0.58],
  [0.66, 0.76],
  [0.76, 0.9],
  [0.86, 0.96],
  [0.93, 0.985],
  [1, 0.995],
] as const;

/** Belief turned into the chance of being right. */
function calibrated(belief: number): number {
  const k = Math.max(
    1,
    RELIABILITY.findIndex(([b]) => b >= belief),
  );
  const [[b0, r0], [b1, r1]] = [RELIABILITY[k - 1], RELIABILITY[k]];
  return r0 + ((r1 - r0) * (belief - b0)) / (b1 - b0);
}

/** The likeliest kind and how sure it is, calibrated. */
export function decideKind(belief: Record<MarkKind, number>): { kind: MarkKind; confidence: number } {
  let kind: MarkKind = 'blank';
  for (const k of MARK_KINDS) if (belief[k] > belief[kind]) kind = k;
  return { kind, confidence: clamp(calibrated(clamp(belief[kind], 0, 1)), 0, 0.99) };
}
