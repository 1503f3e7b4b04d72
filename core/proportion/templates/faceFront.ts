/** A face seen from the front. */
import {
  between,
  meanOfAll,
  meanOfKnown,
  over,
  placeBetween,
  pointsOf,
  Reading,
  shownBy,
  span,
  Template,
  tilt,
  times,
  unsigned,
} from '../template';
import { axis, faceHeights } from './head';

const { down, head } = axis;
const face = between('face-left', 'face-right');
const gap = between('eye-left-inner', 'eye-right-inner');
const brow = meanOfKnown(down('brow-left'), down('brow-right'));
type Side = 'left' | 'right';
/** The same on both sides. */
const each = (of: (side: Side) => Reading): Reading => meanOfKnown(of('left'), of('right'));
/** Left over right: a pair that the master made unequal is told as that, never as a fault. */
const pair = (of: (side: Side) => Reading): Reading => over(of('left'), of('right'));
const eye = (side: Side) => between(`eye-${side}-outer`, `eye-${side}-inner`);
const opening = (side: Side) => between(`eye-${side}-top`, `eye-${side}-bottom`);
const pupil = (side: Side) => times(2, between(`pupil-${side}`, `pupil-${side}-rim`));
const eyeLine = meanOfAll(...['eye-left-outer', 'eye-left-inner', 'eye-right-inner', 'eye-right-outer'].map(down));
/** How far the inner end of a brow lies below the outer one, in degrees. */
const browSlope = (side: Side): Reading => {
  const of = unsigned(tilt(`brow-${side}-outer`, `brow-${side}-inner`));
  return shownBy((points) => {
    const value = of(points);
    return value === null ? null : points[`brow-${side}-inner`][1] < points[`brow-${side}-outer`][1] ? -value : value;
  }, of.lines);
};
const gaze = meanOfKnown(
  placeBetween(['eye-left-outer', 'eye-left-inner'], 'pupil-left'),
  placeBetween(['eye-right-inner', 'eye-right-outer'], 'pupil-right'),
);

