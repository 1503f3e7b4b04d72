/** Knows the compiled inner loops and the memory they work in. */
import { bytesOf } from '../../base64';
import { MODULE } from './module';

/** What assembly/ exports; addresses in bytes, sizes in pixels. */
interface Exports {
  separable(from: number, to: number, w: number, h: number, kx: number, rx: number, ky: number, ry: number, work: number): void;
  box(from: number, to: number, w: number, h: number, r: number, work: number): void;
  boxes(from: number, to: number, w: number, h: number, r0: number, r1: number, r2: number, work: number): void;
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
  density(angle: number, weight: number, w: number, x0: number, y0: number, rw: number, rh: number, to: number): void;
  turns(
    weight: number,
    cos: number,
    sin: number,
    w: number,
    x0: number,
    y0: number,
    rw: number,
    rh: number,
    cells: number,
    to: number,
  ): void;
  addGradient(dx: number, dy: number, xx: number, yy: number, xy: number, n: number, first: boolean): void;
  steepest(xx: number, yy: number, xy: number, n: number, least: number): void;
  distance(mask: number, to: number, w: number, h: number, work: number): void;
  lab(rgb: number, n: number, linear: number, L: number, a: number, b: number, colour: boolean): void;
  darker(L: number, to: number, n: number, light: number): void;
  apart(L: number, a: number, b: number, to: number, n: number, l0: number, a0: number, b0: number): void;
  linearRow(bytes: number, n: number, linear: number, to: number): void;
  gather(
    lines: number,
    places: number,
    first: number,
    stride: number,
    count: number,
    rowWeights: number,
    sums: number,
    row: number,
    width: number,
    firsts: number,
    lengths: number,
    weights: number,
    encode: number,
  ): void;
  sauvola(from: number, mask: number, w: number, h: number, r: number, k: number, floor: number, plane: number, work: number): void;
  thin(data: number, w: number, h: number, spare: number, alive: number, drop: number): number;
  components(mask: number, labels: number, w: number, h: number, sums: number, stack: number): number;
  pieceSums(
    marked: number,
    lines: number,
    centre: number,
    depart: number,
    tone: number,
    texture: number,
    rises: number,
    covered: number,
    w: number,
    x0: number,
    y0: number,
    rw: number,
    rh: number,
    to: number,
  ): void;
  besideLines(lines: number, a: number, b: number, c: number, d: number, w: number, h: number, aside: number, to: number): number;
  strips(
    from: number,
    w: number,
    x0: number,
    y0: number,
    rw: number,
    rh: number,
    to: number,
    long: number,
    across: number,
    wide: number,
    c: number,
    s: number,
  ): void;
  depth(from: number, around: number, to: number, w: number, h: number, reach: number, pairs: number, count: number): void;
  halved(from: number, w: number, h: number, to: number): void;
  rise(L: number, a: number, b: number, to: number, w: number, h: number): void;
  sizeSums(
    L: number,
    a: number,
    b: number,
    w: number,
    h: number,
    x0: number,
    y0: number,
    rw: number,
    rh: number,
    every: number,
    only: number,
    wide: number,
    to: number,
  ): void;
  bandSums(
    l: number,
    m: number,
    a: number,
    c: number,
    b: number,
    d: number,
    colour: boolean,
    w: number,
    x0: number,
    y0: number,
    rw: number,
    rh: number,
    every: number,
    only: number,
    wide: number,
    to: number,
  ): void;
  runSums(from: number, only: number, w: number, x0: number, y0: number, rw: number, rh: number, most: number, to: number): void;
  borderSums(
    L: number,
    rises: number,
    only: number,
    w: number,
    h: number,
    x0: number,
    y0: number,
    rw: number,
    rh: number,
    reach: number,
    least: number,
    to: number,
  ): void;
  countUnder(from: number, only: number, n: number, most: number, to: number): void;
  nearestForms(a: number, na: number, b: number, places: number, nb: number, length: number, near: number, to: number): void;
  squared(
    photo: number,
    pw: number,
    ph: number,
    to: number,
    w: number,
    first: number,
    rows: number,
    n: number,
    h: number,
    linear: number,
    part: number,
    room: number,
  ): void;
  marks(soft: number, highest: number, lowest: number, to: number, n: number, bare: number, part: number): void;
  over(from: number, to: number, n: number, least: number): void;
  either(a: number, least: number, b: number, most: number, to: number, w: number, h: number): void;
  times(a: number, b: number, to: number, n: number): void;
  shared(sums: number, weights: number, plain: number, n: number, least: number): void;
  less(a: number, b: number, to: number, n: number): void;
  slope(from: number, to: number, w: number, h: number): void;
  large(labels: number, sums: number, to: number, n: number, least: number): void;
  lit(from: number, to: number, n: number, factors: number, red: number, green: number, blue: number, encode: number): void;
  relit(from: number, to: number, w: number, h: number, gains: number, knots: number, every: number, linear: number, encode: number): void;
  reduced(
    from: number,
    w: number,
    to: number,
    width: number,
    height: number,
    firsts: number,
    counts: number,
    shares: number,
    rowFirsts: number,
    rowCounts: number,
    rowShares: number,
    sums: number,
  ): void;
  binned(from: number, n: number, low: number, scale: number, bins: number, to: number): void;
  lengths(a: number, b: number, to: number, n: number): void;
  steps(from: number, n: number, ends: number, count: number, to: number): void;
  weighed(from: number, w: number, n: number, to: number, m: number, firsts: number, weights: number, count: number): void;
  luminance(rgb: number, n: number, linear: number, red: number, green: number, blue: number, to: number): void;
  colours(rgb: number, n: number, weights: number, leftOut: number, linear: number, slots: number, sums: number, index: number): number;
  ridges(
    L: number,
    w: number,
    h: number,
    step: number,
    faint: number,
    clear: number,
    least: number,
    margin: number,
    taken: number,
    strength: number,
    crest: number,
    way: number,
    found: number,
    points: number,
    chains: number,
  ): number;
}

