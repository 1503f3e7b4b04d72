/** Gathers what speaks for and against each kind of mark in a piece of a picture. */
import { Rect } from '../raster/image';
import { pieceSums } from '../raster/kernels/kernels';
import { axialDifference, median } from '../raster/statistics';
import { angleDensity, Direction, directionTurn, principalDirections } from './orientation';
import { BuildReading, readBuild } from './build';
import { readSpacing, SpacingReading } from './spacing';
import { Workup } from './workup';

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
  /** Free ends and forks of the centre lines, per px of them; and the share of the strokes' length in such as turn by three quarters of a circle or more. */
  ends: number;
  forks: number;
  coiled: number;
  build: BuildReading;
}

const COILED = 1.5 * Math.PI;

/** Mean and standard deviation from the sum and the sum of squares of n numbers. */
function spreadOf(n: number, sum: number, square: number): { mean: number; sd: number } {
  const mean = sum / n;
  return { mean, sd: Math.sqrt(Math.max(0, square / n - mean * mean)) };
}

function peakedShare(density: Float64Array, directions: readonly Direction[]): number {
  const count = Math.min(2, directions.length);
  let near = 0;
  let all = 0;
  for (let k = 0; k < density.length; k++) {
    all += density[k];
    for (let j = 0; j < count; j++)
      if (Math.abs(axialDifference(directions[j].angle, k + 0.5)) <= 12) {
        near += density[k];
        break;
      }
  }
  return all > 0 ? near / all : 0;
}

/** With less than this share of it under lines, a piece has no spacing. */
const LEAST_LINED = 0.015;

/** Which ways a piece's strokes run, and how far apart those of the first way lie. */
export interface Ways {
  density: Float64Array;
  directions: Direction[];
  spacing: SpacingReading | null;
}

const spacingAlong = (work: Workup, rect: Rect, way: Direction | undefined) => (way ? readSpacing(work.depart, rect, way.angle) : null);

/** The ways of a piece; of one that is not lined there is no spacing. */
export function waysIn(work: Workup, rect: Rect, lined = true): Ways {
  const density = angleDensity(work.field, rect);
  const directions = principalDirections(density);
  return { density, directions, spacing: lined ? spacingAlong(work, rect, directions[0]) : null };
}

/** Gathers what speaks for and against each kind inside each of the rectangles of a worked-up window. */
export function gatherEvidence(work: Workup, rects: readonly Rect[]): Evidence[] {
  return pieceSums(work, rects, work.build.covered).map((sums, k) => evidenceIn(work, rects[k], sums));
}

/** The same of one piece whose ways are known. */
export function evidenceWith(work: Workup, rect: Rect, ways: Ways): Evidence {
  const [sums] = pieceSums(work, [rect], work.build.covered);
  return evidenceIn(work, rect, sums, ways);
}

function evidenceIn(work: Workup, rect: Rect, sums: Float64Array, known: Ways | null = null): Evidence {
  const [x0, y0, w, h] = rect;
  const n = w * h;
  const [
    marked,
    lineArea,
    lineDepart,
    restDepart,
    skeleton,
    ends,
    forks,
    toneSum,
    toneSquare,
    textureSum,
    textureSquare,
    steepest,
    tones,
    covered,
  ] = sums;
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
  let [turned, coiled] = [0, 0];
  let longest = 0;
  for (const s of work.strokes) {
    let met = 0;
    for (const p of s.points) if (within(p[0], p[1])) met++;
    const inside = met / s.points.length;
    if (!inside) continue;
    allPart += s.length * inside;
    if (s.length >= 5 * Math.max(1.5, width)) {
      longPart += s.length * inside;
      turned += s.curl * s.length * inside;
      if (s.winding > COILED) coiled += s.length * inside;
      longest = Math.max(longest, s.length * inside);
      strokeCount += inside > 0.2 ? 1 : 0;
      straight.push(s.straightness);
    }
  }
  const lined = lineArea > LEAST_LINED * n;
  const { density, directions, spacing } = known ?? waysIn(work, rect, lined);
  const second = lined ? spacingAlong(work, rect, directions[1]) : null;
  const { mean, sd } = spreadOf(Math.max(1, tones), toneSum, toneSquare);
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
    spacing: lined ? spacing : null,
    secondSpacing: second,
    level: mean,
    groundKnown: work.groundKnown,
    toneSpread: sd,
    steepest,
    grain: Math.max(0, spreadOf(n, textureSum, textureSquare).sd - 0.35 * work.noise),
    ends: skeleton ? ends / skeleton : 0,
    forks: skeleton ? forks / skeleton : 0,
    coiled: longPart > 0 ? coiled / longPart : 0,
    build: readBuild(work.build, rect, covered),
  };
}

/** The angle at which the two strongest directions meet, 0–90; null with fewer than two. */
export function crossingOf(directions: readonly Direction[]): number | null {
  if (directions.length < 2) return null;
  const d = Math.abs(directions[0].angle - directions[1].angle) % 180;
  return Math.min(d, 180 - d);
}
