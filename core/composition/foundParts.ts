/** Knows the part of a picture that lies under a place: the region of one colour, the dark mass, or what is drawn on the sheet there. */
import { LabPlanes, labPlanes } from '../colour/lab';
import { simplified } from '../proportion/shapeList';
import { gaussian } from '../raster/filters';
import { Mask, Plane, plane, Point, RgbImage } from '../raster/image';
import { rimOf } from '../raster/outline';
import { reduceToLongSide } from '../raster/resample';
import { histogram } from '../raster/kernels/kernels';
import { closedOver } from '../raster/kernels/layers';
import { median } from '../raster/statistics';
import { multiOtsu } from '../raster/threshold';

export const FOUND_AS = ['colour', 'dark', 'drawn'] as const;
export type FoundAs = (typeof FOUND_AS)[number];

/** Parts are found at this long side: finer detail is marks, not parts. */
const SIDE = 480;
/** Colours nearer than this (Lab units) belong to one region; farther from the sheet than that something is drawn. */
const [SAME, DRAWN] = [11, 9];
/** Gaps narrower than this share of the long side are closed over: the white between strokes. */
const CLOSED = 0.012;
/** Corners stay within so many px of the rim that was found. */
const TOLERANCE = 1.5;

/** Every pixel's distance in Lab from one colour. */
function distanceFrom({ L, a, b }: LabPlanes, [l, p, q]: readonly number[]) {
  const out = plane(L.width, L.height);
  for (let i = 0; i < out.data.length; i++) out.data[i] = Math.hypot(L.data[i] - l, a.data[i] - p, b.data[i] - q);
  return out;
}

/** What is low made high. */
const negative = ({ width, height, data }: Plane): Plane => ({ width, height, data: data.map((v) => -v) });

/** The sheet's colour where nobody has said it: the middle one along the picture's rim. */
function rimColour({ L, a, b }: LabPlanes): number[] {
  const { width: w, height: h } = L;
  const rim: number[] = [];
  for (let x = 0; x < w; x++) rim.push(x, (h - 1) * w + x);
  for (let y = 0; y < h; y++) rim.push(y * w, y * w + w - 1);
  return [L, a, b].map((p) => median(rim.map((i) => p.data[i])));
}

/** Outline of the part under a place (px of the picture), or null where there is none of the kind; holes in it are filled over. */
export function partAt(image: RgbImage, [x, y]: Point, as: FoundAs): Point[] | null {
  const small = reduceToLongSide(image, SIDE);
  const { width: w, height: h } = small;
  const k = image.width / w;
  const [sx, sy] = [Math.min(w - 1, Math.max(0, Math.floor(x / k))), Math.min(h - 1, Math.max(0, Math.floor(y / k)))];
  const sharp = labPlanes(small);
  const soft: LabPlanes = { L: gaussian(sharp.L, 1.5), a: gaussian(sharp.a, 1.5), b: gaussian(sharp.b, 1.5) };
  const at = sy * w + sx;
  const reach = Math.max(1, Math.round(CLOSED * Math.max(w, h)));
  let found: Mask;
  if (as === 'dark') {
    // The step of value that the place belongs to; in the lightest nothing is dark.
    const limit = multiOtsu(histogram(soft.L.data, 0, 100, 100), 3).find((cut) => soft.L.data[at] < cut);
    if (limit === undefined) return null;
    found = closedOver(negative(soft.L), -limit, reach);
  } else if (as === 'colour') {
    const off = distanceFrom(soft, [soft.L.data[at], soft.a.data[at], soft.b.data[at]]);
    found = closedOver(negative(off), -SAME, 1);
  } else {
    const off = distanceFrom(soft, rimColour(soft));
    found = closedOver(off, DRAWN, reach);
  }
  const rim = rimOf(found, [sx, sy]);
  if (!rim || rim.length < 8) return null;
  const line = simplified(rim, TOLERANCE);
  return line.length < 3 ? null : line.map(([u, v]) => [Math.min(image.width, u * k), Math.min(image.height, v * k)]);
}
