/** Convolutions, running means, and largest and smallest values round each pixel: four pixels at a time. */

/** to[i] = Σ kernel[k] · from[i + k·step], i below n, k below taps; step in bytes between taps. */
function convolve(from: usize, step: usize, to: usize, n: i32, kernel: usize, taps: i32): void {
  let x: i32 = 0;
  // A sum waits for itself; four side by side do not.
  for (; x + 16 <= n; x += 16) {
    let at = from + ((<usize>x) << 2);
    let s0 = f32x4.splat(0);
    let s1 = s0;
    let s2 = s0;
    let s3 = s0;
    for (let k: i32 = 0; k < taps; k++) {
      const weight = v128.load32_splat(kernel + ((<usize>k) << 2));
      s0 = f32x4.add(s0, f32x4.mul(v128.load(at), weight));
      s1 = f32x4.add(s1, f32x4.mul(v128.load(at + 16), weight));
      s2 = f32x4.add(s2, f32x4.mul(v128.load(at + 32), weight));
      s3 = f32x4.add(s3, f32x4.mul(v128.load(at + 48), weight));
      at += step;
    }
    const out = to + ((<usize>x) << 2);
    v128.store(out, s0);
    v128.store(out + 16, s1);
    v128.store(out + 32, s2);
    v128.store(out + 48, s3);
  }
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

/** Running means along one padded row of n + 2r numbers. */
function boxRow(line: usize, out: usize, n: i32, r: i32, scale: f64): void {
  let sum: f64 = 0;
  for (let k: i32 = 0; k < 2 * r; k++) sum += load<f32>(line + ((<usize>k) << 2));
  const ahead: usize = (<usize>(2 * r)) << 2;
  for (let x: i32 = 0; x < n; x++) {
    const at = line + ((<usize>x) << 2);
    sum += load<f32>(at + ahead);
    store<f32>(out + ((<usize>x) << 2), <f32>(sum * scale));
    sum -= load<f32>(at);
  }
}

/** The same along four rows at once, each `row` bytes after the last, and their padded copies `line` bytes: one sum waits for itself, four do not. */
function boxRows(lines: usize, line: usize, out: usize, row: usize, n: i32, r: i32, scale: f64): void {
  let s0: f64 = 0;
  let s1: f64 = 0;
  let s2: f64 = 0;
  let s3: f64 = 0;
  const l1 = lines + line;
  const l2 = l1 + line;
  const l3 = l2 + line;
  for (let k: i32 = 0; k < 2 * r; k++) {
    const at = (<usize>k) << 2;
    s0 += load<f32>(lines + at);
    s1 += load<f32>(l1 + at);
    s2 += load<f32>(l2 + at);
    s3 += load<f32>(l3 + at);
  }
  const ahead: usize = (<usize>(2 * r)) << 2;
  for (let x: i32 = 0; x < n; x++) {
    const at = (<usize>x) << 2;
    s0 += load<f32>(lines + at + ahead);
    s1 += load<f32>(l1 + at + ahead);
    s2 += load<f32>(l2 + at + ahead);
    s3 += load<f32>(l3 + at + ahead);
    store<f32>(out + at, <f32>(s0 * scale));
    store<f32>(out + row + at, <f32>(s1 * scale));
    store<f32>(out + 2 * row + at, <f32>(s2 * scale));
    store<f32>(out + 3 * row + at, <f32>(s3 * scale));
    s0 -= load<f32>(lines + at);
    s1 -= load<f32>(l1 + at);
    s2 -= load<f32>(l2 + at);
    s3 -= load<f32>(l3 + at);
  }
}

/**
 * Running means of 2r + 1 px along rows, then down columns, edges repeated; `to` may be `from`. `work` holds
 * w · h + 4 · (w + 2r) numbers and w doubles.
 */
export function box(from: usize, to: usize, w: i32, h: i32, r: i32, work: usize): void {
  const row: usize = (<usize>w) << 2;
  const lines = work + row * <usize>h;
  const line: usize = (<usize>(w + 2 * r)) << 2;
  const sums = (lines + 4 * line + 15) & ~15;
  const scale: f64 = 1.0 / <f64>(2 * r + 1);
  let done: i32 = 0;
  for (; done + 4 <= h; done += 4) {
    for (let k: usize = 0; k < 4; k++) padRow(from + row * (<usize>done + k), lines + k * line, w, r);
    boxRows(lines, line, work + row * <usize>done, row, w, r, scale);
  }
  for (; done < h; done++) {
    padRow(from + row * <usize>done, lines, w, r);
    boxRow(lines, work + row * <usize>done, w, r, scale);
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

/** Three running means one after another; `work` as for `box` with the largest of the radii. */
export function boxes(from: usize, to: usize, w: i32, h: i32, r0: i32, r1: i32, r2: i32, work: usize): void {
  box(from, to, w, h, r0, work);
  box(to, to, w, h, r1, work);
  box(to, to, w, h, r2, work);
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
