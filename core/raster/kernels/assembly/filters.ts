/** Convolutions, running means, and largest and smallest values round each pixel: four pixels at a time. */
import { largestOf } from './lanes';

/** Four fours of numbers, one after another. */
function storeFour(to: usize, a: v128, b: v128, c: v128, d: v128): void {
  v128.store(to, a);
  v128.store(to + 16, b);
  v128.store(to + 32, c);
  v128.store(to + 48, d);
}

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
    storeFour(to + ((<usize>x) << 2), s0, s1, s2, s3);
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

/** What stands equally far to both sides, together: their sum, or, where T is signed, what the second has more. */
function both<T>(before: v128, after: v128): v128 {
  return isSigned<T>() ? f32x4.sub(after, before) : f32x4.add(after, before);
}

/**
 * The same with a kernel of 2r + 1 taps that is even about its middle, where `from` points, or odd where T is signed (so a loop is compiled
 * for each): what stands equally far to both sides is weighed together.
 */
function convolveFolded<T>(from: usize, step: usize, to: usize, n: i32, kernel: usize, r: i32): void {
  const last = kernel + ((<usize>(2 * r)) << 2);
  const middle = v128.load32_splat(kernel + ((<usize>r) << 2));
  let x: i32 = 0;
  for (; x + 16 <= n; x += 16) {
    const at = from + ((<usize>x) << 2);
    let s0 = f32x4.mul(v128.load(at), middle);
    let s1 = f32x4.mul(v128.load(at + 16), middle);
    let s2 = f32x4.mul(v128.load(at + 32), middle);
    let s3 = f32x4.mul(v128.load(at + 48), middle);
    let p = at - <usize>r * step;
    let q = at + <usize>r * step;
    for (let k = last; p < at; k -= 4) {
      const weight = v128.load32_splat(k);
      s0 = f32x4.add(s0, f32x4.mul(both<T>(v128.load(p), v128.load(q)), weight));
      s1 = f32x4.add(s1, f32x4.mul(both<T>(v128.load(p + 16), v128.load(q + 16)), weight));
      s2 = f32x4.add(s2, f32x4.mul(both<T>(v128.load(p + 32), v128.load(q + 32)), weight));
      s3 = f32x4.add(s3, f32x4.mul(both<T>(v128.load(p + 48), v128.load(q + 48)), weight));
      p += step;
      q -= step;
    }
    storeFour(to + ((<usize>x) << 2), s0, s1, s2, s3);
  }
  for (; x + 4 <= n; x += 4) {
    const at = from + ((<usize>x) << 2);
    let sum = f32x4.mul(v128.load(at), middle);
    let p = at - <usize>r * step;
    let q = at + <usize>r * step;
    for (let k = last; p < at; k -= 4) {
      sum = f32x4.add(sum, f32x4.mul(both<T>(v128.load(p), v128.load(q)), v128.load32_splat(k)));
      p += step;
      q -= step;
    }
    v128.store(to + ((<usize>x) << 2), sum);
  }
  for (; x < n; x++) {
    const at = from + ((<usize>x) << 2);
    let sum = load<f32>(at) * load<f32>(kernel + ((<usize>r) << 2));
    for (let j = r; j > 0; j--) {
      const p = load<f32>(at - <usize>j * step);
      const q = load<f32>(at + <usize>j * step);
      sum += (isSigned<T>() ? q - p : q + p) * load<f32>(kernel + ((<usize>(r + j)) << 2));
    }
    store<f32>(to + ((<usize>x) << 2), sum);
  }
}

/** How a kernel is about its middle: 1 even, −1 odd, 0 neither. */
function parity(kernel: usize, r: i32): i32 {
  let even = true;
  let odd = true;
  for (let k: i32 = 0; k < r; k++) {
    const p = load<f32>(kernel + ((<usize>k) << 2));
    const q = load<f32>(kernel + ((<usize>(2 * r - k)) << 2));
    if (p != q) even = false;
    if (p != -q) odd = false;
  }
  return even ? 1 : odd ? -1 : 0;
}

