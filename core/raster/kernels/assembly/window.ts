/** Sums over the planes and masks of one window, and its planes seen another way. */
import { lanesOf, largestOf, number, sumOf, within } from './lanes';

/** Set px round one of a mask; it lies off the frame. */
function setAround(p: usize, w: i32): i32 {
  const up = p - <usize>w;
  const down = p + <usize>w;
  return (
    <i32>load<u8>(up - 1) +
    <i32>load<u8>(up) +
    <i32>load<u8>(up + 1) +
    <i32>load<u8>(p - 1) +
    <i32>load<u8>(p + 1) +
    <i32>load<u8>(down - 1) +
    <i32>load<u8>(down) +
    <i32>load<u8>(down + 1)
  );
}

/**
 * What lies inside a rectangle, fourteen doubles at `to`: px marked; px of line and how far they and the rest depart; px of centre lines, free
 * ends and forks among them; sums and squares of the tone, of which every fourth px of every fourth row is there, and of the texture; the
 * steepest rise; how many px of tone there are; and how many px are `covered` (all where it is 0).
 */
export function pieceSums(
  marked: usize,
  lines: usize,
  centre: usize,
  depart: usize,
  tone: usize,
  texture: usize,
  rises: usize,
  covered: usize,
  w: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  to: usize,
): void {
  let marks: i32 = 0;
  let inside: i32 = 0;
  let area: i32 = 0;
  let skeleton: i32 = 0;
  let ends: i32 = 0;
  let forks: i32 = 0;
  let lineDepart: f64 = 0;
  let allDepart: f64 = 0;
  let textureSum: f64 = 0;
  let textureSquare: f64 = 0;
  const zero = f32x4.splat(0);
  let steepest = zero;
  for (let y = y0; y < y0 + rh; y++) {
    let onLines = zero;
    let all = zero;
    let sums = zero;
    let squares = zero;
    for (let x = x0; x < x0 + rw; x += 4) {
      const p = <usize>(y * w + x);
      const at = p << 2;
      const left = x0 + rw - x;
      const bytes: u32 = left < 4 ? (1 << (8 * left)) - 1 : 0xffffffff;
      const counts = within(x, x0, x0 + rw);
      marks += popcnt(load<u32>(marked + p) & bytes);
      if (covered) inside += popcnt(load<u32>(covered + p) & bytes);
      const lined = load<u32>(lines + p) & bytes;
      const v = v128.and(v128.load(depart + at), counts);
      all = f32x4.add(all, v);
      if (lined) {
        area += popcnt(lined);
        onLines = f32x4.add(onLines, v128.and(v, lanesOf(v128.load32_zero(lines + p))));
        // Centre lines are part of the lines, and keep off the frame.
        for (let k: i32 = 0; k < min(4, left); k++) {
          if (!load<u8>(centre + p + k)) continue;
          skeleton++;
          const around = setAround(centre + p + k, w);
          if (around == 1) ends++;
          else if (around > 2) forks++;
        }
      }
      const f = v128.and(v128.load(texture + at), counts);
      sums = f32x4.add(sums, f);
      squares = f32x4.add(squares, f32x4.mul(f, f));
      steepest = f32x4.pmax(steepest, v128.and(v128.load(rises + at), counts));
    }
    lineDepart += sumOf(onLines);
    allDepart += sumOf(all);
    textureSum += sumOf(sums);
    textureSquare += sumOf(squares);
  }
  let tones: i32 = 0;
  let toneSum: f64 = 0;
  let toneSquare: f64 = 0;
  const wide = (w + 3) >> 2;
  for (let y = (y0 + 3) >> 2; y < (y0 + rh + 3) >> 2; y++)
    for (let x = (x0 + 3) >> 2; x < (x0 + rw + 3) >> 2; x++, tones++) {
      const t = <f64>number(tone, y * wide + x);
      toneSum += t;
      toneSquare += t * t;
    }
  store<f64>(to, <f64>marks);
  store<f64>(to + 8, <f64>area);
  store<f64>(to + 16, lineDepart);
  store<f64>(to + 24, allDepart - lineDepart);
  store<f64>(to + 32, <f64>skeleton);
  store<f64>(to + 40, <f64>ends);
  store<f64>(to + 48, <f64>forks);
  store<f64>(to + 56, toneSum);
  store<f64>(to + 64, toneSquare);
  store<f64>(to + 72, textureSum);
  store<f64>(to + 80, textureSquare);
  store<f64>(to + 88, <f64>largestOf(steepest));
  store<f64>(to + 96, <f64>tones);
  store<f64>(to + 104, <f64>(covered ? inside : rw * rh));
}

/** Squares of what lies between four softnesses, three doubles at `to`, over the px at least `aside` from every line; gives their number. */
export function besideLines(lines: usize, a: usize, b: usize, c: usize, d: usize, w: i32, h: i32, aside: i32, to: usize): i32 {
  let pixels: i32 = 0;
  let fine: f64 = 0;
  let middle: f64 = 0;
  let broad: f64 = 0;
  const near = <usize>aside;
  const far = <usize>(aside * w);
  for (let y = aside; y < h - aside; y++)
    for (let i = y * w + aside, end = y * w + w - aside; i < end; i++) {
      const p = lines + <usize>i;
      if (load<u8>(p) | load<u8>(p - near) | load<u8>(p + near) | load<u8>(p - far) | load<u8>(p + far)) continue;
      pixels++;
      const u = number(a, i) - number(b, i);
      const v = number(b, i) - number(c, i);
      const x = number(c, i) - number(d, i);
      fine += <f64>(u * u);
      middle += <f64>(v * v);
      broad += <f64>(x * x);
    }
  store<f64>(to, fine);
  store<f64>(to + 8, middle);
  store<f64>(to + 16, broad);
  return pixels;
}

