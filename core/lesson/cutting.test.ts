import fc from 'fast-check';
import { CoreError } from '../errors';
import { cutFrom, parentsFor } from './cutting';
import { nameOfSheet, SERIES, sheetInShape, sizeNamed } from './sheets';

/** The most by trying every guillotine cut at every whole unit, either way round. */
function exhaustive(w: number, h: number, a: number, b: number, known = new Map<string, number>()): number {
  const key = `${w} ${h}`;
  const there = known.get(key);
  if (there !== undefined) return there;
  let most = (w >= a && h >= b) || (w >= b && h >= a) ? 1 : 0;
  for (let x = 1; x <= w / 2; x++) most = Math.max(most, exhaustive(x, h, a, b, known) + exhaustive(w - x, h, a, b, known));
  for (let y = 1; y <= h / 2; y++) most = Math.max(most, exhaustive(w, y, a, b, known) + exhaustive(w, h - y, a, b, known));
  known.set(key, most);
  return most;
}

test('as many as an exhaustive search finds', () => {
  const side = (least: number, most: number) => fc.integer({ min: least, max: most });
  fc.assert(
    fc.property(side(2, 34), side(2, 34), side(2, 12), side(2, 12), (w, h, a, b) => {
      const plan = cutFrom([w * 10, h * 10], [a * 10, b * 10]);
      expect(plan.pieces.length).toBe(exhaustive(w, h, a, b));
    }),
    { numRuns: 250 },
  );
});

test('pieces are whole, lie inside, and lie on no other; every cut parts what no piece crosses', () => {
  const mm = fc.double({ min: 12, max: 900, noNaN: true });
  fc.assert(
    fc.property(mm, mm, fc.double({ min: 60, max: 400, noNaN: true }), fc.double({ min: 60, max: 400, noNaN: true }), (w, h, a, b) => {
      const { pieces, cuts } = cutFrom([w, h], [a, b]);
      pieces.forEach(([x, y, pw, ph], i) => {
        expect(pw * ph).toBeCloseTo((Math.round(a * 10) / 10) * (Math.round(b * 10) / 10), 5);
        expect(x + pw).toBeLessThanOrEqual(w + 0.06);
        expect(y + ph).toBeLessThanOrEqual(h + 0.06);
        for (const [u, v, qw, qh] of pieces.slice(i + 1))
          expect(x + pw <= u + 1e-6 || u + qw <= x + 1e-6 || y + ph <= v + 1e-6 || v + qh <= y + 1e-6).toBe(true);
        for (const { from, to } of cuts) {
          const upright = from[0] === to[0];
          const [c, low, high] = upright ? [from[0], from[1], to[1]] : [from[1], from[0], to[0]];
          const [p, length, q, across] = upright ? [x, pw, y, ph] : [y, ph, x, pw];
          expect(c > p + 1e-6 && c < p + length - 1e-6 && high > q + 1e-6 && low < q + across - 1e-6).toBe(false);
        }
      });
    }),
    { numRuns: 60 },
  );
});

test('A-sizes halve, and a mixed cut beats the plain grid', () => {
  expect(cutFrom([420, 297], [297, 210]).pieces).toHaveLength(2);
  expect(cutFrom([594, 841], [148, 210]).pieces).toHaveLength(16);
  expect(cutFrom([50, 60], [20, 30]).pieces).toHaveLength(5);
  expect(cutFrom([297, 210], [420, 297]).pieces).toHaveLength(0);
});

test('many small pieces from a large sheet: no more than three short of what its area holds', () => {
  expect(cutFrom([1414, 1000], [50, 35]).pieces).toHaveLength(805);
});

test('a class of twenty-four wants five spares, and says what to buy', () => {
  expect(parentsFor(24, 4)).toEqual({ needed: 29, spare: 5, each: 4, parents: 8 });
  expect(parentsFor(2, 0)).toEqual({ needed: 3, spare: 1, each: 0, parents: null });
});

test('sheets of no size are refused', () => {
  for (const bad of [0, -5, NaN, Infinity, 1e9]) expect(() => cutFrom([297, 210], [bad, 100])).toThrow(CoreError);
});

/** ISO 216:2007: A0 and B0 have areas of 1 m² and √2 m², sides in the ratio √2, each size half the one before, rounded down to the mm. */
test('the A and B series are those of ISO 216', () => {
  for (const [series, area] of [
    ['A', 1e6],
    ['B', Math.SQRT2 * 1e6],
  ] as const) {
    const sizes = SERIES[series] as Record<string, readonly [number, number]>;
    let [short, long] = sizes[`${series}0`];
    expect(Math.abs((short * long) / area - 1)).toBeLessThan(0.001);
    for (let n = 1; n <= 6; n++) {
      [short, long] = [Math.floor(long / 2), short];
      expect(sizes[`${series}${n}`]).toEqual([short, long]);
    }
  }
});

/** ASME Y14.1: A 8.5 × 11, B 11 × 17, C 17 × 22, D 22 × 34, E 34 × 44 inches; architectural A 9 × 12 to E 36 × 48. */
test('the inch series are those of ASME Y14.1', () => {
  const inches = (name: string) => sizeNamed(name)!.map((v) => Math.round((v / 25.4) * 100) / 100);
  expect(['Letter', 'ANSI B', 'ANSI C', 'ANSI D', 'ANSI E'].map(inches)).toEqual([
    [8.5, 11],
    [11, 17],
    [17, 22],
    [22, 34],
    [34, 44],
  ]);
  expect(['Arch A', 'Arch B', 'Arch C', 'Arch D', 'Arch E'].map(inches)).toEqual([
    [9, 12],
    [12, 18],
    [18, 24],
    [24, 36],
    [36, 48],
  ]);
});

test('a sheet is known by its sides either way round, and one in the source’s shape comes out of its paper', () => {
  expect(nameOfSheet(297, 210)).toBe('A4');
  expect(nameOfSheet(215.9, 279.4)).toBe('Letter');
  expect(nameOfSheet(300, 212)).toBeNull();
  const [w, h] = sheetInShape([300, 212], [210, 297]);
  expect(w / h).toBeCloseTo(300 / 212, 1);
  expect(Math.max(w, h)).toBeLessThanOrEqual(297);
  expect(Math.min(w, h)).toBeLessThanOrEqual(210);
  expect(cutFrom([210, 297], [w, h]).pieces.length).toBeGreaterThanOrEqual(1);
});
