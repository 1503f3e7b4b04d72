/** Names under which a page remembers what the server keeps. */
export const KEYS = {
  /** What undo and redo would do next. */
  edits: ['edits'],
  landmarks: ['landmarks'],
  plan: ['plan'],
  /** How many undos and redos the page shows the state after. */
  stepped: ['stepped'],
} as const;

/** What an undo or redo may have changed beside the page itself. */
export const STEPPED_OVER = [KEYS.landmarks, KEYS.plan];
