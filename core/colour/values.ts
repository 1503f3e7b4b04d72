/** Knows the darks and lights: L* statistics, reduction to a few steps, the squint, and where contrast is strongest. */
import { gaussian } from '../raster/filters';
import { Mask, Plane, plane, Point, RgbImage } from '../raster/image';
import { reducePlane } from '../raster/resample';
import { histogram, stepsOf } from '../raster/kernels/kernels';
import { histogramQuantiles, sumOf } from '../raster/statistics';
import { multiOtsu } from '../raster/threshold';
import { lightnessFromLuminance, luminanceFromLightness } from './lab';
import { byteFromLinear, linearFromByte, luminancePlane } from './srgb';

export interface ValueStep {
  /** L* from which this step begins, inclusive, to where it ends. */
  from: number;
  to: number;
  share: number;
}

export interface Values {
  mean: number;
  dark: number;
  light: number;
  range: number;
  key: 'low' | 'middle' | 'high';
  steps: ValueStep[];
}

/** Value reading of L* values with `count` steps by multi-level Otsu; count 2 to 12. */
export function readValues(lightness: { data: Float32Array }, count: number): Values {
  const [dark, light] = histogramQuantiles(lightness.data, 0, 100, [0.02, 0.98]);
  const mean = sumOf(lightness.data) / lightness.data.length;
  const bins = histogram(lightness.data, 0, 100, 200);
  const cuts = [0, ...multiOtsu(bins, count).map((c) => c / 2), 100];
  const steps = cuts.slice(0, -1).map((from, i) => {
    let n = 0;
    for (let b = Math.round(from * 2); b < Math.round(cuts[i + 1] * 2); b++) n += bins[b];
    return { from, to: cuts[i + 1], share: n / lightness.data.length };
  });
  return { mean, dark, light, range: light - dark, key: mean < 40 ? 'low' : mean > 65 ? 'high' : 'middle', steps };
}

/** Which step each L* falls in. */
export const stepIndices = (lightness: Float32Array, steps: readonly ValueStep[]): Uint8Array =>
  stepsOf(
    lightness,
    steps.slice(0, -1).map((s) => s.to),
  );

/** The picture as its value steps: every pixel takes the grey of its step's middle. */
export function posterise(lightness: Plane, steps: readonly ValueStep[]): RgbImage {
  const data = new Uint8Array(lightness.data.length * 3);
  const greys = steps.map((_, i) => {
    const L = steps.length === 1 ? 50 : 8 + (88 * i) / (steps.length - 1);
    return byteFromLinear(luminanceFromLightness(L));
  });
  stepIndices(lightness.data, steps).forEach((k, i) => data.fill(greys[k], i * 3, i * 3 + 3));
  return { width: lightness.width, height: lightness.height, data };
}

/** What half-closed eyes see: a Gaussian blur in linear light, sigma in px. */
export function squint(image: RgbImage, sigma: number): RgbImage {
  const data = new Uint8Array(image.data.length);
  for (let c = 0; c < 3; c++) {
    const channel = plane(image.width, image.height);
    for (let i = 0; i < channel.data.length; i++) channel.data[i] = linearFromByte[image.data[i * 3 + c]];
    const soft = gaussian(channel, sigma);
    for (let i = 0; i < soft.data.length; i++) data[i * 3 + c] = byteFromLinear(soft.data[i]);
  }
  return { width: image.width, height: image.height, data };
}

/** Long side at which contrast is looked for: its finest blur is 2.5 px there. */
const FOCUS_SIDE = 256;

/**
 * Where the strongest contrast of the squinted picture lies: [x, y] 0–1 and the contrast in L* (r.m.s. difference
 * of a 1 % blur from a 6 % blur of the long side, taken in linear light).
 */
export function focusOf(image: RgbImage, leftOut: Mask | null = null): { at: Point; contrast: number } {
  const all = luminancePlane(image);
  const k = Math.min(1, FOCUS_SIDE / Math.max(all.width, all.height));
  const [width, height] = [all.width, all.height].map((v) => Math.max(1, Math.round(v * k)));
  const light = reducePlane(all, width, height);
  const side = Math.max(width, height);
  const near = gaussian(light, side * 0.01);
  const wide = gaussian(light, side * 0.06);
  const local = gaussian(squaredContrast(near, wide), side * 0.03);
  if (leftOut)
    for (let y = 0, i = 0; y < height; y++)
      for (let x = 0; x < width; x++, i++) {
        const [u, v] = [Math.floor((x + 0.5) / k), Math.floor((y + 0.5) / k)];
        if (leftOut.data[Math.min(image.height - 1, v) * image.width + Math.min(image.width - 1, u)]) local.data[i] = 0;
      }
  const best = placeOfMost(local.data);
  return {
    at: [((best % width) + 0.5) / width, (Math.floor(best / width) + 0.5) / height],
    contrast: Math.sqrt(Math.max(0, local.data[best])),
  };
}

/** Squared difference in L* of two planes of linear light. */
function squaredContrast(a: Plane, b: Plane): Plane {
  const out = plane(a.width, a.height);
  for (let i = 0; i < out.data.length; i++) out.data[i] = (lightnessFromLuminance(a.data[i]) - lightnessFromLuminance(b.data[i])) ** 2;
  return out;
}

/** Where the largest number stands, the first of equals. */
function placeOfMost(data: Float32Array): number {
  let best = 0;
  for (let i = 0; i < data.length; i++) if (data[i] > data[best]) best = i;
  return best;
}
