/** Knows which of the ten kinds of mark-making a piece of a picture shows, and how sure that is. */
import { Plane, plane, Rect } from '../raster/image';
import { axialDifference, clamp, median } from '../raster/statistics';
import { angleDensity, Direction, directionTurn, principalDirections } from './orientation';
import { readSpacing, SpacingReading } from './spacing';
import { Workup } from './workup';

export const MARK_KINDS = [
  'blank',
  'flat',
  'smooth-shading',
  'wash',
  'stipple',
  'parallel-hatch',
  'cross-hatch',
  'contour-hatch',
  'scribble',
  'line',
] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export interface Evidence {
  /** Share of the piece under marks. */
  coverage: number;
  /** Share of the piece under lines, and how far they stand out from what lies between. */
  lineCoverage: number;
  lineContrast: number;
  /** Share of the line area in small round specks, and their number. */
  speckShare: number;
  specks: number;
  /** Share of the centre lines in strokes at least five widths long. */
  strokeShare: number;
  strokeCount: number;
  straightness: number;
  /** Turning of the strokes, radians a px, weighted by length; and the longest stroke as a share of the piece's shorter side. */
  curl: number;
  longest: number;
  directions: Direction[];
  /** The angle density the directions are peaks of. */
  density: Float64Array;
  /** Share of that density within 12° of the two strongest directions. */
  peaked: number;
  coherence: number;
  meanAngle: number;
  turn: number;
  /** How far each small cell holds a single direction, 0–1. */
  order: number;
  spacing: SpacingReading | null;
  secondSpacing: SpacingReading | null;
  /** Mean departure, its slow spread, the steepest slow rise, and fine texture over the noise. */
  level: number;
  /** False where no bare sheet is known: then what is even is paint. */
  groundKnown: boolean;
  toneSpread: number;
  steepest: number;
  grain: number;
}

function planeIn(source: Plane, [x0, y0, w, h]: Rect): Plane {
  const out = plane(w, h);
  for (let y = 0; y < h; y++) out.data.set(source.data.subarray((y0 + y) * source.width + x0, (y0 + y) * source.width + x0 + w), y * w);
  return out;
}

function spreadIn(source: Plane, [x0, y0, w, h]: Rect): { mean: number; sd: number } {
  let s = 0;
  let q = 0;
  for (let y = y0; y < y0 + h; y++)
    for (let i = y * source.width + x0, end = i + w; i < end; i++) {
      const v = source.data[i];
      s += v;
      q += v * v;
    }
  const mean = s / (w * h);
  return { mean, sd: Math.sqrt(Math.max(0, q / (w * h) - mean * mean)) };
}

function peakedShare(density: Float64Array, directions: readonly Direction[]): number {
  const strongest = directions.slice(0, 2);
  let near = 0;
  let all = 0;
  density.forEach((v, k) => {
    all += v;
    if (strongest.some((d) => Math.abs(axialDifference(d.angle, k + 0.5)) <= 12)) near += v;
  });
  return all > 0 ? near / all : 0;
}

/** Gathers what speaks for and against each kind inside `rect` of a worked-up window. */
export function gatherEvidence(work: Workup, rect: Rect): Evidence {
  const [x0, y0, w, h] = rect;
  const n = w * h;
  let marked = 0;
  let lineArea = 0;
  let lineDepart = 0;
  let restDepart = 0;
  let skeleton = 0;
  const [isMarked, isLine, isCentre, departs] = [work.marked.data, work.lines.data, work.skeleton.data, work.depart.data];
  for (let y = y0; y < y0 + h; y++)
    for (let i = y * work.width + x0, end = i + w; i < end; i++) {
      marked += isMarked[i];
      skeleton += isCentre[i];
      if (isLine[i]) {
        lineArea++;
        lineDepart += departs[i];
      } else restDepart += departs[i];
    }
  const width = skeleton > 0 ? lineArea / skeleton : 0;
  const within = (x: number, y: number) => x >= x0 && y >= y0 && x < x0 + w && y < y0 + h;
  let speckArea = 0;
  let blobArea = 0;
  let specks = 0;
  for (const b of work.blobs) {
    if (b.area < 3 || !within(b.centre[0], b.centre[1])) continue;
    blobArea += b.area;
    const [xx, xy, yy] = b.moments;
    const root = Math.sqrt(((xx - yy) / 2) ** 2 + xy * xy);
    const ratio = Math.sqrt(((xx + yy) / 2 + root + 0.08) / Math.max(0.08, (xx + yy) / 2 - root + 0.08));
    if (ratio < 2.1 && b.area < 420) {
      speckArea += b.area;
      specks++;
    }
  }
  let longPart = 0;
  let allPart = 0;
  const straight: number[] = [];
  let strokeCount = 0;
  let turned = 0;
  let longest = 0;
  for (const s of work.strokes) {
    const inside = s.points.filter((p) => within(p[0], p[1])).length / s.points.length;
    if (!inside) continue;
    allPart += s.length * inside;
    if (s.length >= 5 * Math.max(1.5, width)) {
      longPart += s.length * inside;
      turned += s.curl * s.length * inside;
      longest = Math.max(longest, s.length * inside);
      strokeCount += inside > 0.2 ? 1 : 0;
      straight.push(s.straightness);
    }
  }
  const density = angleDensity(work.field, rect);
  const directions = principalDirections(density);
  const lined = lineArea > 0.015 * n;
  const depart = planeIn(work.depart, rect);
  const spacing = lined && directions.length ? readSpacing(depart, directions[0].angle) : null;
  const second = lined && directions.length > 1 ? readSpacing(depart, directions[1].angle) : null;
  const { mean, sd } = spreadIn(work.tone, rect);
  let steepest = 0;
  const rise = work.rise.data;
  for (let y = y0; y < y0 + h; y++) for (let i = y * work.width + x0, end = i + w; i < end; i++) if (rise[i] > steepest) steepest = rise[i];
  return {
    coverage: marked / n,
    lineCoverage: lineArea / n,
    lineContrast: lineArea > 0 && lineArea < n ? lineDepart / lineArea - restDepart / (n - lineArea) : 0,
    speckShare: blobArea > 0 ? speckArea / blobArea : 0,
    specks,
    strokeShare: allPart > 0 ? longPart / allPart : 0,
    strokeCount,
    straightness: straight.length ? median(straight) : 1,
    curl: longPart > 0 ? turned / longPart : 0,
    longest: longest / Math.min(w, h),
    directions,
    density,
    peaked: peakedShare(density, directions),
    ...directionTurn(work.field, rect),
    spacing,
    secondSpacing: second,
    level: mean,
    groundKnown: work.groundKnown,
    toneSpread: sd,
    steepest,
    grain: Math.max(0, spreadIn(work.texture, rect).sd - 0.35 * work.noise),
  };
}

