/** Knows how to find a sheet of paper in a photograph: the strongest quadrilateral of straight edges, its corners then made sub-pixel. */
import { labPlanes } from '../colour/lab';
import { gaussian } from '../raster/filters';
import { colourRise, SCHARR } from '../raster/gradient';
import { boundsOf, cropImage, Plane, plane, Point, Rect, RgbImage } from '../raster/image';
import { reduceToLongSide } from '../raster/resample';
import { median, quantile } from '../raster/statistics';
import { signedArea } from '../proportion/polygon';

export interface FoundSheet {
  /** Photograph pixels, clockwise as seen from the one nearest the top left. */
  corners: Point[];
  confidence: number;
  /** It looks like a field inside a picture: its sides go on past its corners, or it has not the shape that was asked for. */
  inside: boolean;
}

const SEARCH_SIDE = 560;

interface EdgeMap {
  width: number;
  height: number;
  strength: Float32Array;
  /** Unit normal, toward the rising side of whichever Lab channel changes most. */
  nx: Float32Array;
  ny: Float32Array;
  floor: number;
}

/** Edge strength over L*, a* and b* together, thinned to crests. */
function edgeMap(image: RgbImage): EdgeMap {
  const { L, a, b } = labPlanes(image);
  const n = L.data.length;
  const {
    steepness: raw,
    nx,
    ny,
  } = colourRise(
    [L, a, b].map((p) => gaussian(p, 1.2)),
    SCHARR,
  );
  const { width: w, height: h } = L;
  const strength = new Float32Array(n);
  for (let y = 1; y < h - 1; y++)
    for (let x = 1; x < w - 1; x++) {
      const i = y * w + x;
      const step = Math.round(nx[i]) + Math.round(ny[i]) * w;
      if (raw[i] >= raw[i + step] && raw[i] >= raw[i - step]) strength[i] = raw[i];
    }
  const sample = Float32Array.from({ length: Math.floor(n / 7) }, (_, i) => raw[i * 7]);
  const floor = Math.max(0.8, quantile(sample, 0.7));
  return { width: w, height: h, strength, nx, ny, floor };
}

interface Line {
  theta: number;
  rho: number;
  votes: number;
}

const [COS, SIN] = [Math.cos, Math.sin].map((of) => Float64Array.from({ length: 180 }, (_, t) => of((t * Math.PI) / 180)));

/** Number of the largest of some numbers, the first of them. */
function largestOf(data: Float32Array): number {
  let best = 0;
  for (let i = 1; i < data.length; i++) if (data[i] > data[best]) best = i;
  return best;
}

/** Hough lines (Duda and Hart 1972) with each crest voting only near its own normal; strongest first. */
function houghLines(e: EdgeMap, most: number): Line[] {
  const diagonal = Math.hypot(e.width, e.height);
  const step = 1.5;
  const rhos = Math.ceil((2 * diagonal) / step) + 1;
  const grid = plane(rhos, 180);
  for (let y = 0; y < e.height; y++)
    for (let x = 0; x < e.width; x++) {
      const i = y * e.width + x;
      if (e.strength[i] < e.floor) continue;
      const weight = Math.min(1, e.strength[i] / (4 * e.floor)) ** 0.5;
      const normal = ((Math.atan2(e.ny[i], e.nx[i]) * 180) / Math.PI + 360) % 180;
      for (let d = -3; d <= 3; d++) {
        const t = (Math.round(normal) + d + 180) % 180;
        const rho = Math.round((x * COS[t] + y * SIN[t] + diagonal) / step);
        grid.data[t * rhos + rho] += weight;
      }
    }
  const lines: Line[] = [];
  const taken = grid.data;
  while (lines.length < most) {
    const best = largestOf(taken);
    if (taken[best] < 0.06 * Math.min(e.width, e.height)) break;
    const t = Math.floor(best / rhos);
    const r = best % rhos;
    lines.push({ theta: t, rho: r * step - diagonal, votes: taken[best] });
    for (let dt = -4; dt <= 4; dt++)
      for (let dr = -4; dr <= 4; dr++) {
        const tt = t + dt;
        // Past 180° the same line comes back with the sign of rho turned.
        const rr = tt < 0 || tt >= 180 ? rhos - 1 - (r + dr) : r + dr;
        if (rr >= 0 && rr < rhos) taken[((tt + 180) % 180) * rhos + rr] = 0;
      }
  }
  return lines;
}

