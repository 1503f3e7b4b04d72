/** The manner of a hand as departures from nature, and what stands under and level with what. */
export const manner = {
  title: 'What this hand does to nature{group, select, none {} other {, in “{group}”}}',
  oneWork: 'Only one work stands behind this: it may be that picture’s own, and not the hand’s. Place the points on a second work.',
  range: '{measure}: {low} to {high}, mostly {mid}.',
  one: '{measure}: {mid}.',
  same: '{measure}: {mid} in every work.',
  evidence:
    '{n, plural, one {# work} other {# works}}{group, select, none {} other { of the group “{group}”}}, {figures, plural, one {# figure} other {# figures}}. {pair, select, yes {Both sides alike would be {nature}.} other {In nature: {nature}.}}',
  behind: '({n, plural, one {# work} other {# works}}, {figures, plural, one {# figure} other {# figures}})',
  sure: {
    clear: '{pair, select, yes {Clearly unequal} other {Clearly not nature’s {nature}}}',
    likely: '{pair, select, yes {Likely unequal} other {Likely not nature’s {nature}}}',
    open: '{pair, select, yes {May be meant as equal} other {May be nature’s {nature}}}',
  },
  none: 'Nothing departs from nature by more than works of one hand, placing and people differ.',
  pairs: 'Left against right, as this hand has it',
  open: '{n, plural, one {One measure} other {# measures}} that may be nature’s',
} as const;

export const plumb = {
  name: 'Plumb and level',
  needs: 'Place a point, and lines can be drawn through it.',
  through: 'Lines through',
  nothing: 'Nothing stands near its plumb or level line.',
  natural: 'Where faces usually have it under or level',
  heads: '{n} heads',
  under:
    '{point}: {way, select, on {right under or over {of}} inside {{by} inside the plumb line through {of}} outside {{by} outside the plumb line through {of}} right {{by} to the right of the plumb line through {of}} other {{by} to the left of the plumb line through {of}}}.',
  level: '{point}: {way, select, on {level with {of}} below {{by} below the level of {of}} other {{by} above the level of {of}}}.',
} as const;
