/** Sums over the planes of a close-up: how a piece of a picture is built up, at one softness or between two. */

function sumOf(v: v128): f64 {
  return <f64>f32x4.extract_lane(v, 0) + <f64>f32x4.extract_lane(v, 1) + (<f64>f32x4.extract_lane(v, 2) + <f64>f32x4.extract_lane(v, 3));
}

/** Four bytes of 0 or 1 as lanes of no bits or all. */
function lanesOf(bytes: v128): v128 {
  return i32x4.neg(i32x4.extend_low_i16x8_u(i16x8.extend_low_i8x16_u(bytes)));
}

/** Which of four px from x on, `stride` apart, lie from `low` to below `high`. */
function within(x: i32, stride: i32, low: i32, high: i32): v128 {
  const at = i32x4.add(i32x4.splat(x), i32x4.mul(i32x4(0, 1, 2, 3), i32x4.splat(stride)));
  return v128.and(i32x4.ge_s(at, i32x4.splat(low)), i32x4.lt_s(at, i32x4.splat(high)));
}

/** Four numbers 1, 2 or 4 apart, by the size of T: so a loop is compiled for each. */
function take<T>(at: usize): v128 {
  if (sizeof<T>() == 1) return v128.load(at);
  if (sizeof<T>() == 2) return v128.shuffle<f32>(v128.load(at), v128.load(at + 16), 0, 2, 4, 6);
  let v = v128.load32_zero(at);
  v = v128.load32_lane(at + 16, v, 1);
  v = v128.load32_lane(at + 32, v, 2);
  return v128.load32_lane(at + 48, v, 3);
}

