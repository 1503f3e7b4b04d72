/** From a photograph to a squared-up sheet: resampled in linear light, then lit evenly and written as bytes. */

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

/** Between the four pixels round a point, `left` and `top` the first of them; edges repeated. */
function bilinear(photo: usize, pw: i32, ph: i32, left: i32, top: i32, fx: f32, fy: f32, linear: usize): v128 {
  const x0 = 3 * within(left, pw);
  const x1 = 3 * within(left + 1, pw);
  const upper = photo + <usize>(3 * pw * within(top, ph));
  const lower = photo + <usize>(3 * pw * within(top + 1, ph));
  const above = f32x4.add(weighted(pixel(upper + <usize>x0, linear), 1 - fx), weighted(pixel(upper + <usize>x1, linear), fx));
  const below = f32x4.add(weighted(pixel(lower + <usize>x0, linear), 1 - fx), weighted(pixel(lower + <usize>x1, linear), fx));
  return f32x4.add(weighted(above, 1 - fy), weighted(below, fy));
}

function row(line: usize, x0: i32, x1: i32, x2: i32, x3: i32, a: f32, b: f32, c: f32, d: f32, linear: usize): v128 {
  const left = f32x4.add(weighted(pixel(line + <usize>x0, linear), a), weighted(pixel(line + <usize>x1, linear), b));
  return f32x4.add(left, f32x4.add(weighted(pixel(line + <usize>x2, linear), c), weighted(pixel(line + <usize>x3, linear), d)));
}

/** Catmull-Rom between the sixteen pixels round a point; edges repeated. */
function bicubic(photo: usize, pw: i32, ph: i32, left: i32, top: i32, fx: f32, fy: f32, linear: usize): v128 {
  const x2 = fx * fx;
  const x3 = x2 * fx;
  const a: f32 = -0.5 * x3 + x2 - 0.5 * fx;
  const b: f32 = 1.5 * x3 - 2.5 * x2 + 1;
  const c: f32 = -1.5 * x3 + 2 * x2 + 0.5 * fx;
  const d: f32 = 0.5 * x3 - 0.5 * x2;
  const c0 = 3 * within(left - 1, pw);
  const c1 = 3 * within(left, pw);
  const c2 = 3 * within(left + 1, pw);
  const c3 = 3 * within(left + 2, pw);
  const y2 = fy * fy;
  const y3 = y2 * fy;
  const stride = 3 * pw;
  let sum = weighted(row(photo + <usize>(stride * within(top - 1, ph)), c0, c1, c2, c3, a, b, c, d, linear), -0.5 * y3 + y2 - 0.5 * fy);
  sum = f32x4.add(
    sum,
    weighted(row(photo + <usize>(stride * within(top, ph)), c0, c1, c2, c3, a, b, c, d, linear), 1.5 * y3 - 2.5 * y2 + 1),
  );
  sum = f32x4.add(
    sum,
    weighted(row(photo + <usize>(stride * within(top + 1, ph)), c0, c1, c2, c3, a, b, c, d, linear), -1.5 * y3 + 2 * y2 + 0.5 * fy),
  );
  return f32x4.add(
    sum,
    weighted(row(photo + <usize>(stride * within(top + 2, ph)), c0, c1, c2, c3, a, b, c, d, linear), 0.5 * y3 - 0.5 * y2),
  );
}

/**
 * `rows` rows of a sheet `w` px wide from row `first` on, three floats of linear light a px: means of n × n samples of a photograph of sRGB
 * bytes, where `h` (nine doubles) takes the sheet's px; bilinear between its pixels, Catmull-Rom where n is 1.
 */
export function squared(photo: usize, pw: i32, ph: i32, to: usize, w: i32, first: i32, rows: i32, n: i32, h: usize, linear: usize): void {
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
  for (let y: i32 = 0; y < rows; y++)
    for (let x: i32 = 0; x < w; x++) {
      let sum = f32x4.splat(0);
      for (let sy: i32 = 0; sy < n; sy++) {
        const v = <f64>(first + y) + (<f64>sy + 0.5) * each;
        for (let sx: i32 = 0; sx < n; sx++) {
          const u = <f64>x + (<f64>sx + 0.5) * each;
          const q = h6 * u + h7 * v + h8;
          const px = (h0 * u + h1 * v + h2) / q - 0.5;
          const py = (h3 * u + h4 * v + h5) / q - 0.5;
          const left = Math.floor(px);
          const top = Math.floor(py);
          const fx = <f32>(px - left);
          const fy = <f32>(py - top);
          sum = f32x4.add(
            sum,
            n > 1
              ? bilinear(photo, pw, ph, <i32>left, <i32>top, fx, fy, linear)
              : bicubic(photo, pw, ph, <i32>left, <i32>top, fx, fy, linear),
          );
        }
      }
      // The fourth number is written over by the next px.
      v128.store(to + <usize>(12 * (y * w + x)), f32x4.mul(sum, share));
    }
}

/**
 * One row of n px of linear light as sRGB bytes, by `encode`, a table of 16385 steps. Each px is multiplied by what lies between the two
 * numbers at `factors` that stand for every eighth px, and each channel by its gain.
 */
export function lit(from: usize, to: usize, n: i32, factors: usize, red: f32, green: f32, blue: f32, encode: usize): void {
  const gains = f32x4(16384 * red, 16384 * green, 16384 * blue, 0);
  const most = f32x4.splat(16384);
  for (let x: i32 = 0; x < n; x++) {
    const at = factors + ((<usize>(x >> 3)) << 2);
    const here = load<f32>(at);
    const factor = here + (load<f32>(at + 4) - here) * (<f32>(x & 7) / 8);
    const light = f32x4.mul(f32x4.mul(v128.load(from + <usize>(12 * x)), gains), f32x4.splat(factor));
    const steps = i32x4.trunc_sat_f32x4_s(f32x4.add(f32x4.max(f32x4.min(light, most), f32x4.splat(0)), f32x4.splat(0.5)));
    const out = to + <usize>(3 * x);
    store<u8>(out, load<u8>(encode + <usize>i32x4.extract_lane(steps, 0)));
    store<u8>(out + 1, load<u8>(encode + <usize>i32x4.extract_lane(steps, 1)));
    store<u8>(out + 2, load<u8>(encode + <usize>i32x4.extract_lane(steps, 2)));
  }
}

/**
 * Rows of w px of sRGB bytes, each px's light multiplied by what lies between the gains (three doubles) that stand for every `every`th px; `knots`
 * of them a row, one more than fit in. `linear` and `encode` are the tables there and back.
 */
export function relit(from: usize, to: usize, w: i32, h: i32, gains: usize, knots: i32, every: i32, linear: usize, encode: usize): void {
  for (let y: i32 = 0; y < h; y++)
    for (let k: i32 = 0; k < knots - 1; k++) {
      const here = gains + <usize>(24 * (y * knots + k));
      const end = min(w, (k + 1) * every);
      for (let c: i32 = 0; c < 3; c++) {
        const gain = load<f64>(here + <usize>(8 * c));
        const more = load<f64>(here + 24 + <usize>(8 * c)) - gain;
        for (let x = k * every; x < end; x++) {
          const at = <usize>(3 * (y * w + x) + c);
          const along = <f64>(x - k * every) / <f64>every;
          const light = <f64>load<f32>(linear + ((<usize>load<u8>(from + at)) << 2)) * (gain + along * more);
          const step = <i32>(max(<f64>0, min(<f64>1, light)) * 16384 + 0.5);
          store<u8>(to + at, load<u8>(encode + <usize>step));
        }
      }
    }
}
