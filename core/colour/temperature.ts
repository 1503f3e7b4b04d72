/** Knows warm from cool: hue 330° to 110° is warm, C*ab under 8 is neutral, the rest cool. */
import { LabPlanes, lchFromLab } from './lab';

export type Temperature = 'warm' | 'cool' | 'neutral';

export function temperatureOf(lab: readonly number[]): Temperature {
  const [, C, h] = lchFromLab(lab);
  if (C < 8) return 'neutral';
  return h >= 330 || h <= 110 ? 'warm' : 'cool';
}

const [COS_330, SIN_330, COS_110, SIN_110] = [330, 110].flatMap((d) => [Math.cos((d * Math.PI) / 180), Math.sin((d * Math.PI) / 180)]);

export interface TemperatureShares {
  warm: number;
  cool: number;
  neutral: number;
  /** (warm − cool) ÷ (warm + cool); null where both are 0. */
  balance: number | null;
}

/** Area shares over the pixels that `worked` marks (all where null or empty); summing to 1. */
export function temperatureShares({ a, b }: LabPlanes, worked: Uint8Array | null): TemperatureShares {
  const count = { warm: 0, cool: 0, neutral: 0 };
  let n = 0;
  for (let i = 0; i < a.data.length; i++) {
    if (worked && !worked[i]) continue;
    n++;
    const [x, y] = [a.data[i], b.data[i]];
    if (x * x + y * y < 64) count.neutral++;
    // Warm lies on the red side of both 330° and 110°, which part less than half of the circle from the rest.
    else if (y * COS_330 - x * SIN_330 >= 0 && x * SIN_110 - y * COS_110 >= 0) count.warm++;
    else count.cool++;
  }
  if (n === 0) return worked ? temperatureShares({ L: a, a, b }, null) : { warm: 0, cool: 0, neutral: 1, balance: null };
  const warm = count.warm / n;
  const cool = count.cool / n;
  return { warm, cool, neutral: count.neutral / n, balance: warm + cool > 0 ? (warm - cool) / (warm + cool) : null };
}
