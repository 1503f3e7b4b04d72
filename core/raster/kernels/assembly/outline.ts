/** From planes to masks, from masks to centre lines and to what hangs together. */
import { box } from './filters';
import { storeBits } from './lanes';

/**
 * Lines of a plane that is high on marks: where its opposite (100 less it) lies under Sauvola's threshold over a square of 2r + 1 px.
 * `work` holds two planes of w · h numbers, each with 16 bytes to spare, and the working room of `box`.
 */
export function sauvola(from: usize, mask: usize, w: i32, h: i32, r: i32, k: f32, floor: f32, plane: usize, work: usize): void {
  const n = w * h;
  const squares = work + plane;
  const room = work + 2 * plane;
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const v = f32x4.sub(f32x4.splat(100), v128.load(from + at));
    v128.store(work + at, v);
    v128.store(squares + at, f32x4.mul(v, v));
  }
  box(work, work, w, h, r, room);
  box(squares, squares, w, h, r, room);
  const half = f32x4.splat(0.5 * floor);
  for (let i: i32 = 0; i < n; i += 4) {
    const at = (<usize>i) << 2;
    const v = f32x4.sub(f32x4.splat(100), v128.load(from + at));
    const mean = v128.load(work + at);
    const s = f32x4.sqrt(f32x4.pmax(f32x4.splat(0), f32x4.sub(v128.load(squares + at), f32x4.mul(mean, mean))));
    const rule = f32x4.mul(mean, f32x4.add(f32x4.splat(1 - k), f32x4.mul(s, f32x4.splat(k / 50))));
    // The classical rule is for text; where contrast is low but real, half a deviation under the mean keeps the stroke.
    const t = f32x4.pmax(rule, f32x4.sub(mean, f32x4.mul(s, f32x4.splat(0.5))));
    const dark = v128.and(v128.and(f32x4.gt(s, half), f32x4.lt(v, t)), f32x4.lt(v, f32x4.sub(mean, half)));
    storeBits(mask + <usize>i, dark);
  }
}

/**
 * Peels a mask down to its centre lines, in place; gives their number, and writes their places to `alive`. `spare` says of the eight
 * neighbours' bits whether a pixel can go. `alive` and `drop` hold w · h whole numbers each.
 */
export function thin(data: usize, w: i32, h: i32, spare: usize, alive: usize, drop: usize): i32 {
  let count: i32 = 0;
  for (let y: i32 = 1; y < h - 1; y++)
    for (let i: i32 = y * w + 1, end = y * w + w - 1; i < end; i++)
      if (load<u8>(data + <usize>i)) {
        store<i32>(alive + ((<usize>count) << 2), i);
        count++;
      }
  // A frame of unset pixels spares every bounds check below.
  memory.fill(data, 0, <usize>w);
  memory.fill(data + <usize>((h - 1) * w), 0, <usize>w);
  for (let y: i32 = 0; y < h; y++) {
    store<u8>(data + <usize>(y * w), 0);
    store<u8>(data + <usize>(y * w + w - 1), 0);
  }
  for (let idle: i32 = 0, side: i32 = 0; idle < 4; side = (side + 1) & 3) {
    // Bare above, then below, to the right, to the left.
    const beyond: i32 = side == 0 ? -w : side == 1 ? w : side == 2 ? 1 : -1;
    let dropped: i32 = 0;
    for (let k: i32 = 0; k < count; k++) {
      const i = load<i32>(alive + ((<usize>k) << 2));
      if (load<u8>(data + <usize>(i + beyond))) continue;
      const at = data + <usize>i;
      const up = at - <usize>w;
      const down = at + <usize>w;
      const bits: u32 =
        (<u32>load<u8>(up)) |
        ((<u32>load<u8>(up + 1)) << 1) |
        ((<u32>load<u8>(at + 1)) << 2) |
        ((<u32>load<u8>(down + 1)) << 3) |
        ((<u32>load<u8>(down)) << 4) |
        ((<u32>load<u8>(down - 1)) << 5) |
        ((<u32>load<u8>(at - 1)) << 6) |
        ((<u32>load<u8>(up - 1)) << 7);
      if (load<u8>(spare + <usize>bits)) {
        store<i32>(drop + ((<usize>dropped) << 2), i);
        dropped++;
      }
    }
    idle = dropped ? 0 : idle + 1;
    if (!dropped) continue;
    for (let k: i32 = 0; k < dropped; k++) store<u8>(data + <usize>load<i32>(drop + ((<usize>k) << 2)), 0);
    let kept: i32 = 0;
    for (let k: i32 = 0; k < count; k++) {
      const i = load<i32>(alive + ((<usize>k) << 2));
      if (!load<u8>(data + <usize>i)) continue;
      store<i32>(alive + ((<usize>kept) << 2), i);
      kept++;
    }
    count = kept;
  }
  return count;
}

