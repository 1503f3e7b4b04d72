/** From a photograph to a squared-up sheet: resampled in linear light, then lit evenly and written as bytes. */
import { lightAt } from './colour';

/** Linear light of one pixel's three channels; the fourth lane is 0. */
function pixel(at: usize, linear: usize): v128 {
  let v = v128.load32_zero(linear + ((<usize>load<u8>(at)) << 2));
  v = v128.load32_lane(linear + ((<usize>load<u8>(at + 1)) << 2), v, 1);
  return v128.load32_lane(linear + ((<usize>load<u8>(at + 2)) << 2), v, 2);
}

function weighted(v: v128, weight: f32): v128 {
  return f32x4.mul(v, f32x4.splat(weight));
}

function within(i: i32, n: i32): i32 {
  return min(n - 1, max(0, i));
}

/** Linear light of a part of a photograph at `to`, four floats a px; past the photograph's edges they are repeated. */
function takeOut(photo: usize, pw: i32, ph: i32, linear: usize, left: i32, top: i32, w: i32, h: i32, to: usize): void {
  let out = to;
  for (let y: i32 = 0; y < h; y++) {
    const line = photo + <usize>(3 * pw * within(top + y, ph));
    for (let x: i32 = 0; x < w; x++, out += 16) v128.store(out, pixel(line + <usize>(3 * within(left + x, pw)), linear));
  }
}

/** Between the four pixels round a point of what was taken out, the first of them at `at`; `row` bytes lie between its rows. */
function bilinear(at: usize, row: usize, fx: f32, fy: f32): v128 {
  const above = f32x4.add(weighted(v128.load(at), 1 - fx), weighted(v128.load(at + 16), fx));
  const below = f32x4.add(weighted(v128.load(at + row), 1 - fx), weighted(v128.load(at + row + 16), fx));
  return f32x4.add(weighted(above, 1 - fy), weighted(below, fy));
}

function alongRow(at: usize, a: f32, b: f32, c: f32, d: f32): v128 {
  const left = f32x4.add(weighted(v128.load(at), a), weighted(v128.load(at + 16), b));
  return f32x4.add(left, f32x4.add(weighted(v128.load(at + 32), c), weighted(v128.load(at + 48), d)));
}

/** Catmull-Rom between the sixteen pixels round a point of what was taken out, the first of them at `at`. */
function bicubic(at: usize, row: usize, fx: f32, fy: f32): v128 {
  const x2 = fx * fx;
  const x3 = x2 * fx;
  const a: f32 = -0.5 * x3 + x2 - 0.5 * fx;
  const b: f32 = 1.5 * x3 - 2.5 * x2 + 1;
  const c: f32 = -1.5 * x3 + 2 * x2 + 0.5 * fx;
  const d: f32 = 0.5 * x3 - 0.5 * x2;
  const y2 = fy * fy;
  const y3 = y2 * fy;
  let sum = weighted(alongRow(at, a, b, c, d), -0.5 * y3 + y2 - 0.5 * fy);
  sum = f32x4.add(sum, weighted(alongRow(at + row, a, b, c, d), 1.5 * y3 - 2.5 * y2 + 1));
  sum = f32x4.add(sum, weighted(alongRow(at + 2 * row, a, b, c, d), -1.5 * y3 + 2 * y2 + 0.5 * fy));
  return f32x4.add(sum, weighted(alongRow(at + 3 * row, a, b, c, d), 0.5 * y3 - 0.5 * y2));
}

/** The first px that a point past px `whole` of the photograph is read from, along one side of n px: beyond its edges all are alike. */
function firstOf(whole: f64, n: i32): i32 {
  return <i32>max(<f64>-4, min(<f64>(n + 1), whole - 1));
}

/** Squares of a sheet that are resampled in one go: of this side, px. */
const SIDE: i32 = 32;

/**
 * `rows` rows of a sheet `w` px wide from row `first` on, three floats of linear light a px: means of n × n samples of a photograph of sRGB
 * bytes, where `h` (nine doubles) takes the sheet's px; bilinear between its pixels, Catmull-Rom where n is 1. `part` holds `room` px, four floats each, of
 * the photograph's light (at least 16): what a square of the sheet lies on is taken out at once where it fits in.
 */
