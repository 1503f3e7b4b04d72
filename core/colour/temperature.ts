/** Knows warm from cool: hue 330° to 110° is warm, C*ab under 8 is neutral, the rest cool. */
import { LabPlanes, lchFromLab } from './lab';

export type Temperature = 'warm' | 'cool' | 'neutral';

export function temperatureOf(lab: readonly number[]): Temperature {
  const [, C, h] = lchFromLab(lab);
  if (C < 8) return 'neutral';
  return h >= 330 || h <= 110 ? 'warm' : 'cool';
}

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
    const C = Math.hypot(a.data[i], b.data[i]);
    if (C < 8) count.neutral++;
    else {
      const h = (Math.atan2(b.data[i], a.data[i]) * 180) / Math.PI;
      count[h >= -30 && h <= 110 ? 'warm' : 'cool']++;
    }
  }
  if (n === 0) return worked ? temperatureShares({ L: a, a, b }, null) : { warm: 0, cool: 0, neutral: 1, balance: null };
  const warm = count.warm / n;
  const cool = count.cool / n;
  return { warm, cool, neutral: count.neutral / n, balance: warm + cool > 0 ? (warm - cool) / (warm + cool) : null };
}
