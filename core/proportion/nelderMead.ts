/** Knows how to walk downhill without slopes (Nelder and Mead 1965). */

/** Point near `start` where `cost` is least; `steps` are the first simplex's sides. Deterministic. */
export function minimise(
  cost: (x: readonly number[]) => number,
  start: readonly number[],
  steps: readonly number[],
  rounds = 220,
): number[] {
  const n = start.length;
  let simplex = [start.slice(), ...steps.map((s, i) => start.map((v, k) => (k === i ? v + s : v)))].map((x) => ({
    x,
    f: cost(x),
  }));
  for (let round = 0; round < rounds; round++) {
    simplex.sort((a, b) => a.f - b.f);
    const worst = simplex[n];
    if (worst.f - simplex[0].f < 1e-7) break;
    const middle = start.map((_, k) => simplex.slice(0, n).reduce((s, p) => s + p.x[k], 0) / n);
    const along = (t: number) => {
      const x = middle.map((m, k) => m + t * (worst.x[k] - m));
      return { x, f: cost(x) };
    };
    const reflected = along(-1);
    if (reflected.f < simplex[0].f) {
      const further = along(-2);
      simplex[n] = further.f < reflected.f ? further : reflected;
    } else if (reflected.f < simplex[n - 1].f) simplex[n] = reflected;
    else {
      const inner = reflected.f < worst.f ? along(-0.5) : along(0.5);
      if (inner.f < Math.min(worst.f, reflected.f)) simplex[n] = inner;
      else
        simplex = simplex.map((p, i) => {
          if (i === 0) return p;
          const x = p.x.map((v, k) => (v + simplex[0].x[k]) / 2);
          return { x, f: cost(x) };
        });
    }
  }
  simplex.sort((a, b) => a.f - b.f);
  return simplex[0].x;
}
