/** Knows how what is worked looks close to: how much detail of which size, in light or in colour, dark on light or light on dark, and how much is left even. */
import { Mask, Rect } from '../raster/image';
import { sumsOf } from '../raster/kernels/closeUp';
import { standardDeviation } from '../raster/statistics';
import { CloseUp } from './closeUp';
import { Detail, DETAIL_SIZES, detailOf } from './detail';

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
  /** By size, as `detailOf` takes them. */
  bands: Float64Array[];
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
  const sums = sumsOf(close);
  const whole: Rect = [0, 0, close.width, close.height];
  const [pixels, even] = sums.under(EVEN_RISE, worked.data);
  return { pixels, even, bands: DETAIL_SIZES.map((k) => sums.band(k, whole, worked.data)) };
}

function textureFrom(windows: readonly TextureSums[], least: number): Texture | null {
  const total = (of: (w: TextureSums) => number) => windows.reduce((s, w) => s + of(w), 0);
  const n = total((w) => w.pixels);
  if (n < least) return null;
  const [fine, small, broad, large] = DETAIL_SIZES.map((k) => detailOf([0, 1, 2, 3].map((i) => total((w) => w.bands[k][i]))));
  const colour = (d: Detail) => d.colour / Math.max(0.1, d.light);
  return {
    detail: { fine: fine.light, small: small.light, broad: broad.light },
    colour: { small: colour(small), large: colour(large) },
    dark: { small: small.dark, large: large.dark },
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
