/** Knows how far every pixel lies from the nearest one outside a mask (Felzenszwalb and Huttenlocher 2012, exact). */
import { Mask, Plane, plane } from './image';

const FAR = 1e12;

/** Squared distance transform of one line of samples, in place through the caller's scratch arrays. */
function line(f: Float64Array, n: number, d: Float64Array, v: Int32Array, z: Float64Array): void {
  let k = 0;
  v[0] = 0;
  z[0] = -Infinity;
  z[1] = Infinity;
  for (let q = 1; q < n; q++) {
    let s = (f[q] + q * q - (f[v[k]] + v[k] * v[k])) / (2 * q - 2 * v[k]);
    while (s <= z[k]) {
      k--;
      s = (f[q] + q * q - (f[v[k]] + v[k] * v[k])) / (2 * q - 2 * v[k]);
    }
    k++;
    v[k] = q;
    z[k] = s;
    z[k + 1] = Infinity;
  }
  k = 0;
  for (let q = 0; q < n; q++) {
    while (z[k + 1] < q) k++;
    d[q] = (q - v[k]) ** 2 + f[v[k]];
  }
}

/** Euclidean distance in px from each set pixel's centre to the nearest unset pixel's centre; 0 on unset pixels; 1e6 where none is unset. */
export function distanceInside(source: Mask): Plane {
  const { width: w, height: h } = source;
  const size = Math.max(w, h);
  const f = new Float64Array(size);
  const d = new Float64Array(size);
  const v = new Int32Array(size);
  const z = new Float64Array(size + 1);
  const squared = new Float64Array(w * h);
  for (let x = 0; x < w; x++) {
    for (let y = 0; y < h; y++) f[y] = source.data[y * w + x] ? FAR : 0;
    line(f, h, d, v, z);
    for (let y = 0; y < h; y++) squared[y * w + x] = d[y];
  }
  const out = plane(w, h);
  for (let y = 0; y < h; y++) {
    for (let x = 0; x < w; x++) f[x] = squared[y * w + x];
    line(f, w, d, v, z);
    for (let x = 0; x < w; x++) out.data[y * w + x] = Math.min(1e6, Math.sqrt(d[x]));
  }
  return out;
}
