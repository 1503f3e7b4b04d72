import fc from 'fast-check';
import { placeLabels } from './labels';

const SIZE = [4, 3] as const;

test('a point by itself has its number at its upper right, and needs no line to it', () => {
  const [{ at, led }] = placeLabels([[50, 50]], SIZE);
  expect(at[0]).toBeGreaterThan(50);
  expect(at[1]).toBeLessThan(50);
  expect(Math.hypot(at[0] - 50, at[1] - 50)).toBeLessThan(5);
  expect(led).toBe(false);
});

test('numbers of points that lie close do not lie on each other, nor on a point', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 })), { minLength: 2, maxLength: 26 }),
      (points) => {
        const unique = [...new Map(points.map((p) => [p.join(), p])).values()];
        const labels = placeLabels(unique, SIZE);
        for (let i = 0; i < labels.length; i++)
          for (let j = 0; j < i; j++) {
            const [dx, dy] = [Math.abs(labels[i].at[0] - labels[j].at[0]), Math.abs(labels[i].at[1] - labels[j].at[1])];
            expect(dx >= SIZE[0] || dy >= SIZE[1]).toBe(true);
          }
      },
    ),
  );
});
