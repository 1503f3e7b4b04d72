/**
 * The inner loops of the filters in AssemblyScript, compiled to WebAssembly: four pixels at a time. JavaScript spends most
 * of a convolution on loading and storing single numbers. Addresses are bytes, sizes pixels; the caller lays the memory out.
 * No literals of arrays or strings: they would lie in the memory that the caller hands out. Changed only together with
 * module.ts: `npm run kernels`.
 */

/** to[i] = Σ kernel[k] · from[i + k·step], i below n, k below taps; step in bytes between taps. */
function convolve(from: usize, step: usize, to: usize, n: i32, kernel: usize, taps: i32): void {
  let x: i32 = 0;
  for (; x + 4 <= n; x += 4) {
    let at = from + ((<usize>x) << 2);
    let sum = f32x4.splat(0);
    for (let k: i32 = 0; k < taps; k++) {
      sum = f32x4.add(sum, f32x4.mul(v128.load(at), v128.load32_splat(kernel + ((<usize>k) << 2))));
      at += step;
    }
    v128.store(to + ((<usize>x) << 2), sum);
  }
  for (; x < n; x++) {
    let at = from + ((<usize>x) << 2);
    let sum: f32 = 0;
    for (let k: i32 = 0; k < taps; k++) {
      sum += load<f32>(at) * load<f32>(kernel + ((<usize>k) << 2));
      at += step;
    }
    store<f32>(to + ((<usize>x) << 2), sum);
  }
}

/** A row copied with its ends repeated r times to each side. */
function padRow(from: usize, to: usize, n: i32, r: i32): void {
  const first = load<f32>(from);
  const last = load<f32>(from + ((<usize>(n - 1)) << 2));
  for (let k: i32 = 0; k < r; k++) {
    store<f32>(to + ((<usize>k) << 2), first);
    store<f32>(to + ((<usize>(n + r + k)) << 2), last);
  }
  memory.copy(to + ((<usize>r) << 2), from, (<usize>n) << 2);
}

/**
 * Rows of a w × h plane convolved with one kernel, columns with another, edges repeated.
 * `work` holds w · (h + 2·ry) + w + 2·rx numbers.
 */
export function separable(from: usize, to: usize, w: i32, h: i32, kx: usize, rx: i32, ky: usize, ry: i32, work: usize): void {
  const row: usize = (<usize>w) << 2;
  const line = work + row * <usize>(h + 2 * ry);
  for (let y: i32 = 0; y < h; y++) {
    padRow(from + row * <usize>y, line, w, rx);
    convolve(line, 4, work + row * <usize>(y + ry), w, kx, 2 * rx + 1);
  }
  for (let k: i32 = 0; k < ry; k++) {
    memory.copy(work + row * <usize>k, work + row * <usize>ry, row);
    memory.copy(work + row * <usize>(h + ry + k), work + row * <usize>(h + ry - 1), row);
  }
  for (let y: i32 = 0; y < h; y++) convolve(work + row * <usize>y, row, to + row * <usize>y, w, ky, 2 * ry + 1);
}

