/** Sums over the planes of a close-up: how a piece of a picture is built up, at one softness or between two. */
import { lanesOf, number, sumOf, within } from './lanes';

/** Four bytes, `stride` apart. */
function takeBytes(at: usize, stride: i32): v128 {
  let v = v128.load8_lane(at, i32x4.splat(0), 0);
  v = v128.load8_lane(at + <usize>stride, v, 1);
  v = v128.load8_lane(at + <usize>(2 * stride), v, 2);
  return v128.load8_lane(at + <usize>(3 * stride), v, 3);
}

/** Every second px of every second row, the first ones among them. */
export function halved(from: usize, w: i32, h: i32, to: usize): void {
  const width = (w + 1) >> 1;
  for (let y: i32 = 0; y < h; y += 2) {
    const row = from + ((<usize>(y * w)) << 2);
    const out = to + ((<usize>((y >> 1) * width)) << 2);
    // What is written past the end of a row is written over by the next.
    for (let x: i32 = 0; x < width; x += 4) {
      const at = row + ((<usize>x) << 3);
      v128.store(out + ((<usize>x) << 2), v128.shuffle<f32>(v128.load(at), v128.load(at + 16), 0, 2, 4, 6));
    }
  }
}

/** Rise of a colour, units a px, by differences over two px; the outermost px rise like their neighbours. */
export function rise(L: usize, a: usize, b: usize, to: usize, w: i32, h: i32): void {
  const row: usize = (<usize>w) << 2;
  for (let y: i32 = 1; y < h - 1; y++)
    for (let x: i32 = 1; x < w - 1; x += 4) {
      const at = (<usize>(y * w + x)) << 2;
      const lx = f32x4.sub(v128.load(L + at + 4), v128.load(L + at - 4));
      const ly = f32x4.sub(v128.load(L + at + row), v128.load(L + at - row));
      const ax = f32x4.sub(v128.load(a + at + 4), v128.load(a + at - 4));
      const ay = f32x4.sub(v128.load(a + at + row), v128.load(a + at - row));
      const bx = f32x4.sub(v128.load(b + at + 4), v128.load(b + at - 4));
      const by = f32x4.sub(v128.load(b + at + row), v128.load(b + at - row));
      const across = f32x4.add(f32x4.add(f32x4.mul(lx, lx), f32x4.mul(ax, ax)), f32x4.mul(bx, bx));
      const down = f32x4.add(f32x4.add(f32x4.mul(ly, ly), f32x4.mul(ay, ay)), f32x4.mul(by, by));
      v128.store(to + at, f32x4.mul(f32x4.sqrt(f32x4.add(across, down)), f32x4.splat(0.5)));
    }
  if (w < 3 || h < 3) {
    memory.fill(to, 0, row * <usize>h);
    return;
  }
  for (let y: i32 = 1; y < h - 1; y++) {
    const at = to + row * <usize>y;
    store<f32>(at, load<f32>(at + 4));
    store<f32>(at + row - 4, load<f32>(at + row - 8));
  }
  memory.copy(to, to + row, row);
  memory.copy(to + row * <usize>(h - 1), to + row * <usize>(h - 2), row);
}

/**
 * Inside a rectangle, over the px that `only` marks (all where it is 0), with differences to the px beside: their number; squared rise of the
 * colour and of L*; squared curvature of L* that is dark ridges, light ridges, dark dots, light dots and saddles; the doubled-angle tensor, and
 * its lengths by neighbourhoods of 8 px. The planes hold every `every`th px of what the mask, `wide` px wide, is of; where they hold all, every
 * second row says enough.
 */
