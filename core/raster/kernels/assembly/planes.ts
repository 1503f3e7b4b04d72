/** What is made of whole planes, to the last digit as double numbers give it: area means, counts in bins, lengths of pairs. */
import { lightAt } from './colour';

function firstTwo(at: usize): v128 {
  return f64x2.promote_low_f32x4(v128.load64_zero(at));
}

/**
 * Area means of a plane `w` px wide as a smaller one. `firsts` and `counts` say from which px each of its columns takes how many, `shares` with
 * which weights; the same of rows. `sums` holds w doubles.
 */
export function reduced(
  from: usize,
  w: i32,
  to: usize,
  width: i32,
  height: i32,
  firsts: usize,
  counts: usize,
  shares: usize,
  rowFirsts: usize,
  rowCounts: usize,
  rowShares: usize,
  sums: usize,
): void {
  let rowShare = rowShares;
  let out = to;
  for (let y: i32 = 0; y < height; y++) {
    memory.fill(sums, 0, (<usize>w) << 3);
    const count = load<i32>(rowCounts + ((<usize>y) << 2));
    let line = from + ((<usize>(load<i32>(rowFirsts + ((<usize>y) << 2)) * w)) << 2);
    for (let k: i32 = 0; k < count; k++) {
      const share = <f64>load<f32>(rowShare);
      const both = f64x2.splat(share);
      let x: i32 = 0;
      for (; x + 2 <= w; x += 2) {
        const at = sums + ((<usize>x) << 3);
        v128.store(at, f64x2.add(v128.load(at), f64x2.mul(both, firstTwo(line + ((<usize>x) << 2)))));
      }
      if (x < w) {
        const at = sums + ((<usize>x) << 3);
        store<f64>(at, load<f64>(at) + share * <f64>load<f32>(line + ((<usize>x) << 2)));
      }
      rowShare += 4;
      line += (<usize>w) << 2;
    }
    let share = shares;
    for (let x: i32 = 0; x < width; x++) {
      const first = load<i32>(firsts + ((<usize>x) << 2));
      const many = load<i32>(counts + ((<usize>x) << 2));
      let sum: f64 = 0;
      for (let i: i32 = 0; i < many; i++) {
        sum += <f64>load<f32>(share) * load<f64>(sums + ((<usize>(first + i)) << 3));
        share += 4;
      }
      store<f32>(out, <f32>sum);
      out += 4;
    }
  }
}

/** How many of n numbers lie in each of some bins of one size, `scale` of them a unit from `low` on; what lies outside is in the end ones. */
export function binned(from: usize, n: i32, low: f64, scale: f64, bins: i32, to: usize): void {
  memory.fill(to, 0, (<usize>bins) << 2);
  for (let i: i32 = 0; i < n; i++) {
    const at = (<f64>load<f32>(from + ((<usize>i) << 2)) - low) * scale;
    const bin = at < 0 ? 0 : at < <f64>bins ? <i32>at : bins - 1;
    const count = to + ((<usize>bin) << 2);
    store<i32>(count, load<i32>(count) + 1);
  }
}

/** Lengths of n pairs of numbers. */
export function lengths(a: usize, b: usize, to: usize, n: i32): void {
  for (let i: i32 = 0; i < n; i += 2) {
    const at = (<usize>i) << 2;
    const p = firstTwo(a + at);
    const q = firstTwo(b + at);
    v128.store64_lane(to + at, f32x4.demote_f64x2_zero(f64x2.sqrt(f64x2.add(f64x2.mul(p, p), f64x2.mul(q, q)))), 0);
  }
}

/** In which of the steps that end at `ends` (`count` of them, rising; the last has no end) each of n numbers lies; writes up to three bytes past the end. */
export function steps(from: usize, n: i32, ends: usize, count: i32, to: usize): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const v = v128.load(from + ((<usize>i) << 2));
    let step = i32x4.splat(0);
    for (let k: i32 = 0; k < count; k++) step = i32x4.sub(step, f32x4.ge(v, v128.load32_splat(ends + ((<usize>k) << 2))));
    const halves = i16x8.narrow_i32x4_u(step, step);
    v128.store32_lane(to + <usize>i, i8x16.narrow_i16x8_u(halves, halves), 0);
  }
}