function meet(a: Line, b: Line): Point | null {
  const [ta, tb] = [(a.theta * Math.PI) / 180, (b.theta * Math.PI) / 180];
  const den = Math.sin(tb - ta);
  if (Math.abs(den) < 0.35) return null;
  return [(a.rho * Math.sin(tb) - b.rho * Math.sin(ta)) / den, (b.rho * Math.cos(ta) - a.rho * Math.cos(tb)) / den];
}

/** Share of a side along which an edge of fitting direction lies within 2 px, and the edge's mean strength there. */
function support(e: EdgeMap, a: Point, b: Point): { share: number; strength: number } {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  let seen = 0;
  let sum = 0;
  let n = 0;
  for (let t = 0.03 * length; t < 0.97 * length; t += 2) {
    n++;
    let best = 0;
    for (let d = -2.5; d <= 2.5; d += 0.5) {
      const x = Math.round(a[0] + t * ux - d * uy);
      const y = Math.round(a[1] + t * uy + d * ux);
      if (x < 0 || y < 0 || x >= e.width || y >= e.height) continue;
      const i = y * e.width + x;
      if (e.strength[i] > best && Math.abs(e.nx[i] * ux + e.ny[i] * uy) < 0.3) best = e.strength[i];
    }
    if (best >= e.floor * 0.8) seen++;
    sum += Math.min(best, 12);
  }
  return { share: n ? seen / n : 0, strength: n ? sum / n : 0 };
}

/** How far past a corner a side is looked for, part of the picture's long side; px left out next to the corner, where both sides meet. */
const [BEYOND, CORNER] = [0.05, 5];
/** A side goes on where an edge lies along at least so much of that. */
const GOES_ON = 0.6;
/** Sheets on tables, by the simulated stand: at most two of their sides' eight ends go on, over things that lie there; fields of pictures have three and more. */
const MOST_GOING_ON = 2;
/** A sheet seen at a slant looks longer or shorter by a third at most; a field inside a picture may have any shape. */
const MOST_SLANT = 1.35;

/** A side within this part of the long side of the photograph's own is that of the photograph. */
const OWN_SIDE = 0.015;

/**
 * How many of the eight ends of a quadrilateral's sides go on past its corners. Where any does, a side that is the photograph's own counts as two: a
 * field that runs out of a picture ends there.
 */
function goingOn(e: EdgeMap, quad: readonly Point[]): number {
  let n = 0;
  let own = 0;
  const near = OWN_SIDE * Math.max(e.width, e.height);
  quad.forEach((a, i) => {
    const b = quad[(i + 1) % 4];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
    const far = CORNER + BEYOND * Math.max(e.width, e.height);
    const runsAlong = (k: 0 | 1, end: number) => Math.max(a[k], b[k]) < near || Math.min(a[k], b[k]) > end - near;
    if (runsAlong(0, e.width) || runsAlong(1, e.height)) own++;
    for (const [[x, y], way] of [
      [a, -1],
      [b, 1],
    ] as const) {
      const at = (t: number): Point => [x + way * t * ux, y + way * t * uy];
      const [endX, endY] = at(far);
      const seen = endX >= 0 && endY >= 0 && endX < e.width && endY < e.height;
      if (seen && support(e, at(CORNER), [endX, endY]).share > GOES_ON) n++;
    }
  });
  return n && n + 2 * own;
}

function clockwise(points: readonly Point[]): Point[] {
  const cx = points.reduce((s, p) => s + p[0], 0) / 4;
  const cy = points.reduce((s, p) => s + p[1], 0) / 4;
  const sorted = points.slice().sort((a, b) => Math.atan2(a[1] - cy, a[0] - cx) - Math.atan2(b[1] - cy, b[0] - cx));
  let first = 0;
  for (let i = 1; i < 4; i++) if (sorted[i][0] + sorted[i][1] < sorted[first][0] + sorted[first][1]) first = i;
  return [...sorted.slice(first), ...sorted.slice(0, first)];
}