/** Running means of 2r + 1 px along rows, then down columns, edges repeated. `work` holds w · h + w + 2r numbers and w doubles. */
export function box(from: usize, to: usize, w: i32, h: i32, r: i32, work: usize): void {
  const row: usize = (<usize>w) << 2;
  const line = work + row * <usize>h;
  const sums = (line + ((<usize>(w + 2 * r)) << 2) + 15) & ~15;
  const scale: f64 = 1.0 / <f64>(2 * r + 1);
  for (let y: i32 = 0; y < h; y++) {
    padRow(from + row * <usize>y, line, w, r);
    const out = work + row * <usize>y;
    let sum: f64 = 0;
    for (let k: i32 = 0; k < 2 * r; k++) sum += load<f32>(line + ((<usize>k) << 2));
    for (let x: i32 = 0; x < w; x++) {
      sum += load<f32>(line + ((<usize>(x + 2 * r)) << 2));
      store<f32>(out + ((<usize>x) << 2), <f32>(sum * scale));
      sum -= load<f32>(line + ((<usize>x) << 2));
    }
  }
  for (let x: i32 = 0; x < w; x++) store<f64>(sums + ((<usize>x) << 3), 0);
  for (let k: i32 = -r; k < r; k++) {
    const at = work + row * <usize>min(h - 1, max(0, k));
    for (let x: i32 = 0; x < w; x++)
      store<f64>(sums + ((<usize>x) << 3), load<f64>(sums + ((<usize>x) << 3)) + load<f32>(at + ((<usize>x) << 2)));
  }
  const scales = f64x2.splat(scale);
  for (let y: i32 = 0; y < h; y++) {
    const add = work + row * <usize>min(h - 1, y + r);
    const drop = work + row * <usize>max(0, y - r);
    const out = to + row * <usize>y;
    let x: i32 = 0;
    for (; x + 2 <= w; x += 2) {
      const s = sums + ((<usize>x) << 3);
      const at = (<usize>x) << 2;
      const now = f64x2.add(v128.load(s), f64x2.promote_low_f32x4(v128.load64_zero(add + at)));
      v128.store64_lane(out + at, f32x4.demote_f64x2_zero(f64x2.mul(now, scales)), 0);
      v128.store(s, f64x2.sub(now, f64x2.promote_low_f32x4(v128.load64_zero(drop + at))));
    }
    for (; x < w; x++) {
      const s = sums + ((<usize>x) << 3);
      const at = (<usize>x) << 2;
      const now = load<f64>(s) + load<f32>(add + at);
      store<f32>(out + at, <f32>(now * scale));
      store<f64>(s, now - load<f32>(drop + at));
    }
  }
}

/** to[i] = the larger of a[i] and b[i] (the smaller where `low` is set). */
function extreme(a: usize, b: usize, to: usize, n: i32, low: bool): void {
  let x: i32 = 0;
  for (; x + 4 <= n; x += 4) {
    const at = (<usize>x) << 2;
    const p = v128.load(a + at);
    const q = v128.load(b + at);
    v128.store(to + at, low ? f32x4.min(p, q) : f32x4.max(p, q));
  }
  for (; x < n; x++) {
    const at = (<usize>x) << 2;
    const p = load<f32>(a + at);
    const q = load<f32>(b + at);
    store<f32>(to + at, low ? min(p, q) : max(p, q));
  }
}

/** Largest (or smallest) value in a square of 2r + 1 px round each pixel, edges repeated. `work` as for `separable` with ry = rx = r. */
export function spread(from: usize, to: usize, w: i32, h: i32, r: i32, low: bool, work: usize): void {
  const row: usize = (<usize>w) << 2;
  const line = work + row * <usize>(h + 2 * r);
  const size = 2 * r + 1;
  for (let y: i32 = 0; y < h; y++) {
    padRow(from + row * <usize>y, line, w, r);
    let reach: i32 = 1;
    for (; 2 * reach <= size; reach *= 2) extreme(line, line + ((<usize>reach) << 2), line, w + 2 * r - reach, low);
    // Two windows of `reach` cover the wanted one.
    extreme(line, line + ((<usize>(size - reach)) << 2), work + row * <usize>(y + r), w, low);
  }
  for (let k: i32 = 0; k < r; k++) {
    memory.copy(work + row * <usize>k, work + row * <usize>r, row);
    memory.copy(work + row * <usize>(h + r + k), work + row * <usize>(h + r - 1), row);
  }
  const rows = h + 2 * r;
  let reach: i32 = 1;
  for (; 2 * reach <= size; reach *= 2) extreme(work, work + row * <usize>reach, work, w * (rows - reach), low);
  extreme(work, work + row * <usize>(size - reach), to, w * h, low);
}

