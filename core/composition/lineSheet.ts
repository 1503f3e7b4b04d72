/** Knows a picture cleaned to line, or to few values: what is drawn after, coloured in or cut out on paper. */
import { lightnessPlane } from '../colour/lab';
import { posterise, readValues } from '../colour/values';
import { distanceInside } from '../raster/distance';
import { dilateMax, gaussian } from '../raster/filters';
import { components } from '../raster/components';
import { boundsOf, cropImage, mask, Plane, Point, RgbImage } from '../raster/image';
import { maskOf } from '../raster/leftOut';
import { reduceToLongSide } from '../raster/resample';
import { thin } from '../raster/thin';
import { noiseOf } from '../marks/ink';

export const FINENESS = ['coarse', 'middle', 'fine'] as const;
export type Fineness = (typeof FINENESS)[number];

/** What a part is cleaned to. */
export const PART_AS = ['line', 'value', 'asItIs'] as const;
export type PartAs = (typeof PART_AS)[number];

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

/** A part is cleaned at this long side, px. */
const PART_SIDE = 900;
/** How far beyond its outline a part is shown, as a share of its longer side. */
const AROUND = 0.03;

/** A part of a picture within its outline (px of it), cleaned; what lies outside is white. The whole picture where there is none. */
export function partPicture(image: RgbImage, outline: readonly Point[] | null, as: PartAs): RgbImage {
  const { width, height } = image;
  const box = outline ? boundsOf(outline) : { left: 0, top: 0, right: width, bottom: height };
  const around = outline ? AROUND * Math.max(box.right - box.left, box.bottom - box.top) : 0;
  const [x0, y0] = [Math.max(0, Math.floor(box.left - around)), Math.max(0, Math.floor(box.top - around))];
  const [x1, y1] = [Math.min(width, Math.ceil(box.right + around)), Math.min(height, Math.ceil(box.bottom + around))];
  const cut = cropImage(image, [x0, y0, Math.max(1, x1 - x0), Math.max(1, y1 - y0)]);
  const small = reduceToLongSide(cut, PART_SIDE);
  const made = as === 'line' ? lineSheet(small) : as === 'value' ? valueSheet(small) : small;
  if (!outline) return made;
  const k = small.width / cut.width;
  const reach = Math.max(1, Math.round(around * k));
  const inside = maskOf([outline.map(([x, y]): Point => [(x - x0) * k, (y - y0) * k])], made.width, made.height);
  const bits: Plane = { width: made.width, height: made.height, data: Float32Array.from(inside.data) };
  const wide = dilateMax(bits, reach);
  const data = Uint8Array.from(made.data);
  for (let i = 0; i < wide.data.length; i++) if (wide.data[i] < 0.5) data.fill(255, 3 * i, 3 * i + 3);
  return { ...made, data };
}