/** How alike the strips just inside the four sides are to each other and how unlike those just outside, 0–1. */
function rimContrast(planes: readonly Plane[], quad: readonly Point[]): number {
  const [cx, cy] = [0, 1].map((k) => quad.reduce((s, p) => s + p[k], 0) / 4);
  const sides = quad.map((a, i) => {
    const b = quad[(i + 1) % 4];
    const m: Point = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    const d = Math.hypot(cx - m[0], cy - m[1]);
    const inward: Point = [(cx - m[0]) / d, (cy - m[1]) / d];
    const strip = (off: number) =>
      planes.map((p) => {
        const values: number[] = [];
        for (let t = 0.08; t <= 0.92; t += 0.03) {
          const x = Math.round(a[0] + t * (b[0] - a[0]) + off * inward[0]);
          const y = Math.round(a[1] + t * (b[1] - a[1]) + off * inward[1]);
          if (x >= 0 && y >= 0 && x < p.width && y < p.height) values.push(p.data[y * p.width + x]);
        }
        return values.length > 6 ? median(values) : NaN;
      });
    return { inside: strip(5), outside: strip(-5) };
  });
  const far = (p: number[], q: number[]) => Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
  const steps = sides.map((s) => far(s.inside, s.outside)).map((v) => (Number.isNaN(v) ? 4 : v));
  return Math.min(1, Math.min(...steps) / 8);
}

