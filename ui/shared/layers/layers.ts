/** Knows the layers that can lie over a picture, and which of them shows what a reading or finding speaks of. */
import type { EDGE_HANDLINGS } from '@/core/marks/edges';
import type { TEMPERATURES } from '@/core/colour/temperature';
import { FIELD_COLUMNS, FIELD_ROWS } from '@/core/style/words';

export const LAYERS = [
  { name: 'points', key: 'p' },
  { name: 'patches', key: 'k' },
  { name: 'strokes', key: 't' },
  { name: 'directions', key: 'd' },
  { name: 'kinds', key: 'y' },
  { name: 'edges', key: 'e' },
  { name: 'colours', key: 'c' },
  { name: 'temperature', key: 'w' },
  { name: 'steps', key: 'j' },
  { name: 'contrast', key: 'x' },
  { name: 'finish', key: 'f' },
  { name: 'area', key: 'a' },
  { name: 'lights', key: 'i' },
  { name: 'thirds', key: 'h' },
] as const;

export type LayerName = (typeof LAYERS)[number]['name'];

/** What a reading in hand lights up: a layer, and which part of it. */
export interface Lit {
  layer: LayerName;
  /** Hex of a colour, or all that are accents, or the bare sheet. */
  colour?: string;
  /** One way of handling an edge. */
  handling?: (typeof EDGE_HANDLINGS)[number];
  temperature?: (typeof TEMPERATURES)[number];
  /** Lightness from and to, L*. */
  between?: readonly [number, number];
  /** What is darker than the first, and lighter than the second. */
  outside?: readonly [number, number];
  measure?: { template: string; name: string };
  /** A way on the picture, px of it, that a chart speaks of. */
  way?: { from: readonly [number, number]; to: readonly [number, number] };
  /** One of the nine fields, 0 to 8. */
  field?: number;
}

export const ACCENTS = 'accents';
export const SHEET = 'sheet';

const FIELDS = FIELD_ROWS.flatMap((row) => FIELD_COLUMNS.map((column) => `${row}-${column}`));

const LIT: Record<string, Lit> = {
  'marks.direction': { layer: 'directions' },
  'marks.crossing': { layer: 'directions' },
  'marks.coherence': { layer: 'directions' },
  'marks.coverage': { layer: 'strokes' },
  'marks.spacing': { layer: 'strokes' },
  'marks.spacingVariation': { layer: 'strokes' },
  'marks.lineWidth': { layer: 'strokes' },
  'marks.lineSwell': { layer: 'strokes' },
  'marks.strokeLength': { layer: 'strokes' },
  'marks.straightness': { layer: 'strokes' },
  'marks.finish': { layer: 'finish' },
  'marks.colourSlack': { layer: 'edges' },
  'colour.groundL': { layer: 'colours', colour: SHEET },
  'colour.groundChroma': { layer: 'colours', colour: SHEET },
  'colour.accent': { layer: 'colours', colour: ACCENTS },
  'colour.warm': { layer: 'temperature', temperature: 'warm' },
  'colour.cool': { layer: 'temperature', temperature: 'cool' },
  'colour.balance': { layer: 'temperature' },
  'value.focusContrast': { layer: 'contrast' },
  'value.darkShare': { layer: 'steps', between: [0, 35] },
  'value.lightShare': { layer: 'steps', between: [75, 101] },
  'value.dark': { layer: 'steps', between: [0, 20] },
  'value.light': { layer: 'steps', between: [85, 101] },
  'value.range': { layer: 'steps', outside: [20, 85] },
  'value.mean': { layer: 'steps', outside: [35, 75] },
};

/** Where on a picture it shows what a feature tells of; null where it has no place. */
export function litBy(feature: string): Lit | null {
  if (LIT[feature]) return LIT[feature];
  const [group, name, kind] = feature.split('.');
  if (group === 'proportion' && kind) return { layer: 'points', measure: { template: name, name: kind } };
  if (group === 'marks') return name === 'share' ? { layer: 'kinds' } : null;
  if (group === 'edges') return { layer: 'edges', handling: name as Lit['handling'] };
  if (group === 'place') {
    const field = FIELDS.indexOf(kind);
    return field < 0 ? { layer: 'area' } : { layer: 'finish', field };
  }
  return group === 'composition' ? { layer: 'area' } : null;
}
