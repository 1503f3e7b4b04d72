/**
 * Knows the layers that reading marks starts from, made in one go from how far each px departs from the sheet: so that what only leads from one
 * to the next never leaves the compiled loops' memory.
 */
import { Mask, Plane } from '../image';
import {
  besideAt,
  Beside,
  componentsAt,
  Derivation,
  eachComponent,
  FromComponent,
  Rise,
  riseAt,
  sauvolaAt,
  softenAt,
  Softening,
  spreadAt,
} from './kernels';
import { Arena, keeping, once } from './memory';

/** How marks are told from the sheet: softened by `soft`, over `bare`, and over `part` of the highest within `reach` px or with nothing bare there. */
export interface Marking {
  soft: Softening;
  /** Softening under which nothing bare is looked for. */
  softer: Softening;
  bare: number;
  part: number;
  reach: number;
}

export interface Layering {
  marking: Marking;
  /**
   * Softenings from fine to coarse: of what lines are found in, of the texture's two sides with one between them; and how the tone comes from
   * every fourth px of every fourth row of the coarsest, in those px.
   */
  fine: Softening;
  middle: Softening;
  coarse: Softening;
  tone: Softening;
  /** How lines are found (`sauvolaMask`), the smallest that is a stroke (px²), and how far from one its side begins, px. */
  lines: { radius: number; k: number; floor: number };
  speck: number;
  aside: number;
  /** Within so many px, more than the marking's reach, nothing is bare where a px counts as covered; null where that is not asked. */
  inside: number | null;
  /** Tone over which a px between marks is worked too; null where all is. */
  workedTone: number | null;
}

export interface MarkLayers<T> {
  marked: Mask;
  /** Over `bare`, or in a tone over `workedTone`. */
  worked: Mask;
  lines: Mask;
  /** What hangs together of the lines. */
  list: T[];
  covered: Uint8Array | null;
  /** Every fourth px of every fourth row. */
  tone: Plane;
  /** What lies between `softer` and `coarse`, and how `middle` rises, units a px. */
  texture: Plane;
  rise: Plane;
  /** Between `fine`, `softer`, `middle` and `coarse` where no stroke is near. */
  beside: Beside;
}

/** Softens a plane that lies at an address; gives where the soft one lies. */
function softAt(arena: Arena, from: number, w: number, h: number, by: Softening): number {
  const to = arena.room(4 * w * h);
  softenAt(arena, from, to, w, h, by);
  return to;
}

/** Marks px at `to`; gives where the lowest of the softer plane within reach lies. */
function markedAt(
  arena: Arena,
  from: number,
  softer: number,
  w: number,
  h: number,
  { soft, bare, part, reach }: Marking,
  to: number,
): number {
  const [highest, lowest] = [arena.room(4 * w * h), arena.room(4 * w * h)];
  const judged = softAt(arena, from, w, h, soft);
  spreadAt(arena, judged, highest, w, h, reach, false);
  spreadAt(arena, softer, lowest, w, h, reach, true);
  arena.run.marks(judged, highest, lowest, to, w * h, bare, part);
  return lowest;
}

/** Marked px of a plane that is 0 on the sheet. */
export const markedBy = ({ width, height, data }: Plane, marking: Marking): Mask =>
  once((arena) => {
    const [from, marked] = [arena.write(data), arena.room(width * height)];
    markedAt(arena, from, softAt(arena, from, width, height, marking.softer), width, height, marking, marked);
    return { width, height, data: arena.bytes(marked, width * height) };
  });

/** How many px there are of every fourth along a side. */
const quartered = (length: number): number => (length + 3) >> 2;

