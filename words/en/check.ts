/** Where a drawing departs from its source, once the one is laid over the other. */
export const check = {
  title: 'Held against the source',
  against: 'Against',
  work: '{title}, {name}',
  reference: 'own reference: {title}',
  none: 'Place the same points on a work, and the drawing is held against it here.',
  few: 'Place at least three points that both have.',
  carry: 'Begin with the source’s places',
  size: '{part}: {by} {way, select, larger {larger} other {smaller}} against the whole.',
  shift: '{part}: {by} too {way, select, left {far left} right {far right} low {low} other {high}}.',
  turn: 'The line from {from} to {to} is turned by {by} {way, select, clockwise {clockwise} other {anticlockwise}}.',
  within: 'Nothing is off by more than {part} of the whole, or {degrees}.',
  rest: '{n, plural, one {one smaller departure} other {{n, number} smaller departures}}',
  arrows: 'Arrows lead from where the source has a point to where the drawing has it.',
} as const;
