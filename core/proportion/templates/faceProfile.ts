/** A face seen from the side, looking either way. */
import type { Landmarks } from '../align';
import { along, meanOfKnown, level, MeasureLine, over, placeBetween, pointsOf, Reading, shownBy, Template } from '../template';
import { axis, faceHeights } from './head';

const { down, head } = axis;

/** 1 where it looks to the right, −1 to the left; null where neither nose nor back of the head says. */
const facing = (points: Landmarks): number | null => {
  const [nose, back] = [points['nose-tip'] ?? points['nose-base'], points.nape ?? points['ear-top'] ?? points['nose-root']];
  return nose && back && nose[0] !== back[0] ? Math.sign(nose[0] - back[0]) : null;
};

/** How far the tip stands out from the line of root and base. */
const projection: Reading = shownBy(
  ({ 'nose-root': root, 'nose-tip': tip, 'nose-base': base }) => {
    if (!root || !tip || !base) return null;
    const [dx, dy] = [base[0] - root[0], base[1] - root[1]];
    const length = Math.hypot(dx, dy);
    return length ? Math.abs((tip[0] - root[0]) * dy - (tip[1] - root[1]) * dx) / length : null;
  },
  (points): MeasureLine[] => {
    const [root, tip] = [points['nose-root'], points['nose-tip']];
    const t = along(['nose-root', 'nose-base'], 'nose-tip');
    const foot = t.end(points);
    return root && tip && foot
      ? [
          { from: foot, to: tip, as: 'length' },
          { from: root, to: foot, as: 'help' },
        ]
      : [];
  },
);

/** From brow to chin against the plumb line; a chin that stands back counts positive. */
const faceAngle: Reading = shownBy(
  (points) => {
    const { brow, chin } = points;
    const way = facing(points);
    return brow && chin && way !== null && (brow[0] !== chin[0] || brow[1] !== chin[1])
      ? (Math.atan2(way * (brow[0] - chin[0]) + 0, chin[1] - brow[1]) * 180) / Math.PI
      : null;
  },
  ({ brow, chin }) =>
    brow && chin
      ? [
          { from: brow, to: chin, as: 'length' },
          { from: brow, to: [brow[0], chin[1]], as: 'unit' },
        ]
      : [],
);

const ear = meanOfKnown(placeBetween(['brow', 'nape'], 'ear-top'), placeBetween(['brow', 'nape'], 'ear-bottom'));

export const faceProfile: Template = {
  unit: ['crown', 'chin'],
  parts: ['head', 'eyes', 'nose', 'mouth', 'ears', 'neck'],
  points: pointsOf(
    ['crown', 'head', 0.6, 0],
    ['chin', 'head', 0.16, 1],
    ['hairline', 'head', 0.22, 0.15],
    ['brow', 'eyes', 0.12, 0.4],
    ['eye', 'eyes', 0.24, 0.48],
    ['nose-root', 'nose', 0.15, 0.46],
    ['nose-tip', 'nose', 0, 0.66],
    ['nose-base', 'nose', 0.11, 0.71],
    ['lip-upper', 'mouth', 0.08, 0.78],
    ['lip-lower', 'mouth', 0.1, 0.84],
    ['jaw', 'head', 0.52, 0.87],
    ['ear-top', 'ears', 0.62, 0.44],
    ['ear-bottom', 'ears', 0.58, 0.68],
    ['nape', 'head', 0.94, 0.72],
    ['neck-front', 'neck', 0.4, 1.04],
  ),
  joined: [
    ['hairline', 'brow', 'nose-root', 'nose-tip', 'nose-base', 'lip-upper', 'lip-lower', 'chin', 'jaw', 'ear-bottom', 'ear-top'],
    ['crown', 'nape'],
  ],
  drawing: [
    'M22 15C16 24 13 32 12 40L15 46C11 54 4 60 0 66L11 71L8 78L12 81L10 84L13 89C11 94 12 98 16 100C28 101 42 95 52 87L58 68',
    'M22 15C32 4 46 0 60 0C88 0 102 20 99 42C98 56 95 64 94 72L96 112',
    'M40 97L43 116',
    'M22 15C40 18 56 26 62 44',
    'M62 44Q71 46 67 57Q64 68 58 68',
    'M27 45L18 48L27 51',
  ],
  measures: [
    ...faceHeights({
      brow: down('brow'),
      eyes: down('eye'),
      nose: down('nose-base'),
      mouth: meanOfKnown(down('lip-upper'), down('lip-lower')),
    }),
    { name: 'nose-projection', unit: 'ratio', of: over(projection, head), canon: null },
    { name: 'face-angle', unit: 'degrees', of: faceAngle, canon: null },
    { name: 'ear-place', unit: 'ratio', of: ear, canon: null },
    { name: 'head-depth', unit: 'ratio', of: over(level('brow', 'nape'), head), canon: null },
  ],
};
