/** Knows how a picture sits on its sheet: the worked area, its centre, margins, and the basic shape it fills. */
import { closedOver, withoutSpecks } from '../raster/kernels/layers';
import { Mask, Plane, Point } from '../raster/image';
import { convexHull, signedArea } from '../proportion/polygon';
import { fitShapes, FULL_KINDS, ShapeKind } from '../proportion/shapes';
import { BARE } from '../marks/ink';

export interface Composition {
  /** Centre of the worked area, 0–1 from the top left. */
  centre: [number, number];
  /** Share of the sheet that is worked. */
  coverage: number;
  envelope: { kind: ShapeKind; fit: number; points: [number, number][] };
  /** Least distance of the worked area from an edge, 0–1 of the short side. */
  margin: number;
}

/**
 * The worked area of a form-size picture from its departure plane: marks closed over by 1.2 % of the long side, so that
 * the white between hatches counts as worked, without specks. All ones where no ground is known.
 */
export function workedArea(depart: Plane | null, width: number, height: number): Mask {
  if (!depart) return { width, height, data: new Uint8Array(width * height).fill(1) };
  const reach = Math.max(2, Math.round(Math.max(width, height) * 0.012));
  return withoutSpecks(closedOver(depart, BARE, reach), Math.floor(0.0004 * width * height) + 1);
}

const keptCount = (all: number, leftOut: Mask | null): number =>
  leftOut ? Math.max(1, all - leftOut.data.reduce((s, v) => s + v, 0)) : all;

/** What is set of a mask: how many px, the sums of their middles, the box they lie in, and the corners of each row's first and last. */
function extentOf({ width, height, data }: Mask) {
  let [n, sx, sy] = [0, 0, 0];
  let [left, right, top, bottom] = [width, -1, height, -1];
  const rim: Point[] = [];
  for (let y = 0; y < height; y++) {
    let [first, last] = [-1, -1];
    for (let x = 0, i = y * width; x < width; x++, i++)
      if (data[i]) {
        n++;
        sx += x + 0.5;
        sy += y + 0.5;
        if (first < 0) first = x;
        last = x;
      }
    if (first < 0) continue;
    rim.push([first, y], [last + 1, y], [first, y + 1], [last + 1, y + 1]);
    left = Math.min(left, first);
    right = Math.max(right, last + 1);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y + 1);
  }
  return { n, sx, sy, left, right, top, bottom, rim };
}

/** Composition of a worked area; the middle of the sheet with no coverage where nothing is worked. Coverage is of what is not left out. */
export function readComposition(worked: Mask, leftOut: Mask | null = null): Composition {
  const { width, height } = worked;
  const { n, sx, sy, left, right, top, bottom, rim } = extentOf(worked);
  const full: [number, number][] = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ];
  if (n === 0) return { centre: [0.5, 0.5], coverage: 0, envelope: { kind: 'rectangle', fit: 0, points: full }, margin: 0.5 };
  const outer = convexHull(rim);
  // Some forty corners of the hull say all that the basic shapes can follow.
  const every = Math.max(1, Math.ceil(outer.length / 40));
  const hull = outer.filter((_, i) => i % every === 0).map(([x, y]): Point => [x / width, y / height]);
  const shape =
    Math.abs(signedArea(hull)) > 1e-6 ? fitShapes(hull, FULL_KINDS)[0] : { kind: 'rectangle' as const, overlap: 0, outline: full };
  const short = Math.min(width, height);
  return {
    centre: [sx / n / width, sy / n / height],
    coverage: n / keptCount(width * height, leftOut),
    envelope: {
      kind: shape.kind,
      fit: shape.overlap,
      points: shape.outline.map(([x, y]) => [Math.min(1, Math.max(0, x)), Math.min(1, Math.max(0, y))]),
    },
    margin: Math.max(0, Math.min(left, top, width - right, height - bottom)) / short,
  };
}
