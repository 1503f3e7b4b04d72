/** Knows how to come down to the least sum of squares where what is sought does not enter it in a straight line. */
import { solve } from './solve';

/** Where one stands, and the sum of squares there (or whatever else is to be least). */
export interface Standing {
  cost: number;
}

export interface Descent<S extends Standing> {
  /** Normal equations of the step at a place: Jᵀ J, and Jᵀ times what is still to be made up. */
  system(at: S): { normal: readonly Float64Array[]; right: Float64Array };
  /** The place one step on. */
  moved(at: S, step: Float64Array): S;
  /** At most so many steps are taken. */
  rounds: number;
  /** A step that gains less is the last. */
  leastGain: number;
}

const FIRST_DAMPING = 1e-3;
/** Steps are lengthened where they succeed and shortened where they fail; so damped, a step leads nowhere any more. */
const [EASED, TIGHTENED, LEAST_DAMPING, MOST_DAMPING] = [1 / 4, 6, 1e-9, 1e3];

/**
 * Gauss and Newton's steps, each damped by a part of the diagonal (Levenberg 1944, Marquardt 1963) and taken only where it comes
 * down. Gives the lowest place reached; where no step comes down, that is the start.
 */
export function descend<S extends Standing>(start: S, { system, moved, rounds, leastGain }: Descent<S>): S {
  let at = start;
  let damping = FIRST_DAMPING;
  for (let round = 0; round < rounds; round++) {
    const { normal, right } = system(at);
    let next: S | null = null;
    while (!next && damping < MOST_DAMPING) {
      const damped = normal.map((row, p) => row.map((v, q) => (p === q ? v * (1 + damping) : v)));
      const step = solve(damped, right.slice());
      const there = step.every(Number.isFinite) ? moved(at, step) : null;
      if (there && there.cost < at.cost) next = there;
      else damping *= TIGHTENED;
    }
    if (!next) break;
    damping = Math.max(LEAST_DAMPING, damping * EASED);
    const gain = at.cost - next.cost;
    at = next;
    if (gain < leastGain) break;
  }
  return at;
}

/** Normal equations from how each residual (row) answers to each unknown (column), and the residuals. */
export function normalEquations(
  slopes: readonly ArrayLike<number>[],
  residuals: readonly number[],
): { normal: Float64Array[]; right: Float64Array } {
  const n = slopes.length ? slopes[0].length : 0;
  const normal = Array.from({ length: n }, () => new Float64Array(n));
  const right = new Float64Array(n);
  slopes.forEach((row, m) => {
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) normal[i][j] += row[i] * row[j];
      right[i] -= row[i] * residuals[m];
    }
  });
  return { normal, right };
}
