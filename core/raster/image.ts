/** Knows what a picture is in memory: three bytes a pixel, and single-channel planes of floats. */

/** 8-bit sRGB picture, row-major, three bytes a pixel, top row first. */
export interface RgbImage {
  width: number;
  height: number;
  data: Uint8Array | Uint8ClampedArray;
}

/** One channel of floats, row-major; the unit is the maker's (L*, linear light, degrees …). */
export interface Plane {
  width: number;
  height: number;
  data: Float32Array;
}

/** One bit of knowledge a pixel: 0 or 1, row-major. */
export interface Mask {
  width: number;
  height: number;
  data: Uint8Array;
}

/** A rectangle in pixels: left, top, width, height. */
export type Rect = readonly [x: number, y: number, w: number, h: number];

export type Point = readonly [x: number, y: number];

/** Where row y begins, at least `margin` from the left, when every third px is looked at: a px on from the row before, so that no line slips through. */
export const everyThirdFrom = (margin: number, y: number): number => margin + ((y + 2 * margin) % 3);

/** Sides of the upright box round some points. */
export interface Bounds {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The upright box round points; there is at least one. */
export function boundsOf(points: readonly Point[]): Bounds {
  const [xs, ys] = [0, 1].map((k) => points.map((p) => p[k]));
  return { left: Math.min(...xs), top: Math.min(...ys), right: Math.max(...xs), bottom: Math.max(...ys) };
}

/** A float plane of zeros. */
export function plane(width: number, height: number): Plane {
  return { width, height, data: new Float32Array(width * height) };
}

/** A mask of zeros. */
export function mask(width: number, height: number): Mask {
  return { width, height, data: new Uint8Array(width * height) };
}

/** The part of a picture inside `rect`, copied; the rectangle must lie inside the picture. */
export function cropImage(source: RgbImage, [x, y, w, h]: Rect): RgbImage {
  const data = new Uint8Array(w * h * 3);
  for (let row = 0; row < h; row++) {
    const from = ((y + row) * source.width + x) * 3;
    data.set(source.data.subarray(from, from + w * 3), row * w * 3);
  }
  return { width: w, height: h, data };
}

/** Does the rectangle have area and lie wholly inside a picture of this size? */
export function rectInside([x, y, w, h]: Rect, width: number, height: number): boolean {
  return [x, y, w, h].every(Number.isFinite) && x >= 0 && y >= 0 && w >= 1 && h >= 1 && x + w <= width && y + h <= height;
}