export function sizeSums(
  L: usize,
  a: usize,
  b: usize,
  w: i32,
  h: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  every: i32,
  only: usize,
  wide: i32,
  to: usize,
): void {
  const side: i32 = 8;
  const skip: i32 = every > 1 ? 1 : 2;
  const down = (<usize>w) << 2;
  const quarter = f32x4.splat(0.25);
  const half = f32x4.splat(0.5);
  const steep = f32x4.splat(2.5);
  const zero = f32x4.splat(0);
  const low = max(x0, 1);
  const high = min(x0 + rw, w - 1);
  let energy: f64 = 0;
  let count: f64 = 0;
  let slope: f64 = 0;
  let darkRidge: f64 = 0;
  let lightRidge: f64 = 0;
  let darkDot: f64 = 0;
  let lightDot: f64 = 0;
  let saddle: f64 = 0;
  let c: f64 = 0;
  let s: f64 = 0;
  let along: f64 = 0;
  for (let top = y0; top < y0 + rh; top += side)
    for (let left = x0; left < x0 + rw; left += side) {
      let energies = zero;
      let slopes = zero;
      let dr = zero;
      let lr = zero;
      let dd = zero;
      let ld = zero;
      let sa = zero;
      let ps = zero;
      let qs = zero;
      for (let y = top; y < min(top + side, y0 + rh); y += skip) {
        if (y < 1 || y >= h - 1) continue;
        for (let x = left; x < left + side; x += 4) {
          let counts = within(x, low, high);
          if (only) counts = v128.and(counts, lanesOf(takeBytes(only + <usize>(every * (y * wide + x)), every)));
          if (!v128.any_true(counts)) continue;
          count += <f64>popcnt(i32x4.bitmask(counts));
          const at = (<usize>(y * w + x)) << 2;
          const l0 = v128.load(L + at - 4);
          const l1 = v128.load(L + at + 4);
          const l2 = v128.load(L + at - down);
          const l3 = v128.load(L + at + down);
          const lx = f32x4.sub(l1, l0);
          const ly = f32x4.sub(l3, l2);
          const ax = f32x4.sub(v128.load(a + at + 4), v128.load(a + at - 4));
          const ay = f32x4.sub(v128.load(a + at + down), v128.load(a + at - down));
          const bx = f32x4.sub(v128.load(b + at + 4), v128.load(b + at - 4));
          const by = f32x4.sub(v128.load(b + at + down), v128.load(b + at - down));
          const lxx = f32x4.mul(lx, lx);
          const lyy = f32x4.mul(ly, ly);
          const xx = f32x4.add(f32x4.add(lxx, f32x4.mul(ax, ax)), f32x4.mul(bx, bx));
          const yy = f32x4.add(f32x4.add(lyy, f32x4.mul(ay, ay)), f32x4.mul(by, by));
          const xy = f32x4.add(f32x4.add(f32x4.mul(lx, ly), f32x4.mul(ax, ay)), f32x4.mul(bx, by));
          energies = f32x4.add(energies, v128.and(f32x4.add(xx, yy), counts));
          slopes = f32x4.add(slopes, v128.and(f32x4.add(lxx, lyy), counts));
          ps = f32x4.add(ps, v128.and(f32x4.sub(xx, yy), counts));
          qs = f32x4.add(qs, v128.and(f32x4.add(xy, xy), counts));
          const here = v128.load(L + at);
          const twice = f32x4.add(here, here);
          const hxx = f32x4.sub(f32x4.add(l1, l0), twice);
          const hyy = f32x4.sub(f32x4.add(l3, l2), twice);
          const hxy = f32x4.mul(
            f32x4.sub(
              f32x4.add(v128.load(L + at + down + 4), v128.load(L + at - down - 4)),
              f32x4.add(v128.load(L + at + 4 - down), v128.load(L + at + down - 4)),
            ),
            quarter,
          );
          const mid = f32x4.mul(f32x4.add(hxx, hyy), half);
          const off = f32x4.mul(f32x4.sub(hxx, hyy), half);
          const root = f32x4.sqrt(f32x4.add(f32x4.mul(off, off), f32x4.mul(hxy, hxy)));
          const most = f32x4.add(mid, root);
          const least = f32x4.sub(mid, root);
          const size = v128.and(f32x4.add(f32x4.mul(most, most), f32x4.mul(least, least)), counts);
          const isDark = f32x4.gt(most, f32x4.mul(steep, f32x4.abs(least)));
          const isLight = v128.andnot(f32x4.gt(f32x4.neg(least), f32x4.mul(steep, f32x4.abs(most))), isDark);
          const rest = v128.not(v128.or(isDark, isLight));
          const isDarkDot = v128.and(f32x4.gt(least, zero), rest);
          const isLightDot = v128.and(f32x4.lt(most, zero), rest);
          dr = f32x4.add(dr, v128.and(size, isDark));
          lr = f32x4.add(lr, v128.and(size, isLight));
          dd = f32x4.add(dd, v128.and(size, isDarkDot));
          ld = f32x4.add(ld, v128.and(size, isLightDot));
          sa = f32x4.add(sa, v128.andnot(v128.and(size, rest), v128.or(isDarkDot, isLightDot)));
        }
      }
      const p = sumOf(ps);
      const q = sumOf(qs);
      energy += sumOf(energies);
      slope += sumOf(slopes);
      darkRidge += sumOf(dr);
      lightRidge += sumOf(lr);
      darkDot += sumOf(dd);
      lightDot += sumOf(ld);
      saddle += sumOf(sa);
      c += p;
      s += q;
      along += Math.sqrt(p * p + q * q);
    }
  store<f64>(to, count);
  store<f64>(to + 8, energy);
  store<f64>(to + 16, slope);
  store<f64>(to + 24, darkRidge);
  store<f64>(to + 32, lightRidge);
  store<f64>(to + 40, darkDot);
  store<f64>(to + 48, lightDot);
  store<f64>(to + 56, saddle);
  store<f64>(to + 64, c);
  store<f64>(to + 72, s);
  store<f64>(to + 80, along);
}

