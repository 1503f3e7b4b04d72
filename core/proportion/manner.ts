/**
 * Knows how a reference would be bent toward a master's manner: the master's factors applied to the reference's own
 * measures, and the points moved there with as little bending as possible.
 */
import { CoreError } from '../errors';
import { descend, normalEquations } from '../raster/leastSquares';
import { Landmarks } from './align';
import { measureProportions } from './measures';
import { TemplateName, TEMPLATES } from './templates';
import { bendingMatrix } from './thinPlate';

export interface MannerFactor {
  measure: string;
  /** Geometric mean of the works' factors against nature. */
  factor: number;
  /** How many works it rests on. */
  works: number;
}

/** Do all the factors come from one work? Then they may be that picture's own and not the hand's. */
export const restOnOneWork = (factors: readonly MannerFactor[]): boolean => factors.length > 0 && factors.every((f) => f.works < 2);

/** With how much of the manner a guide starts. */
export const startingStrength = (works: number): number => (works === 1 ? 0.5 : 1);

/** The master's factors from the landmarks of the measured works, one or more sets each; measures without nature's proportion have none. */
export function mannerFactors(template: TemplateName, works: readonly (readonly Landmarks[])[]): MannerFactor[] {
  const sums = new Map<string, { log: number; works: number }>();
  for (const sets of works) {
    // Several figures of one work count as one work between them.
    const here = new Map<string, number[]>();
    for (const { name, factor } of sets.flatMap((points) => measureProportions(template, points)))
      if (factor !== null && factor > 0) here.set(name, [...(here.get(name) ?? []), Math.log(factor)]);
    for (const [name, logs] of here) {
      const sum = sums.get(name) ?? { log: 0, works: 0 };
      sums.set(name, { log: sum.log + logs.reduce((a, b) => a + b, 0) / logs.length, works: sum.works + 1 });
    }
  }
  return [...sums].map(([measure, { log, works: n }]) => ({ measure, factor: Math.exp(log / n), works: n }));
}

export interface Bent {
  points: Record<string, [number, number]>;
  /** What each measure was in the reference, what the manner asks for, and what was reached. */
  measures: { measure: string; from: number; asked: number; reached: number }[];
}

/** Residuals count by this: one per cent off a measure weighs as much as a clear bend. */
const MEASURE_SPREAD = 0.01;
const BENDING = 0.02;
/** Holds the figure where it stands, since measures do not care about place, size or turn. */
const STAYING = 2e-3;
const ROUNDS = 40;
const LEAST_GAIN = 1e-10;
/** Step of the differences, in the figure's own size. */
const NUDGE = 1e-5;

/**
 * Moves the reference's points (px) so that each of its measures becomes itself times the master's factor, as nearly as
 * they allow each other: non-linear least squares on the logarithms of the measures, with the
 * thin-plate bending energy (Bookstein 1989) of the move and a small pull to stay. Points no measure needs follow
 * smoothly. Throws with fewer than three points.
 */
export function bendToManner(template: TemplateName, reference: Landmarks, factors: readonly MannerFactor[]): Bent {
  const names = Object.keys(reference);
  const n = names.length;
  if (n < 3) throw new CoreError('landmarks.few');
  const from = names.map((name) => reference[name]);
  const middle = [0, 1].map((k) => from.reduce((s, p) => s + p[k], 0) / n);
  const size = Math.sqrt(from.reduce((s, p) => s + (p[0] - middle[0]) ** 2 + (p[1] - middle[1]) ** 2, 0) / n) || 1;
  const unit = from.map((p): [number, number] => [(p[0] - middle[0]) / size, (p[1] - middle[1]) / size]);
  const before = measureProportions(template, reference);
  const asked = factors.flatMap(({ measure, factor }) => {
    const value = before.find((m) => m.name === measure)?.value;
    return value && value > 0 ? [{ measure, from: value, asked: value * factor }] : [];
  });
  const at = (d: Float64Array): Landmarks =>
    Object.fromEntries(names.map((name, i) => [name, [unit[i][0] + d[2 * i], unit[i][1] + d[2 * i + 1]]]));
  const residuals = (d: Float64Array) => {
    const now = measureProportions(template, at(d));
    return asked.map(({ measure, asked: want }) => {
      const value = now.find((m) => m.name === measure)!.value;
      return value && value > 0 ? Math.log(value / want) / MEASURE_SPREAD : 50;
    });
  };
  const bending = bendingMatrix(unit);
  const standing = (d: Float64Array) => {
    const off = residuals(d);
    let cost = off.reduce((s, r) => s + r * r, 0);
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) cost += BENDING * bending[i][j] * (d[2 * i] * d[2 * j] + d[2 * i + 1] * d[2 * j + 1]);
    for (const x of d) cost += STAYING * x * x;
    return { d, off, cost };
  };
  // One row a measure: how it answers to each coordinate, by central differences.
  const slopes = (d: Float64Array, rows: number): Float64Array[] => {
    const jacobian = Array.from({ length: rows }, () => new Float64Array(2 * n));
    for (let k = 0; k < 2 * n; k++) {
      const [up, down] = [NUDGE, -NUDGE].map((by) => residuals(d.map((v, j) => (j === k ? v + by : v))));
      for (let m = 0; m < rows; m++) jacobian[m][k] = (up[m] - down[m]) / (2 * NUDGE);
    }
    return jacobian;
  };
  const start = standing(new Float64Array(2 * n));
  const { d } = !asked.length
    ? start
    : descend(start, {
        system: ({ d, off }) => {
          const { normal, right } = normalEquations(slopes(d, off.length), off);
          for (let i = 0; i < 2 * n; i++) {
            for (let j = i % 2; j < 2 * n; j += 2) {
              const b = BENDING * bending[i >> 1][j >> 1];
              normal[i][j] += b;
              right[i] -= b * d[j];
            }
            normal[i][i] += STAYING;
            right[i] -= STAYING * d[i];
          }
          return { normal, right };
        },
        moved: ({ d }, step) => standing(d.map((x, i) => x + step[i])),
        rounds: ROUNDS,
        leastGain: LEAST_GAIN,
      });
  const reached = measureProportions(template, at(d));
  return {
    points: Object.fromEntries(names.map((name, i) => [name, [from[i][0] + size * d[2 * i], from[i][1] + size * d[2 * i + 1]]])),
    measures: asked.map((a) => ({ ...a, reached: reached.find((m) => m.name === a.measure)!.value! })),
  };
}

/** Points on the way from reference (0) to manner (1): `strength` for all, `parts` where a part goes its own way. */
export function onTheWay(
  template: TemplateName,
  reference: Landmarks,
  manner: Landmarks,
  strength: number,
  parts: Readonly<Record<string, number>>,
): Record<string, [number, number]> {
  return Object.fromEntries(
    Object.entries(reference).map(([name, p]) => {
      const point = TEMPLATES[template].points.find((q) => q.name === name);
      const t = point ? (parts[point.part] ?? strength) : strength;
      const to = manner[name] ?? p;
      return [name, [p[0] + t * (to[0] - p[0]), p[1] + t * (to[1] - p[1])]];
    }),
  );
}
