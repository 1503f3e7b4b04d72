/**
 * Knows what paints give when stirred together: absorption and scattering by wavelength (Kubelka and Munk 1931, two constants), corrected for
 * what the surface reflects on the way in and out (Saunderson 1942), fitted for each paint to its masstone and its tints.
 */
import { labFromLinear } from './lab';
import { linearFromReflectance, reflectanceFromLinear, WAVELENGTHS } from './reflectance';
import { descend, normalEquations } from '../raster/leastSquares';
import { linearFromHex, Triple } from './srgb';

/**
 * Share of light that a paint film's surface turns back inside. Saunderson gives 0.4 to 0.6, the more the glossier; school paints dry matt, so the
 * lower of these. What it turns back outside falls out: photographs are taken without glare, and white is seen through the same surface. From
 * memory of the literature.
 */
const INSIDE = 0.4;

/** Reflectance, beside a perfect white's, as it is seen of what a film reflects inside. */
export const seenReflectance = (inside: number): number => ((1 - INSIDE) * inside) / (1 - INSIDE * inside);
/** The reverse. */
export const insideReflectance = (seen: number): number => seen / (1 - INSIDE + INSIDE * seen);

/** Absorption over scattering of a layer that hides what is below, from its reflectance (0–1, not 0). */
export const absorptionOf = (inside: number): number => (1 - inside) ** 2 / (2 * inside);
/** The reverse. */
export const reflectanceOf = (ratio: number): number => 1 + ratio - Math.sqrt(ratio * ratio + 2 * ratio);

/** What is seen of a hiding layer of so much absorption and scattering: `seenReflectance` of `reflectanceOf` in one division. */
export function seenOf(absorbs: number, scatters: number): number {
  const inside = scatters + absorbs - Math.sqrt(absorbs * (absorbs + 2 * scatters));
  return ((1 - INSIDE) * inside) / (scatters - INSIDE * inside);
}

/** A colour that was let down: parts of the paint to parts of white, or of water where a kit has no white. */
export interface Tint {
  hex: string;
  parts: [number, number];
}

/** A paint made ready: absorption K and scattering S by wavelength beside white's scattering of 1, and what of its colour no curve gives. */
export interface Pigment {
  name: string;
  absorbs: Float64Array;
  scatters: Float64Array;
  /** Linear light that is left over of the masstone, and mean scattering, by which it is shared out in a mix. */
  residue: Triple;
  weight: number;
}

/** K over S by wavelength, and the residue of the curve, of a paint laid thick. */
function masstoneOf(hex: string): { ratio: Float64Array; residue: Triple } {
  const linear = linearFromHex(hex);
  const curve = reflectanceFromLinear(linear);
  const back = linearFromReflectance(curve);
  return { ratio: curve.map((r) => absorptionOf(insideReflectance(r))), residue: linear.map((c, i) => c - back[i]) as Triple };
}

const pigmentOf = (name: string, hex: string, scatters: Float64Array): Pigment => {
  const { ratio, residue } = masstoneOf(hex);
  return { name, absorbs: ratio.map((r, i) => r * scatters[i]), scatters, residue, weight: meanOf(scatters) };
};
const meanOf = (values: Float64Array): number => values.reduce((s, v) => s + v, 0) / values.length;

/** White, or a paint of which only a relative strength is known: it scatters alike at every wavelength. */
export const plainPigment = (name: string, hex: string, strength = 1): Pigment =>
  pigmentOf(name, hex, new Float64Array(WAVELENGTHS.length).fill(strength));

const CURVE = new Float64Array(WAVELENGTHS.length);

/** Linear sRGB of pigments stirred together by parts: what they absorb and what they scatter add by amount. */
export function mixLinear(pigments: readonly Pigment[], parts: readonly number[]): Triple {
  const n = CURVE.length;
  for (let i = 0; i < n; i++) {
    let [k, s] = [0, 0];
    for (let p = 0; p < pigments.length; p++) {
      k += parts[p] * pigments[p].absorbs[i];
      s += parts[p] * pigments[p].scatters[i];
    }
    CURVE[i] = seenOf(k, s);
  }
  const out = linearFromReflectance(CURVE);
  let whole = 0;
  for (let p = 0; p < pigments.length; p++) whole += parts[p] * pigments[p].weight;
  for (let p = 0; p < pigments.length; p++)
    for (let c = 0; c < 3; c++) out[c] += ((parts[p] * pigments[p].weight) / whole) * pigments[p].residue[c];
  return out;
}

/** Forms that log S may take over the spectrum: even, tilted, bowed. */
const FORMS = [0, 1, 2].map((k) =>
  Float64Array.from(WAVELENGTHS, (nm) => {
    const x = (nm - 555) / 175;
    return k === 0 ? 1 : k === 1 ? x : 2 * x * x - 1;
  }),
);
/** How far a tilt and a bow of log S are believed without being told; a tint's colour is known to about one unit of Lab. */
const BELIEVED = [4, 0.45, 0.35];
const KNOWN = 1;
const ROUNDS = 24;
/** Step of the differences in the form of S. */
const NUDGE = 1e-4;

const scattersOf = (form: readonly number[]): Float64Array =>
  Float64Array.from(WAVELENGTHS, (_, i) =>
    Math.exp(Math.min(5, Math.max(-5, form[0] * FORMS[0][i] + form[1] * FORMS[1][i] + form[2] * FORMS[2][i]))),
  );

/**
 * A paint whose scattering is fitted to its tints with white: least squares on their Lab, with the shape of S held
 * near even by as much as one tint leaves it open. `strength` is where it begins, and what is left where there is no tint.
 */
export function fittedPigment(name: string, masstone: string, tints: readonly Tint[], strength: number, white: Pigment): Pigment {
  if (!tints.length) return plainPigment(name, masstone, strength);
  const { ratio, residue } = masstoneOf(masstone);
  const made = (form: readonly number[]): Pigment => {
    const scatters = scattersOf(form);
    return { name, absorbs: ratio.map((r, i) => r * scatters[i]), scatters, residue, weight: meanOf(scatters) };
  };
  const wanted = tints.map((t) => labFromLinear(...linearFromHex(t.hex)));
  const residuals = (form: readonly number[]): number[] => {
    const pigment = made(form);
    return [
      ...tints.flatMap(({ parts }, t) => labFromLinear(...mixLinear([pigment, white], parts)).map((v, c) => (v - wanted[t][c]) / KNOWN)),
      ...form.map((v, k) => v / BELIEVED[k]),
    ];
  };
  const standing = (form: readonly number[]) => {
    const off = residuals(form);
    return { form, off, cost: off.reduce((s, v) => s + v * v, 0) };
  };
  // From the best of a coarse row of even strengths: far off, the slope says little.
  const start = [-3, -2, -1, 0, 1, 2, 3].map((s) => standing([s, 0, 0])).reduce((a, b) => (b.cost < a.cost ? b : a));
  const { form } = descend(start, {
    system: ({ form, off }) => {
      const nudged = form.map((_, k) => residuals(form.map((v, j) => (j === k ? v + NUDGE : v))));
      return normalEquations(
        off.map((v, r) => nudged.map((up) => (up[r] - v) / NUDGE)),
        off,
      );
    },
    moved: ({ form }, step) => standing(form.map((v, k) => v + step[k])),
    rounds: ROUNDS,
    leastGain: 1e-6,
  });
  return made(form);
}