/** Weighted sums of the linear light of n px of sRGB bytes. */
export function luminance(rgb: usize, n: i32, linear: usize, red: f64, green: f64, blue: f64, to: usize): void {
  for (let i: i32 = 0; i < n; i++) {
    const at = rgb + <usize>(3 * i);
    const sum = red * <f64>lightAt(at, linear) + green * <f64>lightAt(at + 1, linear) + blue * <f64>lightAt(at + 2, linear);
    store<f32>(to + ((<usize>i) << 2), <f32>sum);
  }
}

/**
 * Numbers the colours of n px of sRGB bytes, of 5 bits a channel, in the order in which they are met, and gives how many there are. At `sums` five
 * doubles of each: px, their `weights`, and the three channels' linear light. `index` is each px's number, −1 where `leftOut` (0 for none) is set;
 * `slots` holds 32768 whole numbers.
 */
export function colours(rgb: usize, n: i32, weights: usize, leftOut: usize, linear: usize, slots: usize, sums: usize, index: usize): i32 {
  memory.fill(slots, 255, 131072);
  let count: i32 = 0;
  for (let i: i32 = 0; i < n; i++) {
    const to = index + ((<usize>i) << 2);
    if (leftOut && load<u8>(leftOut + <usize>i)) {
      store<i32>(to, -1);
      continue;
    }
    const at = rgb + <usize>(3 * i);
    const fives = (((<usize>load<u8>(at)) >> 3) << 10) | (((<usize>load<u8>(at + 1)) >> 3) << 5) | ((<usize>load<u8>(at + 2)) >> 3);
    const slot = slots + (fives << 2);
    let k = load<i32>(slot);
    if (k < 0) {
      k = count++;
      store<i32>(slot, k);
      memory.fill(sums + <usize>(40 * k), 0, 40);
    }
    const own = sums + <usize>(40 * k);
    store<f64>(own, load<f64>(own) + 1);
    store<f64>(own + 8, load<f64>(own + 8) + <f64>load<f32>(weights + ((<usize>i) << 2)));
    store<f64>(own + 16, load<f64>(own + 16) + <f64>lightAt(at, linear));
    store<f64>(own + 24, load<f64>(own + 24) + <f64>lightAt(at + 1, linear));
    store<f64>(own + 32, load<f64>(own + 32) + <f64>lightAt(at + 2, linear));
    store<i32>(to, k);
  }
  return count;
}

/**
 * Weighted sums down the columns of a plane of n rows of w numbers: row i of m is the sum of `count` rows from `firsts[i]` on (the outermost ones
 * stand for what is not there) by `weights`, each sum rounded as it grows.
 */
export function weighed(from: usize, w: i32, n: i32, to: usize, m: i32, firsts: usize, weights: usize, count: i32): void {
  const row = (<usize>w) << 2;
  memory.fill(to, 0, row * <usize>m);
  for (let i: i32 = 0; i < m; i++) {
    const first = load<i32>(firsts + ((<usize>i) << 2));
    const out = to + row * <usize>i;
    for (let k: i32 = 0; k < count; k++) {
      const weight = <f64>load<f32>(weights + ((<usize>(i * count + k)) << 2));
      if (weight == 0) continue;
      const line = from + row * <usize>min(n - 1, max(0, first + k));
      const both = f64x2.splat(weight);
      let x: usize = 0;
      for (; x + 8 <= row; x += 8) {
        const sum = f64x2.add(firstTwo(out + x), f64x2.mul(both, firstTwo(line + x)));
        v128.store64_lane(out + x, f32x4.demote_f64x2_zero(sum), 0);
      }
      if (x < row) store<f32>(out + x, <f32>(<f64>load<f32>(out + x) + weight * <f64>load<f32>(line + x)));
    }
  }
}
