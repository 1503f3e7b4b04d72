/** Knows the usual cautions. They never replace labels, safety data sheets, local codes, school policy or licensed practice. */

interface Caution {
  text: string;
  /** Below this age an adult does it; common practice, no source: the school's own rule comes first. */
  adultBelow?: number;
}

const CAUTIONS = {
  nib: { text: 'Nibs are sharp: carry pens point down, never shake or throw them, count them in.', adultBelow: 8 },
  'waterproof-ink': {
    text: 'Waterproof ink stains clothes and skin and clogs pens that cannot be taken apart: dip pens only, rinse at once.',
  },
  'dust-dry': {
    text: 'Charcoal and pastel make dust: no blowing, tap it off over paper, wipe tables wet, air the room.',
  },
  fixative: { text: 'Fixative only where ventilation and school policy allow, away from the class; an adult sprays.', adultBelow: 18 },
  latex: { text: 'Masking fluid may hold natural latex and ammonia: ask about allergies first, keep it off skin, air the room.' },
  cutter: { text: 'Cutters: cut away from the hand, use the guard, one at a time in each pair, under supervision.', adultBelow: 11 },
  small: { text: 'Small pieces can choke the youngest: count erasers, candle ends and chalk.' },
  pigment: {
    text: 'Use paints labelled for schools; never powder or old tubes with lead or other toxic pigments. Nothing goes in the mouth, no brush is pointed with the lips.',
  },
  slip: { text: 'Water on the floor is slippery: pots in the middle of the table, a cloth at hand.' },
  acrylic: { text: 'Acrylic does not wash out once dry: aprons on, brushes never left to dry.' },
  roller: { text: 'Keep fingers clear of rollers and presses; ink stains: aprons on.' },
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;

const LABELS =
  'Read the labels and safety data sheets; look for conformance to ASTM D-4236 or EN 71 as your local rules ask. School policy and local codes come first.';
const PHOTOGRAPHS = 'Photographs of pieces: no full names, consent as your school asks, nothing leaves this machine.';

/** Cautions of a lesson as sentences, those where an adult must act for this age first, labels last. */
export function cautionsFor(ids: readonly CautionId[], youngest: number): string[] {
  const once = [...new Set(ids)].map((id) => CAUTIONS[id] as Caution);
  const byAdult = (c: Caution) => c.adultBelow !== undefined && youngest < c.adultBelow;
  return [
    ...once.filter(byAdult).map((c) => `At this age an adult does it. ${c.text}`),
    ...once.filter((c) => !byAdult(c)).map((c) => c.text),
    LABELS,
    PHOTOGRAPHS,
  ];
}