/**
 * What lies between two softnesses inside a rectangle, over the px that `only` marks (all where it is 0): their number, squares and cubes of the
 * difference in L*, and squares of those in a* and b* (0 where `colour` is not set). The planes hold px as those of `sizeSums` do.
 */
export function bandSums(
  l: usize,
  m: usize,
  a: usize,
  c: usize,
  b: usize,
  d: usize,
  colour: bool,
  w: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  every: i32,
  only: usize,
  wide: i32,
  to: usize,
): void {
  let met = i32x4.splat(0);
  let square: f64 = 0;
  let cube: f64 = 0;
  let hue: f64 = 0;
  const zero = f32x4.splat(0);
  for (let y = y0; y < y0 + rh; y++) {
    let squares = zero;
    let cubes = zero;
    let hues = zero;
    for (let x = x0; x < x0 + rw; x += 4) {
      const i = <usize>(y * w + x);
      let counts = x + 4 > x0 + rw ? within(x, x0, x0 + rw) : i32x4.splat(-1);
      if (only) counts = v128.and(counts, lanesOf(takeBytes(only + <usize>(every * (y * wide + x)), every)));
      if (!v128.any_true(counts)) continue;
      met = i32x4.sub(met, counts);
      const at = i << 2;
      const off = v128.and(f32x4.sub(v128.load(l + at), v128.load(m + at)), counts);
      const squared = f32x4.mul(off, off);
      squares = f32x4.add(squares, squared);
      cubes = f32x4.add(cubes, f32x4.mul(squared, off));
      if (!colour) continue;
      const da = v128.and(f32x4.sub(v128.load(a + at), v128.load(c + at)), counts);
      const db = v128.and(f32x4.sub(v128.load(b + at), v128.load(d + at)), counts);
      hues = f32x4.add(hues, f32x4.add(f32x4.mul(da, da), f32x4.mul(db, db)));
    }
    square += sumOf(squares);
    cube += sumOf(cubes);
    hue += sumOf(hues);
  }
  const count = i32x4.extract_lane(met, 0) + i32x4.extract_lane(met, 1) + i32x4.extract_lane(met, 2) + i32x4.extract_lane(met, 3);
  store<f64>(to, <f64>count);
  store<f64>(to + 8, square);
  store<f64>(to + 16, cube);
  store<f64>(to + 24, hue);
}

let square: f64 = 0;
let total: f64 = 0;
let middling: f64 = 0;
let long: f64 = 0;

function endRun(run: i32): void {
  square += <f64>run * <f64>run;
  total += <f64>run;
  if (run >= 12) middling += <f64>run;
  if (run >= 40) long += <f64>run;
}

/** Lines from one along which runs are looked for to the next. */
const LINES: i32 = 4;

/** Runs of numbers under `most` along every so manyth of `lines` lines, each of n numbers `step` apart; gives how many were looked at. */
function runsAlong(from: usize, only: usize, first: i32, lines: i32, between: i32, n: i32, step: i32, most: f32): i32 {
  let looked: i32 = 0;
  for (let line: i32 = 0; line < lines; line += LINES) {
    let run: i32 = 0;
    let i = first + line * between;
    for (let k: i32 = 0; k < n; k++, i += step) {
      if (only && !load<u8>(only + <usize>i)) {
        if (run) endRun(run);
        run = 0;
        continue;
      }
      looked++;
      if (load<f32>(from + ((<usize>i) << 2)) < most) run++;
      else if (run) {
        endRun(run);
        run = 0;
      }
    }
    if (run) endRun(run);
  }
  return looked;
}