/** Sub-pixel line of one side: crests of the colour change along normals, fitted by total least squares with outliers dropped. */
function refineSide(planes: readonly Plane[], a: Point, b: Point, reach: number): { point: Point; direction: Point } | null {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const [ux, uy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const found: Point[] = [];
  const steps = 80;
  for (let k = 4; k <= steps - 4; k++) {
    const t = (k / steps) * length;
    const n = 2 * reach + 1;
    const rise = new Float64Array(n);
    for (const p of planes) {
      let before = NaN;
      for (let j = 0; j <= n; j++) {
        const d = j - reach - 0.5;
        const x = a[0] + t * ux - d * uy;
        const y = a[1] + t * uy + d * ux;
        const xi = Math.min(p.width - 2, Math.max(0, Math.floor(x)));
        const yi = Math.min(p.height - 2, Math.max(0, Math.floor(y)));
        const [fx, fy] = [x - xi, y - yi];
        const i = yi * p.width + xi;
        const v =
          (p.data[i] * (1 - fx) + p.data[i + 1] * fx) * (1 - fy) + (p.data[i + p.width] * (1 - fx) + p.data[i + p.width + 1] * fx) * fy;
        if (j > 0) rise[j - 1] += (v - before) ** 2;
        before = v;
      }
    }
    let best = 1;
    for (let j = 1; j < n - 1; j++) if (rise[j] > rise[best]) best = j;
    if (rise[best] < 1) continue;
    const [p, q, r] = [rise[best - 1], rise[best], rise[best + 1]].map(Math.sqrt);
    const bend = p - 2 * q + r;
    const d = best - reach + (bend < 0 ? Math.max(-0.5, Math.min(0.5, (0.5 * (p - r)) / bend)) : 0);
    found.push([a[0] + t * ux - d * uy, a[1] + t * uy + d * ux]);
  }
  if (found.length < 12) return null;
  let kept = found;
  let line = { point: found[0], direction: [ux, uy] as Point };
  for (let round = 0; round < 4; round++) {
    const mx = kept.reduce((s, p) => s + p[0], 0) / kept.length;
    const my = kept.reduce((s, p) => s + p[1], 0) / kept.length;
    let [xx, yy, xy] = [0, 0, 0];
    for (const p of kept) {
      xx += (p[0] - mx) ** 2;
      yy += (p[1] - my) ** 2;
      xy += (p[0] - mx) * (p[1] - my);
    }
    const t = 0.5 * Math.atan2(2 * xy, xx - yy);
    line = { point: [mx, my], direction: [Math.cos(t), Math.sin(t)] };
    const off = (p: Point) => Math.abs((p[0] - mx) * line.direction[1] - (p[1] - my) * line.direction[0]);
    const limit = Math.max(0.6, 2.2 * median(found.map(off)));
    const next = found.filter((p) => off(p) <= limit);
    if (next.length < 10) break;
    kept = next;
  }
  return line;
}

function cross(p: { point: Point; direction: Point }, q: { point: Point; direction: Point }): Point | null {
  const den = p.direction[0] * q.direction[1] - p.direction[1] * q.direction[0];
  if (Math.abs(den) < 0.1) return null;
  const t = ((q.point[0] - p.point[0]) * q.direction[1] - (q.point[1] - p.point[1]) * q.direction[0]) / den;
  return [p.point[0] + t * p.direction[0], p.point[1] + t * p.direction[1]];
}

/** A part of a picture, softened by 1 px. */
interface SoftPart {
  rect: Rect;
  planes: Plane[];
}

/** Px round a side that its softened colours between px hang on. */
const ROUND = 5;

/** What lies within `reach` of a side, of the part known already where that holds it. */
function partAlong(image: RgbImage, a: Point, b: Point, reach: number, known: SoftPart | null): SoftPart {
  const { left, top, right, bottom } = boundsOf([a, b]);
  const far = reach + ROUND;
  const begin = (v: number, n: number) => Math.max(0, Math.min(n - 2, Math.floor(v) - far));
  const end = (v: number, n: number) => Math.max(2, Math.min(n, Math.ceil(v) + far + 1));
  const [x0, y0] = [begin(left, image.width), begin(top, image.height)];
  const [x1, y1] = [end(right, image.width), end(bottom, image.height)];
  if (known) {
    const [x, y, w, h] = known.rect;
    if (x0 >= x && y0 >= y && x1 <= x + w && y1 <= y + h) return known;
  }
  const rect: Rect = [x0, y0, x1 - x0, y1 - y0];
  const { L, a: green, b: blue } = labPlanes(cropImage(image, rect));
  return { rect, planes: [L, green, blue].map((p) => gaussian(p, 1)) };
}

function refine(image: RgbImage, quad: readonly Point[], scale: number): Point[] {
  // Sub-pixel work at up to 2000 px: finer than the blur of any hand-held photograph.
  const fine = reduceToLongSide(image, 2000);
  const k = fine.width / image.width;
  let corners: Point[] = quad.map((p) => [p[0] * scale * k, p[1] * scale * k]);
  // Only what lies along the sides is looked at.
  let parts: (SoftPart | null)[] = corners.map(() => null);
  for (const reach of [Math.ceil(3 * scale * k), 4]) {
    const ends = corners.map((p, i) => [p, corners[(i + 1) % 4]] as const);
    parts = ends.map(([a, b], i) => partAlong(fine, a, b, reach, parts[i]));
    const sides = ends.map(([a, b], i) => {
      const { rect, planes } = parts[i]!;
      const [dx, dy] = rect;
      const side = refineSide(planes, [a[0] - dx, a[1] - dy], [b[0] - dx, b[1] - dy], reach);
      return side && { ...side, point: [side.point[0] + dx, side.point[1] + dy] as Point };
    });
    const next = sides.map((s, i) => {
      const before = sides[(i + 3) % 4];
      return s && before ? cross(before, s) : null;
    });
    corners = corners.map((p, i) => {
      const q = next[i];
      return q && Math.hypot(q[0] - p[0], q[1] - p[1]) < 4 * reach + 4 ? q : p;
    });
  }
  // Pixel centres stand at whole numbers in the planes; the contract counts from the picture's edge.
  return corners.map((p) => [(p[0] + 0.5) / k, (p[1] + 0.5) / k]);
}

interface Quad {
  corners: Point[];
  /** Numbers of its four lines in order: the first two meet in the first corner, from which the second runs on to the next. */
  lines: readonly number[];
  size: number;
  /** Long side over short one. */
  ratio: number;
}

/** Angle between two lines, degrees. */
function apart(a: Line, b: Line): number {
  const d = Math.abs(a.theta - b.theta);
  return Math.min(d, 180 - d);
}

/** A quadrilateral by its corners; null where it is not convex or too small. */
function quadOf(corners: Point[], lines: readonly number[], area: number): Quad | null {
  const signed = signedArea(corners);
  const size = Math.abs(signed);
  if (size < 0.1 * area || size > 0.985 * area) return null;
  const turn = Math.sign(signed);
  const lengths: number[] = [];
  for (let s = 0; s < 4; s++) {
    const [a, b, c] = [corners[s], corners[(s + 1) % 4], corners[(s + 2) % 4]];
    if (Math.sign((b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0])) !== turn) return null;
    lengths.push(Math.hypot(b[0] - a[0], b[1] - a[1]));
  }
  if (Math.min(...lengths) < 0.12 * SEARCH_SIDE) return null;
  const w = (lengths[0] + lengths[2]) / 2;
  const h = (lengths[1] + lengths[3]) / 2;
  return { corners, lines, size, ratio: Math.max(w, h) / Math.min(w, h) };
}

