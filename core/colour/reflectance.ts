/** Knows a likely reflectance curve for an sRGB colour: the smoothest one in a hyperbolic tangent (Burns 2020, LHTSS). */
import { solve } from '../raster/solve';
import { Triple } from './srgb';

/** Wavelengths 380 to 730 nm by 10. */
export const WAVELENGTHS = Array.from({ length: 36 }, (_, i) => 380 + 10 * i);

// Relative power of CIE standard illuminant D65 at those wavelengths (CIE 15), set down from memory; white is
// normalised below, so a slip in a digit shifts mixtures by far less than the spread between tubes of paint.
const D65 = [
  49.98, 54.65, 82.75, 91.49, 93.43, 86.68, 104.87, 117.01, 117.81, 114.86, 115.92, 108.81, 109.35, 107.8, 104.79, 107.69, 104.41, 104.05,
  100, 96.33, 95.79, 88.69, 90.01, 89.6, 87.7, 83.29, 83.7, 80.03, 80.21, 82.28, 78.28, 69.72, 71.61, 74.35, 61.6, 69.89,
];

/** CIE 1931 colour matching functions by the multi-lobe fit of Wyman, Sloan and Shirley (2013). */
function matching(nm: number): Triple {
  const lobe = (peak: number, low: number, high: number) => Math.exp(-0.5 * ((nm - peak) * (nm < peak ? low : high)) ** 2);
  return [
    0.362 * lobe(442, 0.0624, 0.0374) + 1.056 * lobe(599.8, 0.0264, 0.0323) - 0.065 * lobe(501.1, 0.049, 0.0382),
    0.821 * lobe(568.8, 0.0213, 0.0247) + 0.286 * lobe(530.9, 0.0613, 0.0322),
    1.217 * lobe(437, 0.0845, 0.0278) + 0.681 * lobe(459, 0.0385, 0.0725),
  ];
}

/** Rows that turn a reflectance curve into linear sRGB; a perfect white gives exactly 1, 1, 1. */
const TO_LINEAR: Float64Array[] = (() => {
  const xyz = WAVELENGTHS.map((nm, i) => matching(nm).map((v) => v * D65[i]));
  const matrix = [
    [3.2409699419045226, -1.537383177570094, -0.4986107602930034],
    [-0.9692436362808796, 1.8759675015077202, 0.04155505740717559],
    [0.05563007969699366, -0.20397695888897652, 1.0569715142428786],
  ];
  return matrix.map((row) => {
    const raw = Float64Array.from(xyz, (v) => row[0] * v[0] + row[1] * v[1] + row[2] * v[2]);
    const sum = raw.reduce((a, b) => a + b, 0);
    return raw.map((v) => v / sum);
  });
})();

/** Linear sRGB of a reflectance curve under D65. */
export function linearFromReflectance(curve: ArrayLike<number>): Triple {
  const [red, green, blue] = TO_LINEAR;
  let r = 0;
  let g = 0;
  let b = 0;
  for (let i = 0; i < red.length; i++) {
    r += red[i] * curve[i];
    g += green[i] * curve[i];
    b += blue[i] * curve[i];
  }
  return [r, g, b];
}

/** Wavelengths taken together where a colour is only looked for, not told. */
const BAND = 3;
const BANDS = WAVELENGTHS.length / BAND;
const TO_LINEAR_BY_BAND = TO_LINEAR.map((row) =>
  Float64Array.from({ length: BANDS }, (_, b) => row[BAND * b] + row[BAND * b + 1] + row[BAND * b + 2]),
);

/** A curve by bands: the mean of the wavelengths of each. */
export const byBand = (curve: Float64Array): Float64Array =>
  Float64Array.from({ length: BANDS }, (_, b) => (curve[BAND * b] + curve[BAND * b + 1] + curve[BAND * b + 2]) / BAND);

/** Linear sRGB of a reflectance curve by bands, into `out`. */
export function linearFromBands(bands: Float64Array, out: Float64Array): void {
  const [red, green, blue] = TO_LINEAR_BY_BAND;
  let [r, g, b] = [0, 0, 0];
  for (let i = 0; i < BANDS; i++) {
    r += red[i] * bands[i];
    g += green[i] * bands[i];
    b += blue[i] * bands[i];
  }
  out[0] = r;
  out[1] = g;
  out[2] = b;
}

/**
 * Reflectance 0–1 at WAVELENGTHS whose colour is the given linear sRGB (0–1; held within 0.002–0.98, since no paint
 * is a perfect black or white). Newton's method on the Lagrangian; at most 30 steps.
 */
export function reflectanceFromLinear(rgb: readonly number[]): Float64Array {
  const n = WAVELENGTHS.length;
  const want = rgb.map((c) => Math.min(0.98, Math.max(0.002, c)));
  const z = new Float64Array(n).fill(Math.atanh(2 * (0.3 * want[0] + 0.6 * want[1] + 0.1 * want[2]) - 1));
  const lambda = new Float64Array(3);
  for (let step = 0; step < 30; step++) {
    const curve = z.map((v) => (Math.tanh(v) + 1) / 2);
    const slope = z.map((v) => (1 - Math.tanh(v) ** 2) / 2);
    const bend = z.map((v, i) => -2 * Math.tanh(v) * slope[i]);
    const system = Array.from({ length: n + 3 }, () => new Float64Array(n + 3));
    const right = new Float64Array(n + 3);
    for (let i = 0; i < n; i++) {
      let pull = 0;
      for (let c = 0; c < 3; c++) pull += lambda[c] * TO_LINEAR[c][i];
      const ends = i === 0 || i === n - 1;
      system[i][i] = (ends ? 2 : 4) + pull * bend[i];
      if (i > 0) system[i][i - 1] = -2;
      if (i < n - 1) system[i][i + 1] = -2;
      const smooth = (ends ? 2 : 4) * z[i] - (i > 0 ? 2 * z[i - 1] : 0) - (i < n - 1 ? 2 * z[i + 1] : 0);
      right[i] = -(smooth + pull * slope[i]);
      for (let c = 0; c < 3; c++) system[i][n + c] = system[n + c][i] = TO_LINEAR[c][i] * slope[i];
    }
    const now = linearFromReflectance(curve);
    let miss = 0;
    for (let c = 0; c < 3; c++) {
      right[n + c] = want[c] - now[c];
      miss = Math.max(miss, Math.abs(right[n + c]));
    }
    const delta = solve(system, right);
    let longest = 0;
    for (let i = 0; i < n; i++) longest = Math.max(longest, Math.abs(delta[i]));
    const stride = Math.min(1, 1.5 / longest);
    for (let i = 0; i < n; i++) z[i] += stride * delta[i];
    for (let c = 0; c < 3; c++) lambda[c] += stride * delta[n + c];
    if (longest < 1e-7 && miss < 1e-9) break;
  }
  return z.map((v) => (Math.tanh(v) + 1) / 2);
}
