/** Sums over the planes and masks of one window, and its planes seen another way. */

function number(from: usize, i: i32): f32 {
  return load<f32>(from + ((<usize>i) << 2));
}

/**
 * What lies inside a rectangle, twelve doubles at `to`: px marked; px of line and how far they and the rest depart; px of centre lines, free
 * ends and forks among them; sums and squares of the tone and of the texture; the steepest rise.
 */
export function pieceSums(
  marked: usize,
  lines: usize,
  centre: usize,
  depart: usize,
  tone: usize,
  texture: usize,
  rises: usize,
  w: i32,
  x0: i32,
  y0: i32,
  rw: i32,
  rh: i32,
  to: usize,
): void {
  let marks: i32 = 0;
  let area: i32 = 0;
  let skeleton: i32 = 0;
  let ends: i32 = 0;
  let forks: i32 = 0;
  let lineDepart: f64 = 0;
  let restDepart: f64 = 0;
  let toneSum: f64 = 0;
  let toneSquare: f64 = 0;
  let textureSum: f64 = 0;
  let textureSquare: f64 = 0;
  let steepest: f32 = 0;
  for (let y = y0; y < y0 + rh; y++)
    for (let i = y * w + x0, end = i + rw; i < end; i++) {
      const p = <usize>i;
      marks += load<u8>(marked + p);
      if (load<u8>(centre + p)) {
        skeleton++;
        // Centre lines keep off the frame.
        const up = centre + p - <usize>w;
        const down = centre + p + <usize>w;
        const around: i32 =
          <i32>load<u8>(up - 1) +
          <i32>load<u8>(up) +
          <i32>load<u8>(up + 1) +
          <i32>load<u8>(centre + p - 1) +
          <i32>load<u8>(centre + p + 1) +
          <i32>load<u8>(down - 1) +
          <i32>load<u8>(down) +
          <i32>load<u8>(down + 1);
        if (around == 1) ends++;
        else if (around > 2) forks++;
      }
      if (load<u8>(lines + p)) {
        area++;
        lineDepart += number(depart, i);
      } else restDepart += number(depart, i);
      const t = <f64>number(tone, i);
      toneSum += t;
      toneSquare += t * t;
      const f = <f64>number(texture, i);
      textureSum += f;
      textureSquare += f * f;
      steepest = max(steepest, number(rises, i));
    }
  store<f64>(to, <f64>marks);
  store<f64>(to + 8, <f64>area);
  store<f64>(to + 16, lineDepart);
  store<f64>(to + 24, restDepart);
  store<f64>(to + 32, <f64>skeleton);
  store<f64>(to + 40, <f64>ends);
  store<f64>(to + 48, <f64>forks);
  store<f64>(to + 56, toneSum);
  store<f64>(to + 64, toneSquare);
  store<f64>(to + 72, textureSum);
  store<f64>(to + 80, textureSquare);
  store<f64>(to + 88, <f64>steepest);
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

/** The part of a w × h plane inside a rectangle turned into `long` × `across` px by bilinear interpolation, no number outside; c and s turn it. */
export function turned(from: usize, w: i32, x0: i32, y0: i32, rw: i32, rh: i32, to: usize, long: i32, across: i32, c: f64, s: f64): void {
  const midX = <f64>(rw - 1) / 2;
  const midY = <f64>(rh - 1) / 2;
  for (let v: i32 = 0; v < across; v++) {
    const dv = <f64>v - <f64>(across - 1) / 2;
    const out = to + ((<usize>(v * long)) << 2);
    for (let u: i32 = 0; u < long; u++) {
      const du = <f64>u - <f64>(long - 1) / 2;
      const x = midX + du * c - dv * s;
      const y = midY + du * s + dv * c;
      if (x < 0 || y < 0 || x > <f64>(rw - 1) || y > <f64>(rh - 1)) {
        store<f32>(out + ((<usize>u) << 2), <f32>NaN);
        continue;
      }
      const left = min(<i32>x, rw - 2);
      const top = min(<i32>y, rh - 2);
      const fx = x - <f64>left;
      const fy = y - <f64>top;
      const i = (y0 + top) * w + x0 + left;
      const upper = <f64>number(from, i) * (1 - fx) + <f64>number(from, i + 1) * fx;
      const lower = <f64>number(from, i + w) * (1 - fx) + <f64>number(from, i + w + 1) * fx;
      store<f32>(out + ((<usize>u) << 2), <f32>(upper * (1 - fy) + lower * fy));
    }
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
        most = f32x4.max(most, f32x4.sub(f32x4.min(v128.load(from + at + step), v128.load(from + at - step)), value));
      }
      v128.store(to + at, v128.and(most, under));
    }
    // What was written into the margin.
    for (let x = w - reach; x < w; x++) store<f32>(to + ((<usize>(y * w + x)) << 2), 0);
  }
}