/** All layers of a plane that is 0 on the sheet; `each` makes something of what hangs together of its lines. */
export function layersOf<T>(depart: Plane, how: Layering, each: FromComponent<T>): MarkLayers<T> {
  const { width, height } = depart;
  const n = width * height;
  return keeping((arena) => {
    const { run } = arena;
    const mask = (at: number): Mask => ({ width, height, data: arena.held(arena.bytes(at, n), at) });
    const [marked, lines, covered, worked] = [arena.room(n), arena.room(n), arena.room(n), arena.room(n)];
    const [wide, high] = [quartered(width), quartered(height)];
    const [texture, rise, tone] = [arena.room(4 * n), arena.room(4 * n), arena.room(4 * wide * high)];
    return arena.aside((scratch) => {
      const from = scratch.placeOf(depart);
      const soft = (by: Softening) => softAt(scratch, from, width, height, by);
      const [fine, softer, middle, coarse] = [how.fine, how.marking.softer, how.middle, how.coarse].map(soft);
      const strokes = scratch.room(n);
      const lowest = markedAt(scratch, from, softer, width, height, how.marking, marked);
      const [halfWide, halfHigh] = [(width + 1) >> 1, (height + 1) >> 1];
      const [half, quarter] = [scratch.room(4 * halfWide * halfHigh), scratch.room(4 * wide * high)];
      run.halved(coarse, width, height, half);
      run.halved(half, halfWide, halfHigh, quarter);
      softenAt(scratch, quarter, tone, wide, high, how.tone);
      if (how.workedTone !== null) run.either(from, how.marking.bare, tone, how.workedTone, worked, width, height);
      sauvolaAt(scratch, fine, lines, width, height, how.lines);
      const { labels, sums, count } = componentsAt(scratch, lines, width, height);
      run.large(labels, sums, strokes, n, how.speck);
      if (how.inside !== null) {
        // The lowest of the lowest near by.
        spreadAt(scratch, lowest, lowest, width, height, how.inside - how.marking.reach, true);
        run.over(lowest, covered, n, how.marking.bare);
      }
      run.slope(middle, rise, width, height);
      run.less(softer, coarse, texture, n);
      return {
        marked: arena.mask(width, height, marked),
        worked: how.workedTone === null ? { width, height, data: new Uint8Array(n).fill(1) } : mask(worked),
        lines: mask(lines),
        list: eachComponent(scratch, sums, count, each),
        covered: how.inside === null ? null : mask(covered).data,
        tone: arena.plane(wide, high, tone),
        texture: arena.plane(width, height, texture),
        rise: arena.plane(width, height, rise),
        beside: besideAt(scratch, strokes, [fine, softer, middle, coarse], width, height, how.aside),
      };
    });
  });
}

/** Px over `least`, with gaps and bays narrower than twice the reach closed over (dilation, then erosion). */
export const closedOver = ({ width, height, data }: Plane, least: number, reach: number): Mask =>
  once((arena) => {
    const n = width * height;
    const [from, widened, closed, to] = [arena.write(data), arena.room(4 * n), arena.room(4 * n), arena.room(n)];
    spreadAt(arena, from, widened, width, height, reach, false);
    spreadAt(arena, widened, closed, width, height, reach, true);
    arena.run.over(closed, to, n, least);
    return { width, height, data: arena.bytes(to, n) };
  });

/** A mask without what hangs together of fewer than `least` px. */
export const withoutSpecks = ({ width, height, data }: Mask, least: number): Mask =>
  once((arena) => {
    const to = arena.room(width * height);
    const { labels, sums } = componentsAt(arena, arena.write(data), width, height);
    arena.run.large(labels, sums, to, width * height, least);
    return { width, height, data: arena.bytes(to, width * height) };
  });

/**
 * Channels filled in from beside where `keep` is 0, by normalised convolution (Knutsson and Westin 1993) with `fill`, and their steepest
 * change together, as `steepestRise` tells it. Where nothing that is kept is near, a channel stays as it is. `read` is handed what lies in the
 * loops' memory: it calls none of them and keeps nothing of it.
 */
export function filledRise<T>(
  channels: readonly Plane[],
  keep: Plane,
  fill: Softening,
  by: Derivation,
  read: (fields: Float32Array[], rise: Rise) => T,
): T {
  const { width, height } = keep;
  const n = width * height;
  return once((arena) => {
    const { run } = arena;
    const weights = arena.write(keep.data);
    const near = softAt(arena, weights, width, height, fill);
    const product = arena.room(4 * n);
    const at = channels.map(({ data }) => {
      const from = arena.write(data);
      const to = arena.room(4 * n);
      run.times(from, weights, product, n);
      softenAt(arena, product, to, width, height, fill);
      run.shared(to, near, from, n, LEAST_NEAR);
      return to;
    });
    const { steepness, nx, ny } = riseAt(arena, at, width, height, by);
    const rise = { steepness: arena.glance(steepness, n), nx: arena.glance(nx, n), ny: arena.glance(ny, n) };
    return read(
      at.map((p) => arena.glance(p, n)),
      rise,
    );
  });
}

/** With less of what is kept near it, a px is left as it is. */
const LEAST_NEAR = 0.003;