/** Four numbers of a plane of rw × rh px, `row` bytes a row, at the places x and y, bilinear. */
function between(from: usize, row: i32, rw: i32, rh: i32, x: v128, y: v128): v128 {
  const zero = i32x4.splat(0);
  const left = i32x4.max_s(zero, i32x4.min_s(i32x4.trunc_sat_f32x4_s(x), i32x4.splat(rw - 2)));
  const top = i32x4.max_s(zero, i32x4.min_s(i32x4.trunc_sat_f32x4_s(y), i32x4.splat(rh - 2)));
  const at = i32x4.add(i32x4.mul(top, i32x4.splat(row)), i32x4.shl(left, 2));
  const a = from + <usize>i32x4.extract_lane(at, 0);
  const b = from + <usize>i32x4.extract_lane(at, 1);
  const c = from + <usize>i32x4.extract_lane(at, 2);
  const d = from + <usize>i32x4.extract_lane(at, 3);
  const down = <usize>row;
  const ab = v128.load64_lane(b, v128.load64_zero(a), 1);
  const cd = v128.load64_lane(d, v128.load64_zero(c), 1);
  const ef = v128.load64_lane(b + down, v128.load64_zero(a + down), 1);
  const gh = v128.load64_lane(d + down, v128.load64_zero(c + down), 1);
  const p = v128.shuffle<f32>(ab, cd, 0, 2, 4, 6);
  const q = v128.shuffle<f32>(ab, cd, 1, 3, 5, 7);
  const r = v128.shuffle<f32>(ef, gh, 0, 2, 4, 6);
  const s = v128.shuffle<f32>(ef, gh, 1, 3, 5, 7);
  const fx = f32x4.sub(x, f32x4.convert_i32x4_s(left));
  const fy = f32x4.sub(y, f32x4.convert_i32x4_s(top));
  const upper = f32x4.add(p, f32x4.mul(f32x4.sub(q, p), fx));
  const lower = f32x4.add(r, f32x4.mul(f32x4.sub(s, r), fx));
  return f32x4.add(upper, f32x4.mul(f32x4.sub(lower, upper), fy));
}

/**
 * Sums of `wide` px along the rows of a rectangle of a plane `w` px wide, turned into `long` × `across` px about its middle by bilinear
 * interpolation; c and s turn it. Strip by strip one sum for each of the `across` rows, no number where the strip leaves the rectangle.
 */
export function strips(
  from: usize,
  w: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  to: usize,
  long: i32,
  across: i32,
  wide: i32,
  c: f64,
  s: f64,
): void {
  const corner = from + ((<usize>(y0 * w + x0)) << 2);
  const right = <f64>(rw - 1);
  const bottom = <f64>(rh - 1);
  const steps = f32x4(0, 1, 2, 3);
  const along = f32x4.mul(steps, f32x4.splat(<f32>c));
  const down = f32x4.mul(steps, f32x4.splat(<f32>s));
  const most = f32x4.splat(<f32>wide);
  let out = to;
  for (let u: i32 = 0; u + wide <= long; u += wide)
    for (let v: i32 = 0; v < across; v++, out += 4) {
      const du = <f64>u - <f64>(long - 1) / 2;
      const dv = <f64>v - <f64>(across - 1) / 2;
      const x = right / 2 + du * c - dv * s;
      const y = bottom / 2 + du * s + dv * c;
      const endX = x + <f64>(wide - 1) * c;
      const endY = y + <f64>(wide - 1) * s;
      if (min(x, endX) < 0 || min(y, endY) < 0 || max(x, endX) > right || max(y, endY) > bottom) {
        store<f32>(out, <f32>NaN);
        continue;
      }
      let sum = f32x4.splat(0);
      for (let k: i32 = 0; k < wide; k += 4) {
        const xs = f32x4.add(f32x4.splat(<f32>(x + <f64>k * c)), along);
        const ys = f32x4.add(f32x4.splat(<f32>(y + <f64>k * s)), down);
        const counts = f32x4.lt(f32x4.add(f32x4.splat(<f32>k), steps), most);
        sum = f32x4.add(sum, v128.and(between(corner, w << 2, rw, rh, xs, ys), counts));
      }
      store<f32>(out, f32x4.extract_lane(sum, 0) + f32x4.extract_lane(sum, 1) + (f32x4.extract_lane(sum, 2) + f32x4.extract_lane(sum, 3)));
    }
}

/**
 * How far each px of a plane is under both of two px on opposite sides of it, the most over `count` such pairs (`pairs` are steps from one
 * to the other side, whole numbers), where it is at least 1.5 under `around`; 0 elsewhere and within `reach` of the frame.
 */
export function depth(from: usize, around: usize, to: usize, w: i32, h: i32, reach: i32, pairs: usize, count: i32): void {
  memory.fill(to, 0, (<usize>(w * h)) << 2);
  for (let y = reach; y < h - reach; y++) {
    for (let x = reach; x < w - reach; x += 4) {
      const at = (<usize>(y * w + x)) << 2;
      const value = v128.load(from + at);
      const under = f32x4.le(value, f32x4.sub(v128.load(around + at), f32x4.splat(1.5)));
      if (!v128.any_true(under)) continue;
      let most = f32x4.splat(0);
      for (let k: i32 = 0; k < count; k++) {
        const step = (<usize>load<i32>(pairs + ((<usize>k) << 2))) << 2;
        most = f32x4.pmax(most, f32x4.sub(f32x4.pmin(v128.load(from + at + step), v128.load(from + at - step)), value));
      }
      v128.store(to + at, v128.and(most, under));
    }
    // What was written into the margin.
    for (let x = w - reach; x < w; x++) store<f32>(to + ((<usize>(y * w + x)) << 2), 0);
  }
}
