/**
 * Knows what a paint or ink gives thinned with water over a sheet: a clear layer through which the light passes, whose density goes with its amount
 * (Beer and Lambert), as far as the paint's own dilutions on paper say nothing else.
 */
import { linearFromHex, Triple } from './srgb';
import type { Tint } from './pigment';

/** White paper, on which masstones and dilutions are taken to be laid, in linear light: common practice, no source. */
export const WHITE_PAPER: Triple = [0.9, 0.9, 0.9];
const DARKEST = 0.002;

const densities = (linear: Triple): number[] =>
  linear.map((c, k) => -Math.log(Math.max(DARKEST, Math.min(WHITE_PAPER[k], c)) / WHITE_PAPER[k]));

/** Bounds of the power by which density falls with dilution: measured strips lie between these. */
const [LEAST_POWER, MOST_POWER] = [0.4, 2];

/**
 * The power p with which the density of a thinned layer follows its share of paint, densities D(share) = D(1) · share^p: least squares on the
 * logarithms of the dilutions' densities, by how dense they are; 1 (Beer and Lambert) without any.
 */
export function dilutionPower(masstone: string, dilutions: readonly Tint[]): number {
  const full = densities(linearFromHex(masstone));
  let [over, under] = [0, 0];
  for (const { hex, parts } of dilutions) {
    const share = parts[0] / (parts[0] + parts[1]);
    if (!(share < 1)) continue;
    densities(linearFromHex(hex)).forEach((d, c) => {
      // A channel in which the paint hardly shows tells nothing.
      if (full[c] < 0.1 || d < 0.01) return;
      over += d * Math.log(share) * Math.log(d / full[c]);
      under += d * Math.log(share) ** 2;
    });
  }
  return under > 0 ? Math.min(MOST_POWER, Math.max(LEAST_POWER, over / under)) : 1;
}

/** A paint of such a colour when it is laid thick on white paper, thinned to `share` of its body over a sheet; linear light, in place. */
export function washedInto(linear: Float64Array, share: number, sheet: Triple, power: number): void {
  const amount = share ** power;
  for (let c = 0; c < 3; c++) {
    const paper = WHITE_PAPER[c];
    linear[c] = sheet[c] * (Math.max(DARKEST, Math.min(paper, linear[c])) / paper) ** amount;
  }
}

/** The same as a new colour. */
export function washed(linear: Triple, share: number, sheet: Triple = WHITE_PAPER, power = 1): Triple {
  const out = Float64Array.from(linear);
  washedInto(out, share, sheet, power);
  return [out[0], out[1], out[2]];
}
