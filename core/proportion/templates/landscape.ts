/** A view: horizon, skyline, foreground, and what it is about. Shares are of the picture's frame. */
import {
  acrossFrame,
  boxLines,
  boxOf,
  downFrame,
  frameHeight,
  frameWidth,
  over,
  plumb,
  pointsOf,
  shownBy,
  Template,
  tilt,
  unsigned,
  upFrame,
} from '../template';

const SUBJECT = ['subject-left', 'subject-top', 'subject-right', 'subject-bottom'];

export const landscape: Template = {
  parts: ['view', 'subject'],
  points: pointsOf(
    ['horizon-left', 'view', 0, 0.44],
    ['horizon-right', 'view', 1, 0.44],
    ['skyline-high', 'view', 0.26, 0.2],
    ['skyline-low', 'view', 0.86, 0.41],
    ['foreground-edge', 'view', 0.4, 0.8],
    ['subject-top', 'subject', 0.62, 0.26],
    ['subject-bottom', 'subject', 0.62, 0.66],
    ['subject-left', 'subject', 0.5, 0.56],
    ['subject-right', 'subject', 0.76, 0.56],
  ),
  joined: [
    ['horizon-left', 'horizon-right'],
    ['subject-top', 'subject-right', 'subject-bottom', 'subject-left', 'subject-top'],
  ],
  drawing: [
    'M0 0H100V100H0Z',
    'M0 44H100',
    'M0 40Q10 34 18 26Q24 18 28 20Q36 30 44 36Q60 40 72 40Q86 40 100 42',
    'M50 56H76L70 66H55ZM62 56V26L74 52M62 30L53 53',
    'M0 84Q20 78 40 80Q70 84 100 76',
  ],
  measures: [
    { name: 'horizon', unit: 'ratio', of: downFrame('horizon-left', 'horizon-right'), canon: null },
    { name: 'horizon-tilt', unit: 'degrees', of: unsigned(tilt('horizon-left', 'horizon-right')), canon: null },
    { name: 'skyline-range', unit: 'ratio', of: over(plumb('skyline-high', 'skyline-low'), frameHeight), canon: null },
    {
      name: 'subject-share',
      unit: 'ratio',
      of: shownBy(
        (points) => {
          const box = boxOf(points, 'subject');
          const [w, h] = [frameWidth(points), frameHeight(points)];
          return box && w && h ? ((box[2] - box[0]) * (box[3] - box[1])) / (w * h) : null;
        },
        (points) => boxLines(boxOf(points, 'subject')!),
      ),
      canon: null,
    },
    { name: 'subject-across', unit: 'ratio', of: acrossFrame(SUBJECT[0], SUBJECT[2]), canon: null },
    { name: 'subject-down', unit: 'ratio', of: downFrame(SUBJECT[1], SUBJECT[3]), canon: null },
    { name: 'foreground', unit: 'ratio', of: upFrame('foreground-edge'), canon: null },
  ],
};
