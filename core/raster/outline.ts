/** Knows the rim of a patch of set pixels as a closed line of its pixels' corners. */
import type { Mask, Point } from './image';

/**
 * Outer rim of the four-connected patch that holds pixel (x, y), clockwise as seen, in corner coordinates: pixel (0, 0) has its corners at
 * (0, 0) and (1, 1). The pixel's crack is followed with the patch on the right hand (border following after Pavlidis 1982); holes are
 * filled over. Null where the pixel is not set.
 */
export function rimOf({ width: w, height: h, data }: Mask, [x, y]: Point): Point[] | null {
  const set = (i: number, j: number) => i >= 0 && j >= 0 && i < w && j < h && data[j * w + i] === 1;
  if (!set(x, y)) return null;
  // The patch is gathered first: its topmost pixel's upper side is on the outer rim.
  const seen = new Uint8Array(w * h);
  const stack = [y * w + x];
  seen[stack[0]] = 1;
  let top = stack[0];
  while (stack.length) {
    const at = stack.pop()!;
    if (at < top) top = at;
    const [i, j] = [at % w, Math.floor(at / w)];
    for (const [u, v] of [
      [i - 1, j],
      [i + 1, j],
      [i, j - 1],
      [i, j + 1],
    ])
      if (set(u, v) && !seen[v * w + u]) {
        seen[v * w + u] = 1;
        stack.push(v * w + u);
      }
  }
  const inside = (i: number, j: number) => i >= 0 && j >= 0 && i < w && j < h && seen[j * w + i] === 1;
  const start: Point = [top % w, Math.floor(top / w)];
  const rim: Point[] = [];
  // Right, down, left, up; the pixel to the right hand of each step, from the corner it starts at.
  const STEPS = [
    [1, 0],
    [0, 1],
    [-1, 0],
    [0, -1],
  ] as const;
  const RIGHT = [
    [0, 0],
    [-1, 0],
    [-1, -1],
    [0, -1],
  ] as const;
  let [cx, cy] = start;
  let way = 0;
  do {
    rim.push([cx, cy]);
    [cx, cy] = [cx + STEPS[way][0], cy + STEPS[way][1]];
    // Turn right where the patch goes on there, else straight on, else left.
    for (const turn of [1, 0, 3, 2]) {
      const next = (way + turn) % 4;
      const [i, j] = [cx + RIGHT[next][0], cy + RIGHT[next][1]];
      const left = (next + 3) % 4;
      const [u, v] = [i + STEPS[left][0], j + STEPS[left][1]];
      if (inside(i, j) && !inside(u, v)) {
        way = next;
        break;
      }
    }
  } while (cx !== start[0] || cy !== start[1] || way !== 0);
  return rim;
}
