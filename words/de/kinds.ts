/** Arten der Spur, wie sie für sich und im Satz genannt werden. */
export const kinds = {
  blank: 'leeres Blatt',
  flat: 'flache, gleichmäßige Farbe',
  'smooth-shading': 'weiche Schattierung',
  wash: 'Lavierung',
  stipple: 'Punkte',
  'parallel-hatch': 'Striche nebeneinander',
  'cross-hatch': 'gekreuzte Striche',
  'contour-hatch': 'Striche, die der Form folgen',
  scribble: 'Gekritzel',
  line: 'einfache Linien',
  dabs: 'Tupfer',
} as const;
