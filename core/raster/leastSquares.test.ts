/** Against Rosenbrock's valley and a problem with certified values. */
import { descend, normalEquations, Standing } from './leastSquares';

interface At extends Standing {
  x: readonly number[];
  residuals: readonly number[];
}

/** Residuals with slopes by central differences, as a problem to be descended. */
function fit(start: readonly number[], of: (x: readonly number[]) => number[], rounds = 200) {
  const place = (x: readonly number[]): At => {
    const residuals = of(x);
    return { x, residuals, cost: residuals.reduce((s, v) => s + v * v, 0) };
  };
  let taken = 0;
  const reached = descend(place(start), {
    system: (at) => {
      taken++;
      const columns = at.x.map((v, k) => {
        const step = 1e-6 * Math.max(1e-3, Math.abs(v));
        const [up, down] = [step, -step].map((d) => of(at.x.map((w, j) => (j === k ? w + d : w))));
        return up.map((u, i) => (u - down[i]) / (2 * step));
      });
      const rows = at.residuals.map((_, i) => columns.map((c) => c[i]));
      return normalEquations(rows, at.residuals);
    },
    moved: (at, step) => place(at.x.map((v, k) => v + step[k])),
    rounds,
    leastGain: 1e-15,
  });
  return { ...reached, taken };
}

test('Rosenbrock’s valley is followed to its lowest point (Rosenbrock 1960)', () => {
  const { x, cost } = fit([-1.2, 1], ([a, b]) => [10 * (b - a * a), 1 - a]);
  expect(x[0]).toBeCloseTo(1, 6);
  expect(x[1]).toBeCloseTo(1, 6);
  expect(cost).toBeLessThan(1e-12);
});

test('Misra1a of the statistical reference datasets of the National Institute of Standards and Technology, from both its starts', () => {
  // Data and certified values from memory; that they fit each other to eight places speaks for them.
  const y = [10.07, 14.73, 17.94, 23.93, 29.61, 35.18, 40.02, 44.82, 50.76, 55.05, 61.01, 66.4, 75.47, 81.78];
  const t = [77.6, 114.9, 141.1, 190.8, 239.9, 289.0, 332.8, 378.4, 434.8, 477.3, 536.8, 593.1, 689.1, 760.0];
  for (const start of [
    [500, 0.0001],
    [250, 0.0005],
  ]) {
    const { x, cost } = fit(start, ([a, b]) => t.map((v, i) => a * (1 - Math.exp(-b * v)) - y[i]));
    expect(x[0]).toBeCloseTo(238.94212918, 4);
    expect(x[1]).toBeCloseTo(5.5015643181e-4, 9);
    expect(cost).toBeCloseTo(0.12455138894, 9);
  }
});

test('where nothing leads down one stays; rounds bound the way', () => {
  expect(fit([1, 1], ([a, b]) => [10 * (b - a * a), 1 - a]).x).toEqual([1, 1]);
  // No slope at all: the system is singular.
  expect(fit([3], () => [2])).toMatchObject({ x: [3], cost: 4 });
  const one = fit([-1.2, 1], ([a, b]) => [10 * (b - a * a), 1 - a], 1);
  expect(one.taken).toBe(1);
  expect(one.cost).toBeGreaterThan(0.1);
});
