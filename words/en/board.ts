/** The lesson on the wall. */
export const board = {
  title: 'Board',
  left: 'Time left',
  over: 'Time is up',
  last: 'The last minute',
  stopped: 'stopped',
  ended: 'Kept. Well done.',
  stuck: 'If it goes wrong: {stuck}',
  next: 'Next: {title}, {minutes, plural, one {# minute} other {# minutes}}',
  nothingNext: 'Nothing comes after this.',
  back: 'Back (arrow left)',
  forward: 'On (arrow right)',
  go: 'Go on (space)',
  moreShapes: 'One shape more (arrow down)',
  lessShapes: 'One shape fewer (arrow up)',
  pause: 'Stop the clock (space)',
  more: 'Two minutes more (+)',
  soundOn: 'Sound off; ring when time is up',
  soundOff: 'Sound on; be silent',
  large: 'Fill the screen',
  period: 'Which period',
  end: 'End and keep the times',
  leave: 'To the plan',
} as const;

/** The sheet for the teacher’s hand. */
export const run = {
  page: 'Run sheet',
  title: 'Run sheet: {study}',
  about: 'For your hand in the lesson. Write what really happened into the last column.',
  at: 'at',
  what: 'what happens',
  handOut: 'hand out',
  watch: 'say and watch for',
  handIn: 'Ask before it is handed in',
  accent: 'Is the small touch of {colour} there? In the source it takes {part} of the sheet.',
  darks: 'Are the small darks there? In the source {colour} takes {part} of the sheet.',
  bare: 'Are the lights bare? In the source the sheet shows on {part}.',
  away: 'Who was away makes up {n, plural, one {# minute} other {# minutes}}:',
  helpers: 'Helpers:',
  room: 'what really happened',
} as const;

/** Warm-ups at true scale. */
export const warmUps = {
  page: 'Warm-ups',
  title: 'Warm-ups to print',
  back: 'Plan',
  measured: 'Measured on “{work}”: {gap} apart, slanting at {slant}, {length} long, {width} wide. All at true scale.',
  usual: 'No strokes have been measured: usual figures are practised. Measure a work, and its own take their place.',
  which: 'Sheets',
  suits: 'suits this lesson',
  look: 'look',
  left: 'for left hands: begun from the right',
  sheet: {
    gap: 'Gap card',
    boxes: 'Boxes to go on with',
    crossing: 'Boxes to cross',
    pressure: 'Pressure, thin to thick',
    values: 'Values in steps',
    layers: 'Layers of equal pressure',
    unbroken: 'An unbroken line',
    dabs: 'Dabs',
    dots: 'Dots',
  },
  how: {
    gap: 'Cut the card out and lay it beside your strokes: the gap is that of the card, all the way.',
    boxes:
      'Draw over the first row, go on with the next ones at the same gap and slant, fill the last ones alone. Look at the last stroke, not at the point.',
    crossing:
      'The first set is there. Draw the second over the first row, go on with the next ones, then alone: the angle between the sets stays the same.',
    pressure:
      'Draw each form in one pull: press where it swells, lift where it thins. Under it, on the broken line, once more without help.',
    values: 'The first row is printed. Fill each box below to match the small field above it: squint, and it should vanish.',
    layers:
      'With the same light pressure: one layer over the whole strip, a second from the first broken line on, a third, a fourth. No edge may show but the four steps.',
    unbroken: 'Go over the pale line without lifting, slowly, then twice as fast; then draw your own.',
    dabs: 'One touch for each form, as long and as wide. The next row is begun; go on with it, closer to one side. The last one is yours.',
    dots: 'Dots, pen upright, never in rows. Match the dark of the box above; go on into the empty half; then alone.',
  },
  gapSlant: '{gap}, at {slant}',
  gapLevel: '{gap}, level',
  begun: {
    over: 'draw over these',
    on: 'go on with these',
    alone: 'these alone',
  },
  step: 'step {n, number}',
  layers: 'one, two, three, four layers',
  unbrokenOver: 'over the pale line, without lifting',
  unbrokenOwn: 'your own, without lifting',
  dark: '{part} dark',
  dabs: {
    over: 'one touch each',
    on: 'go on with these',
    alone: 'your own',
  },
} as const;
