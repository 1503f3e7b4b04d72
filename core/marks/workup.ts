/** Knows everything about one window of a picture that the mark readings share: planes, masks, strokes, computed once. */
import { erodeMin, gaussian } from '../raster/filters';
import { Build, buildOf } from './build';
import { closeUp } from './closeUp';
import { Component, components } from '../raster/components';
import { distanceInside } from '../raster/distance';
import { Mask, Plane, plane, RgbImage } from '../raster/image';
import { Skeleton } from '../raster/thin';
import { sauvola } from '../raster/threshold';
import { BARE, darkness, departure, markedMask, noiseOf } from './ink';
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
  skeleton: Skeleton;
  strokes: Stroke[];
  /** The strokes followed over the hollows that tooth leaves in them: for their lengths, not for how they cross. */
  follow: () => Stroke[];
  blobs: Component[];
  build: Build;
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
  const fine = gaussian(depart, 0.6);
  const lines = darkLines(fine, leastContrast(noise));
  const inside = distanceInside(lines);
  const field = orientationField(depart, noise);
  const { labels, list } = components(lines);
  const { strokes, skeleton } = traceStrokes(lines, depart, 6);
  const coarse = gaussian(depart, 4);
  const middle = gaussian(depart, 2.5);
  const surface = surfaceEnergy([fine, texture, middle, coarse], strokesOnly(lines, labels, list), noise);
  const covered = ground ? coveredIn(texture) : null;
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
    follow: () => followStrokes(depart, lines, noise) ?? strokes,
    blobs: list,
    build: buildOf(closeUp(image), covered),
    groundKnown: ground !== null,
  };
}

/** A px is well inside of what is painted over when so many around it are, too. */
const INSIDE = 5;

function coveredIn(softened: Plane): Uint8Array {
  const least = erodeMin(softened, INSIDE);
  const out = new Uint8Array(least.data.length);
  for (let i = 0; i < out.length; i++) out[i] = least.data[i] > BARE ? 1 : 0;
  return out;
}

const darkLines = (depart: Plane, contrast: number): Mask => sauvola(depart, 11, 0.12, contrast);

const leastContrast = (noise: number) => Math.max(5, 3.5 * noise);

/** Mean breadth of the lines in px (twice their area over the length of their rims), and how unevenly they cover inside it (s.d. ÷ mean). */
function bodyOf({ width: w, height: h, data }: Mask, depart: Plane): { breadth: number; uneven: number } {
  let [area, rim, sum, square] = [0, 0, 0, 0];
  for (let y = 1; y < h - 1; y++)
    for (let i = y * w + 1, end = y * w + w - 1; i < end; i++) {
      if (!data[i]) continue;
      area++;
      if (!(data[i - 1] && data[i + 1] && data[i - w] && data[i + w])) {
        rim++;
        continue;
      }
      sum += depart.data[i];
      square += depart.data[i] ** 2;
    }
  const inner = area - rim;
  const mean = inner ? sum / inner : 0;
  return {
    breadth: rim ? (2 * area) / rim : 0,
    uneven: mean > 0 ? Math.sqrt(Math.max(0, square / inner - mean * mean)) / mean : 0,
  };
}

/** Softness in parts of a line's breadth that closes the hollows tooth leaves in it, and keeps the gaps between strokes. */
const CLOSING = 0.6;
/** Lines of ink cover evenly inside (under 0.085 on drawn patches); those that tooth breaks do not (0.13 and more). */
const [WHOLE, BROKEN] = [0.085, 0.125];

/** Strokes followed over the hollows of the paper: on a plane the softer, the broader and the more broken the lines are. */
function followStrokes(depart: Plane, lines: Mask, noise: number): Stroke[] | null {
  const { breadth, uneven } = bodyOf(lines, depart);
  const sigma = Math.min(2.6, CLOSING * breadth * Math.min(1, (uneven - WHOLE) / (BROKEN - WHOLE)));
  if (sigma < 0.6) return null;
  const soft = gaussian(depart, sigma);
  return traceStrokes(darkLines(soft, 0.6 * leastContrast(noise)), soft, 6).strokes;
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
