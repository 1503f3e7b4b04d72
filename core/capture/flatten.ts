/** Knows how a flat picture photographed at a slant is laid flat by its four corners, in its own proportions and with its own light. */
import { CoreError } from '../errors';
import { typed } from '../message';
import { signedArea } from '../proportion/polygon';
import { byteFromLinear } from '../colour/srgb';
import type { Point, RgbImage } from '../raster/image';
import { applyHomography, fitHomography, invertHomography, rectangleCorners } from './homography';
import { resampleSheet } from './rectify';

/** Corners in the photograph: top left, top right, bottom right, bottom left as it is to hang. */
export type FourCorners = readonly [Point, Point, Point, Point];

const LEAST_SIDE = 16;
const MOST_PIXELS = 40e6;
/** Sides that run together by less than this share leave the camera's focal length unsure: then it is taken as that of most phones. */
const SLANTED = 0.02;
/** Focal length over the photograph's longer side: usual, and what a camera has at all. Common practice, no source. */
const [USUAL_FOCUS, LEAST_FOCUS, MOST_FOCUS] = [0.8, 0.4, 5];

const length = ([ax, ay]: Point, [bx, by]: Point) => Math.hypot(bx - ax, by - ay);

/**
 * Width over height of the rectangle that is seen at these corners by a camera with square pixels whose axis meets the middle of the photograph
 * (Zhang and He 2007, "Whiteboard scanning and image enhancement", section 3.2). Turned about one axis only, the focal length cannot be told.
 */
export function ratioOfRectangle(corners: FourCorners, photoWidth: number, photoHeight: number): number {
  const [tl, tr, br, bl] = corners;
  const [top, bottom, left, right] = [length(tl, tr), length(bl, br), length(tl, bl), length(tr, br)];
  const plain = (top + bottom) / (left + right);
  const from = ([x, y]: Point): [number, number, number] => [x - photoWidth / 2, y - photoHeight / 2, 1];
  const [m1, m2, m3, m4] = [tl, tr, bl, br].map(from);
  const cross = (a: readonly number[], b: readonly number[]) => [
    a[1] * b[2] - a[2] * b[1],
    a[2] * b[0] - a[0] * b[2],
    a[0] * b[1] - a[1] * b[0],
  ];
  const dot = (a: readonly number[], b: readonly number[]) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const k2 = dot(cross(m1, m4), m3) / dot(cross(m2, m4), m3);
  const k3 = dot(cross(m1, m4), m2) / dot(cross(m3, m4), m2);
  const n2 = m2.map((v, i) => k2 * v - m1[i]);
  const n3 = m3.map((v, i) => k3 * v - m1[i]);
  const side = Math.max(photoWidth, photoHeight);
  const told = Math.min(Math.abs(top / bottom - 1), Math.abs(left / right - 1)) > SLANTED;
  const focus = told ? Math.sqrt(-(n2[0] * n3[0] + n2[1] * n3[1]) / (n2[2] * n3[2])) / side : NaN;
  const f2 = (side * (focus > LEAST_FOCUS && focus < MOST_FOCUS ? focus : USUAL_FOCUS)) ** 2;
  const long = (n: readonly number[]) => (n[0] ** 2 + n[1] ** 2) / f2 + n[2] ** 2;
  const ratio = Math.sqrt(long(n2) / long(n3));
  // What a camera could hardly see so is a slip of a corner.
  return ratio > plain / 2 && ratio < plain * 2 ? ratio : plain;
}

export interface Flat {
  width: number;
  height: number;
  /** From px of the photograph to px of the flat picture. */
  place: (at: Point) => [number, number];
}

function checked(corners: readonly Point[], width: number, height: number): FourCorners {
  if (corners.length !== 4) throw new CoreError('corners.four');
  for (const [x, y] of corners)
    if (!(x >= 0 && y >= 0 && x <= width && y <= height))
      throw new CoreError('corners.outside', { x: typed(String(x)), y: typed(String(y)), width, height });
  if (!(signedArea(corners) > LEAST_SIDE * LEAST_SIDE)) throw new CoreError('corners.flat');
  return corners as unknown as FourCorners;
}

/** How large the flat picture is, and where what lay in the photograph comes to lie; `ratio` is its width over its height where that is known. */
export function flatOf(corners: readonly Point[], photoWidth: number, photoHeight: number, ratio: number | null): Flat {
  const four = checked(corners, photoWidth, photoHeight);
  const [tl, tr, br, bl] = four;
  const r = ratio ?? ratioOfRectangle(four, photoWidth, photoHeight);
  // No finer than the finest of its sides is seen.
  const wide = Math.max(length(tl, tr), length(bl, br), r * Math.max(length(tl, bl), length(tr, br)));
  const k = Math.min(1, Math.sqrt(MOST_PIXELS / ((wide * wide) / r)));
  const [width, height] = [wide * k, (wide * k) / r].map((v) => Math.max(1, Math.round(v)));
  if (Math.min(width, height) < LEAST_SIDE) throw new CoreError('corners.flat');
  const toFlat = invertHomography(fitHomography(rectangleCorners(width, height), four));
  return { width, height, place: (at) => applyHomography(toFlat, at) };
}

/** The picture inside the corners, laid flat. */
export function flattened(photo: RgbImage, corners: readonly Point[], ratio: number | null): RgbImage {
  const { width, height } = flatOf(corners, photo.width, photo.height, ratio);
  const linear = resampleSheet(photo, fitHomography(rectangleCorners(width, height), corners), width, height);
  return { width, height, data: Uint8Array.from(linear, byteFromLinear) };
}
