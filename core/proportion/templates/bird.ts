/** Birds: from the side, facing either way, and with open wings. */
import { between, either, Measure, meanOfKnown, over, plumb, pointsOf, Template, tilt, unsigned } from '../template';

const body = between('breast', 'tail-root');
const measures: Measure[] = [
  { name: 'head-share', unit: 'ratio', of: over(between('crown', 'nape'), body), canon: null },
  { name: 'tail-share', unit: 'ratio', of: over(between('tail-root', 'tail-tip'), body), canon: null },
  { name: 'body-tilt', unit: 'degrees', of: unsigned(tilt('breast', 'tail-root')), canon: null },
  { name: 'wing-share', unit: 'ratio', of: over(between('wing-bend', 'wing-tip'), body), canon: null },
  { name: 'leg-share', said: 'leg-share-bird', unit: 'ratio', of: over(plumb('belly', 'foot'), body), canon: null },
];
const parts = ['head', 'trunk', 'wings', 'tail', 'legs'] as const;
const points = pointsOf(
  ['breast', 'trunk', 0.2, 0.44],
  ['tail-root', 'tail', 0.78, 0.62],
  ['bill-tip', 'head', 0, 0.16],
  ['eye', 'head', 0.15, 0.12],
  ['crown', 'head', 0.2, 0],
  ['nape', 'head', 0.33, 0.16],
  ['back', 'trunk', 0.56, 0.34],
  ['belly', 'trunk', 0.44, 0.74],
  ['wing-bend', 'wings', 0.3, 0.36],
  ['wing-tip', 'wings', 0.86, 0.66],
  ['tail-tip', 'tail', 1, 0.78],
  ['foot', 'legs', 0.46, 1],
);

export const birdSide: Template = {
  parts,
  points,
  joined: [
    ['bill-tip', 'crown', 'nape', 'back', 'tail-root', 'tail-tip'],
    ['breast', 'belly', 'tail-root'],
    ['wing-bend', 'wing-tip'],
    ['belly', 'foot'],
  ],
  drawing: [
    'M0 16L11 11C12 4 16 0 20 0C28 0 32 8 33 16C40 26 48 30 56 34C68 42 76 52 78 58L100 74V80L78 66C70 72 56 76 44 74C32 72 20 60 20 44C19 34 14 28 11 20Z',
    'M30 36C46 34 70 48 86 66C66 68 40 62 30 36Z',
    'M42 74L44 90L46 99M50 74L51 98M38 100H56',
    'M14 12A1.5 1.5 0 1 1 16 13',
  ],
  measures,
};

/** An open wing has two of them. */
const wings = either(
  between('wing-bend', 'wing-tip'),
  meanOfKnown(between('wing-left-bend', 'wing-left-tip'), between('wing-right-bend', 'wing-right-tip')),
);

const open = [
  ...points.map((p) => ({
    ...p,
    at:
      (
        {
          breast: [0.5, 0.38],
          'tail-root': [0.5, 0.72],
          'bill-tip': [0.5, 0.06],
          eye: [0.53, 0.14],
          crown: [0.47, 0.14],
          nape: [0.5, 0.26],
          back: [0.52, 0.5],
          belly: [0.48, 0.58],
          'wing-bend': [0.34, 0.26],
          'wing-tip': [0.02, 0.52],
          'tail-tip': [0.5, 0.98],
          foot: [0.46, 0.8],
        } as Record<string, readonly [number, number]>
      )[p.name] ?? p.at,
  })),
  ...pointsOf(
    ['wing-left-bend', 'wings', 0.3, 0.24],
    ['wing-left-tip', 'wings', 0, 0.44],
    ['wing-right-bend', 'wings', 0.7, 0.24],
    ['wing-right-tip', 'wings', 1, 0.44],
  ),
].filter((p) => p.name !== 'wing-bend' && p.name !== 'wing-tip');

export const birdOpen: Template = {
  symmetric: true,
  parts,
  points: open,
  joined: [
    ['bill-tip', 'nape', 'breast', 'tail-root', 'tail-tip'],
    ['wing-left-tip', 'wing-left-bend', 'breast', 'wing-right-bend', 'wing-right-tip'],
  ],
  drawing: [
    'M50 6L46 13Q44 22 47 26C42 30 42 50 44 62L42 96Q50 100 58 96L56 62C58 50 58 30 53 26Q56 22 54 13Z',
    'M46 30Q38 26 30 24Q12 28 0 44Q18 44 28 48Q38 50 44 52M54 30Q62 26 70 24Q88 28 100 44Q82 44 72 48Q62 50 56 52',
    'M20 32L18 44M30 28L30 47M80 32L82 44M70 28L70 47',
  ],
  measures: [
    ...measures.map((m) => (m.name === 'wing-share' ? { ...m, of: over(wings, body) } : m)),
    { name: 'wing-span', unit: 'ratio', of: over(between('wing-left-tip', 'wing-right-tip'), body), canon: null },
    {
      name: 'wing-angle',
      unit: 'degrees',
      of: meanOfKnown(unsigned(tilt('wing-left-bend', 'wing-left-tip')), unsigned(tilt('wing-right-bend', 'wing-right-tip'))),
      canon: null,
    },
  ],
};
