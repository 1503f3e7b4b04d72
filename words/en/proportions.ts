/** What is said of each measure of proportion: its name, and findings about it. Values come as shares, degrees, heads or eye widths. */
const M = '{much, select, much {much } other {}}';
const PAIR = '{piece} against {master}';
const RULER = 'Next time lay the pencil along it on the source, then on the drawing.';
const step = (what: string) => `Next time measure ${what} on the source, and step it off on the drawing.`;

const measure = (title: string, above: string, below: string, tryAbove: string, tryBelow = tryAbove) => ({
  title,
  above: `${above}: ${PAIR}.`,
  below: `${below}: ${PAIR}.`,
  tryAbove,
  tryBelow,
});

export const proportions = {
  'eye-line': measure(
    'Eyes: how far down the head, from the top',
    `The eyes sit ${M}lower in the head than the master’s`,
    `The eyes sit ${M}higher in the head than the master’s`,
    'Next time measure down from the top of the skull before you draw the eyes.',
  ),
  'brow-third': measure(
    'Forehead: hairline to brow, of the face below the hair',
    `The forehead is ${M}higher than the master’s`,
    `The forehead is ${M}lower than the master’s`,
    step('from hairline to brow'),
  ),
  'nose-third': measure(
    'Nose: brow to nose, of the face below the hair',
    `The nose is ${M}longer in the face than the master’s`,
    `The nose is ${M}shorter in the face than the master’s`,
    step('from brow to nose'),
  ),
  'mouth-line': measure(
    'Mouth: how far down, from nose to chin',
    `The mouth sits ${M}lower between nose and chin than the master’s`,
    `The mouth sits ${M}higher between nose and chin than the master’s`,
    step('from nose to mouth'),
  ),
  'eye-width': measure(
    'Width of an eye, of the face',
    `The eyes are ${M}wider in the face than the master’s`,
    `The eyes are ${M}narrower in the face than the master’s`,
    step('one eye'),
  ),
  'eye-gap': measure(
    'Gap between the eyes, in eye widths',
    `The eyes stand ${M}farther apart than the master’s`,
    `The eyes stand ${M}closer together than the master’s`,
    'Next time see how many eyes fit between the eyes.',
  ),
  'eye-height': measure(
    'How open the eye is, of its width',
    `The eyes are ${M}more open than the master’s`,
    `The eyes are ${M}less open than the master’s`,
    step('the open eye'),
  ),
  'pupil-size': measure(
    'Size of the pupil, of the eye',
    `The pupils are ${M}larger in the eye than the master’s`,
    `The pupils are ${M}smaller in the eye than the master’s`,
    step('the pupil'),
  ),
  'mouth-width': measure(
    'Width of the mouth, of the distance between the pupils',
    `The mouth is ${M}wider than the master’s`,
    `The mouth is ${M}narrower than the master’s`,
    'Next time drop a line from each pupil to the corner of the mouth.',
  ),
  'nose-width': measure(
    'Width of the nose, of the gap between the eyes',
    `The nose is ${M}wider than the master’s`,
    `The nose is ${M}narrower than the master’s`,
    'Next time drop a line from the inner corner of each eye.',
  ),
  'face-shape': measure(
    'Width of the face, of the head’s height',
    `The face is ${M}wider for its height than the master’s`,
    `The face is ${M}narrower for its height than the master’s`,
    step('the width of the face'),
  ),
  'neck-width': measure(
    'Width of the neck, of the face',
    `The neck is ${M}wider for the face than the master’s`,
    `The neck is ${M}narrower for the face than the master’s`,
    step('the neck'),
  ),
  'neck-length': measure(
    'Length of the neck, of the head’s height',
    `The neck is ${M}longer for the head than the master’s`,
    `The neck is ${M}shorter for the head than the master’s`,
    step('from chin to the pit of the neck'),
  ),
  'eye-tilt': measure(
    'Tilt of the eyes',
    `The line of the eyes climbs ${M}more to the right than the master’s`,
    `The line of the eyes falls ${M}more to the right than the master’s`,
    RULER,
  ),
  'mouth-tilt': measure(
    'Tilt of the mouth',
    `The line of the mouth climbs ${M}more to the right than the master’s`,
    `The line of the mouth falls ${M}more to the right than the master’s`,
    RULER,
  ),
  'eye-level': measure(
    'How much higher the right eye sits, of the head',
    `The right eye sits ${M}higher against the left than the master’s`,
    `The right eye sits ${M}lower against the left than the master’s`,
    'Next time draw a light line through both eyes first.',
  ),
  'heads-tall': measure(
    'Height, counted in heads',
    `The figure is ${M}taller for its head than the master’s`,
    `The figure is ${M}shorter for its head than the master’s`,
    'Next time make the head larger or the body shorter.',
    'Next time make the head smaller or the body longer.',
  ),
  'shoulder-width': measure(
    'Width of the shoulders, counted in heads',
    `The shoulders are ${M}wider for the head than the master’s`,
    `The shoulders are ${M}narrower for the head than the master’s`,
    'Next time see how many heads wide the shoulders are on the source, and step that off on the drawing.',
  ),
  'hand-length': measure(
    'Length of the hand, of the head’s height',
    `The hands are ${M}longer for the head than the master’s`,
    `The hands are ${M}shorter for the head than the master’s`,
    step('the hand against the face'),
  ),
  'arm-length': measure(
    'Length of the arm, counted in heads',
    `The arms are ${M}longer for the head than the master’s`,
    `The arms are ${M}shorter for the head than the master’s`,
    'Next time see where the wrist comes to on the leg.',
  ),
  'leg-share': measure(
    'Legs, of the whole height',
    `The legs take up ${M}more of the height than the master’s`,
    `The legs take up ${M}less of the height than the master’s`,
    'Next time mark the middle of the figure first.',
  ),
  'foot-length': measure(
    'Foot, of the whole height',
    `The feet are ${M}longer for the height than the master’s`,
    `The feet are ${M}shorter for the height than the master’s`,
    step('the foot'),
  ),
  'waist-width': measure(
    'Waist, of the shoulders',
    `The waist is ${M}wider for the shoulders than the master’s`,
    `The waist is ${M}narrower for the shoulders than the master’s`,
    step('the waist'),
  ),
  'hem-width': measure(
    'Hem of the garment, of the shoulders',
    `The hem is ${M}wider for the shoulders than the master’s`,
    `The hem is ${M}narrower for the shoulders than the master’s`,
    step('the hem'),
  ),
  lean: measure(
    'Lean from the plumb line',
    `The figure leans ${M}more to the left than the master’s`,
    `The figure leans ${M}more to the right than the master’s`,
    'Next time hang a plumb line first.',
  ),
} as const;

