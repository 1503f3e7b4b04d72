/** Knows how to hand pictures and planes to the compiled inner loops and take the results back. */
import { Mask, Plane, Rect, RgbImage } from '../image';
import { Arena, keeping, once, SPARE } from './memory';

/** From a plane at one address to another. */
export type Filter = (arena: Arena, from: number, to: number, w: number, h: number) => void;

/** A plane after some filters, one after another, of which only the last one's is copied out. */
export function filtered(source: Plane, ...filters: readonly Filter[]): Plane {
  const { width, height } = source;
  return once((arena) => {
    let at = arena.write(source.data);
    for (const filter of filters) {
      const to = arena.room(width * height * 4);
      arena.aside((scratch) => filter(scratch, at, to, width, height));
      at = to;
    }
    return { width, height, data: arena.floats(at, width * height) };
  });
}

const separableWork = (w: number, h: number, rx: number, ry: number) => w * (h + 2 * ry) + w + 2 * rx;
const boxWork = (w: number, h: number, r: number) => w * h + 8 * (w + 2 * r) + 64;

/** Rows convolved with one kernel, columns with another; both of odd length, edges repeated. Taps are summed in 32-bit floats. */
export const separable = (source: Plane, kx: Float32Array, ky: Float32Array): Plane =>
  filtered(source, (arena, from, to, w, h) => {
    const [rx, ry] = [kx.length >> 1, ky.length >> 1];
    arena.run.separable(from, to, w, h, arena.write(kx), rx, arena.write(ky), ry, arena.room(4 * separableWork(w, h, rx, ry)));
  });

/** Running mean over a square of (2r+1) px, edges repeated. */
export const box = (source: Plane, radius: number): Plane =>
  filtered(source, (arena, from, to, w, h) => arena.run.box(from, to, w, h, radius, arena.room(4 * boxWork(w, h, radius))));

/** How to soften: by a kernel along both axes, or by three running means of these radii. */
export type Softening = { kernel: Float32Array } | { radii: readonly [number, number, number] };

/** Softens a plane at one address into another, inside an arena; what it needs beside them is taken from there. */
export function softenAt(arena: Arena, from: number, to: number, w: number, h: number, by: Softening): void {
  if ('kernel' in by) {
    const r = by.kernel.length >> 1;
    const k = arena.write(by.kernel);
    arena.run.separable(from, to, w, h, k, r, k, r, arena.room(4 * separableWork(w, h, r, r)));
  } else arena.run.boxes(from, to, w, h, ...by.radii, arena.room(4 * boxWork(w, h, Math.max(...by.radii))));
}

/** Softens, edges repeated. */
export const softening =
  (by: Softening): Filter =>
  (arena, from, to, w, h) =>
    softenAt(arena, from, to, w, h, by);

/** Largest (smallest where `low` is set) values of a plane at one address, into another. */
export function spreadAt(arena: Arena, from: number, to: number, w: number, h: number, radius: number, low: boolean): void {
  arena.run.spread(from, to, w, h, radius, low, arena.room(4 * separableWork(w, h, radius, radius)));
}

/** Largest (smallest where `low` is set) value in a square of (2r+1) px round each pixel, edges repeated. */
export const spreading =
  (radius: number, low: boolean): Filter =>
  (arena, from, to, w, h) =>
    spreadAt(arena, from, to, w, h, radius, low);

/** Largest value in a square of (2r+1) px round each pixel, edges repeated. */
export const dilateMax = (source: Plane, radius: number): Plane => filtered(source, spreading(radius, false));

/** Smallest value in a square of (2r+1) px round each pixel. */
export const erodeMin = (source: Plane, radius: number): Plane => filtered(source, spreading(radius, true));

export interface Tensor {
  /** Angle along the strokes, degrees [0, 180) as seen. */
  angle: Plane;
  /** Root of gradient energy above `floor`, times coherence. */
  weight: Plane;
  /** Weight times cosine and sine of the doubled angle. */
  cos: Plane;
  sin: Plane;
}

const roomOf = (count: number) => (count * 4 + SPARE + 15) & ~15;

