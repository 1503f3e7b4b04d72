/** Knows which whole-number parts of a kit's paints come nearest to a colour, stirred with white or thinned with water, and says how far they miss. */
import { Message, message, several } from '../message';
import { ciede2000 } from './difference';
import { labFromHex, lchFromLab } from './lab';
import { Kit, laidLinear, readyKit } from './kit';
import { screenOf } from './screening';
import { hexFromLinear, linearFromHex } from './srgb';
import { WHITE_PAPER } from './wash';

interface Recipe {
  parts: { paint: string; parts: number }[];
  hex: string;
  deltaE: number;
}

export interface MixAnswer {
  target: string;
  recipes: Recipe[];
  withinReach: boolean;
  words: Message;
}

const WATER = 'water';

/** How one colour misses another, said by a painter: "a little redder and duller than asked". */
export function missInWords(asked: readonly number[], got: readonly number[]): Message {
  const deltaE = ciede2000(asked, got);
  if (deltaE < 1) return message('mixing.same');
  const [La, Ca, ha] = lchFromLab(asked);
  const [Lg, Cg, hg] = lchFromLab(got);
  const parts: { size: number; how: string }[] = [
    { size: Math.abs(Lg - La), how: Lg > La ? 'lighter' : 'darker' },
    { size: Math.abs(Cg - Ca), how: Cg > Ca ? 'stronger' : 'duller' },
  ];
  if (Math.min(Ca, Cg) > 5) {
    const da = got[1] - asked[1];
    const db = got[2] - asked[2];
    const turn = Math.abs(((((hg - ha + 180) % 360) + 360) % 360) - 180);
    const across = 2 * Math.sqrt(Ca * Cg) * Math.sin((turn * Math.PI) / 360);
    const how = Math.abs(da) > Math.abs(db) ? (da > 0 ? 'redder' : 'greener') : db > 0 ? 'yellower' : 'bluer';
    parts.push({ size: across, how });
  }
  const faults = parts
    .filter((p) => p.size >= 1)
    .sort((a, b) => b.size - a.size)
    .slice(0, 2)
    .map((p) => message(`mixing.how.${p.how}`));
  if (!faults.length) return message('mixing.near');
  return message('mixing.off', { much: deltaE < 3 ? 'little' : deltaE > 10 ? 'much' : 'some', how: several(faults) });
}

interface Ranked extends Recipe {
  total: number;
}

/** The best recipes for a colour, different sets of paints, best first. `withinReach`: the best is within ΔE00 3. */
export type Mixer = (target: string, wanted?: number) => MixAnswer;

/** A hair's breadth of ΔE00 that no eye sees: within it the shorter recipe is the better one. */
const HAIR = 0.03;
/** A longer recipe of the same paints has to better the shorter one by this. */
const WORTH = 0.2;

/** A mixer for one kit, made ready once for all colours that are asked of it; `sheet` (`#rrggbb`) is what washes lie on, white paper where none is said. */
export function mixerFor(kit: Kit, sheet: string | null = null): Mixer {
  const ready = readyKit(kit, sheet === null ? WHITE_PAPER : linearFromHex(sheet));
  const screen = screenOf(ready);
  return (target, wanted = 5) => {
    const asked = labFromHex(target);
    // The best of each set of paints, judged by the printed colour.
    const best = new Map<string, Ranked>();
    for (const { chosen, parts, down } of screen(asked)) {
      const hex = hexFromLinear(laidLinear(ready, chosen, parts, down));
      const deltaE = ciede2000(asked, labFromHex(hex));
      const total = parts.reduce((a, b) => a + b, down);
      const named = chosen.map((i, k) => ({ paint: ready.pigments[i].name, parts: parts[k] }));
      if (down) named.push({ paint: ready.white?.name ?? WATER, parts: down });
      const key = named.map((p) => p.paint).join('\n');
      const there = best.get(key);
      if (!there || deltaE < there.deltaE - HAIR || (deltaE < there.deltaE + HAIR && total < there.total))
        best.set(key, { parts: named, hex, deltaE, total });
    }
    const ranked = [...best.values()].sort((a, b) => a.deltaE - b.deltaE || a.total - b.total);
    const recipes: Recipe[] = [];
    for (const { total: _total, ...recipe } of ranked) {
      const spare = recipes.some(
        (r) => r.parts.every((p) => recipe.parts.some((q) => q.paint === p.paint)) && recipe.deltaE > r.deltaE - WORTH,
      );
      if (!spare) recipes.push(recipe);
      if (recipes.length === wanted) break;
    }
    const withinReach = recipes.length > 0 && recipes[0].deltaE <= 3;
    const words = recipes.length
      ? message(withinReach ? 'mixing.within' : 'mixing.beyond', { miss: missInWords(asked, labFromHex(recipes[0].hex)) })
      : message('mixing.nothing');
    return { target: target.toLowerCase(), recipes, withinReach, words };
  };
}

/** One colour from a kit. */
export const mixFor = (target: string, kit: Kit, wanted?: number): MixAnswer => mixerFor(kit)(target, wanted);
