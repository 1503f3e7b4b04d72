/** Pictures on their way in. */
export const uploads = {
  of: '{name} on its way',
  waiting: 'waits its turn',
  sending: 'sending, {share}; next it is put upright',
  upright: 'putting it upright; next it is measured',
  taken: 'taken in; measuring goes on in the background',
  forget: 'Clear {name} away',
} as const;
