/** Fits how kinds of mark are told from the clues, and finds how often that is right on what it was not fitted on. */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { among, usualKinds } from '../../core/marks/among';
import { Belief, kindChances, likeliest, MARK_KINDS, MarkKind, sharpened, unusualOf } from '../../core/marks/kinds';
import { KindCoefficients } from '../../core/marks/kindModel';
import { Example, Place } from './material';
import { Growing, growTrees } from './trees';

/** A real patch, given three times, counts each time for so many drawn ones. A second name counts so much of the patch. */
const REAL_WEIGHT = 1.5;
const SECOND = 0.3;
/** Ridge on every coefficient but the constants, in examples. */
const RIDGE = 4;
const ROUNDS = 400;
/** Few enough trees to be sent along, each coarse; more of them gain nothing that could be seen. */
const TREES: Growing = { trees: 40, tried: 20, least: 4, seed: 17 };

const round = (v: number) => Number(v.toPrecision(4));

interface Row {
  x: Float64Array;
  values: Uint8Array;
  target: Float64Array;
  weight: number;
}

function standardised(examples: readonly Example[], clues: readonly string[], mean: readonly number[], spread: readonly number[]): Row[] {
  const rows = examples.map((e): Row => {
    const { unusual, bytes } = unusualOf(e.clues, { clues, mean, spread });
    const target = new Float64Array(MARK_KINDS.length);
    e.kinds.forEach((k, i) => (target[MARK_KINDS.indexOf(k)] += e.kinds.length === 1 ? 1 : i ? SECOND / (e.kinds.length - 1) : 1 - SECOND));
    return { x: Float64Array.from([...unusual, 1]), values: bytes, target, weight: e.real ? REAL_WEIGHT : 1 };
  });
  // Kinds of which there are few count for more, by the root.
  const sums = MARK_KINDS.map((_, k) => rows.reduce((s, r) => s + r.weight * r.target[k], 0));
  const usual = sums.reduce((a, b) => a + b, 0) / MARK_KINDS.length;
  for (const r of rows) r.weight *= Math.sqrt(usual / Math.max(1, sums[r.target.indexOf(Math.max(...r.target))]));
  return rows;
}

/** Σ x[i] · by[from + i]: four sums side by side, since each waits for itself. */
function weighed(x: Float64Array, by: Float64Array, from: number): number {
  let [a, b, c, d] = [0, 0, 0, 0];
  let i = 0;
  for (; i + 4 <= x.length; i += 4) {
    a += x[i] * by[from + i];
    b += x[i + 1] * by[from + i + 1];
    c += x[i + 2] * by[from + i + 2];
    d += x[i + 3] * by[from + i + 3];
  }
  for (; i < x.length; i++) a += x[i] * by[from + i];
  return a + b + (c + d);
}

/** Multinomial logistic regression with a ridge, by steps under a fixed bound of the curvature (Böhning 1992); and trees over the same. */
export function fitKinds(examples: readonly Example[]): Omit<KindCoefficients, 'sharper'> {
  const clues = Object.keys(examples[0].clues);
  // Rounded before anything is fitted: a value on the edge of two bytes lies on one side for all.
  const mean = clues.map((c) => round(examples.reduce((s, e) => s + e.clues[c], 0) / examples.length));
  const spread = clues.map((c, i) =>
    round(Math.sqrt(examples.reduce((s, e) => s + (e.clues[c] - mean[i]) ** 2, 0) / examples.length) + 1e-6),
  );
  const rows = standardised(examples, clues, mean, spread);
  const [p, K] = [clues.length + 1, MARK_KINDS.length];
  const bound = Matrix.zeros(p, p);
  for (const { x, weight } of rows)
    for (let i = 0; i < p; i++) {
      const line = bound.getRow(i);
      // The product first: the bound has to be symmetric to the last digit.
      for (let j = 0; j < p; j++) line[j] += 0.5 * weight * (x[i] * x[j]);
      bound.setRow(i, line);
    }
  for (let i = 0; i < p; i++) bound.set(i, i, bound.get(i, i) + (i < p - 1 ? RIDGE : 1e-6));
  const solve = new CholeskyDecomposition(bound);
  // One kind after another, each with its p coefficients.
  let weights = new Float64Array(K * p);
  let before = weights;
  const logits = new Float64Array(K);
  for (let step = 0; step < ROUNDS; step++) {
    // Each step starts a little beyond the last (Nesterov 1983).
    const start = weights.map((w, i) => w + ((w - before[i]) * step) / (step + 3));
    const slope = new Float64Array(K * p);
    for (const { x, target, weight } of rows) {
      for (let k = 0; k < K; k++) logits[k] = weighed(x, start, k * p);
      const most = Math.max(...logits);
      let total = 0;
      for (let k = 0; k < K; k++) total += logits[k] = Math.exp(logits[k] - most);
      for (let k = 0; k < K; k++) {
        const off = weight * (target[k] - logits[k] / total);
        for (let i = 0; i < p; i++) slope[k * p + i] += off * x[i];
      }
    }
    for (let k = 0; k < K; k++) for (let i = 0; i < p - 1; i++) slope[k * p + i] -= RIDGE * start[k * p + i];
    before = weights;
    weights = start.slice();
    for (let k = 0; k < K; k++) {
      const moved = solve.solve(Matrix.columnVector(Array.from(slope.subarray(k * p, (k + 1) * p))));
      for (let i = 0; i < p; i++) weights[k * p + i] += moved.get(i, 0);
    }
  }
  return {
    clues,
    mean,
    spread,
    weights: Object.fromEntries(MARK_KINDS.map((k, i) => [k, Array.from({ length: p }, (_, j) => round(weights[i * p + j]))])),
    trees: growTrees(rows, TREES),
  };
}

