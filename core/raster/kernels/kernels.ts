/** Knows how to hand pictures and planes to the compiled inner loops and take the results back. */
import { Mask, Plane, RgbImage } from '../image';
import { MODULE } from './module';

interface Exports {
  separable(from: number, to: number, w: number, h: number, kx: number, rx: number, ky: number, ry: number, work: number): void;
  box(from: number, to: number, w: number, h: number, r: number, work: number): void;
  spread(from: number, to: number, w: number, h: number, r: number, low: boolean, work: number): void;
  tensor(
    from: number,
    out: number,
    w: number,
    h: number,
    derive: number,
    soften: number,
    r: number,
    floor: number,
    plane: number,
    work: number,
  ): void;
  distance(mask: number, to: number, w: number, h: number, work: number): void;
  departure(rgb: number, to: number, n: number, linear: number, cube: number, L: number, a: number, b: number): void;
  gather(
    rgb: number,
    stride: number,
    count: number,
    rowWeights: number,
    sums: number,
    row: number,
    width: number,
    firsts: number,
    lengths: number,
    weights: number,
    linear: number,
  ): void;
}

interface Instance {
  run: Exports;
  memory: WebAssembly.Memory;
}

let loaded: Instance | null = null;

function load(): Instance {
  if (loaded) return loaded;
  const bytes = Uint8Array.from(atob(MODULE), (c) => c.charCodeAt(0));
  const memory = new WebAssembly.Memory({ initial: 16 });
  const instance = new WebAssembly.Instance(new WebAssembly.Module(bytes), {
    env: {
      memory,
      abort: () => {
        throw new Error('a filter stopped');
      },
    },
  });
  return (loaded = { run: instance.exports as unknown as Exports, memory });
}

/** Past this much memory the module is dropped after use, so that one large picture does not hold it for good. */
const MOST_KEPT = 64 * 1024 * 1024;
/** Loads of four reach a little past the end of what they need. */
const SLACK = 64;

type Numbers = Float32Array | Int32Array | Uint8Array | Uint8ClampedArray;

/** One call's share of the module's memory: what goes in is copied there, what comes out is copied back. */
class Arena {
  private next = 0;
  private readonly loaded = load();
  readonly run = this.loaded.run;

  /** Room for so many bytes; gives its address. */
  room(bytes: number): number {
    const at = this.next;
    this.next = (at + bytes + SLACK + 15) & ~15;
    const { memory } = this.loaded;
    if (this.next > memory.buffer.byteLength) memory.grow(Math.ceil((this.next - memory.buffer.byteLength) / 65536));
    return at;
  }

  write(numbers: Numbers): number {
    const at = this.room(numbers.byteLength);
    this.put(at, numbers);
    return at;
  }

  put(at: number, numbers: Numbers): void {
    new Uint8Array(this.loaded.memory.buffer, at, numbers.byteLength).set(
      new Uint8Array(numbers.buffer, numbers.byteOffset, numbers.byteLength),
    );
  }

  floats(at: number, count: number): Float32Array {
    return new Float32Array(this.loaded.memory.buffer, at, count).slice();
  }

  /** A window on results that will be read at once and not kept. */
  glance(at: number, count: number): Float32Array {
    return new Float32Array(this.loaded.memory.buffer, at, count);
  }

  leave(): void {
    if (this.loaded.memory.buffer.byteLength > MOST_KEPT) loaded = null;
  }
}

/** A plane made from a plane, with so many numbers of working room. */
function through(source: Plane, work: number, run: (arena: Arena, from: number, to: number, work: number) => void): Plane {
  const { width, height } = source;
  const arena = new Arena();
  const from = arena.write(source.data);
  const to = arena.room(width * height * 4);
  run(arena, from, to, arena.room(work * 4));
  const data = arena.floats(to, width * height);
  arena.leave();
  return { width, height, data };
}

const separableWork = (w: number, h: number, rx: number, ry: number) => w * (h + 2 * ry) + w + 2 * rx;
const boxWork = (w: number, h: number, r: number) => w * h + w + 2 * r + 2 * w + 8;

/** Rows convolved with one kernel, columns with another; both of odd length, edges repeated. Taps are summed in 32-bit floats. */
export function separable(source: Plane, kx: Float32Array, ky: Float32Array): Plane {
  const { width: w, height: h } = source;
  const [rx, ry] = [kx.length >> 1, ky.length >> 1];
  return through(source, separableWork(w, h, rx, ry), (arena, from, to, work) =>
    arena.run.separable(from, to, w, h, arena.write(kx), rx, arena.write(ky), ry, work),
  );
}

