/** Knows what paints give when stirred together (Kubelka and Munk 1931), and which whole-number parts come nearest. */
import { CoreError } from '../errors';
import { Message, message, several, typed } from '../message';
import { ciede2000 } from './difference';
import { labFromHex, labFromLinear, lchFromLab } from './lab';
import { linearFromReflectance, reflectanceFromLinear, WAVELENGTHS } from './reflectance';
import { hexFromLinear, linearFromHex, Triple } from './srgb';

export interface Paint {
  name: string;
  pigment: string;
  /** The paint laid thick: `#rrggbb`. */
  masstone: string;
  /** The paint let down with white: colour and parts paint : white. */
  tint: { hex: string; parts: [number, number] } | null;
  /** Tinting strength against white, 1 where unknown; used only without a tint. */
  strength: number;
}

export interface Kit {
  name: string;
  /** Name of the paint that is white, or null: then colours are let down with water over white paper. */
  white: string | null;
  paints: Paint[];
}

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

/** A paint made ready: absorption over scattering by wavelength, relative scattering, and the residue of its curve. */
interface Ready {
  name: string;
  ratio: Float64Array;
  scatter: number;
  residue: Triple;
}

const MOST_PARTS = 12;
const WATER = 'water';

function absorption(curve: Float64Array): Float64Array {
  return curve.map((r) => (1 - r) ** 2 / (2 * r));
}

function reflectance(ratio: number): number {
  return 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);
}

function prepare(paint: Paint, scatter: number): Ready {
  const linear = linearFromHex(paint.masstone);
  const curve = reflectanceFromLinear(linear);
  const back = linearFromReflectance(curve);
  return { name: paint.name, ratio: absorption(curve), scatter, residue: linear.map((c, i) => c - back[i]) as Triple };
}

const CURVE = new Float64Array(WAVELENGTHS.length);

/** Linear sRGB of paints mixed by parts: absorption and scattering both add by amount (two-constant theory, scattering flat over wavelength). */
function mixLinear(paints: readonly Ready[], parts: readonly number[]): Triple {
  let scatter = 0;
  for (let p = 0; p < paints.length; p++) scatter += parts[p] * paints[p].scatter;
  CURVE.fill(0);
  for (let p = 0; p < paints.length; p++) {
    const w = (parts[p] * paints[p].scatter) / scatter;
    const { ratio } = paints[p];
    for (let i = 0; i < CURVE.length; i++) CURVE[i] += w * ratio[i];
  }
  for (let i = 0; i < CURVE.length; i++) CURVE[i] = reflectance(CURVE[i]);
  const out = linearFromReflectance(CURVE);
  for (let p = 0; p < paints.length; p++) {
    const w = (parts[p] * paints[p].scatter) / scatter;
    for (let c = 0; c < 3; c++) out[c] += w * paints[p].residue[c];
  }
  return out;
}

/** Paint thinned to `share` of its body over white paper: a clear layer whose density goes with its amount (Beer and Lambert). */
function thin(linear: Triple, share: number): Triple {
  const paper = 0.9;
  return linear.map((c) => paper * (Math.max(0.002, Math.min(paper, c)) / paper) ** share) as Triple;
}

/** Scattering of a paint relative to white so that its tint comes out as photographed; golden-section on ΔE00. */
export function calibratedStrength(paint: Paint, white: Paint): number {
  if (!paint.tint) return paint.strength;
  const want = labFromHex(paint.tint.hex);
  const base = prepare(white, 1);
  const masstone = prepare(paint, 1);
  const miss = (log: number) =>
    ciede2000(want, labFromLinear(...mixLinear([{ ...masstone, scatter: Math.exp(log) }, base], paint.tint!.parts)));
  let [a, b] = [Math.log(0.02), Math.log(50)];
  const g = (Math.sqrt(5) - 1) / 2;
  for (let i = 0; i < 40; i++) {
    const c = b - g * (b - a);
    const d = a + g * (b - a);
    if (miss(c) < miss(d)) b = d;
    else a = c;
  }
  return Math.exp((a + b) / 2);
}

const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a);

/** All ways to share at most `most` whole parts among `count` paints, one or more each; the same array is handed out again. */
function* wholeParts(count: number, most: number): Generator<number[]> {
  const parts = new Array<number>(count).fill(1);
  const visit = function* (at: number, left: number): Generator<number[]> {
    if (at === count) {
      yield parts;
      return;
    }
    for (let n = 1; n <= left - (count - 1 - at); n++) {
      parts[at] = n;
      yield* visit(at + 1, left - n);
    }
  };
  yield* visit(0, most);
}

interface Mix {
  parts: number[];
  linear: Triple;
}