export function squared(
  photo: usize,
  pw: i32,
  ph: i32,
  to: usize,
  w: i32,
  first: i32,
  rows: i32,
  n: i32,
  h: usize,
  linear: usize,
  part: usize,
  room: i32,
): void {
  const h0 = load<f64>(h);
  const h1 = load<f64>(h + 8);
  const h2 = load<f64>(h + 16);
  const h3 = load<f64>(h + 24);
  const h4 = load<f64>(h + 32);
  const h5 = load<f64>(h + 40);
  const h6 = load<f64>(h + 48);
  const h7 = load<f64>(h + 56);
  const h8 = load<f64>(h + 64);
  const each = 1 / <f64>n;
  const share = f32x4.splat(<f32>(each * each));
  for (let up: i32 = 0; up < rows; up += SIDE)
    for (let aside: i32 = 0; aside < w; aside += SIDE) {
      const endX = min(w, aside + SIDE);
      const endY = min(rows, up + SIDE);
      // Straight lines stay straight: what lies in the square lies between its corners' places.
      let left: i32 = i32.MAX_VALUE;
      let top: i32 = i32.MAX_VALUE;
      let right: i32 = i32.MIN_VALUE;
      let bottom: i32 = i32.MIN_VALUE;
      let least: f64 = Infinity;
      let most: f64 = -Infinity;
      for (let k: i32 = 0; k < 4; k++) {
        const u = <f64>(k & 1 ? endX : aside);
        const v = <f64>(first + (k & 2 ? endY : up));
        const q = h6 * u + h7 * v + h8;
        least = min(least, q);
        most = max(most, q);
        const x = firstOf(Math.floor((h0 * u + h1 * v + h2) / q - 0.5), pw);
        const y = firstOf(Math.floor((h3 * u + h4 * v + h5) / q - 0.5), ph);
        left = min(left, x);
        top = min(top, y);
        right = max(right, x);
        bottom = max(bottom, y);
      }
      // A px more on each side, since the samples' places are rounded each by itself.
      left--;
      top--;
      let wide = right - left + 5;
      const high = bottom - top + 5;
      // Not so where the square crosses the horizon.
      const whole = (least > 0 || most < 0) && wide * high <= room;
      if (whole) takeOut(photo, pw, ph, linear, left, top, wide, high, part);
      else wide = 4;
      const row = (<usize>wide) << 4;
      for (let y = up; y < endY; y++)
        for (let x = aside; x < endX; x++) {
          let sum = f32x4.splat(0);
          for (let sy: i32 = 0; sy < n; sy++) {
            const v = <f64>(first + y) + (<f64>sy + 0.5) * each;
            for (let sx: i32 = 0; sx < n; sx++) {
              const u = <f64>x + (<f64>sx + 0.5) * each;
              const far = 1 / (h6 * u + h7 * v + h8);
              const px = (h0 * u + h1 * v + h2) * far - 0.5;
              const py = (h3 * u + h4 * v + h5) * far - 0.5;
              const wholeX = Math.floor(px);
              const wholeY = Math.floor(py);
              const fx = <f32>(px - wholeX);
              const fy = <f32>(py - wholeY);
              const x0 = firstOf(wholeX, pw);
              const y0 = firstOf(wholeY, ph);
              if (!whole) takeOut(photo, pw, ph, linear, x0, y0, 4, 4, part);
              const at = whole ? part + <usize>(((y0 - top) * wide + (x0 - left)) << 4) : part;
              sum = f32x4.add(sum, n > 1 ? bilinear(at + row + 16, row, fx, fy) : bicubic(at, row, fx, fy));
            }
          }
          const out = to + <usize>(12 * (y * w + x));
          const light = f32x4.mul(sum, share);
          // The fourth number is written over by the next px, but at the end of a row.
          if (x + 1 < w) v128.store(out, light);
          else {
            v128.store64_lane(out, light, 0);
            v128.store32_lane(out + 8, light, 2);
          }
        }
    }
}

/**
 * One row of n px of linear light as sRGB bytes, by `encode`, a table of 16385 steps. Each px is multiplied by what lies between the two
 * numbers at `factors` that stand for every eighth px, and each channel by its gain.
 */
export function lit(from: usize, to: usize, n: i32, factors: usize, red: f32, green: f32, blue: f32, encode: usize): void {
  const gains = f32x4(16384 * red, 16384 * green, 16384 * blue, 0);
  const most = f32x4.splat(16384);
  let at = from;
  let out = to;
  for (let left: i32 = 0; left < n; left += 8, factors += 4) {
    const here = load<f32>(factors);
    const more = load<f32>(factors + 4) - here;
    const count = min(8, n - left);
    for (let k: i32 = 0; k < count; k++, at += 12, out += 3) {
      const factor = here + more * (<f32>k * 0.125);
      const light = f32x4.mul(f32x4.mul(v128.load(at), gains), f32x4.splat(factor));
      const steps = i32x4.trunc_sat_f32x4_s(f32x4.add(f32x4.pmax(f32x4.pmin(light, most), f32x4.splat(0)), f32x4.splat(0.5)));
      store<u8>(out, load<u8>(encode + <usize>i32x4.extract_lane(steps, 0)));
      store<u8>(out + 1, load<u8>(encode + <usize>i32x4.extract_lane(steps, 1)));
      store<u8>(out + 2, load<u8>(encode + <usize>i32x4.extract_lane(steps, 2)));
    }
  }
}

/**
 * Rows of w px of sRGB bytes, each px's light multiplied by what lies between the gains (three doubles) that stand for every `every`th px; `knots`
 * of them a row, one more than fit in. `linear` and `encode` are the tables there and back.
 */
export function relit(from: usize, to: usize, w: i32, h: i32, gains: usize, knots: i32, every: i32, linear: usize, encode: usize): void {
  const share = 1 / <f64>every;
  for (let y: i32 = 0; y < h; y++)
    for (let k: i32 = 0; k < knots - 1; k++) {
      const here = gains + <usize>(24 * (y * knots + k));
      const end = min(w, (k + 1) * every);
      for (let c: i32 = 0; c < 3; c++) {
        const gain = load<f64>(here + <usize>(8 * c));
        const more = load<f64>(here + 24 + <usize>(8 * c)) - gain;
        for (let x = k * every; x < end; x++) {
          const at = <usize>(3 * (y * w + x) + c);
          const along = <f64>(x - k * every) * share;
          const light = <f64>lightAt(from + at, linear) * (gain + along * more);
          const step = <i32>(max(<f64>0, min(<f64>1, light)) * 16384 + 0.5);
          store<u8>(to + at, load<u8>(encode + <usize>step));
        }
      }
    }
}
