/** Knows everything about one window of a picture that the mark readings share: planes, masks, strokes, computed once. */
import { gaussian, gaussianSoftening } from '../raster/filters';
import { Build, buildOf } from './build';
import { closeUp } from './closeUp';
import { Component, componentIn } from '../raster/components';
import { Mask, Plane, RgbImage } from '../raster/image';
import { layersOf } from '../raster/kernels/layers';
import { Skeleton } from '../raster/thin';
import { sauvola } from '../raster/threshold';
import { departureIn, MARKING, noiseOf } from './ink';
import { OrientationField, orientationField } from './orientation';
import { Stroke, traceStrokes } from './strokes';
import { ASIDE, BAND_EDGES, SurfaceEnergy, surfaceEnergy } from './surface';

export interface Workup {
  width: number;
  height: number;
  /** How far each pixel departs from the ground (or from the lightest part, where no ground is known). */
  depart: Plane;
  /** The same, softened by 8 px: tone without strokes; every fourth px of every fourth row. */
  tone: Plane;
  /** Energy by band beside the strokes. */
  surface: SurfaceEnergy;
  /** Texture between about 1.5 and 4 px, and the rise of the tone at 2.5 px in units a pixel. */
  texture: Plane;
  rise: Plane;
  noise: number;
  marked: Mask;
  /** Marked, or in a tone between marks; all of it where no bare sheet is known. */
  worked: Mask;
  lines: Mask;
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

/** A px is well inside of what is painted over when so many around it are, too. */
const INSIDE = 5;

/** How lines are found: by Sauvola over a square of 23 px, his k low since strokes are paler than print. */
const LINES = { radius: 11, k: 0.12 };

/** Tone (Lab units from the ground, softened by 8 px) over which a place between marks is worked too. */
const WORKED_TONE = 4;

const [FINE, , MIDDLE, COARSE] = BAND_EDGES.map(gaussianSoftening);
/** From the coarsest on, in every fourth px: so soft, the tone needs no more. */
const TONE = gaussianSoftening(Math.sqrt(8 ** 2 - BAND_EDGES[3] ** 2) / 4);

/** Works up one window; `ground` is the bare sheet's Lab, or null. */
export function workUp(image: RgbImage, ground: readonly number[] | null): Workup {
  const { width, height } = image;
  const close = closeUp(image);
  const depart = departureIn(close, ground);
  const noise = noiseOf(depart);
  const how = {
    marking: MARKING,
    fine: FINE,
    middle: MIDDLE,
    coarse: COARSE,
    tone: TONE,
    lines: { ...LINES, floor: leastContrast(noise) },
    speck: SPECK,
    aside: ASIDE,
    inside: ground ? INSIDE : null,
    workedTone: ground ? WORKED_TONE : null,
  };
  const { marked, worked, lines, list, covered, tone, texture, rise, beside } = layersOf(depart, how, componentIn(width, height));
  const { strokes, skeleton } = traceStrokes(lines, depart, 6);
  return {
    width,
    height,
    depart,
    tone,
    surface: surfaceEnergy(beside, noise),
    texture,
    rise,
    noise,
    marked,
    worked,
    lines,
    field: orientationField(depart, noise),
    skeleton,
    strokes,
    follow: () => followStrokes(depart, lines, noise) ?? strokes,
    blobs: list,
    build: buildOf(close, covered),
    groundKnown: ground !== null,
  };
}

const darkLines = (depart: Plane, contrast: number): Mask => sauvola(depart, LINES.radius, LINES.k, contrast);

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
