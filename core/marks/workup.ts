/** Knows everything about one window of a picture that the mark readings share: planes, masks, strokes, computed once. */
import { gaussian } from '../raster/filters';
import { Component, components } from '../raster/components';
import { distanceInside } from '../raster/distance';
import { Mask, Plane, plane, RgbImage } from '../raster/image';
import { sauvola } from '../raster/threshold';
import { darkness, departure, markedMask, noiseOf } from './ink';
import { OrientationField, orientationField } from './orientation';
import { Stroke, traceStrokes } from './strokes';
import { SurfaceEnergy, surfaceEnergy } from './surface';

export interface Workup {
  width: number;
  height: number;
  /** How far each pixel departs from the ground (or from the lightest part, where no ground is known). */
  depart: Plane;
  /** The same, softened by 8 px: tone without strokes. */
  tone: Plane;
  /** Energy by band beside the strokes. */
  surface: SurfaceEnergy;
  /** Texture between about 1.5 and 4 px, and the rise of the tone at 2.5 px in units a pixel. */
  texture: Plane;
  rise: Plane;
  noise: number;
  marked: Mask;
  lines: Mask;
  inside: Plane;
  field: OrientationField;
  skeleton: Mask;
  strokes: Stroke[];
  blobs: Component[];
  groundKnown: boolean;
}

/** Smaller patches of line (px²) are part of the surface, not strokes. */
const SPECK = 48;

/** Works up one window; `ground` is the bare sheet's Lab, or null. */
export function workUp(image: RgbImage, ground: readonly number[] | null): Workup {
  const depart = ground ? departure(image, ground) : darkness(image);
  const noise = noiseOf(depart);
  const texture = gaussian(depart, 1.2);
  const marked = markedMask(depart, texture);
  const inverse = gaussian(depart, 0.6);
  for (let i = 0, d = inverse.data; i < d.length; i++) d[i] = 100 - d[i];
  const lines = sauvola(inverse, 11, 0.12, Math.max(5, 3.5 * noise));
  const inside = distanceInside(lines);
  const field = orientationField(depart, noise);
  const { labels, list } = components(lines);
  const { strokes, skeleton } = traceStrokes(lines, depart, 6);
  const coarse = gaussian(depart, 4);
  const middle = gaussian(depart, 2.5);
  const surface = surfaceEnergy(
    [gaussian(depart, 0.6), texture, middle, coarse],
    strokesOnly(lines, labels, list),
    noise,
  );
  for (let i = 0, t = texture.data, c = coarse.data; i < t.length; i++) t[i] -= c[i];
  return {
    width: image.width,
    height: image.height,
    depart,
    tone: gaussian(depart, 8),
    surface,
    texture,
    rise: riseOf(middle),
    noise,
    marked,
    lines,
    inside,
    field,
    skeleton,
    strokes,
    blobs: list,
    groundKnown: ground !== null,
  };
}

/** Line pixels without the specks that tooth and grain leave. */
function strokesOnly(lines: Mask, labels: Int32Array, list: readonly Component[]): Mask {
  const large = new Uint8Array(list.length + 1);
  for (const c of list) large[c.label] = c.area >= SPECK ? 1 : 0;
  const data = new Uint8Array(lines.data.length);
  for (let i = 0; i < data.length; i++) data[i] = large[labels[i]];
  return { ...lines, data };
}

function riseOf({ width: w, height: h, data }: Plane): Plane {
  const out = plane(w, h);
  const to = out.data;
  for (let y = 2; y < h - 2; y++)
    for (let i = y * w + 2, end = y * w + w - 2; i < end; i++) {
      const dx = data[i + 2] - data[i - 2];
      const dy = data[i + 2 * w] - data[i - 2 * w];
      to[i] = Math.sqrt(dx * dx + dy * dy) / 4;
    }
  return out;
}
