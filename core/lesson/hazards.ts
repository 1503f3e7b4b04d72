/** Knows the usual cautions. They never replace labels, safety data sheets, local codes, school policy or licensed practice. */

import { Message, message } from '../message';

interface Caution {
  /** Below this age an adult does it; common practice, no source: the school's own rule comes first. */
  adultBelow?: number;
}

/** What each says stands under `cautions` in `words/`. */
const CAUTIONS = {
  nib: { adultBelow: 8 },
  'waterproof-ink': {},
  'dust-dry': {},
  fixative: { adultBelow: 18 },
  latex: {},
  cutter: { adultBelow: 11 },
  small: {},
  pigment: {},
  slip: {},
  acrylic: {},
  roller: {},
  scissors: {},
  scraper: { adultBelow: 7 },
  markers: {},
  glue: {},
  found: {},
} as const satisfies Record<string, Caution>;

export type CautionId = keyof typeof CAUTIONS;
export const CAUTION_IDS = Object.keys(CAUTIONS) as CautionId[];
export const isCaution = (id: string): id is CautionId => Object.hasOwn(CAUTIONS, id);

/** Cautions of a lesson, those where an adult must act for this age first, labels last. */
export function cautionsFor(ids: readonly CautionId[], youngest: number): Message[] {
  const once = [...new Set(ids)];
  const byAdult = (id: CautionId) => {
    const { adultBelow }: Caution = CAUTIONS[id];
    return adultBelow !== undefined && youngest < adultBelow;
  };
  const said = (id: CautionId) => message(`cautions.${id}`);
  return [
    ...once.filter(byAdult).map((id) => message('cautions.adult', { caution: said(id) })),
    ...once.filter((id) => !byAdult(id)).map(said),
    message('cautions.labels'),
    message('cautions.photographs'),
  ];
}
