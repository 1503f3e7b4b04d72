/** Knows a hand: how somebody draws, as data. The invented master's rules, with tolerances, and what a student does otherwise. */

export interface Hand {
  /** Heads a figure is tall; where the eyes stand in the head (crown 0, chin 1). */
  headsTall: number;
  eyeLine: number;
  /** Hatching: mm between strokes, their evenness (s.d. ÷ mean), direction as seen, length in mm, sag as a part of the length. */
  spacing: number;
  unevenness: number;
  angle: number;
  length: readonly [number, number];
  arch: number;
  /** Second set, in water only: degrees from the first. */
  crossing: number;
  crossEverywhere: boolean;
  /** Widths in mm: the plain line, and the outline on the windward (left) and lee side; 0 leaves the side open. */
  lineWidth: number;
  windward: number;
  lee: number;
  /** How much the pen wavers, in mm. */
  tremble: number;
  ink: string;
  ground: string;
  seaWash: string;
  shadeWash: string;
  washOpacity: number;
  /** Extra patches of other colours, 0–1. */
  motley: number;
  accent: string | null;
  /** Share of the sheet the light takes. */
  accentShare: number;
  white: boolean;
  /** Share of the forms' area that is hatched. */
  hatched: number;
}

/** Teodor Ansgrave (1888–1951), of the island port of Skerrowby: an invented master. */
export const ANSGRAVE: Hand = {
  headsTall: 4.5,
  eyeLine: 0.58,
  spacing: 1.6,
  unevenness: 0.08,
  angle: 152,
  length: [12, 22],
  arch: 0.02,
  crossing: 78,
  crossEverywhere: false,
  lineWidth: 0.45,
  windward: 0.9,
  lee: 0,
  tremble: 0.12,
  ink: '#1d2740',
  ground: '#d9c08a',
  seaWash: '#4f8a74',
  shadeWash: '#6a6488',
  washOpacity: 0.5,
  motley: 0,
  accent: '#f26a12',
  accentShare: 0.004,
  white: true,
  hatched: 1,
};

/** His rules with the tolerance each is drawn to; what tests hold readings against. */
export const ANSGRAVE_RULES = {
  headsTall: { value: 4.5, tolerance: 0.15 },
  eyeLine: { value: 0.58, tolerance: 0.01 },
  spacingMm: { value: 1.6, tolerance: 0.08 },
  angle: { value: 152, tolerance: 3 },
  crossing: { value: 78, tolerance: 4 },
  lineWidthMm: { value: 0.45, tolerance: 0.05 },
  horizon: { value: 0.22, tolerance: 0.01 },
  accentShare: { value: 0.004, tolerance: 0.003 },
} as const;

export const HORIZON = 0.22;
