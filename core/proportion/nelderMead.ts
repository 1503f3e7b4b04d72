/** Knows how to walk downhill without slopes (Nelder and Mead 1965). */

interface Corner {
  x: number[];
  f: number;
}

const lower = (a: Corner, b: Corner): number => a.f - b.f;

/** The point that lies `t` times as far from `middle` as `from` does. */
function beyond(middle: readonly number[], from: readonly number[], t: number): number[] {
  const x: number[] = [];
  for (let k = 0; k < middle.length; k++) x.push(middle[k] + t * (from[k] - middle[k]));
  return x;
}

function halfway(a: readonly number[], b: readonly number[]): number[] {
  const x: number[] = [];
  for (let k = 0; k < a.length; k++) x.push((a[k] + b[k]) / 2);
  return x;
}

/** Mean of the first n corners. */
function middleOf(simplex: readonly Corner[], n: number): number[] {
  const x: number[] = [];
  for (let k = 0; k < n; k++) {
    let sum = 0;
    for (let i = 0; i < n; i++) sum += simplex[i].x[k];
    x.push(sum / n);
  }
  return x;
}

/** Point near `start` where `cost` of it and of what is given is least; `steps` are the first simplex's sides. Deterministic. */
export function minimise<T>(
  cost: (x: readonly number[], given: T) => number,
  given: T,
  start: readonly number[],
  steps: readonly number[],
  rounds = 220,
): number[] {
  const n = start.length;
  const simplex: Corner[] = [{ x: start.slice(), f: cost(start, given) }];
  for (let i = 0; i < n; i++) {
    const x = start.slice();
    x[i] += steps[i];
    simplex.push({ x, f: cost(x, given) });
  }
  for (let round = 0; round < rounds; round++) {
    simplex.sort(lower);
    const worst = simplex[n];
    if (worst.f - simplex[0].f < 1e-7) break;
    const middle = middleOf(simplex, n);
    const x = beyond(middle, worst.x, -1);
    const f = cost(x, given);
    if (f < simplex[0].f) {
      const farther = beyond(middle, worst.x, -2);
      const least = cost(farther, given);
      simplex[n] = least < f ? { x: farther, f: least } : { x, f };
    } else if (f < simplex[n - 1].f) simplex[n] = { x, f };
    else {
      const inner = beyond(middle, worst.x, f < worst.f ? -0.5 : 0.5);
      const least = cost(inner, given);
      if (least < Math.min(worst.f, f)) simplex[n] = { x: inner, f: least };
      else
        for (let i = 1; i <= n; i++) {
          const nearer = halfway(simplex[i].x, simplex[0].x);
          simplex[i] = { x: nearer, f: cost(nearer, given) };
        }
    }
  }
  return simplex.sort(lower)[0].x;
}
