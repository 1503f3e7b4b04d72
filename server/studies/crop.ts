/** Knows where a point of a picture stands once the picture has been cropped and turned. */
export interface Crop {
  x: number;
  y: number;
  w: number;
  h: number;
  /** Clockwise. */
  turn: 0 | 90 | 180 | 270;
}

/** The point in the new picture's pixels, or null where it was cropped away. */
export function carryPoint([px, py]: readonly [number, number], { x, y, w, h, turn }: Crop): [number, number] | null {
  const [u, v] = [px - Math.round(x), py - Math.round(y)];
  const [cw, ch] = [Math.round(w), Math.round(h)];
  if (u < 0 || v < 0 || u > cw || v > ch) return null;
  if (turn === 90) return [ch - v, u];
  if (turn === 180) return [cw - u, ch - v];
  if (turn === 270) return [v, cw - u];
  return [u, v];
}

/** A patch x, y, width, height in the new picture; null where any of it was cropped away. */
export function carryPatch(
  [x, y, w, h]: readonly [number, number, number, number],
  crop: Crop,
): [number, number, number, number] | null {
  const a = carryPoint([x, y], crop);
  const b = carryPoint([x + w, y + h], crop);
  if (!a || !b) return null;
  return [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.abs(a[0] - b[0]), Math.abs(a[1] - b[1])];
}

/** Named points carried over; those cropped away are left out. */
export function carryPoints(points: Record<string, [number, number]>, crop: Crop): Record<string, [number, number]> {
  const out: Record<string, [number, number]> = {};
  for (const [name, p] of Object.entries(points)) {
    const at = carryPoint(p, crop);
    if (at) out[name] = at;
  }
  return out;
}
