/** Knows sRGB's transfer curve and hexadecimal notation (IEC 61966-2-1:1999). */
import { CoreError } from '../errors';
import { typed } from '../message';
import { Plane, RgbImage } from '../raster/image';
import { weightedLight } from '../raster/kernels/kernels';

export type Triple = [number, number, number];

/** Encoded sRGB channel 0–1 to linear light 0–1. */
export function linearFromEncoded(c: number): number {
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

/** Linear light 0–1 to encoded sRGB 0–1; not clipped. */
export function encodedFromLinear(c: number): number {
  return c <= 0.0031308 ? c * 12.92 : 1.055 * c ** (1 / 2.4) - 0.055;
}

/** Linear light of each of the 256 byte values. */
export const linearFromByte = Float32Array.from({ length: 256 }, (_, i) => linearFromEncoded(i / 255));

/** Bytes of linear light in steps of 1/16384. */
export const encodeTable = Uint8Array.from({ length: 16385 }, (_, i) => Math.round(encodedFromLinear(i / 16384) * 255));

/** Linear light (clipped to 0–1) to the nearest byte; a table of 16384 steps, at most one count off in the deepest darks. */
export function byteFromLinear(c: number): number {
  return encodeTable[c <= 0 ? 0 : c >= 1 ? 16384 : Math.round(c * 16384)];
}

/** `#rrggbb` of three encoded channels 0–1, clipped. */
export function hexFromEncoded(rgb: readonly number[]): string {
  return (
    '#' +
    rgb
      .map((c) =>
        Math.round(Math.min(1, Math.max(0, c)) * 255)
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')
  );
}

/** Encoded channels 0–1 of `#rrggbb`; throws a plain sentence on anything else. */
export function encodedFromHex(hex: string): Triple {
  if (!/^#[0-9a-f]{6}$/i.test(hex)) throw new CoreError('hex', { hex: typed(hex) });
  return [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255) as Triple;
}

/** Linear light 0–1 of `#rrggbb`. */
export const linearFromHex = (hex: string): Triple => encodedFromHex(hex).map(linearFromEncoded) as Triple;

/** Nearest `#rrggbb` of linear light, clipped. */
export const hexFromLinear = (linear: readonly number[]): string => hexFromEncoded(linear.map((c) => encodedFromLinear(Math.max(0, c))));

/** Relative luminance Y (D65, 0–1) of every pixel. */
export const luminancePlane = (image: RgbImage): Plane =>
  weightedLight(image, [0.2126390058715103, 0.715168678767756, 0.0721923153607337], linearFromByte);
