/** Comparing what points look like. */

/** Squared distance of two forms of `length` bytes, a multiple of 16. */
function apartBy(a: usize, b: usize, length: i32): i32 {
  let sum = i32x4.splat(0);
  for (let k: usize = 0; k < <usize>length; k += 16) {
    const p = v128.load(a + k);
    const q = v128.load(b + k);
    const low = i16x8.sub(i16x8.extend_low_i8x16_u(p), i16x8.extend_low_i8x16_u(q));
    const high = i16x8.sub(i16x8.extend_high_i8x16_u(p), i16x8.extend_high_i8x16_u(q));
    sum = i32x4.add(sum, i32x4.add(i32x4.dot_i16x8_s(low, low), i32x4.dot_i16x8_s(high, high)));
  }
  return i32x4.extract_lane(sum, 0) + i32x4.extract_lane(sum, 1) + i32x4.extract_lane(sum, 2) + i32x4.extract_lane(sum, 3);
}

/**
 * For each of `na` forms the number of the nearest of `nb` others (−1 for none), its squared distance, and that of the nearest rival:
 * one that lies more than `near` from it (`places`: x and y of each other, doubles); the largest integer where there is none.
 */
export function nearestForms(a: usize, na: i32, b: usize, places: usize, nb: i32, length: i32, near: f64, to: usize): void {
  for (let i: i32 = 0; i < na; i++) {
    let best = i32.MAX_VALUE;
    let second = i32.MAX_VALUE;
    let found: i32 = -1;
    for (let j: i32 = 0; j < nb; j++) {
      const d = apartBy(a + <usize>(i * length), b + <usize>(j * length), length);
      if (d >= second) continue;
      let rival = true;
      if (found >= 0) {
        const dx = load<f64>(places + ((<usize>found) << 4)) - load<f64>(places + ((<usize>j) << 4));
        const dy = load<f64>(places + ((<usize>found) << 4) + 8) - load<f64>(places + ((<usize>j) << 4) + 8);
        rival = dx * dx + dy * dy > near * near;
      }
      if (d < best) {
        if (rival) second = best;
        best = d;
        found = j;
      } else if (rival) second = d;
    }
    const out = to + <usize>(i * 12);
    store<i32>(out, found);
    store<i32>(out + 4, best);
    store<i32>(out + 8, second);
  }
}
