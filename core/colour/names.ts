/** Knows what a painter would call a colour, in plain words, from its hue, lightness and chroma. */
import { Message, message } from '../message';
import { clamp } from '../raster/statistics';
import { lchFromLab, linearFromLab, oklabFromLinear } from './lab';

const HUES: [upTo: number, name: string][] = [
  [15, 'roseRed'],
  [45, 'red'],
  [62, 'orange'],
  [76, 'yellowOrange'],
  [100, 'yellow'],
  [122, 'yellowGreen'],
  [160, 'green'],
  [190, 'blueGreen'],
  [230, 'turquoise'],
  [292, 'blue'],
  [318, 'violet'],
  [345, 'purple'],
  [360, 'roseRed'],
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
  [48, 'redBrown'],
  [72, 'brown'],
  [100, 'ochre'],
  [122, 'olive'],
];

type Light = 'pale' | 'light' | 'dark' | 'veryDark' | 'none';
type Strength = 'vivid' | 'greyed' | 'none';

interface NameParts {
  hue: string;
  light: Light;
  strength: Strength;
  /** Of a grey that is not quite neutral. */
  tinge: 'warm' | 'cool' | 'none';
}

const plain = (hue: string): NameParts => ({ hue, light: 'none', strength: 'none', tinge: 'none' });

/**
 * What a Lab colour is called: neutral below C*ab 4, near-neutral ("warm grey") below 9. Wording of our own; the bounds are
 * judgement, no source.
 */
function partsOf(lab: readonly number[]): NameParts {
  const [L, C, h] = lchFromLab(lab);
  const warm = h >= 330 || h < 110;
  const bluish = h >= 230 && h < 310;
  if (C < 9) {
    const tone = L >= 93 ? 'white' : L >= 78 ? 'paleGrey' : L >= 60 ? 'lightGrey' : L >= 40 ? 'midGrey' : L >= 20 ? 'darkGrey' : 'black';
    if (C < 4) return plain(tone);
    if (tone === 'black') return plain(warm ? 'brownBlack' : bluish ? 'blueBlack' : 'black');
    return { ...plain(tone), tinge: warm ? 'warm' : 'cool' };
  }
  if (L < 20 && C < 22) return plain(bluish ? 'blueBlack' : warm ? 'brownBlack' : h < 190 ? 'greenBlack' : 'blueBlack');
  const earth = h >= 15 && h < 122 && C < 45 && L < 82 ? EARTHS.find(([upTo]) => h < upTo) : undefined;
  const hue = namingHue(lab, h);
  return {
    hue: earth ? earth[1] : HUES.find(([upTo]) => hue < upTo)![1],
    light: L >= 82 ? 'pale' : L >= 65 ? 'light' : L < 22 ? 'veryDark' : L < 38 ? 'dark' : 'none',
    strength: C > 62 ? 'vivid' : C < 20 && !earth ? 'greyed' : 'none',
    tinge: 'none',
  };
}

const nameOf = (parts: NameParts, twin = 'none', number = 0): Message => message('colours.name', { ...parts, twin, number });

/** Plain name of a Lab colour, such as "pale ochre" or "dark greyed blue". */
export const colourName = (lab: readonly number[]): Message => nameOf(partsOf(lab));

/** Words for the two ends of what parts colours of one name: lightness, chroma, or how warm they are. */
const AXES: readonly { at: (lab: readonly number[]) => number; low: string; high: string }[] = [
  { at: (lab) => lab[0], low: 'deeper', high: 'lighter' },
  { at: (lab) => lchFromLab(lab)[1], low: 'duller', high: 'clearer' },
  // Toward red and yellow is warmer: the axis of a* and b* alike.
  { at: (lab) => (lab[1] + lab[2]) / Math.SQRT2, low: 'cooler', high: 'warmer' },
];

/** Names within one picture, no two alike: those that would be called the same are parted by what differs most among them. */
function distinctNames(labs: readonly (readonly number[])[]): Message[] {
  const parts = labs.map(partsOf);
  const alike = new Map<string, number[]>();
  parts.forEach((p, i) => alike.set(JSON.stringify(p), [...(alike.get(JSON.stringify(p)) ?? []), i]));
  const out = parts.map((p) => nameOf(p));
  for (const twins of alike.values()) {
    if (twins.length < 2) continue;
    const spread = (axis: (typeof AXES)[number]) => {
      const values = twins.map((i) => axis.at(labs[i]));
      return Math.max(...values) - Math.min(...values);
    };
    const axis = AXES.reduce((best, a) => (spread(a) > spread(best) ? a : best));
    const order = [...twins].sort((i, j) => axis.at(labs[i]) - axis.at(labs[j]));
    const last = order.length - 1;
    order.forEach((i, k) => {
      // More than one between the ends: they are counted, from the low end.
      const between = last > 2 && k > 0 && k < last ? k : 0;
      out[i] = nameOf(parts[i], k === 0 ? axis.low : k === last ? axis.high : 'between', between);
    });
  }
  return out;
}

/** A palette with the name of each colour. */
export function named<T extends { lab: readonly number[] }>(palette: readonly T[]): (T & { name: Message })[] {
  const names = distinctNames(palette.map((c) => c.lab));
  return palette.map((c, i) => ({ ...c, name: names[i] }));
}
