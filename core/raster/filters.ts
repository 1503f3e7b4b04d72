/** Knows how to smooth planes: Gaussians by direct kernel or by repeated boxes, with edges repeated. */
import { Plane } from './image';

/** Normalised Gaussian kernel out to three sigmas; sigma in px. */
function gaussianKernel(sigma: number): Float32Array {
  const radius = Math.max(1, Math.ceil(3 * sigma));
  const kernel = new Float32Array(2 * radius + 1);
  let sum = 0;
  for (let i = -radius; i <= radius; i++) sum += kernel[i + radius] = Math.exp((-i * i) / (2 * sigma * sigma));
  for (let i = 0; i < kernel.length; i++) kernel[i] /= sum;
  return kernel;
}

/** to[at…] += weight · from[start…] over n samples: the one inner loop of every convolution here, kept small so that it compiles well. */
function addScaled(to: Float32Array, at: number, from: Float32Array, start: number, n: number, weight: number): void {
  for (let x = 0; x < n; x++) to[at + x] += weight * from[start + x];
}

let scratch = new Float32Array(0);

/** Working memory that is handed out again at the next call: fresh pages cost more than the arithmetic. */
function scratchOf(length: number): Float32Array {
  if (scratch.length < length) scratch = new Float32Array(length);
  return scratch;
}

/** Convolves rows with one kernel and columns with another, edges repeated. Kernels have odd length. */
export function separable(source: Plane, kx: Float32Array, ky: Float32Array): Plane {
  const { width: w, height: h, data } = source;
  const middle = scratchOf(w * h);
  middle.fill(0, 0, w * h);
  const out = new Float32Array(w * h);
  const rx = kx.length >> 1;
  const ry = ky.length >> 1;
  const line = new Float32Array(w + 2 * rx);
  for (let y = 0; y < h; y++) {
    const row = y * w;
    line.fill(data[row], 0, rx);
    line.set(data.subarray(row, row + w), rx);
    line.fill(data[row + w - 1], rx + w);
    for (let k = 0; k < kx.length; k++) addScaled(middle, row, line, k, w, kx[k]);
  }
  for (let y = 0; y < h; y++)
    for (let k = -ry; k <= ry; k++)
      addScaled(out, y * w, middle, Math.min(h - 1, Math.max(0, y + k)) * w, w, ky[k + ry]);
  return { width: w, height: h, data: out };
}

/** Gaussian blur, sigma in px; wide ones by three running boxes (Wells 1986), error under 3 %. */
export function gaussian(source: Plane, sigma: number): Plane {
  if (sigma <= 0) return { ...source, data: source.data.slice() };
  if (sigma < 2.5) {
    const k = gaussianKernel(sigma);
    return separable(source, k, k);
  }
  const ideal = Math.sqrt((12 * sigma * sigma) / 3 + 1);
  let low = Math.floor(ideal);
  if (low % 2 === 0) low--;
  const count = Math.round((12 * sigma * sigma - 3 * low * low - 12 * low - 9) / (-4 * low - 4));
  let result = source;
  for (let pass = 0; pass < 3; pass++) result = box(result, ((pass < count ? low : low + 2) - 1) / 2);
  return result;
}

function boxRow(from: Float32Array, row: number, to: Float32Array, w: number, r: number): void {
  const scale = 1 / (2 * r + 1);
  let sum = 0;
  for (let k = -r; k <= r; k++) sum += from[row + Math.min(w - 1, Math.max(0, k))];
  for (let x = 0; x < w; x++) {
    to[row + x] = sum * scale;
    sum += from[row + (x + r + 1 < w ? x + r + 1 : w - 1)] - from[row + (x > r ? x - r : 0)];
  }
}

function boxStep(
  sums: Float64Array,
  from: Float32Array,
  add: number,
  drop: number,
  to: Float32Array,
  at: number,
  scale: number,
): void {
  for (let x = 0; x < sums.length; x++) {
    to[at + x] = sums[x] * scale;
    sums[x] += from[add + x] - from[drop + x];
  }
}

/** Running mean over a square of (2r+1) px, edges repeated. */
export function box(source: Plane, radius: number): Plane {
  const { width: w, height: h, data } = source;
  const middle = scratchOf(w * h);
  const out = new Float32Array(w * h);
  for (let y = 0; y < h; y++) boxRow(data, y * w, middle, w, radius);
  const sums = new Float64Array(w);
  for (let k = -radius; k <= radius; k++) {
    const row = Math.min(h - 1, Math.max(0, k)) * w;
    for (let x = 0; x < w; x++) sums[x] += middle[row + x];
  }
  for (let y = 0; y < h; y++)
    boxStep(
      sums,
      middle,
      Math.min(h - 1, y + radius + 1) * w,
      Math.max(0, y - radius) * w,
      out,
      y * w,
      1 / (2 * radius + 1),
    );
  return { width: w, height: h, data: out };
}

function raiseTo(to: Float32Array, at: number, from: Float32Array, start: number, n: number): void {
  for (let x = 0; x < n; x++) if (from[start + x] > to[at + x]) to[at + x] = from[start + x];
}

/** Largest value in a square of (2r+1) px around each pixel, edges repeated; r a few px. */
export function dilateMax(source: Plane, radius: number): Plane {
  const { width: w, height: h, data } = source;
  const middle = scratchOf(w * h);
  const out = new Float32Array(w * h);
  middle.set(data);
  for (let y = 0; y < h; y++)
    for (let k = 1; k <= Math.min(radius, w - 1); k++) {
      raiseTo(middle, y * w, data, y * w + k, w - k);
      raiseTo(middle, y * w + k, data, y * w, w - k);
    }
  for (let y = 0; y < h; y++) {
    const first = Math.max(0, y - radius);
    out.set(middle.subarray(first * w, first * w + w), y * w);
    for (let r = first + 1; r <= Math.min(h - 1, y + radius); r++) raiseTo(out, y * w, middle, r * w, w);
  }
  return { width: w, height: h, data: out };
}

/** Smallest value in a square of (2r+1) px around each pixel. */
export function erodeMin(source: Plane, radius: number): Plane {
  const turned = new Float32Array(source.data.length);
  for (let i = 0; i < turned.length; i++) turned[i] = -source.data[i];
  const high = dilateMax({ ...source, data: turned }, radius);
  for (let i = 0; i < high.data.length; i++) high.data[i] = -high.data[i];
  return high;
}
