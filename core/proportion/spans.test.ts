import { PARTS, slopeOf, stepsAlong, stepsOf } from './spans';

test.each([
  [3.55, 3, 1 / 2, 'more'],
  [3.5, 3, 1 / 2, 'just'],
  [2.97, 3, 0, 'less'],
  [0.3, 0, 1 / 3, 'less'],
  [0.01, 0, 0, 'just'],
  [1.71, 1, 3 / 4, 'less'],
  [7.02, 7, 0, 'just'],
] as const)('%d steps are told as %d and a part', (ratio, whole, part, as) => {
  const steps = stepsOf(ratio)!;
  expect([steps.whole, PARTS[steps.part], steps.as]).toEqual([whole, part, as]);
});

test('what is told is never farther off than half the widest gap between parts', () => {
  for (let r = 0; r < 5; r += 0.003) {
    const { whole, part } = stepsOf(r)!;
    expect(Math.abs(whole + PARTS[part] - r)).toBeLessThanOrEqual(0.125 + 1e-9);
  }
  expect(stepsOf(NaN)).toBeNull();
  expect(stepsOf(-1)).toBeNull();
});

test('steps end along the way, and a line’s slope is told against level and plumb', () => {
  expect(stepsAlong(10, [0, 0], [30, 40])).toEqual([
    [6, 8],
    [12, 16],
    [18, 24],
    [24, 32],
    [30, 40],
  ]);
  expect(stepsAlong(0, [0, 0], [1, 0])).toEqual([]);
  expect(stepsAlong(1, [0, 0], [1000, 0])).toEqual([]);
  expect(slopeOf([0, 0], [10, -10])).toEqual({ level: expect.closeTo(45, 9), plumb: expect.closeTo(45, 9) });
  expect(slopeOf([0, 0], [0, 10])).toEqual({ level: 90, plumb: 0 });
  expect(slopeOf([0, 0], [-10, -1])!.plumb).toBeCloseTo(-90 + (Math.atan2(1, 10) * 180) / Math.PI, 9);
  expect(slopeOf([3, 3], [3, 3])).toBeNull();
});