interface Instance {
  run: Exports;
  memory: WebAssembly.Memory;
}

let compiled: WebAssembly.Module | null = null;

function instance(): Instance {
  compiled ??= new WebAssembly.Module(bytesOf(MODULE));
  const memory = new WebAssembly.Memory({ initial: 16 });
  const made = new WebAssembly.Instance(compiled, {
    env: {
      memory,
      abort: () => {
        throw new Error('a filter stopped');
      },
    },
  });
  return { run: made.exports as unknown as Exports, memory };
}

/** Past this much memory an instance is dropped after use, so that one large picture does not hold it for good. */
const MOST_KEPT = 64 * 1024 * 1024;
/** Loads of four reach a little past the end of what they need, and a little before its beginning. */
export const SPARE = 64;

type Numbers = Float32Array | Float64Array | Int32Array | Uint8Array | Uint8ClampedArray;

let shared: Instance | null = null;
/** Where what is kept ends, and whether anything may be. */
let floor = SPARE;
let open = false;
/** Where what is kept lies: of arrays that were copied out, and of what is not yet. */
const kept = new Map<object, number>();

/** Room in the memory of the loops: what goes in is copied there, what comes out is copied back. */
export class Arena {
  private next: number;
  readonly run: Exports;
  private readonly memory: WebAssembly.Memory;

  /** `from` is the first free byte. */
  constructor({ run, memory }: Instance, from: number) {
    this.run = run;
    this.memory = memory;
    this.next = from;
  }

  /** The first byte that nothing has been given. */
  get free(): number {
    return this.next;
  }

  /** Room for so many bytes; gives its address. */
  room(bytes: number): number {
    const at = this.next;
    this.next = (at + bytes + SPARE + 15) & ~15;
    const { memory } = this;
    if (this.next > memory.buffer.byteLength) memory.grow(Math.ceil((this.next - memory.buffer.byteLength) / 65536));
    return at;
  }

