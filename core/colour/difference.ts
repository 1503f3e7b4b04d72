/** Knows how far apart two colours look: CIEDE2000 (CIE 142:2001, as set out by Sharma, Wu and Dalal 2005). */

const RAD = Math.PI / 180;

/** Hue in degrees [0, 360) of a'b'; 0 when both are 0, as Sharma et al. set it. */
function hueDegrees(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const h = Math.atan2(b, a) / RAD;
  return h < 0 ? h + 360 : h;
}

/** T: how much a difference of hue weighs at a hue. */
const hueWeight = (degrees: number): number =>
  1 -
  0.17 * Math.cos((degrees - 30) * RAD) +
  0.24 * Math.cos(2 * degrees * RAD) +
  0.32 * Math.cos((3 * degrees + 6) * RAD) -
  0.2 * Math.cos((4 * degrees - 63) * RAD);

/** The sine of twice Δθ: how far blues are turned. */
const hueTurn = (degrees: number): number => Math.sin(60 * Math.exp(-(((degrees - 275) / 25) ** 2)) * RAD);

/**
 * CIEDE2000 between two L*a*b* colours with kL = kC = kH = 1; 0 for equal colours.
 * Hues exactly opposite (to within rounding) take the branch of |h2 − h1| ≤ 180, as in the published table.
 */
export function ciede2000(one: readonly number[], two: readonly number[]): number {
  const [L1, a1, b1] = one;
  const [L2, a2, b2] = two;
  const meanC = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const c7 = meanC ** 7;
  const G = 0.5 * (1 - Math.sqrt(c7 / (c7 + 25 ** 7)));
  const a1p = (1 + G) * a1;
  const a2p = (1 + G) * a2;
  const C1 = Math.hypot(a1p, b1);
  const C2 = Math.hypot(a2p, b2);
  const h1 = hueDegrees(a1p, b1);
  const h2 = hueDegrees(a2p, b2);
  const dL = L2 - L1;
  const dC = C2 - C1;
  const chromatic = C1 * C2 !== 0;
  // The last bit of atan2 must not decide which way round an exactly opposite hue goes.
  const apart = Math.abs(h2 - h1) - 180 > 1e-9;
  let dh = chromatic ? h2 - h1 : 0;
  if (chromatic && apart) dh += h2 > h1 ? -360 : 360;
  const dH = 2 * Math.sqrt(C1 * C2) * Math.sin((dh / 2) * RAD);
  const Lm = (L1 + L2) / 2;
  const Cm = (C1 + C2) / 2;
  let hm = chromatic ? (h1 + h2) / 2 : h1 + h2;
  if (chromatic && apart) hm += h1 + h2 < 360 ? 180 : -180;
  const Cm7 = Cm ** 7;
  const RC = 2 * Math.sqrt(Cm7 / (Cm7 + 25 ** 7));
  const SL = 1 + (0.015 * (Lm - 50) ** 2) / Math.sqrt(20 + (Lm - 50) ** 2);
  const SC = 1 + 0.045 * Cm;
  const SH = 1 + 0.015 * Cm * hueWeight(hm);
  const RT = -hueTurn(hm) * RC;
  return Math.sqrt((dL / SL) ** 2 + (dC / SC) ** 2 + (dH / SH) ** 2 + RT * (dC / SC) * (dH / SH));
}

/** What bends slowly: the chroma part at half units up to more than any colour of light has, the two hue parts at half degrees. */
const PER_UNIT = 2;
const MOST_CHROMA = 256;
const PER_DEGREE = 2;
const byChroma = Float64Array.from({ length: PER_UNIT * MOST_CHROMA + 2 }, (_, i) =>
  Math.sqrt(1 / (1 + ((25 * PER_UNIT) / Math.max(1e-9, i)) ** 7)),
);
const byHue = (at: (degrees: number) => number) => Float64Array.from({ length: PER_DEGREE * 360 + 2 }, (_, i) => at(i / PER_DEGREE));
const weightByHue = byHue(hueWeight);
const turnByHue = byHue(hueTurn);
const atChroma = (chroma: number): number => {
  const x = PER_UNIT * Math.min(chroma, MOST_CHROMA);
  const i = x | 0;
  return byChroma[i] + (x - i) * (byChroma[i + 1] - byChroma[i]);
};

/** No difference of lightness is divided by more than this, S_L at black and white. */
const LEAST_OF_LIGHTNESS = 1 + (0.015 * 50 ** 2) / Math.sqrt(20 + 50 ** 2);

/**
 * CIEDE2000 from one colour to very many: what depends on hue and chroma alone is read off tables, half a degree and half a unit apart. Within 0.01
 * of `ciede2000`, but for hues that lie opposite to within rounding; Infinity where lightness alone puts a colour beyond `most`.
 */
export function ciede2000From([L1, a1, b1]: readonly number[]): (L: number, a: number, b: number, most?: number) => number {
  const chroma = Math.hypot(a1, b1);
  return (L2, a2, b2, most = Infinity) => {
    if (Math.abs(L2 - L1) > LEAST_OF_LIGHTNESS * most) return Infinity;
    const stretch = 1.5 - 0.5 * atChroma((chroma + Math.sqrt(a2 * a2 + b2 * b2)) / 2);
    const u = stretch * a1;
    const v = stretch * a2;
    const C1 = Math.sqrt(u * u + b1 * b1);
    const C2 = Math.sqrt(v * v + b2 * b2);
    const Cm = (C1 + C2) / 2;
    const lm = ((L1 + L2) / 2 - 50) ** 2;
    const l = (L2 - L1) / (1 + (0.015 * lm) / Math.sqrt(20 + lm));
    const c = (C2 - C1) / (1 + 0.045 * Cm);
    const around = Math.sqrt(Math.max(0, 2 * (C1 * C2 - u * v - b1 * b2)));
    // Half way between two hues is where the sum of their directions points.
    const turn = Math.atan2(b1 * C2 + b2 * C1, u * C2 + v * C1);
    const hue = (PER_DEGREE / RAD) * (turn < 0 ? turn + 2 * Math.PI : turn);
    const i = hue | 0;
    const T = weightByHue[i] + (hue - i) * (weightByHue[i + 1] - weightByHue[i]);
    const h = (u * b2 < b1 * v ? -around : around) / (1 + 0.015 * Cm * T);
    const RT = -2 * atChroma(Cm) * (turnByHue[i] + (hue - i) * (turnByHue[i + 1] - turnByHue[i]));
    return Math.sqrt(Math.max(0, l * l + c * c + h * h + RT * c * h));
  };
}