/** Bytes of one component’s sums: six doubles (area, x, y, xx, xy, yy) and four whole numbers (left, top, right, bottom). */
const COMPONENT: i32 = 64;

/** Whether a px is set and has no label yet. */
function isNew(mask: usize, labels: usize, i: i32): bool {
  return load<u8>(mask + <usize>i) != 0 && load<i32>(labels + ((<usize>i) << 2)) == 0;
}

/** Puts the first px of every run of new ones among those from i to `end` on the stack; gives its new height. */
function firstsOfRuns(mask: usize, labels: usize, i: i32, end: i32, stack: usize, top: i32): i32 {
  let before = false;
  for (; i <= end; i++) {
    const here = isNew(mask, labels, i);
    if (here && !before) {
      store<i32>(stack + ((<usize>top) << 2), i);
      top++;
    }
    before = here;
  }
  return top;
}

/**
 * Labels from 1 on of set pixels that hang together (eight neighbours), in scan order; gives their number and writes their sums to
 * `sums`. They are filled run by run of their rows. `stack` holds (w + 1) · h whole numbers:
 * two rows of p and q runs have at most p + q − 1 pairs that touch, each of which puts one on it.
 */
export function components(mask: usize, labels: usize, w: i32, h: i32, sums: usize, stack: usize): i32 {
  memory.fill(labels, 0, (<usize>(w * h)) << 2);
  let count: i32 = 0;
  for (let row: i32 = 0; row < h; row++)
    for (let start = row * w, last = start + w; start < last; start++) {
      if (!isNew(mask, labels, start)) continue;
      count++;
      let area: i32 = 0;
      let sx: f64 = 0;
      let sy: f64 = 0;
      let sxx: f64 = 0;
      let sxy: f64 = 0;
      let syy: f64 = 0;
      let left = w;
      let right: i32 = 0;
      let upper = h;
      let bottom: i32 = 0;
      let top: i32 = 1;
      store<i32>(stack, start);
      while (top > 0) {
        top--;
        const seed = load<i32>(stack + ((<usize>top) << 2));
        if (load<i32>(labels + ((<usize>seed) << 2))) continue;
        const y = seed / w;
        const first = y * w;
        let from = seed;
        while (from > first && load<u8>(mask + <usize>(from - 1))) from--;
        let to = seed;
        while (to < first + w - 1 && load<u8>(mask + <usize>(to + 1))) to++;
        // Whole numbers: their sums are exact in any order.
        let along: i64 = 0;
        let squares: i64 = 0;
        for (let i = from; i <= to; i++) {
          store<i32>(labels + ((<usize>i) << 2), count);
          const x = <i64>(i - first);
          along += x;
          squares += x * x;
        }
        const run = to - from + 1;
        area += run;
        sx += <f64>along;
        sy += <f64>y * <f64>run;
        sxx += <f64>squares;
        sxy += <f64>along * <f64>y;
        syy += <f64>y * <f64>y * <f64>run;
        left = min(left, from - first);
        right = max(right, to - first);
        upper = min(upper, y);
        bottom = max(bottom, y);
        // What touches the run from above and below, its corners too.
        const a = max(from - 1, first);
        const b = min(to + 1, first + w - 1);
        if (y > 0) top = firstsOfRuns(mask, labels, a - w, b - w, stack, top);
        if (y < h - 1) top = firstsOfRuns(mask, labels, a + w, b + w, stack, top);
      }
      const to = sums + <usize>((count - 1) * COMPONENT);
      store<f64>(to, <f64>area);
      store<f64>(to + 8, sx);
      store<f64>(to + 16, sy);
      store<f64>(to + 24, sxx);
      store<f64>(to + 32, sxy);
      store<f64>(to + 40, syy);
      store<i32>(to + 48, left);
      store<i32>(to + 52, upper);
      store<i32>(to + 56, right);
      store<i32>(to + 60, bottom);
    }
  return count;
}
