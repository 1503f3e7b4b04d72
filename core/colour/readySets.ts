/**
 * Knows sets of colours as shops sell them to schools, by keys of generic pigment names, to begin a cupboard with. The values come from memory and are
 * no measurement of any maker's: what lies in the cupboard is better measured by its own swatches.
 */
import type { CupboardKit, Material, MaterialKind, Properties } from './materials';

type Line = readonly [name: string, pigment: string, masstone: string, tint?: string];

/** Paints with their tint of one part to four of white. */
const paints = (lines: readonly Line[], properties: Properties): Material[] =>
  lines.map(([name, pigment, masstone, tint]) => ({
    kind: 'paint',
    name,
    pigment,
    masstone,
    tint: tint ? { hex: tint, parts: [1, 4] } : null,
    strength: 1,
    properties,
  }));

const laid = (kind: MaterialKind, lines: readonly (readonly [name: string, hex: string])[], properties: Properties): Material[] =>
  lines.map(([name, masstone]) => ({ kind, name, pigment: '', masstone, tint: null, strength: 1, properties }));

const GOUACHE: readonly Line[] = [
  ['titaniumWhite', 'PW6', '#f7f6f1'],
  ['hansaYellow', 'PY74', '#f6c915', '#fae38a'],
  ['yellowOchre', 'PY43', '#bd8f3a', '#dcbf90'],
  ['pyrroleOrange', 'PO73', '#ee5a1c', '#f6a784'],
  ['naphtholRed', 'PR170', '#b5242f', '#dd8b91'],
  ['quinacridoneRose', 'PV19', '#a31d54', '#d788ae'],
  ['burntSienna', 'PBr7', '#71371f', '#b68a75'],
  ['ultramarineBlue', 'PB29', '#232f86', '#7e8ec8'],
  ['phthaloBlue', 'PB15:3', '#103767', '#5c99c9'],
  ['phthaloGreen', 'PG7', '#0d4d44', '#63ab9c'],
  ['chromeOxideGreen', 'PG17', '#4f6c3a', '#9aab86'],
  ['carbonBlack', 'PBk7', '#201f20', '#77787b'],
];

const WATERCOLOUR: readonly Line[] = [
  ['hansaYellow', 'PY97', '#f4c71c'],
  ['yellowOchre', 'PY43', '#b98a3c'],
  ['pyrroleRed', 'PR254', '#c02a2a'],
  ['quinacridoneRose', 'PV19', '#ac2358'],
  ['burntSienna', 'PBr7', '#76402a'],
  ['ultramarineBlue', 'PB29', '#27348b'],
  ['phthaloBlue', 'PB15:3', '#0f3f73'],
  ['phthaloGreen', 'PG7', '#0c5348'],
];

const POSTER: readonly Line[] = [
  ['white', 'PW6', '#f5f4ef'],
  ['primaryYellow', 'PY74', '#f5cc12', '#f9e48c'],
  ['primaryRed', 'PR112', '#c22a34', '#e1939a'],
  ['primaryBlue', 'PB15:3', '#164c8b', '#74a3d2'],
  ['green', 'PG7', '#126b4a', '#7bb8a0'],
  ['black', 'PBk7', '#232223', '#7c7c7e'],
];

const CRAYONS = [
  ['white', '#f4f2ec'],
  ['yellow', '#f3d42f'],
  ['yellowOchre', '#c8993f'],
  ['orange', '#ee7b26'],
  ['red', '#cf2f2f'],
  ['rose', '#e0708f'],
  ['violet', '#6a3f86'],
  ['ultramarineBlue', '#2f3f97'],
  ['lightBlue', '#5b9fd0'],
  ['turquoise', '#2f9c9a'],
  ['leafGreen', '#5fa03f'],
  ['darkGreen', '#2a5f3c'],
  ['lightBrown', '#a5713f'],
  ['darkBrown', '#5a3a26'],
  ['grey', '#8a8a88'],
  ['black', '#262526'],
] as const;

const OIL_PASTELS = [
  ...CRAYONS,
  ['lemonYellow', '#f5e64b'],
  ['fleshOchre', '#e2b08a'],
  ['vermilion', '#dd4a27'],
  ['carmine', '#a81f3f'],
  ['prussianBlue', '#20365c'],
  ['yellowGreen', '#a9bd3c'],
  ['oliveGreen', '#69702f'],
  ['lightGrey', '#bdbcb7'],
] as const;

