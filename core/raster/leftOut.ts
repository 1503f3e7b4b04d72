/** Knows places that are to be left out of every reading: where they lie, and how a picture is filled there so that filters see nothing. */
import { crossingsAt } from './crossings';
import { Mask, mask, Point, RgbImage } from './image';

/** Why a place is left out, most usual first: it is damaged, a label or a reflection lies over it, another may have worked on it, or it belongs to the mount. */
export const LEFT_OUT_AS = ['damage', 'label', 'glare', 'hand', 'mount'] as const;
export type LeftOutAs = (typeof LEFT_OUT_AS)[number];

/** Pixels whose middle lies inside any of the outlines (even–odd); outlines in px of this raster. */
export function maskOf(outlines: readonly (readonly Point[])[], width: number, height: number): Mask {
  const out = mask(width, height);
  for (const outline of outlines)
    for (let y = 0; y < height; y++) {
      const crossings = crossingsAt(outline, y + 0.5);
      for (let k = 0; k + 1 < crossings.length; k += 2)
        out.data.fill(
          1,
          y * width + Math.max(0, Math.min(width, Math.ceil(crossings[k] - 0.5))),
          y * width + Math.max(0, Math.min(width, Math.ceil(crossings[k + 1] - 0.5))),
        );
    }
  return out;
}

interface Level {
  width: number;
  height: number;
  /** Colour times weight, three a pixel, and the weight. */
  sum: Float32Array;
  weight: Float32Array;
}

function coarser({ width, height, sum, weight }: Level): Level {
  const [w, h] = [(width + 1) >> 1, (height + 1) >> 1];
  const out: Level = { width: w, height: h, sum: new Float32Array(w * h * 3), weight: new Float32Array(w * h) };
  for (let y = 0; y < height; y++)
    for (let x = 0, i = y * width; x < width; x++, i++) {
      const o = (y >> 1) * w + (x >> 1);
      out.weight[o] += weight[i];
      for (let c = 0; c < 3; c++) out.sum[o * 3 + c] += sum[i * 3 + c];
    }
  return out;
}

/**
 * The picture with what `leftOut` marks filled smoothly from round it: each pixel takes the mean colour of the smallest
 * square of the pyramid that knows any (after Gortler et al. 1996). What is wholly left out becomes mid grey.
 */
export function filled(image: RgbImage, leftOut: Mask): RgbImage {
  const { width, height, data } = image;
  const levels: Level[] = [{ width, height, sum: new Float32Array(width * height * 3), weight: new Float32Array(width * height) }];
  for (let i = 0; i < width * height; i++) {
    if (leftOut.data[i]) continue;
    levels[0].weight[i] = 1;
    for (let c = 0; c < 3; c++) levels[0].sum[i * 3 + c] = data[i * 3 + c];
  }
  while (levels[levels.length - 1].width > 1 || levels[levels.length - 1].height > 1) levels.push(coarser(levels[levels.length - 1]));
  const out = new Uint8Array(data);
  for (let y = 0; y < height; y++)
    for (let x = 0, i = y * width; x < width; x++, i++) {
      if (!leftOut.data[i]) continue;
      const known = levels.find((l, k) => l.weight[(y >> k) * l.width + (x >> k)] > 0);
      const k = known ? levels.indexOf(known) : 0;
      const at = known ? (y >> k) * known.width + (x >> k) : 0;
      for (let c = 0; c < 3; c++) out[i * 3 + c] = known ? Math.round(known.sum[at * 3 + c] / known.weight[at]) : 128;
    }
  return { width, height, data: out };
}

/** The values of a plane that are not left out, in their order. */
export function keptOf(values: Float32Array, leftOut: Mask | null): Float32Array {
  return leftOut ? values.filter((_, i) => !leftOut.data[i]) : values;
}