/** Quadrilaterals that two pairs of lines, each pair nearly parallel, make within a picture. */
function* quadsOf(lines: readonly Line[], width: number, height: number): Generator<Quad> {
  const met = lines.map((a) => lines.map((b) => meet(a, b)));
  const slack = 0.03 * SEARCH_SIDE;
  const outside = ([x, y]: Point) => x < -slack || y < -slack || x > width + slack || y > height + slack;
  for (let i = 0; i < lines.length; i++)
    for (let j = i + 1; j < lines.length; j++) {
      if (apart(lines[i], lines[j]) > 38) continue;
      for (let k = 0; k < lines.length; k++) {
        if (k === i || k === j || apart(lines[i], lines[k]) < 48) continue;
        for (let l = k + 1; l < lines.length; l++) {
          if (l === i || l === j || apart(lines[k], lines[l]) > 38 || apart(lines[j], lines[l]) < 48) continue;
          const corners = [met[i][k], met[k][j], met[j][l], met[l][i]];
          if (corners.some((p) => !p || outside(p))) continue;
          const quad = quadOf(corners as Point[], [i, k, j, l], width * height);
          if (quad) yield quad;
        }
      }
    }
}

/** What the edges under a quadrilateral's four sides add to its score: shares and strengths summed, and the least share. */
const bySides = (shares: number, least: number, strengths: number) => shares / 4 + 0.6 * least + 0.25 * (strengths / 4);
const SIDES_AT_MOST = bySides(4, 1, 4);
/** What a rim that differs from what is round it adds at most. */
const RIM = 0.5;

/** Finds the sheet, or null where no quadrilateral has enough edge under all four sides. `aspect` (long ÷ short side) helps to choose. */
export function findSheet(photo: RgbImage, aspect: number | null): FoundSheet | null {
  const small = reduceToLongSide(photo, SEARCH_SIDE);
  const scale = photo.width / small.width;
  const edges = edgeMap(small);
  const lines = houghLines(edges, 26);
  const lab = labPlanes(small);
  const planes = [lab.L, lab.a, lab.b];
  const area = small.width * small.height;
  let best: { quad: Point[]; score: number; least: number; ratio: number } | null = null;
  const supports = new Map<number, { share: number; strength: number }>();
  for (const { corners: quad, lines: own, size, ratio } of quadsOf(lines, small.width, small.height)) {
    const fit = aspect === null ? 0 : Math.exp(-((Math.log(ratio / aspect) / 0.16) ** 2));
    const shape = 0.9 * (size / area) ** 0.5 + 0.5 * fit;
    // What could not be the best with edges under the whole of its sides, and then with the best of rims, is looked at no further.
    if (best && shape + SIDES_AT_MOST + RIM < best.score) continue;
    let [sides, least, strength] = [0, 1, 0];
    for (let s = 0; s < 4 && least >= 0.4; s++) {
      const [before, along, after] = [own[s], own[(s + 1) % 4], own[(s + 2) % 4]];
      const key = (along * lines.length + before) * lines.length + after;
      let got = supports.get(key);
      if (!got) supports.set(key, (got = support(edges, quad[s], quad[(s + 1) % 4])));
      least = Math.min(least, got.share);
      sides += got.share;
      strength += Math.min(1, got.strength / 5);
    }
    if (least < 0.4) continue;
    const soFar = shape + bySides(sides, least, strength);
    if (best && soFar + RIM < best.score) continue;
    const score = soFar + RIM * rimContrast(planes, quad);
    if (!best || score > best.score) best = { quad, score, least, ratio };
  }
  if (!best || best.least < 0.45) return null;
  const corners = clockwise(refine(photo, clockwise(best.quad), scale));
  const slant = aspect === null ? 1 : Math.max(best.ratio / aspect, aspect / best.ratio);
  const inside = slant > MOST_SLANT || goingOn(edges, best.quad) > MOST_GOING_ON;
  return { corners, confidence: Math.min(0.99, Math.max(0.05, best.least * 1.02)) * (inside ? 0.5 : 1), inside };
}

/** Four corners put clockwise from the top left, as the finder gives them. */
export const orderCorners = clockwise;
