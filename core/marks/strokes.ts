/** Knows single strokes: centre lines traced between junctions and carried on through them where they run straight. */
import { Mask, Plane, Point } from '../raster/image';
import { clamp } from '../raster/statistics';
import { Skeleton, thin } from '../raster/thin';

export interface Stroke {
  points: Point[];
  /** Arc length, px, along the smoothed centre line. */
  length: number;
  /** Chord ÷ arc, 0–1. */
  straightness: number;
  /** Total turning over the length, radians a px, read over some 12 px at a time. */
  curl: number;
  /** How far it has turned one way in all, radians, read likewise: over 2π for a coil. */
  winding: number;
  /** Runs off the patch, so that its true length is unknown. */
  cut: boolean;
  /**
   * Its first end, the left one, lies on the patch. Of a field of strokes a patch meets the long ones oftener than the
   * short ones, but first ends of both alike (Miles 1974: each stroke is counted where a point of its own lies).
   */
  begun: boolean;
}

interface Path {
  /** Numbers of its px in the raster, from one end to the other. */
  places: number[];
  /** Junction number at each end, or −1 for a free end. */
  ends: [number, number];
}

/** Steps to the eight neighbours in a raster of width w; skeletons keep a frame of unset pixels, so none leaves it. */
const steps = (w: number) => Int32Array.of(1, w + 1, w, w - 1, -1, -w - 1, -w, -w + 1);

/** Centre lines between junctions and free ends. */
function tracePaths({ width: w, height: h, data, places }: Skeleton): { paths: Path[]; junctions: number } {
  const around = steps(w);
  const degree = new Uint8Array(w * h);
  for (const i of places) for (let k = 0; k < 8; k++) degree[i] += data[i + around[k]];
  // Junction pixels that touch are one junction.
  const junction = new Int32Array(w * h).fill(-1);
  let junctions = 0;
  const stack: number[] = [];
  for (const i of places) {
    if (degree[i] < 3 || junction[i] >= 0) continue;
    junction[i] = junctions;
    stack.push(i);
    while (stack.length) {
      const p = stack.pop()!;
      for (let k = 0; k < 8; k++) {
        const q = p + around[k];
        if (data[q] && degree[q] >= 3 && junction[q] < 0) {
          junction[q] = junctions;
          stack.push(q);
        }
      }
    }
    junctions++;
  }
  const used = new Uint8Array(w * h);
  const paths: Path[] = [];
  const walk = (start: number, from: number) => {
    const along = [start];
    used[start] = 1;
    let here = start;
    let end = -1;
    for (;;) {
      let next = -1;
      let met = -1;
      for (let k = 0; k < 8; k++) {
        const q = here + around[k];
        if (!data[q]) continue;
        if (junction[q] >= 0) {
          if (!(along.length === 1 && junction[q] === from)) met = junction[q];
        } else if (!used[q] && next < 0) next = q;
      }
      if (next < 0) {
        end = met;
        break;
      }
      here = next;
      used[here] = 1;
      along.push(here);
    }
    paths.push({ places: along, ends: [from, end] });
  };
  for (const i of places) {
    if (junction[i] >= 0) {
      for (let k = 0; k < 8; k++) {
        const q = i + around[k];
        if (data[q] && !used[q] && junction[q] < 0) walk(q, junction[i]);
      }
    } else if (!used[i] && degree[i] <= 1) walk(i, -1);
  }
  for (const i of places) if (!used[i] && junction[i] < 0) walk(i, -1);
  return { paths, junctions };
}

const pointAt = (place: number, w: number): Point => [place % w, Math.floor(place / w)];

/** Unit vector pointing out of a path at one end, over about `reach` px of a raster of width w. */
function outward({ places }: Path, end: 0 | 1, reach: number, w: number): Point {
  const last = places.length - 1;
  const [tip, inner] = end === 0 ? [0, Math.min(last, reach)] : [last, Math.max(0, last - reach)];
  const [[ax, ay], [bx, by]] = [pointAt(places[inner], w), pointAt(places[tip], w)];
  const n = Math.hypot(bx - ax, by - ay) || 1;
  return [(bx - ax) / n, (by - ay) / n];
}

/** Two ends that may be one stroke, and how far they are from being it. */
interface Option {
  a: number;
  b: number;
  off: number;
}

const better = (p: Option, q: Option): number => p.off - q.off;

/** Joins ends, best first, each end once. */
function pairUp(partner: Map<number, number>, options: Option[]): void {
  for (const { a, b } of options.sort(better))
    if (!partner.has(a) && !partner.has(b)) {
      partner.set(a, b);
      partner.set(b, a);
    }
}

