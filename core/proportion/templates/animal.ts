/** Animals: the whole from the side, facing either way, and the face from the front. */
import { between, level, meanOfAll, meanOfKnown, over, plumb, pointsOf, span, Template, tilt, times, unsigned } from '../template';
import { axis } from './head';

const { down, head } = axis;
const withers = plumb('withers', 'fore-foot');

export const animalSide: Template = {
  parts: ['head', 'trunk', 'legs', 'tail'],
  points: pointsOf(
    ['withers', 'trunk', 0.34, 0.24],
    ['fore-foot', 'legs', 0.35, 1],
    ['poll', 'head', 0.17, 0.02],
    ['muzzle', 'head', 0, 0.24],
    ['eye', 'head', 0.11, 0.1],
    ['chest', 'trunk', 0.26, 0.46],
    ['elbow', 'legs', 0.35, 0.56],
    ['croup', 'trunk', 0.84, 0.24],
    ['tail-root', 'tail', 0.94, 0.32],
    ['tail-tip', 'tail', 1, 0.78],
    ['belly', 'trunk', 0.58, 0.62],
    ['stifle', 'legs', 0.76, 0.58],
    ['hock', 'legs', 0.86, 0.77],
    ['hind-foot', 'legs', 0.8, 1],
  ),
  joined: [
    ['muzzle', 'poll', 'withers', 'croup', 'tail-root', 'tail-tip'],
    ['chest', 'elbow', 'fore-foot'],
    ['elbow', 'belly', 'stifle', 'hock', 'hind-foot'],
  ],
  drawing: [
    'M0 24C4 12 8 5 17 2L20 6C25 12 28 18 34 24C48 30 68 20 84 24Q92 26 94 32C99 44 98 62 100 78',
    'M0 24L3 29Q12 26 17 23Q20 34 26 46Q29 52 32 56',
    'M31 54L33 80L32 100H38L38 78L41 58Q52 64 70 56',
    'M94 32Q93 46 86 54L82 64L86 77L82 90V100H76L79 90L80 77L72 62L70 56',
    'M14 2L15 -5L19 3',
  ],
  measures: [
    { name: 'body-shape', unit: 'ratio', of: over(level('chest', 'tail-root'), withers), canon: null },
    { name: 'head-length', unit: 'ratio', of: over(between('muzzle', 'poll'), withers), canon: null },
    { name: 'leg-share', said: 'leg-share-animal', unit: 'ratio', of: over(plumb('elbow', 'fore-foot'), withers), canon: null },
    { name: 'neck-length', said: 'neck-length-animal', unit: 'ratio', of: over(between('poll', 'withers'), withers), canon: null },
    { name: 'back-tilt', unit: 'degrees', of: unsigned(tilt('withers', 'croup')), canon: null },
    { name: 'head-angle', unit: 'degrees', of: unsigned(tilt('poll', 'muzzle')), canon: null },
  ],
};

const eye = meanOfKnown(between('eye-left-outer', 'eye-left-inner'), between('eye-right-inner', 'eye-right-outer'));
const eyes = meanOfAll(...['eye-left-outer', 'eye-left-inner', 'eye-right-inner', 'eye-right-outer'].map(down));

export const animalFront: Template = {
  symmetric: true,
  parts: ['head', 'ears', 'eyes', 'muzzle'],
  points: pointsOf(
    ['crown', 'head', 0.5, 0],
    ['chin', 'muzzle', 0.5, 1],
    ['ear-left-tip', 'ears', 0.08, -0.36],
    ['ear-right-tip', 'ears', 0.92, -0.36],
    ['eye-left-outer', 'eyes', 0.18, 0.34],
    ['eye-left-inner', 'eyes', 0.36, 0.38],
    ['eye-right-inner', 'eyes', 0.64, 0.38],
    ['eye-right-outer', 'eyes', 0.82, 0.34],
    ['muzzle-top', 'muzzle', 0.5, 0.62],
    ['nose', 'muzzle', 0.5, 0.7],
    ['mouth', 'muzzle', 0.5, 0.84],
    ['face-left', 'head', 0, 0.45],
    ['face-right', 'head', 1, 0.45],
  ),
  joined: [
    ['crown', 'muzzle-top', 'nose', 'mouth', 'chin'],
    ['ear-left-tip', 'crown', 'ear-right-tip'],
    ['eye-left-outer', 'eye-left-inner'],
    ['eye-right-inner', 'eye-right-outer'],
    ['face-left', 'face-right'],
  ],
  drawing: [
    'M30 6C12 14 0 30 0 46C2 66 20 84 34 92Q50 106 66 92C80 84 98 66 100 46C100 30 88 14 70 6Q50 -4 30 6Z',
    'M6 24Q0 -10 8 -36Q26 -18 32 5M94 24Q100 -10 92 -36Q74 -18 68 5',
    'M18 34Q28 26 36 38Q26 42 18 34ZM64 38Q72 26 82 34Q74 42 64 38Z',
    'M40 62Q50 58 60 62Q58 72 50 74Q42 72 40 62ZM50 74V84M36 86Q44 88 50 84Q56 88 64 86',
  ],
  measures: [
    { name: 'eye-line', unit: 'ratio', of: over(eyes, head), canon: null },
    { name: 'eye-gap', unit: 'ratio', of: over(between('eye-left-inner', 'eye-right-inner'), eye), canon: null },
    { name: 'muzzle-share', unit: 'ratio', of: over(span(down('muzzle-top'), head), head), canon: null },
    { name: 'ear-height', unit: 'ratio', of: over(times(-1, meanOfKnown(down('ear-left-tip'), down('ear-right-tip'))), head), canon: null },
    { name: 'face-shape', unit: 'ratio', of: over(between('face-left', 'face-right'), head), canon: null },
  ],
};
