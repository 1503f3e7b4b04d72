import { Point } from '../raster/image';
import { tilePlaces } from './tiles';
import { addCourses, crossingAmong } from './crossing';
import { Stroke } from './strokes';

/** A straight stroke of points 4 px apart, at an angle as seen. */
function stroke(angle: number, long = 80, from: Point = [100, 100]): Stroke {
  const t = (angle * Math.PI) / 180;
  const points = Array.from({ length: Math.floor(long / 4) + 1 }, (_, i): Point => [
    from[0] + 4 * i * Math.cos(t),
    from[1] - 4 * i * Math.sin(t),
  ]);
  return { points, length: long, straightness: 1, curl: 0, winding: 0, cut: false, begun: true };
}
/** The angle by the strokes of a picture 400 px wide of which the left half is crossed, the right one as said. */
const among = (strokes: readonly Stroke[], crossed = true) => {
  const halves = [
    { centre: [0.25, 0.5] as [number, number], crossed: true },
    { centre: [0.75, 0.5] as [number, number], crossed },
  ];
  const density = new Float64Array(180);
  addCourses(density, strokes, tilePlaces(halves, [0, 0, 400, 300], 400, 300));
  return crossingAmong(density);
};
const set = (angle: number, many: number, sway = 3) => Array.from({ length: many }, (_, k) => stroke(angle + sway * Math.sin(2.4 * k)));

test.each([
  [152, 112, 40],
  [10, 88, 78],
  [170, 25, 35],
  [45, 135, 90],
])('sets at %f° and %f° cross at %f°, whichever way their strokes are drawn', (one, other, crossing) => {
  const back = set(other, 10).map((s) => ({ ...s, points: s.points.slice().reverse() }));
  expect(among([...set(one, 14), ...back])).toBeCloseTo(crossing, 0);
});

test('a few courses between two sets are where their strokes meet, not a third set', () => {
  expect(among([...set(152, 12), ...set(112, 9), ...set(132, 10, 1)])).toBeCloseTo(40, 0);
  // Three sets that stand far apart stay three: the strongest two are told of.
  expect(among([...set(0, 12), ...set(60, 9), ...set(120, 6)])).toBeCloseTo(60, 0);
});

test('one set crosses nothing; too few strokes, or strokes elsewhere, tell nothing', () => {
  expect(among(set(30, 20))).toBeNull();
  expect(among([stroke(10), stroke(80)])).toBeNull();
  const right = [...set(10, 12), ...set(80, 12)].map((s) => ({ ...s, points: s.points.map(([x, y]): Point => [x + 150, y]) }));
  expect(among(right, false)).toBeNull();
  expect(among(right)).toBeCloseTo(70, 0);
});
