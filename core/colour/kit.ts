/** Knows a kit of paints and how it is made ready for mixing: each paint fitted to its tints, what lets it down, and the sheet below. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { fittedPigment, mixLinear, Pigment, plainPigment, Tint } from './pigment';
import type { Triple } from './srgb';
import { dilutionPower, washed } from './wash';

export interface Paint {
  name: string;
  pigment: string;
  /** The paint laid thick: `#rrggbb`. */
  masstone: string;
  /** The paint let down with white, or in a kit without white with water: colour and parts paint : white. */
  tint: Tint | null;
  /** Further ones, where more than one is known; `tint` is the first of all. */
  tints?: readonly Tint[];
  /** Tinting strength against white, 1 where unknown; used only without a tint. */
  strength: number;
}

export interface Kit {
  name: string;
  /** Name of the paint that is white, or null: then colours are let down with water over the sheet. */
  white: string | null;
  paints: Paint[];
}

/** Parts of a recipe, white or water included. */
export const MOST_PARTS = 12;

/** Every tint that is known of a paint, the first one first. */
export const tintsOf = ({ tint, tints = [] }: Pick<Paint, 'tint' | 'tints'>): Tint[] => [
  ...(tint ? [tint] : []),
  ...tints.filter((t) => !tint || t.hex !== tint.hex || t.parts.join() !== tint.parts.join()),
];

/** A kit's paints made ready, and what they are let down with. */
export interface ReadyKit {
  pigments: Pigment[];
  /** White's pigment; null where water is used. */
  white: Pigment | null;
  /** How each paint's density falls with dilution; without white. */
  powers: number[];
  /** What a wash lies on. */
  sheet: Triple;
}

export function readyKit(kit: Kit, sheet: Triple): ReadyKit {
  const white = kit.paints.find((p) => p.name === kit.white) ?? null;
  if (kit.white !== null && !white) throw new CoreError('kit.white', { name: typed(kit.white) });
  const coloured = kit.paints.filter((p) => p !== white);
  const base = white && plainPigment(white.name, white.masstone);
  return {
    pigments: coloured.map((p) =>
      base ? fittedPigment(p.name, p.masstone, tintsOf(p), p.strength, base) : plainPigment(p.name, p.masstone, p.strength),
    ),
    white: base,
    powers: coloured.map((p) => (base ? 1 : dilutionPower(p.masstone, tintsOf(p)))),
    sheet,
  };
}

/** Linear light of so many parts of some of a kit's paints, and so many of white or water. */
export function laidLinear(
  { pigments, white, powers, sheet }: ReadyKit,
  chosen: readonly number[],
  parts: readonly number[],
  down: number,
): Triple {
  const some = chosen.map((i) => pigments[i]);
  if (white) return down ? mixLinear([...some, white], [...parts, down]) : mixLinear(some, parts);
  const body = parts.reduce((a, b) => a + b, 0);
  const stirred = mixLinear(some, parts);
  if (!down) return stirred;
  const power = chosen.reduce((s, i, k) => s + powers[i] * parts[k], 0) / body;
  return washed(stirred, body / (body + down), sheet, power);
}