export const faceFront: Template = {
  symmetric: true,
  parts: ['head', 'eyes', 'nose', 'mouth', 'ears', 'neck'],
  points: pointsOf(
    ['crown', 'head', 0.5, 0],
    ['chin', 'head', 0.5, 1],
    ['hairline', 'head', 0.5, 0.14],
    ['brow-left', 'eyes', 0.32, 0.42],
    ['brow-right', 'eyes', 0.68, 0.42],
    ['eye-left-outer', 'eyes', 0.22, 0.5],
    ['eye-left-inner', 'eyes', 0.42, 0.5],
    ['eye-right-inner', 'eyes', 0.58, 0.5],
    ['eye-right-outer', 'eyes', 0.78, 0.5],
    ['pupil-left', 'eyes', 0.32, 0.5],
    ['pupil-right', 'eyes', 0.68, 0.5],
    ['nose-left', 'nose', 0.42, 0.68],
    ['nose-right', 'nose', 0.58, 0.68],
    ['nose-base', 'nose', 0.5, 0.7],
    ['mouth-left', 'mouth', 0.36, 0.8],
    ['mouth-right', 'mouth', 0.64, 0.8],
    ['mouth-centre', 'mouth', 0.5, 0.8],
    ['face-left', 'head', 0.05, 0.52],
    ['face-right', 'head', 0.95, 0.52],
    ['ear-left-top', 'ears', 0.01, 0.44],
    ['ear-left-bottom', 'ears', 0.04, 0.68],
    ['ear-right-top', 'ears', 0.99, 0.44],
    ['ear-right-bottom', 'ears', 0.96, 0.68],
    ['neck-left', 'neck', 0.22, 1.1],
    ['neck-right', 'neck', 0.78, 1.1],
    ['neck-base', 'neck', 0.5, 1.3],
    // What a close look adds: lids, rims of the pupils, ends of the brows.
    ['eye-left-top', 'eyes', 0.32, 0.47],
    ['eye-left-bottom', 'eyes', 0.32, 0.53],
    ['eye-right-top', 'eyes', 0.68, 0.47],
    ['eye-right-bottom', 'eyes', 0.68, 0.53],
    ['pupil-left-rim', 'eyes', 0.35, 0.5],
    ['pupil-right-rim', 'eyes', 0.71, 0.5],
    ['brow-left-outer', 'eyes', 0.21, 0.45],
    ['brow-left-inner', 'eyes', 0.42, 0.43],
    ['brow-right-inner', 'eyes', 0.58, 0.43],
    ['brow-right-outer', 'eyes', 0.79, 0.45],
  ),
  joined: [
    ['crown', 'hairline', 'nose-base', 'mouth-centre', 'chin'],
    ['face-left', 'face-right'],
    ['eye-left-outer', 'eye-left-inner'],
    ['eye-right-inner', 'eye-right-outer'],
    ['nose-left', 'nose-base', 'nose-right'],
    ['mouth-left', 'mouth-centre', 'mouth-right'],
  ],
  drawing: [
    'M50 0C80 0 97 26 95 52C93 80 70 100 50 100C30 100 7 80 5 52C3 26 20 0 50 0Z',
    'M8 36C18 16 34 14 50 14C66 14 82 16 92 36',
    'M22 50Q32 44 42 50Q32 56 22 50ZM58 50Q68 44 78 50Q68 56 58 50Z',
    'M21 45Q32 38 42 43M58 43Q68 38 79 45',
    'M47 50L44 64Q40 70 50 71Q60 70 56 64L53 50',
    'M36 80Q43 77 50 78Q57 77 64 80Q50 87 36 80Z',
    'M5 46Q-4 43 -2 56Q0 67 7 68M95 46Q104 43 102 56Q100 67 93 68',
    'M22 92V116Q24 126 4 132M78 92V116Q76 126 96 132',
  ],
  unit: ['crown', 'chin'],
  stands: [
    { point: 'mouth-left', of: 'pupil-left', as: 'under' },
    { point: 'mouth-right', of: 'pupil-right', as: 'under' },
    { point: 'nose-left', of: 'eye-left-inner', as: 'under' },
    { point: 'nose-right', of: 'eye-right-inner', as: 'under' },
    { point: 'chin', of: 'nose-base', as: 'under' },
    { point: 'ear-left-top', of: 'brow-left', as: 'level' },
    { point: 'ear-right-top', of: 'brow-right', as: 'level' },
    { point: 'ear-left-bottom', of: 'nose-base', as: 'level' },
    { point: 'ear-right-bottom', of: 'nose-base', as: 'level' },
  ],
  measures: [
    ...faceHeights({ brow, eyes: eyeLine, nose: down('nose-base'), mouth: down('mouth-centre') }),
    { name: 'eye-width', unit: 'ratio', of: over(each(eye), face), canon: 0.2 },
    { name: 'eye-gap', unit: 'ratio', of: over(gap, each(eye)), canon: 1 },
    { name: 'eye-height', unit: 'ratio', of: each((side) => over(opening(side), eye(side))), canon: null },
    { name: 'pupil-size', unit: 'ratio', of: each((side) => over(pupil(side), eye(side))), canon: null },
    { name: 'mouth-width', unit: 'ratio', of: over(between('mouth-left', 'mouth-right'), between('pupil-left', 'pupil-right')), canon: 1 },
    { name: 'nose-width', unit: 'ratio', of: over(between('nose-left', 'nose-right'), gap), canon: 1 },
    { name: 'face-shape', unit: 'ratio', of: over(face, head), canon: 0.67 },
    { name: 'neck-width', unit: 'ratio', of: over(between('neck-left', 'neck-right'), face), canon: 0.6 },
    { name: 'neck-length', unit: 'ratio', of: over(between('chin', 'neck-base'), head), canon: 0.33 },
    { name: 'eye-tilt', unit: 'degrees', of: tilt('eye-left-outer', 'eye-right-outer'), canon: null, even: 0 },
    { name: 'mouth-tilt', unit: 'degrees', of: tilt('mouth-left', 'mouth-right'), canon: null, even: 0 },
    // Height grows upward, the axis downward: the right pupil higher is positive.
    { name: 'eye-level', unit: 'offset', of: over(span(down('pupil-right'), down('pupil-left')), head), canon: null, even: 0 },
    { name: 'brow-slope-left', unit: 'degrees', of: browSlope('left'), canon: null },
    { name: 'brow-slope-right', unit: 'degrees', of: browSlope('right'), canon: null },
    { name: 'gaze', unit: 'ratio', of: gaze, canon: null },
    { name: 'eye-width-pair', unit: 'ratio', of: pair(eye), canon: null, even: 1 },
    { name: 'eye-height-pair', unit: 'ratio', of: pair(opening), canon: null, even: 1 },
    { name: 'pupil-size-pair', unit: 'ratio', of: pair(pupil), canon: null, even: 1 },
    { name: 'ear-length-pair', unit: 'ratio', of: pair((side) => between(`ear-${side}-top`, `ear-${side}-bottom`)), canon: null, even: 1 },
    { name: 'nose-wing-pair', unit: 'ratio', of: pair((side) => between(`nose-${side}`, 'nose-base')), canon: null, even: 1 },
  ],
};
