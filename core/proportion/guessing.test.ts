import { expectedPlace, twinOf } from './guessing';
import { TEMPLATES } from './templates';

test('a twin is the same point on the other side of a name', () => {
  expect(twinOf(TEMPLATES['face-front'], 'eye-left-outer')).toBe('eye-right-outer');
  expect(twinOf(TEMPLATES['face-front'], 'nose-base')).toBeNull();
  expect(twinOf(TEMPLATES['bird-side'], 'wing-tip')).toBeNull();
});

test('a twin is expected over the axis of the face, upright or leaning', () => {
  const upright = { crown: [100, 0], chin: [100, 200], 'eye-left-outer': [60, 100] } as const;
  expect(expectedPlace(TEMPLATES['face-front'], 'eye-right-outer', upright)).toEqual({
    at: [expect.closeTo(140, 9), expect.closeTo(100, 9)],
    by: 'twin',
  });
  // Leaning by the slope of a pair that is placed: mirrored over the line between them.
  const leaning = { 'eye-left-outer': [0, 0], 'eye-right-outer': [80, 60], 'mouth-left': [-40, 70] } as const;
  const { at } = expectedPlace(TEMPLATES['face-front'], 'mouth-right', leaning)!;
  expect(Math.hypot(at[0] + 40, at[1] - 70)).toBeGreaterThan(10);
  // What joins the two is parallel to the pair.
  expect((at[0] + 40) * 60 - (at[1] - 70) * 80).toBeCloseTo(0, 6);
  // And their middle lies as far along as that of the pair.
  expect(((at[0] - 40) / 2) * 0.8 + ((at[1] + 70) / 2) * 0.6).toBeCloseTo(50, 6);
});

test('other points are expected where the figure laid over three of its points has them', () => {
  const at = (name: string) => TEMPLATES['animal-side'].points.find((p) => p.name === name)!.at;
  const place = ([x, y]: readonly [number, number]): [number, number] => [50 + 300 * x, 20 + 300 * y];
  const three = { withers: place(at('withers')), 'fore-foot': place(at('fore-foot')), muzzle: place(at('muzzle')) };
  const expected = expectedPlace(TEMPLATES['animal-side'], 'croup', three)!;
  expect(expected.by).toBe('figure');
  expect(Math.hypot(expected.at[0] - place(at('croup'))[0], expected.at[1] - place(at('croup'))[1])).toBeLessThan(1e-6);
  expect(expectedPlace(TEMPLATES['animal-side'], 'croup', { withers: [1, 1], muzzle: [2, 2] })).toBeNull();
  expect(expectedPlace(TEMPLATES['animal-side'], 'croup', { withers: [1, 1], muzzle: [1, 1], poll: [1, 1] })).toBeNull();
});

test('the ends of a view are no twins', () => {
  expect(expectedPlace(TEMPLATES['landscape'], 'horizon-right', { 'horizon-left': [0, 40] })).toBeNull();
});
