import { advise } from './advice';

const f = (feature: string, group: 'marks' | 'colour' | 'value', distance: number, piece = 1) => ({
  feature,
  group,
  unit: 'ratio' as const,
  master: { low: 0, mid: 1, high: 2 },
  piece,
  distance,
});

test('farthest first, but one group never takes all three while another has something to say', () => {
  const told = advise([f('a', 'colour', 5), f('b', 'colour', 4), f('c', 'colour', -3.5), f('d', 'marks', 1)], new Set(), new Set());
  expect(told.next.map((n) => n.feature)).toEqual(['a', 'b', 'd']);
});
test('a single group may fill all three when nothing else lies outside', () => {
  const told = advise([f('a', 'colour', 5), f('b', 'colour', 4), f('c', 'colour', 3)], new Set(), new Set());
  expect(told.next.map((n) => n.feature)).toEqual(['a', 'b', 'c']);
});
test('what the teacher has set aside is not said; a rule of the study goes before a slightly farther reading', () => {
  const told = advise([f('a', 'colour', 3), f('b', 'marks', 2.5), f('c', 'value', 9)], new Set(['c']), new Set(['b']));
  expect(told.next.map((n) => n.feature)).toEqual(['b', 'a']);
});
test('what works is a kept rule before a reading nearer to the middle, and never a place', () => {
  const inside = [f('place.1', 'value', 0, 1), f('x', 'marks', 0, 1.01), f('y', 'marks', 0, 1.4)];
  expect(advise(inside, new Set(), new Set(['y'])).works.map((w) => w.feature)).toEqual(['y', 'x']);
  expect(advise(inside, new Set(), new Set()).works[0].feature).toBe('x');
  expect(advise([f('place.1', 'value', 0)], new Set(), new Set()).works).toEqual([]);
});
test('a gap that is off goes before the look of the surface that comes of it', () => {
  const list = [
    f('marks.speckle', 'marks', 1.5),
    f('marks.broadDetail', 'marks', 1.4),
    f('marks.smallDark', 'marks', 0.8),
    f('marks.spacing', 'marks', 0.2),
  ];
  expect(advise(list, new Set(), new Set()).next[0].feature).toBe('marks.spacing');
  expect(advise(list.slice(0, 2), new Set(), new Set()).next).toHaveLength(2);
});
test('there are three sentences in all wherever three readings exist', () => {
  const list = [f('a', 'colour', 5), f('x', 'marks', 0, 1.1), f('y', 'marks', 0, 1.2), f('z', 'value', 0, 1.3)];
  const told = advise(list, new Set(), new Set());
  expect([told.next.length, told.works.length]).toEqual([1, 2]);
});
test('a reading is no praise when it lies half-way out, or when other hands keep to that range as well', () => {
  const works = (list: Parameters<typeof advise>[0]) => advise(list, new Set(), new Set()).works.map((w) => w.feature);
  expect(works([f('x', 'marks', 0, 1.6)])).toEqual([]);
  const spacing = (low: number, high: number) => ({ ...f('marks.spacing', 'marks', 0, 5), master: { low, mid: 5, high } });
  expect(works([spacing(4, 6)])).toEqual(['marks.spacing']);
  expect(works([spacing(0.5, 50)])).toEqual([]);
});
test('what says nearly the same is said once, and not praised beside its own fault', () => {
  const of = (feature: string, distance: number) => ({ ...f(feature, 'colour', distance, 1), master: { low: 0.9, mid: 1, high: 1.1 } });
  const told = advise([of('colour.warm', 3), of('colour.cool', -2), of('colour.balance', 0), of('colour.count', 0)], new Set(), new Set());
  expect(told.next.map((n) => n.feature)).toEqual(['colour.warm']);
  expect(told.works.map((w) => w.feature)).toEqual(['colour.count']);
});
