/** Knows which colour is the bare sheet: the one met all over the picture and along its edges. */
import type { Rect } from '../raster/image';

interface GroundCandidate {
  share: number;
  lab: readonly number[];
}

const CELLS = 8;
/** A bare sheet shows in at least this share of the cells within. */
const FRAME = 0.12;

interface Presence {
  /** Share of each border strip: top, right, bottom, left. */
  sides: [number, number, number, number];
  /** Share of an 8 × 8 lattice's cells in which the colour is met (at least 5 % of the cell). */
  spread: number;
  /** The same share of the cells that do not touch the border. */
  inside: number;
}

/** Colours of the palette this near (Lab) are one sheet under uneven light, or two halves into which its grain was parted: they are seen together. */
export const ONE_SHEET = 9;

/** For each colour: which others count as it. */
const sheetsOf = (clusters: readonly GroundCandidate[]): Uint8Array[] =>
  clusters.map(({ lab }) => Uint8Array.from(clusters, (o) => (Math.hypot(...lab.map((v, i) => v - o.lab[i])) < ONE_SHEET ? 1 : 0)));

/** How many px have each of 256 labels, in each cell of the lattice: label by label, cell by cell. */
function cellCountsOf(labels: Uint8Array, width: number, height: number): Int32Array {
  const out = new Int32Array(256 * CELLS * CELLS);
  const columns = new Uint8Array(width);
  for (let x = 0; x < width; x++) columns[x] = Math.floor((x * CELLS) / width);
  for (let y = 0, i = 0; y < height; y++) {
    const row = CELLS * Math.floor((y * CELLS) / height);
    for (let x = 0; x < width; x++, i++) out[labels[i] * CELLS * CELLS + row + columns[x]]++;
  }
  return out;
}

/** How many px have each of 256 labels inside a rectangle. */
function countsIn(labels: Uint8Array, width: number, [x0, y0, w, h]: Rect): Int32Array {
  const out = new Int32Array(256);
  for (let y = y0; y < y0 + h; y++) for (let i = y * width + x0, end = i + w; i < end; i++) out[labels[i]]++;
  return out;
}

function presence(labels: Uint8Array, width: number, height: number, clusters: readonly GroundCandidate[]): Presence[] {
  const sheets = sheetsOf(clusters);
  const strip = Math.max(1, Math.round(Math.min(width, height) * 0.015));
  const cells = cellCountsOf(labels, width, height);
  const many = CELLS * CELLS;
  const cellSize = new Int32Array(many);
  for (let k = 0; k < clusters.length; k++) for (let i = 0; i < many; i++) cellSize[i] += cells[k * many + i];
  const strips: Rect[] = [
    [0, 0, width, strip],
    [width - strip, 0, strip, height],
    [0, height - strip, width, strip],
    [0, 0, strip, height],
  ];
  const bySide = strips.map((rect) => countsIn(labels, width, rect));
  return sheets.map((one) => {
    const [t, r, b, l] = bySide.map((counts) => together(one, counts, 1, 0));
    let met = 0;
    let metInside = 0;
    for (let i = 0; i < many; i++) {
      if (together(one, cells, many, i) <= 0.05 * cellSize[i]) continue;
      met++;
      if (isInner(i)) metInside++;
    }
    return {
      sides: [t / (strip * width), r / (strip * height), b / (strip * width), l / (strip * height)],
      spread: met / many,
      inside: metInside / (CELLS - 2) ** 2,
    };
  });
}

/** What was counted of each colour (`many` numbers a colour, of which the i-th), summed over those that are one sheet. */
function together(one: Uint8Array, counts: Int32Array, many: number, i: number): number {
  let sum = 0;
  for (let j = 0; j < one.length; j++) if (one[j]) sum += counts[j * many + i];
  return sum;
}

/** Does a cell touch no border? */
function isInner(i: number): boolean {
  const [x, y] = [i % CELLS, Math.floor(i / CELLS)];
  return Math.min(x, y) > 0 && Math.max(x, y) < CELLS - 1;
}

/** By how much the limits below are lowered or raised to see whether what was decided hangs on them. */
const DOUBT = 0.15;

/** Papers and cards are pale, or toned and dull; a deep strong colour that does not rule the picture is paint. */
function likeASheet({ lab: [L, a, b], share }: GroundCandidate, lightest: number, strict: number): boolean {
  return L >= 62 * strict || Math.hypot(a, b) <= 18 / strict || share >= 0.35 * strict || L > lightest - 10 / strict;
}

/** The colour that behaves most like a bare sheet, by limits `strict` times as high as usual; null for none. */
function mostLikeASheet(seen: readonly Presence[], clusters: readonly GroundCandidate[], strict: number): number | null {
  let best = null as number | null;
  let bestScore = 0;
  const lightest = Math.max(...clusters.filter((c) => c.share >= 0.04).map((c) => c.lab[0]));
  seen.forEach(({ sides, spread, inside }, k) => {
    const shown = sides.filter((s) => s >= 0.12 * strict).length;
    const border = (sides[0] + sides[1] + sides[2] + sides[3]) / 4;
    if (clusters[k].share < 0.04 * strict || !(shown === 4 || (shown >= 2 && spread >= Math.min(0.95, 0.8 * strict)))) return;
    // A band all round that is not met inside is a painted frame, unless it is the lightest there is: a bare margin.
    if (inside < FRAME * strict && clusters[k].lab[0] < lightest - 3 / strict) return;
    if (!likeASheet(clusters[k], lightest, strict)) return;
    const score = (0.35 + border) * (0.2 + spread) * (0.75 + clusters[k].lab[0] / 200);
    if (score > bestScore) {
      bestScore = score;
      best = k;
    }
  });
  return best;
}

export interface FoundGround {
  /** Index among the clusters, or null where no colour behaves like a bare sheet. */
  index: number | null;
  /** Limits a little lower or higher decide the same. */
  sure: boolean;
}

/**
 * Which of the clusters is the bare sheet. A sheet shows on all four borders, or nearly everywhere between the marks. Of two such colours the
 * lighter is the sheet unless far rarer.
 */
export function findGround(labels: Uint8Array, clusters: readonly GroundCandidate[], width: number, height: number): FoundGround {
  const seen = presence(labels, width, height, clusters);
  const [best, ...others] = [1, 1 - DOUBT, 1 + DOUBT].map((strict) => mostLikeASheet(seen, clusters, strict));
  const sheets = sheetsOf(clusters);
  // Two halves of one sheet are no doubt.
  const alike = (other: number | null) => (best === null || other === null ? best === other : sheets[best][other] === 1);
  const sure = others.every(alike);
  if (best === null) return { index: null, sure };
  // Of the colours that are one sheet, the one most of it has.
  const one = sheets[best];
  return { index: clusters.reduce((most, c, k) => (one[k] && c.share > clusters[most].share ? k : most), best), sure };
}