/**
 * Runs of px that rise by less than `most` along every fourth row and column of a rectangle: number of px looked at; their lengths
 * squared, all of them, and those in runs of at least 12 and 40 px.
 */
export function runSums(from: usize, only: usize, w: i32, x0: i32, y0: i32, rw: i32, rh: i32, most: f32, to: usize): void {
  square = 0;
  total = 0;
  middling = 0;
  long = 0;
  const first = y0 * w + x0;
  let looked = runsAlong(from, only, first, rh, w, rw, 1, most);
  looked += runsAlong(from, only, first, rw, 1, rh, w, most);
  store<f64>(to, <f64>looked);
  store<f64>(to + 8, square);
  store<f64>(to + 16, total);
  store<f64>(to + 24, middling);
  store<f64>(to + 32, long);
}

function near(v: f32): i32 {
  return <i32>Mathf.floor(v + 0.5);
}

/**
 * Steps between tones inside a rectangle, looked for at every second px of every second row, and what lies up to `reach` px to their
 * sides: number of px looked at, of crests, their summed height and rim, and how many are the sides of a dark line, and even on both sides.
 */
export function borderSums(
  L: usize,
  rises: usize,
  only: usize,
  w: i32,
  h: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  reach: i32,
  least: f32,
  to: usize,
): void {
  let looked: i32 = 0;
  let n: i32 = 0;
  let outlined: i32 = 0;
  let even: i32 = 0;
  let tall: f64 = 0;
  let rim: f64 = 0;
  const far = <f32>reach;
  for (let y = max(y0, 1); y < min(y0 + rh, h - 1); y += 2)
    for (let x = max(x0, 1); x < min(x0 + rw, w - 1); x += 2) {
      const i = y * w + x;
      if (only && !load<u8>(only + <usize>i)) continue;
      looked++;
      const own = number(rises, i);
      if (own < least) continue;
      const dx = number(L, i + 1) - number(L, i - 1);
      const dy = number(L, i + w) - number(L, i - w);
      const steep = Mathf.sqrt(dx * dx + dy * dy);
      if (steep < least) continue;
      const ux = dx / steep;
      const uy = dy / steep;
      const fx = <f32>x;
      const fy = <f32>y;
      const left = near(fx - far * ux);
      const top = near(fy - far * uy);
      const right = near(fx + far * ux);
      const bottom = near(fy + far * uy);
      if (min(min(left, right), min(top, bottom)) < 0 || max(left, right) >= w || max(top, bottom) >= h) continue;
      if (number(rises, near(fy - 1.5 * uy) * w + near(fx - 1.5 * ux)) > own) continue;
      if (number(rises, near(fy + 1.5 * uy) * w + near(fx + 1.5 * ux)) > own) continue;
      const dark = number(L, near(fy - 4 * uy) * w + near(fx - 4 * ux));
      const light = number(L, near(fy + 4 * uy) * w + near(fx + 4 * ux));
      const step = light - dark;
      if (step < 2) continue;
      const d2 = number(L, top * w + left);
      const l2 = number(L, bottom * w + right);
      const d1 = number(L, near(fy - (far - 2) * uy) * w + near(fx - (far - 2) * ux));
      const l1 = number(L, near(fy + (far - 2) * uy) * w + near(fx + (far - 2) * ux));
      n++;
      tall += <f64>step;
      const deep = (d1 + d2) / 2;
      rim += <f64>max(<f32>-1, min(<f32>1, (deep - dark) / step));
      if (deep - dark > 0.5 * step) outlined++;
      if (
        Mathf.abs(d1 - d2) < 1 &&
        Mathf.abs(l1 - l2) < 1 &&
        number(rises, top * w + left) < 0.5 &&
        number(rises, bottom * w + right) < 0.5
      )
        even++;
    }
  store<f64>(to, <f64>looked);
  store<f64>(to + 8, <f64>n);
  store<f64>(to + 16, tall);
  store<f64>(to + 24, rim);
  store<f64>(to + 32, <f64>outlined);
  store<f64>(to + 40, <f64>even);
}

const TAN_22: f32 = 0.41421356;
const TAN_67: f32 = 2.41421356;

function nearest(v: v128): v128 {
  return i32x4.trunc_sat_f32x4_s(f32x4.floor(f32x4.add(v, f32x4.splat(0.5))));
}