/** Structure tensor from the two kernels of a Gaussian derivative, window sigma 1.6 px; angles to 0.001°. */
export function tensor(source: Plane, derive: Float32Array, soften: Float32Array, floor: number): Tensor {
  const { width: w, height: h } = source;
  const r = derive.length >> 1;
  const plane = roomOf(w * h);
  return keeping((arena) => {
    const out = arena.room(4 * plane);
    arena.aside((scratch) => {
      const [from, d, g] = [scratch.placeOf(source), scratch.write(derive), scratch.write(soften)];
      const work = scratch.room(3 * plane + 4 * (separableWork(w, h, Math.max(3, r), Math.max(3, r)) + 16));
      scratch.run.tensor(from, out, w, h, d, g, r, floor, plane, work);
    });
    const [angle, weight, cos, sin] = [0, 1, 2, 3].map((k) => arena.plane(w, h, out + k * plane));
    return { angle, weight, cos, sin };
  });
}

/** A plane's numbers at some of its px; of one that is in the loops' memory these alone are copied out. */
export const numbersAt = (source: Plane, places: readonly number[]): Float32Array =>
  once((arena) => {
    const all = arena.seen(source);
    const out = new Float32Array(places.length);
    for (let k = 0; k < out.length; k++) out[k] = all[places[k]];
    return out;
  });

/** Weights of a field's angles inside a rectangle, by whole degrees. */
export const densityIn = ({ angle, weight }: Tensor, rect: Rect): Float64Array =>
  once((arena) => {
    const [a, w, to] = [arena.placeOf(angle), arena.placeOf(weight), arena.room(1440)];
    arena.run.density(a, w, angle.width, ...rect, to);
    return arena.doubles(to, 180).slice();
  });

/** Sums of a field's doubled angles (cosine, sine) and weights in so many by so many parts of a rectangle, row by row, one after another. */
export const turnsIn = ({ weight, cos, sin }: Tensor, rect: Rect, cells: number): Float64Array =>
  once((arena) => {
    const to = arena.room(24 * cells * cells);
    arena.run.turns(arena.placeOf(weight), arena.placeOf(cos), arena.placeOf(sin), weight.width, ...rect, cells, to);
    return arena.doubles(to, 3 * cells * cells).slice();
  });

/** Euclidean distance in px from each set pixel to the nearest unset one; 0 on unset pixels; 1e6 where none is unset. */
export function distance(source: Mask): Plane {
  const { width, height } = source;
  return once((arena) => {
    const from = arena.write(source.data);
    const to = arena.room(width * height * 4);
    arena.run.distance(from, to, width, height, arena.room(8 * width * height + 32 * (Math.max(width, height) + 2)));
    return { width, height, data: arena.floats(to, width * height) };
  });
}

/** L*, a* and b* of sRGB bytes at one address, into three planes; `linear` is the table of 256 bytes' linear light. */
export function labAt(arena: Arena, image: RgbImage, linear: Float32Array, [L, a, b]: readonly [number, number, number]): void {
  arena.run.lab(arena.write(image.data), image.width * image.height, arena.write(linear), L, a, b, true);
}

/** L*, a* and b* of every pixel to 0.001; `linear` is the table of 256 bytes' linear light. */
export function labOf(image: RgbImage, linear: Float32Array): [L: Float32Array, a: Float32Array, b: Float32Array] {
  const n = image.width * image.height;
  return once((arena) => {
    const at = [arena.room(4 * n), arena.room(4 * n), arena.room(4 * n)] as const;
    labAt(arena, image, linear, at);
    return at.map((p) => arena.floats(p, n)) as [Float32Array, Float32Array, Float32Array];
  });
}

/** L* of every pixel to 0.001. */
export function lightnessOf(image: RgbImage, linear: Float32Array): Float32Array {
  const n = image.width * image.height;
  return once((arena) => {
    const to = arena.room(4 * n);
    arena.run.lab(arena.write(image.data), n, arena.write(linear), to, 0, 0, false);
    return arena.floats(to, n);
  });
}

/** Distance in Lab of every pixel from a colour. */
export function distancesFrom([L, a, b]: readonly [Plane, Plane, Plane], lab: readonly number[]): Plane {
  const { width, height } = L;
  const n = width * height;
  return once((arena) => {
    const to = arena.write(L.data);
    arena.run.apart(to, arena.write(a.data), arena.write(b.data), to, n, lab[0], lab[1], lab[2]);
    return { width, height, data: arena.floats(to, n) };
  });
}