/** Arc tangent of y / x in all four quadrants, radians; polynomial after Abramowitz and Stegun 4.4.49's form, error under 2e-5. */
function arcTangent(y: v128, x: v128): v128 {
  const ax = f32x4.abs(x);
  const ay = f32x4.abs(y);
  const z = f32x4.div(f32x4.min(ax, ay), f32x4.max(f32x4.max(ax, ay), f32x4.splat(1e-30)));
  const s = f32x4.mul(z, z);
  let p = f32x4.splat(-0.0117212);
  p = f32x4.add(f32x4.mul(p, s), f32x4.splat(0.05265332));
  p = f32x4.add(f32x4.mul(p, s), f32x4.splat(-0.11643287));
  p = f32x4.add(f32x4.mul(p, s), f32x4.splat(0.19354346));
  p = f32x4.add(f32x4.mul(p, s), f32x4.splat(-0.33262347));
  p = f32x4.add(f32x4.mul(p, s), f32x4.splat(0.99997726));
  let t = f32x4.mul(p, z);
  t = v128.bitselect(f32x4.sub(f32x4.splat(1.5707964), t), t, f32x4.gt(ay, ax));
  t = v128.bitselect(f32x4.sub(f32x4.splat(3.1415927), t), t, f32x4.lt(x, f32x4.splat(0)));
  return v128.bitselect(f32x4.neg(t), t, f32x4.lt(y, f32x4.splat(0)));
}

/**
 * Structure tensor of a plane and what follows from it at every pixel. `derive` and `soften` are the two kernels of a
 * Gaussian derivative, radius r. `out` takes four planes one after another: angle in degrees, weight, weight · cos and
 * weight · sin of the doubled angle; each is `plane` bytes long, a multiple of 16 with 16 to spare. `work` holds three
 * such planes and the working room of `separable`.
 */
export function tensor(
  from: usize,
  out: usize,
  w: i32,
  h: i32,
  derive: usize,
  soften: usize,
  r: i32,
  floor: f32,
  plane: usize,
  work: usize,
): void {
  const n = w * h;
  const xx = work;
  const yy = work + plane;
  const xy = work + 2 * plane;
  const room = work + 3 * plane;
  separable(from, xx, w, h, derive, r, soften, r, room);
  separable(from, yy, w, h, soften, r, derive, r, room);
  for (let x: i32 = 0; x < n; x += 4) {
    const at = (<usize>x) << 2;
    const gx = v128.load(xx + at);
    const gy = v128.load(yy + at);
    v128.store(xy + at, f32x4.mul(gx, gy));
    v128.store(xx + at, f32x4.mul(gx, gx));
    v128.store(yy + at, f32x4.mul(gy, gy));
  }
  // Running means of 5 and 3 px, as one kernel, make a window of sigma 1.6.
  const window = room;
  for (let k: i32 = 0; k < 7; k++) store<f32>(window + ((<usize>k) << 2), <f32>min(3, min(k + 1, 7 - k)) / 15);
  for (let k: usize = 0; k < 3; k++) {
    separable(work + k * plane, out, w, h, window, 3, window, 3, room + 64);
    memory.copy(work + k * plane, out, plane);
  }
  const zero = f32x4.splat(0);
  for (let x: i32 = 0; x < n; x += 4) {
    const at = (<usize>x) << 2;
    const a = v128.load(xx + at);
    const b = v128.load(yy + at);
    const c2 = f32x4.mul(v128.load(xy + at), f32x4.splat(2));
    const energy = f32x4.add(a, b);
    const over = f32x4.sub(energy, f32x4.splat(floor));
    const counts = f32x4.gt(over, zero);
    const difference = f32x4.sub(a, b);
    const size = f32x4.sqrt(f32x4.add(f32x4.mul(difference, difference), f32x4.mul(c2, c2)));
    const weight = v128.and(f32x4.div(f32x4.mul(f32x4.sqrt(f32x4.max(over, zero)), size), f32x4.max(energy, f32x4.splat(1e-30))), counts);
    // Gradient angle with y down; the stroke runs square to it, and the viewer's angle turns the other way.
    let seen = f32x4.sub(f32x4.splat(90), f32x4.mul(arcTangent(c2, difference), f32x4.splat(28.64789)));
    seen = v128.bitselect(f32x4.sub(seen, f32x4.splat(180)), seen, f32x4.ge(seen, f32x4.splat(180)));
    const part = f32x4.div(weight, f32x4.max(size, f32x4.splat(1e-30)));
    v128.store(out + at, v128.and(seen, counts));
    v128.store(out + plane + at, weight);
    v128.store(out + 2 * plane + at, f32x4.neg(f32x4.mul(part, difference)));
    v128.store(out + 3 * plane + at, f32x4.mul(part, c2));
  }
}

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

