/**
 * Knows how layers lie over each other: with what each is laid, how thin, and which grey that gives, seen from where strokes run together. The
 * order of a master's layers is a guess unless it is known: only the top one shows.
 */
import { labFromLinear } from '../colour/lab';
import { hexFromLinear, linearFromHex, Triple } from '../colour/srgb';
import { washed } from '../colour/wash';
import type { Amount } from '../message';
import { inLine } from './order';
import type { ItemId } from './items';
import { darkestOf } from './quantities';
import { beside, lays, Technique } from './technique';

/** As a teacher set it. */
export interface Laying {
  /** With what, in their words; empty leaves it to the technique. */
  tool: string;
  /** Parts of water to one of colour: 0 undiluted, null left to what was measured. */
  parts: number | null;
  /** Whether it is known that the master did it so, or guessed. */
  known: boolean;
  /** Colours of the palette laid in it, `#rrggbb`; null leaves them to the order in which the technique wants them. */
  colours: readonly string[] | null;
}

export const NO_LAYING: Laying = { tool: '', parts: null, known: false, colours: null };

/** More water than this leaves nothing to see. */
export const MOST_PARTS = 40;

const BRUSHED: ReadonlySet<Technique['role']> = new Set<Technique['role']>(['wash', 'paint', 'fill', 'ground']);
/** Steps that lay something to be seen from afar. */
export const laysTone = (t: Technique): boolean => !beside(t) && (BRUSHED.has(t.role) || t.role === 'tone' || t.role === 'line');

/** What is in the hand, the likeliest first. */
const TOOLS: readonly ItemId[] = [
  'pen',
  'fine-brush',
  'flat-brush',
  'round-brush',
  'stiff-brush',
  'sponge',
  'graphite-stick',
  'charcoal',
  'pastels',
  'oil-pastels',
  'crayons',
  'felt-pens',
  'felt-pen',
  'coloured-pencils',
  'soft-pencil',
  'pencil',
  'tablet',
];
export const toolOf = (items: Partial<Record<ItemId, number>>): ItemId | null => TOOLS.find((id) => items[id]) ?? null;

const lightness = (linear: Triple): number => labFromLinear(linear[0], linear[1], linear[2])[0];

/** Parts of water to one of colour that come nearest to a lightness on a sheet, whole parts; L* as CIELAB. */
function partsToReach(colour: string, lightnessWanted: number, sheet: Triple): number {
  const body = linearFromHex(colour);
  let [best, off] = [0, Infinity];
  for (let parts = 0; parts <= MOST_PARTS; parts++) {
    const d = Math.abs(lightness(washed(body, 1 / (1 + parts), sheet)) - lightnessWanted);
    if (d < off) [best, off] = [parts, d];
  }
  return best;
}

/** Strokes so wide and so far apart cover so much of the sheet, 0–1; null where either was not measured. */
export function coverOf({ width, gap }: { width: Amount | null; gap: Amount | null }): number | null {
  if (!width || !gap || width.unit !== gap.unit || !(gap.amount > 0)) return null;
  return Math.min(1, width.amount / gap.amount);
}

/** Where no strokes have been measured: common practice, no source. */
const USUAL_COVER = 0.3;

interface Colour {
  hex: string;
  share: number;
}

export interface LaidStep {
  knows: Technique;
  laying: Laying | null;
  /** Colours laid in it, as set or guessed. */
  colours: readonly Colour[];
}

export interface Layer {
  /** Place in the lesson, from 0. */
  step: number;
  /** Parts of water to one of colour; 0 undiluted. */
  parts: number;
  known: boolean;
  /** Share of the sheet its strokes cover where it is laid; 1 for what is brushed. */
  cover: number;
  /** Colour seen from afar where all layers so far lie over each other, and its lightness, CIELAB. */
  hex: string;
  lightness: number;
}

/** Colours of a palette seen together, by their shares, in linear light; null for none. */
function together(colours: readonly Colour[]): Triple | null {
  const all = colours.reduce((s, c) => s + c.share, 0);
  if (!(all > 0)) return null;
  return colours.reduce<Triple>((sum, c) => addedTo(sum, linearFromHex(c.hex), c.share / all), [0, 0, 0]);
}

const addedTo = (a: Triple, b: Triple, part: number): Triple => [a[0] + part * b[0], a[1] + part * b[1], a[2] + part * b[2]];

/** From this chroma on a wash is colour, mixed as it looks; below it is thinned ink, CIELAB. */
const COLOURFUL = 22;

/** What lies on what: the sheet as it is, and what is drawn and washed with. */
export interface On {
  sheet: string;
  ink: string;
  cover: number | null;
}

/**
 * The layers of a lesson in the order in which they are laid. What is washed lies as a clear layer (Beer and Lambert); strokes are seen together with
 * the sheet between them, by the shares each covers, in linear light (Murray and Davies 1936); what covers hides what was there. A wash
 * whose dilution nobody has set is thinned until it reaches, on the bare sheet, the lightness of the colours laid in it.
 */
export function layersIn(steps: readonly LaidStep[], { sheet, ink, cover }: On): Layer[] {
  const bare = linearFromHex(sheet);
  let under: Triple = bare;
  return steps.flatMap(({ knows: t, laying, colours }, step): Layer[] => {
    if (!laysTone(t)) return [];
    const stroked = inLine(t);
    const covers = !stroked && (lays(t, 'opaque') || lays(t, 'thick') || t.role === 'paint');
    const mixed = together(colours);
    const [, a, b] = mixed ? labFromLinear(...mixed) : [0, 0, 0];
    const coloured = mixed !== null && (stroked || covers || Math.hypot(a, b) > COLOURFUL);
    const body = coloured ? mixed : linearFromHex(ink);
    const thinned = t.role === 'wash' || t.role === 'ground';
    const parts = laying?.parts ?? (thinned && mixed && !coloured ? partsToReach(ink, lightness(mixed), bare) : 0);
    const layer = covers ? body : washed(body, 1 / (1 + parts), under);
    const share = stroked ? (cover ?? USUAL_COVER) : 1;
    under = addedTo([0, 0, 0], layer, share).map((v, k) => v + (1 - share) * under[k]) as Triple;
    return [{ step, parts, known: laying?.known ?? false, cover: share, hex: hexFromLinear(under), lightness: lightness(under) }];
  });
}

/** Lighter than this nobody draws a line that is meant to be dark, L*. */
const DARK = 45;

/** Where no palette has been measured: white paper, and a black that is no blacker than ink. */
const [BARE, BLACK] = ['#f4f2ec', '#211e1b'];

/** The sheet's own tone, and the darkest that is drawn with. */
export function groundAndInk(
  palette: readonly { hex: string; ground: boolean; lab: readonly [number, number, number] }[],
): Pick<On, 'sheet' | 'ink'> {
  const dark = darkestOf(palette.filter((c) => !c.ground && Math.hypot(c.lab[1], c.lab[2]) <= COLOURFUL));
  return { sheet: palette.find((c) => c.ground)?.hex ?? BARE, ink: dark && dark.lab[0] < DARK ? dark.hex : BLACK };
}
