/** A seated figure, and a figure of which a part only is in the picture: what is hidden is left out. */
import { between, over, plumb, pointsOf, Template } from '../template';
import { arms, BODY_PARTS, hand, head, JOINED, lean, limbs, shoulders, standingAs, thighToShank } from './body';

const tall = plumb('crown', 'sole');
const measures: Template['measures'] = [
  { name: 'heads-tall', said: 'heads-tall-seen', unit: 'heads', of: over(tall, head), canon: null },
  { name: 'trunk-share', unit: 'ratio', of: over(plumb('neck-base', 'crotch'), tall), canon: null },
  { name: 'thigh-to-shank', unit: 'ratio', of: thighToShank, canon: null },
  { name: 'shoulder-width', unit: 'heads', of: over(shoulders, head), canon: 2 },
  { name: 'arm-length', unit: 'heads', of: over(arms, head), canon: 2.3 },
  { name: 'hand-length', unit: 'ratio', of: over(hand, head), canon: 0.75 },
  { name: 'neck-length', unit: 'ratio', of: over(between('chin', 'neck-base'), head), canon: 0.33 },
  { name: 'waist-width', unit: 'ratio', of: over(between('waist-left', 'waist-right'), shoulders), canon: 0.7 },
  { name: 'lean', unit: 'degrees', of: lean, canon: null },
];

const [seat] = pointsOf(['seat', 'legs', 0.5, 0.66]);
const seated = standingAs(
  {
    chin: [0.5, 0.17],
    'neck-base': [0.5, 0.22],
    'shoulder-left': [0.28, 0.26],
    'shoulder-right': [0.72, 0.26],
    'elbow-left': [0.2, 0.46],
    'elbow-right': [0.8, 0.46],
    'wrist-left': [0.34, 0.58],
    'wrist-right': [0.66, 0.58],
    'fingertip-left': [0.44, 0.62],
    'fingertip-right': [0.56, 0.62],
    'waist-left': [0.36, 0.5],
    'waist-right': [0.64, 0.5],
    crotch: [0.5, 0.63],
    'knee-left': [0.27, 0.68],
    'knee-right': [0.73, 0.68],
    'ankle-left': [0.28, 0.95],
    'ankle-right': [0.72, 0.95],
    heel: [0.26, 0.99],
    toe: [0.16, 0.99],
    'hem-left': [0.14, 0.82],
    'hem-right': [0.86, 0.82],
  },
  seat,
);

export const figureSeated: Template = {
  symmetric: true,
  unit: ['crown', 'chin'],
  parts: BODY_PARTS,
  points: seated,
  joined: JOINED,
  drawing: [...limbs(seated), 'M20 66H80M24 66V100M76 66V100'],
  measures,
};

const cut = standingAs(
  {
    chin: [0.5, 0.3],
    'neck-base': [0.5, 0.42],
    'shoulder-left': [0.14, 0.52],
    'shoulder-right': [0.86, 0.52],
    'elbow-left': [0.06, 0.9],
    'elbow-right': [0.94, 0.9],
    'wrist-left': [0.36, 0.98],
    'wrist-right': [0.64, 0.98],
    'fingertip-left': [0.46, 0.94],
    'fingertip-right': [0.54, 0.94],
    'waist-left': [0.24, 0.98],
    'waist-right': [0.76, 0.98],
  },
  pointsOf(['seat', 'legs', 0.5, 0.66])[0],
);

export const figurePart: Template = {
  symmetric: true,
  unit: ['crown', 'chin'],
  parts: BODY_PARTS,
  points: cut,
  joined: JOINED,
  drawing: [
    'M50 0C62 0 66 9 65 16C64 24 58 30 50 30C42 30 36 24 35 16C34 9 38 0 50 0Z',
    'M44 29V38Q42 44 14 50Q6 56 6 100M56 29V38Q58 44 86 50Q94 56 94 100',
    'M24 66V100M76 66V100M0 100H100',
    'M8 92L36 98L46 94M92 92L64 98L54 94',
  ],
  measures,
};
