/** Distances to the nearest unset pixel. */

/** Squared distances along one line of n samples at f to d (Felzenszwalb and Huttenlocher 2012); v and z are scratch. */
function distanceLine(f: usize, n: i32, d: usize, v: usize, z: usize): void {
  let k: i32 = 0;
  store<i32>(v, 0);
  store<f64>(z, -Infinity);
  store<f64>(z + 8, Infinity);
  for (let q: i32 = 1; q < n; q++) {
    const fq = load<f64>(f + ((<usize>q) << 3)) + <f64>q * <f64>q;
    let p = load<i32>(v + ((<usize>k) << 2));
    let s = (fq - load<f64>(f + ((<usize>p) << 3)) - <f64>p * <f64>p) / <f64>(2 * q - 2 * p);
    while (s <= load<f64>(z + ((<usize>k) << 3))) {
      k--;
      p = load<i32>(v + ((<usize>k) << 2));
      s = (fq - load<f64>(f + ((<usize>p) << 3)) - <f64>p * <f64>p) / <f64>(2 * q - 2 * p);
    }
    k++;
    store<i32>(v + ((<usize>k) << 2), q);
    store<f64>(z + ((<usize>k) << 3), s);
    store<f64>(z + ((<usize>(k + 1)) << 3), Infinity);
  }
  k = 0;
  for (let q: i32 = 0; q < n; q++) {
    while (load<f64>(z + ((<usize>(k + 1)) << 3)) < <f64>q) k++;
    const p = load<i32>(v + ((<usize>k) << 2));
    store<f64>(d + ((<usize>q) << 3), <f64>((q - p) * (q - p)) + load<f64>(f + ((<usize>p) << 3)));
  }
}

/**
 * Distance from every set byte of a mask to the nearest unset one, 0 on unset ones, 1e6 where none is unset.
 * `work` holds w · h doubles and 4 · (max(w, h) + 2) more.
 */
export function distance(mask: usize, to: usize, w: i32, h: i32, work: usize): void {
  const size = <usize>max(w, h) + 2;
  const f = work + ((<usize>(w * h)) << 3);
  const d = f + (size << 3);
  const z = d + (size << 3);
  const v = z + (size << 3);
  for (let x: i32 = 0; x < w; x++) {
    for (let y: i32 = 0; y < h; y++) store<f64>(f + ((<usize>y) << 3), load<u8>(mask + <usize>(y * w + x)) ? 1e12 : 0);
    distanceLine(f, h, d, v, z);
    for (let y: i32 = 0; y < h; y++) store<f64>(work + ((<usize>(y * w + x)) << 3), load<f64>(d + ((<usize>y) << 3)));
  }
  for (let y: i32 = 0; y < h; y++) {
    memory.copy(f, work + ((<usize>(y * w)) << 3), (<usize>w) << 3);
    distanceLine(f, w, d, v, z);
    for (let x: i32 = 0; x < w; x++)
      store<f32>(to + ((<usize>(y * w + x)) << 2), <f32>min(1e6, Math.sqrt(load<f64>(d + ((<usize>x) << 3)))));
  }
}
