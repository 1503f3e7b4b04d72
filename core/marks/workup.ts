/** Knows everything about one window of a picture that the mark readings share: planes, masks, strokes, computed once. */
import { gaussian } from '../raster/filters';
import { Component, components } from '../raster/components';
import { distanceInside } from '../raster/distance';
import { Mask, Plane, RgbImage } from '../raster/image';
import { sauvola } from '../raster/threshold';
import { darkness, departure, markedMask, noiseOf } from './ink';
import { OrientationField, orientationField } from './orientation';
import { Stroke, traceStrokes } from './strokes';

export interface Workup {
  width: number;
  height: number;
  /** How far each pixel departs from the ground (or from the lightest part, where no ground is known). */
  depart: Plane;
  /** The same, softened by 8 px: tone without strokes. */
  tone: Plane;
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

/** Works up one window; `ground` is the bare sheet's Lab, or null. */
export function workUp(image: RgbImage, ground: readonly number[] | null): Workup {
  const depart = ground ? departure(image, ground) : darkness(image);
  const noise = noiseOf(depart);
  const marked = markedMask(depart);
  const inverse = gaussian(depart, 0.6);
  for (let i = 0; i < inverse.data.length; i++) inverse.data[i] = 100 - inverse.data[i];
  const lines = sauvola(inverse, 11, 0.12, Math.max(5, 3.5 * noise));
  const inside = distanceInside(lines);
  const field = orientationField(depart, noise);
  const { list } = components(lines);
  const { strokes, skeleton } = traceStrokes(lines, 6);
  return {
    width: image.width,
    height: image.height,
    depart,
    tone: gaussian(depart, 8),
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
