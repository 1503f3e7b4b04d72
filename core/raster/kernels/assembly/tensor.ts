/** The structure tensor and the directions that follow from it. */
import { separable } from './filters';
import { sumOf } from './lanes';

/** Arc tangent of y / x in all four quadrants, radians; polynomial after Abramowitz and Stegun 4.4.49's form, error under 2e-5. */
function arcTangent(y: v128, x: v128): v128 {
  const ax = f32x4.abs(x);
  const ay = f32x4.abs(y);
  const z = f32x4.div(f32x4.pmin(ax, ay), f32x4.pmax(f32x4.pmax(ax, ay), f32x4.splat(1e-30)));
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
  for (let k: usize = 0; k < 3; k++) separable(work + k * plane, work + k * plane, w, h, window, 3, window, 3, room + 64);
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
    const weight = v128.and(f32x4.div(f32x4.mul(f32x4.sqrt(f32x4.pmax(over, zero)), size), f32x4.pmax(energy, f32x4.splat(1e-30))), counts);
    // Gradient angle with y down; the stroke runs square to it, and the viewer's angle turns the other way.
    let seen = f32x4.sub(f32x4.splat(90), f32x4.mul(arcTangent(c2, difference), f32x4.splat(28.64789)));
    seen = v128.bitselect(f32x4.sub(seen, f32x4.splat(180)), seen, f32x4.ge(seen, f32x4.splat(180)));
    const part = f32x4.div(weight, f32x4.pmax(size, f32x4.splat(1e-30)));
    v128.store(out + at, v128.and(seen, counts));
    v128.store(out + plane + at, weight);
    v128.store(out + 2 * plane + at, f32x4.neg(f32x4.mul(part, difference)));
    v128.store(out + 3 * plane + at, f32x4.mul(part, c2));
  }
}

/** Weights of the angles inside a rectangle, added up by whole degrees: 180 doubles at `to`. */
export function density(angle: usize, weight: usize, w: i32, x0: i32, y0: i32, rw: i32, rh: i32, to: usize): void {
  memory.fill(to, 0, 1440);
  for (let y = y0; y < y0 + rh; y++)
    for (let i = y * w + x0, end = i + rw; i < end; i++) {
      const at = (<usize>i) << 2;
      const own = load<f32>(weight + at);
      if (!(own > 0)) continue;
      const bin = to + ((<usize>(<i32>load<f32>(angle + at))) << 3);
      store<f64>(bin, load<f64>(bin) + <f64>own);
    }
}

/** Sums of the doubled angles' cosines and sines and of the weights in `cells` × `cells` parts of a rectangle, three doubles each at `to`, row by row. */
export function turns(weight: usize, cos: usize, sin: usize, w: i32, x0: i32, y0: i32, rw: i32, rh: i32, cells: i32, to: usize): void {
  let out = to;
  for (let cy: i32 = 0; cy < cells; cy++)
    for (let cx: i32 = 0; cx < cells; cx++, out += 24) {
      const left = x0 + (cx * rw) / cells;
      const right = x0 + ((cx + 1) * rw) / cells;
      let c: f64 = 0;
      let s: f64 = 0;
      let total: f64 = 0;
      for (let y = y0 + (cy * rh) / cells; y < y0 + ((cy + 1) * rh) / cells; y++) {
        let cs = f32x4.splat(0);
        let ss = cs;
        let ts = cs;
        let i = y * w + left;
        const end = y * w + right;
        for (; i + 4 <= end; i += 4) {
          const at = (<usize>i) << 2;
          cs = f32x4.add(cs, v128.load(cos + at));
          ss = f32x4.add(ss, v128.load(sin + at));
          ts = f32x4.add(ts, v128.load(weight + at));
        }
        c += sumOf(cs);
        s += sumOf(ss);
        total += sumOf(ts);
        for (; i < end; i++) {
          const at = (<usize>i) << 2;
          c += <f64>load<f32>(cos + at);
          s += <f64>load<f32>(sin + at);
          total += <f64>load<f32>(weight + at);
        }
      }
      store<f64>(out, c);
      store<f64>(out + 8, s);
      store<f64>(out + 16, total);
    }
}

/** Adds what one channel's gradient gives to the colour's tensor (Di Zenzo 1986); the first one begins it. */
export function addGradient(dx: usize, dy: usize, xx: usize, yy: usize, xy: usize, n: i32, first: bool): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const gx = v128.load(dx + at);
    const gy = v128.load(dy + at);
    const a = f32x4.mul(gx, gx);
    const b = f32x4.mul(gy, gy);
    const c = f32x4.mul(gx, gy);
    v128.store(xx + at, first ? a : f32x4.add(v128.load(xx + at), a));
    v128.store(yy + at, first ? b : f32x4.add(v128.load(yy + at), b));
    v128.store(xy + at, first ? c : f32x4.add(v128.load(xy + at), c));
  }
}

/** In place of the tensor: how steep it rises, and the unit normal there (0, 0 where the rise is under `least`), to the right or up and down. */
export function steepest(xx: usize, yy: usize, xy: usize, n: i32, least: f32): void {
  const zero = f32x4.splat(0);
  const one = f32x4.splat(1);
  const half = f32x4.splat(0.5);
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const a = v128.load(xx + at);
    const b = v128.load(yy + at);
    const c = v128.load(xy + at);
    const off = f32x4.mul(f32x4.sub(a, b), half);
    const root = f32x4.sqrt(f32x4.add(f32x4.mul(off, off), f32x4.mul(c, c)));
    const rise = f32x4.sqrt(f32x4.add(f32x4.mul(f32x4.add(a, b), half), root));
    const told = f32x4.ge(rise, f32x4.splat(least));
    const cosine = v128.bitselect(f32x4.div(off, f32x4.pmax(root, f32x4.splat(1e-30))), one, f32x4.gt(root, zero));
    const long = f32x4.sqrt(f32x4.pmax(zero, f32x4.mul(f32x4.add(one, cosine), half)));
    const short = f32x4.sqrt(f32x4.pmax(zero, f32x4.mul(f32x4.sub(one, cosine), half)));
    v128.store(xx + at, rise);
    v128.store(yy + at, v128.and(long, told));
    v128.store(xy + at, v128.and(v128.bitselect(f32x4.neg(short), short, f32x4.lt(c, zero)), told));
  }
}
