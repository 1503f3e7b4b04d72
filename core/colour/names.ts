/** Knows what a painter would call a colour, in plain words, from its hue, lightness and chroma. */
import { clamp } from '../raster/statistics';
import { lchFromLab, linearFromLab, oklabFromLinear } from './lab';

const HUES: [upTo: number, name: string][] = [
  [15, 'rose red'],
  [45, 'red'],
  [62, 'orange'],
  [76, 'yellow orange'],
  [100, 'yellow'],
  [122, 'yellow green'],
  [160, 'green'],
  [190, 'blue green'],
  [230, 'turquoise'],
  [292, 'blue'],
  [318, 'violet'],
  [345, 'purple'],
  [360, 'rose red'],
];

/**
 * Hue as these names mean it. CIELAB's blues lean toward violet the stronger they are (sRGB's pure blue stands at 306°,
 * ultramarine at 298°), so from blue to purple Oklab's hue is taken, set over by 11° to meet the same bounds.
 */
function namingHue(lab: readonly number[], h: number): number {
  if (h < 265 || h >= 330) return h;
  const [, a, b] = oklabFromLinear(...linearFromLab(lab));
  return clamp((Math.atan2(b, a) * 180) / Math.PI + 360 + 11, 265, 329);
}

const EARTHS: [upTo: number, name: string][] = [
  [48, 'red brown'],
  [72, 'brown'],
  [100, 'ochre'],
  [122, 'olive'],
];

/**
 * Plain name of a Lab colour, such as "pale ochre" or "dark greyed blue".
 * Neutral below C*ab 4, near-neutral ("warm grey") below 9. Wording of our own; the bounds are judgement, no source.
 */
export function colourName(lab: readonly number[]): string {
  const [L, C, h] = lchFromLab(lab);
  if (C < 9) {
    const tone =
      L >= 93 ? 'white' : L >= 78 ? 'pale grey' : L >= 60 ? 'light grey' : L >= 40 ? 'mid grey' : L >= 20 ? 'dark grey' : 'black';
    if (C < 4) return tone;
    const warm = h >= 330 || h < 110 ? 'warm' : 'cool';
    return tone === 'black' ? (warm === 'warm' ? 'brown black' : h > 230 && h < 310 ? 'blue black' : 'black') : `${warm} ${tone}`;
  }
  if (L < 20 && C < 22)
    return h >= 230 && h < 310 ? 'blue black' : h >= 330 || h < 110 ? 'brown black' : h < 190 ? 'green black' : 'blue black';
  const earth = h >= 15 && h < 122 && C < 45 && L < 82 ? EARTHS.find(([upTo]) => h < upTo) : undefined;
  const hue = namingHue(lab, h);
  const base = earth ? earth[1] : HUES.find(([upTo]) => hue < upTo)![1];
  const light = L >= 82 ? 'pale ' : L >= 65 ? 'light ' : L < 22 ? 'very dark ' : L < 38 ? 'dark ' : '';
  const strength = C > 62 ? 'vivid ' : C < 20 && !earth ? 'greyed ' : '';
  return `${light}${strength}${base}`.trim();
}
