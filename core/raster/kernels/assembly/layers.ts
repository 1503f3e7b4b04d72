/** What a window's planes say px by px: which of them are marked, covered or part of a stroke, and how the tone rises. */
import { storeBits } from './lanes';

/** Px over `bare` that are also over `part` of the highest round them, or have nothing bare round them: `soft` is what is judged. */
export function marks(soft: usize, highest: usize, lowest: usize, to: usize, n: i32, bare: f32, part: f32): void {
  const least = f32x4.splat(bare);
  const share = f32x4.splat(part);
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const v = v128.load(soft + at);
    const clear = v128.or(f32x4.gt(v, f32x4.mul(share, v128.load(highest + at))), f32x4.gt(v128.load(lowest + at), least));
    storeBits(to + <usize>i, v128.and(f32x4.gt(v, least), clear));
  }
}

/** Px over `least`. */
export function over(from: usize, to: usize, n: i32, least: f32): void {
  for (let i: i32 = 0; i < n; i += 4) storeBits(to + <usize>i, f32x4.gt(v128.load(from + ((<usize>i) << 2)), f32x4.splat(least)));
}

/** a − b. */
export function less(a: usize, b: usize, to: usize, n: i32): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    v128.store(to + at, f32x4.sub(v128.load(a + at), v128.load(b + at)));
  }
}

/** How a plane rises, units a px, by differences over four; 0 within two px of the frame. */
export function slope(from: usize, to: usize, w: i32, h: i32): void {
  memory.fill(to, 0, (<usize>(w * h)) << 2);
  const down = (<usize>w) << 3;
  for (let y: i32 = 2; y < h - 2; y++) {
    for (let x: i32 = 2; x < w - 2; x += 4) {
      const at = (<usize>(y * w + x)) << 2;
      const dx = f32x4.sub(v128.load(from + at + 8), v128.load(from + at - 8));
      const dy = f32x4.sub(v128.load(from + at + down), v128.load(from + at - down));
      v128.store(to + at, f32x4.mul(f32x4.sqrt(f32x4.add(f32x4.mul(dx, dx), f32x4.mul(dy, dy))), f32x4.splat(0.25)));
    }
    // What was written into the margin.
    for (let x = max(0, w - 2); x < w; x++) store<f32>(to + ((<usize>(y * w + x)) << 2), 0);
    if (y + 1 < h) for (let x: i32 = 0; x < min(2, w); x++) store<f32>(to + ((<usize>((y + 1) * w + x)) << 2), 0);
  }
}

/** Px whose label stands for a component of at least `least` px; `sums` as `components` of outline.ts writes them. */
export function large(labels: usize, sums: usize, to: usize, n: i32, least: f64): void {
  for (let i: i32 = 0; i < n; i++) {
    const label = load<i32>(labels + ((<usize>i) << 2));
    store<u8>(to + <usize>i, label > 0 && load<f64>(sums + <usize>((label - 1) * 64)) >= least ? 1 : 0);
  }
}

/** Px over `least` in one plane or over `most` in another, of which every fourth px of every fourth row is there. */
export function either(a: usize, least: f32, b: usize, most: f32, to: usize, w: i32, h: i32): void {
  const wide = (w + 3) >> 2;
  for (let y: i32 = 0; y < h; y++)
    for (let x: i32 = 0; x < w; x += 4) {
      const i = <usize>(y * w + x);
      const tone = v128.load32_splat(b + ((<usize>((y >> 2) * wide + (x >> 2))) << 2));
      storeBits(to + i, v128.or(f32x4.gt(v128.load(a + (i << 2)), f32x4.splat(least)), f32x4.gt(tone, f32x4.splat(most))));
    }
}

/** a · b. */
export function times(a: usize, b: usize, to: usize, n: i32): void {
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    v128.store(to + at, f32x4.mul(v128.load(a + at), v128.load(b + at)));
  }
}

/** Sums over their weights, in place; where the weight is not over `least`, what lies at `plain`. */
export function shared(sums: usize, weights: usize, plain: usize, n: i32, least: f32): void {
  const few = f32x4.splat(least);
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const weight = v128.load(weights + at);
    const enough = f32x4.gt(weight, few);
    const mean = f32x4.div(v128.load(sums + at), f32x4.pmax(weight, few));
    v128.store(sums + at, v128.bitselect(mean, v128.load(plain + at), enough));
  }
}