  /** Work in room past this one's, free again afterwards. */
  aside<T>(work: (arena: Arena) => T): T {
    const { run, memory, next } = this;
    return work(new Arena({ run, memory }, next));
  }

  write(numbers: Numbers): number {
    const at = this.room(numbers.byteLength);
    this.put(at, numbers);
    return at;
  }

  put(at: number, numbers: Numbers): void {
    new Uint8Array(this.memory.buffer, at, numbers.byteLength).set(new Uint8Array(numbers.buffer, numbers.byteOffset, numbers.byteLength));
  }

  /** Where numbers lie that are kept, else where they are written to now: to be read, not to be changed. */
  place(numbers: Numbers): number {
    return kept.get(numbers) ?? this.write(numbers);
  }

  /** The same of the numbers of a plane or mask. */
  placeOf(source: { data: Numbers }): number {
    return kept.get(source) ?? this.place(source.data);
  }

  floats(at: number, count: number): Float32Array {
    return new Float32Array(this.memory.buffer, at, count).slice();
  }

  wholes(at: number, count: number): Int32Array {
    return new Int32Array(this.memory.buffer, at, count).slice();
  }

  bytes(at: number, count: number): Uint8Array {
    return new Uint8Array(this.memory.buffer, at, count).slice();
  }

  /** A plane's numbers, seen where they are: to be read at once, not to be kept or changed. */
  seen(source: { width: number; height: number; data: Float32Array }): Float32Array {
    const at = kept.get(source);
    return at === undefined ? source.data : this.glance(at, source.width * source.height);
  }

  /** Windows on results that will be read at once and not kept. */
  glance(at: number, count: number): Float32Array {
    return new Float32Array(this.memory.buffer, at, count);
  }

  doubles(at: number, count: number): Float64Array {
    return new Float64Array(this.memory.buffer, at, count);
  }

  /** Remembers where numbers that were copied out lie, if they stay there. */
  held<T extends Numbers>(numbers: T, at: number): T {
    if (open) kept.set(numbers, at);
    return numbers;
  }

  /** A plane of the floats at an address: if they stay there, copied out when somebody asks for them. */
  plane(width: number, height: number, at: number): { width: number; height: number; data: Float32Array } {
    return this.later(width, height, at, () => this.floats(at, width * height));
  }

  /** A mask of the bytes at an address, likewise. */
  mask(width: number, height: number, at: number): { width: number; height: number; data: Uint8Array } {
    return this.later(width, height, at, () => this.bytes(at, width * height));
  }

  private later<T extends Numbers>(width: number, height: number, at: number, copy: () => T): { width: number; height: number; data: T } {
    if (!open) return { width, height, data: copy() };
    let own: T | null = null;
    const source = {
      width,
      height,
      get data() {
        if (!own && !kept.has(source)) throw new Error('what a window had in memory was asked for after it was let go of');
        return (own ??= copy());
      },
    };
    kept.set(source, at);
    return source;
  }
}

/** Drops a large memory that holds nothing any more. */
function lighten(): void {
  if (!open && shared && shared.memory.buffer.byteLength > MOST_KEPT) shared = null;
}

/** One call's work. */
export function once<T>(work: (arena: Arena) => T): T {
  shared ??= instance();
  const result = work(new Arena(shared, floor));
  lighten();
  return result;
}

/** Work whose rooms, but for those aside, stay as long as anything may be kept: else as `once`. */
export function keeping<T>(work: (arena: Arena) => T): T {
  if (!open) return once(work);
  shared ??= instance();
  const arena = new Arena(shared, floor);
  const result = work(arena);
  floor = arena.free;
  return result;
}

/** Lets go of all that is kept. */
export function letGo(): void {
  floor = SPARE;
  open = false;
  kept.clear();
  lighten();
}

/** Lets go of all that is kept; from now on what `keeping` makes is. */
export function keepAnew(): void {
  letGo();
  open = true;
}
