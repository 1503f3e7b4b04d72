/** From sRGB bytes to linear light, to Lab and to distances in Lab. */

/** Linear light of the sRGB byte at an address, by a table of 256. */
export function lightAt(at: usize, linear: usize): f32 {
  return load<f32>(linear + ((<usize>load<u8>(at)) << 2));
}

/** Linear light of n sRGB bytes, by a table of 256. */
export function linearRow(bytes: usize, n: usize, linear: usize, to: usize): void {
  let i: usize = 0;
  for (; i + 4 <= n; i += 4) {
    const four = load<u32>(bytes + i);
    let v = v128.load32_zero(linear + <usize>((four & 255) << 2));
    v = v128.load32_lane(linear + <usize>((four >> 6) & 1020), v, 1);
    v = v128.load32_lane(linear + <usize>((four >> 14) & 1020), v, 2);
    v128.store(to + (i << 2), v128.load32_lane(linear + <usize>((four >> 22) & 1020), v, 3));
  }
  for (; i < n; i++) store<f32>(to + (i << 2), lightAt(bytes + i, linear));
}

/**
 * One row of an area-mean reduction: `count` source rows of `stride` numbers of linear light, weighted, summed into `sums`, then along the row, and
 * back to bytes into `row` (3 · width) by `encode`, a table of 16385 steps. `firsts` and `lengths` say from which source pixel each result pixel
 * takes how many, `weights` their shares. Source row y lies in place y modulo `places` of `lines`.
 */
export function gather(
  lines: usize,
  places: i32,
  first: i32,
  stride: usize,
  count: i32,
  rowWeights: usize,
  sums: usize,
  row: usize,
  width: i32,
  firsts: usize,
  lengths: usize,
  weights: usize,
  encode: usize,
): void {
  const bytes = stride << 2;
  const past = lines + bytes * <usize>places;
  const begin = lines + bytes * <usize>(first % places);
  // What lies past the end is in no pixel.
  for (let i: usize = 0; i < bytes; i += 32) {
    let line = begin;
    let weight = v128.load32_splat(rowWeights);
    let s0 = f32x4.mul(v128.load(line + i), weight);
    let s1 = f32x4.mul(v128.load(line + i + 16), weight);
    for (let k: i32 = 1; k < count; k++) {
      line += bytes;
      if (line == past) line = lines;
      weight = v128.load32_splat(rowWeights + ((<usize>k) << 2));
      s0 = f32x4.add(s0, f32x4.mul(v128.load(line + i), weight));
      s1 = f32x4.add(s1, f32x4.mul(v128.load(line + i + 16), weight));
    }
    v128.store(sums + i, s0);
    v128.store(sums + i + 16, s1);
  }
  let weight = weights;
  for (let x: i32 = 0; x < width; x++) {
    let at = sums + <usize>(12 * load<i32>(firsts + ((<usize>x) << 2)));
    const length = load<i32>(lengths + ((<usize>x) << 2));
    let sum = f32x4.splat(0);
    for (let j: i32 = 0; j < length; j++) {
      sum = f32x4.add(sum, f32x4.mul(v128.load32_splat(weight), v128.load(at)));
      at += 12;
      weight += 4;
    }
    const steps = i32x4.trunc_sat_f32x4_s(
      f32x4.add(f32x4.mul(f32x4.pmax(f32x4.pmin(sum, f32x4.splat(1)), f32x4.splat(0)), f32x4.splat(16384)), f32x4.splat(0.5)),
    );
    const to = row + <usize>(3 * x);
    store<u8>(to, load<u8>(encode + <usize>i32x4.extract_lane(steps, 0)));
    store<u8>(to + 1, load<u8>(encode + <usize>i32x4.extract_lane(steps, 1)));
    store<u8>(to + 2, load<u8>(encode + <usize>i32x4.extract_lane(steps, 2)));
  }
}

