import { english } from '../../tests/support/english';
import type { Point } from '../raster/image';
import { USUAL_RULERS } from './bodyRulers';
import { buildUp, simpleShare } from './buildUp';
import { DrawnShape, meetingsOf, readShapes } from './shapeList';
import { placeOnSheet } from './transfer';

const FRAME = [100, 50, 800, 600] as const;
const shape = (name: string, outline: Point[]): DrawnShape => ({
  id: name,
  name,
  outline: outline.map(([x, y]) => [x, y]),
  as: null,
  gap: false,
});
const rect = (x: number, y: number, w: number, h: number): Point[] => [
  [100 + 800 * x, 50 + 600 * y],
  [100 + 800 * (x + w), 50 + 600 * y],
  [100 + 800 * (x + w), 50 + 600 * (y + h)],
  [100 + 800 * x, 50 + 600 * (y + h)],
];

test('a build-up goes from big to small and tells where each shape stands by shares, quarters, folds and fingers', () => {
  const shapes = [
    shape('lamp', rect(0.7, 0.25, 0.08, 0.1)),
    shape('sea', rect(0, 0.25, 1, 0.5)),
    shape('mast', rect(0.6, 0.05, 0.03, 0.6)),
  ];
  const read = readShapes(shapes, FRAME);
  const placing = placeOnSheet([800, 600], [280, 210], 'fit', 0);
  const steps = buildUp(read, FRAME, placing, USUAL_RULERS.under14, meetingsOf(read, FRAME));
  expect(steps.map((s) => s.read.shape.name)).toEqual(['sea', 'mast', 'lamp']);
  const [sea, mast, lamp] = steps.map((s) => s.said.map(english));
  expect(sea[0]).toBe('sea: a rectangle, lying level; the whole of the sheet wide, ½ of it high.');
  expect(sea).toContain('Mind the folds: its top lies on the upper quarter fold and its bottom lies on the lower quarter fold.');
  expect(sea).toContain('It reaches the left and right edges.');
  expect(mast[0]).toMatch(/^mast: a rectangle, standing upright; less than ⅛ of the sheet wide, [⅗⅝] of it high\.$/);
  expect(mast[1]).toBe('Its middle lies in the 3rd quarter across and the 2nd down.');
  // 0.05 of 210 mm are 10.5 mm, of a finger of 15 mm about ⅔.
  expect(mast).toContain('Free sheet above it: a bit more than ⅔ finger (10 mm).');
  expect(lamp).toContain('It lies in “sea”.');
  expect(steps[0].outline.map(([x]) => x).sort((a, b) => a - b)[0]).toBeCloseTo(0, 2);
});

test('shares are those that are folded and guessed', () => {
  expect([0.05, 0.13, 0.24, 0.34, 0.51, 0.66, 0.99].map((v) => english(simpleShare(v)))).toEqual([
    'less than ⅛',
    '⅛',
    '¼',
    '⅓',
    '½',
    '⅔',
    'the whole',
  ]);
});
