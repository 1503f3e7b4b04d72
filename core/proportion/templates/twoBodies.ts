/** Two bodies beside each other, each by the box it stands in: placed by hand, or laid together from two sets of points. */
import type { Landmarks } from '../align';
import { Box, boxLines, boxOf, MeasureLine, plumb, over, pointsOf, Reading, shownBy, Template } from '../template';

const both = (points: Landmarks): [Box, Box] | null => {
  const [a, b] = [boxOf(points, 'first'), boxOf(points, 'second')];
  return a && b && [a, b];
};
const area = ([l, t, r, b]: Box) => Math.max(0, r - l) * Math.max(0, b - t);
const tall = ([, t, , b]: Box) => b - t;

const ofBoth = (of: (a: Box, b: Box) => number | null, lines: (a: Box, b: Box) => MeasureLine[]): Reading =>
  shownBy(
    (points) => {
      const pair = both(points);
      return pair && of(...pair);
    },
    (points) => {
      const pair = both(points);
      return pair ? lines(...pair) : [];
    },
  );

export const twoBodies: Template = {
  parts: ['first', 'second'],
  points: pointsOf(
    ['first-top', 'first', 0.24, 0],
    ['first-bottom', 'first', 0.24, 1],
    ['first-left', 'first', 0.04, 0.6],
    ['first-right', 'first', 0.44, 0.6],
    ['second-top', 'second', 0.76, 0.16],
    ['second-bottom', 'second', 0.76, 1],
    ['second-left', 'second', 0.56, 0.64],
    ['second-right', 'second', 0.96, 0.64],
  ),
  joined: [
    ['first-top', 'first-right', 'first-bottom', 'first-left', 'first-top'],
    ['second-top', 'second-right', 'second-bottom', 'second-left', 'second-top'],
  ],
  drawing: [
    'M24 0A6 8 0 1 1 24 16A6 8 0 1 1 24 0M24 16Q8 22 4 60L12 62L16 100H32L36 62L44 60Q40 22 24 16Z',
    'M76 16A6 7 0 1 1 76 30A6 7 0 1 1 76 16M76 30Q60 36 56 64L64 66L68 100H84L88 66L96 64Q92 36 76 30Z',
  ],
  measures: [
    {
      name: 'gap',
      unit: 'ratio',
      of: ofBoth(
        (a, b) => {
          const unit = Math.max(tall(a), tall(b));
          return unit ? Math.max(0, Math.max(a[0], b[0]) - Math.min(a[2], b[2])) / unit : null;
        },
        (a, b) => {
          const [l, r] = a[0] <= b[0] ? [a, b] : [b, a];
          const y = (Math.max(l[1], r[1]) + Math.min(l[3], r[3])) / 2;
          const t = tall(l) >= tall(r) ? l : r;
          return [
            { from: [l[2], y], to: [Math.max(l[2], r[0]), y], as: 'length' },
            { from: [t[0], t[3]], to: [t[0], t[1]], as: 'unit' },
          ];
        },
      ),
      canon: null,
    },
    {
      name: 'overlap',
      unit: 'ratio',
      of: ofBoth(
        (a, b) => {
          const small = Math.min(area(a), area(b));
          const shared = area([Math.max(a[0], b[0]), Math.max(a[1], b[1]), Math.min(a[2], b[2]), Math.min(a[3], b[3])]);
          return small ? shared / small : null;
        },
        (a, b) => [...boxLines(a), ...boxLines(b, 'unit')],
      ),
      canon: null,
    },
    { name: 'height-pair', unit: 'ratio', of: over(plumb('first-bottom', 'first-top'), plumb('second-bottom', 'second-top')), canon: null },
  ],
};

/** The points of two bodies whose own points lie in these places, the one farther left first. */
export function laidTogether(one: Landmarks, other: Landmarks): Record<string, [number, number]> | null {
  const of = (points: Landmarks) => {
    const all = Object.values(points);
    if (all.length < 2) return null;
    const end = (axis: 0 | 1, sign: 1 | -1) => all.reduce((a, b) => (sign * b[axis] > sign * a[axis] ? b : a));
    return { left: end(0, -1), right: end(0, 1), top: end(1, -1), bottom: end(1, 1) };
  };
  const [a, b] = [of(one), of(other)];
  if (!a || !b) return null;
  const middle = ({ left, right }: typeof a) => left[0] + right[0];
  const pair = middle(a) <= middle(b) ? { first: a, second: b } : { first: b, second: a };
  return Object.fromEntries(
    Object.entries(pair).flatMap(([name, ends]) =>
      Object.entries(ends).map(([side, [x, y]]): [string, [number, number]] => [`${name}-${side}`, [x, y]]),
    ),
  );
}
