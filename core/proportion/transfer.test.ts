/** The descriptions of one transferred point agree exactly. */
import fc from 'fast-check';
import { placeOnSheet, transferPoint } from './transfer';

test('mm, grid and middle lines tell the same place', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.integer({ min: 2, max: 12 }),
      fc.constantFrom('fit' as const, 'fill' as const, 'stretch' as const),
      (u, v, columns, fit) => {
        const placing = placeOnSheet([300, 212], [297, 210], fit, 10);
        const t = transferPoint(placing, [u, v], columns);
        const side = placing.width / columns;
        expect(placing.left + (t.square.column - 1 + t.square.across) * side).toBeCloseTo(t.left, 6);
        expect(placing.top + (t.square.row - 1 + t.square.down) * side).toBeCloseTo(t.top, 6);
        expect(t.left + t.right).toBeCloseTo(297, 9);
        expect(t.top + t.bottom).toBeCloseTo(210, 9);
        expect(t.fromMiddle[0] + 297 / 2).toBeCloseTo(t.left, 9);
      },
    ),
    { seed: 3 },
  );
});

test('fit keeps the whole within the margins, fill covers them, stretch matches them', () => {
  const source = [100, 300] as const;
  expect(placeOnSheet(source, [210, 297], 'fit', 10)).toMatchObject({ top: 10, height: 277 });
  expect(placeOnSheet(source, [210, 297], 'fill', 10).width).toBeCloseTo(190, 9);
  expect(placeOnSheet(source, [210, 297], 'stretch', 10)).toMatchObject({ left: 10, top: 10, width: 190, height: 277 });
  expect(() => placeOnSheet(source, [210, 297], 'fit', 110)).toThrow(/margin/);
});
