/** Knows Student's t: how often so large a deviation comes by chance, and which deviation comes so often. */

/** Coefficients of Lanczos' approximation for g = 7 (Godfrey), error under 1e-13. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
  -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** Logarithm of the gamma function, x > 0. */
function logGamma(x: number): number {
  const z = x - 1;
  const sum = LANCZOS.reduce((s, c, k) => (k ? s + c / (z + k) : c), 0);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum);
}

/** Continued fraction of the incomplete beta function, by the modified method of Lentz (1976). */
function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300;
  const away = (v: number) => (Math.abs(v) < tiny ? tiny : v);
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let h = d;
  for (let m = 1; m < 300; m++) {
    for (const k of [(m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)), (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))]) {
      d = 1 / away(1 + k * d);
      c = away(1 + k / c);
      h *= c * d;
    }
    if (Math.abs(c * d - 1) < 1e-14) break;
  }
  return h;
}

/** Regularised incomplete beta function I_x(a, b). */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0 || x >= 1) return x <= 0 ? 0 : 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x));
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/** Chance of a deviation of |t| or more to either side with `df` degrees of freedom (over 0, not necessarily whole). */
export const studentTwoSided = (t: number, df: number): number => incompleteBeta(df / (df + t * t), df / 2, 0.5);

/** The |t| that chance reaches or passes, to either side, with probability p in (0, 1]. */
export function studentPoint(p: number, df: number): number {
  let [low, high] = [0, 1];
  while (studentTwoSided(high, df) > p && high < 1e12) [low, high] = [high, 2 * high];
  for (let k = 0; k < 200 && high - low > 1e-12 * high; k++) {
    const middle = (low + high) / 2;
    if (studentTwoSided(middle, df) > p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
