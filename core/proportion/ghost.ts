/** Knows the ghost: the reference picture bent so that its points stand where the manner wants them. */
import { byteFromLinear, linearFromByte } from '../colour/srgb';
import { Point, RgbImage } from '../raster/image';
import { Landmarks } from './align';
import { PlaneMap, thinPlate } from './thinPlate';

/** Points around the frame that stay, so that the picture keeps its edges. */
const ALONG = [0, 0.25, 0.5, 0.75, 1];

/** Map from the ghost's pixels back to the reference's; both in the same frame of width × height px. */
export function ghostMap(reference: Landmarks, bent: Landmarks, width: number, height: number): PlaneMap {
  const names = Object.keys(reference).filter((n) => Object.hasOwn(bent, n));
  const frame = ALONG.flatMap((u) => ALONG.map((v): Point => [u * width, v * height])).filter(
    ([x, y]) => x === 0 || y === 0 || x === width || y === height,
  );
  // A frame point close to a moved one would fight with it.
  const far = frame.filter((f) => names.every((n) => Math.hypot(bent[n][0] - f[0], bent[n][1] - f[1]) > 0.06 * Math.max(width, height)));
  return thinPlate([...names.map((n) => bent[n]), ...far], [...names.map((n) => reference[n]), ...far]);
}

const GRID = 6;

export interface Ghost {
  image: RgbImage;
  /** Share of the frame where the bent picture folds over itself, 0–1: there the wish is too strong. */
  folded: number;
}

/**
 * The reference seen through the map, bilinear in linear light; the map is taken on a grid of 6 px and interpolated.
 * `map` works in the frame of `frame` px (landmark pixels); the picture may be smaller than that frame.
 */
export function drawGhost(picture: RgbImage, map: PlaneMap, frame: readonly [number, number]): Ghost {
  const { width, height } = picture;
  const [kx, ky] = [frame[0] / width, frame[1] / height];
  const columns = Math.ceil(width / GRID) + 1;
  const rows = Math.ceil(height / GRID) + 1;
  const nodes = new Float64Array(columns * rows * 2);
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const [x, y] = map(c * GRID * kx, r * GRID * ky);
      nodes[(r * columns + c) * 2] = x / kx;
      nodes[(r * columns + c) * 2 + 1] = y / ky;
    }
  let folds = 0;
  for (let r = 0; r + 1 < rows; r++)
    for (let c = 0; c + 1 < columns; c++) {
      const i = (r * columns + c) * 2;
      const [ax, ay] = [nodes[i + 2] - nodes[i], nodes[i + 3] - nodes[i + 1]];
      const [bx, by] = [nodes[i + columns * 2] - nodes[i], nodes[i + columns * 2 + 1] - nodes[i + 1]];
      if (ax * by - ay * bx <= 0) folds++;
    }
  const data = new Uint8Array(width * height * 3);
  const last = [width - 1, height - 1];
  for (let y = 0; y < height; y++) {
    const gr = Math.floor(y / GRID);
    const v = (y - gr * GRID) / GRID;
    for (let x = 0; x < width; x++) {
      const gc = Math.floor(x / GRID);
      const u = (x - gc * GRID) / GRID;
      const i = (gr * columns + gc) * 2;
      const j = i + columns * 2;
      const blend = (k: number) =>
        (1 - v) * ((1 - u) * nodes[i + k] + u * nodes[i + 2 + k]) + v * ((1 - u) * nodes[j + k] + u * nodes[j + 2 + k]);
      const sx = Math.min(last[0], Math.max(0, blend(0)));
      const sy = Math.min(last[1], Math.max(0, blend(1)));
      const x0 = Math.min(Math.max(0, width - 2), Math.floor(sx));
      const y0 = Math.min(Math.max(0, height - 2), Math.floor(sy));
      const fx = sx - x0;
      const fy = sy - y0;
      const right = width > 1 ? 3 : 0;
      const down = height > 1 ? width * 3 : 0;
      const from = (y0 * width + x0) * 3;
      const to = (y * width + x) * 3;
      for (let c = 0; c < 3; c++) {
        const a = linearFromByte[picture.data[from + c]] * (1 - fx) + linearFromByte[picture.data[from + right + c]] * fx;
        const b = linearFromByte[picture.data[from + down + c]] * (1 - fx) + linearFromByte[picture.data[from + down + right + c]] * fx;
        data[to + c] = byteFromLinear(a * (1 - fy) + b * fy);
      }
    }
  }
  return { image: { width, height, data }, folded: folds / Math.max(1, (rows - 1) * (columns - 1)) };
}