interface Ranked extends Recipe {
  total: number;
}

/** The mixes of one set of paints, each with its Lab. */
interface MixSet {
  names: string[];
  mixes: (Mix & { lab: Triple })[];
}

const setOf = (names: string[], mixes: readonly Mix[]): MixSet => ({
  names,
  mixes: mixes.map((mix) => ({ ...mix, lab: labFromLinear(...mix.linear) })),
});

/**
 * The best of the mixes of one set of paints, as a list of one or none. The plain Lab distance picks a dozen, CIEDE2000
 * of the printed colour judges those; three hundredths of it buy nothing the eye can see, so then the shorter recipe wins.
 */
function nearest({ names, mixes }: MixSet, asked: readonly number[]): Ranked[] {
  const sorted = mixes
    .map((mix) => ({ mix, far: (mix.lab[0] - asked[0]) ** 2 + (mix.lab[1] - asked[1]) ** 2 + (mix.lab[2] - asked[2]) ** 2 }))
    .sort((p, q) => p.far - q.far)
    .slice(0, 12);
  let best: Ranked | null = null;
  for (const { mix } of sorted) {
    const hex = hexFromLinear(mix.linear);
    const deltaE = ciede2000(asked, labFromHex(hex));
    const total = mix.parts.reduce((a, b) => a + b, 0);
    if (!best || deltaE < best.deltaE - 0.03 || (deltaE < best.deltaE + 0.03 && total < best.total))
      best = { parts: names.map((paint, i) => ({ paint, parts: mix.parts[i] })), hex, deltaE, total };
  }
  return best ? [best] : [];
}

function* choices(n: number, most: number): Generator<number[]> {
  for (let a = 0; a < n; a++) {
    yield [a];
    for (let b = a + 1; b < n && most > 1; b++) {
      yield [a, b];
      for (let c = b + 1; c < n && most > 2; c++) yield [a, b, c];
    }
  }
}

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

/** Everything that can be mixed from a kit: at most three paints, let down with white or (no white in the kit) water, at most 12 parts in all. */
function mixesOf(kit: Kit): MixSet[] {
  const white = kit.paints.find((p) => p.name === kit.white) ?? null;
  if (kit.white !== null && !white) throw new CoreError('kit.white', { name: typed(kit.white) });
  const coloured = kit.paints.filter((p) => p !== white);
  const ready = coloured.map((p) => prepare(p, white ? calibratedStrength(p, white) : p.strength));
  const base = white ? prepare(white, 1) : null;
  const sets: MixSet[] = [];
  if (base) sets.push(setOf([base.name], [{ parts: [1], linear: mixLinear([base], [1]) }]));
  for (const chosen of choices(ready.length, 3)) {
    const paints = chosen.map((i) => ready[i]);
    const names = paints.map((p) => p.name);
    const pure: Mix[] = [];
    const letDown: Mix[] = [];
    for (const parts of wholeParts(paints.length, MOST_PARTS)) {
      const linear = mixLinear(paints, parts);
      const body = parts.reduce((a, b) => a + b, 0);
      if (parts.reduce(gcd) === 1) pure.push({ parts: parts.slice(), linear });
      if (base) continue;
      for (let water = 1; body + water <= MOST_PARTS; water++)
        if (gcd(parts.reduce(gcd), water) === 1) letDown.push({ parts: [...parts, water], linear: thin(linear, body / (body + water)) });
    }
    if (base)
      for (const parts of wholeParts(paints.length + 1, MOST_PARTS))
        if (parts.reduce(gcd) === 1) letDown.push({ parts: parts.slice(), linear: mixLinear([...paints, base], parts) });
    sets.push(setOf(names, pure), setOf([...names, base?.name ?? WATER], letDown));
  }
  return sets;
}

/** The best recipes for a colour, different sets of paints, best first. `withinReach`: the best is within ΔE00 3. */
export type Mixer = (target: string, wanted?: number) => MixAnswer;

/** A mixer for one kit, whose mixes are reckoned once for all colours that are asked of it. */
export function mixerFor(kit: Kit): Mixer {
  const sets = mixesOf(kit);
  return (target, wanted = 5) => {
    const asked = labFromHex(target);
    const ranked = sets.flatMap((set) => nearest(set, asked)).sort((a, b) => a.deltaE - b.deltaE || a.total - b.total);
    // A longer recipe that hardly betters a shorter one of the same paints is left out.
    const recipes: Recipe[] = [];
    for (const { total: _total, ...recipe } of ranked) {
      const spare = recipes.some(
        (r) => r.parts.every((p) => recipe.parts.some((q) => q.paint === p.paint)) && recipe.deltaE > r.deltaE - 0.2,
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