/** How far four px stand out, dark or light, from both of two px at two steps to opposite sides of them, the most over four ways. */
function outstanding(at: usize, down: usize, here: v128): v128 {
  const far = down << 1;
  const a = v128.load(at + 8);
  const b = v128.load(at - 8);
  const c = v128.load(at + far);
  const d = v128.load(at - far);
  const e = v128.load(at + far + 8);
  const f = v128.load(at - far - 8);
  const g = v128.load(at + far - 8);
  const h = v128.load(at - far + 8);
  const high = f32x4.pmax(f32x4.pmax(f32x4.pmin(a, b), f32x4.pmin(c, d)), f32x4.pmax(f32x4.pmin(e, f), f32x4.pmin(g, h)));
  const low = f32x4.pmin(f32x4.pmin(f32x4.pmax(a, b), f32x4.pmax(c, d)), f32x4.pmin(f32x4.pmax(e, f), f32x4.pmax(g, h)));
  return f32x4.pmax(f32x4.sub(high, here), f32x4.sub(here, low));
}

/**
 * Crests of dark and light ridges of L* (Steger 1998), looked for with differences over `step` px: `strength` is how far a px stands out
 * from the farther of its sides (under 0 for light ones, 0 under `faint`), `crest` marks those that stand out most across, where `taken` is
 * not set. `way` is room for a byte a px, `found` for a whole number a px: there the crests' px numbers are left, in rows; gives how many.
 * `room` takes two fours of whole numbers.
 */
