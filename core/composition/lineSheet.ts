/** Knows a picture cleaned to line, or to few values: what is drawn after, coloured in or cut out on paper. */
import { lightnessPlane } from '../colour/lab';
import { posterise, readValues } from '../colour/values';
import { distanceInside } from '../raster/distance';
import { gaussian } from '../raster/filters';
import { components } from '../raster/components';
import { mask, RgbImage } from '../raster/image';
import { thin } from '../raster/thin';
import { noiseOf } from '../marks/ink';

export const FINENESS = ['coarse', 'middle', 'fine'] as const;
export type Fineness = (typeof FINENESS)[number];

/** What lines are found at, as a share of the long side: the size of forms, of features, of strokes. */
const WIDTHS: Readonly<Record<Fineness, number>> = { coarse: 0.014, middle: 0.0048, fine: 0.0018 };
/** All are drawn so wide, of the long side: half a millimetre on a sheet of the usual size. */
const DRAWN = 0.002;
/** Ratio of the two blurs whose difference shows a line best (Marr and Hildreth 1980). */
const RATIO = 1.6;
/** A line departs from what lies round it by at least so much, L*. */
const LEAST = 1.3;
/** Shorter than so many of their own widths lines are specks. */
const SPECK = 5;

/**
 * Dark lines and the dark sides of edges, black on white, all of one width: where the difference of two Gaussian blurs of L* falls below what
 * noise makes (Marr and Hildreth 1980; as a line drawing Winnemöller, Olsen and Gooch 2006), thinned to its middle (Rosenfeld 1975),
 * specks left out.
 */
export function lineSheet(image: RgbImage, fineness: Fineness = 'middle'): RgbImage {
  const { width: w, height: h } = image;
  const long = Math.max(w, h);
  const sigma = Math.max(0.7, (WIDTHS[fineness] * long) / 2);
  const L = lightnessPlane(image);
  const [near, far] = [gaussian(L, sigma), gaussian(L, RATIO * sigma)];
  // Blurring leaves of the noise what fits under it.
  const least = Math.max(LEAST, (3 * noiseOf(L)) / (2 * Math.sqrt(Math.PI) * sigma));
  const dark = mask(w, h);
  for (let i = 0; i < dark.data.length; i++) dark.data[i] = near.data[i] - far.data[i] < -least ? 1 : 0;
  const { labels, list } = components(dark);
  const keep = new Uint8Array(list.length + 1);
  for (const { label, box } of list) keep[label] = Math.max(box[2] - box[0], box[3] - box[1]) + 1 >= SPECK * 2 * sigma ? 1 : 0;
  for (let i = 0; i < dark.data.length; i++) dark.data[i] = keep[labels[i]] && labels[i] ? 1 : 0;
  const middle = thin(dark);
  // How far every pixel lies from a line: inside what is no line.
  const off = distanceInside({ width: w, height: h, data: Uint8Array.from(middle.data, (v) => 1 - v) });
  const half = Math.max(0.6, (DRAWN * long) / 2);
  const data = new Uint8Array(w * h * 3);
  for (let i = 0; i < w * h; i++) data.fill(Math.round(255 * Math.min(1, Math.max(0, off.data[i] - half + 0.5))), 3 * i, 3 * i + 3);
  return { width: w, height: h, data };
}

/** The same in so many values, each area even. */
export function valueSheet(image: RgbImage, steps = 3): RgbImage {
  const L = lightnessPlane(image);
  const soft = gaussian(L, Math.max(1, 0.004 * Math.max(image.width, image.height)));
  return posterise(soft, readValues(soft, steps).steps);
}