/** Value of a table with linear steps between, at t of 0–1 over `last` steps; clamped. */
function tabled(table: usize, t: f32, last: f32): f32 {
  const at = min(max(t, <f32>0), <f32>1) * last;
  const low = <i32>at;
  const a = load<f32>(table + ((<usize>low) << 2));
  return a + (at - <f32>low) * (load<f32>(table + ((<usize>(low + 1)) << 2)) - a);
}

/**
 * Distance in Lab of each pixel of an sRGB picture from one colour. `linear` is the table of 256 bytes' linear light,
 * `cube` Lab's curve in 4096 steps with one to spare.
 */
export function departure(rgb: usize, to: usize, n: i32, linear: usize, cube: usize, L: f32, a: f32, b: f32): void {
  for (let i: i32 = 0; i < n; i++) {
    const at = rgb + <usize>(3 * i);
    const red = load<f32>(linear + ((<usize>load<u8>(at)) << 2));
    const green = load<f32>(linear + ((<usize>load<u8>(at + 1)) << 2));
    const blue = load<f32>(linear + ((<usize>load<u8>(at + 2)) << 2));
    const fx = tabled(
      cube,
      <f32>(0.4123907993 / 0.9504559271) * red + <f32>(0.3575843394 / 0.9504559271) * green + <f32>(0.1804807884 / 0.9504559271) * blue,
      4096,
    );
    const fy = tabled(cube, <f32>0.2126390059 * red + <f32>0.7151686788 * green + <f32>0.0721923154 * blue, 4096);
    const fz = tabled(
      cube,
      <f32>(0.0193308187 / 1.0890577508) * red + <f32>(0.1191947798 / 1.0890577508) * green + <f32>(0.9505321522 / 1.0890577508) * blue,
      4096,
    );
    const dL = <f32>116 * fy - <f32>16 - L;
    const da = <f32>500 * (fx - fy) - a;
    const db = <f32>200 * (fy - fz) - b;
    store<f32>(to + ((<usize>i) << 2), Mathf.sqrt(dL * dL + da * da + db * db));
  }
}

/**
 * One row of an area-mean reduction: `count` source rows of sRGB bytes, weighted, summed into `sums` (3 · stride/3 floats of
 * linear light), then along the row into `row` (3 · width floats). `firsts` and `lengths` say from which source pixel each
 * result pixel takes how many, `weights` their shares.
 */
export function gather(
  rgb: usize,
  stride: usize,
  count: i32,
  rowWeights: usize,
  sums: usize,
  row: usize,
  width: i32,
  firsts: usize,
  lengths: usize,
  weights: usize,
  linear: usize,
): void {
  memory.fill(sums, 0, stride << 2);
  for (let k: i32 = 0; k < count; k++) {
    const share = load<f32>(rowWeights + ((<usize>k) << 2));
    const base = rgb + stride * <usize>k;
    for (let i: usize = 0; i < stride; i++) {
      const to = sums + (i << 2);
      store<f32>(to, load<f32>(to) + share * load<f32>(linear + ((<usize>load<u8>(base + i)) << 2)));
    }
  }
  let weight = weights;
  for (let x: i32 = 0; x < width; x++) {
    let at = sums + <usize>(12 * load<i32>(firsts + ((<usize>x) << 2)));
    const length = load<i32>(lengths + ((<usize>x) << 2));
    let sum = f32x4.splat(0);
    for (let j: i32 = 0; j < length; j++) {
      sum = f32x4.add(sum, f32x4.mul(v128.load32_splat(weight), v128.load(at)));
      at += 12;
      weight += 4;
    }
    // The fourth number is the next pixel's and is written over by it.
    v128.store(row + ((<usize>(3 * x)) << 2), sum);
  }
}
