/** Knows where on a sheet there is a mark: how far each pixel departs from the bare ground, and which pixels count as marked. */
import { lightnessFromLuminance } from '../colour/lab';
import { linearFromByte } from '../colour/srgb';
import { dilateMax, erodeMin, gaussian } from '../raster/filters';
import { Mask, mask, Plane, plane, RgbImage } from '../raster/image';
import { histogramQuantiles } from '../raster/statistics';

/** Departure from the ground (Lab units) under which a pixel is taken for bare. */
export const BARE = 7;

const cubeRoots = Float32Array.from({ length: 4098 }, (_, i) => labF(i / 4096));

function labF(t: number): number {
  return t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116;
}

/** Table look-up of the Lab curve with linear steps; error under 0.05 L* above L* 2, and darker than that all blacks are alike. */
function fastF(t: number): number {
  const at = t <= 0 ? 0 : t >= 1 ? 4096 : t * 4096;
  const low = at | 0;
  return cubeRoots[low] + (at - low) * (cubeRoots[low + 1] - cubeRoots[low]);
}

/** Distance in Lab from the ground colour of every pixel, 0 or more. */
export function departure(image: RgbImage, ground: readonly number[]): Plane {
  const out = plane(image.width, image.height);
  const d = image.data;
  for (let i = 0, j = 0; i < out.data.length; i++, j += 3) {
    const r = linearFromByte[d[j]];
    const g = linearFromByte[d[j + 1]];
    const b = linearFromByte[d[j + 2]];
    const fx = fastF((0.4123907993 * r + 0.3575843394 * g + 0.1804807884 * b) / 0.9504559271);
    const fy = fastF(0.2126390059 * r + 0.7151686788 * g + 0.0721923154 * b);
    const fz = fastF((0.0193308187 * r + 0.1191947798 * g + 0.9505321522 * b) / 1.0890577508);
    const dL = 116 * fy - 16 - ground[0];
    const da = 500 * (fx - fy) - ground[1];
    const db = 200 * (fy - fz) - ground[2];
    out.data[i] = Math.sqrt(dL * dL + da * da + db * db);
  }
  return out;
}

/** Where no ground is known: how much darker than the lightest part (98th percentile) each pixel is, in L*. */
export function darkness(image: RgbImage): Plane {
  const out = plane(image.width, image.height);
  const d = image.data;
  for (let i = 0, j = 0; i < out.data.length; i++, j += 3)
    out.data[i] = lightnessFromLuminance(
      0.2126390059 * linearFromByte[d[j]] +
        0.7151686788 * linearFromByte[d[j + 1]] +
        0.0721923154 * linearFromByte[d[j + 2]],
    );
  const [light] = histogramQuantiles(out.data, 0, 100, [0.98]);
  for (let i = 0; i < out.data.length; i++) out.data[i] = Math.max(0, light - out.data[i]);
  return out;
}

/**
 * Marked pixels of a departure plane: near half (0.45, since Lab falls off faster than coverage) of the strongest departure near by (so that a line's width is kept
 * under blur), or wholly surrounded by departure (so that a pale wash with a dark line in it stays marked).
 */
export function markedMask(depart: Plane, reach = 4): Mask {
  const soft = gaussian(depart, 0.7);
  const high = dilateMax(soft, reach);
  const low = erodeMin(gaussian(depart, 1.2), reach);
  const out = mask(depart.width, depart.height);
  for (let i = 0; i < out.data.length; i++) {
    const v = soft.data[i];
    out.data[i] = v > BARE && (v > 0.45 * high.data[i] || low.data[i] > BARE) ? 1 : 0;
  }
  return out;
}

/** Standard deviation of pixel noise in a plane: the median of the absolute diagonal second difference (after Immerkær 1996). */
export function noiseOf(source: Plane): number {
  const { width: w, height: h, data } = source;
  const values = new Float32Array(Math.max(1, Math.ceil(((w - 2) * (h - 2)) / 3)));
  let n = 0;
  for (let i = w + 1; i < w * (h - 1) - 1 && n < values.length; i += 3) {
    const v =
      4 * data[i] -
      2 * (data[i - 1] + data[i + 1] + data[i - w] + data[i + w]) +
      data[i - w - 1] +
      data[i - w + 1] +
      data[i + w - 1] +
      data[i + w + 1];
    values[n++] = Math.abs(v);
  }
  if (!n) return 0;
  const sorted = values.subarray(0, n).sort();
  return sorted[n >> 1] / (0.6745 * 6);
}