function takeBytes(at: usize, stride: i32): v128 {
  let v = v128.load8_lane(at, i32x4.splat(0), 0);
  v = v128.load8_lane(at + <usize>stride, v, 1);
  v = v128.load8_lane(at + <usize>(2 * stride), v, 2);
  return v128.load8_lane(at + <usize>(3 * stride), v, 3);
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

function sizeSumsAt<T>(
  L: usize,
  a: usize,
  b: usize,
  w: i32,
  h: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  step: i32,
  only: usize,
  to: usize,
): void {
  const stride = <i32>sizeof<T>();
  const side = 8 * stride;
  const beside = (<usize>step) << 2;
  const down = (<usize>(step * w)) << 2;
  const quarter = f32x4.splat(0.25);
  const half = f32x4.splat(0.5);
  const steep = f32x4.splat(2.5);
  const zero = f32x4.splat(0);
  const low = max(x0, step);
  const high = min(x0 + rw, w - step);
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
      for (let y = top; y < min(top + side, y0 + rh); y += stride) {
        if (y < step || y >= h - step) continue;
        for (let x = left; x < left + side; x += 4 * stride) {
          let counts = within(x, stride, low, high);
          if (only) counts = v128.and(counts, lanesOf(takeBytes(only + <usize>(y * w + x), stride)));
          if (!v128.any_true(counts)) continue;
          count += <f64>popcnt(i32x4.bitmask(counts));
          const at = (<usize>(y * w + x)) << 2;
          const l0 = take<T>(L + at - beside);
          const l1 = take<T>(L + at + beside);
          const l2 = take<T>(L + at - down);
          const l3 = take<T>(L + at + down);
          const lx = f32x4.sub(l1, l0);
          const ly = f32x4.sub(l3, l2);
          const ax = f32x4.sub(take<T>(a + at + beside), take<T>(a + at - beside));
          const ay = f32x4.sub(take<T>(a + at + down), take<T>(a + at - down));
          const bx = f32x4.sub(take<T>(b + at + beside), take<T>(b + at - beside));
          const by = f32x4.sub(take<T>(b + at + down), take<T>(b + at - down));
          const lxx = f32x4.mul(lx, lx);
          const lyy = f32x4.mul(ly, ly);
          const xx = f32x4.add(f32x4.add(lxx, f32x4.mul(ax, ax)), f32x4.mul(bx, bx));
          const yy = f32x4.add(f32x4.add(lyy, f32x4.mul(ay, ay)), f32x4.mul(by, by));
          const xy = f32x4.add(f32x4.add(f32x4.mul(lx, ly), f32x4.mul(ax, ay)), f32x4.mul(bx, by));
          energies = f32x4.add(energies, v128.and(f32x4.add(xx, yy), counts));
          slopes = f32x4.add(slopes, v128.and(f32x4.add(lxx, lyy), counts));
          ps = f32x4.add(ps, v128.and(f32x4.sub(xx, yy), counts));
          qs = f32x4.add(qs, v128.and(f32x4.add(xy, xy), counts));
          const here = take<T>(L + at);
          const twice = f32x4.add(here, here);
          const hxx = f32x4.sub(f32x4.add(l1, l0), twice);
          const hyy = f32x4.sub(f32x4.add(l3, l2), twice);
          const hxy = f32x4.mul(
            f32x4.sub(
              f32x4.add(take<T>(L + at + down + beside), take<T>(L + at - down - beside)),
              f32x4.add(take<T>(L + at + beside - down), take<T>(L + at + down - beside)),
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
 * Inside a rectangle, over every `stride`th px (1, 2 or 4) of the marked ones (all where `only` is 0), with differences over `step` px to
 * each side: their number; squared rise of the colour and of L*; squared curvature of L* that is dark ridges, light ridges, dark dots,
 * light dots and saddles; the doubled-angle tensor, and its lengths by neighbourhoods of 8 strides.
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
  step: i32,
  stride: i32,
  only: usize,
  to: usize,
): void {
  if (stride == 1) sizeSumsAt<u8>(L, a, b, w, h, x0, y0, rw, rh, step, only, to);
  else if (stride == 2) sizeSumsAt<u16>(L, a, b, w, h, x0, y0, rw, rh, step, only, to);
  else sizeSumsAt<u32>(L, a, b, w, h, x0, y0, rw, rh, step, only, to);
}

/**
 * What lies between two softnesses inside a rectangle, over the marked px (all where `only` is 0): their number, squares and cubes of the
 * difference in L*, and squares of those in a* and b* (0 where `colour` is not set).
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
  only: usize,
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
      let counts = x + 4 > x0 + rw ? within(x, 1, x0, x0 + rw) : i32x4.splat(-1);
      if (only) counts = v128.and(counts, lanesOf(v128.load32_zero(only + i)));
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

/** Runs of numbers under `most` along every second line of `lines`, each of n numbers `step` apart; gives how many were looked at. */
function runsAlong(from: usize, only: usize, first: i32, lines: i32, between: i32, n: i32, step: i32, most: f32): i32 {
  let looked: i32 = 0;
  for (let line: i32 = 0; line < lines; line += 2) {
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
 * Runs of px that rise by less than `most` along every second row and column of a rectangle: number of px looked at; their lengths
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

function number(from: usize, i: i32): f32 {
  return load<f32>(from + ((<usize>i) << 2));
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
/** What is kept to look at px by px lies a little on the safe side of the limits held there. */
const LITTLE: f32 = 0.999;
const LITTLE_MORE: f32 = 0.601;

/**
 * Crests of dark and light ridges of L* (Steger 1998), looked for with differences over `step` px: `strength` is how far a px stands out
 * from the farther of its sides (under 0 for light ones, 0 under `faint`), `crest` marks those that stand out most across, where `taken` is
 * not set. `way` is room for a byte a px.
 */
export function crests(L: usize, w: i32, h: i32, step: i32, faint: f32, taken: usize, strength: usize, crest: usize, way: usize): void {
  const n = w * h;
  memory.fill(strength, 0, (<usize>n) << 2);
  memory.fill(crest, 0, <usize>n);
  const reach = 2 * step;
  const beside = (<usize>step) << 2;
  const down = (<usize>(step * w)) << 2;
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
      // Of the others many still bend too little, or both ways.
      const mids = f32x4.mul(f32x4.add(hxxs, hyys), f32x4.splat(0.5));
      const offs = f32x4.mul(f32x4.sub(hxxs, hyys), f32x4.splat(0.5));
      const roots = f32x4.sqrt(f32x4.add(f32x4.mul(offs, offs), f32x4.mul(hxys, hxys)));
      const larger = f32x4.add(f32x4.abs(mids), roots);
      const smaller = f32x4.abs(f32x4.sub(f32x4.abs(mids), roots));
      const stands = f32x4.ge(larger, f32x4.splat(LITTLE * faint));
      const bent = i32x4.bitmask(v128.and(stands, f32x4.le(smaller, f32x4.mul(larger, f32x4.splat(LITTLE_MORE)))));
      for (let k: i32 = 0; k < 4; k++) {
        if (!(bent & (1 << k)) || x + k >= w - reach) continue;
        const i = y * w + x + k;
        const middle = number(L, i);
        const hxx = number(L, i + step) + number(L, i - step) - 2 * middle;
        const hyy = number(L, i + step * w) + number(L, i - step * w) - 2 * middle;
        const below = number(L, i + step * w + step) - number(L, i + step * w - step);
        const hxy = (below - number(L, i - step * w + step) + number(L, i - step * w - step)) / 4;
        const half = (hxx + hyy) / 2;
        const off = (hxx - hyy) / 2;
        const root = Mathf.sqrt(off * off + hxy * hxy);
        const high = half + root;
        const low = half - root;
        const dark = high > -low;
        const most = dark ? high : low;
        const least = dark ? low : high;
        if (Mathf.abs(most) < faint || Mathf.abs(least) > <f32>0.6 * Mathf.abs(most)) continue;
        // Across the ridge: eigenvector of the larger curvature, by half angles; right and up or down.
        const c: f32 = root > 0 ? off / root : 1;
        const long = Mathf.sqrt((1 + c) / 2);
        const short = Mathf.sqrt(max(<f32>0, 1 - c) / 2) * (hxy < 0 ? <f32>-1 : <f32>1);
        const ux = dark ? long : Mathf.abs(short);
        const uy = dark ? short : short < 0 ? long : -long;
        const across = near(uy * <f32>step) * w + near(ux * <f32>step);
        const far = i + 2 * across;
        const back = i - 2 * across;
        if (far < 0 || back < 0 || far >= n || back >= n) continue;
        // A true line stands out from both its sides.
        const sides = dark ? min(number(L, far), number(L, back)) - middle : middle - max(number(L, far), number(L, back));
        if (sides < faint) continue;
        store<f32>(strength + ((<usize>i) << 2), dark ? sides : -sides);
        const steep = Mathf.abs(uy) / max(ux, <f32>1e-6);
        // Which neighbour lies across: beside, below right, below, above right.
        store<u8>(way + <usize>i, steep < TAN_22 ? 0 : steep > TAN_67 ? 2 : uy > 0 ? 1 : 3);
      }
    }
  for (let y: i32 = 1; y < h - 1; y++)
    for (let i = y * w + 1, end = y * w + w - 1; i < end; i++) {
      // Most px are no ridge; what lies past a row's end is asked for anew.
      if (i + 4 <= end && !v128.any_true(v128.load(strength + ((<usize>i) << 2)))) {
        i += 3;
        continue;
      }
      const s = Mathf.abs(number(strength, i));
      if (s == 0 || load<u8>(taken + <usize>i)) continue;
      const which = load<u8>(way + <usize>i);
      const j: i32 = which == 0 ? 1 : which == 1 ? w + 1 : which == 2 ? w : 1 - w;
      if (s >= Mathf.abs(number(strength, i + j)) && s > Mathf.abs(number(strength, i - j))) store<u8>(crest + <usize>i, 1);
    }
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
