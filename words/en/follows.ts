/** What an original's departures from its own reference follow. */
export const follows = {
  title: 'From the reference to the manner',
  none: 'The drawing keeps to its reference, and the manner asks for nothing else here.',
  as: {
    manner: 'Follows the manner',
    further: 'Goes farther than the manner',
    open: 'The manner would go farther',
    neither: 'Follows neither',
  },
  one: '{measure}: {times} of the reference; the manner makes it {asked}.',
  unasked: '{measure}: {times} of the reference; the manner leaves it as it is.',
} as const;
