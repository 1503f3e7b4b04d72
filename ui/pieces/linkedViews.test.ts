import { inPhotograph, onSheet } from './linkedViews';

/** A sheet half as wide as the photograph and half as high, standing upright in its middle. */
const UPRIGHT = [
  [0.25, 0.25],
  [0.75, 0.25],
  [0.75, 0.75],
  [0.25, 0.75],
] as const;
/** One seen from the left: its far side is shorter. */
const SLANTED = [
  [0.1, 0.1],
  [0.8, 0.2],
  [0.8, 0.75],
  [0.1, 0.9],
] as const;

test('the same place stands in the middle of both, as large', () => {
  const photograph = inPhotograph({ zoom: 3, x: 0.75, y: 0.5 }, UPRIGHT);
  expect(photograph.zoom).toBeCloseTo(6);
  expect(photograph.x).toBeCloseTo(0.625);
  const back = onSheet(photograph, UPRIGHT);
  expect(back.zoom).toBeCloseTo(3);
  expect(back.x).toBeCloseTo(0.75);
  expect(back.y).toBeCloseTo(0.5);
});

test('there and back again it is the same view, seen at a slant too', () => {
  const view = { zoom: 4, x: 0.3, y: 0.6 };
  const back = onSheet(inPhotograph(view, SLANTED), SLANTED);
  expect(back.zoom).toBeCloseTo(view.zoom);
  expect(back.x).toBeCloseTo(view.x);
  expect(back.y).toBeCloseTo(view.y);
});

test('one seen whole shows the other whole, and a photograph no nearer than its sheet shows all of the sheet', () => {
  expect(inPhotograph({ zoom: 1, x: 0.5, y: 0.5 }, SLANTED)).toEqual({ zoom: 1, x: 0.5, y: 0.5 });
  expect(onSheet({ zoom: 1.8, x: 0.4, y: 0.4 }, UPRIGHT)).toEqual({ zoom: 1, x: 0.5, y: 0.5 });
});
