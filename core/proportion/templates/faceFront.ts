/** A face seen from the front. */
import { along, between, meanOfAll, meanOfKnown, over, pointsOf, span, Template, tilt } from '../template';

// Heights along the axis from crown to chin.
const down = (name: string) => along(['crown', 'chin'], name);
const head = between('crown', 'chin');
const face = between('face-left', 'face-right');
const gap = between('eye-left-inner', 'eye-right-inner');
const hair = down('hairline');
const brow = meanOfKnown(down('brow-left'), down('brow-right'));
const nose = down('nose-base');
const hairToChin = span(hair, head);
const eyeWidth = meanOfKnown(between('eye-left-outer', 'eye-left-inner'), between('eye-right-inner', 'eye-right-outer'));
const eyeHeight = meanOfKnown(between('eye-left-top', 'eye-left-bottom'), between('eye-right-top', 'eye-right-bottom'));
const pupil = meanOfKnown(between('pupil-left-inner', 'pupil-left-outer'), between('pupil-right-inner', 'pupil-right-outer'));
const eyeLine = meanOfAll(...['eye-left-outer', 'eye-left-inner', 'eye-right-inner', 'eye-right-outer'].map(down));

export const faceFront: Template = {
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
  ),
  measures: [
    { name: 'eye-line', unit: 'ratio', of: over(eyeLine, head), canon: 0.5 },
    { name: 'brow-third', unit: 'ratio', of: over(span(hair, brow), hairToChin), canon: 1 / 3, vitruvius: 1 / 3 },
    { name: 'nose-third', unit: 'ratio', of: over(span(brow, nose), hairToChin), canon: 1 / 3, vitruvius: 1 / 3 },
    { name: 'mouth-line', unit: 'ratio', of: over(span(nose, down('mouth-centre')), span(nose, head)), canon: 1 / 3 },
    { name: 'eye-width', unit: 'ratio', of: over(eyeWidth, face), canon: 0.2 },
    { name: 'eye-gap', unit: 'ratio', of: over(gap, eyeWidth), canon: 1 },
    { name: 'eye-height', unit: 'ratio', of: over(eyeHeight, eyeWidth), canon: null },
    { name: 'pupil-size', unit: 'ratio', of: over(pupil, eyeWidth), canon: null },
    { name: 'mouth-width', unit: 'ratio', of: over(between('mouth-left', 'mouth-right'), between('pupil-left', 'pupil-right')), canon: 1 },
    { name: 'nose-width', unit: 'ratio', of: over(between('nose-left', 'nose-right'), gap), canon: 1 },
    { name: 'face-shape', unit: 'ratio', of: over(face, head), canon: 0.67 },
    { name: 'neck-width', unit: 'ratio', of: over(between('neck-left', 'neck-right'), face), canon: 0.6 },
    { name: 'neck-length', unit: 'ratio', of: over(between('chin', 'neck-base'), head), canon: 0.33 },
    { name: 'eye-tilt', unit: 'degrees', of: tilt('eye-left-outer', 'eye-right-outer'), canon: null },
    { name: 'mouth-tilt', unit: 'degrees', of: tilt('mouth-left', 'mouth-right'), canon: null },
    // Height grows upward, the axis downward: the right pupil higher is positive.
    { name: 'eye-level', unit: 'offset', of: over(span(down('pupil-right'), down('pupil-left')), head), canon: null },
  ],
};
