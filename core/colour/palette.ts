/** Knows a picture's few colours and their shares: weighted clustering in Oklab over a colour histogram. */
import { CoreError } from '../errors';
import { derivativeKernels } from '../raster/gradient';
import { Mask, Plane, RgbImage } from '../raster/image';
import { metColours, steepnessBy } from '../raster/kernels/kernels';
import { median } from '../raster/statistics';
import { ciede2000 } from './difference';
import { findGround } from './ground';
import { hexFromLab, labFromLinear, lchFromLab, oklabFromLinear } from './lab';
import { linearFromByte, Triple } from './srgb';

export interface PaletteEntry {
  hex: string;
  lab: Triple;
  lch: Triple;
  share: number;
  ground: boolean;
  accent: boolean;
}

export interface Palette {
  entries: PaletteEntry[];
  /** The bare paper, card or canvas, when there is one: index into entries. */
  ground: number | null;
  /** Whether a little more or less of it would have been taken for the same. */
  groundSure: boolean;
  /** For every pixel of the form-size picture the entry it belongs to; LEFT_OUT for none. */
  labels: Uint8Array;
}

/** The label of a pixel that is left out of every reading. */
export const LEFT_OUT = 255;

interface Bin {
  ok: Triple;
  linear: Triple;
  /** Pixels, and pixels weighted by how flat the picture is there. */
  all: number;
  flat: number;
}

interface Cluster {
  ok: Triple;
  linear: Triple;
  lab: Triple;
  share: number;
  bins: number[];
  accent: boolean;
}

const MERGE_DE = 5;
const ACCENT_DE = 18;
const ACCENT_SHARE = 0.01;
const SEEDS = 28;

const square = (a: readonly number[], b: readonly number[]) => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;

/** Colours of 5 bits a channel with the exact mean of their pixels; `index` gives each pixel's bin, −1 where it is left out. */
function histogramBins(image: RgbImage, flatness: Float32Array, leftOut: Mask | null): { bins: Bin[]; index: Int32Array } {
  const { sums, index } = metColours(image, flatness, leftOut && leftOut.data, linearFromByte);
  const bins: Bin[] = [];
  for (let at = 0; at < sums.length; at += 5) {
    const all = sums[at];
    const linear: Triple = [sums[at + 2] / all, sums[at + 3] / all, sums[at + 4] / all];
    bins.push({ ok: oklabFromLinear(...linear), linear, all, flat: sums[at + 1] });
  }
  return { bins, index };
}

/** 1 where nothing rises, a half where it rises by `scale`. */
function flatterThan(rise: Float32Array, scale: number): Float32Array {
  const out = new Float32Array(rise.length);
  for (let i = 0; i < out.length; i++) out[i] = 1 / (1 + (rise[i] * rise[i]) / (scale * scale));
  return out;
}

/** How flat the picture is at each pixel, 0–1: edges and blends between two colours say little about either. */
function flatnessOf(lightness: Plane): Float32Array {
  const { derive, soften } = derivativeKernels(0.8);
  const steep = steepnessBy(lightness, derive, soften).data;
  const some = new Float64Array(Math.ceil(steep.length / 17));
  for (let k = 0; k < some.length; k++) some[k] = steep[17 * k];
  const scale = Math.max(1.5, median(some));
  return flatterThan(steep, scale);
}

function seedCentres(bins: readonly Bin[], total: number): Triple[] {
  let first = 0;
  for (let i = 0; i < bins.length; i++) if (bins[i].flat > bins[first].flat) first = i;
  const centres: Triple[] = [bins[first].ok];
  const nearest = new Float64Array(bins.length);
  for (let i = 0; i < bins.length; i++) nearest[i] = square(bins[i].ok, bins[first].ok);
  while (centres.length < SEEDS) {
    let best = -1;
    let bestScore = 0;
    for (let i = 0; i < bins.length; i++) {
      if (bins[i].flat < total * 2e-5) continue;
      const score = nearest[i] * Math.sqrt(bins[i].flat);
      if (score > bestScore) {
        bestScore = score;
        best = i;
      }
    }
    if (best < 0 || nearest[best] < 0.015 ** 2) break;
    centres.push(bins[best].ok);
    for (let i = 0; i < bins.length; i++) nearest[i] = Math.min(nearest[i], square(bins[i].ok, bins[best].ok));
  }
  return centres;
}

