/** A face turned from the front, to either side; the near side is the one turned to us. */
import { between, corner, meanOfAll, over, placeBetween, pointsOf, Template, tilt, unsigned } from '../template';
import { axis, faceHeights } from './head';

const { down } = axis;
const brow = down('brow');
const EYES = ['eye-far-outer', 'eye-far-inner', 'eye-near-inner', 'eye-near-outer'];

export const faceThreeQuarter: Template = {
  unit: ['crown', 'chin'],
  parts: ['head', 'eyes', 'nose', 'mouth', 'ears'],
  points: pointsOf(
    ['crown', 'head', 0.55, 0],
    ['chin', 'head', 0.34, 1],
    ['hairline', 'head', 0.36, 0.15],
    ['brow', 'eyes', 0.3, 0.42],
    ['eye-near-outer', 'eyes', 0.62, 0.5],
    ['eye-near-inner', 'eyes', 0.43, 0.51],
    ['eye-far-inner', 'eyes', 0.27, 0.51],
    ['eye-far-outer', 'eyes', 0.14, 0.5],
    ['nose-tip', 'nose', 0.22, 0.66],
    ['nose-base', 'nose', 0.29, 0.7],
    ['mouth-near', 'mouth', 0.48, 0.81],
    ['mouth-far', 'mouth', 0.2, 0.81],
    ['mouth-centre', 'mouth', 0.3, 0.81],
    ['cheek-far', 'head', 0.09, 0.6],
    ['jaw-near', 'head', 0.77, 0.84],
    ['ear-near-top', 'ears', 0.86, 0.44],
    ['ear-near-bottom', 'ears', 0.82, 0.68],
    ['nape-near', 'head', 0.97, 0.8],
  ),
  joined: [
    ['crown', 'hairline', 'brow', 'nose-tip', 'nose-base', 'mouth-centre', 'chin'],
    ['eye-far-outer', 'eye-far-inner'],
    ['eye-near-inner', 'eye-near-outer'],
    ['mouth-far', 'mouth-centre', 'mouth-near'],
    ['chin', 'jaw-near', 'ear-near-bottom', 'ear-near-top'],
  ],
  drawing: [
    'M34 100C22 99 14 86 12 74C10 68 9 64 9 60C9 54 12 50 11 42C10 16 30 0 55 0C84 0 100 20 98 46C97 60 96 70 97 80',
    'M34 100C50 100 68 93 77 84L82 68',
    'M36 15C26 20 18 26 12 36M36 15C52 10 74 20 80 44',
    'M14 50Q20 45 27 51Q20 54 14 50ZM43 51Q52 44 62 50Q52 56 43 51Z',
    'M13 43Q20 39 28 43M42 43Q52 38 64 43',
    'M28 50L22 66Q21 71 29 70Q34 70 36 66',
    'M20 81Q26 77 30 79Q38 77 48 81Q34 87 20 81Z',
    'M86 44Q95 46 91 58Q88 68 82 68',
    'M97 80V112M52 98V114',
  ],
  measures: [
    ...faceHeights({ brow, eyes: meanOfAll(...EYES.map(down)), nose: down('nose-base'), mouth: down('mouth-centre') }),
    {
      name: 'eye-pair',
      unit: 'ratio',
      of: over(between('eye-far-outer', 'eye-far-inner'), between('eye-near-inner', 'eye-near-outer')),
      canon: null,
    },
    { name: 'midline', unit: 'ratio', of: placeBetween(['cheek-far', 'ear-near-bottom'], 'nose-base'), canon: null },
    {
      name: 'mouth-pair',
      unit: 'ratio',
      of: over(between('mouth-centre', 'mouth-far'), between('mouth-centre', 'mouth-near')),
      canon: null,
    },
    { name: 'jaw-angle', unit: 'degrees', of: corner('chin', 'jaw-near', 'ear-near-bottom'), canon: null },
    { name: 'eye-tilt', said: 'eye-slope', unit: 'degrees', of: unsigned(tilt('eye-far-outer', 'eye-near-outer')), canon: null },
  ],
};
