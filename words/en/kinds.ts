/** Kinds of mark, as they are named alone and within a sentence. */
export const kinds = {
  blank: 'bare sheet',
  flat: 'flat, even colour',
  'smooth-shading': 'smooth shading',
  wash: 'wash',
  stipple: 'dots',
  'parallel-hatch': 'strokes side by side',
  'cross-hatch': 'crossing strokes',
  'contour-hatch': 'strokes that bend with the form',
  scribble: 'scribble',
  line: 'plain lines',
  dabs: 'dabs',
} as const;
