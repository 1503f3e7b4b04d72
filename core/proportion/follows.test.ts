import { followsOf } from './follows';
import { TEMPLATES } from './templates';

/** A figure of so many heads, its feet on one level. */
const figure = (head: number, hem = 120): Record<string, [number, number]> => ({
  crown: [300, 800 - 700],
  chin: [300, 800 - 700 + head],
  sole: [300, 800],
  'shoulder-left': [210, 300],
  'shoulder-right': [390, 300],
  'hem-left': [300 - hem, 760],
  'hem-right': [300 + hem, 760],
});
const factors = [{ measure: 'heads-tall', factor: 0.6, works: 3 }];
const of = (measure: string, ...from: Parameters<typeof followsOf>) => followsOf(...from).find((f) => f.measure === measure);
const T = 'figure-standing';

test('a head drawn as much larger as the master draws it follows the manner', () => {
  const f = of('heads-tall', T, figure(100), figure(165), factors)!;
  expect(f).toMatchObject({ as: 'manner', asked: 0.6 });
  expect(f.times).toBeCloseTo(100 / 165, 9);
});

test('still larger goes beyond it, half as much is still open, smaller follows neither', () => {
  expect(of('heads-tall', T, figure(100), figure(230), factors)?.as).toBe('further');
  expect(of('heads-tall', T, figure(100), figure(125), factors)?.as).toBe('open');
  expect(of('heads-tall', T, figure(100), figure(80), factors)?.as).toBe('neither');
});

test('what the manner asks and nobody did is told as open; what it leaves as it is and was changed follows neither; of what has no factor nothing is told', () => {
  expect(of('heads-tall', T, figure(100), figure(100), factors)?.as).toBe('open');
  const wide = { ...figure(100), 'shoulder-left': [150, 300] as [number, number] };
  expect(of('shoulder-width', T, figure(100), wide, [{ measure: 'shoulder-width', factor: 1.01, works: 2 }])?.as).toBe('neither');
  expect(of('hem-width', T, figure(100), figure(100, 200), factors)).toBeUndefined();
  expect(followsOf(T, figure(100), figure(100), [])).toEqual([]);
  expect(TEMPLATES[T].measures.some((m) => m.name === 'hem-width')).toBe(true);
});

test('the size of the drawing plays no part', () => {
  const larger = Object.fromEntries(Object.entries(figure(165)).map(([n, [x, y]]) => [n, [3 * x, 3 * y] as [number, number]]));
  expect(of('heads-tall', T, figure(100), larger, factors)?.as).toBe('manner');
});
