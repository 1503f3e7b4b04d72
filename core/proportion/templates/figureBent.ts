/** A figure kneeling, lying, reaching or leaning: measured along its limbs, with the angles of its joints. */
import { between, corner, meanOfKnown, over, Reading, shownBy, Template } from '../template';
import { arms, BODY_PARTS, hand, head, JOINED, legs, limbs, shoulders, standingAs, thighToShank } from './body';

const sides = (joint: (side: 'left' | 'right') => Reading): Reading => meanOfKnown(joint('left'), joint('right'));

/** How far the way from crown over crotch to sole turns at the crotch; 0 where it is straight. */
const straight = corner('crown', 'crotch', 'sole');
const action: Reading = shownBy((points) => {
  const angle = straight(points);
  return angle === null ? null : 180 - angle;
}, straight.lines);

const points = standingAs({
  crown: [0.86, 0.1],
  chin: [0.8, 0.24],
  'neck-base': [0.73, 0.27],
  'shoulder-left': [0.68, 0.34],
  'shoulder-right': [0.72, 0.24],
  'elbow-left': [0.82, 0.52],
  'elbow-right': [0.9, 0.42],
  'wrist-left': [0.94, 0.68],
  'wrist-right': [1, 0.58],
  'fingertip-left': [0.98, 0.76],
  'fingertip-right': [1.04, 0.66],
  'waist-left': [0.46, 0.52],
  'waist-right': [0.5, 0.38],
  crotch: [0.34, 0.54],
  'knee-left': [0.44, 0.92],
  'knee-right': [0.56, 0.84],
  'ankle-left': [0.1, 0.94],
  'ankle-right': [0.5, 0.98],
  heel: [0.06, 0.9],
  toe: [0.04, 1],
  sole: [0.06, 0.98],
  'hem-left': [0.24, 0.8],
  'hem-right': [0.58, 0.76],
});

export const figureBent: Template = {
  unit: ['crown', 'chin'],
  parts: BODY_PARTS,
  points,
  joined: JOINED,
  drawing: limbs(points),
  measures: [
    { name: 'trunk-length', unit: 'heads', of: over(between('neck-base', 'crotch'), head), canon: null },
    { name: 'leg-length', unit: 'heads', of: over(legs, head), canon: null },
    { name: 'arm-length', unit: 'heads', of: over(arms, head), canon: 2.3 },
    { name: 'hand-length', unit: 'ratio', of: over(hand, head), canon: 0.75 },
    { name: 'shoulder-width', unit: 'heads', of: over(shoulders, head), canon: 2 },
    { name: 'thigh-to-shank', unit: 'ratio', of: thighToShank, canon: null },
    { name: 'elbow-angle', unit: 'degrees', of: sides((s) => corner(`shoulder-${s}`, `elbow-${s}`, `wrist-${s}`)), canon: null },
    { name: 'knee-angle', unit: 'degrees', of: sides((s) => corner('crotch', `knee-${s}`, `ankle-${s}`)), canon: null },
    { name: 'hip-angle', unit: 'degrees', of: sides((s) => corner('neck-base', 'crotch', `knee-${s}`)), canon: null },
    { name: 'line-of-action', unit: 'degrees', of: action, canon: null },
  ],
};
