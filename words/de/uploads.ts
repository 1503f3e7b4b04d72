/** Bilder auf dem Weg herein. */
export const uploads = {
  of: '{name} auf dem Weg',
  waiting: 'wartet, bis es dran ist',
  sending: 'wird geschickt, {share}; danach wird es aufgerichtet',
  upright: 'wird aufgerichtet; danach wird es gemessen',
  taken: 'aufgenommen; das Messen geht im Hintergrund weiter',
  forget: '{name} wegräumen',
} as const;
