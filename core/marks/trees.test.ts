/** Trees as they are written and read, and what they can tell that no weighted sum can. */
import { growTrees, Grown } from '../../tests/fit/trees';
import { seededRandom } from '../raster/statistics';
import { LEAF, PARTS, readTrees, sharesIn } from './trees';

const text = (...bytes: number[]) => Buffer.from(bytes).toString('base64');
const leaf = (...shares: [kind: number, parts: number][]) => [LEAF + shares.length, ...shares.map(([k, n]) => (k << 4) | n)];

test('a tree is walked to its leaf, and trees are averaged', () => {
  const sure = leaf([2, PARTS]);
  const halves = leaf([0, 9], [1, 6]);
  // Clue 1 from 100 on: all of kind 2. Under that, clue 0 decides between two leaves.
  const one = [1, 100, 0, 50, ...halves, ...leaf([1, PARTS]), ...sure];
  const trees = readTrees(text(...one, ...sure));
  expect(trees.roots).toEqual([0, one.length]);
  const shares = (...values: number[]) => [...sharesIn(trees, values, 3)];
  expect(shares(0, 100)).toEqual([0, 0, 1]);
  expect(shares(49, 99)).toEqual([9 / PARTS / 2, 6 / PARTS / 2, 0.5]);
  expect(shares(50, 99)).toEqual([0, 0.5, 0.5]);
});

/** Two kinds that neither clue tells alone: kind 1 where just one of the two is high; a third clue says nothing. */
function crossed(many: number, seed: number): Grown[] {
  const random = seededRandom(seed);
  return Array.from({ length: many }, () => {
    const values = Uint8Array.from({ length: 3 }, () => Math.floor(256 * random()));
    const kind = Number(values[0] < 128 !== values[1] < 128);
    return { values, target: Float64Array.of(1 - kind, kind), weight: 1 };
  });
}

test('what no sum over the clues can tell is told of what was not grown on', () => {
  const how = { trees: 30, tried: 3, least: 3, seed: 5 };
  const grown = growTrees(crossed(600, 1), how);
  expect(growTrees(crossed(600, 1), how)).toBe(grown);
  expect(growTrees(crossed(600, 1), { ...how, seed: 6 })).not.toBe(grown);
  const trees = readTrees(grown);
  expect(trees.roots).toHaveLength(30);
  const right = crossed(500, 2).filter(({ values, target }) => {
    const shares = sharesIn(trees, values, 2);
    expect(shares[0] + shares[1]).toBeCloseTo(1, 9);
    return shares[1] > shares[0] === (target[1] === 1);
  });
  expect(right.length / 500).toBeGreaterThan(0.93);
});

test('what counts for more decides, and examples that are all alike make one leaf', () => {
  const same = (kind: number, weight: number): Grown => ({
    values: Uint8Array.of(7, 7),
    target: Float64Array.of(1 - kind, kind),
    weight,
  });
  const how = { trees: 1, tried: 2, least: 1, seed: 1 };
  const trees = readTrees(growTrees([same(0, 1), same(1, 2)], how));
  expect([...sharesIn(trees, [7, 7], 2)]).toEqual([5 / PARTS, 10 / PARTS]);
  expect(readTrees(growTrees([same(1, 1), same(1, 1)], how)).bytes).toEqual(Uint8Array.from(leaf([1, PARTS])));
});
