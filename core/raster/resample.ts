/** Knows how to change a picture's size without inventing or losing light: area means in linear light. */
import { CoreError } from '../errors';
import { encodeTable, linearFromByte } from '../colour/srgb';
import { Plane, RgbImage } from './image';
import { areaMeans, planeMeans, Span } from './kernels/kernels';

/** Smaller size whose long side is at most `longSide`; the same size when it is already. */
function fittedSize(width: number, height: number, longSide: number): { width: number; height: number } {
  const scale = Math.min(1, longSide / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

function spans(from: number, to: number): Span[] {
  const ratio = from / to;
  const out: Span[] = [];
  for (let i = 0; i < to; i++) {
    const a = i * ratio;
    const b = (i + 1) * ratio;
    const first = Math.floor(a);
    const last = Math.min(from, Math.ceil(b - 1e-9));
    const weights = new Float32Array(Math.max(1, last - first));
    for (let k = 0; k < weights.length; k++) weights[k] = (Math.min(b, first + k + 1) - Math.max(a, first + k)) / ratio;
    out.push({ first, weights });
  }
  return out;
}

/** Area-mean reduction of an sRGB picture in linear light. Enlarging is refused. */
export function reduceImage(source: RgbImage, width: number, height: number): RgbImage {
  if (width === source.width && height === source.height) return source;
  if (width > source.width || height > source.height) throw new CoreError('larger');
  const xs = spans(source.width, width);
  const ys = spans(source.height, height);
  return { width, height, data: areaMeans(source, xs, ys, linearFromByte, encodeTable) };
}

/** The picture with its long side at most `longSide` px. */
export function reduceToLongSide(source: RgbImage, longSide: number): RgbImage {
  const size = fittedSize(source.width, source.height, longSide);
  return reduceImage(source, size.width, size.height);
}

/** Bilinear value of a plane at a point in pixel-centre coordinates, edges repeated. */
export function sampleBilinear(source: Plane, x: number, y: number): number {
  const { width: w, height: h, data } = source;
  const cx = Math.min(w - 1, Math.max(0, x));
  const cy = Math.min(h - 1, Math.max(0, y));
  const x0 = Math.min(w - 1, Math.floor(cx));
  const y0 = Math.min(h - 1, Math.floor(cy));
  const x1 = Math.min(w - 1, x0 + 1);
  const y1 = Math.min(h - 1, y0 + 1);
  const fx = cx - x0;
  const fy = cy - y0;
  const top = data[y0 * w + x0] * (1 - fx) + data[y0 * w + x1] * fx;
  const bottom = data[y1 * w + x0] * (1 - fx) + data[y1 * w + x1] * fx;
  return top * (1 - fy) + bottom * fy;
}

/** Area-mean reduction of a plane. */
export const reducePlane = (source: Plane, width: number, height: number): Plane =>
  planeMeans(source, spans(source.width, width), spans(source.height, height));
