/** What is made of whole planes, to the last digit as double numbers give it: area means, counts in bins, lengths of pairs. */

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
