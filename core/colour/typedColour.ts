/** Knows a colour as a person types it: `#rrggbb`, short or long, with or without its sign, or L*, a* and b*. */
import { hexFromLab, linearFromLab } from './lab';

export type TypedColour = { hex: string } | { wrong: 'form' | 'outside' };

const HEX = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i;
const NUMBER = String.raw`[-+−]?\d+(?:[.,]\d+)?`;
const LAB = new RegExp(String.raw`^(?:lab)?[\s(:]*(${NUMBER})[\s;/|]+(${NUMBER})[\s;/|]+(${NUMBER})\)?$`, 'i');
/** With commas between the numbers, decimals have points. */
const LAB_COMMAS = /^(?:lab)?[\s(:]*([-+−]?\d+(?:\.\d+)?)\s*,\s*([-+−]?\d+(?:\.\d+)?)\s*,\s*([-+−]?\d+(?:\.\d+)?)\)?$/i;
/** Light that no screen or print can give, more than rounding makes of it. */
const OUTSIDE = 0.004;

/** The colour's `#rrggbb`; `outside` where sRGB cannot show it, `form` where it is no colour at all. */
export function typedColour(text: string): TypedColour {
  const plain = text.trim();
  const hex = HEX.exec(plain)?.[1].toLowerCase();
  if (hex) return { hex: `#${hex.length === 3 ? [...hex].map((c) => c + c).join('') : hex}` };
  const found = LAB_COMMAS.exec(plain) ?? LAB.exec(plain);
  if (!found) return { wrong: 'form' };
  const [L, a, b] = found.slice(1, 4).map((n) => Number(n.replace('−', '-').replace(',', '.')));
  if (L < 0 || L > 100) return { wrong: 'form' };
  const linear = linearFromLab([L, a, b]);
  if (linear.some((c) => c < -OUTSIDE || c > 1 + OUTSIDE)) return { wrong: 'outside' };
  return { hex: hexFromLab([L, a, b]) };
}