function crests(
  L: usize,
  w: i32,
  h: i32,
  step: i32,
  faint: f32,
  taken: usize,
  strength: usize,
  crest: usize,
  way: usize,
  found: usize,
  room: usize,
): i32 {
  const n = w * h;
  memory.fill(strength, 0, (<usize>n) << 2);
  memory.fill(crest, 0, <usize>n);
  const reach = 2 * step;
  const beside = (<usize>step) << 2;
  const down = (<usize>(step * w)) << 2;
  const zero = f32x4.splat(0);
  const one = f32x4.splat(1);
  const half = f32x4.splat(0.5);
  let stood: i32 = 0;
  for (let y = reach; y < h - reach; y++)
    for (let x = reach; x < w - reach; x += 4) {
      const at = L + ((<usize>(y * w + x)) << 2);
      const here = v128.load(at);
      const twice = f32x4.add(here, here);
      const hxxs = f32x4.sub(f32x4.add(v128.load(at + beside), v128.load(at - beside)), twice);
      const hyys = f32x4.sub(f32x4.add(v128.load(at + down), v128.load(at - down)), twice);
      const hxys = f32x4.mul(
        f32x4.sub(
          f32x4.add(v128.load(at + down + beside), v128.load(at - down - beside)),
          f32x4.add(v128.load(at + down - beside), v128.load(at - down + beside)),
        ),
        f32x4.splat(0.25),
      );
      const bend = f32x4.add(f32x4.add(f32x4.abs(hxxs), f32x4.abs(hyys)), f32x4.mul(f32x4.abs(hxys), f32x4.splat(2)));
      if (!v128.any_true(f32x4.ge(bend, f32x4.splat(faint)))) continue;
      // Where it is looked for in the eight ways there are, it must stand out along one of them.
      if (step == 1 && !v128.any_true(f32x4.ge(outstanding(at, down, here), f32x4.splat(faint)))) continue;
      // Of the others many still bend too little, or both ways.
      const mids = f32x4.mul(f32x4.add(hxxs, hyys), half);
      const offs = f32x4.mul(f32x4.sub(hxxs, hyys), half);
      const roots = f32x4.sqrt(f32x4.add(f32x4.mul(offs, offs), f32x4.mul(hxys, hxys)));
      const larger = f32x4.add(f32x4.abs(mids), roots);
      const smaller = f32x4.abs(f32x4.sub(f32x4.abs(mids), roots));
      const stands = v128.and(f32x4.ge(larger, f32x4.splat(faint)), f32x4.le(smaller, f32x4.mul(larger, f32x4.splat(0.6))));
      const bent = i32x4.bitmask(v128.and(stands, within(x, reach, w - reach)));
      if (!bent) continue;
      // Across the ridge: eigenvector of the larger curvature, by half angles; right and up or down.
      const dark = f32x4.gt(mids, zero);
      const c = v128.bitselect(f32x4.div(offs, f32x4.pmax(roots, f32x4.splat(1e-30))), one, f32x4.gt(roots, zero));
      const long = f32x4.sqrt(f32x4.mul(f32x4.add(one, c), half));
      const short = f32x4.sqrt(f32x4.mul(f32x4.pmax(zero, f32x4.sub(one, c)), half));
      const leans = f32x4.lt(hxys, zero);
      const ux = v128.bitselect(long, short, dark);
      const amount = v128.bitselect(short, long, dark);
      // Up or down as the curvatures along both axes mix; a light ridge lies square to where a dark one would.
      const uy = v128.bitselect(f32x4.neg(amount), amount, v128.not(v128.xor(dark, leans)));
      const length = f32x4.splat(<f32>step);
      const across = i32x4.add(i32x4.mul(nearest(f32x4.mul(uy, length)), i32x4.splat(w)), nearest(f32x4.mul(ux, length)));
      // Which neighbour lies across: beside, below right, below, above right.
      const flat = f32x4.lt(amount, f32x4.mul(f32x4.splat(TAN_22), ux));
      const steep = f32x4.gt(amount, f32x4.mul(f32x4.splat(TAN_67), ux));
      const slanted = v128.bitselect(i32x4.splat(1), i32x4.splat(3), f32x4.gt(uy, zero));
      v128.store(room, across);
      v128.store(room + 16, v128.andnot(v128.bitselect(i32x4.splat(2), slanted, steep), flat));
      const darks = i32x4.bitmask(dark);
      for (let k: i32 = 0; k < 4; k++) {
        if (!(bent & (1 << k))) continue;
        const i = y * w + x + k;
        const lane = room + ((<usize>k) << 2);
        const far = i + 2 * load<i32>(lane);
        const back = i - 2 * load<i32>(lane);
        if (far < 0 || back < 0 || far >= n || back >= n) continue;
        const middle = number(L, i);
        // A true line stands out from both its sides.
        const isDark = darks & (1 << k);
        const sides = isDark ? min(number(L, far), number(L, back)) - middle : middle - max(number(L, far), number(L, back));
        if (sides < faint) continue;
        store<f32>(strength + ((<usize>i) << 2), isDark ? sides : -sides);
        store<u8>(way + <usize>i, <u8>load<i32>(lane + 16));
        store<i32>(found + ((<usize>stood) << 2), i);
        stood++;
      }
    }
  let kept: i32 = 0;
  for (let k: i32 = 0; k < stood; k++) {
    const i = load<i32>(found + ((<usize>k) << 2));
    if (load<u8>(taken + <usize>i)) continue;
    const which = load<u8>(way + <usize>i);
    const j: i32 = which == 0 ? 1 : which == 1 ? w + 1 : which == 2 ? w : 1 - w;
    const s = Mathf.abs(number(strength, i));
    if (s < Mathf.abs(number(strength, i + j)) || s <= Mathf.abs(number(strength, i - j))) continue;
    store<u8>(crest + <usize>i, 1);
    store<i32>(found + ((<usize>kept) << 2), i);
    kept++;
  }
  return kept;
}

/** Steps to the eight neighbours, one after another round a px. */
function stepX(k: i32): i32 {
  return k == 2 || k == 6 ? 0 : k > 2 && k < 6 ? -1 : 1;
}

function stepY(k: i32): i32 {
  return k == 0 || k == 4 ? 0 : k < 4 ? 1 : -1;
}

const DIAGONAL: f64 = 1.4142135623730951;
/** What one px straight ahead is worth against height, L*. */
const AHEAD: f64 = 6;

/** Follows crests of one sign from a px on, each once: their px numbers to `to`; gives how many. */
function walk(from: i32, sign: f64, crest: usize, strength: usize, w: i32, to: usize): i32 {
  let here = from;
  let lx: f64 = 0;
  let ly: f64 = 0;
  let n: i32 = 0;
  while (true) {
    let next: i32 = -1;
    let best: f64 = -Infinity;
    for (let k: i32 = 0; k < 8; k++) {
      const q = here + stepY(k) * w + stepX(k);
      if (!load<u8>(crest + <usize>q)) continue;
      const high = <f64>number(strength, q) * sign;
      if (high <= 0) continue;
      const ahead = (<f64>stepX(k) * lx + <f64>stepY(k) * ly) / (k & 1 ? DIAGONAL : 1);
      if (n > 2 && ahead < 0) continue;
      const worth = ahead * AHEAD + high;
      if (worth > best) {
        best = worth;
        next = k;
      }
    }
    if (next < 0) break;
    here += stepY(next) * w + stepX(next);
    store<u8>(crest + <usize>here, 0);
    lx = 0.7 * lx + 0.3 * <f64>stepX(next);
    ly = 0.7 * ly + 0.3 * <f64>stepY(next);
    store<i32>(to + ((<usize>n) << 2), here);
    n++;
  }
  return n;
}

