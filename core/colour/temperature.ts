/** Knows warm from cool: hue 330° to 110° is warm, C*ab under 8 is neutral, the rest cool. */
import { LabPlanes } from './lab';

export const TEMPERATURES = ['warm', 'cool', 'neutral'] as const;
export type Temperature = (typeof TEMPERATURES)[number];

const [COS_330, SIN_330, COS_110, SIN_110] = [330, 110].flatMap((d) => [Math.cos((d * Math.PI) / 180), Math.sin((d * Math.PI) / 180)]);

/** The number in `TEMPERATURES` of a colour's a* and b*. */
export function temperatureAt(a: number, b: number): number {
  if (a * a + b * b < 64) return 2;
  // Warm lies on the red side of both 330° and 110°, which part less than half of the circle from the rest.
  return b * COS_330 - a * SIN_330 >= 0 && a * SIN_110 - b * COS_110 >= 0 ? 0 : 1;
}

export const temperatureOf = (lab: readonly number[]): Temperature => TEMPERATURES[temperatureAt(lab[1], lab[2])];

export interface TemperatureShares {
  warm: number;
  cool: number;
  neutral: number;
  /** (warm − cool) ÷ (warm + cool); null where both are 0. */
  balance: number | null;
}

/** How many px are of each of `TEMPERATURES`. */
function countsOf(a: Float32Array, b: Float32Array, worked: Uint8Array | null): [warm: number, cool: number, neutral: number] {
  let [all, warm, neutral] = [0, 0, 0];
  for (let i = 0; i < a.length; i++) {
    if (worked && !worked[i]) continue;
    const which = temperatureAt(a[i], b[i]);
    all++;
    if (which === 0) warm++;
    else if (which === 2) neutral++;
  }
  return [warm, all - warm - neutral, neutral];
}

/** Area shares over the pixels that `worked` marks (all where null or empty); summing to 1. */
export function temperatureShares({ a, b }: LabPlanes, worked: Uint8Array | null): TemperatureShares {
  const count = countsOf(a.data, b.data, worked);
  const n = count[0] + count[1] + count[2];
  if (n === 0) return worked ? temperatureShares({ L: a, a, b }, null) : { warm: 0, cool: 0, neutral: 1, balance: null };
  const [warm, cool, neutral] = count.map((v) => v / n);
  return { warm, cool, neutral, balance: warm + cool > 0 ? (warm - cool) / (warm + cool) : null };
}