/** From which source pixel on a result pixel takes how many, and with which shares. */
export interface Span {
  first: number;
  weights: Float32Array;
}

/** In which of the steps that end at `ends` (rising; the last has no end) each number lies; at most 256 of them. */
export const stepsOf = (data: Float32Array, ends: readonly number[]): Uint8Array =>
  once((arena) => {
    const [from, to] = [arena.write(data), arena.room(data.length)];
    arena.run.steps(from, data.length, arena.write(Float32Array.from(ends)), ends.length, to);
    return arena.bytes(to, data.length);
  });

/** Of which numbers, from which on, each of some sums is made, `count` weights after another. */
export interface Taps {
  first: Int32Array;
  weights: Float32Array;
  count: number;
}

/** Weighted sums down the columns of a plane `width` wide; the outermost rows stand for what is not there. */
export const weighed = (data: Float32Array, width: number, { first, weights, count }: Taps): Float32Array =>
  once((arena) => {
    const [from, to] = [arena.write(data), arena.room(4 * width * first.length)];
    arena.run.weighed(from, width, data.length / width, to, first.length, arena.write(first), arena.write(weights), count);
    return arena.floats(to, width * first.length);
  });

/** Weighted sum of each px's linear light; `linear` is the table of 256 bytes' linear light. */
export function weightedLight({ width, height, data }: RgbImage, weights: readonly [number, number, number], linear: Float32Array): Plane {
  const n = width * height;
  return once((arena) => {
    const [from, to] = [arena.write(data), arena.room(4 * n)];
    arena.run.luminance(from, n, arena.write(linear), ...weights, to);
    return { width, height, data: arena.floats(to, n) };
  });
}

/** Colours of 5 bits a channel, in the order they are met. */
export interface MetColours {
  /** Of each five: px, their weights, and the sums of the three channels' linear light. */
  sums: Float64Array;
  /** Each px's colour, −1 where it is left out. */
  index: Int32Array;
}

const COLOURS = 32768;

/** The colours of a picture; `linear` is the table of 256 bytes' linear light. */
export function metColours({ data }: RgbImage, weights: Float32Array, leftOut: Uint8Array | null, linear: Float32Array): MetColours {
  const n = weights.length;
  return once((arena) => {
    const [rgb, w, out, table] = [arena.write(data), arena.write(weights), leftOut ? arena.write(leftOut) : 0, arena.write(linear)];
    const [slots, sums, index] = [arena.room(4 * COLOURS), arena.room(40 * Math.min(n, COLOURS)), arena.room(4 * n)];
    const count = arena.run.colours(rgb, n, w, out, table, slots, sums, index);
    return { sums: arena.doubles(sums, 5 * count).slice(), index: arena.wholes(index, n) };
  });
}

/** Begins, lengths and weights of spans, one after another; gives where each begins. */
function writeSpans(arena: Arena, spans: readonly Span[]): [firsts: number, counts: number, shares: number] {
  const firsts = new Int32Array(spans.length);
  const counts = new Int32Array(spans.length);
  let all = 0;
  for (let k = 0; k < spans.length; k++) {
    firsts[k] = spans[k].first;
    counts[k] = spans[k].weights.length;
    all += counts[k];
  }
  const shares = new Float32Array(all);
  let at = 0;
  for (const s of spans) {
    shares.set(s.weights, at);
    at += s.weights.length;
  }
  return [arena.write(firsts), arena.write(counts), arena.write(shares)];
}

/** Area means of a plane. */
export function planeMeans({ width: w, data }: Plane, xs: readonly Span[], ys: readonly Span[]): Plane {
  const [width, height] = [xs.length, ys.length];
  return once((arena) => {
    const [from, to, sums] = [arena.write(data), arena.room(4 * width * height), arena.room(8 * w)];
    arena.run.reduced(from, w, to, width, height, ...writeSpans(arena, xs), ...writeSpans(arena, ys), sums);
    return { width, height, data: arena.floats(to, width * height) };
  });
}

