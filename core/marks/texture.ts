/** Knows how what is worked looks close to: how much detail of which size, in light or in colour, dark on light or light on dark, and how much is left even. */
import { Mask } from '../raster/image';
import { standardDeviation } from '../raster/statistics';
import { CloseUp } from './closeUp';

/** Sizes of detail, each between two softnesses of the close-up; the largest is only used of colour and darkness. */
const FINE = 0;
const SMALL = 1;
const BROAD = 2;
const LARGE = 3;

export const TEXTURE_DETAIL = ['fine', 'small', 'broad'] as const;
export const TEXTURE_COLOUR = ['small', 'large'] as const;
export const TEXTURE_DARK = ['small', 'large'] as const;

/** Flat names of all of it, as the features have them after "marks.". */
export const TEXTURE_NAMES = [
  ...TEXTURE_DETAIL.map((k) => `${k}Detail`),
  ...TEXTURE_COLOUR.map((k) => `${k}Colour`),
  ...TEXTURE_DARK.map((k) => `${k}Dark`),
  'even',
];

/** Differences under this (Lab units a px) are even colour. */
const EVEN_RISE = 1;
/** Below this many worked px there is nothing to say. */
const LEAST = 1500;

/** Sums over the worked px of a window. */
export interface TextureSums {
  pixels: number;
  /** By size: squares and cubes of the detail in L*, squares of that in a* and b*. */
  light: number[];
  cubes: number[];
  colour: number[];
  even: number;
}

interface Texture {
  /** Root mean square of the detail, L*. */
  detail: Record<(typeof TEXTURE_DETAIL)[number], number>;
  /** Detail in colour over detail in light. */
  colour: Record<(typeof TEXTURE_COLOUR)[number], number>;
  /** Skewness, its inverse hyperbolic sine: over 0 for dark marks on light, under 0 for light on dark. */
  dark: Record<(typeof TEXTURE_DARK)[number], number>;
  /** Share without any change of colour. */
  even: number;
}

/** Sums of a window's detail by size over the px that `worked` marks. */
export function textureSums(close: CloseUp, worked: Mask): TextureSums {
  const [l, a, b] = [close.L, close.a, close.b].map((planes) => planes.map((p) => p.data));
  const sums: TextureSums = { pixels: 0, light: [0, 0, 0, 0], cubes: [0, 0, 0, 0], colour: [0, 0, 0, 0], even: 0 };
  const { width: w, height: h } = close;
  for (let y = 1; y < h - 1; y++)
    for (let i = y * w + 1, end = y * w + w - 1; i < end; i++) {
      if (!worked.data[i]) continue;
      sums.pixels++;
      for (let k = FINE; k <= LARGE; k++) {
        const d = l[k][i] - l[k + 1][i];
        sums.light[k] += d * d;
        sums.cubes[k] += d * d * d;
        if (k > FINE) sums.colour[k] += (a[k][i] - a[k + 1][i]) ** 2 + (b[k][i] - b[k + 1][i]) ** 2;
      }
      let rise = 0;
      for (const p of [l[SMALL], a[SMALL], b[SMALL]]) rise += (p[i + 1] - p[i - 1]) ** 2 + (p[i + w] - p[i - w]) ** 2;
      if (rise < 4 * EVEN_RISE * EVEN_RISE) sums.even++;
    }
  return sums;
}

function textureFrom(windows: readonly TextureSums[], least: number): Texture | null {
  const total = (of: (w: TextureSums) => number) => windows.reduce((s, w) => s + of(w), 0);
  const n = total((w) => w.pixels);
  if (n < least) return null;
  const rms = (k: number) => Math.sqrt(total((w) => w.light[k]) / n);
  const colour = (k: number) => Math.sqrt(total((w) => w.colour[k]) / n) / Math.max(0.1, rms(k));
  const dark = (k: number) => -Math.asinh(total((w) => w.cubes[k]) / n / Math.max(0.1, rms(k)) ** 3);
  return {
    detail: { fine: rms(FINE), small: rms(SMALL), broad: rms(BROAD) },
    colour: { small: colour(SMALL), large: colour(LARGE) },
    dark: { small: dark(SMALL), large: dark(LARGE) },
    even: total((w) => w.even) / n,
  };
}

function textureValues(t: Texture): Record<string, number> {
  const named = <K extends string>(values: Record<K, number>, tail: string) =>
    Object.fromEntries(Object.entries<number>(values).map(([k, v]) => [`${k}${tail}`, v]));
  return { ...named(t.detail, 'Detail'), ...named(t.colour, 'Colour'), ...named(t.dark, 'Dark'), even: t.even };
}

/** Texture of the worked part over all windows, and the standard error its windows show; null with under 1500 worked px. */
export function textureOf(windows: readonly TextureSums[]): { value: Record<string, number>; spread: Record<string, number> } | null {
  const whole = textureFrom(windows, LEAST);
  if (!whole) return null;
  const value = textureValues(whole);
  const each = windows.flatMap((w) => {
    const t = textureFrom([w], LEAST / 3);
    return t ? [textureValues(t)] : [];
  });
  const spread = Object.fromEntries(
    TEXTURE_NAMES.map((k) => [
      k,
      each.length > 2 ? standardDeviation(each.map((e) => e[k])) / Math.sqrt(each.length) : 0.2 * Math.abs(value[k]),
    ]),
  );
  return { value, spread };
}
