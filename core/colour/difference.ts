/** Knows how far apart two colours look: CIEDE2000 (CIE 142:2001, as set out by Sharma, Wu and Dalal 2005). */

const RAD = Math.PI / 180;

/** Hue in degrees [0, 360) of a'b'; 0 when both are 0, as Sharma et al. set it. */
function hueDegrees(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const h = Math.atan2(b, a) / RAD;
  return h < 0 ? h + 360 : h;
}

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
  const T =
    1 -
    0.17 * Math.cos((hm - 30) * RAD) +
    0.24 * Math.cos(2 * hm * RAD) +
    0.32 * Math.cos((3 * hm + 6) * RAD) -
    0.2 * Math.cos((4 * hm - 63) * RAD);
  const dTheta = 30 * Math.exp(-(((hm - 275) / 25) ** 2));
  const Cm7 = Cm ** 7;
  const RC = 2 * Math.sqrt(Cm7 / (Cm7 + 25 ** 7));
  const SL = 1 + (0.015 * (Lm - 50) ** 2) / Math.sqrt(20 + (Lm - 50) ** 2);
  const SC = 1 + 0.045 * Cm;
  const SH = 1 + 0.015 * Cm * T;
  const RT = -Math.sin(2 * dTheta * RAD) * RC;
  return Math.sqrt((dL / SL) ** 2 + (dC / SC) ** 2 + (dH / SH) ** 2 + RT * (dC / SC) * (dH / SH));
}
