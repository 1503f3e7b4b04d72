/** Knows CIE L*a*b* for D65 (CIE 15:2018) and Oklab (Ottosson 2020), both from sRGB. */
import { Plane, RgbImage } from '../raster/image';
import { labOf, lightnessOf } from '../raster/kernels/kernels';
import { hexFromLinear, linearFromByte, linearFromHex, Triple } from './srgb';

// sRGB's D65 white as chromaticity x 0.3127, y 0.3290.
const WHITE: Triple = [0.3127 / 0.329, 1, (1 - 0.3127 - 0.329) / 0.329];
const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

const f = (t: number) => (t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116);

/** L*a*b* of linear-light sRGB channels 0–1. */
export function labFromLinear(r: number, g: number, b: number): Triple {
  const x = 0.41239079926595934 * r + 0.357584339383878 * g + 0.1804807884018343 * b;
  const y = 0.21263900587151027 * r + 0.715168678767756 * g + 0.07219231536073371 * b;
  const z = 0.01933081871559182 * r + 0.11919477979462598 * g + 0.9505321522496607 * b;
  const fx = f(x / WHITE[0]);
  const fy = f(y);
  const fz = f(z / WHITE[2]);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

/** Linear-light sRGB of L*a*b*; may leave 0–1 for colours outside the gamut. */
export function linearFromLab([L, a, b]: readonly number[]): Triple {
  const fy = (L + 16) / 116;
  const inverse = (t: number) => (t ** 3 > EPSILON ? t ** 3 : (116 * t - 16) / KAPPA);
  const x = inverse(fy + a / 500) * WHITE[0];
  const y = L > KAPPA * EPSILON ? fy ** 3 : L / KAPPA;
  const z = inverse(fy - b / 200) * WHITE[2];
  return [
    3.2409699419045226 * x - 1.537383177570094 * y - 0.4986107602930034 * z,
    -0.9692436362808796 * x + 1.8759675015077202 * y + 0.04155505740717559 * z,
    0.05563007969699366 * x - 0.20397695888897652 * y + 1.0569715142428786 * z,
  ];
}

export function labFromHex(hex: string): Triple {
  const [r, g, b] = linearFromHex(hex);
  return labFromLinear(r, g, b);
}

/** Nearest `#rrggbb` by clipping channels. */
export function hexFromLab(lab: readonly number[]): string {
  return hexFromLinear(linearFromLab(lab));
}

/** Polar form: L*, C*ab, hue in degrees [0, 360). */
export function lchFromLab([L, a, b]: readonly number[]): Triple {
  const h = (Math.atan2(b, a) * 180) / Math.PI;
  return [L, Math.hypot(a, b), h < 0 ? h + 360 : h];
}

const lightnessTable = Float32Array.from({ length: 4097 }, (_, i) => 116 * f(i / 4096) - 16);

/** L* (0–100) of relative luminance 0–1, from a table with linear steps between; error under 0.02. */
export function lightnessFromLuminance(y: number): number {
  if (y <= 0) return 0;
  if (y >= 1) return 100;
  if (y < 0.02) return 116 * f(y) - 16;
  const at = y * 4096;
  const low = Math.floor(at);
  return lightnessTable[low] + (at - low) * (lightnessTable[low + 1] - lightnessTable[low]);
}

/** Relative luminance 0–1 of L* 0–100. */
export function luminanceFromLightness(L: number): number {
  return L > 8 ? ((L + 16) / 116) ** 3 : (L * 27) / 24389;
}

/** L* (0–100) of every pixel. */
export function lightnessPlane(image: RgbImage): Plane {
  return { width: image.width, height: image.height, data: lightnessOf(image, linearFromByte) };
}

export interface LabPlanes {
  L: Plane;
  a: Plane;
  b: Plane;
}

/** L*, a* and b* of every pixel. */
export function labPlanes(image: RgbImage): LabPlanes {
  const { width, height } = image;
  const [L, a, b] = labOf(image, linearFromByte).map((data): Plane => ({ width, height, data }));
  return { L, a, b };
}

/** Oklab of linear-light sRGB (Ottosson 2020): L 0–1, a and b about ±0.4. */
export function oklabFromLinear(r: number, g: number, b: number): Triple {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}