export interface HeldOut {
  example: Example;
  kind: MarkKind;
  chance: number;
  /** The same judged among all places of its picture; null where it is of none. */
  among: Pick<HeldOut, 'kind' | 'chance'> | null;
}

/** An example with what was told of it, and of the places of its picture, by what was fitted without it. */
interface Unseen {
  example: Example;
  chances: Belief;
  places: Belief[] | null;
}

/** Every example judged by what was fitted without its renderer, or without its hand (real pictures by others in five parts); and the power that fits best. */
export function leaveOneOut(
  examples: readonly Example[],
  places: Readonly<Record<string, readonly Place[]>> = {},
): { judged: HeldOut[]; sharper: number } {
  const others = [...new Set(examples.filter((e) => e.real && !e.source.startsWith('hand-')).map((e) => e.source))].sort();
  const partOf = (e: Example) => (others.includes(e.source) ? `part ${others.indexOf(e.source) % 5}` : e.source);
  const unseen = [...new Set(examples.map(partOf))].flatMap((part) => {
    const model = { ...fitKinds(examples.filter((e) => partOf(e) !== part)), sharper: 1 };
    const chancesOf = ({ clues, groundKnown }: Place) => kindChances(clues, groundKnown, model);
    const own = examples.filter((e) => partOf(e) === part && !e.reversed);
    const around = new Map([...new Set(own.map((e) => e.picture))].map((p) => [p, places[p]?.map(chancesOf) ?? null]));
    return own.map((example): Unseen => ({ example, chances: chancesOf(example), places: around.get(example.picture)! }));
  });
  const sharper = sharperOf(unseen);
  const usual = new Map(unseen.map(({ places: p }) => [p, p && usualKinds(p.map((c) => sharpened(c, sharper)))]));
  const judged = unseen.map(({ example, chances, places: p }): HeldOut => {
    const alone = sharpened(chances, sharper);
    const shares = usual.get(p);
    return { example, ...likeliestOf(alone), among: shares ? likeliestOf(among(alone, shares)) : null };
  });
  return { judged, sharper };
}

/** The power by which what is right was likeliest, drawn and real patches counting alike, to a tenth. */
function sharperOf(unseen: readonly Unseen[]): number {
  const likely = (power: number, real: boolean): number => {
    const own = unseen.filter((u) => u.example.real === real);
    return (
      own.reduce((s, { example, chances }) => s + Math.log(1e-6 + sharpened(chances, power)[example.kinds[0]]), 0) / Math.max(1, own.length)
    );
  };
  const powers = Array.from({ length: 21 }, (_, k) => 1 + k / 10);
  const worth = powers.map((p) => likely(p, false) + likely(p, true));
  return powers[worth.indexOf(Math.max(...worth))];
}

function likeliestOf(chances: Belief): Pick<HeldOut, 'kind' | 'chance'> {
  const kind = likeliest(chances);
  return { kind, chance: chances[kind] };
}

/** Real patches as they come out among the places of their pictures. */
export const amongPlaces = (judged: readonly HeldOut[]): HeldOut[] => judged.flatMap((j) => (j.among ? [{ ...j, ...j.among }] : []));

export const isRight = ({ example, kind }: HeldOut): boolean => example.kinds.includes(kind);

const KNOTS = 8;

/**
 * How often a chance was right where it was not fitted, rising (pool adjacent violators: Ayer and others 1955), over drawn and real
 * patches of which each half counts alike; as a few points of a line.
 */
export function reliabilityOf(judged: readonly HeldOut[]): [number, number][] {
  const real = judged.filter((j) => j.example.real).length;
  const weightOf = (j: HeldOut) => (j.example.real ? 0.5 / Math.max(1, real) : 0.5 / Math.max(1, judged.length - real));
  const sorted = judged.slice().sort((a, b) => a.chance - b.chance);
  const blocks: { chance: number; right: number; weight: number }[] = [];
  const every = Math.ceil(sorted.length / KNOTS);
  for (let k = 0; k < sorted.length; k += every) {
    const part = sorted.slice(k, k + every);
    const weight = part.reduce((s, j) => s + weightOf(j), 0);
    blocks.push({
      chance: part.reduce((s, j) => s + weightOf(j) * j.chance, 0) / weight,
      right: part.reduce((s, j) => s + weightOf(j) * Number(isRight(j)), 0) / weight,
      weight,
    });
  }
  for (let k = 0; k + 1 < blocks.length; k++)
    if (blocks[k].right > blocks[k + 1].right) {
      const [a, b] = [blocks[k], blocks[k + 1]];
      const weight = a.weight + b.weight;
      blocks.splice(k, 2, {
        chance: (a.chance * a.weight + b.chance * b.weight) / weight,
        right: (a.right * a.weight + b.right * b.weight) / weight,
        weight,
      });
      k = -1;
    }
  const round = (v: number) => Number(v.toFixed(3));
  const knots = blocks.map(({ chance, right }): [number, number] => [round(chance), round(right)]);
  return [[0, 0], ...knots.filter(([c]) => c > 0 && c < 1), [1, round(knots[knots.length - 1][1])]];
}