/** Running mean over a square of (2r+1) px, edges repeated. */
export function box(source: Plane, radius: number): Plane {
  const { width: w, height: h } = source;
  return through(source, boxWork(w, h, radius), (arena, from, to, work) => arena.run.box(from, to, w, h, radius, work));
}

function spread(source: Plane, radius: number, low: boolean): Plane {
  const { width: w, height: h } = source;
  return through(source, separableWork(w, h, radius, radius), (arena, from, to, work) =>
    arena.run.spread(from, to, w, h, radius, low, work),
  );
}

/** Largest value in a square of (2r+1) px round each pixel, edges repeated. */
export const dilateMax = (source: Plane, radius: number): Plane => spread(source, radius, false);

/** Smallest value in a square of (2r+1) px round each pixel. */
export const erodeMin = (source: Plane, radius: number): Plane => spread(source, radius, true);

export interface Tensor {
  /** Angle along the strokes, degrees [0, 180) as seen. */
  angle: Float32Array;
  /** Root of gradient energy above `floor`, times coherence. */
  weight: Float32Array;
  /** Weight times cosine and sine of the doubled angle. */
  cos: Float32Array;
  sin: Float32Array;
}

/** Structure tensor from the two kernels of a Gaussian derivative, window sigma 1.6 px; angles to 0.001°. */
export function tensor(source: Plane, derive: Float32Array, soften: Float32Array, floor: number): Tensor {
  const { width: w, height: h } = source;
  const r = derive.length >> 1;
  const plane = (w * h * 4 + SLACK + 15) & ~15;
  const arena = new Arena();
  const from = arena.write(source.data);
  const out = arena.room(4 * plane);
  const [d, g] = [arena.write(derive), arena.write(soften)];
  const work = arena.room(3 * plane + 4 * (separableWork(w, h, Math.max(3, r), Math.max(3, r)) + 16));
  arena.run.tensor(from, out, w, h, d, g, r, floor, plane, work);
  const [angle, weight, cos, sin] = [0, 1, 2, 3].map((k) => arena.floats(out + k * plane, w * h));
  arena.leave();
  return { angle, weight, cos, sin };
}

/** Euclidean distance in px from each set pixel to the nearest unset one; 0 on unset pixels; 1e6 where none is unset. */
export function distance(source: Mask): Plane {
  const { width, height } = source;
  const arena = new Arena();
  const from = arena.write(source.data);
  const to = arena.room(width * height * 4);
  arena.run.distance(from, to, width, height, arena.room(8 * width * height + 32 * (Math.max(width, height) + 2)));
  const data = arena.floats(to, width * height);
  arena.leave();
  return { width, height, data };
}

/** Distance in Lab of every pixel from a colour; `linear` and `cube` are the tables of the transfer curve and of Lab's. */
export function departureFrom(image: RgbImage, lab: readonly number[], linear: Float32Array, cube: Float32Array): Plane {
  const { width, height } = image;
  const arena = new Arena();
  const to = arena.room(width * height * 4);
  arena.run.departure(arena.write(image.data), to, width * height, arena.write(linear), arena.write(cube), lab[0], lab[1], lab[2]);
  const data = arena.floats(to, width * height);
  arena.leave();
  return { width, height, data };
}

/** From which source pixel on a result pixel takes how many, and with which shares. */
export interface Span {
  first: number;
  weights: Float32Array;
}

/** Area means of sRGB bytes in linear light, row by row; `put` is given each result row of 3 · xs.length floats, not to be kept. */
export function gatherRows(
  image: RgbImage,
  xs: readonly Span[],
  ys: readonly Span[],
  linear: Float32Array,
  put: (row: Float32Array, y: number) => void,
): void {
  const arena = new Arena();
  const stride = image.width * 3;
  const most = ys.reduce((m, s) => Math.max(m, s.weights.length), 0);
  const rgb = arena.room(most * stride);
  const sums = arena.room(stride * 4);
  const row = arena.room(xs.length * 12);
  const firsts = arena.write(Int32Array.from(xs, (s) => s.first));
  const lengths = arena.write(Int32Array.from(xs, (s) => s.weights.length));
  const shares = new Float32Array(xs.reduce((n, s) => n + s.weights.length, 0));
  let at = 0;
  for (const s of xs) {
    shares.set(s.weights, at);
    at += s.weights.length;
  }
  const weights = arena.write(shares);
  const table = arena.write(linear);
  const rowWeights = arena.room(most * 4);
  ys.forEach((span, y) => {
    const count = span.weights.length;
    arena.put(rgb, image.data.subarray(span.first * stride, (span.first + count) * stride));
    arena.put(rowWeights, span.weights);
    arena.run.gather(rgb, stride, count, rowWeights, sums, row, xs.length, firsts, lengths, weights, table);
    put(arena.glance(row, xs.length * 3), y);
  });
  arena.leave();
}
