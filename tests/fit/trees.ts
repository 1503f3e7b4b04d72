/** Grows decision trees by chance (Geurts, Ernst and Wehenkel 2006), and writes them as core/marks/trees.ts reads them. */
import { LEAF, PARTS } from '../../core/marks/trees';
import { Random, seededRandom } from '../../core/raster/statistics';

export interface Grown {
  /** Each clue, 0–255. */
  values: Uint8Array;
  /** Shares of what it is, summing to 1, and how much it counts. */
  target: Float64Array;
  weight: number;
}

export interface Growing {
  trees: number;
  /** Clues tried at each fork, each with one cut by chance. */
  tried: number;
  /** Fewer examples than this are in no leaf. */
  least: number;
  seed: number;
}

/** Trees over examples, base64. Deterministic. */
export function growTrees(examples: readonly Grown[], how: Growing): string {
  const random = seededRandom(how.seed);
  const bytes: number[] = [];
  const grow = (rows: readonly number[]): void => {
    const total = sumsOf(examples, rows);
    const pure = Math.max(...total) > (1 - 1e-9) * total.reduce((a, b) => a + b, 0);
    const fork = pure || rows.length < 2 * how.least ? null : bestFork(examples, rows, total, how, random);
    if (!fork) {
      bytes.push(...leafOf(total));
      return;
    }
    const { clue, cut } = fork;
    bytes.push(clue, cut);
    grow(rows.filter((i) => examples[i].values[clue] < cut));
    grow(rows.filter((i) => examples[i].values[clue] >= cut));
  };
  const all = examples.map((_, i) => i);
  for (let k = 0; k < how.trees; k++) grow(all);
  return Buffer.from(bytes).toString('base64');
}

function sumsOf(examples: readonly Grown[], rows: readonly number[]): Float64Array {
  const sums = new Float64Array(examples[0].target.length);
  for (const i of rows) add(sums, examples[i]);
  return sums;
}

function add(sums: Float64Array, { target, weight }: Grown): void {
  for (let k = 0; k < sums.length; k++) if (target[k]) sums[k] += weight * target[k];
}

/** How much of one kind a set is: the sum of its shares' squares, by its weight (Gini). */
function oneness(sums: Float64Array): number {
  let [weight, squares] = [0, 0];
  for (const v of sums) {
    weight += v;
    squares += v * v;
  }
  return weight > 0 ? squares / weight : 0;
}

function bestFork(
  examples: readonly Grown[],
  rows: readonly number[],
  total: Float64Array,
  { tried, least }: Growing,
  random: Random,
): { clue: number; cut: number } | null {
  const clues = Array.from(examples[0].values.keys());
  let best: { clue: number; cut: number; worth: number } | null = null;
  let left = tried;
  // Drawn without putting back; what is the same for all of them is no choice and does not count.
  for (let n = clues.length; n > 0 && left > 0; n--) {
    const at = Math.floor(random() * n);
    const clue = clues[at];
    clues[at] = clues[n - 1];
    let [low, high] = [255, 0];
    for (const i of rows) {
      const v = examples[i].values[clue];
      if (v < low) low = v;
      if (v > high) high = v;
    }
    if (low === high) continue;
    left--;
    const cut = low + 1 + Math.floor(random() * (high - low));
    const first = new Float64Array(total.length);
    let count = 0;
    for (const i of rows)
      if (examples[i].values[clue] < cut) {
        add(first, examples[i]);
        count++;
      }
    if (count < least || rows.length - count < least) continue;
    const worth = oneness(first) + oneness(total.map((v, k) => v - first[k]));
    if (!best || worth > best.worth) best = { clue, cut, worth };
  }
  return best;
}

/** The largest shares of a leaf in whole parts, at most four of them, as many as there are parts together. */
function leafOf(sums: Float64Array): number[] {
  const order = Array.from(sums.keys())
    .filter((k) => sums[k] > 0)
    .sort((a, b) => sums[b] - sums[a])
    .slice(0, 4);
  const total = order.reduce((s, k) => s + sums[k], 0);
  const parts = order.map((k) => Math.round((PARTS * sums[k]) / total));
  parts[0] += PARTS - parts.reduce((a, b) => a + b, 0);
  const told = order.flatMap((k, i) => (parts[i] > 0 ? [(k << 4) | parts[i]] : []));
  return [LEAF + told.length, ...told];
}