/** A soft yes (1) above `edge`, no (0) below it; `soft` is the half-width of doubt. */
const above = (value: number, edge: number, soft: number) => 1 / (1 + Math.exp(-clamp((4 * (value - edge)) / (2 * soft), -30, 30)));
const below = (value: number, edge: number, soft: number) => 1 - above(value, edge, soft);

/** The angle at which the two strongest directions meet, 0–90; null with fewer than two. */
export function crossingOf(directions: readonly Direction[]): number | null {
  if (directions.length < 2) return null;
  const d = Math.abs(directions[0].angle - directions[1].angle) % 180;
  return Math.min(d, 180 - d);
}

/** Degree of belief in every kind, summing to 1. The edges are set on generated patches; see the accuracy notes. */
export function weighKinds(e: Evidence): Record<MarkKind, number> {
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
  const set = above(e.strokeCount, 5, 2) * (e.spacing ? 1 : 0.15) * above(e.lineCoverage, 0.05, 0.025);
  const two =
    above(second, 0.33, 0.09) * above(crossing, 17, 4) * (e.secondSpacing || second > 0.6 ? 1 : 0.35) * below(e.order, 0.8, 0.08) * aimed;
  const straight = above(e.straightness, 0.86, 0.06);
  const curly = above(e.curl, 0.02, 0.004) * (1 - aimed);
  const turning = above(e.turn, 11, 3.5) * above(e.order, 0.74, 0.08);
  const ordered = above(e.coherence, 0.55, 0.12);
  const tonal = (1 - bare) * (1 - speckled) * (1 - stroked);
  const even = below(e.toneSpread, 2.6, 0.9) * below(e.steepest, 1.6, 0.6);
  const full = above(e.coverage, 0.85, 0.08);
  const wet = Math.max(above(e.grain, 1.3, 0.5), above(e.steepest, 2.2, 0.7));
  const scores: Record<MarkKind, number> = {
    blank: bare,
    flat: tonal * even * full * below(e.grain, 1.3, 0.5),
    'smooth-shading': tonal * (1 - even * full) * (1 - wet),
    wash: tonal * (wet * (1 - even * full) + 0.8 * even * full * above(e.grain, 1.3, 0.5)),
    stipple: speckled,
    'parallel-hatch': stroked * set * ordered * (1 - two) * (1 - turning) * straight,
    'cross-hatch': stroked * set * two * straight * above(e.strokeCount, 9, 3),
    'contour-hatch': stroked * set * turning * (1 - two) * above(e.coherence, 0.25, 0.1),
    scribble: stroked * Math.max(1 - straight, curly) * above(e.lineCoverage, 0.06, 0.03) * below(e.coherence, 0.6, 0.15),
    line:
      stroked *
      (1 - set * Math.max(ordered, two, turning)) *
      below(e.lineCoverage, 0.14, 0.05) *
      (1 - 0.9 * curly * above(e.lineCoverage, 0.06, 0.03)) *
      below(e.coverage - e.lineCoverage, 0.3, 0.1) *
      (0.35 + 0.65 * straight),
  };
  if (!e.groundKnown) {
    // Where no bare sheet is, an even place is painted, and a few lines are the rims of painted fields.
    scores.flat += scores.blank + scores.line;
    scores.blank = 0;
    scores.line = 0;
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
