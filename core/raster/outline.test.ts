import { signedArea } from '../proportion/polygon';
import { mask } from './image';
import { rimOf } from './outline';
import { seededRandom } from './statistics';

const from = (rows: readonly string[]) => ({
  width: rows[0].length,
  height: rows.length,
  data: Uint8Array.from([...rows.join('')].map((c) => (c === '#' ? 1 : 0))),
});

test('the rim of a patch encloses its pixels, clockwise, whatever bay it has', () => {
  const m = from(['......', '.####.', '.#..#.', '.#.##.', '.#....', '......']);
  const rim = rimOf(m, [1, 4])!;
  expect(signedArea(rim)).toBe(10);
  expect(rim[0]).toEqual([1, 1]);
});

test('holes are filled over, other patches left alone, corners do not join', () => {
  expect(signedArea(rimOf(from(['#####', '#...#', '#.#.#', '#...#', '#####']), [0, 0])!)).toBe(25);
  expect(signedArea(rimOf(from(['##.', '##.', '..#']), [2, 2])!)).toBe(1);
  expect(signedArea(rimOf(from(['##.', '##.', '..#']), [0, 0])!)).toBe(4);
  expect(rimOf(from(['##.', '##.', '..#']), [2, 0])).toBeNull();
  expect(rimOf(from(['##']), [5, 5])).toBeNull();
});

test('of any patch the rim has the area of its pixels and their holes, step by step along pixel sides', () => {
  const random = seededRandom(11);
  for (let n = 0; n < 30; n++) {
    const m = mask(14, 11);
    for (let i = 0; i < m.data.length; i++) m.data[i] = random() < 0.62 ? 1 : 0;
    const start = m.data.indexOf(1);
    const [x, y] = [start % 14, Math.floor(start / 14)];
    const rim = rimOf(m, [x, y])!;
    rim.forEach(([px, py], i) => {
      const [qx, qy] = rim[(i + 1) % rim.length];
      expect(Math.abs(px - qx) + Math.abs(py - qy)).toBe(1);
    });
    // What cannot be reached from outside the picture without crossing the patch is inside.
    const patch = new Set<number>([start]);
    const grow = [start];
    const near = (i: number) => [i % 14 ? i - 1 : -1, i % 14 < 13 ? i + 1 : -1, i - 14, i + 14].filter((k) => k >= 0 && k < m.data.length);
    while (grow.length)
      for (const k of near(grow.pop()!)) {
        if (!m.data[k] || patch.has(k)) continue;
        patch.add(k);
        grow.push(k);
      }
    const outside = new Set<string>();
    const reach: [number, number][] = [[-1, -1]];
    outside.add('-1,-1');
    while (reach.length) {
      const [u, v] = reach.pop()!;
      for (const [a, b] of [
        [u - 1, v],
        [u + 1, v],
        [u, v - 1],
        [u, v + 1],
        [u - 1, v - 1],
        [u + 1, v + 1],
        [u - 1, v + 1],
        [u + 1, v - 1],
      ]) {
        if (a < -1 || b < -1 || a > 14 || b > 11 || outside.has(`${a},${b}`)) continue;
        if (a >= 0 && b >= 0 && a < 14 && b < 11 && patch.has(b * 14 + a)) continue;
        outside.add(`${a},${b}`);
        reach.push([a, b]);
      }
    }
    let inside = 0;
    for (let b = 0; b < 11; b++) for (let a = 0; a < 14; a++) if (!outside.has(`${a},${b}`)) inside++;
    expect(signedArea(rim)).toBe(inside);
  }
});