/** Counts of numbers in `bins` equal bins between low and high; those outside fall into the end bins. */
export const histogram = (data: Float32Array, low: number, high: number, bins: number): Int32Array =>
  once((arena) => {
    const [from, to] = [arena.place(data), arena.room(4 * bins)];
    arena.run.binned(from, data.length, low, bins / (high - low), bins, to);
    return arena.wholes(to, bins);
  });

/** Lengths of the pairs of numbers that stand at the same place. */
export const pairLengths = (a: Float32Array, b: Float32Array): Float32Array =>
  once((arena) => {
    const [p, q, to] = [arena.write(a), arena.write(b), arena.room(4 * a.length)];
    arena.run.lengths(p, q, to, a.length);
    return arena.floats(to, a.length);
  });

/** How steeply a plane rises at each px, by a derivative's two kernels. */
export const steepnessBy = (source: Plane, derive: Float32Array, soften: Float32Array): Plane =>
  filtered(source, (arena, from, to, w, h) => {
    const r = derive.length >> 1;
    const [d, s, down] = [arena.write(derive), arena.write(soften), arena.room(4 * w * h)];
    const work = arena.room(4 * separableWork(w, h, r, r));
    arena.run.separable(from, to, w, h, d, r, s, r, work);
    arena.run.separable(from, down, w, h, s, r, d, r, work);
    arena.run.lengths(to, down, to, w * h);
  });

/** Area means of sRGB bytes in linear light; `linear` is the table of 256 bytes' linear light, `encode` that of 16385 steps back. */
export function areaMeans(image: RgbImage, xs: readonly Span[], ys: readonly Span[], linear: Float32Array, encode: Uint8Array): Uint8Array {
  return once((arena) => areaMeansIn(arena, image, xs, ys, linear, encode));
}

function areaMeansIn(
  arena: Arena,
  image: RgbImage,
  xs: readonly Span[],
  ys: readonly Span[],
  linear: Float32Array,
  encode: Uint8Array,
): Uint8Array {
  const stride = image.width * 3;
  let most = 0;
  for (const s of ys) most = Math.max(most, s.weights.length);
  // Each row's light is found once, though two rows of the result may take from it.
  const [bytes, lines, sums] = [arena.room(stride), arena.room(most * stride * 4), arena.room(stride * 4)];
  let known = 0;
  const width = xs.length * 3;
  const rows = arena.room(width * ys.length);
  const [firsts, lengths, weights] = writeSpans(arena, xs);
  const [table, back, rowWeights] = [arena.write(linear), arena.write(encode), arena.room(most * 4)];
  for (let y = 0; y < ys.length; y++) {
    const span = ys[y];
    const count = span.weights.length;
    const end = span.first + count;
    for (let row = Math.max(known, span.first); row < end; row++) {
      arena.put(bytes, image.data.subarray(row * stride, (row + 1) * stride));
      arena.run.linearRow(bytes, stride, table, lines + 4 * stride * (row % most));
    }
    known = end;
    arena.put(rowWeights, span.weights);
    const to = rows + y * width;
    arena.run.gather(lines, most, span.first, stride, count, rowWeights, sums, to, xs.length, firsts, lengths, weights, back);
  }
  return arena.bytes(rows, width * ys.length);
}

/**
 * Marks of a plane that is high on them (0–100) after Sauvola and Pietikäinen (2000): t = m (1 + k (s / 50 − 1)) of its opposite, over a square of
 * (2r+1) px; nothing whose contrast is under `floor`.
 */
export function sauvolaMask(source: Plane, radius: number, k: number, floor: number): Mask {
  const { width, height } = source;
  return once((arena) => {
    const from = arena.write(source.data);
    const to = arena.room(width * height);
    sauvolaAt(arena, from, to, width, height, { radius, k, floor });
    return { width, height, data: arena.bytes(to, width * height) };
  });
}

/** The same from one address to another. */
export function sauvolaAt(
  arena: Arena,
  from: number,
  to: number,
  w: number,
  h: number,
  { radius, k, floor }: { radius: number; k: number; floor: number },
): void {
  const plane = roomOf(w * h);
  arena.run.sauvola(from, to, w, h, radius, k, floor, plane, arena.room(2 * plane + 4 * boxWork(w, h, radius)));
}