/** Pairs of path ends that go on straight through a junction: best first, each end once, bend under 35°. */
function joinThrough(paths: readonly Path[], junctions: number, w: number): Map<number, number> {
  const at: number[][] = [];
  for (let j = 0; j < junctions; j++) at.push([]);
  for (let k = 0; k < paths.length; k++) for (let e = 0; e < 2; e++) if (paths[k].ends[e] >= 0) at[paths[k].ends[e]].push(k * 2 + e);
  const partner = new Map<number, number>();
  for (const ends of at) {
    const options: Option[] = [];
    for (let i = 0; i < ends.length; i++)
      for (let j = i + 1; j < ends.length; j++) {
        const [a, b] = [ends[i], ends[j]];
        if (a >> 1 === b >> 1) continue;
        const u = outward(paths[a >> 1], (a & 1) as 0 | 1, 7, w);
        const v = outward(paths[b >> 1], (b & 1) as 0 | 1, 7, w);
        const cos = u[0] * v[0] + u[1] * v[1];
        if (cos < -0.82) options.push({ a, b, off: cos });
      }
    pairUp(partner, options);
  }
  return partner;
}

/** How far the paper's tooth may have parted a stroke, beyond the width that thinning takes off its two ends, px. */
const TOOTH_GAP = 5;
/** A gap that the stroke really leaves is bare; over a hollow of the paper some of it still shows. */
const BRIDGED = 0.3;

/** A free end of a path: two times the path's number, plus one for its second end. */
interface Tip {
  end: number;
  at: Point;
  out: Point;
}

/** The px of a plane nearest to a point. */
const nearTo = ({ width, height, data }: Plane, x: number, y: number): number =>
  data[Math.round(clamp(y, 0, height - 1)) * width + Math.round(clamp(x, 0, width - 1))];

/** A plane a little inside a tip. */
const inside = (plane: Plane, { at, out }: Tip): number => nearTo(plane, at[0] - 2 * out[0], at[1] - 2 * out[1]);

/** Length of the gap between two tips that face each other and between which the stroke still shows; null for others. */
function bridgedGap(one: Tip, two: Tip, depart: Plane, width: number): number | null {
  const [gx, gy] = [two.at[0] - one.at[0], two.at[1] - one.at[1]];
  const gap = Math.hypot(gx, gy);
  if (gap < 1 || gap > width + TOOTH_GAP) return null;
  const facing = (one.out[0] * gx + one.out[1] * gy) / gap;
  const faced = -(two.out[0] * gx + two.out[1] * gy) / gap;
  if (Math.min(facing, faced) < 0.85 || one.out[0] * two.out[0] + one.out[1] * two.out[1] > -0.9) return null;
  // The stroke's darkness is taken a little inside both ends.
  const full = Math.min(inside(depart, one), inside(depart, two));
  // What lies beside the gap is no stroke: bare sheet, or a wash laid under the strokes.
  const [sx, sy] = [(-gy / gap) * (width + 1), (gx / gap) * (width + 1)];
  const [mx, my] = [one.at[0] + gx / 2, one.at[1] + gy / 2];
  const base = Math.min(nearTo(depart, mx + sx, my + sy), nearTo(depart, mx - sx, my - sy));
  let least = Infinity;
  for (let t = 0.1; t < 0.95; t += 0.1) least = Math.min(least, nearTo(depart, one.at[0] + t * gx, one.at[1] + t * gy));
  return least - base > BRIDGED * (full - base) ? gap : null;
}

const cellKey = (column: number, row: number): number => row * 65536 + column;

/**
 * Pairs of free ends that face each other over a short gap in which the stroke still shows, best first, each end once;
 * put into `partner`, which knows the pairs through junctions.
 */
function bridgeGaps(paths: readonly Path[], partner: Map<number, number>, depart: Plane, width: number): void {
  const reach = width + TOOTH_GAP;
  const cells = new Map<number, Tip[]>();
  const options: Option[] = [];
  for (let k = 0; k < paths.length; k++) {
    const p = paths[k];
    if (p.places.length < 4) continue;
    for (const e of [0, 1] as const) {
      if (p.ends[e] >= 0) continue;
      const at = pointAt(p.places[e === 0 ? 0 : p.places.length - 1], depart.width);
      const tip = { end: 2 * k + e, at, out: outward(p, e, 7, depart.width) };
      const [column, row] = [Math.floor(at[0] / reach), Math.floor(at[1] / reach)];
      // Each pair is looked at once: when the second of the two comes.
      for (let c = 0; c < 9; c++)
        for (const other of cells.get(cellKey(column + (c % 3) - 1, row + Math.floor(c / 3) - 1)) ?? []) {
          const gap = other.end >> 1 === k ? null : bridgedGap(other, tip, depart, width);
          if (gap !== null) options.push({ a: other.end, b: tip.end, off: gap });
        }
      const cell = cells.get(cellKey(column, row));
      if (cell) cell.push(tip);
      else cells.set(cellKey(column, row), [tip]);
    }
  }
  pairUp(partner, options);
}

