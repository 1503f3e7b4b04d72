import { seededRandom } from '../raster/statistics';
import { boundChances, FALSE_DISCOVERIES } from './discovery';

const told = (ps: readonly number[], families: readonly string[] = ps.map((_, i) => String(i))) => {
  const chances = boundChances(ps.map((p, i) => ({ p, family: families[i] })));
  return ps.filter((p, i) => p <= chances[i]);
};

test('the step-up of Benjamini and Hochberg: their own example tells four of fifteen at 5 %', () => {
  // Benjamini and Hochberg (1995), section 3.2, from memory.
  const ps = [0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.324, 0.4262, 0.5719, 0.6528, 0.759, 1];
  const chances = boundChances(
    ps.map((p, i) => ({ p, family: String(i) })),
    0.05,
  );
  expect(ps.filter((p, i) => p <= chances[i])).toEqual([0.0001, 0.0004, 0.0019, 0.0095]);
});

test('of pieces without a fault, no more than one in ten is told anything', () => {
  const r = seededRandom(11);
  let any = 0;
  for (let k = 0; k < 2000; k++) if (told(Array.from({ length: 40 }, () => r())).length) any++;
  expect(any / 2000).toBeLessThan(FALSE_DISCOVERIES * 1.25);
});

test('what says the same is judged once: twenty readings of one thing do not drown another', () => {
  const same = Array.from({ length: 20 }, () => 0.6);
  const alone = told([0.03, ...same], ['x', ...same.map(() => 'y')]);
  expect(alone).toEqual([0.03]);
  expect(told([0.03, ...same])).toEqual([]);
  // A family is told by its strongest member; the weaker are not told with it for free.
  expect(told([1e-6, 0.4, 0.5], ['f', 'f', 'f'])).toEqual([1e-6]);
});

test('nothing and one thing', () => {
  expect(boundChances([])).toEqual([]);
  expect(boundChances([{ family: 'a', p: 1 }])).toEqual([FALSE_DISCOVERIES]);
});