/** A mask peeled to its centre lines, and their places; `spare` says of the eight neighbours' bits whether a pixel can go. */
export function peeled(source: Mask, spare: Uint8Array): { data: Uint8Array; places: Int32Array } {
  const n = source.width * source.height;
  return keeping((arena) => {
    const at = arena.write(source.data);
    const places = arena.aside((scratch) => {
      const alive = scratch.room(4 * n);
      const count = scratch.run.thin(at, source.width, source.height, scratch.write(spare), alive, scratch.room(4 * n));
      return scratch.wholes(alive, count);
    });
    return { data: arena.held(arena.bytes(at, n), at), places };
  });
}

/** Bytes of one component's sums. */
const COMPONENT = 64;

/** Labels of set pixels that hang together, and by label what `each` makes of its sums (area, x, y, xx, xy, yy) and box. */
export function labelled<T>(source: Mask, each: FromComponent<T>): { labels: Int32Array; list: T[] } {
  const { width, height } = source;
  return once((arena) => {
    const { labels, sums, count } = componentsAt(arena, arena.write(source.data), width, height);
    return { labels: arena.wholes(labels, width * height), list: eachComponent(arena, sums, count, each) };
  });
}

/** Makes something of each component's sums and box, and its label. */
export type FromComponent<T> = (sums: Float64Array, box: Int32Array, label: number) => T;

export const eachComponent = <T>(arena: Arena, sums: number, count: number, each: FromComponent<T>): T[] =>
  Array.from({ length: count }, (_, k) => each(arena.doubles(sums + COMPONENT * k, 6), arena.wholes(sums + COMPONENT * k + 48, 4), k + 1));

/** Labels and sums of the components of a mask at an address, and their number. */
export function componentsAt(arena: Arena, mask: number, w: number, h: number): { labels: number; sums: number; count: number } {
  const [labels, stack] = [arena.room(4 * w * h), arena.room(4 * (w + 1) * h)];
  // Two components are never neighbours: at most one in four px starts one.
  const sums = arena.room(COMPONENT * ((w + 1) >> 1) * ((h + 1) >> 1));
  return { labels, sums, count: arena.run.components(mask, labels, w, h, sums, stack) };
}

/** Planes and masks of one window of which sums over pieces are wanted: centre lines lie on lines; of the tone there is every fourth px of every fourth row. */
export interface Layers {
  marked: Mask;
  lines: Mask;
  skeleton: Mask;
  depart: Plane;
  tone: Plane;
  texture: Plane;
  rise: Plane;
}

/** Sums over each of the rectangles, as `pieceSums` of assembly/window.ts gives them; `covered` marks px that are counted, too (all where null). */
export function pieceSums(layers: Layers, rects: readonly Rect[], covered: Uint8Array | null): Float64Array[] {
  const { marked, lines, skeleton, depart, tone, texture, rise } = layers;
  return once((arena) => {
    const masks = [marked, lines, skeleton].map((m) => arena.placeOf(m)) as [number, number, number];
    const planes = [depart, tone, texture, rise].map((p) => arena.placeOf(p)) as [number, number, number, number];
    const inside = covered ? arena.place(covered) : 0;
    const to = arena.room(112);
    const out: Float64Array[] = [];
    for (const rect of rects) {
      arena.run.pieceSums(...masks, ...planes, inside, depart.width, ...rect, to);
      out.push(arena.doubles(to, 14).slice());
    }
    return out;
  });
}

/** Squares of what lies between four softnesses where no line is near, and the number of such px. */
export interface Beside {
  squares: Float64Array;
  pixels: number;
}

/** What lies beside the lines of a mask, more than `aside` px along rows and columns, from planes at four addresses. */
export function besideAt(arena: Arena, lines: number, softened: readonly number[], w: number, h: number, aside: number): Beside {
  const [a, b, c, d] = softened;
  const to = arena.room(24);
  const pixels = arena.run.besideLines(lines, a, b, c, d, w, h, aside, to);
  return { pixels, squares: arena.doubles(to, 3).slice() };
}

/** The same of four planes. */
export const besideLines = (lines: Mask, softened: readonly Plane[], aside: number): Beside =>
  once((arena) =>
    besideAt(
      arena,
      arena.write(lines.data),
      softened.map((p) => arena.write(p.data)),
      lines.width,
      lines.height,
      aside,
    ),
  );