/** Marks what lies within `margin` px of a chain: all round its first px, and of each next one the sides it moved toward. */
function take(taken: usize, points: usize, count: i32, w: i32, h: i32, margin: i32): void {
  let px: i32 = -2;
  let py: i32 = -2;
  for (let n: i32 = 0; n < count; n++) {
    const p = load<i32>(points + ((<usize>n) << 2));
    const y = p / w;
    const x = p - y * w;
    const left = max(0, x - margin);
    const right = min(w - 1, x + margin);
    const near = abs(x - px) <= 1 && abs(y - py) <= 1;
    for (let j = max(0, y - margin); j <= min(h - 1, y + margin); j++) {
      // Rows that the one before covered but for one px at a side.
      if (!near || abs(j - py) > margin) memory.fill(taken + <usize>(j * w + left), 1, <usize>(right - left + 1));
      else if (x != px) store<u8>(taken + <usize>(j * w + (x > px ? right : left)), 1);
    }
    px = x;
    py = y;
  }
}

/**
 * Ridges of L*: chains of crests of one sign and at least `least` px, from one of at least `clear` both ways along the faint (hysteresis, Canny
 * 1986), which take what lies within `margin` px of them. Room for a whole number a px at `found` and at `points`, where the chains' px numbers
 * are left one after another; at `chains`, of which two doubles each say where one ends and its mean strength; gives how many.
 */
export function ridges(
  L: usize,
  w: i32,
  h: i32,
  step: i32,
  faint: f32,
  clear: f32,
  least: i32,
  margin: i32,
  taken: usize,
  strength: usize,
  crest: usize,
  way: usize,
  found: usize,
  points: usize,
  chains: usize,
): i32 {
  // Where chains come to lie nothing lies yet.
  const kept = crests(L, w, h, step, faint, taken, strength, crest, way, found, points);
  let count: i32 = 0;
  let end: i32 = 0;
  for (let k: i32 = 0; k < kept; k++) {
    const i = load<i32>(found + ((<usize>k) << 2));
    const own = number(strength, i);
    if (!load<u8>(crest + <usize>i) || Mathf.abs(own) < clear) continue;
    store<u8>(crest + <usize>i, 0);
    const sign: f64 = own > 0 ? 1 : -1;
    const first = points + ((<usize>end) << 2);
    const back = walk(i, sign, crest, strength, w, first);
    store<i32>(first + ((<usize>back) << 2), i);
    // The way back turned round, then the first, then the way on.
    for (let a: i32 = 0, b = back - 1; a < b; a++, b--) {
      const p = first + ((<usize>a) << 2);
      const q = first + ((<usize>b) << 2);
      const there = load<i32>(p);
      store<i32>(p, load<i32>(q));
      store<i32>(q, there);
    }
    const n = back + 1 + walk(i, sign, crest, strength, w, first + ((<usize>(back + 1)) << 2));
    if (n < least) continue;
    let sum: f64 = 0;
    for (let j: i32 = 0; j < n; j++) sum += <f64>number(strength, load<i32>(first + ((<usize>j) << 2)));
    take(taken, first, n, w, h, margin);
    end += n;
    store<f64>(chains + ((<usize>count) << 4), <f64>end);
    store<f64>(chains + ((<usize>count) << 4) + 8, sum / <f64>n);
    count++;
  }
  return count;
}

/** How many of the marked px (of all n where `only` is 0) are under `most`; and how many are marked. */
export function countUnder(from: usize, only: usize, n: i32, most: f32, to: usize): void {
  let marked: i32 = 0;
  let under: i32 = 0;
  for (let i: i32 = 0; i < n; i++) {
    if (only && !load<u8>(only + <usize>i)) continue;
    marked++;
    if (number(from, i) < most) under++;
  }
  store<f64>(to, <f64>marked);
  store<f64>(to + 8, <f64>under);
}