/** Cube root of four numbers over 0, to a few units of the last place: a first guess from the exponent, two steps after Halley. */
function cubeRoot(t: v128): v128 {
  const third = f32x4.mul(f32x4.convert_i32x4_s(t), f32x4.splat(1.0 / 3.0));
  let y = i32x4.add(i32x4.trunc_sat_f32x4_s(third), i32x4.splat(709921077));
  for (let k = 0; k < 2; k++) {
    const cube = f32x4.mul(f32x4.mul(y, y), y);
    y = f32x4.mul(y, f32x4.div(f32x4.add(cube, f32x4.add(t, t)), f32x4.add(f32x4.add(cube, cube), t)));
  }
  return y;
}

/** Lab's curve: the cube root, straight near black. */
function curve(t: v128): v128 {
  const straight = f32x4.add(f32x4.mul(t, f32x4.splat(<f32>(24389.0 / 27.0 / 116.0))), f32x4.splat(<f32>(16.0 / 116.0)));
  return v128.bitselect(cubeRoot(t), straight, f32x4.gt(t, f32x4.splat(<f32>(216.0 / 24389.0))));
}

/** Linear light of one channel of four pixels, `at` the first one's byte. */
function channel(at: usize, linear: usize): v128 {
  let v = v128.load32_zero(linear + ((<usize>load<u8>(at)) << 2));
  v = v128.load32_lane(linear + ((<usize>load<u8>(at + 3)) << 2), v, 1);
  v = v128.load32_lane(linear + ((<usize>load<u8>(at + 6)) << 2), v, 2);
  return v128.load32_lane(linear + ((<usize>load<u8>(at + 9)) << 2), v, 3);
}

function mixed(r: v128, g: v128, b: v128, kr: f32, kg: f32, kb: f32): v128 {
  return f32x4.add(f32x4.add(f32x4.mul(r, f32x4.splat(kr)), f32x4.mul(g, f32x4.splat(kg))), f32x4.mul(b, f32x4.splat(kb)));
}

/** L* and, where `colour` is set, a* and b* of n sRGB pixels. All of them take and leave up to three numbers past the end. */
export function lab(rgb: usize, n: i32, linear: usize, L: usize, a: usize, b: usize, colour: bool): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const at = rgb + <usize>(3 * i);
    const to = (<usize>i) << 2;
    const red = channel(at, linear);
    const green = channel(at + 1, linear);
    const blue = channel(at + 2, linear);
    const fy = curve(mixed(red, green, blue, 0.2126390059, 0.7151686788, 0.0721923154));
    v128.store(L + to, f32x4.sub(f32x4.mul(fy, f32x4.splat(116)), f32x4.splat(16)));
    if (!colour) continue;
    const fx = curve(
      mixed(red, green, blue, <f32>(0.4123907993 / 0.9504559271), <f32>(0.3575843394 / 0.9504559271), <f32>(0.1804807884 / 0.9504559271)),
    );
    const fz = curve(
      mixed(red, green, blue, <f32>(0.0193308187 / 1.0890577508), <f32>(0.1191947798 / 1.0890577508), <f32>(0.9505321522 / 1.0890577508)),
    );
    v128.store(a + to, f32x4.mul(f32x4.sub(fx, fy), f32x4.splat(500)));
    v128.store(b + to, f32x4.mul(f32x4.sub(fy, fz), f32x4.splat(200)));
  }
}

/** Distance of n colours in Lab from one. */
export function apart(L: usize, a: usize, b: usize, to: usize, n: i32, l0: f32, a0: f32, b0: f32): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const dL = f32x4.sub(v128.load(L + at), f32x4.splat(l0));
    const da = f32x4.sub(v128.load(a + at), f32x4.splat(a0));
    const db = f32x4.sub(v128.load(b + at), f32x4.splat(b0));
    v128.store(to + at, f32x4.sqrt(f32x4.add(f32x4.add(f32x4.mul(dL, dL), f32x4.mul(da, da)), f32x4.mul(db, db))));
  }
}

/** How much less than `light` each of n numbers is, 0 where it is not. */
export function darker(L: usize, to: usize, n: i32, light: f32): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    v128.store(to + at, f32x4.pmax(f32x4.splat(0), f32x4.sub(f32x4.splat(light), v128.load(L + at))));
  }
}
