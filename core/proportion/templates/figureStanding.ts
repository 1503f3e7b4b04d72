/** A standing figure with hands and feet in view. */
import { between, either, meanOfKnown, over, pointsOf, Reading, shownBy, sum, Template, tilt } from '../template';

const head = between('crown', 'chin');
const height = between('crown', 'sole');
const shoulders = between('shoulder-left', 'shoulder-right');
const hand = meanOfKnown(between('wrist-left', 'fingertip-left'), between('wrist-right', 'fingertip-right'));
/** Over the elbow, or straight where the elbow is hidden. */
const arm = (side: string): Reading =>
  either(
    sum(between(`shoulder-${side}`, `elbow-${side}`), between(`elbow-${side}`, `wrist-${side}`)),
    between(`shoulder-${side}`, `wrist-${side}`),
  );
/** A line straight up stands at 90° from level; what is left is the lean, positive to the left as seen (anticlockwise). */
const stance = tilt('sole', 'crown');
const lean: Reading = shownBy(
  (points) => {
    const upright = stance(points);
    return upright === null ? null : upright > 0 ? upright - 90 : upright + 90;
  },
  ({ sole, crown }) =>
    sole && crown
      ? [
          { from: sole, to: crown, as: 'length' },
          { from: sole, to: [sole[0], crown[1]], as: 'unit' },
        ]
      : [],
);

export const figureStanding: Template = {
  parts: ['head', 'trunk', 'arms', 'legs', 'garment'],
  points: pointsOf(
    ['crown', 'head', 0.5, 0],
    ['chin', 'head', 0.5, 0.13],
    ['sole', 'legs', 0.5, 1],
    ['neck-base', 'head', 0.5, 0.18],
    ['shoulder-left', 'trunk', 0.3, 0.2],
    ['shoulder-right', 'trunk', 0.7, 0.2],
    ['elbow-left', 'arms', 0.25, 0.38],
    ['elbow-right', 'arms', 0.75, 0.38],
    ['wrist-left', 'arms', 0.24, 0.5],
    ['wrist-right', 'arms', 0.76, 0.5],
    ['fingertip-left', 'arms', 0.24, 0.58],
    ['fingertip-right', 'arms', 0.76, 0.58],
    ['waist-left', 'trunk', 0.38, 0.4],
    ['waist-right', 'trunk', 0.62, 0.4],
    ['crotch', 'legs', 0.5, 0.52],
    ['knee-left', 'legs', 0.42, 0.74],
    ['knee-right', 'legs', 0.58, 0.74],
    ['ankle-left', 'legs', 0.43, 0.95],
    ['ankle-right', 'legs', 0.57, 0.95],
    ['heel', 'legs', 0.44, 0.99],
    ['toe', 'legs', 0.58, 0.99],
    ['hem-left', 'garment', 0.2, 0.85],
    ['hem-right', 'garment', 0.8, 0.85],
  ),
  measures: [
    { name: 'heads-tall', unit: 'heads', of: over(height, head), canon: 7.5, vitruvius: 8 },
    { name: 'shoulder-width', unit: 'heads', of: over(shoulders, head), canon: 2 },
    { name: 'hand-length', unit: 'ratio', of: over(hand, head), canon: 0.75 },
    { name: 'arm-length', unit: 'heads', of: over(meanOfKnown(arm('left'), arm('right')), head), canon: 2.3 },
    { name: 'leg-share', unit: 'ratio', of: over(between('crotch', 'sole'), height), canon: 0.48 },
    { name: 'foot-length', unit: 'ratio', of: over(between('heel', 'toe'), height), canon: 0.15, vitruvius: 1 / 6 },
    { name: 'neck-length', unit: 'ratio', of: over(between('chin', 'neck-base'), head), canon: 0.33 },
    { name: 'waist-width', unit: 'ratio', of: over(between('waist-left', 'waist-right'), shoulders), canon: 0.7 },
    { name: 'hem-width', unit: 'ratio', of: over(between('hem-left', 'hem-right'), shoulders), canon: null },
    { name: 'lean', unit: 'degrees', of: lean, canon: null },
  ],
};
