/**
 * Knows what colours give that are laid as they are, not stirred: the nearest single pencil, crayon, pastel or pen, and the best two laid over
 * each other. What lies on top is a clear layer over what is below (Beer and Lambert: transmittances multiply), as far as it covers like one;
 * the rest of it covers like a stencil (Murray and Davies 1936: shares of area add in linear light). How far is set by how opaque it is.
 */
import { message, Message } from '../message';
import { ciede2000 } from './difference';
import { labFromHex, labFromLinear } from './lab';
import { missInWords } from './mixing';
import { isLaid, Material } from './materials';
import { hexFromLinear, linearFromHex, Triple } from './srgb';

/** Share of the layer below that an upper one hides: pens and most pencils let it through, pastel hides most of it. Common practice, no source. */
const HIDES: Record<NonNullable<Material['properties']['opacity']>, number> = { transparent: 0, semi: 0.35, opaque: 0.75 };
const DARKEST = 0.002;

export interface LaidAnswer {
  target: string;
  /** Nearest first; one colour, or two with the lower one first. */
  singles: LaidRecipe[];
  overlays: LaidRecipe[];
  words: Message;
}

interface LaidRecipe {
  names: string[];
  hex: string;
  deltaE: number;
}

/** Linear light of one colour laid over another on a sheet. */
export function laidOver(lower: Triple, upper: Triple, hides: number, sheet: Triple): Triple {
  return lower.map((below, c) => {
    const clear = (below * Math.max(DARKEST, upper[c])) / Math.max(DARKEST, sheet[c]);
    return hides * upper[c] + (1 - hides) * Math.min(below, clear);
  }) as Triple;
}

interface Colour {
  name: string;
  linear: Triple;
  hides: number;
}

/** `sheet` is the paper's own colour; at most `wanted` of each sort, the longer recipe only where it betters the best single by a visible step. */
export function laidFor(target: string, materials: readonly Material[], sheet = '#ffffff', wanted = 3): LaidAnswer {
  const asked = labFromHex(target);
  const paper = linearFromHex(sheet);
  const colours = materials.flatMap(({ kind, name, masstone, properties }): Colour[] =>
    isLaid(kind) && masstone !== null ? [{ name, linear: linearFromHex(masstone), hides: HIDES[properties.opacity ?? 'semi'] }] : [],
  );
  const judged = (names: string[], linear: Triple): LaidRecipe => ({
    names,
    hex: hexFromLinear(linear),
    deltaE: ciede2000(asked, labFromLinear(...linear)),
  });
  const best = (recipes: LaidRecipe[]) => recipes.sort((p, q) => p.deltaE - q.deltaE).slice(0, wanted);
  const singles = best(colours.map((c) => judged([c.name], c.linear)));
  const overlays = best(
    colours.flatMap((lower) =>
      colours.flatMap((upper) =>
        upper === lower ? [] : [judged([lower.name, upper.name], laidOver(lower.linear, upper.linear, upper.hides, paper))],
      ),
    ),
  ).filter((r) => r.deltaE < singles[0].deltaE - 1);
  const first = [...singles, ...overlays].sort((p, q) => p.deltaE - q.deltaE)[0];
  const words = first
    ? message(first.deltaE <= 3 ? 'laid.within' : 'laid.beyond', { miss: missInWords(asked, labFromHex(first.hex)) })
    : message('laid.nothing');
  return { target: target.toLowerCase(), singles, overlays, words };
}
