/** Things on a table, up to nine of them, each by the box it stands in. Shares are of the picture's frame. */
import type { Landmarks } from '../align';
import { Box, boxLines, boxOf, downFrame, frameHeight, frameWidth, MeasureLine, pointsOf, Reading, shownBy, Template } from '../template';

const OBJECTS = Array.from({ length: 9 }, (_, i) => `object-${i + 1}`);
const boxes = (points: Landmarks): Box[] =>
  OBJECTS.flatMap((name) => {
    const box = boxOf(points, name);
    return box ? [box] : [];
  });

/** A reading of the boxes of those objects that are placed whole; none where there are fewer than it needs. */
const ofBoxes = (least: number, of: (boxes: Box[], points: Landmarks) => number | null, lines: (boxes: Box[]) => MeasureLine[]): Reading =>
  shownBy(
    (points) => {
      const all = boxes(points);
      return all.length < least ? null : of(all, points);
    },
    (points) => lines(boxes(points)),
  );

const wide = ([l, , r]: Box) => r - l;
const high = ([, t, , b]: Box) => b - t;
const most = (all: Box[], of: (box: Box) => number): Box => all.reduce((a, b) => (of(b) > of(a) ? b : a));
const standing = ([l, t, , b]: Box): MeasureLine => ({ from: [l, b], to: [l, t], as: 'length' });
const overlap = (a: Box, b: Box) => Math.min(a[2], b[2]) > Math.max(a[0], b[0]) && Math.min(a[3], b[3]) > Math.max(a[1], b[1]);
const pairsOf = (all: Box[]): [Box, Box][] => all.flatMap((a, i) => all.slice(i + 1).map((b): [Box, Box] => [a, b]));
const left = (all: Box[]) => Math.min(...all.map((b) => b[0]));
const right = (all: Box[]) => Math.max(...all.map((b) => b[2]));
const outlines = (all: Box[]) => all.flatMap((b) => boxLines(b));
const parted = (value: number | null, by: number | null) => (value !== null && by ? value / by : null);

/** Where the nine usually stand, for the diagram: middle, top and half width. */
const PLACES = [
  [0.3, 0.22, 0.1],
  [0.56, 0.44, 0.11],
  [0.8, 0.34, 0.09],
  [0.14, 0.52, 0.07],
  [0.42, 0.6, 0.07],
  [0.68, 0.62, 0.06],
  [0.9, 0.66, 0.06],
  [0.24, 0.68, 0.05],
  [0.54, 0.72, 0.05],
] as const;
const FOOT = 0.82;

export const stillLife: Template = {
  parts: ['table', 'things'],
  points: pointsOf(
    ['table-edge-left', 'table', 0, 0.62],
    ['table-edge-right', 'table', 1, 0.62],
    ...OBJECTS.flatMap((name, i): [string, string, number, number][] => {
      const [x, top, half] = PLACES[i];
      return [
        [`${name}-top`, 'things', x, top],
        [`${name}-bottom`, 'things', x, FOOT],
        [`${name}-left`, 'things', x - half, (top + FOOT) / 2],
        [`${name}-right`, 'things', x + half, (top + FOOT) / 2],
      ];
    }),
  ),
  joined: [
    ['table-edge-left', 'table-edge-right'],
    ...OBJECTS.map((o) => [`${o}-top`, `${o}-right`, `${o}-bottom`, `${o}-left`, `${o}-top`]),
  ],
  drawing: [
    'M0 62H20M40 62H45M67 62H71M89 62H100M0 100V62M100 62V100',
    'M27 22H33V34Q40 44 40 60V82H20V60Q20 44 27 34Z',
    'M45 60Q45 44 56 44Q67 44 67 60Q67 82 56 82Q45 82 45 60ZM56 44Q57 39 60 38',
    'M71 34H89L86 82H74ZM71 42H89',
  ],
  measures: [
    { name: 'table-edge', unit: 'ratio', of: downFrame('table-edge-left', 'table-edge-right'), canon: null },
    { name: 'count', unit: 'count', of: ofBoxes(1, (all) => all.length, outlines), canon: null },
    {
      name: 'tallest',
      unit: 'ratio',
      of: ofBoxes(
        1,
        (all, points) => parted(high(most(all, high)), frameHeight(points)),
        (all) => [standing(most(all, high))],
      ),
      canon: null,
    },
    {
      name: 'spread',
      unit: 'ratio',
      of: ofBoxes(
        1,
        (all, points) => parted(right(all) - left(all), frameWidth(points)),
        (all) => {
          const foot = Math.max(...all.map((b) => b[3]));
          return [{ from: [left(all), foot], to: [right(all), foot], as: 'length' }];
        },
      ),
      canon: null,
    },
    {
      name: 'overlaps',
      unit: 'ratio',
      of: ofBoxes(2, (all) => pairsOf(all).filter(([a, b]) => overlap(a, b)).length / pairsOf(all).length, outlines),
      canon: null,
    },
    {
      name: 'widest-to-tallest',
      unit: 'ratio',
      of: ofBoxes(
        1,
        (all) => parted(wide(most(all, wide)), high(most(all, high))),
        (all) => {
          const [l, , r, b] = most(all, wide);
          return [
            { from: [l, b], to: [r, b], as: 'length' },
            { ...standing(most(all, high)), as: 'unit' },
          ];
        },
      ),
      canon: null,
    },
  ],
};
