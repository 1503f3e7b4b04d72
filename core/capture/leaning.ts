/** Knows the frame by which a picture that leans a little is set straight: its corners, and how large it may be within the picture. */
import type { Crop } from '../raster/crop';
import type { Point } from '../raster/image';

/** A crop that is also turned freely: by so many degrees clockwise, before its quarter turns. */
export interface LeaningCrop extends Crop {
  lean: number;
}

/** Beyond this a quarter turn is the better start. */
export const MOST_LEAN = 45;

/**
 * Where the corners of what is kept lie in the picture, in the order of the new one: top left, top right, bottom right, bottom left. The frame
 * stands in the picture leaning the other way, about its own middle.
 */
export function leaningCorners({ x, y, w, h, turn, lean }: LeaningCrop): [number, number][] {
  const [cos, sin] = [Math.cos((lean * Math.PI) / 180), Math.sin((lean * Math.PI) / 180)];
  const [cx, cy] = [x + w / 2, y + h / 2];
  const corner = (u: number, v: number): [number, number] => [cx + (u * cos + v * sin) / 2, cy + (v * cos - u * sin) / 2];
  const corners = [corner(-w, -h), corner(w, -h), corner(w, h), corner(-w, h)];
  // Turned a quarter clockwise the lower left comes to the upper left.
  const quarters = turn / 90;
  return corners.map((_, k) => corners[(k - quarters + 4) % 4]);
}

/** The frame made smaller about its middle until its corners lie inside a picture of this size; as it is where they do. */
export function heldInside<C extends LeaningCrop>(crop: C, width: number, height: number): C {
  const [cx, cy] = [crop.x + crop.w / 2, crop.y + crop.h / 2];
  const room = ([px, py]: Point) =>
    Math.min(
      px === cx ? 1 : (px > cx ? width - cx : cx) / Math.abs(px - cx),
      py === cy ? 1 : (py > cy ? height - cy : cy) / Math.abs(py - cy),
    );
  // A hair less than what fits, so that no corner is outside by a rounding.
  const fits = Math.min(1, ...leaningCorners(crop).map(room));
  const k = fits < 1 ? fits * (1 - 1e-9) : 1;
  return { ...crop, x: cx - (k * crop.w) / 2, y: cy - (k * crop.h) / 2, w: k * crop.w, h: k * crop.h };
}

export type FrameSide = 'left' | 'right' | 'top' | 'bottom';

/** Less than this is no picture. */
const LEAST_SIDE = 16;

/** Whether all of the frame lies in a picture of this size. */
const isInside = (crop: LeaningCrop, width: number, height: number): boolean =>
  leaningCorners(crop).every(([x, y]) => x >= -1e-6 && y >= -1e-6 && x <= width + 1e-6 && y <= height + 1e-6);

/** The frame with one side moved to a point, the others where they were; as far as the picture and the least size allow. */
export function movedSide(crop: LeaningCrop, side: FrameSide, [px, py]: Point, width: number, height: number): LeaningCrop {
  const [cos, sin] = [Math.cos((crop.lean * Math.PI) / 180), Math.sin((crop.lean * Math.PI) / 180)];
  const across = side === 'left' || side === 'right';
  // The way out over that side, in the picture.
  const sign = side === 'right' || side === 'bottom' ? 1 : -1;
  const out = across ? [sign * cos, -sign * sin] : [sign * sin, sign * cos];
  const [cx, cy] = [crop.x + crop.w / 2, crop.y + crop.h / 2];
  const long = across ? crop.w : crop.h;
  const wanted = Math.max(LEAST_SIDE, (px - cx) * out[0] + (py - cy) * out[1] + long / 2);
  const at = (length: number): LeaningCrop => {
    const by = (length - long) / 2;
    const [w, h] = across ? [length, crop.h] : [crop.w, length];
    return { ...crop, x: cx + by * out[0] - w / 2, y: cy + by * out[1] - h / 2, w, h };
  };
  if (wanted <= long || isInside(at(wanted), width, height)) return at(wanted);
  let [inside, beyond] = [long, wanted];
  for (let k = 0; k < 24; k++) {
    const middle = (inside + beyond) / 2;
    if (isInside(at(middle), width, height)) inside = middle;
    else beyond = middle;
  }
  return at(inside);
}

/** Where the middles of the sides stand in the picture. */
export function sideMiddles(crop: LeaningCrop): Record<FrameSide, [number, number]> {
  const [tl, tr, br, bl] = leaningCorners({ ...crop, turn: 0 });
  const between = (a: Point, b: Point): [number, number] => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  return { left: between(tl, bl), right: between(tr, br), top: between(tl, tr), bottom: between(bl, br) };
}
