/** Fours of numbers: taken apart, told by their places, and written as bytes; and single numbers by their place. */

/** Number i of those at an address. */
export function number(from: usize, i: i32): f32 {
  return load<f32>(from + ((<usize>i) << 2));
}

/** The four numbers together. */
export function sumOf(v: v128): f64 {
  return <f64>f32x4.extract_lane(v, 0) + <f64>f32x4.extract_lane(v, 1) + (<f64>f32x4.extract_lane(v, 2) + <f64>f32x4.extract_lane(v, 3));
}

/** The largest of four numbers. */
export function largestOf(v: v128): f32 {
  return max(max(f32x4.extract_lane(v, 0), f32x4.extract_lane(v, 1)), max(f32x4.extract_lane(v, 2), f32x4.extract_lane(v, 3)));
}

/** Which of four px from x on lie from `low` to below `high`. */
export function within(x: i32, low: i32, high: i32): v128 {
  const at = i32x4.add(i32x4.splat(x), i32x4(0, 1, 2, 3));
  return v128.and(i32x4.ge_s(at, i32x4.splat(low)), i32x4.lt_s(at, i32x4.splat(high)));
}

/** Four bytes of 0 or 1 as lanes of no bits or all. */
export function lanesOf(bytes: v128): v128 {
  return i32x4.neg(i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(bytes)));
}

/** Four lanes of no bits or all as bytes of 0 or 1, at `to`; what lies past the end of a row of fours is written over by the next. */
export function storeBits(to: usize, lanes: v128): void {
  const bits = i32x4.bitmask(lanes);
  store<u32>(to, (bits & 1) | ((bits & 2) << 7) | ((bits & 4) << 14) | ((bits & 8) << 21));
}