/** Templates of points, the points themselves, and the parts that go their own way at Make. */
export const templates = {
  'face-front': 'Face from the front',
  'figure-standing': 'Standing figure',
} as const;

export const points = {
  'face-front': {
    crown: 'top of the skull',
    chin: 'lowest point of the chin',
    hairline: 'hairline in the middle',
    'brow-left': 'brow over the left eye',
    'brow-right': 'brow over the right eye',
    'eye-left-outer': 'left eye, outer corner',
    'eye-left-inner': 'left eye, inner corner',
    'eye-right-inner': 'right eye, inner corner',
    'eye-right-outer': 'right eye, outer corner',
    'pupil-left': 'middle of the left pupil',
    'pupil-right': 'middle of the right pupil',
    'nose-left': 'left wing of the nose',
    'nose-right': 'right wing of the nose',
    'nose-base': 'spot just under the nose',
    'mouth-left': 'left corner of the mouth',
    'mouth-right': 'right corner of the mouth',
    'mouth-centre': 'middle of the lips',
    'face-left': 'left edge of the face at the eyes',
    'face-right': 'right edge of the face at the eyes',
    'ear-left-top': 'top of the left ear',
    'ear-left-bottom': 'bottom of the left ear',
    'ear-right-top': 'top of the right ear',
    'ear-right-bottom': 'bottom of the right ear',
    'neck-left': 'left side of the neck',
    'neck-right': 'right side of the neck',
    'neck-base': 'pit of the neck',
  },
  'figure-standing': {
    crown: 'top of the head',
    chin: 'lowest point of the chin',
    sole: 'ground under the feet',
    'neck-base': 'pit of the neck',
    'shoulder-left': 'left shoulder',
    'shoulder-right': 'right shoulder',
    'elbow-left': 'left elbow',
    'elbow-right': 'right elbow',
    'wrist-left': 'left wrist',
    'wrist-right': 'right wrist',
    'fingertip-left': 'left fingertips',
    'fingertip-right': 'right fingertips',
    'waist-left': 'left side of the waist',
    'waist-right': 'right side of the waist',
    crotch: 'spot where the legs part',
    'knee-left': 'left knee',
    'knee-right': 'right knee',
    'ankle-left': 'left ankle',
    'ankle-right': 'right ankle',
    heel: 'back of one foot',
    toe: 'front of the same foot',
    'hem-left': 'garment, left end of the hem',
    'hem-right': 'garment, right end of the hem',
  },
} as const;

export const parts = {
  'face-front': { head: 'skull and face', eyes: 'eyes and brows', nose: 'nose', mouth: 'mouth', ears: 'ears', neck: 'neck' },
  'figure-standing': {
    head: 'head and neck',
    trunk: 'shoulders and waist',
    arms: 'arms and hands',
    legs: 'legs and feet',
    garment: 'garment',
  },
} as const;
