/** Knows how a picture is cropped and turned by quarters, and where its points stand afterwards. */
import { CoreError } from '../errors';
import { cropImage, Point, RgbImage } from './image';

export interface Crop {
  x: number;
  y: number;
  w: number;
  h: number;
  /** Clockwise. */
  turn: 0 | 90 | 180 | 270;
}

/** The frame in whole pixels, inside a picture of this size. */
export function wholeCrop({ x, y, w, h, turn }: Crop, width: number, height: number): Crop {
  const [left, top] = [Math.max(0, Math.round(x)), Math.max(0, Math.round(y))];
  return { x: left, y: top, w: Math.min(width - left, Math.round(w)), h: Math.min(height - top, Math.round(h)), turn };
}

/** A point of a picture of w × h in that picture turned. */
function turned([u, v]: Point, { w, h, turn }: Crop): [number, number] {
  if (turn === 90) return [h - v, u];
  if (turn === 180) return [w - u, h - v];
  if (turn === 270) return [v, w - u];
  return [u, v];
}

/** The part of a picture inside a frame of whole pixels, turned; throws CoreError where less than 16 px would be left. */
export function cropAndTurn(image: RgbImage, crop: Crop): RgbImage {
  const { x, y, w, h, turn } = crop;
  if (w < 16 || h < 16) throw new CoreError('crop');
  const cut = cropImage(image, [x, y, w, h]);
  const [width, height] = turn === 90 || turn === 270 ? [h, w] : [w, h];
  // Where the middle of the first pixel comes to, and how far on the next one across and the next one down.
  const [first, across, down] = (
    [
      [0.5, 0.5],
      [1.5, 0.5],
      [0.5, 1.5],
    ] as const
  ).map((p) => turned(p, crop));
  const at = ([px, py]: Point) => Math.floor(py) * width + Math.floor(px);
  const [start, column, row] = [at(first), at(across) - at(first), at(down) - at(first)];
  const data = new Uint8Array(w * h * 3);
  for (let r = 0, from = 0; r < h; r++)
    for (let c = 0, to = 3 * (start + r * row); c < w; c++, from += 3, to += 3 * column)
      for (let k = 0; k < 3; k++) data[to + k] = cut.data[from + k];
  return { width, height, data };
}

/** A point in the new picture's pixels, or null where it was cropped away. */
export function carryPoint([px, py]: Point, crop: Crop): [number, number] | null {
  const [u, v] = [px - crop.x, py - crop.y];
  return u < 0 || v < 0 || u > crop.w || v > crop.h ? null : turned([u, v], crop);
}

/** Where a point comes to lie in a picture made from another; null where it is no longer there. */
export type Carry = (at: Point) => [number, number] | null;

/** A patch x, y, width, height round where it comes to lie; null where any of it is no longer there. */
export function carryPatch([x, y, w, h]: readonly [number, number, number, number], carry: Carry): [number, number, number, number] | null {
  const corners = [carry([x, y]), carry([x + w, y]), carry([x + w, y + h]), carry([x, y + h])];
  if (!corners.every((c) => c !== null)) return null;
  const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return [left, top, Math.max(...xs) - left, Math.max(...ys) - top];
}

/** Named points carried over; those no longer there are left out. */
export function carryPoints(points: Record<string, [number, number]>, carry: Carry): Record<string, [number, number]> {
  const out: Record<string, [number, number]> = {};
  for (const [name, p] of Object.entries(points)) {
    const at = carry(p);
    if (at) out[name] = at;
  }
  return out;
}