function assign(bins: readonly Bin[], centres: readonly Triple[]): Int32Array {
  const of = new Int32Array(bins.length);
  for (let i = 0; i < of.length; i++) {
    const { ok } = bins[i];
    let least = Infinity;
    for (let c = 0; c < centres.length; c++) {
      const d = square(ok, centres[c]);
      if (d < least) {
        least = d;
        of[i] = c;
      }
    }
  }
  return of;
}

function sameNumbers(a: Int32Array, b: Int32Array): boolean {
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

/** Lloyd's iterations (1982) to a standstill, at most 24. */
function settle(bins: readonly Bin[], seeds: readonly Triple[]): { centres: Triple[]; of: Int32Array } {
  let centres = seeds.slice();
  let of = assign(bins, centres);
  for (let round = 0; round < 24; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (let i = 0; i < bins.length; i++) {
      const { flat, ok } = bins[i];
      const s = sums[of[i]];
      for (let k = 0; k < 3; k++) s[k] += flat * ok[k];
      s[3] += flat;
    }
    centres = centres.map((c, i) => (sums[i][3] > 0 ? (sums[i].slice(0, 3).map((v) => v / sums[i][3]) as Triple) : c));
    const next = assign(bins, centres);
    if (sameNumbers(next, of)) break;
    of = next;
  }
  return { centres, of };
}

const KEPT_WEIGHT = 0.6;

const nearer = (a: { far: number }, b: { far: number }): number => a.far - b.far;

function describe(bins: readonly Bin[], members: number[], total: number): Cluster {
  // The centre is a trimmed mean over the flat pixels: the three fifths of the weight nearest the plain mean.
  const plain: Triple = [0, 0, 0];
  let weight = 0;
  let all = 0;
  for (const i of members) {
    for (let k = 0; k < 3; k++) plain[k] += bins[i].flat * bins[i].ok[k];
    weight += bins[i].flat;
    all += bins[i].all;
  }
  for (let k = 0; k < 3; k++) plain[k] /= weight || 1;
  const order: { bin: Bin; far: number }[] = [];
  for (const i of members) order.push({ bin: bins[i], far: square(bins[i].ok, plain) });
  order.sort(nearer);
  const linear: Triple = [0, 0, 0];
  let kept = 0;
  for (const { bin } of order) {
    if (kept > KEPT_WEIGHT * weight) break;
    for (let k = 0; k < 3; k++) linear[k] += bin.flat * bin.linear[k];
    kept += bin.flat;
  }
  for (let k = 0; k < 3; k++) linear[k] /= kept || 1;
  return {
    ok: oklabFromLinear(...linear),
    linear,
    lab: labFromLinear(...linear),
    share: all / total,
    bins: members,
    accent: false,
  };
}

/** Is `c` a blend of two larger clusters: near the straight line between them in Oklab? */
function isBlend(c: Cluster, others: readonly Cluster[]): boolean {
  const large = others.filter((o) => o !== c && o.share > 4 * c.share);
  for (let i = 0; i < large.length; i++)
    for (let j = i + 1; j < large.length; j++) {
      const [p, q] = [large[i].ok, large[j].ok];
      const length = square(p, q);
      if (length < 0.01) continue;
      const t = ((c.ok[0] - p[0]) * (q[0] - p[0]) + (c.ok[1] - p[1]) * (q[1] - p[1]) + (c.ok[2] - p[2]) * (q[2] - p[2])) / length;
      if (t < 0.08 || t > 0.92) continue;
      const foot = p.map((v, k) => v + t * (q[k] - v));
      if (square(c.ok, foot) < 0.03 ** 2 + 0.01 * length * 0.5) return true;
    }
  return false;
}

function mergePair(list: Cluster[], i: number, j: number, bins: readonly Bin[], total: number): Cluster[] {
  const joined = describe(bins, [...list[i].bins, ...list[j].bins], total);
  return [...list.filter((_, k) => k !== i && k !== j), joined];
}

function closestPair(list: readonly Cluster[], cost: (a: Cluster, b: Cluster) => number): { i: number; j: number; cost: number } {
  let best = { i: -1, j: -1, cost: Infinity };
  for (let i = 0; i < list.length; i++)
    for (let j = i + 1; j < list.length; j++) {
      const c = cost(list[i], list[j]);
      if (c < best.cost) best = { i, j, cost: c };
    }
  return best;
}

const seenApart = (a: Cluster, b: Cluster) => ciede2000(a.lab, b.lab);

const wardCost = (a: Cluster, b: Cluster) => ((a.share * b.share) / (a.share + b.share)) * ciede2000(a.lab, b.lab) ** 2;

function gather(bins: readonly Bin[], total: number, most: number): Cluster[] {
  const flatTotal = bins.reduce((s, b) => s + b.flat, 0);
  const { centres, of } = settle(bins, seedCentres(bins, flatTotal));
  const members = centres.map(() => [] as number[]);
  for (let i = 0; i < of.length; i++) members[of[i]].push(i);
  let list = members.filter((m) => m.length > 0).map((m) => describe(bins, m, total));
  for (;;) {
    const pair = closestPair(list, seenApart);
    if (pair.cost >= MERGE_DE) break;
    list = mergePair(list, pair.i, pair.j, bins, total);
  }
  const tiny = (c: Cluster) => c.share < ACCENT_SHARE;
  const accents = list.filter(
    (c) =>
      tiny(c) &&
      c.share > 1e-4 &&
      list.every((o) => o === c || tiny(o) || ciede2000(o.lab, c.lab) > ACCENT_DE) &&
      // Vivid, or at least no blend of what it lies between.
      !isBlend(c, list),
  );
  let rest = list.filter((c) => !accents.includes(c));
  while (rest.length > Math.max(1, most)) {
    const pair = closestPair(rest, wardCost);
    rest = mergePair(rest, pair.i, pair.j, bins, total);
  }
  // Slivers that are mere blends of two larger colours join the nearer one.
  for (;;) {
    const blend = rest.findIndex((c) => c.share < 0.02 && rest.length > 1 && isBlend(c, rest));
    if (blend < 0) break;
    let near = blend === 0 ? 1 : 0;
    rest.forEach((o, k) => {
      if (k !== blend && square(o.ok, rest[blend].ok) < square(rest[near].ok, rest[blend].ok)) near = k;
    });
    // The larger colour keeps its own centre: a blend says nothing about it.
    const target = rest[near];
    target.bins = [...target.bins, ...rest[blend].bins];
    target.share += rest[blend].share;
    rest = rest.filter((_, k) => k !== blend);
  }
  for (const a of joinNear(accents, bins, total)) rest.push({ ...a, accent: a.share < ACCENT_SHARE });
  return rest.sort((a, b) => b.share - a.share);
}

/** Accents that differ by less than twice the merging distance are one light or one touch. */
function joinNear(accents: Cluster[], bins: readonly Bin[], total: number): Cluster[] {
  let list = accents;
  for (;;) {
    const pair = closestPair(list, seenApart);
    if (pair.cost >= 2 * MERGE_DE) return list;
    list = mergePair(list, pair.i, pair.j, bins, total);
  }
}

/** Chroma from which a colour is vivid. */
const VIVID = 30;

/** A small touch of vivid colour, as a lantern is; a touch of white is an accent, too, but no such one. */
export const isVividAccent = ({ accent, lch }: PaletteEntry): boolean => accent && lch[1] > VIVID;

/** Each pixel's entry, by its bin. */
function labelsOf(index: Int32Array, binLabel: Uint8Array): Uint8Array {
  const labels = new Uint8Array(index.length);
  for (let i = 0; i < labels.length; i++) labels[i] = index[i] < 0 ? LEFT_OUT : binLabel[index[i]];
  return labels;
}

/**
 * The palette of a form-size picture: at most `most` colours (1–24), merged below ΔE00 5, shares summing to 1,
 * with small colours that stand far from everything else kept beside them as accents.
 */
export function readPalette(image: RgbImage, lightness: Plane, most: number, leftOut: Mask | null = null): Palette {
  if (!(most >= 1 && most <= 24)) throw new CoreError('colours');
  const { bins, index } = histogramBins(image, flatnessOf(lightness), leftOut);
  const total = bins.reduce((s, b) => s + b.all, 0);
  const clusters = gather(bins, total, most);
  const binLabel = new Uint8Array(bins.length);
  clusters.forEach((c, k) => c.bins.forEach((b) => (binLabel[b] = k)));
  const labels = labelsOf(index, binLabel);
  const { index: ground, sure: groundSure } = findGround(labels, clusters, image.width, image.height);
  const entries = clusters.map((c, k) => ({
    hex: hexFromLab(c.lab),
    lab: c.lab,
    lch: lchFromLab(c.lab),
    share: c.share,
    ground: k === ground,
    accent: c.accent,
  }));
  return { entries, ground, groundSure, labels };
}
