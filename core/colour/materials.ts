/** Knows what lies in a cupboard: colours that are mixed, colours that are laid as they are, papers and tools, and what is known of each. */
import type { Kit, Paint } from './kit';

export const MATERIAL_KINDS = ['paint', 'ink', 'pencil', 'crayon', 'oil-pastel', 'soft-pastel', 'felt-pen', 'paper', 'tool'] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

/** Colours stirred together by parts. */
const MIXED: ReadonlySet<MaterialKind> = new Set<MaterialKind>(['paint', 'ink']);
/** Colours that come as they are and are chosen, or laid over each other. */
const LAID: ReadonlySet<MaterialKind> = new Set<MaterialKind>(['pencil', 'crayon', 'oil-pastel', 'soft-pastel', 'felt-pen']);

export const isMixed = (kind: MaterialKind): boolean => MIXED.has(kind);
export const isLaid = (kind: MaterialKind): boolean => LAID.has(kind);

const OPACITIES = ['opaque', 'semi', 'transparent'] as const;
/** Lightfastness as on labels after ASTM D4302: I excellent to V very poor. */
const LIGHTFAST = ['I', 'II', 'III', 'IV', 'V'] as const;
const TEETH = ['smooth', 'fine', 'rough'] as const;

/** What may be known of a material beside its colour; what is not known is left out. */
export interface Properties {
  opacity?: (typeof OPACITIES)[number];
  lightfast?: (typeof LIGHTFAST)[number];
  staining?: boolean;
  granulating?: boolean;
  waterproof?: boolean;
  /** Parts of water to one of ink in its palest use. */
  parts?: number;
  /** A sheet's size and weight. */
  widthMm?: number;
  heightMm?: number;
  gsm?: number;
  tooth?: (typeof TEETH)[number];
  /** Bears water without cockling or tearing. */
  wetStrong?: boolean;
  /** Finest and broadest line a tool draws, and whether a stroke can swell between them. */
  leastMm?: number;
  mostMm?: number;
  taper?: boolean;
  note?: string;
}

export interface Material extends Omit<Paint, 'masstone'> {
  kind: MaterialKind;
  /** Laid thick, or a paper's tone; null for a tool. */
  masstone: string | null;
  properties: Properties;
  /** What a file said of it that is not known here, to be given back as it was. */
  extra?: Record<string, unknown> | null;
}

/** How one property is asked for, written and checked. */
type Asked =
  | { as: 'choice'; of: readonly string[] }
  | { as: 'flag' }
  | { as: 'number'; unit: 'mm' | 'gsm' | 'parts'; least: number; most: number }
  | { as: 'text'; most: number };

export const PROPERTIES: Record<keyof Properties, Asked> = {
  opacity: { as: 'choice', of: OPACITIES },
  lightfast: { as: 'choice', of: LIGHTFAST },
  staining: { as: 'flag' },
  granulating: { as: 'flag' },
  waterproof: { as: 'flag' },
  parts: { as: 'number', unit: 'parts', least: 1, most: 50 },
  widthMm: { as: 'number', unit: 'mm', least: 10, most: 5000 },
  heightMm: { as: 'number', unit: 'mm', least: 10, most: 5000 },
  gsm: { as: 'number', unit: 'gsm', least: 20, most: 1500 },
  tooth: { as: 'choice', of: TEETH },
  wetStrong: { as: 'flag' },
  leastMm: { as: 'number', unit: 'mm', least: 0.05, most: 200 },
  mostMm: { as: 'number', unit: 'mm', least: 0.05, most: 200 },
  taper: { as: 'flag' },
  note: { as: 'text', most: 300 },
};

const DRY: readonly (keyof Properties)[] = ['opacity', 'lightfast', 'leastMm', 'mostMm', 'note'];

/** What is asked of each kind. */
export const PROPERTIES_OF: Record<MaterialKind, readonly (keyof Properties)[]> = {
  paint: ['opacity', 'lightfast', 'staining', 'granulating', 'waterproof', 'note'],
  ink: ['waterproof', 'parts', 'opacity', 'lightfast', 'staining', 'note'],
  pencil: DRY,
  crayon: DRY,
  'oil-pastel': DRY,
  'soft-pastel': DRY,
  'felt-pen': ['waterproof', ...DRY],
  paper: ['widthMm', 'heightMm', 'gsm', 'tooth', 'wetStrong', 'note'],
  tool: ['leastMm', 'mostMm', 'taper', 'note'],
};

/** What of a kind is known, without what is not asked of it. */
export const propertiesFor = (kind: MaterialKind, given: Properties): Properties =>
  Object.fromEntries(PROPERTIES_OF[kind].flatMap((p) => (given[p] === undefined || given[p] === '' ? [] : [[p, given[p]]])));

/** Things of one kit, and which of them is white. */
export interface CupboardKit {
  name: string;
  white: string | null;
  materials: readonly Material[];
}

/** The colours of a kit that can be mixed. */
export const mixable = ({ name, white, materials }: CupboardKit): Kit => ({
  name,
  white,
  paints: materials.flatMap(({ kind, name: paint, pigment, masstone, tint, tints = [], strength }) =>
    isMixed(kind) && masstone !== null ? [{ name: paint, pigment, masstone, tint, ...(tints.length ? { tints } : {}), strength }] : [],
  ),
});

/** How many of its colours can be mixed, and laid. */
export const coloursIn = ({ materials }: Pick<CupboardKit, 'materials'>): { mixed: number; laid: number } => ({
  mixed: materials.filter((m) => isMixed(m.kind) && m.masstone !== null).length,
  laid: materials.filter((m) => isLaid(m.kind)).length,
});

/** The kit with the most colours to mix, or where none is mixed from to lay; null where there are no colours. */
export function richest<K extends Pick<CupboardKit, 'materials'>>(kits: readonly K[]): K | null {
  const most = (of: (k: K) => number) => kits.reduce<K | null>((best, k) => (of(k) > (best ? of(best) : 0) ? k : best), null);
  return most((k) => coloursIn(k).mixed) ?? most((k) => coloursIn(k).laid);
}

/** A thing of the cupboard, as a lesson asks after it. */
export type CupboardThing = Pick<Material, 'kind' | 'name' | 'masstone' | 'properties'>;

/** Papers whose size is known, the shorter side first, mm. */
export const papersIn = (materials: readonly CupboardThing[]): { name: string; size: [number, number] }[] =>
  materials.flatMap(({ name, kind, properties: { widthMm, heightMm } }) =>
    kind === 'paper' && widthMm && heightMm ? [{ name, size: [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)] }] : [],
  );
