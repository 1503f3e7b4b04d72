import { studentPoint, studentTwoSided } from './student';

test('points of Student’s t agree with printed tables', () => {
  // Two-sided 10 %, 5 % and 1 %, from memory of the usual tables.
  const points: [number, number, number, number][] = [
    [1, 6.314, 12.706, 63.657],
    [2, 2.92, 4.303, 9.925],
    [5, 2.015, 2.571, 4.032],
    [10, 1.812, 2.228, 3.169],
    [30, 1.697, 2.042, 2.75],
    [120, 1.658, 1.98, 2.617],
  ];
  for (const [df, ...ts] of points) [0.1, 0.05, 0.01].forEach((p, k) => expect(Math.abs(studentPoint(p, df) - ts[k])).toBeLessThan(6e-4));
});

test('chance and point are each other’s inverse, and in closed form for one and two degrees of freedom', () => {
  for (const df of [1, 2.5, 4, 9, 60])
    for (const p of [0.9, 0.3, 0.05, 1e-3, 1e-8]) expect(studentTwoSided(studentPoint(p, df), df)).toBeCloseTo(p, 9);
  for (const t of [0.1, 1, 3, 20]) {
    expect(studentTwoSided(t, 1)).toBeCloseTo(1 - (2 / Math.PI) * Math.atan(t), 12);
    expect(studentTwoSided(-t, 2)).toBeCloseTo(1 - t / Math.sqrt(2 + t * t), 12);
  }
  expect(studentTwoSided(0, 5)).toBe(1);
});