const SOFT_PASTELS = [
  ['white', '#f6f5f1'],
  ['ivory', '#efe6cb'],
  ['lightYellow', '#f4e38a'],
  ['goldenYellow', '#eebd3b'],
  ['yellowOchre', '#c79a52'],
  ['rawSienna', '#a97743'],
  ['burntSienna', '#8a4e34'],
  ['burntUmber', '#5b4334'],
  ['orange', '#ea8440'],
  ['vermilion', '#d9533a'],
  ['carmine', '#a82a45'],
  ['rose', '#e39aa6'],
  ['violet', '#75568f'],
  ['lightViolet', '#b9a6c9'],
  ['ultramarineBlue', '#3c4a9a'],
  ['cobaltBlue', '#4f78b6'],
  ['lightBlue', '#a5c4de'],
  ['turquoise', '#5aa9a5'],
  ['chromeOxideGreen', '#63784a'],
  ['leafGreen', '#86a957'],
  ['darkGreen', '#35573f'],
  ['lightGrey', '#c3c2bd'],
  ['grey', '#83827f'],
  ['black', '#2b2a2a'],
] as const;

const FELT_PENS = [
  ['yellow', '#f8e12b'],
  ['orange', '#f28a1e'],
  ['red', '#d8262f'],
  ['rose', '#ea7ba6'],
  ['violet', '#6c3b8f'],
  ['darkBlue', '#23388c'],
  ['lightBlue', '#3f9fd8'],
  ['lightGreen', '#73b844'],
  ['darkGreen', '#1f6e45'],
  ['brown', '#7a4a2a'],
  ['grey', '#8f9194'],
  ['black', '#1f1e20'],
] as const;

const PENCILS = [
  ['white', '#f3f1ea'],
  ['lemonYellow', '#efe05a'],
  ['goldenYellow', '#e6b53c'],
  ['yellowOchre', '#bf9654'],
  ['orange', '#e08443'],
  ['vermilion', '#cf5540'],
  ['carmine', '#ad3d4f'],
  ['rose', '#dd92a4'],
  ['violet', '#76598d'],
  ['ultramarineBlue', '#47539c'],
  ['cobaltBlue', '#5079b3'],
  ['lightBlue', '#8ab4d6'],
  ['turquoise', '#55a3a1'],
  ['blueGreen', '#3f7d70'],
  ['leafGreen', '#7ba25a'],
  ['darkGreen', '#476b4c'],
  ['oliveGreen', '#7d8049'],
  ['rawSienna', '#a97f50'],
  ['burntSienna', '#8f5c45'],
  ['burntUmber', '#66503f'],
  ['fleshOchre', '#d9b294'],
  ['lightGrey', '#b5b4b0'],
  ['grey', '#7d7d7b'],
  ['black', '#3a393a'],
] as const;

/** By key, as the screens and their sentences know them. */
export const READY_SETS = {
  gouache: { white: 'titaniumWhite', materials: paints(GOUACHE, { opacity: 'opaque', waterproof: false }) },
  watercolour: { white: null, materials: paints(WATERCOLOUR, { opacity: 'transparent', waterproof: false }) },
  poster: { white: 'white', materials: paints(POSTER, { opacity: 'opaque', waterproof: false }) },
  crayons: { white: null, materials: laid('crayon', CRAYONS, { opacity: 'semi', leastMm: 1, mostMm: 6 }) },
  oilPastels: { white: null, materials: laid('oil-pastel', OIL_PASTELS, { opacity: 'opaque', leastMm: 2, mostMm: 10 }) },
  softPastels: { white: null, materials: laid('soft-pastel', SOFT_PASTELS, { opacity: 'opaque', leastMm: 2, mostMm: 12 }) },
  feltPens: { white: null, materials: laid('felt-pen', FELT_PENS, { opacity: 'transparent', waterproof: false, leastMm: 1, mostMm: 2 }) },
  pencils: { white: null, materials: laid('pencil', PENCILS, { opacity: 'semi', leastMm: 0.4, mostMm: 2 }) },
} as const satisfies Record<string, Omit<CupboardKit, 'name'>>;

export type ReadySet = keyof typeof READY_SETS;
export const isReadySet = (key: string): key is ReadySet => Object.hasOwn(READY_SETS, key);