/** A piece of a plane turned about its middle, and read in strips along its rows. */
export interface Strips {
  /** Size of the turned piece, px. */
  width: number;
  height: number;
  /** Strip by strip the sums over its width, one for each row, all one after another; NaN where a strip leaves the piece. */
  sums: Float32Array;
}

/** Strips `wide` px wide of the part of a plane inside a rectangle, turned so that rows run along `angle` (degrees as seen). */
export function strips(source: Plane, rect: Rect, angle: number, wide: number): Strips {
  const t = (angle * Math.PI) / 180;
  const [c, s] = [Math.cos(t), -Math.sin(t)];
  const [, , w, h] = rect;
  const width = Math.ceil(Math.abs(w * c) + Math.abs(h * s));
  const height = Math.ceil(Math.abs(w * s) + Math.abs(h * c));
  // Nothing lies between the px of a single row or column.
  if (Math.min(w, h) < 2) return { width, height, sums: new Float32Array(0) };
  return once((arena) => {
    const count = Math.floor(width / wide);
    const to = arena.room(4 * count * height);
    arena.run.strips(arena.placeOf(source), source.width, ...rect, to, width, height, wide, c, s);
    return { width, height, sums: arena.floats(to, count * height) };
  });
}

/** How far each px of a softened plane lies under both sides of it, at steps of px numbers to one side, where it is under what is around it by 1.5 too. */
export const depthBetween = (source: Plane, soft: Softening, around: Softening, reach: number, steps: Int32Array): Plane =>
  filtered(source, (arena, from, to, w, h) => {
    const [own, wide, pairs] = [arena.room(4 * w * h), arena.room(4 * w * h), arena.write(steps)];
    softenAt(arena, from, own, w, h, soft);
    softenAt(arena, from, wide, w, h, around);
    arena.run.depth(own, wide, to, w, h, reach, pairs, steps.length);
  });

export interface Rise<T = Float32Array> {
  /** How fast the channels change together along the steepest way, units a pixel. */
  steepness: T;
  /** Unit normal of the border there; 0, 0 where the rise is under what was asked for. */
  nx: T;
  ny: T;
}

/** A derivative's two kernels, and the rise from which a border has a normal. */
export interface Derivation {
  derive: Float32Array;
  soften: Float32Array;
  least: number;
}

/** The steepest change of channels that lie at some addresses: where it comes to lie. */
export function riseAt(
  arena: Arena,
  channels: readonly number[],
  w: number,
  h: number,
  { derive, soften, least }: Derivation,
): Rise<number> {
  const n = w * h;
  const r = derive.length >> 1;
  const { run } = arena;
  const [dx, dy, xx, yy, xy] = Array.from({ length: 5 }, () => arena.room(4 * n));
  const [d, s, work] = [arena.write(derive), arena.write(soften), arena.room(4 * separableWork(w, h, r, r))];
  channels.forEach((from, k) => {
    run.separable(from, dx, w, h, d, r, s, r, work);
    run.separable(from, dy, w, h, s, r, d, r, work);
    run.addGradient(dx, dy, xx, yy, xy, n, k === 0);
  });
  run.steepest(xx, yy, xy, n, least);
  return { steepness: xx, nx: yy, ny: xy };
}

/** The steepest change of several channels together, each derived along one axis and softened across it; normals where it is at least `least`. */
export const steepestRise = (channels: readonly Plane[], by: Derivation): Rise =>
  once((arena) => {
    const { width, height } = channels[0];
    const from = channels.map((c) => arena.write(c.data));
    const { steepness, nx, ny } = riseAt(arena, from, width, height, by);
    const n = width * height;
    return { steepness: arena.floats(steepness, n), nx: arena.floats(nx, n), ny: arena.floats(ny, n) };
  });

export interface NearestForm {
  /** Number of the nearest of the others; −1 for none. */
  found: number;
  /** Squared distance to it, and to the nearest that lies elsewhere (Infinity for none). */
  best: number;
  second: number;
}