/** Three steps of four px: shorter ones turn by what the raster makes of them. */
const STRIDE = 3;

function turningOf(points: readonly Point[], length: number): Pick<Stroke, 'curl' | 'winding'> {
  let [turned, winding] = [0, 0];
  for (let i = 2 * STRIDE; i < points.length; i += STRIDE) {
    const [a, b, c] = [points[i - 2 * STRIDE], points[i - STRIDE], points[i]];
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]];
    const turn = Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy);
    turned += Math.abs(turn);
    winding += turn;
  }
  return { curl: length > 0 ? turned / length : 0, winding: Math.abs(winding) };
}

const atEdge = (p: Point, width: number, height: number): boolean => p[0] <= 2 || p[1] <= 2 || p[0] >= width - 3 || p[1] >= height - 3;

function measure(places: readonly number[], width: number, height: number): Stroke {
  // Every fourth pixel, lightly smoothed: a staircase of pixels is longer than the line it stands for.
  const step = 4;
  const coarse: Point[] = [];
  for (let i = 0; i < places.length; i += step) coarse.push(pointAt(places[i], width));
  if ((places.length - 1) % step !== 0) coarse.push(pointAt(places[places.length - 1], width));
  const soft: Point[] = [];
  for (let i = 0; i < coarse.length; i++) {
    const here = coarse[i];
    if (i === 0 || i === coarse.length - 1) soft.push(here);
    else {
      const [before, after] = [coarse[i - 1], coarse[i + 1]];
      soft.push([0.25 * before[0] + 0.5 * here[0] + 0.25 * after[0], 0.25 * before[1] + 0.5 * here[1] + 0.25 * after[1]]);
    }
  }
  let length = 0;
  for (let i = 1; i < soft.length; i++) length += Math.hypot(soft[i][0] - soft[i - 1][0], soft[i][1] - soft[i - 1][1]);
  const [a, b] = [soft[0], soft[soft.length - 1]];
  const first = a[0] < b[0] || (a[0] === b[0] && a[1] < b[1]) ? a : b;
  return {
    points: soft,
    length,
    straightness: length > 0 ? Math.min(1, Math.hypot(b[0] - a[0], b[1] - a[1]) / length) : 1,
    ...turningOf(soft, length),
    cut: atEdge(a, width, height) || atEdge(b, width, height),
    begun: !atEdge(first, width, height),
  };
}

/** Strokes of a line mask and its centre lines; `depart` is how far each pixel departs from the sheet, `least` the shortest stroke kept, px. */
export function traceStrokes(lines: Mask, depart: Plane, least: number): { strokes: Stroke[]; skeleton: Skeleton } {
  const skeleton = thin(lines);
  const { paths, junctions } = tracePaths(skeleton);
  const partner = joinThrough(paths, junctions, lines.width);
  let area = 0;
  for (let i = 0; i < lines.data.length; i++) area += lines.data[i];
  const centre = skeleton.places.length;
  if (centre) bridgeGaps(paths, partner, depart, area / centre);
  const done = new Uint8Array(paths.length);
  const strokes: Stroke[] = [];
  for (let k = 0; k < paths.length; k++) {
    if (done[k]) continue;
    // Go back to one end of the chain, then forward to the other.
    let end = k * 2;
    for (let guard = 0; guard < paths.length && partner.has(end); guard++) {
      const before = partner.get(end)!;
      if (before >> 1 === k) break;
      end = before ^ 1;
    }
    const along: number[] = [];
    let at: number | undefined = end;
    while (at !== undefined && !done[at >> 1]) {
      const path: Path = paths[at >> 1];
      done[at >> 1] = 1;
      const n = path.places.length;
      for (let i = 0; i < n; i++) along.push(path.places[at & 1 ? n - 1 - i : i]);
      at = partner.get(at ^ 1);
    }
    if (along.length < 3) continue;
    const stroke = measure(along, lines.width, lines.height);
    if (stroke.length >= least) strokes.push(stroke);
  }
  return { strokes, skeleton };
}

const shorter = (a: { length: number }, b: { length: number }): number => a.length - b.length;

/** Quantile of lengths of which some are only known to be at least so long (Kaplan and Meier 1958). */
export function censoredQuantile(strokes: readonly { length: number; cut: boolean }[], q: number): number {
  const sorted = strokes.slice().sort(shorter);
  let survival = 1;
  for (let i = 0; i < sorted.length; i++) {
    if (!sorted[i].cut) survival *= 1 - 1 / (sorted.length - i);
    if (1 - survival >= q) return sorted[i].length;
  }
  return sorted.length ? sorted[sorted.length - 1].length : NaN;
}
