/** A standing figure with hands and feet in view. */
import { between, over, Template } from '../template';
import { arms, BODY_PARTS, BODY_POINTS, feet, hand, head, height, JOINED, lean, limbs, shoulders } from './body';

export const figureStanding: Template = {
  symmetric: true,
  unit: ['crown', 'chin'],
  parts: BODY_PARTS,
  points: BODY_POINTS,
  joined: JOINED,
  drawing: limbs(BODY_POINTS),
  measures: [
    { name: 'heads-tall', unit: 'heads', of: over(height, head), canon: 7.5, vitruvius: 8 },
    { name: 'shoulder-width', unit: 'heads', of: over(shoulders, head), canon: 2 },
    { name: 'hand-length', unit: 'ratio', of: over(hand, head), canon: 0.75 },
    { name: 'arm-length', unit: 'heads', of: over(arms, head), canon: 2.3 },
    { name: 'leg-share', unit: 'ratio', of: over(between('crotch', 'sole'), height), canon: 0.48 },
    { name: 'foot-length', unit: 'ratio', of: over(feet, height), canon: 0.15, vitruvius: 1 / 6 },
    { name: 'neck-length', unit: 'ratio', of: over(between('chin', 'neck-base'), head), canon: 0.33 },
    { name: 'waist-width', unit: 'ratio', of: over(between('waist-left', 'waist-right'), shoulders), canon: 0.7 },
    { name: 'hem-width', unit: 'ratio', of: over(between('hem-left', 'hem-right'), shoulders), canon: null },
    { name: 'lean', unit: 'degrees', of: lean, canon: null },
  ],
};