/** For each form the nearest of the others, and how far its nearest rival is: one more than `near` from it. Forms are of one length, a multiple of 16. */
export function nearestForms(
  forms: readonly Uint8Array[],
  others: readonly { x: number; y: number; form: Uint8Array }[],
  near: number,
): NearestForm[] {
  if (!forms.length || !others.length) return forms.map(() => ({ found: -1, best: Infinity, second: Infinity }));
  const { length } = forms[0];
  const laid = (list: readonly Uint8Array[]) => {
    const out = new Uint8Array(length * list.length);
    list.forEach((form, k) => out.set(form, length * k));
    return out;
  };
  const places = new Float64Array(others.flatMap(({ x, y }) => [x, y]));
  return once((arena) => {
    const [a, b, at] = [arena.write(laid(forms)), arena.write(laid(others.map((o) => o.form))), arena.write(places)];
    const to = arena.room(12 * forms.length);
    arena.run.nearestForms(a, forms.length, b, at, others.length, length, near, to);
    const out = arena.wholes(to, 3 * forms.length);
    return forms.map((_, k) => {
      const [found, best, second] = out.subarray(3 * k, 3 * k + 3);
      return { found, best, second: second === 0x7fffffff ? Infinity : second };
    });
  });
}

/** Rows of a sheet that are in the compiled loops' memory at a time: few enough to stay small, many enough to be worth the call. */
const BAND = 64;
/** Px of a photograph whose light is taken out at once: so many that the squares of a sheet that is reduced tenfold still fit in. */
const TAKEN_OUT = 160_000;

/**
 * A photograph of sRGB bytes resampled into a w × h px sheet of linear light, three numbers a px: the mean of n × n samples each, bilinear
 * between its pixels, Catmull-Rom where n is 1. `toPhoto` takes the sheet's px to the photograph's, `linear` is the table of 256 bytes' linear light.
 */
export function squaredUp(
  photo: RgbImage,
  toPhoto: readonly number[],
  [w, h]: readonly [number, number],
  n: number,
  linear: Float32Array,
): Float32Array {
  const out = new Float32Array(3 * w * h);
  return once((arena) => {
    const [rgb, by, table] = [arena.write(photo.data), arena.write(Float64Array.from(toPhoto)), arena.write(linear)];
    const [to, part] = [arena.room(12 * w * BAND), arena.room(16 * TAKEN_OUT)];
    for (let y = 0; y < h; y += BAND) {
      const rows = Math.min(BAND, h - y);
      arena.run.squared(rgb, photo.width, photo.height, to, w, y, rows, n, by, table, part, TAKEN_OUT);
      out.set(arena.glance(to, 3 * w * rows), 3 * w * y);
    }
    return out;
  });
}

/**
 * Linear light as sRGB bytes. Each row of `factors` holds what every eighth px of a row is multiplied by, one more than fit in; `gains` are the
 * channels'; `encode` is the table of 16385 steps back.
 */
export function litEvenly(
  linear: Float32Array,
  [w, h]: readonly [number, number],
  factors: Float32Array,
  gains: readonly [red: number, green: number, blue: number],
  encode: Uint8Array,
): Uint8Array {
  const out = new Uint8Array(3 * w * h);
  const each = factors.length / h;
  return once((arena) => {
    const [all, table] = [arena.write(factors), arena.write(encode)];
    const [from, to] = [arena.room(12 * w), arena.room(3 * w)];
    for (let y = 0; y < h; y++) {
      arena.put(from, linear.subarray(3 * w * y, 3 * w * (y + 1)));
      arena.run.lit(from, to, w, all + 4 * each * y, ...gains, table);
      out.set(arena.bytes(to, 3 * w), 3 * w * y);
    }
    return out;
  });
}

/** Gains of the three channels' light at every so manyth px of each row, one more than fit in. */
export interface Gains {
  every: number;
  knots: number;
  /** Row by row, three to a knot. */
  values: Float64Array;
}

/** A picture whose light is multiplied px by px; `linear` and `encode` are the tables of bytes there and, in 16385 steps, back. */
export function relit(
  { width, height, data }: RgbImage,
  { every, knots, values }: Gains,
  linear: Float32Array,
  encode: Uint8Array,
): RgbImage {
  return once((arena) => {
    const [from, to, gains] = [arena.write(data), arena.room(data.length), arena.write(values)];
    arena.run.relit(from, to, width, height, gains, knots, every, arena.write(linear), arena.write(encode));
    return { width, height, data: arena.bytes(to, data.length) };
  });
}