/** Convolves with 2r + 1 taps; `from` is where the first tap of the first number lies. */
function taps(from: usize, step: usize, to: usize, n: i32, kernel: usize, r: i32, parity: i32): void {
  const middle = from + <usize>r * step;
  if (parity > 0) convolveFolded<u32>(middle, step, to, n, kernel, r);
  else if (parity < 0) convolveFolded<i32>(middle, step, to, n, kernel, r);
  else convolve(from, step, to, n, kernel, 2 * r + 1);
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
 * Rows of a w × h plane convolved with one kernel, columns with another, edges repeated; `to` may be `from`.
 * `work` holds w · (h + 2·ry) + w + 2·rx numbers.
 */
export function separable(from: usize, to: usize, w: i32, h: i32, kx: usize, rx: i32, ky: usize, ry: i32, work: usize): void {
  const row: usize = (<usize>w) << 2;
  const line = work + row * <usize>(h + 2 * ry);
  const along = parity(kx, rx);
  const down = parity(ky, ry);
  for (let y: i32 = 0; y < h; y++) {
    padRow(from + row * <usize>y, line, w, rx);
    taps(line, 4, work + row * <usize>(y + ry), w, kx, rx, along);
  }
  for (let k: i32 = 0; k < ry; k++) {
    memory.copy(work + row * <usize>k, work + row * <usize>ry, row);
    memory.copy(work + row * <usize>(h + ry + k), work + row * <usize>(h + ry - 1), row);
  }
  for (let y: i32 = 0; y < h; y++) taps(work + row * <usize>y, row, to + row * <usize>y, w, ky, ry, down);
}

/** The largest of n numbers by amount. */
function largest(from: usize, n: i32): f32 {
  let most = f32x4.splat(0);
  let i: i32 = 0;
  for (; i + 4 <= n; i += 4) most = f32x4.pmax(most, f32x4.abs(v128.load(from + ((<usize>i) << 2))));
  let out = largestOf(most);
  for (; i < n; i++) out = max(out, Mathf.abs(load<f32>(from + ((<usize>i) << 2))));
  return out;
}

/** A number this many times as large as a step, added and taken off again, leaves whole steps: the last place of a 32-bit float. */
const PLACES: f32 = 12582912;

/** The finest step, a power of two, of which sums of so many numbers up to `most` are exact in 32-bit floats. */
function stepFor(most: f32, count: i32): f32 {
  let step: f32 = 1;
  const whole = most * <f32>count;
  while (whole > step * 8388608) step *= 2;
  while (step > 1e-9 && whole < step * 4194304) step /= 2;
  return step;
}

function inSteps(v: v128, places: v128): v128 {
  return f32x4.sub(f32x4.add(v, places), places);
}

/** Running means of 2r + 1 px along four rows at once, px by px the four of them side by side; the r before and after are filled with the ends. */
function rowMeans(from: usize, to: usize, n: i32, r: i32, places: v128): void {
  const first = v128.load(from);
  const last = v128.load(from + ((<usize>(n - 1)) << 4));
  const aside = (<usize>r) << 4;
  for (let k: i32 = 1; k <= r; k++) {
    v128.store(from - ((<usize>k) << 4), first);
    v128.store(from + ((<usize>(n - 1 + k)) << 4), last);
  }
  // One more, which is added past the end and never used.
  v128.store(from + ((<usize>(n + r)) << 4), last);
  const size: i32 = 2 * r + 1;
  const share = f32x4.splat(1 / <f32>size);
  let sum = f32x4.splat(0);
  for (let k: i32 = 0; k < size; k++) sum = f32x4.add(sum, v128.load(from - aside + ((<usize>k) << 4)));
  for (let x: i32 = 0; x < n; x++) {
    const at = (<usize>x) << 4;
    v128.store(to + at, inSteps(f32x4.mul(sum, share), places));
    sum = f32x4.add(sum, f32x4.sub(v128.load(from + at + aside + 16), v128.load(from + at - aside)));
  }
}

/** What a running mean down four columns begins with: the r px before the first (which stand for it) and the first r. */
function begun(from: usize, row: usize, h: i32, r: i32): v128 {
  let sum = f32x4.mul(v128.load(from), f32x4.splat(<f32>r));
  for (let k: i32 = 0; k < r; k++) sum = f32x4.add(sum, v128.load(from + row * <usize>min(h - 1, k)));
  return sum;
}

/** Running means of 2r + 1 px down the columns of a plane: from the last ones to the first, since four at a time may reach into the next row. */
function columnMeans(from: usize, to: usize, w: i32, h: i32, r: i32, places: v128): void {
  const row: usize = (<usize>w) << 2;
  const size: i32 = 2 * r + 1;
  const share = f32x4.splat(1 / <f32>size);
  let x: i32 = (w + 3) & ~3;
  // Sixteen columns stay in registers from the top to the bottom.
  for (; x >= 16; x -= 16) {
    const at = (<usize>(x - 16)) << 2;
    const column = from + at;
    let s0 = begun(column, row, h, r);
    let s1 = begun(column + 16, row, h, r);
    let s2 = begun(column + 32, row, h, r);
    let s3 = begun(column + 48, row, h, r);
    for (let y: i32 = 0; y < h; y++) {
      const add = column + row * <usize>min(h - 1, y + r);
      const drop = column + row * <usize>max(0, y - r);
      const out = to + at + row * <usize>y;
      s0 = f32x4.add(s0, v128.load(add));
      s1 = f32x4.add(s1, v128.load(add + 16));
      s2 = f32x4.add(s2, v128.load(add + 32));
      s3 = f32x4.add(s3, v128.load(add + 48));
      v128.store(out, inSteps(f32x4.mul(s0, share), places));
      v128.store(out + 16, inSteps(f32x4.mul(s1, share), places));
      v128.store(out + 32, inSteps(f32x4.mul(s2, share), places));
      v128.store(out + 48, inSteps(f32x4.mul(s3, share), places));
      s0 = f32x4.sub(s0, v128.load(drop));
      s1 = f32x4.sub(s1, v128.load(drop + 16));
      s2 = f32x4.sub(s2, v128.load(drop + 32));
      s3 = f32x4.sub(s3, v128.load(drop + 48));
    }
  }
  for (; x > 0; x -= 4) {
    const at = (<usize>(x - 4)) << 2;
    const column = from + at;
    let sum = begun(column, row, h, r);
    for (let y: i32 = 0; y < h; y++) {
      sum = f32x4.add(sum, v128.load(column + row * <usize>min(h - 1, y + r)));
      v128.store(to + at + row * <usize>y, inSteps(f32x4.mul(sum, share), places));
      sum = f32x4.sub(sum, v128.load(column + row * <usize>max(0, y - r)));
    }
  }
}

/** Four fours turned: the first numbers of all to `a`, the second to `b`, and so on; `a` last, so that places may be given twice. */
function storeTurned(p: v128, q: v128, r: v128, s: v128, a: usize, b: usize, c: usize, d: usize): void {
  const pq = v128.shuffle<f32>(p, q, 0, 4, 1, 5);
  const rs = v128.shuffle<f32>(r, s, 0, 4, 1, 5);
  const pqs = v128.shuffle<f32>(p, q, 2, 6, 3, 7);
  const rss = v128.shuffle<f32>(r, s, 2, 6, 3, 7);
  v128.store(d, v128.shuffle<f32>(pqs, rss, 2, 3, 6, 7));
  v128.store(c, v128.shuffle<f32>(pqs, rss, 0, 1, 4, 5));
  v128.store(b, v128.shuffle<f32>(pq, rs, 2, 3, 6, 7));
  v128.store(a, v128.shuffle<f32>(pq, rs, 0, 1, 4, 5));
}

/** Four rows of n px, `row` bytes apart, in whole steps, px by px side by side; `rows` of them are there, the last one stands for what is not. */
function laidTogether(from: usize, row: usize, rows: i32, to: usize, n: i32, places: v128): void {
  const b = row * <usize>min(1, rows - 1);
  const c = row * <usize>min(2, rows - 1);
  const d = row * <usize>min(3, rows - 1);
  for (let x: i32 = 0; x < n; x += 4) {
    const at = from + ((<usize>x) << 2);
    const p = inSteps(v128.load(at), places);
    const q = inSteps(v128.load(at + b), places);
    const r = inSteps(v128.load(at + c), places);
    const s = inSteps(v128.load(at + d), places);
    const out = to + ((<usize>x) << 4);
    storeTurned(p, q, r, s, out, out + 16, out + 32, out + 48);
  }
}

/** The same back: `rows` rows of n px. */
function laidApart(from: usize, to: usize, row: usize, rows: i32, n: i32): void {
  const b = row * <usize>min(1, rows - 1);
  const c = row * <usize>min(2, rows - 1);
  const d = row * <usize>min(3, rows - 1);
  let x: i32 = 0;
  for (; x + 4 <= n; x += 4) {
    const at = from + ((<usize>x) << 4);
    const out = to + ((<usize>x) << 2);
    storeTurned(v128.load(at), v128.load(at + 16), v128.load(at + 32), v128.load(at + 48), out, out + b, out + c, out + d);
  }
  for (; x < n; x++)
    for (let k: i32 = 0; k < rows; k++) store<f32>(to + row * <usize>k + ((<usize>x) << 2), load<f32>(from + ((<usize>(4 * x + k)) << 2)));
}

/**
 * Running means of 2r + 1 px along rows and down columns, of three radii one after another (the first alone where `thrice` is not set), edges
 * repeated; `to` may be `from`. Numbers are rounded to steps so fine that 24 bits hold every sum of them: no error runs on, and what is even
 * stays even. `work` holds w · h + 8 · (w + 2r) + 64 numbers.
 */
function means(from: usize, to: usize, w: i32, h: i32, r0: i32, r1: i32, r2: i32, thrice: bool, work: usize): void {
  const n = w * h;
  const row: usize = (<usize>w) << 2;
  const r = thrice ? max(r0, max(r1, r2)) : r0;
  const places = f32x4.splat(PLACES * stepFor(largest(from, n), 2 * r + 1));
  const room = (<usize>(w + 2 * r + 5)) << 4;
  const line = work + (((<usize>n) << 2) + 16) + ((<usize>r) << 4);
  const other = line + room;
  for (let y: i32 = 0; y < h; y += 4) {
    const rows = min(4, h - y);
    laidTogether(from + row * <usize>y, row, rows, line, w, places);
    rowMeans(line, other, w, r0, places);
    if (thrice) {
      rowMeans(other, line, w, r1, places);
      rowMeans(line, other, w, r2, places);
    }
    laidApart(other, work + row * <usize>y, row, rows, w);
  }
  // Nothing is summed over what comes last: it need not be whole steps.
  const asItIs = f32x4.splat(0);
  columnMeans(work, to, w, h, r0, thrice ? places : asItIs);
  if (!thrice) return;
  columnMeans(to, work, w, h, r1, places);
  columnMeans(work, to, w, h, r2, asItIs);
}

/** Running means of 2r + 1 px along rows, then down columns, as in `means`. */
export function box(from: usize, to: usize, w: i32, h: i32, r: i32, work: usize): void {
  means(from, to, w, h, r, 0, 0, false, work);
}

/** Three running means one after another, as in `means`. */
export function boxes(from: usize, to: usize, w: i32, h: i32, r0: i32, r1: i32, r2: i32, work: usize): void {
  means(from, to, w, h, r0, r1, r2, true, work);
}

function further(a: v128, b: v128, low: bool): v128 {
  return low ? f32x4.pmin(a, b) : f32x4.pmax(a, b);
}

/** to[i] = the largest of a[i], b[i] and c[i] (the smallest where `low` is set). */
function extreme(a: usize, b: usize, c: usize, to: usize, n: i32, low: bool): void {
  let x: i32 = 0;
  for (; x + 4 <= n; x += 4) {
    const at = (<usize>x) << 2;
    v128.store(to + at, further(further(v128.load(a + at), v128.load(b + at), low), v128.load(c + at), low));
  }
  for (; x < n; x++) {
    const at = (<usize>x) << 2;
    const p = load<f32>(a + at);
    const q = load<f32>(b + at);
    const r = load<f32>(c + at);
    store<f32>(to + at, low ? min(min(p, q), r) : max(max(p, q), r));
  }
}

/**
 * The largest (or smallest) of `size` numbers from each of n on, `step` numbers apart, to `to`; what lies at `from` is used up. Windows are made of
 * three of a third of their size, the last of three that lap over.
 */
function reached(from: usize, to: usize, n: i32, step: i32, size: i32, low: bool): void {
  const bytes = (<usize>step) << 2;
  let have: i32 = 1;
  for (; 3 * have < size; have *= 3)
    extreme(from, from + <usize>have * bytes, from + <usize>(2 * have) * bytes, from, n + step * (size - 3 * have), low);
  extreme(from, from + <usize>min(have, size - have) * bytes, from + <usize>(size - have) * bytes, to, n, low);
}

/** Largest (or smallest) value in a square of 2r + 1 px round each pixel, edges repeated. `work` as for `separable` with ry = rx = r. */
export function spread(from: usize, to: usize, w: i32, h: i32, r: i32, low: bool, work: usize): void {
  const row: usize = (<usize>w) << 2;
  const line = work + row * <usize>(h + 2 * r);
  for (let y: i32 = 0; y < h; y++) {
    padRow(from + row * <usize>y, line, w, r);
    reached(line, work + row * <usize>(y + r), w, 1, 2 * r + 1, low);
  }
  for (let k: i32 = 0; k < r; k++) {
    memory.copy(work + row * <usize>k, work + row * <usize>r, row);
    memory.copy(work + row * <usize>(h + r + k), work + row * <usize>(h + r - 1), row);
  }
  reached(work, to, w * h, w, 2 * r + 1, low);
}
